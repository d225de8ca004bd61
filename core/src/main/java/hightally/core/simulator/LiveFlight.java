package hightally.core.simulator;

import hightally.core.program.Phase;
import hightally.core.program.Trims;
import hightally.core.signal.Moment;
import hightally.core.simulator.ScriptedPilot.Hand;
import java.util.List;
import java.util.Optional;

/**
 * Level flight at half power, or a glide, with trims that are clicked while it flies: hands on hold
 * it level, hands off it goes where its trims let it. The clock is the caller's.
 */
public final class LiveFlight {
  private static final double HEIGHT = 150;
  private static final double STAYS_SECONDS = 4;
  private static final double LONGEST = 0.5;

  private final ScriptedPilot pilot;
  private Trims trims;
  private double freeSince = -1;
  private final double pathThen;

  /**
   * How it flies.
   *
   * @param samples since the last answer
   * @param path degrees the path climbs, less the glide it was trimmed for
   * @param bank degrees, right wing down
   * @param free seconds since it was let go with these trims; 0 while it is held
   * @param stays whether four seconds hands off have changed nothing a pilot would see
   * @param ended whether it left what can be reckoned with
   */
  public record Answer(
      List<FlightSample> samples,
      double path,
      double bank,
      double free,
      boolean stays,
      boolean ended) {}

  private LiveFlight(FlyingModel model, Phase phase, TrimState trim, Gusts gusts, Trims trims) {
    this.trims = trims;
    int index = model.setup().phases().indexOf(phase);
    Moment still = TestFlight.rest(model, phase);
    Moment rest = model.glides() ? still : Throttle.at(model.setup(), still, trim.throttle());
    FlightIntegration flight =
        new FlightIntegration(
            model, FlightState.of(trim, HEIGHT), new double[model.cockpit().flaps()], gusts);
    flight.settle(rest, index, trims);
    pilot = new ScriptedPilot(flight, rest, index, trims);
    pilot.lineFromPath();
    pathThen = Math.toDegrees(trim.path());
  }

  /** A flight in a phase; empty where the model has no straight flight in it. */
  public static Optional<LiveFlight> of(FlyingModel model, Phase phase, Gusts gusts, Trims trims) {
    return TestFlight.trimmed(model, phase)
        .map(trim -> new LiveFlight(model, phase, trim, gusts, trims));
  }

  /**
   * Flies on.
   *
   * @param seconds at most half a second at a time
   * @param clicked the trims as they stand now
   * @param held whether the pilot holds it level
   */
  public Answer fly(double seconds, Trims clicked, boolean held) {
    if (!clicked.equals(trims) || held) {
      freeSince = -1;
      trims = clicked;
      pilot.trim(clicked);
    }
    if (!held && freeSince < 0) {
      freeSince = pilot.seconds();
    }
    Hand hand = held ? Hand.HOLD : Hand.FREE;
    pilot.fly(Math.min(LONGEST, seconds), hand, hand, hand);
    double path = TestFlight.climb(pilot) - pathThen;
    double bank = TestFlight.bank(pilot);
    double free = freeSince < 0 ? 0 : pilot.seconds() - freeSince;
    boolean steady =
        TestMeasure.LEVEL_PATH.severity(path) == 0 && TestMeasure.LEVEL_BANK.severity(bank) == 0;
    return new Answer(
        pilot.taken(), path, bank, free, steady && free >= STAYS_SECONDS, pilot.broken());
  }
}
