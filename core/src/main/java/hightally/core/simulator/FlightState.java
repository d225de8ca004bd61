package hightally.core.simulator;

/**
 * Where a model is and how it moves. World: north, east, down, m; body: x forward, y right, z down.
 *
 * @param values position 3, velocity over ground 3, quaternion body to world 4, rates 3
 */
record FlightState(double[] values) {
  static final int SIZE = 13;
  static final int VELOCITY = 3;
  static final int TURN = 6;
  static final int RATES = 10;

  /** A state in straight flight northwards, at a height. */
  static FlightState of(TrimState trim, double height) {
    double[] s = new double[SIZE];
    s[2] = -height;
    double half = trim.pitch() / 2;
    double bank = trim.bank() / 2;
    s[TURN] = Math.cos(half) * Math.cos(bank);
    s[TURN + 1] = Math.cos(half) * Math.sin(bank);
    s[TURN + 2] = Math.sin(half) * Math.cos(bank);
    s[TURN + 3] = -Math.sin(half) * Math.sin(bank);
    double cosine = Math.cos(trim.beta());
    double[] body = {
      trim.speed() * Math.cos(trim.alpha()) * cosine,
      trim.speed() * Math.sin(trim.beta()),
      trim.speed() * Math.sin(trim.alpha()) * cosine
    };
    double[] world = new FlightState(s).toWorld(body);
    System.arraycopy(world, 0, s, VELOCITY, 3);
    return new FlightState(s);
  }

  double[] position() {
    return three(0);
  }

  double[] velocity() {
    return three(VELOCITY);
  }

  double[] rates() {
    return three(RATES);
  }

  private double[] three(int at) {
    return new double[] {values[at], values[at + 1], values[at + 2]};
  }

  double w() {
    return values[TURN];
  }

  double x() {
    return values[TURN + 1];
  }

  double y() {
    return values[TURN + 2];
  }

  double z() {
    return values[TURN + 3];
  }

  /** A direction of the body, seen in the world. */
  double[] toWorld(double[] b) {
    double tx = 2 * (y() * b[2] - z() * b[1]);
    double ty = 2 * (z() * b[0] - x() * b[2]);
    double tz = 2 * (x() * b[1] - y() * b[0]);
    return new double[] {
      b[0] + w() * tx + y() * tz - z() * ty,
      b[1] + w() * ty + z() * tx - x() * tz,
      b[2] + w() * tz + x() * ty - y() * tx
    };
  }

  /** A direction of the world, seen from the body. */
  double[] toBody(double[] n) {
    double tx = 2 * (z() * n[1] - y() * n[2]);
    double ty = 2 * (x() * n[2] - z() * n[0]);
    double tz = 2 * (y() * n[0] - x() * n[1]);
    return new double[] {
      n[0] + w() * tx - y() * tz + z() * ty,
      n[1] + w() * ty - z() * tx + x() * tz,
      n[2] + w() * tz - x() * ty + y() * tx
    };
  }

  /** Whether every number of it is one. */
  boolean finite() {
    for (double one : values) {
      if (!Double.isFinite(one)) {
        return false;
      }
    }
    return true;
  }
}
