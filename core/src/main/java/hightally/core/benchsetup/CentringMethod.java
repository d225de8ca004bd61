package hightally.core.benchsetup;

/** Two ways to centre a surface; pilots disagree, and both end level. */
public enum CentringMethod {
  /** Sub-trim stays at zero; what the teeth leave over is levelled by the rod. */
  ROD_FIRST,
  /** The arm is squared by sub-trim, then the surface levelled by the rod. */
  SUB_TRIM_FIRST
}
