package hightally.core.airframe;

import hightally.core.quantity.SelfChecked;
import hightally.core.quantity.Text;
import hightally.core.quantity.Violation;
import hightally.core.quantity.Within;
import java.util.List;
import java.util.function.Consumer;

/**
 * A movable surface.
 *
 * @param id short name used by references
 * @param name the pilot's name for it
 * @param side which half of the aircraft
 * @param sideways whether plus moves the trailing edge right (a rudder) instead of up
 * @param chordMm hinge line to trailing edge where it is measured
 * @param place where it is drawn
 * @param shares how much of each control it takes
 * @param rod what moves it
 * @param role what it is for
 * @param pair id of the surface that mirrors it on the other side; empty for none
 * @param hornHolesMm holes there are on its horn, from the hinge line
 */
public record Surface(
    @Text(label = "Surface id", max = 40, pattern = ID_PATTERN) String id,
    @Text(label = "Surface name") String name,
    Side side,
    boolean sideways,
    @Within(
            min = 5,
            max = 600,
            unit = "mm",
            label = "Chord where measured",
            hint = "hinge line to trailing edge")
        double chordMm,
    Place place,
    Shares shares,
    Rod rod,
    SurfaceRole role,
    @Text(label = "Pair", min = 0, max = 40) String pair,
    @Within(min = 1, max = 150, unit = "mm", label = "Hole on the horn") List<Double> hornHolesMm)
    implements SelfChecked {
  /** Ids are lower-case words joined by hyphens. */
  public static final String ID_PATTERN = "[a-z0-9]+(-[a-z0-9]+)*";

  public Surface {
    hornHolesMm = hornHolesMm == null ? null : List.copyOf(hornHolesMm);
  }

  @Override
  public void check(String path, Consumer<Violation> found) {
    if (role == SurfaceRole.WHEEL && !sideways) {
      found.accept(new Violation(path + "sideways", "false", "true for a wheel: it steers"));
    }
  }

  /**
   * What a ruler standing square on the neutral chord reads, mm, for a surface angle in degrees.
   */
  public double travelMm(double surfaceDegrees) {
    return chordMm * Math.sin(Math.toRadians(surfaceDegrees));
  }

  /** Where plus or minus goes: up, down, right or left. */
  public String directionWord(double sign) {
    if (role == SurfaceRole.SWINGING_WING) {
      return sign > 0 ? "aft" : "forward";
    }
    if (sideways) {
      return sign > 0 ? "right" : "left";
    }
    return sign > 0 ? "up" : "down";
  }

  /** The same surface on another rod. */
  public Surface withRod(Rod changed) {
    return new Surface(
        id, name, side, sideways, chordMm, place, shares, changed, role, pair, hornHolesMm);
  }

  /** The same surface mirrored by another one, or by none. */
  public Surface inPairWith(String other) {
    return new Surface(
        id, name, side, sideways, chordMm, place, shares, rod, role, other, hornHolesMm);
  }

  /** The same surface taking other shares. */
  public Surface withShares(Shares changed) {
    return new Surface(
        id, name, side, sideways, chordMm, place, changed, rod, role, pair, hornHolesMm);
  }
}
