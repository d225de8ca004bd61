package hightally.core.channel;

/** The four functions of the sticks, as transmitters order their channels by. */
public enum StickFunction {
  ROLL,
  PITCH,
  THROTTLE,
  YAW
}
