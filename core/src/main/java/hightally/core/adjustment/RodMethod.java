package hightally.core.adjustment;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Servo;
import hightally.core.airframe.Surface;
import hightally.core.linkage.RodEnd;
import hightally.core.linkage.RodEndKind;
import hightally.core.linkage.RodThread;
import hightally.core.quantity.Absentable;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.Positions;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A way in which a rod's trim can be taken up; the work order follows the one that is chosen.
 *
 * @param surface id of the surface
 * @param means what is asked for; absent for turning the end that is there
 * @param chosen whether the plan is made with it
 * @param words it in words
 */
public record RodMethod(
    String surface, @Absentable RodAlternative means, boolean chosen, Said words) {
  /** From this part of a tooth on, the tooth is nearer than the rod. */
  static final double MOST_OF_A_TOOTH = 0.75;

  /** The teeth of a servo's finest step that come nearest to a turn of its arm; 0 for none. */
  static int teeth(Servo servo, double armDegrees) {
    double tooth = servo.seating().finestStepDegrees();
    double size = Math.abs(armDegrees);
    return size < MOST_OF_A_TOOTH * tooth
        ? 0
        : (int) (Math.signum(armDegrees) * Math.max(1, Math.round(size / tooth)));
  }

  /**
   * All ways of the rods that are to be turned.
   *
   * @param trimmed where everything stands with the trim in
   * @param untrimmed and with it zeroed
   */
  static List<RodMethod> of(
      SignalPath path,
      List<RodAlternative> chosen,
      List<PlannedRod> rods,
      Positions trimmed,
      Positions untrimmed) {
    Setup setup = path.setup();
    List<RodMethod> found = new ArrayList<>();
    for (PlannedRod rod : rods) {
      Surface surface = setup.surface(rod.surface()).orElseThrow();
      Optional<RodAlternative> means =
          chosen.stream().filter(one -> one.surface().equals(rod.surface())).findFirst();
      if (surface.rod().driver() == DriverKind.SERVO && (rod.toDo() || means.isPresent())) {
        List<RodAlternative> offered = new ArrayList<>();
        offered.add(null);
        finer(surface).ifPresent(offered::add);
        int index = path.indexOf(surface.id());
        int arm = path.servoIndexBehind(index);
        double turned = trimmed.armDegrees()[arm] - untrimmed.armDegrees()[arm];
        int teeth = teeth(path.servoBehind(index), turned);
        if (teeth != 0) {
          offered.add(new RodAlternative(surface.id(), teeth, surface.rod().end()));
        }
        means.filter(one -> !offered.contains(one)).ifPresent(offered::add);
        for (RodAlternative one : offered) {
          boolean is = means.map(each -> each.equals(one)).orElse(one == null);
          found.add(new RodMethod(surface.id(), one, is, words(one)));
        }
      }
    }
    return List.copyOf(found);
  }

  /** A turnbuckle of the same thread, where there is none. */
  private static Optional<RodAlternative> finer(Surface surface) {
    RodEnd end = surface.rod().end();
    double pitch = end.kind() == RodEndKind.SLIDE ? RodThread.M2.pitchMm() : end.pitchMm();
    return end.kind() == RodEndKind.TURNBUCKLE
        ? Optional.empty()
        : Optional.of(
            new RodAlternative(surface.id(), 0, new RodEnd(RodEndKind.TURNBUCKLE, pitch)));
  }

  private static Said words(RodAlternative means) {
    if (means == null) {
      return Said.of("adjustment.wayEnd");
    }
    return means.teeth() == 0
        ? Said.of("adjustment.wayFit", "end", means.end().kind())
        : Said.of(
            "adjustment.wayTeeth",
            "teeth",
            Math.abs(means.teeth()),
            "way",
            means.teeth() > 0 ? RodDirection.LENGTHEN : RodDirection.SHORTEN);
  }
}
