package hightally.core.bench;

import hightally.core.adjustment.LeastSquares;
import hightally.core.airframe.Surface;
import hightally.core.log.PhaseReading;
import hightally.core.phase.Phase;
import hightally.core.phase.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Validation;
import hightally.core.quantity.Within;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * A simulated model in flight, with faults its description does not know of: it says with which
 * clicks it would fly straight. A stand-in to practise and to test with, not an aircraft: it knows
 * that it flies level as designed when each control's surfaces stand where the design has them at
 * rest, and by how many millimetres its faults ask for something else.
 */
public final class FlyingModel {
  private static final int ROUNDS = 3;
  private static final int TRIED_CLICKS = 8;
  private static final int ONE_IN = 6;
  private static final double NOTHING_MM = 1e-6;

  /** Faults of a size every builder has met, to practise with. */
  public static Faults practice(double designCgMm) {
    return new Faults(0.9, -0.8, 0.6, designCgMm, 0.1, List.of(), List.of(), true);
  }

  private final Setup design;
  private final Faults faults;
  private final SignalPath asDesigned;

  /** A horn whose radius is another than described. */
  public record HornFault(
      @Text(max = 40) String surface,
      @Within(min = -50, max = 100, unit = Unit.PERCENT) double percent) {}

  /** What one phase asks for on the elevator that the others do not. */
  public record PhaseFault(
      @Text(max = 40) String phase,
      @Within(min = -10, max = 10, unit = Unit.MILLIMETRES) double pitchMm) {}

  /**
   * What is hidden from the pilot, in mm of a surface that takes the whole of a control, plus is
   * right, up, right.
   *
   * @param warpMm a warped wing: aileron it takes to fly straight
   * @param pitchMm elevator it takes
   * @param yawMm rudder it takes
   * @param designCgMm balance point for which that is so
   * @param pitchMmPerCgMm elevator less for each mm the balance point lies further aft
   * @param horns horns that are not as described
   * @param phases what single phases ask for
   * @param unsteady whether the pilot is a click off in one control of three
   */
  public record Faults(
      @Within(min = -10, max = 10, unit = Unit.MILLIMETRES) double warpMm,
      @Within(min = -10, max = 10, unit = Unit.MILLIMETRES) double pitchMm,
      @Within(min = -10, max = 10, unit = Unit.MILLIMETRES) double yawMm,
      @Within(min = -500, max = 2000, unit = Unit.MILLIMETRES) double designCgMm,
      @Within(min = -2, max = 2, unit = Unit.MILLIMETRES_PER_MILLIMETRE) double pitchMmPerCgMm,
      List<HornFault> horns,
      List<PhaseFault> phases,
      boolean unsteady) {
    public Faults {
      horns = List.copyOf(horns);
      phases = List.copyOf(phases);
    }
  }

  /**
   * A model.
   *
   * @param design the first design: what its phases do at rest is meant
   */
  public FlyingModel(Setup design, Faults faults) {
    this.design = Validation.check(design);
    this.faults = Validation.check(faults);
    asDesigned = SignalPath.of(design);
  }

  /**
   * The clicks with which it flies straight in every phase, the last one first.
   *
   * @param now the setup as it is flown
   * @param cgMm where it balances
   * @param seed decides where an unsteady pilot is a click off
   */
  public List<PhaseReading> fly(Setup now, double cgMm, long seed) {
    SignalPath real = SignalPath.of(withFaults(now));
    Random random = new Random(seed);
    List<PhaseReading> found = new ArrayList<>();
    Trims base = Trims.ZERO;
    for (int phase = now.phases().size() - 1; phase >= 0; phase--) {
      Phase flown = now.phases().get(phase);
      Trims needed = needed(real, phase, wanted(flown.id(), cgMm));
      needed = phase == now.phases().size() - 1 ? needed : flown.withTrims(needed).effective(base);
      base = found.isEmpty() ? needed : base;
      Trims noted = faults.unsteady() ? unsteady(needed, random) : needed;
      found.add(new PhaseReading(flown.id(), noted, 100, PhaseReading.Sure.SURE, false));
    }
    return found;
  }

  private Setup withFaults(Setup now) {
    return now.withSurfaces(now.surfaces().stream().map(this::withFault).toList());
  }

  private Surface withFault(Surface surface) {
    Surface changed = surface;
    for (HornFault fault : faults.horns()) {
      if (fault.surface().equals(surface.id())) {
        double described =
            design.surface(surface.id()).orElse(surface).rod().linkage().hornRadiusMm();
        changed = surface.withRod(surface.rod().withHorn(described * (1 + fault.percent() / 100)));
      }
    }
    return changed;
  }

  private double[] wanted(String phase, double cgMm) {
    int index = design.phases().indexOf(design.phase(phase).orElse(design.basePhase()));
    double[] wanted = attitude(asDesigned, index, Trims.ZERO);
    wanted[0] += faults.warpMm();
    wanted[1] += faults.pitchMm() - faults.pitchMmPerCgMm() * (cgMm - faults.designCgMm());
    wanted[2] += faults.yawMm();
    for (PhaseFault fault : faults.phases()) {
      wanted[1] += fault.phase().equals(phase) ? fault.pitchMm() : 0;
    }
    return wanted;
  }

  /** Whole clicks that come nearest, control by control; some rounds, since linkages bend. */
  private static Trims needed(SignalPath real, int phase, double[] wanted) {
    int most = real.setup().transmitter().trimRangeClicks();
    Trims trims = Trims.ZERO;
    for (int round = 0; round < ROUNDS; round++) {
      for (Control control : Control.values()) {
        int i = control.ordinal();
        double now = attitude(real, phase, trims)[i];
        Trims more = trims.with(control, trims.of(control) + TRIED_CLICKS);
        double per = (attitude(real, phase, more)[i] - now) / TRIED_CLICKS;
        if (Math.abs(per) > NOTHING_MM) {
          long clicks = trims.of(control) + Math.round((wanted[i] - now) / per);
          trims = trims.with(control, (int) Math.max(-most, Math.min(most, clicks)));
        }
      }
    }
    return trims;
  }

  /** What all surfaces together do for roll, pitch and yaw, in mm of one that takes the whole. */
  private static double[] attitude(SignalPath path, int phase, Trims trims) {
    Moment rest = Moment.centred(Trims.ZERO).withThrottle(1, true);
    double[] mm = path.evaluateTrimmed(rest, phase, trims).travelMm();
    List<double[]> rows = new ArrayList<>();
    List<Double> stands = new ArrayList<>();
    for (int i = 0; i < mm.length; i++) {
      double[] shares = path.setup().surfaces().get(i).shares().ofControls();
      if (shares[0] != 0 || shares[1] != 0 || shares[2] != 0) {
        rows.add(shares);
        stands.add(mm[i]);
      }
    }
    return LeastSquares.solve(rows, stands);
  }

  private static Trims unsteady(Trims trims, Random random) {
    Trims noted = trims;
    for (Control control : Control.values()) {
      int thrown = random.nextInt(ONE_IN);
      noted = noted.with(control, noted.of(control) + (thrown == 0 ? 1 : thrown == 1 ? -1 : 0));
    }
    return noted;
  }
}
