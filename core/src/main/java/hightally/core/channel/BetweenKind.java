package hightally.core.channel;

/** What may sit between a receiver and its servos. */
public enum BetweenKind {
  STABILISER,
  CONTROLLER
}
