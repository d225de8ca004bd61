package hightally.core.simulator;

import hightally.core.simulator.FlyingShape.AirPanel;
import hightally.core.simulator.FlyingShape.Flap;
import hightally.core.simulator.FlyingShape.Role;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;

/**
 * The panels of a shape cut into strips, in the order canard, wing, tail, fins: a strip for about
 * every sixth of a panel, cut where a flap begins or ends. m and rad, body axes (x forward, y
 * right, z down) from the balance point.
 */
final class Strips {
  /** Cuts nearer to one another than this are one. */
  private static final double SAME = 1e-9;

  private static final int STRIPS_A_PANEL = 6;
  private static final double MM = 1000;
  private static final double QUARTER = 0.25;
  private static final Role[] ORDER = {Role.CANARD, Role.WING, Role.TAIL, Role.FIN};

  final int count;
  final double[] x;
  final double[] y;
  final double[] z;
  final double[] ny;
  final double[] nz;
  final double[] chord;
  final double[] width;
  final double[] area;
  final double[] incidence;
  final double[] zeroLift;
  final double[] sectionMoment;
  final Surfaces[] group;
  final Role[] role;

  /** Per strip the flaps on it. */
  final Hinged[][] hinged;

  /** Where canard, wing, tail and fins begin, and where the last ends. */
  final int[] begins = new int[ORDER.length + 1];

  final Surfaces wing;
  final Surfaces canard;

  /**
   * What a flap's angle does to a strip: changes of angle, moment and drag by thin-aerofoil theory.
   */
  record Hinged(int flap, double lift, double moment, double drag) {
    static Hinged of(int flap, double part) {
      double theta = Math.acos(2 * part - 1);
      double sine = Math.sin(theta);
      return new Hinged(
          flap,
          1 - (theta - sine) / Math.PI,
          -0.5 * sine * (1 - Math.cos(theta)),
          1.7 * Math.pow(part, 1.38));
    }
  }

  private record Strip(
      AirPanel panel,
      double from,
      double to,
      double ny,
      double nz,
      Surfaces group,
      Hinged[] flaps) {
    double middle() {
      return (from + to) / 2;
    }

    double between(double root, double tip) {
      return root + (tip - root) * middle();
    }

    double chordMm() {
      return between(panel.root().chordMm(), panel.tip().chordMm());
    }

    double widthMm() {
      return panel.lengthMm() * (to - from);
    }
  }

  private Strips(FlyingShape shape, List<Strip> all, Surfaces wing, Surfaces canard) {
    this.wing = wing;
    this.canard = canard;
    count = all.size();
    x = new double[count];
    y = new double[count];
    z = new double[count];
    ny = new double[count];
    nz = new double[count];
    chord = new double[count];
    width = new double[count];
    area = new double[count];
    incidence = new double[count];
    zeroLift = new double[count];
    sectionMoment = new double[count];
    group = new Surfaces[count];
    role = new Role[count];
    hinged = new Hinged[count][];
    for (int i = 0; i < count; i++) {
      fill(i, all.get(i), shape.cg());
    }
    for (int i = 0; i < ORDER.length; i++) {
      begins[i + 1] = begins[i];
      while (begins[i + 1] < count && role[begins[i + 1]] == ORDER[i]) {
        begins[i + 1]++;
      }
    }
  }

  private void fill(int i, Strip strip, FlyingShape.Spot cg) {
    FlyingShape.End root = strip.panel().root();
    FlyingShape.End tip = strip.panel().tip();
    double chordMm = strip.chordMm();
    double aft = strip.between(root.at().aftMm(), tip.at().aftMm()) + QUARTER * chordMm;
    x[i] = (cg.aftMm() - aft) / MM;
    y[i] = (strip.between(root.at().rightMm(), tip.at().rightMm()) - cg.rightMm()) / MM;
    z[i] = (cg.upMm() - strip.between(root.at().upMm(), tip.at().upMm())) / MM;
    ny[i] = strip.ny();
    nz[i] = strip.nz();
    chord[i] = chordMm / MM;
    width[i] = strip.widthMm() / MM;
    area[i] = chord[i] * width[i];
    incidence[i] = Math.toRadians(strip.between(root.incidenceDegrees(), tip.incidenceDegrees()));
    FlyingShape.Section section =
        strip.panel().role() == Role.FIN ? FlyingShape.Section.SYMMETRIC : strip.panel().section();
    zeroLift[i] = section.zeroLift();
    sectionMoment[i] = section.moment();
    group[i] = strip.group();
    role[i] = strip.panel().role();
    hinged[i] = strip.flaps();
  }

  static Strips of(FlyingShape shape) {
    List<Strip> all = new ArrayList<>();
    Surfaces wing = null;
    Surfaces canard = null;
    for (Role role : ORDER) {
      List<AirPanel> panels = shape.panels().stream().filter(one -> one.role() == role).toList();
      Surfaces together = role == Role.FIN || panels.isEmpty() ? null : Surfaces.together(panels);
      wing = role == Role.WING ? together : wing;
      canard = role == Role.CANARD ? together : canard;
      for (AirPanel panel : panels) {
        cut(shape, panel, together == null ? Surfaces.fin(panel) : together, all);
      }
    }
    return new Strips(shape, all, wing, canard);
  }

  private static void cut(FlyingShape shape, AirPanel panel, Surfaces group, List<Strip> all) {
    double[] normal = panel.normal();
    List<Double> cuts = cuts(shape, panel);
    for (int i = 1; i < cuts.size(); i++) {
      double from = cuts.get(i - 1);
      double part = cuts.get(i) - from;
      int strips = (int) Math.max(1, Math.ceil(STRIPS_A_PANEL * part - SAME));
      for (int k = 0; k < strips; k++) {
        double begin = from + part * k / strips;
        double end = from + part * (k + 1) / strips;
        Strip bare = new Strip(panel, begin, end, normal[0], normal[1], group, null);
        all.add(new Strip(panel, begin, end, normal[0], normal[1], group, flaps(shape, bare)));
      }
    }
  }

  private static List<Double> cuts(FlyingShape shape, AirPanel panel) {
    TreeSet<Double> places = new TreeSet<>(List.of(0.0, 1.0));
    for (Flap flap : shape.flaps()) {
      if (flap.panel().equals(panel.id())) {
        places.add(flap.from());
        places.add(flap.to());
      }
    }
    List<Double> cuts = new ArrayList<>();
    for (double place : places) {
      if (cuts.isEmpty() || place - cuts.get(cuts.size() - 1) > SAME) {
        cuts.add(place);
      }
    }
    return cuts;
  }

  private static Hinged[] flaps(FlyingShape shape, Strip strip) {
    List<Hinged> on = new ArrayList<>();
    for (int i = 0; i < shape.flaps().size(); i++) {
      Flap flap = shape.flaps().get(i);
      boolean there = strip.middle() > flap.from() && strip.middle() < flap.to();
      if (flap.panel().equals(strip.panel().id()) && there) {
        on.add(Hinged.of(i, Math.min(1, flap.chordMm() / strip.chordMm())));
      }
    }
    return on.toArray(Hinged[]::new);
  }

  /** How much of a strip's normal points up. */
  double up(int strip) {
    return -nz[strip];
  }

  /** Where the wing's lift acts fore and aft, m ahead of the balance point; strips by area. */
  double wingX() {
    double sum = 0;
    double weight = 0;
    for (int i = begins[1]; i < begins[2]; i++) {
      double counts = area[i] * nz[i] * nz[i];
      sum += counts * x[i];
      weight += counts;
    }
    return weight > 0 ? sum / weight : 0;
  }
}
