package hightally.core.airframe;

import hightally.core.quantity.Copyable;
import hightally.core.quantity.Said;
import hightally.core.quantity.SelfChecked;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Violation;
import hightally.core.quantity.Way;
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
@Copyable
public record Surface(
    @Text(max = 40, pattern = ID_PATTERN) String id,
    @Text String name,
    Side side,
    boolean sideways,
    @Within(min = 5, max = 600, unit = Unit.MILLIMETRES) double chordMm,
    Place place,
    Shares shares,
    Rod rod,
    SurfaceRole role,
    @Text(min = 0, max = 40) String pair,
    @Within(min = 1, max = 150, unit = Unit.MILLIMETRES) List<Double> hornHolesMm)
    implements SelfChecked {
  /** Ids are lower-case words joined by hyphens. */
  public static final String ID_PATTERN = "[a-z0-9]+(-[a-z0-9]+)*";

  public Surface {
    hornHolesMm = hornHolesMm == null ? null : List.copyOf(hornHolesMm);
  }

  /** A copy to change, part by part. */
  public SurfaceCopy change() {
    return SurfaceCopy.from(this);
  }

  @Override
  public void check(String path, Consumer<Violation> found) {
    if (role.wheel() && !sideways) {
      found.accept(Violation.of(path + "sideways", "false", Said.of("demand.trueWheelSteers")));
    }
  }

  /**
   * What a ruler standing square on the neutral chord reads, mm, for a surface angle in degrees.
   */
  public double travelMm(double surfaceDegrees) {
    return chordMm * Math.sin(Math.toRadians(surfaceDegrees));
  }

  /** Where plus or minus goes. */
  public Way way(double sign) {
    if (role == SurfaceRole.SWINGING_WING) {
      return sign > 0 ? Way.AFT : Way.FORWARD;
    }
    if (sideways) {
      return sign > 0 ? Way.RIGHT : Way.LEFT;
    }
    return sign > 0 ? Way.UP : Way.DOWN;
  }

  /** The same to be said: of a wheel, with which end it goes there. */
  public Object goes(double sign) {
    return switch (role) {
      case NOSE_WHEEL -> Said.of("way.front", "way", way(sign));
      case TAIL_WHEEL -> Said.of("way.rear", "way", way(sign));
      default -> way(sign);
    };
  }

  /** The same surface on another rod. */
  public Surface withRod(Rod changed) {
    return change().rod(changed).done();
  }

  /** The same surface mirrored by another one, or by none. */
  public Surface inPairWith(String other) {
    return change().pair(other).done();
  }

  /** The same surface taking other shares. */
  public Surface withShares(Shares changed) {
    return change().shares(changed).done();
  }

  /** The same surface under another name. */
  public Surface named(String changed) {
    return change().name(changed).done();
  }
}
