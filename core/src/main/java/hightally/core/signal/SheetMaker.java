package hightally.core.signal;

import hightally.core.airframe.Surface;
import hightally.core.linkage.FourBar;
import hightally.core.linkage.RodEndKind;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import java.util.ArrayList;
import java.util.List;

/** Makes the {@link SurfaceSheet} of each surface. */
public final class SheetMaker {
  /** Points of a response curve: enough for a smooth line at any width a page has. */
  public static final int CURVE_POINTS = 41;

  /** A tenth of a millimetre: what a worn clevis or a loose hole has. */
  private static final double SLOP_MM = 0.1;

  private SheetMaker() {}

  /** The sheets of every surface of a setup, in its order. */
  public static List<SurfaceSheet> of(SignalPath path) {
    List<SurfaceSheet> sheets = new ArrayList<>();
    for (int i = 0; i < path.setup().surfaces().size(); i++) {
      sheets.add(sheet(path, i));
    }
    return sheets;
  }

  private static SurfaceSheet sheet(SignalPath path, int surface) {
    Surface part = path.setup().surfaces().get(surface);
    Positions centred = path.evaluateBase(rest(path));
    double driver = path.driverDegrees(surface, centred);
    FourBar bar = path.bar(surface);
    double gain = bar.gain(driver);
    return new SurfaceSheet(
        part.id(),
        throwsOf(path, surface),
        path.range(surface),
        gain,
        path.servoBehind(surface).torqueNewtonCentimetres() / Math.abs(gain),
        mmPerTurn(part, bar, driver),
        Math.abs(longer(part, bar, driver, SLOP_MM)),
        mmPerMicrosecond(path, surface, centred),
        path.highIsPlus(surface),
        sweep(path, surface, part, bar));
  }

  /** What stands in the transmitter in the base phase. */
  private static Trims trims(SignalPath path) {
    return path.setup().basePhase().effective(path.setup().trims());
  }

  private static Moment rest(SignalPath path) {
    return path.rest(path.basePhase()).withTrims(trims(path));
  }

  private static List<SurfaceSheet.ControlThrow> throwsOf(SignalPath path, int surface) {
    List<SurfaceSheet.ControlThrow> found = new ArrayList<>();
    for (Control control : Control.values()) {
      if (moves(path, surface, control)) {
        found.add(controlThrow(path, surface, control));
      }
    }
    return found;
  }

  /** Whether a stick moves a surface, by a share or by a mix. */
  private static boolean moves(SignalPath path, int surface, Control control) {
    Moment rest = rest(path);
    double still = path.evaluateBase(rest).travelMm()[surface];
    return path.evaluateBase(rest.with(control, 1)).travelMm()[surface] != still
        || path.evaluateBase(rest.with(control, -1)).travelMm()[surface] != still
        || path.program().share(path.carriedBehind(surface), control) != 0;
  }

  private static SurfaceSheet.ControlThrow controlThrow(
      SignalPath path, int surface, Control control) {
    Moment rest = rest(path);
    List<Double> curve = new ArrayList<>();
    for (int i = 0; i < CURVE_POINTS; i++) {
      double stick = 2.0 * i / (CURVE_POINTS - 1) - 1;
      curve.add(path.evaluateBase(rest.with(control, stick)).travelMm()[surface]);
    }
    return new SurfaceSheet.ControlThrow(
        control,
        curve.get(CURVE_POINTS - 1),
        curve.get(0),
        perClick(path, surface, control),
        curve);
  }

  private static double perClick(SignalPath path, int surface, Control control) {
    double none = path.evaluateBase(rest(path).withTrims(Trims.ZERO)).travelMm()[surface];
    Trims one =
        switch (control) {
          case ROLL -> new Trims(1, 0, 0);
          case PITCH -> new Trims(0, 1, 0);
          case YAW -> new Trims(0, 0, 1);
        };
    return path.evaluateBase(rest(path).withTrims(one)).travelMm()[surface] - none;
  }

  private static double mmPerTurn(Surface part, FourBar bar, double driver) {
    double perMm = part.rod().end().kind() == RodEndKind.SLIDE ? 1 : 1 / part.rod().end().turns(1);
    return longer(part, bar, driver, perMm);
  }

  private static double longer(Surface part, FourBar bar, double driver, double byMm) {
    double longer = bar.withRod(bar.rodLengthMm() + byMm).surfaceAngle(driver);
    return part.travelMm(longer) - part.travelMm(bar.surfaceAngle(driver));
  }

  private static double mmPerMicrosecond(SignalPath path, int surface, Positions centred) {
    Surface part = path.setup().surfaces().get(surface);
    double arm = centred.armDegrees()[path.servoIndexBehind(surface)];
    double step = path.servoBehind(surface).degreesPerMicrosecond();
    double moved = part.travelMm(path.angleBehind(surface, arm + step, true));
    return Math.abs(moved - part.travelMm(path.angleBehind(surface, arm, true)));
  }

  private static List<SurfaceSheet.SweepPoint> sweep(
      SignalPath path, int surface, Surface part, FourBar bar) {
    double most = path.servoBehind(surface).maxAngleDegrees();
    double from = Math.max(-most, path.range(surface).from());
    double to = Math.min(most, path.range(surface).to());
    List<SurfaceSheet.SweepPoint> stops = new ArrayList<>();
    for (int i = 0; i < CURVE_POINTS; i++) {
      double driver = path.held(surface, from + (to - from) * i / (CURVE_POINTS - 1));
      stops.add(new SurfaceSheet.SweepPoint(driver, part.travelMm(bar.surfaceAngle(driver))));
    }
    return stops;
  }
}
