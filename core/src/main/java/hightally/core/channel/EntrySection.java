package hightally.core.channel;

/** What a pilot types in one place of his transmitter. */
public enum EntrySection {
  DIRECTION,
  SUB_TRIM,
  ENDPOINT,
  SLOWED,
  RATE,
  EXPO,
  PHASE,
  FADE,
  PRESET,
  DIFFERENTIAL,
  MIX,
  POWER,
  FAILSAFE,
  TIMER,
  TRIM
}
