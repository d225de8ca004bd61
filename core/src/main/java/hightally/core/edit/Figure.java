package hightally.core.edit;

/** A figure of a setup that a mend sets, and what the mend names to find it. */
public enum Figure {
  /** Of a channel, by its number: percent. */
  ENDPOINT_HIGH,
  /** Of a channel, by its number: percent. */
  ENDPOINT_LOW,
  /** Of a channel, by its number: µs. */
  SUB_TRIM,
  /** Of a channel, by its number: 1 reversed, 0 not. */
  REVERSED,
  /** Of a surface: what has been added to its rod at neutral, mm. */
  ROD_ADDED,
  /** Of a surface: mm. */
  ARM_RADIUS(true),
  /** Of a surface: mm. */
  HORN_RADIUS(true),
  /** Of a surface: degrees. */
  ARM_LEAN(true),
  /** Of a surface: degrees. */
  HORN_LEAN(true),
  /** Of a surface: mm per turn of its rod's end. */
  THREAD_PITCH(true),
  /** Of a servo: 1 where a longer pulse pulls, 0 where it pushes. */
  PULLS_ON_INCREASE(true),
  /** Of a servo: degrees. */
  ARM_OFFSET(true),
  /** Of the transmitter, which needs no name: percent of command per click. */
  CLICK_STEP(true),
  /** Of a surface: travel wished for up, or right, mm. */
  WISHED_PLUS,
  /** Of a surface: travel wished for down, or left, mm, as a positive size. */
  WISHED_MINUS,
  /** Of a socket of the receiver, by its number: the channel it puts out. */
  SOCKET_CHANNEL,
  /** Of the power, which needs no name: what the cut holds the motor at, percent. */
  CUT,
  /** Of the power, which needs no name: the pulse its controllers were taught to stop at, µs. */
  STOP_PULSE(true),
  /** Of a channel, by its number: where the failsafe puts it, percent. */
  FAILSAFE,
  /** Of a phase: seconds. */
  PHASE_FADE,
  /** Of a mix: seconds. */
  MIX_FADE,
  /** Of a surface: its share of roll. */
  SHARE_ROLL,
  /** Of a surface: its share of pitch. */
  SHARE_PITCH,
  /** Of a surface: its share of yaw. */
  SHARE_YAW,
  /** Of a surface: 1 where pushing its rod raises it (or moves it right), 0 where it lowers it. */
  PUSH_RAISES(true);

  private final boolean describes;

  Figure() {
    this(false);
  }

  Figure(boolean describes) {
    this.describes = describes;
  }

  /**
   * Whether it says what the model or the transmitter is, as it was measured or seen: setting it
   * moves nothing, it makes the description true. The others change what the transmitter sends or
   * what is done at the model.
   */
  public boolean describes() {
    return describes;
  }
}
