package hightally.core.adjustment;

import hightally.core.quantity.Said;

/**
 * One thing to do at the bench.
 *
 * @param kind what sort of step
 * @param title in large type: a few words
 * @param detail how, in one or two sentences
 * @param caution what could hurt; empty where nothing can
 * @param surface id of the surface it is about; empty for steps about the whole model
 */
public record WorkStep(Kind kind, Said title, Said detail, Said caution, String surface) {
  /** Sorts of steps. */
  public enum Kind {
    SAFETY,
    TRIMS_IN,
    MARK,
    ZERO,
    /** The arm goes over by teeth. */
    SEAT,
    /** Another end is fitted. */
    FIT,
    TURN,
    CHECK,
    TRIM_BACK,
    VERIFY
  }
}
