package hightally.core.program;

import hightally.core.channel.TransmitterInput;
import hightally.core.condition.Condition;
import hightally.core.condition.ConditionKind;
import hightally.core.mix.Mix;
import hightally.core.phase.Phase;
import hightally.core.quantity.Said;
import hightally.core.response.FeelSet;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;

/** What a position of a switch is called by: what it brings. */
public final class SwitchWords {
  private SwitchWords() {}

  /** Of a position, counted from 1: what it brings, or that it stands for all else. */
  static Said of(Setup setup, TransmitterInput input, int position) {
    List<Said> here = brings(setup, input, position);
    if (!here.isEmpty()) {
      return Said.of("switch.brings", "what", here);
    }
    boolean othersBringPhases = false;
    boolean othersBring = false;
    for (int i = 1; i <= input.positions(); i++) {
      othersBring |= !brings(setup, input, i).isEmpty();
      int other = i;
      othersBringPhases |=
          setup.phases().stream().anyMatch(one -> asks(setup, one.when(), input, other));
    }
    if (othersBringPhases) {
      return Said.of("switch.otherwisePhase", "phase", setup.basePhase().name());
    }
    return othersBring ? Said.of("switch.otherwise") : Said.NOTHING;
  }

  private static List<Said> brings(Setup setup, TransmitterInput input, int position) {
    List<Said> found = new ArrayList<>();
    for (Phase one : setup.phases()) {
      add(found, asks(setup, one.when(), input, position), Said.text(one.name()));
    }
    for (FeelSet one : setup.feelSets()) {
      add(found, asks(setup, one.when(), input, position), Said.text(one.name()));
    }
    for (Mix one : setup.mixes()) {
      add(found, asks(setup, one.when(), input, position), Said.text(one.name()));
    }
    add(found, asks(setup, setup.power().cutWhen(), input, position), Said.of("switch.cut"));
    add(found, asks(setup, setup.power().armWhen(), input, position), Said.of("switch.arming"));
    return found;
  }

  private static void add(List<Said> found, boolean brought, Said what) {
    if (brought && !found.contains(what)) {
      found.add(what);
    }
  }

  /** Whether a condition, or one it is made of, asks for that position. */
  private static boolean asks(Setup setup, String condition, TransmitterInput input, int position) {
    for (Condition one : setup.conditions()) {
      if (one.id().equals(condition)) {
        boolean here =
            one.kind() == ConditionKind.SWITCH_AT
                && one.subject().equals(input.id())
                && Math.round(one.limit()) == position;
        return here
            || one.kind() != ConditionKind.NOT
                && one.members().stream().anyMatch(member -> asks(setup, member, input, position));
      }
    }
    return false;
  }
}
