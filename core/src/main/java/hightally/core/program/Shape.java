package hightally.core.program;

/** How a transmitter bends the stick around its centre. */
public enum Shape {
  CUBIC,
  SQUARE,
  EXPONENTIAL
}
