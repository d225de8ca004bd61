package hightally.core.benchsetup;

/** What is done at a step of the bench set-up. */
public enum StepKind {
  HARMLESS("harmless"),
  POWER("power"),
  WAYS("ways"),
  SEAT("seat"),
  FLUSH("flush"),
  TRAVEL("travel"),
  CLICKS("clicks"),
  TURN("turn"),
  REFLEX("reflex"),
  MOTOR_STOP("motor-stop"),
  MOTOR_SAFE("motor-safe"),
  MOTOR_TOUCH("motor-touch"),
  MOTOR_WAY("motor-way"),
  MOTOR_REVERSE("motor-reverse"),
  FAILSAFE("failsafe"),
  FINISH("finish");

  private final String id;

  StepKind(String id) {
    this.id = id;
  }

  /** Whether a motor may turn while it is done. */
  boolean runsMotor() {
    return this == MOTOR_TOUCH || this == MOTOR_WAY || this == MOTOR_REVERSE || this == FAILSAFE;
  }

  /** Whether it looks at which way a motor goes, or whether it stops: what must not be wrong. */
  boolean looks() {
    return switch (this) {
      case MOTOR_STOP, MOTOR_TOUCH, MOTOR_WAY, MOTOR_REVERSE, FAILSAFE -> true;
      default -> false;
    };
  }

  /** The stable name a step is kept under; {@code surface} and {@code command} may be empty. */
  String step(String surface, String command) {
    String about = surface.isEmpty() ? id : id + "/" + surface;
    return command.isEmpty() ? about : about + "/" + command;
  }
}
