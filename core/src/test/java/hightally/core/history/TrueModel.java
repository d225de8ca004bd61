package hightally.core.history;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Surface;
import hightally.core.linkage.RodEnd;
import hightally.core.plain.PlainModel;
import hightally.core.program.Phase;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * An aircraft as it really is, by plain arithmetic: the design, hidden faults on top, and rods that
 * were really turned. It says where its surfaces stand and which clicks it needs to fly straight.
 */
public final class TrueModel {
  private static final int FAR = 12;

  private final Setup design;
  private final Map<String, Double> turnedMm = new HashMap<>();
  private final Map<String, Double> slippedMm = new HashMap<>();
  private final Map<String, Double> arms = new HashMap<>();
  private final Map<String, Double> horns = new HashMap<>();
  private final double[] wantsMm = new double[3];
  private final Map<String, Double> phasePitchMm = new HashMap<>();
  private double clickFactor = 1;
  private double threadFactor = 1;
  private double threadOf;
  private PlainModel real;

  public TrueModel(Setup design) {
    this.design = design;
  }

  /** As it is now it flies straight with these clicks: what that takes is what it wants. */
  public void fliesWith(String phase, Trims trims) {
    for (Control control : Control.values()) {
      double there = attitude(real(), control, phase, trims);
      wants(control, there - attitude(real(), control, phase, Trims.ZERO));
    }
  }

  void wants(Control control, double mm) {
    wantsMm[control.ordinal()] += mm;
  }

  void wantsPitch(String phase, double mm) {
    phasePitchMm.put(phase, mm);
  }

  void click(double factor) {
    clickFactor = factor;
    real = null;
  }

  /** All ends typed with one pitch have another. */
  void thread(double typedPitch, double factor) {
    threadOf = typedPitch;
    threadFactor = factor;
    real = null;
  }

  void arm(String surface, double factor) {
    arms.put(surface, factor);
    real = null;
  }

  void horn(String surface, double factor) {
    horns.put(surface, factor);
    real = null;
  }

  void slip(String surface, double mm) {
    slippedMm.merge(surface, mm, Double::sum);
    real = null;
  }

  /** Real length of one step of an end, mm. */
  double stepMm(String surface) {
    RodEnd end = design.surface(surface).orElseThrow().rod().end();
    return end.stepMm() * (end.pitchMm() == threadOf ? threadFactor : 1);
  }

  /** Really turns a rod by steps of its end. */
  public void turn(String surface, double steps) {
    turnedMm.merge(surface, steps * stepMm(surface), Double::sum);
    real = null;
  }

  private PlainModel real() {
    if (real == null) {
      List<Surface> surfaces =
          design.surfaces().stream()
              .map(
                  one -> {
                    double more =
                        turnedMm.getOrDefault(one.id(), 0.0)
                            + slippedMm.getOrDefault(one.id(), 0.0);
                    return one.withRod(
                        one.rod()
                            .withArm(
                                one.rod().linkage().armRadiusMm()
                                    * arms.getOrDefault(one.id(), 1.0))
                            .withHorn(
                                one.rod().linkage().hornRadiusMm()
                                    * horns.getOrDefault(one.id(), 1.0))
                            .changedBy(more));
                  })
              .toList();
      double step = design.transmitter().clickStepPercent() * clickFactor;
      real =
          new PlainModel(
              design
                  .withSurfaces(surfaces)
                  .change()
                  .transmitter(design.transmitter().withClickStep(step))
                  .phases(design.phases().stream().map(one -> shared(one)).toList())
                  .done());
    }
    return real;
  }

  /** The same phase with all trims common, so that the moment's clicks act. */
  private static Phase shared(Phase one) {
    return new Phase(
        one.id(),
        one.name(),
        one.goal(),
        one.role(),
        one.when(),
        one.fadeSeconds(),
        one.presets(),
        one.differential(),
        false,
        false,
        false,
        Trims.ZERO,
        one.nose());
  }

  /** Where a surface stands, mm. */
  double mm(String surface, String phase, Trims trims) {
    return mm(surface, phase, Moment.centred(trims).withThrottle(0.5, true));
  }

  /** The same at a stick. */
  double mm(String surface, Control control, double stick) {
    Moment moment = Moment.centred(Trims.ZERO).withThrottle(0.5, true).with(control, stick);
    return mm(surface, design.basePhase().id(), moment);
  }

  private double mm(String surface, String phase, Moment moment) {
    Surface one = real().setup().surface(surface).orElseThrow();
    return real().travel(one, moment, design.phases().indexOf(design.phase(phase).orElseThrow()));
  }

  private double attitude(PlainModel model, Control control, String phase, Trims trims) {
    double sum = 0;
    double squares = 0;
    Setup setup = model.setup();
    int index = design.phases().indexOf(design.phase(phase).orElseThrow());
    Moment moment = Moment.centred(trims).withThrottle(0.5, true);
    for (Surface one : setup.surfaces()) {
      double share = one.shares().of(control);
      if (share != 0 && one.rod().driver() == DriverKind.SERVO) {
        sum += share * model.travel(one, moment, index);
        squares += share * share;
      }
    }
    return squares == 0 ? 0 : sum / squares;
  }

  /** The clicks it needs in a phase to fly straight, not rounded; roll, pitch, yaw. */
  public double[] needs(String phase) {
    real();
    PlainModel asDesigned =
        new PlainModel(
            design
                .change()
                .phases(design.phases().stream().map(TrueModel::shared).toList())
                .done());
    double[] needs = new double[3];
    for (int round = 0; round < 3; round++) {
      for (Control control : Control.values()) {
        int i = control.ordinal();
        double wanted =
            attitude(asDesigned, control, phase, Trims.ZERO)
                + wantsMm[i]
                + (control == Control.PITCH ? phasePitchMm.getOrDefault(phase, 0.0) : 0);
        Trims near = near(needs);
        double now = attitude(real, control, phase, near);
        double per =
            (attitude(real, control, phase, near.with(control, near.of(control) + FAR)) - now)
                / FAR;
        needs[i] = Math.abs(per) < 1e-9 ? 0 : near.of(control) + (wanted - now) / per;
      }
    }
    return needs;
  }

  static Trims near(double[] clicks) {
    return new Trims(
        (int) Math.rint(clicks[0]), (int) Math.rint(clicks[1]), (int) Math.rint(clicks[2]));
  }

  /** What one step of the coarsest end behind a control is worth in clicks. */
  double stepClicks(Control control) {
    String base = design.basePhase().id();
    double most = 0;
    for (Surface one : design.surfaces()) {
      if (one.shares().of(control) != 0 && one.rod().driver() == DriverKind.SERVO) {
        double rest = mm(one.id(), base, Trims.ZERO);
        double click = (mm(one.id(), base, Trims.ZERO.with(control, FAR)) - rest) / FAR;
        turn(one.id(), 1);
        double step = mm(one.id(), base, Trims.ZERO) - rest;
        turn(one.id(), -1);
        if (Math.abs(click) > 1e-4) {
          most = Math.max(most, Math.abs(step / click));
        }
      }
    }
    return most;
  }
}
