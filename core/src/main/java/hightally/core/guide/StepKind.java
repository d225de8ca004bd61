package hightally.core.guide;

/** What is done at a step of the bench set-up. */
public enum StepKind {
  HARMLESS("harmless"),
  POWER("power"),
  SEAT("seat"),
  FLUSH("flush"),
  DIRECTION("direction"),
  TRAVEL("travel"),
  CLICKS("clicks"),
  TURN("turn"),
  REFLEX("reflex"),
  FINISH("finish");

  private final String id;

  StepKind(String id) {
    this.id = id;
  }

  /** The stable name a step is kept under; {@code surface} and {@code command} may be empty. */
  String step(String surface, String command) {
    String about = surface.isEmpty() ? id : id + "/" + surface;
    return command.isEmpty() ? about : about + "/" + command;
  }
}
