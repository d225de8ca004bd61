package hightally.core.hazard;

import hightally.core.quantity.Said;

/** What the search looks for. */
public enum HazardKind {
  MOTOR_STARTS(
      Said.of("hazard.switchStartsJumpsMotor"), Said.of("hazard.stickNotMovedNobodyExpects")),
  MOTOR_RISES(Said.of("hazard.motorRises"), Said.of("hazard.motorRisesWhy")),
  CUT_DISAGREES(
      Said.of("hazard.cutFailsafeArmingDoNot"), Said.of("hazard.whatShouldStopMotorRuns")),
  CANNOT_STOP(Said.of("hazard.stickAllWayBackDoes"), Said.of("hazard.oneReflexPilotFails")),
  LINKAGE_LOCKS(Said.of("hazard.linkageLocks"), Said.of("hazard.linkageLocksWhy")),
  RUNS_OUT(Said.of("hazard.surfaceRunsOutTravel"), Said.of("hazard.partStickDoesNothingOther")),
  SURFACE_JUMPS(Said.of("hazard.surfaceJumps"), Said.of("hazard.surfaceJumpsWhy")),
  SWITCH_MOVES(Said.of("hazard.switchMoves"), Said.of("hazard.switchMovesWhy")),
  FAILSAFE_END(Said.of("hazard.failsafeEnd"), Said.of("hazard.failsafeEndWhy")),
  PAIR_UNEQUAL(Said.of("hazard.pairEndsUnequal"), Said.of("hazard.leftAgainstRightRollsModel")),
  SURFACES_TOUCH(Said.of("hazard.twoSurfacesTouch"), Said.of("hazard.servoStallsHornTearsFull")),
  CONTROL_DEAD(Said.of("hazard.controlDoesNothing"), Said.of("hazard.pilotMovesStickModelGoes")),
  CONDITION_NEVER(Said.of("hazard.conditionCanNeverTrue"), Said.of("hazard.whatHangsNeverHappens")),
  SWITCH_TWICE(Said.of("hazard.switchTwoMeanings"), Said.of("hazard.flickedOneDoesOtherWell")),
  MIX_NEVER(Said.of("hazard.mixNeverActs"), Said.of("hazard.meantShouldGo")),
  TRIM_COMMON(
      Said.of("hazard.trimCommonWherePresetsDiffer"), Said.of("hazard.camberMovesNeutralClickOne")),
  TIMER_NEVER(Said.of("hazard.timerCannotStart"), Said.of("hazard.notWarn"));

  private final Said title;
  private final Said why;

  HazardKind(Said title, Said why) {
    this.title = title;
    this.why = why;
  }

  /** What it is, in a few words. */
  public Said title() {
    return title;
  }

  /** Whether a model is better not flown while one is open. */
  public boolean grounds() {
    return switch (this) {
      case MOTOR_STARTS, CUT_DISAGREES, CANNOT_STOP, SURFACES_TOUCH, LINKAGE_LOCKS -> true;
      default -> false;
    };
  }

  /** Why it matters. */
  public Said why() {
    return why;
  }
}
