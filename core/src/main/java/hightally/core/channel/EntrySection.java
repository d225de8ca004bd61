package hightally.core.channel;

/** What a pilot types in one place of his transmitter. */
public enum EntrySection {
  DIRECTION("channel directions"),
  SUB_TRIM("sub-trims"),
  ENDPOINT("endpoints"),
  SLOWED("slowed channels"),
  RATE("rates"),
  EXPO("expo"),
  PHASE("flight phases"),
  FADE("fades"),
  PRESET("presets"),
  DIFFERENTIAL("differential"),
  MIX("mixes"),
  POWER("throttle curves, cut and arming"),
  FAILSAFE("failsafe"),
  TIMER("timers and warnings"),
  TRIM("trims");

  private final String words;

  EntrySection(String words) {
    this.words = words;
  }

  /** What it is in plain words. */
  public String words() {
    return words;
  }
}
