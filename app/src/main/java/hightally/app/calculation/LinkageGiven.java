package hightally.app.calculation;

import hightally.core.linkage.FourBar;
import hightally.core.linkage.Linkage;

/** A linkage as calculations take it; leans default to 0, the flags to false. */
record LinkageGiven(
    Double armRadius,
    Double hornRadius,
    Double rodLength,
    Double armLean,
    Double hornLean,
    Boolean opposite,
    Boolean pushRaises) {

  /** The solver, once everything is in range. */
  FourBar bar(String path) {
    Linkage linkage =
        new Linkage(
            Given.need(path + "armRadius", armRadius),
            Given.need(path + "hornRadius", hornRadius),
            Given.need(path + "rodLength", rodLength),
            Given.or(armLean, 0.0),
            Given.or(hornLean, 0.0),
            Given.or(opposite, false),
            Given.or(pushRaises, false));
    return FourBar.of(Given.checked(path, linkage));
  }
}
