package hightally.core.edit;

import hightally.core.channel.InputKind;
import hightally.core.channel.TransmitterInput;
import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Naming;
import hightally.core.quantity.Said;
import hightally.core.quantity.Text;
import hightally.core.quantity.Validation;
import hightally.core.quantity.Within;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** The condition that a switch stands at a position, made where there is none yet. */
public final class SwitchedOn {
  private static final int NAME_LONGEST = 40;

  private SwitchedOn() {}

  /**
   * What is asked.
   *
   * @param input id of the switch
   * @param position counted from 1
   */
  public record SwitchWish(
      Setup setup, @Text(max = 40) String input, @Within(min = 1, max = 6) int position) {}

  /** The id of the condition that a switch stands at a position, if there is one. */
  public static Optional<String> existing(Setup setup, String input, int position) {
    return existing(setup.conditions(), input, position);
  }

  static Optional<String> existing(List<Condition> conditions, String input, int position) {
    return conditions.stream()
        .filter(one -> one.kind() == ConditionKind.SWITCH_AT && one.heldSeconds() == 0)
        .filter(one -> one.subject().equals(input) && one.limit() == position)
        .map(Condition::id)
        .findFirst();
  }

  /** The setup with that condition. */
  public static Setup of(SwitchWish wish, Naming naming) {
    Validation.check(wish);
    Setup setup = wish.setup();
    int index = setup.transmitter().inputIndex(wish.input());
    TransmitterInput input = index < 0 ? null : setup.transmitter().inputs().get(index);
    if (input == null || input.kind() != InputKind.SWITCH || wish.position() > input.positions()) {
      throw InvalidInputException.of("input", wish.input(), Said.of("demand.positionOfSwitch"));
    }
    if (existing(setup, wish.input(), wish.position()).isPresent()) {
      return setup;
    }
    Set<String> taken = setup.conditions().stream().map(Condition::id).collect(Collectors.toSet());
    String name =
        naming.of(
            Said.of("edit.switchAt", "input", input.name(), "position", wish.position()),
            NAME_LONGEST);
    List<Condition> conditions = new ArrayList<>(setup.conditions());
    conditions.add(
        new Condition(
            new PartNames(taken).id(wish.input(), "switch"),
            name,
            ConditionKind.SWITCH_AT,
            wish.input(),
            wish.position(),
            List.of(),
            0));
    return Validation.check(setup.change().conditions(conditions).done());
  }
}
