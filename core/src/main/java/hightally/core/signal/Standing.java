package hightally.core.signal;

/**
 * What phases, switches and conditions have decided at a moment. While nothing of it changes, a
 * command depends on the sticks and levers only.
 *
 * @param phase which one is on
 * @param feel rates and expos
 * @param acting the mixes that act, a bit each
 * @param held whether cut or arming hold the motors
 */
record Standing(int phase, Feels.Decided feel, long acting, boolean held) {
  /** Whether a mix acts. */
  boolean acts(int mix) {
    return (acting & 1L << mix) != 0;
  }
}
