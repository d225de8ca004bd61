package hightally.core.simulator;

/**
 * A rigid body in the air, six degrees of freedom: fourth-order Runge–Kutta; surfaces, power and
 * wind are held through a step.
 */
final class RigidBody {
  private final Aerodynamics.Held held;
  private final double mass;
  private final double[] inertia;
  private final double step;
  private final double[][] slopes = new double[4][FlightState.SIZE];
  private final double[] between = new double[FlightState.SIZE];
  private double[] wind = new double[3];
  private double[] turning = new double[3];
  private FlightState state;

  RigidBody(Aerodynamics.Held held, double mass, double[] inertia, FlightState from, double step) {
    this.held = held;
    this.mass = mass;
    this.inertia = inertia.clone();
    this.step = step;
    state = from;
  }

  FlightState state() {
    return state;
  }

  /** How fast the rates changed at the beginning of the last step, rad/s². */
  double[] turning() {
    return turning.clone();
  }

  /** Velocity against the air, body axes. */
  double[] airVelocity() {
    double[] v = state.velocity();
    return state.toBody(new double[] {v[0] - wind[0], v[1] - wind[1], v[2] - wind[2]});
  }

  /** One step in a wind, world axes. */
  void step(double[] blows) {
    wind = blows;
    rungeKutta();
  }

  private void rungeKutta() {
    double[] s = state.values();
    slope(s, slopes[0]);
    System.arraycopy(slopes[0], FlightState.RATES, turning, 0, 3);
    slope(after(s, slopes[0], step / 2), slopes[1]);
    slope(after(s, slopes[1], step / 2), slopes[2]);
    slope(after(s, slopes[2], step), slopes[3]);
    double[] next = new double[FlightState.SIZE];
    for (int i = 0; i < next.length; i++) {
      next[i] =
          s[i] + step / 6 * (slopes[0][i] + 2 * slopes[1][i] + 2 * slopes[2][i] + slopes[3][i]);
    }
    normalise(next);
    state = new FlightState(next);
  }

  private double[] after(double[] s, double[] slope, double by) {
    for (int i = 0; i < between.length; i++) {
      between[i] = s[i] + by * slope[i];
    }
    return between;
  }

  private static void normalise(double[] s) {
    int t = FlightState.TURN;
    double size =
        Math.sqrt(s[t] * s[t] + s[t + 1] * s[t + 1] + s[t + 2] * s[t + 2] + s[t + 3] * s[t + 3]);
    for (int i = t; i < t + 4; i++) {
      s[i] /= size;
    }
  }

  private void slope(double[] s, double[] slope) {
    FlightState at = new FlightState(s);
    double[] air = at.toBody(new double[] {s[3] - wind[0], s[4] - wind[1], s[5] - wind[2]});
    double p = s[FlightState.RATES];
    double q = s[FlightState.RATES + 1];
    double r = s[FlightState.RATES + 2];
    Aerodynamics.Loads loads =
        held.loads(new Aerodynamics.Motion(air[0], air[1], air[2], p, q, r, FlyingModel.DENSITY));
    double[] force = at.toWorld(new double[] {loads.x(), loads.y(), loads.z()});
    for (int i = 0; i < 3; i++) {
      slope[i] = s[FlightState.VELOCITY + i];
      slope[FlightState.VELOCITY + i] = force[i] / mass;
    }
    slope[FlightState.VELOCITY + 2] += FlyingModel.GRAVITY;
    slope[FlightState.TURN] = -(at.x() * p + at.y() * q + at.z() * r) / 2;
    slope[FlightState.TURN + 1] = (at.w() * p + at.y() * r - at.z() * q) / 2;
    slope[FlightState.TURN + 2] = (at.w() * q + at.z() * p - at.x() * r) / 2;
    slope[FlightState.TURN + 3] = (at.w() * r + at.x() * q - at.y() * p) / 2;
    double[] i = inertia;
    slope[FlightState.RATES] = (loads.l() - (i[2] - i[1]) * q * r) / i[0];
    slope[FlightState.RATES + 1] = (loads.m() - (i[0] - i[2]) * p * r) / i[1];
    slope[FlightState.RATES + 2] = (loads.n() - (i[1] - i[0]) * p * q) / i[2];
  }
}
