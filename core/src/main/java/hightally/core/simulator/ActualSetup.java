package hightally.core.simulator;

import hightally.core.airframe.Surface;
import hightally.core.setup.Setup;
import java.util.List;

/** A setup as it really is: horns, arms, threads and clicks that are not as described. */
final class ActualSetup {
  private static final double PERCENT = 100;

  private ActualSetup() {}

  /**
   * What is flown with.
   *
   * @param now the setup as it is described now
   * @param design the one the faults were hidden in: what they are a percentage of
   */
  static Setup of(Setup now, Setup design, List<HiddenFault> faults) {
    double click = factor(faults, HiddenFault.Kind.CLICK_STEP, "");
    Setup real =
        now.withSurfaces(now.surfaces().stream().map(one -> real(one, design, faults)).toList());
    if (click == 1) {
      return real;
    }
    double step = design.transmitter().clickStepPercent() * click;
    return real.change().transmitter(now.transmitter().withClickStep(step)).done();
  }

  private static Surface real(Surface now, Setup design, List<HiddenFault> faults) {
    Surface was = design.surface(now.id()).orElse(now);
    double horn = factor(faults, HiddenFault.Kind.HORN, now.id());
    double arm = factor(faults, HiddenFault.Kind.ARM, now.id());
    double thread = factor(faults, HiddenFault.Kind.THREAD, "");
    double turned = now.rod().adjustedMm() - was.rod().adjustedMm();
    var rod = now.rod().changedBy(turned * (thread - 1));
    rod = horn == 1 ? rod : rod.withHorn(was.rod().linkage().hornRadiusMm() * horn);
    rod = arm == 1 ? rod : rod.withArm(was.rod().linkage().armRadiusMm() * arm);
    return now.withRod(rod);
  }

  private static double factor(List<HiddenFault> faults, HiddenFault.Kind kind, String subject) {
    return 1 + HiddenFault.sum(faults, kind, subject) / PERCENT;
  }
}
