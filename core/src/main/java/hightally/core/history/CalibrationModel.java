package hightally.core.history;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Surface;
import hightally.core.flightlog.Diagnosis.EndClass;
import hightally.core.flightlog.Diagnosis.Observation;
import hightally.core.flightlog.Diagnosis.Seen;
import hightally.core.linkage.FourBar;
import hightally.core.linkage.RodEnd;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Positions;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What a description predicts of bench measurements, and which unknowns it has. */
final class CalibrationModel {
  /** Standard deviations of readings: a gauge or a ruler at a trailing edge, mm. */
  static final double GAUGE_MM = 0.2;

  static final double THROW_MM = 0.4;

  /** A click that moves less than this moves nothing. */
  private static final double LEAST_MM = 1e-3;

  private final Setup setup;
  private final SignalPath path;

  CalibrationModel(Setup setup) {
    this.setup = setup;
    path = SignalPath.of(setup);
  }

  /** Ends typed alike: of the same kind and thread. */
  static List<EndClass> ends(Setup setup) {
    Map<String, List<String>> classes = new LinkedHashMap<>();
    for (Surface one : setup.surfaces()) {
      classes.computeIfAbsent(name(one.rod().end()), key -> new ArrayList<>()).add(one.id());
    }
    List<EndClass> found = new ArrayList<>();
    classes.forEach((name, surfaces) -> found.add(new EndClass(name, surfaces)));
    return found;
  }

  static String name(RodEnd end) {
    return end.kind().name() + " " + end.pitchMm();
  }

  static List<String> surfaces(Setup setup) {
    return setup.surfaces().stream().map(Surface::id).toList();
  }

  /** What is predicted of a reading, as a size, mm. */
  double predictedMm(String surface, Seen kind, Control control, double amount) {
    int index = path.indexOf(surface);
    double rest = rest().travelMm()[index];
    double moved =
        switch (kind) {
          case GAUGE -> clicks(control, (int) Math.round(amount)).travelMm()[index];
          case TURNS -> turned(index, amount);
          case THROW -> stick(control, amount).travelMm()[index];
          case FLIGHT -> rest;
        };
    return Math.abs(moved - rest);
  }

  /** A reading as an observation with this description. */
  Observation observation(BenchReading reading) {
    double predicted =
        predictedMm(reading.surface(), reading.kind(), reading.control(), reading.amount());
    double sd = reading.kind() == Seen.THROW ? THROW_MM : GAUGE_MM;
    return new Observation(
        reading.kind(), Map.of(reading.surface(), 1.0), predicted, reading.mm(), sd);
  }

  private Positions rest() {
    return clicks(Control.ROLL, 0);
  }

  private Positions clicks(Control control, int clicks) {
    int base = setup.phases().size() - 1;
    return path.evaluateTrimmed(path.rest(base), base, Trims.ZERO.with(control, clicks));
  }

  private Positions stick(Control control, double way) {
    int base = setup.phases().size() - 1;
    return path.evaluateTrimmed(path.rest(base).with(control, way), base, Trims.ZERO);
  }

  private double turned(int index, double turns) {
    Surface surface = setup.surfaces().get(index);
    RodEnd end = surface.rod().end();
    FourBar bar = path.bar(index);
    double mm = turns * end.pitchMm() * Math.max(1, end.kind().threads());
    FourBar longer = bar.withRod(bar.rodLengthMm() + mm);
    return surface.travelMm(longer.surfaceAngle(path.driverDegrees(index, rest())));
  }

  /** The weights with which surfaces take part in the trim of a control: servos alike. */
  Map<String, Double> weights(Control control) {
    List<String> ids = new ArrayList<>();
    for (int i = 0; i < setup.surfaces().size(); i++) {
      Surface one = setup.surfaces().get(i);
      int carried = one.rod().driver() == DriverKind.SERVO ? path.carriedBehind(i) : -1;
      if (carried >= 0 && setup.surfaces().get(carried).shares().of(control) != 0) {
        ids.add(one.id());
      }
    }
    Map<String, Double> weights = new LinkedHashMap<>();
    ids.forEach(id -> weights.put(id, 1.0 / ids.size()));
    return weights;
  }

  /** The control whose clicks move a surface most; null where none does. */
  Control mainControl(String surface) {
    Control main = null;
    double most = LEAST_MM;
    for (Control control : Control.values()) {
      double mm = predictedMm(surface, Seen.GAUGE, control, 1);
      if (mm > most) {
        main = control;
        most = mm;
      }
    }
    return main;
  }
}
