package hightally.core.hazard;

/** What the search looks for. */
public enum HazardKind {
  MOTOR_STARTS(
      "A switch starts or jumps the motor", "The stick was not moved, and nobody expects it."),
  CUT_DISAGREES(
      "Cut, failsafe or arming do not hold the motor's stop",
      "What should stop the motor runs it, backwards at full power with a two-way controller."),
  CANNOT_STOP(
      "The stick all the way back does not stop the motor", "The one reflex a pilot has fails."),
  RUNS_OUT(
      "A surface runs out of travel",
      "Part of the stick does nothing, and the other side of the pair goes on: the model rolls when it"
          + " should pitch."),
  PAIR_UNEQUAL(
      "A pair ends unequal", "Left against right rolls the model in a phase or with a mix."),
  SURFACES_TOUCH("Two surfaces touch", "A servo stalls or a horn tears, at full stick."),
  CONTROL_DEAD("A control does nothing", "The pilot moves a stick and the model goes on."),
  CONDITION_NEVER("A condition can never be true", "What hangs on it never happens."),
  SWITCH_TWICE("A switch has two meanings", "Flicked for one, it does the other as well."),
  MIX_NEVER("A mix never acts", "It was meant to, or it should go."),
  TRIM_COMMON(
      "A trim is common where presets differ",
      "Camber moves the neutral; a click for one phase spoils the other."),
  TIMER_NEVER("A timer cannot start", "It will not warn.");

  private final String title;
  private final String why;

  HazardKind(String title, String why) {
    this.title = title;
    this.why = why;
  }

  /** What it is, in a few words. */
  public String title() {
    return title;
  }

  /** Why it matters. */
  public String why() {
    return why;
  }
}
