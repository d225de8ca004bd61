package hightally.core.hazard;

import hightally.core.quantity.Said;

/** What the search looks for. A {@link HazardFinder} says which of them it finds. */
public enum HazardKind {
  MOTOR_STARTS(Gravity.GROUNDS, Said.of("hazard.motorStarts"), Said.of("hazard.unmovedStickWhy")),
  MOTOR_RISES(Gravity.TOLD, Said.of("hazard.motorRises"), Said.of("hazard.motorRisesWhy")),
  CUT_DISAGREES(Gravity.GROUNDS, Said.of("hazard.cutDisagrees"), Said.of("hazard.cutDisagreesWhy")),
  CANNOT_STOP(Gravity.GROUNDS, Said.of("hazard.cannotStop"), Said.of("hazard.cannotStopWhy")),
  LINKAGE_LOCKS(Gravity.GROUNDS, Said.of("hazard.linkageLocks"), Said.of("hazard.linkageLocksWhy")),
  RUNS_OUT(Gravity.TOLD, Said.of("hazard.runsOut"), Said.of("hazard.runsOutWhy")),
  SURFACE_JUMPS(Gravity.TOLD, Said.of("hazard.surfaceJumps"), Said.of("hazard.surfaceJumpsWhy")),
  SWITCH_MOVES(Gravity.TOLD, Said.of("hazard.switchMoves"), Said.of("hazard.switchMovesWhy")),
  FAILSAFE_END(Gravity.TOLD, Said.of("hazard.failsafeEnd"), Said.of("hazard.failsafeEndWhy")),
  PAIR_UNEQUAL(Gravity.TOLD, Said.of("hazard.pairEndsUnequal"), Said.of("hazard.pairUnequalWhy")),
  SURFACES_TOUCH(Gravity.GROUNDS, Said.of("hazard.twoSurfacesTouch"), Said.of("hazard.touchWhy")),
  CONTROL_DEAD(
      Gravity.TOLD, Said.of("hazard.controlDoesNothing"), Said.of("hazard.controlDeadWhy")),
  CONDITION_NEVER(
      Gravity.TOLD, Said.of("hazard.conditionNever"), Said.of("hazard.conditionNeverWhy")),
  SWITCH_TWICE(Gravity.TOLD, Said.of("hazard.switchTwoMeanings"), Said.of("hazard.switchTwiceWhy")),
  MIX_NEVER(Gravity.TOLD, Said.of("hazard.mixNeverActs"), Said.of("hazard.meantShouldGo")),
  TRIM_COMMON(Gravity.TOLD, Said.of("hazard.trimCommon"), Said.of("hazard.trimCommonWhy")),
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
