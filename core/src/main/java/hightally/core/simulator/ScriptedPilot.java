package hightally.core.simulator;

import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.signal.Moment;
import java.util.ArrayList;
import java.util.List;

/**
 * A pilot who flies a line as told and lets go when told. He wants to turn three times as fast as
 * the path is off, and to roll five times as fast as the bank is; he moves a stick as far as what
 * he sees of the turning asks for, a full stick in an eighth of a second.
 */
final class ScriptedPilot {
  private static final double PATH_GAIN = 3;
  private static final double BANK_GAIN = 5;
  private static final double RATE_GAIN = 10;
  private static final double FULL_STICK_SECONDS = 0.125;
  private static final double TRIED_STICK = 0.2;
  private static final double NO_EFFECT = 0.5;
  private static final double HASTE = 0.5;
  private static final int LOOK_STEPS = 24;
  private static final int SAMPLE_STEPS = 8;
  private static final double SLOW = 0.5;

  private final FlightIntegration flight;
  private final int phase;
  private Trims trims;
  private final double[] sticks = new double[3];
  private final double[] effect = new double[3];
  private final List<FlightSample> samples = new ArrayList<>();
  private final double[] line = {1, 0, 0};
  private final double[] canopy = {0, 0, -1};
  private double lineRate;
  private double bankRate;
  private Moment moment;
  private int steps;
  private boolean broken;

  ScriptedPilot(FlightIntegration flight, Moment moment, int phase, Trims trims) {
    this.flight = flight;
    this.moment = moment;
    this.phase = phase;
    this.trims = trims;
    sample();
  }

  /** What hands do with a stick: the line, nothing, or a place. */
  sealed interface Hand {
    /** Flies the line. */
    Hand HOLD = new Hold();

    /** Lets go. */
    Hand FREE = new At(0);

    /** Flies it. */
    record Hold() implements Hand {}

    /** Keeps the stick there. */
    record At(double stick) implements Hand {}
  }

  FlightIntegration flight() {
    return flight;
  }

  List<FlightSample> samples() {
    return samples;
  }

  /** What has been flown since it was taken last. */
  List<FlightSample> taken() {
    List<FlightSample> fresh = List.copyOf(samples);
    samples.clear();
    return fresh;
  }

  double seconds() {
    return steps * FlightIntegration.STEP_SECONDS;
  }

  boolean broken() {
    return broken;
  }

  double stick(Control control) {
    return sticks[control.ordinal()];
  }

  /** Clicks the trims elsewhere. */
  void trim(Trims clicked) {
    trims = clicked;
  }

  /** Where the canopy is to point. */
  double[] canopy() {
    return canopy.clone();
  }

  /** To the model's right on that line. */
  double[] right() {
    return Vectors.cross(line, canopy);
  }

  void throttle(double value) {
    moment = moment.withThrottle(value, moment.throttleCut());
  }

  /** All the power there is, on whatever stick or lever it lies. */
  void fullPower() {
    moment = Throttle.at(flight.model().setup(), moment, 1);
  }

  /** No power. */
  void idle() {
    moment = Throttle.at(flight.model().setup(), moment, 0);
  }

  void input(int index, double value) {
    moment = moment.withInput(index, value);
  }

  /** Takes the line from where the model flies now, wings level. */
  void lineFromPath() {
    double[] v = Vectors.unit(flight.state().velocity());
    System.arraycopy(v, 0, line, 0, 3);
    double[] side = Vectors.unit(Vectors.cross(line, new double[] {0, 0, -1}));
    System.arraycopy(Vectors.cross(side, line), 0, canopy, 0, 3);
  }

  /** Bends the line to the canopy; negative to the belly. */
  void pitch(double degrees, double degreesPerSecond) {
    double rate = Math.toRadians(degreesPerSecond) * Math.signum(degrees);
    int count =
        (int)
            Math.round(
                degrees / degreesPerSecond / FlightIntegration.STEP_SECONDS * Math.signum(degrees));
    lineRate = rate;
    for (int i = 0; i < count; i++) {
      double turn = rate * FlightIntegration.STEP_SECONDS;
      for (int k = 0; k < 3; k++) {
        double d = line[k];
        line[k] = d * Math.cos(turn) + canopy[k] * Math.sin(turn);
        canopy[k] = canopy[k] * Math.cos(turn) - d * Math.sin(turn);
      }
      step(Hand.HOLD, Hand.HOLD, Hand.HOLD);
    }
    lineRate = 0;
  }

  /** Rolls about the line; plus is to the right. */
  void roll(double degrees, double degreesPerSecond) {
    double rate = Math.toRadians(degreesPerSecond) * Math.signum(degrees);
    int count =
        (int) Math.round(Math.abs(degrees) / degreesPerSecond / FlightIntegration.STEP_SECONDS);
    bankRate = rate;
    for (int i = 0; i < count; i++) {
      double turn = rate * FlightIntegration.STEP_SECONDS;
      double[] right = right();
      for (int k = 0; k < 3; k++) {
        canopy[k] = canopy[k] * Math.cos(turn) + right[k] * Math.sin(turn);
      }
      step(Hand.HOLD, Hand.HOLD, Hand.HOLD);
    }
    bankRate = 0;
  }

  /** Goes on for some seconds. */
  void fly(double seconds, Hand roll, Hand pitch, Hand yaw) {
    int count = (int) Math.round(seconds / FlightIntegration.STEP_SECONDS);
    for (int i = 0; i < count; i++) {
      step(roll, pitch, yaw);
    }
  }

  void step(Hand roll, Hand pitch, Hand yaw) {
    if (broken) {
      return;
    }
    if (steps % LOOK_STEPS == 0) {
      look();
    }
    double[] wanted = wanted();
    double[] rates = flight.state().rates();
    double[] turning = flight.turning();
    Hand[] hands = {roll, pitch, yaw};
    double most = FlightIntegration.STEP_SECONDS / FULL_STICK_SECONDS;
    for (int i = 0; i < 3; i++) {
      double change;
      if (hands[i] instanceof Hand.At at) {
        change = at.stick() - sticks[i];
      } else if (Math.abs(effect[i]) < NO_EFFECT) {
        change = -sticks[i];
      } else {
        double asked = RATE_GAIN * (wanted[i] - rates[i]);
        change = HASTE * (asked - turning[i]) / effect[i];
      }
      sticks[i] += Math.max(-most, Math.min(most, change));
      sticks[i] = Math.max(-1, Math.min(1, sticks[i]));
    }
    flight.step(withSticks(), phase, trims);
    steps++;
    if (!flight.flies()) {
      broken = true;
    } else if (steps % SAMPLE_STEPS == 0) {
      sample();
    }
  }

  private Moment withSticks() {
    boolean same =
        moment.roll() == sticks[0] && moment.pitch() == sticks[1] && moment.yaw() == sticks[2];
    if (!same) {
      moment =
          moment
              .with(Control.ROLL, sticks[0])
              .with(Control.PITCH, sticks[1])
              .with(Control.YAW, sticks[2]);
    }
    return moment;
  }

  /** Rates that would bring path and bank back to the line. */
  private double[] wanted() {
    FlightState state = flight.state();
    double[] path = state.velocity();
    double speed = Vectors.size(path);
    double[] along = speed < SLOW ? state.toWorld(new double[] {1, 0, 0}) : Vectors.unit(path);
    double[] error = state.toBody(Vectors.cross(along, line));
    double[] up = state.toBody(canopy);
    double bank = Math.atan2(up[1], -up[2]);
    double[] bends = state.toBody(right());
    return new double[] {
      BANK_GAIN * bank + bankRate,
      PATH_GAIN * error[1] + lineRate * bends[1],
      PATH_GAIN * error[2] + lineRate * bends[2]
    };
  }

  /** How much turning a stick makes just now, rad/s² for all of it. */
  private void look() {
    FlyingModel model = flight.model();
    double[] air = flight.airVelocity();
    double[] rates = flight.state().rates();
    Aerodynamics.Motion motion =
        new Aerodynamics.Motion(
            air[0], air[1], air[2], rates[0], rates[1], rates[2], FlyingModel.DENSITY);
    double[] flaps = new double[model.cockpit().flaps()];
    double[] power = new double[model.cockpit().motors()];
    Aerodynamics.Held held = model.forces().held(flaps, power);
    for (Control control : Control.values()) {
      int i = control.ordinal();
      double low = Math.max(-1, Math.min(1 - 2 * TRIED_STICK, sticks[i] - TRIED_STICK));
      double[] two = new double[2];
      for (int k = 0; k < 2; k++) {
        Moment tried = withSticks().with(control, low + 2 * TRIED_STICK * k);
        model.cockpit().stand(tried, phase, trims, flaps, power);
        java.util.Arrays.fill(power, flight.power());
        held.stand(flaps, power);
        Aerodynamics.Loads loads = held.loads(motion);
        two[k] = (i == 0 ? loads.l() : i == 1 ? loads.m() : loads.n()) / model.inertia()[i];
      }
      effect[i] = (two[1] - two[0]) / (2 * TRIED_STICK);
    }
  }

  private void sample() {
    FlightState s = flight.state();
    double[] at = s.position();
    double[] v = s.velocity();
    samples.add(
        new FlightSample(
            seconds(),
            at[0],
            at[1],
            -at[2],
            s.w(),
            s.x(),
            s.y(),
            s.z(),
            Vectors.size(v),
            sticks[0],
            sticks[1],
            sticks[2],
            Throttle.of(flight.model().setup(), moment)));
  }
}
