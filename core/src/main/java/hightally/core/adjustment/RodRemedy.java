package hightally.core.adjustment;

import hightally.core.quantity.Said;

/**
 * What might be better than turning a rod.
 *
 * @param surface id of the surface
 * @param kind what sort
 * @param words all of it in words
 */
public record RodRemedy(String surface, Kind kind, Said words) {
  /** Sorts of remedies. */
  public enum Kind {
    /** The arm a tooth over, and only the rest at the rod. */
    TOOTH,
    /** So small that the clicks may stay. */
    LEAVE,
    /** The arm is far from square: share between arm and rod. */
    SHARE,
    /** A trim this large is a symptom. */
    SYMPTOM
  }
}
