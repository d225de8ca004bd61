package hightally.core.airframe;

import hightally.core.quantity.Text;
import hightally.core.quantity.Within;

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
    Rod rod) {
  /** Ids are lower-case words joined by hyphens. */
  public static final String ID_PATTERN = "[a-z0-9]+(-[a-z0-9]+)*";

  /**
   * What a ruler standing square on the neutral chord reads, mm, for a surface angle in degrees.
   */
  public double travelMm(double surfaceDegrees) {
    return chordMm * Math.sin(Math.toRadians(surfaceDegrees));
  }

  /** Where plus or minus goes: up, down, right or left. */
  public String directionWord(double sign) {
    if (sideways) {
      return sign > 0 ? "right" : "left";
    }
    return sign > 0 ? "up" : "down";
  }

  /** The same surface on another rod. */
  public Surface withRod(Rod changed) {
    return new Surface(id, name, side, sideways, chordMm, place, shares, changed);
  }
}
