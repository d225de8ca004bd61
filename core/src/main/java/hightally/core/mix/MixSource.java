package hightally.core.mix;

/** Where a mix takes its value from, in percent. */
public enum MixSource {
  /** A stick as the thumb moves it, before rate and expo. */
  STICK,
  /** A stick behind its rate and expo. */
  RESPONSE,
  /** A lever or switch, 0 to 100. */
  INPUT,
  /** The throttle stick, -100 back to 100 full. */
  THROTTLE,
  /** The motor's power as it is told, 0 to 100, behind curve, cut and arming. */
  POWER,
  /** Another surface's command. */
  SURFACE,
  /** Always 100. */
  CONSTANT
}
