package hightally.core.edit;

import hightally.core.airframe.Motor;
import hightally.core.airframe.Side;
import hightally.core.airframe.Surface;
import hightally.core.airframe.SurfaceRole;
import hightally.core.program.MixTarget;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;

/**
 * What a common mix moves, picked out by what surfaces and motors are for, never by their names.
 */
final class RecipeTargets {
  /** Of the flaps' movement, what the ailerons go up when braking. */
  private static final double AILERON_PART = 0.3;

  private RecipeTargets() {}

  interface Factor {
    double of(Surface surface);
  }

  static List<MixTarget> targets(List<Surface> surfaces, Factor factor) {
    return surfaces.stream().map(one -> MixTarget.even(one.id(), factor.of(one))).toList();
  }

  static List<Surface> having(Setup setup, Predicate<Surface> what) {
    return setup.surfaces().stream().filter(what).toList();
  }

  static List<MixTarget> yawing(Setup setup, double size) {
    return targets(having(setup, one -> one.shares().yaw() != 0), one -> size * one.shares().yaw());
  }

  static List<MixTarget> pitching(Setup setup) {
    return targets(having(setup, one -> one.shares().pitch() != 0), one -> one.shares().pitch());
  }

  static List<MixTarget> rolling(Setup setup) {
    return targets(ailerons(setup), one -> one.shares().roll());
  }

  /** What rolls the model most. */
  static List<Surface> ailerons(Setup setup) {
    double most =
        setup.surfaces().stream().mapToDouble(one -> Math.abs(one.shares().roll())).max().orElse(0);
    return having(
        setup, one -> most > 0 && Math.abs(one.shares().roll()) == most && !one.role().flap());
  }

  static List<Surface> flaps(Setup setup) {
    return having(setup, one -> one.role().flap());
  }

  static List<MixTarget> motors(Setup setup) {
    List<MixTarget> targets = new ArrayList<>();
    for (Motor motor : setup.airframe().motors()) {
      if (motor.rightMm() != 0) {
        targets.add(MixTarget.even(motor.id(), motor.rightMm() < 0 ? 1 : -1));
      }
    }
    return targets;
  }

  static List<Surface> sided(List<Surface> surfaces) {
    return surfaces.stream().filter(one -> one.side() != Side.CENTRE).toList();
  }

  static double side(Surface one) {
    return one.side() == Side.RIGHT ? 1 : -1;
  }

  static List<Surface> canards(Setup setup) {
    return having(setup, one -> one.role() == SurfaceRole.CANARD);
  }

  static List<Surface> nozzles(Setup setup, boolean sideways) {
    return having(setup, one -> one.role() == SurfaceRole.NOZZLE && one.sideways() == sideways);
  }

  /** Flaps down with the ailerons up, spoilers up; none where there is neither. */
  static List<MixTarget> braking(Setup setup) {
    List<MixTarget> targets = new ArrayList<>(targets(flaps(setup), one -> -1));
    if (!targets.isEmpty()) {
      targets.addAll(targets(ailerons(setup), one -> AILERON_PART));
    }
    targets.addAll(targets(having(setup, one -> one.role() == SurfaceRole.SPOILER), one -> 1));
    return targets;
  }
}
