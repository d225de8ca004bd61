package hightally.core.hazard;

import hightally.core.quantity.Said;

/** What the search looks for. A {@link HazardFinder} says which of them it finds. */
public enum HazardKind {
  MOTOR_STARTS(
      Gravity.GROUNDS,
      Said.of("hazard.switchStartsJumpsMotor"),
      Said.of("hazard.stickNotMovedNobodyExpects")),
  MOTOR_RISES(Gravity.TOLD, Said.of("hazard.motorRises"), Said.of("hazard.motorRisesWhy")),
  CUT_DISAGREES(
      Gravity.GROUNDS,
      Said.of("hazard.cutFailsafeArmingDoNot"),
      Said.of("hazard.whatShouldStopMotorRuns")),
  CANNOT_STOP(
      Gravity.GROUNDS,
      Said.of("hazard.stickAllWayBackDoes"),
      Said.of("hazard.oneReflexPilotFails")),
  LINKAGE_LOCKS(Gravity.GROUNDS, Said.of("hazard.linkageLocks"), Said.of("hazard.linkageLocksWhy")),
  RUNS_OUT(
      Gravity.TOLD,
      Said.of("hazard.surfaceRunsOutTravel"),
      Said.of("hazard.partStickDoesNothingOther")),
  SURFACE_JUMPS(Gravity.TOLD, Said.of("hazard.surfaceJumps"), Said.of("hazard.surfaceJumpsWhy")),
  SWITCH_MOVES(Gravity.TOLD, Said.of("hazard.switchMoves"), Said.of("hazard.switchMovesWhy")),
  FAILSAFE_END(Gravity.TOLD, Said.of("hazard.failsafeEnd"), Said.of("hazard.failsafeEndWhy")),
  PAIR_UNEQUAL(
      Gravity.TOLD,
      Said.of("hazard.pairEndsUnequal"),
      Said.of("hazard.leftAgainstRightRollsModel")),
  SURFACES_TOUCH(
      Gravity.GROUNDS,
      Said.of("hazard.twoSurfacesTouch"),
      Said.of("hazard.servoStallsHornTearsFull")),
  CONTROL_DEAD(
      Gravity.TOLD,
      Said.of("hazard.controlDoesNothing"),
      Said.of("hazard.pilotMovesStickModelGoes")),
  CONDITION_NEVER(
      Gravity.TOLD,
      Said.of("hazard.conditionCanNeverTrue"),
      Said.of("hazard.whatHangsNeverHappens")),
  SWITCH_TWICE(
      Gravity.TOLD, Said.of("hazard.switchTwoMeanings"), Said.of("hazard.flickedOneDoesOtherWell")),
  MIX_NEVER(Gravity.TOLD, Said.of("hazard.mixNeverActs"), Said.of("hazard.meantShouldGo")),
  TRIM_COMMON(
      Gravity.TOLD,
      Said.of("hazard.trimCommonWherePresetsDiffer"),
      Said.of("hazard.camberMovesNeutralClickOne")),
  TIMER_NEVER(Gravity.TOLD, Said.of("hazard.timerCannotStart"), Said.of("hazard.notWarn"));

  private final Gravity gravity;
  private final Said title;
  private final Said why;

  /** Whether a model is better not flown while one is open. */
  private enum Gravity {
    GROUNDS,
    TOLD
  }

  HazardKind(Gravity gravity, Said title, Said why) {
    this.gravity = gravity;
    this.title = title;
    this.why = why;
  }

  /** What it is, in a few words. */
  public Said title() {
    return title;
  }

  /** Whether a model is better not flown while one is open. */
  public boolean grounds() {
    return gravity == Gravity.GROUNDS;
  }

  /** Why it matters. */
  public Said why() {
    return why;
  }
}
