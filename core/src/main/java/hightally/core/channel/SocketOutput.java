package hightally.core.channel;

/** What a receiver's socket speaks. */
public enum SocketOutput {
  /** Servo pulses. */
  SERVO,
  /** All channels in a row on one wire, for a controller or stabiliser. */
  BUS,
  /** Measurements to or from the receiver. */
  TELEMETRY
}
