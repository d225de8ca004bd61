package hightally.core.hazard;

import hightally.core.hazard.CommandRegion.Limit;
import hightally.core.program.Power;
import java.util.ArrayList;
import java.util.List;

/**
 * What counts as a motor running, starting, jumping and turning round, in percent of its command
 * before a change and after it: a one-way motor stops at -100 and has full power at 100, a two-way
 * one stops at 0 and has full power at either end.
 */
final class PowerRegions {
  /** From this power on a motor runs. */
  static final double RUNS = 0.005;

  /** A motor told less power than this stands still; from there on it would start. */
  static final double STILL = 1e-4;

  private static final double FULL = 100;
  private static final double[] WAYS = {1, -1};

  private final Power power;
  private final double jump;

  /**
   * @param jump from this rise in power on it is a jump
   */
  PowerRegions(Power power, double jump) {
    this.power = power;
    this.jump = jump;
  }

  /** The command of a one-way motor at a power. */
  private static double oneWay(double power) {
    return 2 * FULL * power - FULL;
  }

  /** It runs, of one command alone. */
  List<CommandRegion> running() {
    if (!power.twoWay()) {
      return List.of(CommandRegion.of(new Limit(1, 0, 0), FULL, Limit.above(oneWay(RUNS))));
    }
    List<CommandRegion> regions = new ArrayList<>();
    for (double way : WAYS) {
      Limit runs = new Limit(way, 0, FULL * RUNS);
      regions.add(CommandRegion.of(runs, FULL, runs));
    }
    return regions;
  }

  /** It stood still and runs. */
  List<CommandRegion> starting() {
    if (!power.twoWay()) {
      Limit runs = Limit.otherAbove(oneWay(RUNS));
      return List.of(CommandRegion.of(runs, FULL, Limit.below(oneWay(STILL)), runs));
    }
    List<CommandRegion> regions = new ArrayList<>();
    for (double way : WAYS) {
      Limit runs = new Limit(0, way, FULL * RUNS);
      Limit above = Limit.above(-FULL * STILL);
      regions.add(CommandRegion.of(runs, FULL, above, Limit.below(FULL * STILL), runs));
    }
    return regions;
  }

  /** It was held and runs. */
  List<CommandRegion> startingHeld() {
    if (!power.twoWay()) {
      Limit runs = Limit.otherAbove(oneWay(RUNS));
      return List.of(CommandRegion.of(runs, FULL, runs));
    }
    List<CommandRegion> regions = new ArrayList<>();
    for (double way : WAYS) {
      Limit runs = new Limit(0, way, FULL * RUNS);
      regions.add(CommandRegion.of(runs, FULL, runs));
    }
    return regions;
  }

  /** It has more power by a jump, the way it ran or the other. */
  List<CommandRegion> rising() {
    if (!power.twoWay()) {
      double least = 2 * FULL * jump;
      Limit rises = new Limit(-1, 1, least);
      return List.of(
          CommandRegion.of(rises, 2 * FULL, rises, Limit.above(-FULL), Limit.below(FULL - least)));
    }
    List<CommandRegion> regions = new ArrayList<>();
    double least = FULL * jump;
    for (double was : WAYS) {
      for (double is : WAYS) {
        Limit rises = new Limit(-was, is, least);
        Limit ran = new Limit(was, 0, 0);
        Limit notFull = new Limit(-was, 0, least - FULL);
        regions.add(CommandRegion.of(rises, FULL, rises, ran, notFull));
      }
    }
    return regions;
  }

  /** It ran and runs, while its controller is told to turn round. */
  List<CommandRegion> turnedRound() {
    if (!power.twoWay()) {
      Limit runs = Limit.otherAbove(oneWay(RUNS));
      return List.of(CommandRegion.of(runs, FULL, Limit.above(oneWay(RUNS)), runs));
    }
    List<CommandRegion> regions = new ArrayList<>();
    for (double way : WAYS) {
      Limit runs = new Limit(0, way, FULL * RUNS);
      regions.add(CommandRegion.of(runs, FULL, new Limit(way, 0, FULL * RUNS), runs));
    }
    return regions;
  }

  /** It ran one way and runs the other. */
  List<CommandRegion> turning() {
    List<CommandRegion> regions = new ArrayList<>();
    if (power.twoWay()) {
      for (double was : WAYS) {
        Limit ran = new Limit(was, 0, FULL * RUNS);
        Limit turned = new Limit(0, -was, FULL * RUNS);
        regions.add(CommandRegion.of(new Limit(was, -was, 0), 2 * FULL, ran, turned));
      }
    }
    return regions;
  }
}
