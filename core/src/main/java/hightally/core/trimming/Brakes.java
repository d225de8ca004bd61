package hightally.core.trimming;

import hightally.core.airframe.SurfaceRole;
import hightally.core.program.Curve;
import hightally.core.program.Mix;
import hightally.core.program.MixTarget;
import hightally.core.program.SourceRoot;
import hightally.core.setup.Setup;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The mix that brakes: a lever or the throttle stick moves flaps down, or spoilers up. */
public final class Brakes {
  private static final double WHOLE = 100;

  /** A lever, a switch, or the throttle stick. */
  private static final Set<SourceRoot> BY_HAND = EnumSet.of(SourceRoot.INPUT, SourceRoot.THROTTLE);

  private Brakes() {}

  /** It, where there is one. */
  public static Optional<Mix> of(Setup setup) {
    return setup.mixes().stream()
        .filter(one -> BY_HAND.contains(one.source().root()))
        .filter(one -> one.targets().stream().anyMatch(target -> brakes(setup, target)))
        .findFirst();
  }

  private static boolean brakes(Setup setup, MixTarget target) {
    return setup
        .surface(target.target())
        .filter(one -> one.role().flap() || one.role() == SurfaceRole.SPOILER)
        .isPresent();
  }

  /**
   * Where its source stands at a part of the brakes, percent of the source: between the place where
   * it does nothing and that where it does most.
   *
   * @param part 0 to 1
   */
  public static double place(Mix brakes, double part) {
    double out = ends(brakes, false);
    double in = ends(brakes, true);
    return Math.rint(out + part * (in - out));
  }

  private static double ends(Mix brakes, boolean most) {
    double least = brakes.source().least();
    if (brakes.curve().isEmpty()) {
      return most ? WHOLE : 0;
    }
    Curve curve = Curve.of(brakes.curve());
    double found = least;
    double size = Double.NaN;
    for (double x = least; x <= WHOLE; x++) {
      double here = Math.abs(curve.value(x));
      boolean better = Double.isNaN(size) || (most ? here > size : here < size);
      if (better) {
        found = x;
        size = here;
      }
    }
    // Of a stretch that does nothing, the end next to where it begins.
    if (!most) {
      double full = ends(brakes, true);
      double step = Math.signum(full - found);
      while (step != 0
          && Math.abs(curve.value(found + step)) <= size + 1e-9
          && found + step != full) {
        found += step;
      }
    }
    return found;
  }

  /** Mixes from the same source in the same phases. */
  static boolean alike(Mix brakes, Mix other) {
    List<String> phases = brakes.phases();
    return other.source() == brakes.source()
        && other.subject().equals(brakes.subject())
        && (other.phases().isEmpty() || other.phases().equals(phases));
  }
}
