package hightally.core.hazard;

import hightally.core.airframe.Motor;
import hightally.core.condition.ConditionKind;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;

/** What the search does not look at; said with its outcome wherever the setup has such a thing. */
public enum LeftOut {
  /** What sticks, levers and surfaces mixed onto a motor do to it. */
  MIXES_ONTO_MOTORS,
  /** Conditions on link or voltage that come true or false in flight. */
  TELEMETRY,
  /** Conditions on a timer that runs up. */
  TIMERS,
  /** Whether stick back, cut and failsafe give the controller's stop as a pulse at the socket. */
  PULSES;

  static List<LeftOut> of(Setup setup) {
    List<String> motors = setup.airframe().motors().stream().map(Motor::id).toList();
    List<LeftOut> found = new ArrayList<>();
    if (setup.mixes().stream()
        .flatMap(mix -> mix.targets().stream())
        .anyMatch(target -> motors.contains(target.target()))) {
      found.add(MIXES_ONTO_MOTORS);
    }
    if (looksAt(setup, ConditionKind.TELEMETRY_ABOVE)
        || looksAt(setup, ConditionKind.TELEMETRY_BELOW)) {
      found.add(TELEMETRY);
    }
    if (looksAt(setup, ConditionKind.TIMER_ABOVE)) {
      found.add(TIMERS);
    }
    if (!motors.isEmpty()) {
      found.add(PULSES);
    }
    return found;
  }

  private static boolean looksAt(Setup setup, ConditionKind kind) {
    return setup.conditions().stream().anyMatch(one -> one.kind() == kind);
  }
}
