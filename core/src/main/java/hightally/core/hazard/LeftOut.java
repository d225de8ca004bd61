package hightally.core.hazard;

import hightally.core.airframe.Motor;
import hightally.core.condition.ConditionKind;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;

/** What the search does not look at; said with its outcome wherever the setup has such a thing. */
public enum LeftOut {
  MIXES_ONTO_MOTORS("what sticks, levers and surfaces mixed onto a motor do to it"),
  TELEMETRY("conditions on link or voltage becoming true or false in flight"),
  TIMERS("conditions on a timer running up"),
  PULSES(
      "whether stick back, cut and failsafe give the controller's stop as a pulse at the socket");

  private final String words;

  LeftOut(String words) {
    this.words = words;
  }

  /** What is left out, as the end of a sentence. */
  public String words() {
    return words;
  }

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
