package hightally.core.simulator;

import hightally.core.program.Phase;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.simulator.ScriptedPilot.Hand;
import hightally.core.trimming.Brakes;
import java.util.List;
import java.util.Optional;

/**
 * What can be played from a page of the program: it starts trimmed, and sticks, not lines, are what
 * is flown, so that a change of the program shows.
 */
public enum Manoeuvre {
  /** Four seconds hands off. */
  LEVEL,
  /** A full right stick for two seconds. */
  ROLL,
  /** Full power, wings held. */
  CLIMB,
  /** Knife edge to the right: rolled there, then only the rudder that holds it. */
  KNIFE_EDGE,
  /** Brakes out, all of them. */
  BRAKES;

  private static final double HEIGHT = 150;
  private static final double HALF_ROLL = 180;

  /** Those a model can fly. */
  public static List<Manoeuvre> of(Setup setup) {
    return java.util.Arrays.stream(values())
        .filter(one -> one != CLIMB || !setup.airframe().motors().isEmpty())
        .filter(one -> one != BRAKES || Brakes.of(setup).isPresent())
        .filter(
            one ->
                one != KNIFE_EDGE
                    || setup.surfaces().stream().anyMatch(s -> s.shares().of(Control.YAW) != 0))
        .toList();
  }

  /**
   * Flies it.
   *
   * @param trim straight flight of the model as it was saved: what it was trimmed with
   */
  public List<FlightSample> fly(FlyingModel model, Phase phase, TrimState trim) {
    int index = model.setup().phases().indexOf(phase);
    Moment still = TestFlight.rest(model, phase);
    Moment rest = model.glides() ? still : Throttle.at(model.setup(), still, trim.throttle());
    TrimInterpolation clicks = new TrimInterpolation(model.cockpit(), trim.clicks());
    FlightIntegration flight =
        new FlightIntegration(
            model, FlightState.of(trim, HEIGHT), clicks.beyond(rest, index), Gusts.calm());
    flight.settle(rest, index, clicks.whole());
    ScriptedPilot pilot = new ScriptedPilot(flight, rest, index, clicks.whole());
    pilot.lineFromPath();
    switch (this) {
      case LEVEL -> pilot.fly(4, Hand.FREE, Hand.FREE, Hand.FREE);
      case ROLL -> pilot.fly(2, new Hand.At(1), Hand.FREE, Hand.FREE);
      case CLIMB -> {
        pilot.fullPower();
        pilot.fly(4, Hand.HOLD, Hand.FREE, Hand.FREE);
      }
      case KNIFE_EDGE -> {
        pilot.fullPower();
        pilot.roll(90, HALF_ROLL);
        pilot.fly(1, Hand.HOLD, Hand.HOLD, Hand.HOLD);
        pilot.fly(1.5, Hand.FREE, Hand.FREE, new Hand.At(pilot.stick(Control.YAW)));
      }
      case BRAKES -> {
        TestFlight.brake(pilot, model, 1);
        pilot.fly(4, Hand.HOLD, Hand.FREE, Hand.FREE);
      }
    }
    return List.copyOf(pilot.samples());
  }

  /** The phase it is played in: that of the brakes, else the one that is on when no other is. */
  public Phase phase(Setup setup) {
    Optional<Phase> braked =
        this != BRAKES
            ? Optional.empty()
            : Brakes.of(setup).stream()
                .flatMap(one -> one.phases().stream())
                .flatMap(one -> setup.phase(one).stream())
                .findFirst();
    return braked.orElse(setup.basePhase());
  }
}
