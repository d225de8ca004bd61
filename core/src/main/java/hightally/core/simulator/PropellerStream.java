package hightally.core.simulator;

import hightally.core.simulator.Aerodynamics.Motion;
import hightally.core.simulator.FlyingShape.Propeller;

/** A propeller, and the stream behind it: momentum theory, with half its swirl. */
final class PropellerStream {
  private static final double MM = 1000;
  private static final double TORQUE = 0.06;
  private static final double OFF_AXIS = 0.1;

  final double x;
  final double y;
  final double z;

  /** Where it pulls. */
  final double sx;

  final double sy;
  final double sz;

  /** Per strip how much of it lies in the stream, 0 to 1. */
  final double[] share;

  private final Propeller propeller;
  private final double diameter;
  private final double disc;

  /** What it does at one moment. */
  static final class Now {
    boolean blows;
    double speed;
    double swirl;
    double fx;
    double fy;
    double fz;
    double mx;
    double my;
    double mz;

    private void nothing() {
      blows = false;
      speed = 0;
      swirl = 0;
      fx = 0;
      fy = 0;
      fz = 0;
      mx = 0;
      my = 0;
      mz = 0;
    }
  }

  PropellerStream(Propeller propeller, FlyingShape.Spot cg, Strips strips) {
    this.propeller = propeller;
    x = (cg.aftMm() - propeller.at().aftMm()) / MM;
    y = (propeller.at().rightMm() - cg.rightMm()) / MM;
    z = (cg.upMm() - propeller.at().upMm()) / MM;
    double down = Math.toRadians(propeller.downThrustDegrees());
    double right = Math.toRadians(propeller.rightThrustDegrees());
    sx = Math.cos(down) * Math.cos(right);
    sy = Math.cos(down) * Math.sin(right);
    sz = Math.sin(down);
    diameter = propeller.diameterMm() / MM;
    double radius = diameter / 2;
    disc = Math.PI * radius * radius;
    share = new double[strips.count];
    for (int i = 0; i < share.length; i++) {
      if (radius > 0 && strips.x[i] < x) {
        double off = Math.hypot(strips.y[i] - y, strips.z[i] - z);
        share[i] = Math.max(0, Math.min(1, (radius - off) / strips.width[i] + 0.5));
      }
    }
  }

  double dy(double strip) {
    return strip - y;
  }

  double dz(double strip) {
    return strip - z;
  }

  void run(Motion motion, double power, Now now) {
    now.nothing();
    double ux = motion.u() + motion.q() * z - motion.r() * y;
    double uy = motion.v() + motion.r() * x - motion.p() * z;
    double uz = motion.w() + motion.p() * y - motion.q() * x;
    double along = ux * sx + uy * sy + uz * sz;
    double ahead = Math.max(0, along);
    double pulls = power * (power - ahead / propeller.pitchSpeed());
    double thrust = propeller.staticThrust() * Math.max(0, pulls);
    if (!(thrust > 0)) {
      return;
    }
    now.fx = thrust * sx;
    now.fy = thrust * sy;
    now.fz = thrust * sz;
    if (!(diameter > 0)) {
      return;
    }
    double mass = motion.density() * disc;
    double faster = Math.sqrt(ahead * ahead + 2 * thrust / mass) - ahead;
    double radius = diameter / 2;
    double torque = propeller.turns() * TORQUE * thrust * diameter;
    double size = Math.sqrt(ux * ux + uy * uy + uz * uz);
    double off = propeller.turns() * OFF_AXIS * thrust * diameter / (size + faster);
    now.mx = -torque * sx - off * (ux - along * sx);
    now.my = -torque * sy - off * (uy - along * sy);
    now.mz = -torque * sz - off * (uz - along * sz);
    now.blows = true;
    now.speed = faster;
    now.swirl = torque / (mass * (ahead + faster / 2) * radius * radius);
  }
}
