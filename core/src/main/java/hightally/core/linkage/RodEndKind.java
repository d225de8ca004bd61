package hightally.core.linkage;

/** How the end of a rod is set, and so in which steps its length can change. */
public enum RodEndKind {
  /** Half turns: the pin goes in either way up. */
  CLEVIS(3, 1),
  /** Whole turns: the socket must face the ball again. */
  BALL_LINK(6, 1),
  /**
   * Right- and left-hand thread: both ends screw at once; a spanner moves it by sixths of a turn.
   */
  TURNBUCKLE(1, 2),
  /** A stopper sliding on the rod: no turns, the pitch is the smallest step that can be set. */
  SLIDE(0, 0);

  private final int sixthsPerStep;
  private final int threads;

  RodEndKind(int sixthsPerStep, int threads) {
    this.sixthsPerStep = sixthsPerStep;
    this.threads = threads;
  }

  /** Sixths of a turn in one step; 0 for a sliding stopper. */
  public int sixthsPerStep() {
    return sixthsPerStep;
  }

  /** How many threads move at once. */
  public int threads() {
    return threads;
  }
}
