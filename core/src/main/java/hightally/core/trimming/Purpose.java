package hightally.core.trimming;

import hightally.core.quantity.Said;
import hightally.core.quantity.SelfChecked;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Violation;
import hightally.core.quantity.Within;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;

/**
 * What a model is for, as its pilot wants it before the first flight.
 *
 * @param pilot how much its pilot has flown
 * @param balancePercent wanted balance point, percent of the range the maker allows, 0 foremost
 * @param balanceWhy why there
 * @param turnedRound whether this pilot's house rule for the sign of differential is the other one
 * @param limits what the pilot flies in
 * @param regimes every kind of flying it is for
 * @param stations what the pilot has found to go with balance points
 */
public record Purpose(
    Pilot pilot,
    @Within(min = -50, max = 150, unit = Unit.PERCENT) double balancePercent,
    @Text(min = 0, max = 300) String balanceWhy,
    boolean turnedRound,
    Limits limits,
    List<Wish> regimes,
    List<BalanceStation> stations)
    implements SelfChecked {
  /** Nothing noted yet: the middle of the range, a light wind. */
  public static final Purpose NONE =
      new Purpose(Pilot.INTERMEDIATE, 50, "", false, new Limits(5, ""), List.of(), List.of());

  public Purpose {
    regimes = regimes == null ? null : List.copyOf(regimes);
    stations = stations == null ? null : List.copyOf(stations);
  }

  /** How much a pilot has flown. */
  public enum Pilot {
    BEGINNER,
    INTERMEDIATE,
    EXPERT
  }

  /** Kinds of flying. */
  public enum Regime {
    FIRST_FLIGHTS,
    PRECISION,
    SNAP,
    HOVER,
    ROLLING_HIGH_ALPHA,
    THERMAL,
    CRUISE,
    SPEED,
    LANDING,
    LAUNCH
  }

  /**
   * What a pilot flies in.
   *
   * @param windMetresPerSecond no stronger than this
   * @param field what the field must be
   */
  public record Limits(
      @Within(min = 0, max = 25, unit = Unit.NONE) double windMetresPerSecond,
      @Text(min = 0, max = 300) String field) {}

  /**
   * What is wanted of one kind of flying.
   *
   * @param feel in the pilot's words
   * @param where id of the phase or rate set it is flown with; empty for none yet
   * @param rollMm travel of an aileron wanted, mm; 0 for no figure
   * @param pitchMm likewise of the elevator
   * @param yawMm likewise of the rudder
   * @param source where the figures come from
   * @param ended what this airframe ended with, in words
   * @param reached whether it feels right
   */
  public record Wish(
      Regime regime,
      @Text(min = 0, max = 300) String feel,
      @Text(min = 0, max = 40) String where,
      @Within(min = 0, max = 300, unit = Unit.MILLIMETRES) double rollMm,
      @Within(min = 0, max = 300, unit = Unit.MILLIMETRES) double pitchMm,
      @Within(min = 0, max = 300, unit = Unit.MILLIMETRES) double yawMm,
      @Text(min = 0, max = 120) String source,
      @Text(min = 0, max = 300) String ended,
      boolean reached) {}

  /**
   * Expo and reflex that a pilot has found right with a balance point.
   *
   * @param cgMm aft of the datum
   * @param reflexMm of a flying wing; 0 where there is none
   */
  public record BalanceStation(
      @Within(min = -2000, max = 5000, unit = Unit.MILLIMETRES) double cgMm,
      @Within(min = -100, max = 100, unit = Unit.PERCENT) double expoPercent,
      @Within(min = -50, max = 50, unit = Unit.MILLIMETRES) double reflexMm) {}

  @Override
  public void check(String path, Consumer<Violation> found) {
    Set<Regime> seen = new HashSet<>();
    for (int i = 0; i < regimes.size(); i++) {
      Regime one = regimes.get(i).regime();
      if (!seen.add(one)) {
        found.accept(
            Violation.of(path + "regimes[" + i + "].regime", one, Said.of("demand.regimeOnce")));
      }
    }
  }
}
