package hightally.core.simulator;

import hightally.core.program.Trims;
import hightally.core.signal.Moment;

/**
 * A model in the air, 240 steps a second: sticks through its program to surfaces with their play
 * and motors that take their time.
 */
final class FlightIntegration {
  static final double STEP_SECONDS = 1.0 / 240;
  private static final double POWER_A_SECOND = 4;
  private static final double FASTEST = 250;

  private final FlyingModel model;
  private final Gusts gusts;
  private final double step;
  private final Aerodynamics.Held held;
  private final double[] beyond;
  private final double[] wanted;
  private final double[] flaps;
  private final double[] commanded;
  private final double[] power;
  private final RigidBody motion;
  private Moment stood;
  private int stoodPhase;
  private Trims stoodTrims;

  /**
   * A flight that begins in straight flight.
   *
   * @param beyond what fractions of clicks add to each flap, degrees
   */
  FlightIntegration(FlyingModel model, FlightState from, double[] beyond, Gusts gusts) {
    this(model, from, beyond, gusts, STEP_SECONDS);
  }

  FlightIntegration(
      FlyingModel model, FlightState from, double[] beyond, Gusts gusts, double step) {
    this.model = model;
    this.gusts = gusts;
    this.step = step;
    this.beyond = beyond.clone();
    wanted = new double[model.cockpit().flaps()];
    flaps = new double[wanted.length];
    commanded = new double[model.cockpit().motors()];
    power = new double[commanded.length];
    held = model.forces().held(flaps, power);
    motion = new RigidBody(held, model.mass(), model.inertia(), from, step);
  }

  /** Puts flaps and motors where they are told, at once. */
  void settle(Moment moment, int phase, Trims trims) {
    command(moment, phase, trims);
    System.arraycopy(wanted, 0, flaps, 0, flaps.length);
    System.arraycopy(commanded, 0, power, 0, power.length);
    held.stand(flaps, power);
  }

  FlightState state() {
    return motion.state();
  }

  FlyingModel model() {
    return model;
  }

  /** How fast the rates change just now, rad/s². */
  double[] turning() {
    return motion.turning();
  }

  /** Mean share of full revolutions. */
  double power() {
    double sum = 0;
    for (double one : power) {
      sum += one;
    }
    return power.length == 0 ? 0 : sum / power.length;
  }

  /** Velocity against the air, body axes. */
  double[] airVelocity() {
    return motion.airVelocity();
  }

  /** Whether it is still within what can be reckoned with. */
  boolean flies() {
    double[] v = state().velocity();
    return state().finite() && Math.abs(v[0]) + Math.abs(v[1]) + Math.abs(v[2]) < FASTEST;
  }

  /** One step with sticks and switches as they are. */
  void step(Moment moment, int phase, Trims trims) {
    command(moment, phase, trims);
    boolean moved = false;
    for (int i = 0; i < flaps.length; i++) {
      double there = model.cockpit().played(i, wanted[i], flaps[i]);
      moved |= there != flaps[i];
      flaps[i] = there;
    }
    double most = POWER_A_SECOND * step;
    for (int i = 0; i < power.length; i++) {
      double change = Math.max(-most, Math.min(most, commanded[i] - power[i]));
      moved |= change != 0;
      power[i] += change;
    }
    if (moved) {
      held.stand(flaps, power);
    }
    motion.step(gusts.next(step));
  }

  private void command(Moment moment, int phase, Trims trims) {
    if (moment.equals(stood) && phase == stoodPhase && trims.equals(stoodTrims)) {
      return;
    }
    model.cockpit().stand(moment, phase, trims, wanted, commanded);
    for (int i = 0; i < wanted.length; i++) {
      wanted[i] += beyond[i];
    }
    stood = moment;
    stoodPhase = phase;
    stoodTrims = trims;
  }
}
