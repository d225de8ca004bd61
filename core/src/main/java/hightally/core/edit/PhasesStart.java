package hightally.core.edit;

import hightally.core.channel.InputKind;
import hightally.core.channel.TransmitterInput;
import hightally.core.program.Phase;
import hightally.core.program.PhaseRole;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Naming;
import hightally.core.quantity.Said;
import hightally.core.quantity.Text;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;

/**
 * The usual phases of a kind of flying at once, on one switch or two; nothing moves differently.
 */
public final class PhasesStart {
  private static final int NAME_LONGEST = 40;

  private PhasesStart() {}

  /** Which phases; the one that is there stays as cruise, on when no other is. */
  public enum Layout {
    /** One switch of three positions: start, cruise in the middle, landing. */
    START_CRUISE_LANDING,
    /** Two of three positions: speed, cruise, thermal 1; and nothing, thermal 2, landing. */
    SPEED_CRUISE_THERMALS_LANDING
  }

  /**
   * What is asked.
   *
   * @param first id of the switch of the first phases
   * @param second id of the other switch, where two are needed
   */
  public record PhasesWish(
      Setup setup,
      Layout way,
      @Text(max = 40) String first,
      @Text(min = 0, max = 40) String second) {}

  /** The setup with those phases. */
  public static Setup of(PhasesWish wish, Naming naming) {
    Setup setup = Validation.check(wish.setup());
    three(setup, "first", wish.first());
    String base = setup.basePhase().id();
    Setup named = renamed(setup, naming);
    if (wish.way() == Layout.START_CRUISE_LANDING) {
      Setup one = added(named, "edit.start", PhaseRole.LAUNCH, base, wish.first(), 1, naming);
      return added(one, "edit.landing", PhaseRole.LANDING, base, wish.first(), 3, naming);
    }
    three(setup, "second", wish.second());
    if (wish.second().equals(wish.first())) {
      throw InvalidInputException.of("second", wish.second(), Said.of("demand.anotherSwitch"));
    }
    Setup one = added(named, "edit.speed", PhaseRole.SPEED, base, wish.first(), 1, naming);
    Setup two = added(one, "edit.thermal1", PhaseRole.THERMAL, base, wish.first(), 3, naming);
    Setup three = added(two, "edit.thermal2", PhaseRole.THERMAL, base, wish.second(), 2, naming);
    return added(three, "edit.landing", PhaseRole.LANDING, base, wish.second(), 3, naming);
  }

  private static void three(Setup setup, String field, String id) {
    int index = setup.transmitter().inputIndex(id);
    TransmitterInput input = index < 0 ? null : setup.transmitter().inputs().get(index);
    if (input == null || input.kind() != InputKind.SWITCH || input.positions() != 3) {
      throw InvalidInputException.of(field, id, Said.of("demand.switchThreePositions"));
    }
  }

  private static Setup added(
      Setup setup,
      String name,
      PhaseRole role,
      String from,
      String input,
      int position,
      Naming naming) {
    String said = naming.of(Said.of(name), NAME_LONGEST);
    return PhaseAdded.of(
        new PhaseAdded.PhaseWish(setup, said, role, from, input, position), naming);
  }

  /** The phase that was alone is cruise from now on; one among others keeps its name. */
  private static Setup renamed(Setup setup, Naming naming) {
    if (setup.phases().size() > 1) {
      return setup;
    }
    Phase base = setup.basePhase();
    Phase cruise =
        base.change()
            .name(naming.of(Said.of("edit.cruise"), NAME_LONGEST))
            .role(PhaseRole.CRUISE)
            .done();
    return setup.change().phases(new ArrayList<>(List.of(cruise))).done();
  }
}
