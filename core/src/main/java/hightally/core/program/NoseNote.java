package hightally.core.program;

/**
 * What the pilot saw the nose do when the model was flicked into a phase, sticks left alone.
 * Nothing works it out: only what was flown is known.
 */
public enum NoseNote {
  NOT_FLOWN,
  LEVEL,
  UP_A_LITTLE,
  UP_CLEARLY,
  UP_STRONGLY,
  DOWN_A_LITTLE,
  DOWN_CLEARLY,
  DOWN_STRONGLY
}
