package hightally.core.simulator;

import hightally.core.quantity.Validation;
import hightally.core.simulator.FlyingShape.BodyStation;
import hightally.core.simulator.FlyingShape.Propeller;
import java.util.ArrayList;
import java.util.List;

/**
 * What the air does to a shape: strips of its panels with their flaps, stalled or not, behind one
 * another's downwash and in the streams of its propellers; the fuselage; the propellers.
 *
 * <p>SI units and rad, body axes (x forward, y right, z down) about the balance point, without
 * weight. Any attitude and any rate have an answer: strips that stand still in the air have no
 * force. Thin-aerofoil theory for flaps, Helmbold's slope, Young's drag of plain flaps, Multhopp's
 * unstable moments of a fuselage, momentum theory for propellers, each as {@code docs/flight.md}
 * states it. It predicts no real aircraft.
 */
public final class Aerodynamics {
  private static final double STILL = 1e-12;
  private static final double STALL = Math.toRadians(14);
  private static final double STALL_SHARPNESS = 50;
  private static final double SHARPEST = Math.exp(2 * STALL_SHARPNESS * STALL);
  private static final double FLAT_PLATE = 1.8;
  private static final double FLAT_PLATE_MOMENT = 0.9;
  private static final double SKIN_DRAG = 0.015;
  private static final double CROSS_DRAG = 1.5;
  private static final double MM = 1000;

  private final Strips strips;
  private final PropellerStream[] propellers;
  private final Piece[] pieces;
  private final double dragArea;

  /** A piece of the fuselage between two stations. */
  private record Piece(
      double x, double y, double z, double length, double height, double width, boolean behind) {}

  private Aerodynamics(FlyingShape shape) {
    strips = Strips.of(shape);
    dragArea = shape.fuselage().dragArea();
    List<PropellerStream> streams = new ArrayList<>();
    for (Propeller one : shape.propellers()) {
      streams.add(new PropellerStream(one, shape.cg(), strips));
    }
    propellers = streams.toArray(PropellerStream[]::new);
    List<BodyStation> stations = shape.fuselage().stations();
    pieces = new Piece[Math.max(0, stations.size() - 1)];
    for (int i = 0; i < pieces.length; i++) {
      pieces[i] = piece(stations.get(i), stations.get(i + 1), shape.cg());
    }
  }

  private Piece piece(BodyStation a, BodyStation b, FlyingShape.Spot cg) {
    double x = (cg.aftMm() - (a.aftMm() + b.aftMm()) / 2) / MM;
    double middle = (a.topMm() + a.bottomMm() + b.topMm() + b.bottomMm()) / 4;
    double height = (a.topMm() - a.bottomMm() + b.topMm() - b.bottomMm()) / 2;
    return new Piece(
        x,
        -cg.rightMm() / MM,
        (cg.upMm() - middle) / MM,
        (b.aftMm() - a.aftMm()) / MM,
        height / MM,
        (a.halfWidthMm() + b.halfWidthMm()) / MM,
        strips.wing != null && x < strips.wingX());
  }

  /**
   * The forces of a shape.
   *
   * @throws hightally.core.quantity.InvalidInputException naming what is out of its range
   */
  public static Aerodynamics of(FlyingShape shape) {
    return new Aerodynamics(Validation.check(shape));
  }

  /** How many strips its panels are cut into. */
  public int strips() {
    return strips.count;
  }

  /**
   * How the shape moves through the air.
   *
   * @param u forward, m/s, of the balance point against the air; v right, w down
   * @param p right wing down, rad/s; q nose up, r nose right
   * @param density kg/m³
   */
  public record Motion(
      double u, double v, double w, double p, double q, double r, double density) {}

  /** Force in N and moment in Nm about the balance point, body axes. */
  public record Loads(double x, double y, double z, double l, double m, double n) {}

  /**
   * Flaps and power as they stand: worked out once, asked as often as needed. Not for several
   * threads at a time.
   *
   * @param flapDegrees plus is the trailing edge towards the panel's normal: up, or right
   * @param power of each propeller, share of its full revolutions, 0 to 1
   */
  public Held held(double[] flapDegrees, double[] power) {
    Held held = new Held();
    held.stand(flapDegrees, power);
    return held;
  }

  /** A shape whose flaps and power stand. */
  public final class Held {
    private final double[] angle = new double[strips.count];
    private final double[] moment = new double[strips.count];
    private final double[] drag = new double[strips.count];
    private final double[] power = new double[propellers.length];
    private final PropellerStream.Now[] now = new PropellerStream.Now[propellers.length];
    private double fx;
    private double fy;
    private double fz;
    private double mx;
    private double my;
    private double mz;

    private Held() {
      for (int i = 0; i < now.length; i++) {
        now[i] = new PropellerStream.Now();
      }
    }

    /** Moves flaps and power elsewhere. */
    public void stand(double[] flapDegrees, double[] powers) {
      System.arraycopy(powers, 0, power, 0, power.length);
      for (int i = 0; i < strips.count; i++) {
        angle[i] = 0;
        moment[i] = 0;
        drag[i] = 0;
        for (Strips.Hinged one : strips.hinged[i]) {
          double turned = flapDegrees[one.flap()];
          double effective = -effect(turned) * Math.toRadians(turned);
          double sine = Math.sin(Math.toRadians(turned));
          angle[i] += one.lift() * effective;
          moment[i] += one.moment() * effective;
          drag[i] += one.drag() * sine * sine;
        }
      }
    }

    /** What the air does in a motion. */
    public Loads loads(Motion motion) {
      fx = 0;
      fy = 0;
      fz = 0;
      mx = 0;
      my = 0;
      mz = 0;
      for (int i = 0; i < propellers.length; i++) {
        propellers[i].run(motion, power[i], now[i]);
        PropellerStream.Now one = now[i];
        add(one.fx, one.fy, one.fz, propellers[i].x, propellers[i].y, propellers[i].z);
        mx += one.mx;
        my += one.my;
        mz += one.mz;
      }
      double canard = lift(motion, 0, 0);
      double covered =
          strips.canard == null || strips.wing == null
              ? 0
              : Math.min(1, strips.canard.spanMm() / strips.wing.spanMm());
      double wing =
          lift(motion, 1, strips.canard == null ? 0 : canard * strips.canard.downwash() * covered);
      double wash = strips.wing == null ? 0 : wing * strips.wing.downwash();
      lift(motion, 2, wash);
      lift(motion, 3, 0);
      body(motion, wash);
      return new Loads(fx, fy, fz, mx, my, mz);
    }

    /** The strips of one role; answers their common lift coefficient. */
    private double lift(Motion motion, int role, double wash) {
      double lift = 0;
      double weight = 0;
      for (int i = strips.begins[role]; i < strips.begins[role + 1]; i++) {
        double up = strips.up(i);
        lift += strip(motion, i, wash * up) * strips.area[i] * up;
        weight += strips.area[i] * up * up;
      }
      return weight > 0 ? lift / weight : 0;
    }

    private double strip(Motion motion, int i, double wash) {
      double x = strips.x[i];
      double y = strips.y[i];
      double z = strips.z[i];
      double ux = motion.u() + motion.q() * z - motion.r() * y;
      double uy = motion.v() + motion.r() * x - motion.p() * z;
      double uz = motion.w() + motion.p() * y - motion.q() * x;
      for (int k = 0; k < propellers.length; k++) {
        double share = now[k].blows ? propellers[k].share[i] : 0;
        if (share > 0) {
          ux += share * now[k].speed * propellers[k].sx;
          uy += share * (now[k].speed * propellers[k].sy + now[k].swirl * propellers[k].dz(z));
          uz += share * (now[k].speed * propellers[k].sz - now[k].swirl * propellers[k].dy(y));
        }
      }
      double ny = strips.ny[i];
      double nz = strips.nz[i];
      double un = -(uy * ny + uz * nz);
      double squared = ux * ux + un * un;
      if (squared < STILL) {
        return 0;
      }
      Surfaces group = strips.group[i];
      double alpha = turn(Math.atan2(un, ux) + strips.incidence[i] - wash);
      double mean = alpha + angle[i] / 2;
      double a = Math.exp(-STALL_SHARPNESS * (mean - STALL));
      double b = SHARPEST / a;
      double stalled = (1 + a + b) / ((1 + a) * (1 + b));
      double attached = group.slope() * (alpha + angle[i] - strips.zeroLift[i]);
      double sine = Math.sin(mean);
      double plate = stalled * FLAT_PLATE * sine;
      double cl = (1 - stalled) * attached + plate * Math.cos(mean);
      double cd =
          SKIN_DRAG
              + drag[i]
              + (1 - stalled) * attached * attached / group.inducedBy()
              + plate * sine;
      double cm =
          (1 - stalled) * (strips.sectionMoment[i] + moment[i])
              - stalled * FLAT_PLATE_MOMENT * Math.abs(mean) * sine / Math.PI;
      double pressure = 0.5 * motion.density() * squared * strips.area[i];
      double speed = Math.sqrt(squared);
      double along = pressure * (cl * un - cd * ux) / speed;
      double normal = pressure * (cl * ux + cd * un) / speed;
      add(along, normal * ny, normal * nz, x, y, z);
      double pitching = pressure * strips.chord[i] * cm;
      my -= pitching * nz;
      mz += pitching * ny;
      return cl;
    }

    private void body(Motion motion, double wash) {
      double half = motion.density() / 2;
      double speed =
          Math.sqrt(motion.u() * motion.u() + motion.v() * motion.v() + motion.w() * motion.w());
      double drags = half * dragArea * speed;
      fx -= drags * motion.u();
      fy -= drags * motion.v();
      fz -= drags * motion.w();
      for (Piece one : pieces) {
        double v = motion.v() + motion.r() * one.x() - motion.p() * one.z();
        double w = motion.w() + motion.p() * one.y() - motion.q() * one.x();
        double across = half * CROSS_DRAG * Math.hypot(v, w) * one.length();
        add(0, -across * one.height() * v, -across * one.width() * w, one.x(), one.y(), one.z());
        double around = motion.density() * Math.PI / 4 * one.length() * motion.u();
        double down = motion.w() - (one.behind() ? wash * motion.u() : 0);
        my += around * one.width() * one.width() * down;
        mz -= around * one.height() * one.height() * motion.v();
      }
    }

    private void add(double x, double y, double z, double atX, double atY, double atZ) {
      fx += x;
      fy += y;
      fz += z;
      mx += atY * z - atZ * y;
      my += atZ * x - atX * z;
      mz += atX * y - atY * x;
    }
  }

  /** How much of a flap's turn the air follows: 0.8 to 15°, in a line to 0.5 at 40°, then 0.5. */
  private static double effect(double degrees) {
    double size = Math.abs(degrees);
    double part = Math.max(0, Math.min(1, (size - 15) / 25));
    return 0.8 - 0.3 * part;
  }

  private static double turn(double angle) {
    double within = angle;
    while (within > Math.PI) {
      within -= 2 * Math.PI;
    }
    while (within <= -Math.PI) {
      within += 2 * Math.PI;
    }
    return within;
  }
}
