package hightally.core.signal;

import hightally.core.program.Feel;
import hightally.core.program.FeelSet;
import hightally.core.program.ResponseCurve;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import java.util.Arrays;

/** Rates and expo: the plain ones, and the sets of which the first that is on decides a control. */
final class Feels {
  private static final Control[] CONTROLS = Control.values();

  /** So many ways of deciding are kept made up. */
  private static final int KEPT = 4096;

  private final Conditions conditions;
  private final ResponseCurve[] plain;
  private final Set[] sets;
  private final Decided[] kept;

  /**
   * What has been decided.
   *
   * @param sets index of the set that decides each control; -1 where none does
   * @param curves rates and expos, by control
   */
  record Decided(int[] sets, ResponseCurve[] curves) {}

  private record Set(FeelSet set, int when, boolean[] phases, ResponseCurve[] curves) {}

  Feels(Setup setup, Conditions conditions) {
    this.conditions = conditions;
    plain = curves(setup.feel());
    sets =
        setup.feelSets().stream()
            .map(
                one ->
                    new Set(
                        one,
                        conditions.index(one.when()),
                        Conditions.inPhases(setup, one.phases()),
                        curves(one.feel())))
            .toArray(Set[]::new);
    int ways = (int) Math.min(KEPT, Math.pow(sets.length + 1, CONTROLS.length));
    kept = new Decided[ways];
  }

  private static ResponseCurve[] curves(Feel feel) {
    return Arrays.stream(CONTROLS)
        .map(control -> ResponseCurve.of(feel.of(control)))
        .toArray(ResponseCurve[]::new);
  }

  /** What is decided at a moment. */
  Decided at(Moment moment, int phase) {
    int code = 0;
    for (int i = CONTROLS.length - 1; i >= 0; i--) {
      code = code * (sets.length + 1) + deciding(CONTROLS[i], moment, phase) + 1;
    }
    if (code >= kept.length) {
      return made(code);
    }
    if (kept[code] == null) {
      kept[code] = made(code);
    }
    return kept[code];
  }

  private Decided made(int code) {
    int[] deciding = new int[CONTROLS.length];
    ResponseCurve[] curves = new ResponseCurve[CONTROLS.length];
    int rest = code;
    for (int i = 0; i < deciding.length; i++) {
      deciding[i] = rest % (sets.length + 1) - 1;
      rest /= sets.length + 1;
      curves[i] = deciding[i] < 0 ? plain[i] : sets[deciding[i]].curves()[i];
    }
    return new Decided(deciding, curves);
  }

  private int deciding(Control control, Moment moment, int phase) {
    for (int i = 0; i < sets.length; i++) {
      Set one = sets[i];
      if (one.set().has(control) && conditions.active(one.when(), one.phases(), moment, phase)) {
        return i;
      }
    }
    return -1;
  }
}
