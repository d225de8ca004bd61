package hightally.core.hazard;

import java.util.Set;

/**
 * Looks for some kinds of hazards. The search lets each look in turn: first at what is written,
 * then wherever switches, levers and sticks can be, in the end at what has become of all that.
 */
interface HazardFinder {
  /** What it looks for; each kind is looked for by one. */
  Set<HazardKind> kinds();

  /** What can be seen without moving anything. */
  default void written() {}

  /** Wherever everything can be; spends the search's budget. */
  default void look() {}

  /** What is only known once everything was looked at. */
  default void afterwards() {}

  /** About which part of the whole time its look takes, percent; 0 where it has none. */
  default int sharePercent() {
    return 0;
  }

  /** How many moments it worked out. */
  default long evaluated() {
    return 0;
  }

  /** In how many states it tried what it could not prove. */
  default long sampled() {
    return 0;
  }
}
