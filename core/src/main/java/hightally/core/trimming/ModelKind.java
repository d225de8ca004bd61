package hightally.core.trimming;

import hightally.core.program.PhaseRole;
import hightally.core.setup.ElevonOnly;
import hightally.core.setup.Setup;

/** What is tested in which way: the kinds of models whose trim tests differ. */
public enum ModelKind {
  /** A tailed model with a motor. */
  POWERED,
  /** With or without a motor, flown for lift: it has a phase for thermals or speed, or no motor. */
  GLIDER,
  /** A flying wing, with or without a motor. */
  WING;

  /** The kind of a model, by what steers it, its motors and its phases. */
  public static ModelKind of(Setup setup) {
    if (ElevonOnly.applies(setup)) {
      return WING;
    }
    boolean soars =
        setup.phases().stream()
            .anyMatch(one -> one.role() == PhaseRole.THERMAL || one.role() == PhaseRole.SPEED);
    return soars || setup.airframe().motors().isEmpty() ? GLIDER : POWERED;
  }
}
