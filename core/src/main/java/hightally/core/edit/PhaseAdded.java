package hightally.core.edit;

import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.program.NoseNote;
import hightally.core.program.Phase;
import hightally.core.program.PhaseRole;
import hightally.core.program.Trims;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Naming;
import hightally.core.quantity.Said;
import hightally.core.quantity.Text;
import hightally.core.quantity.Validation;
import hightally.core.quantity.Within;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** Makes a phase separate: today's values of the phase it comes from are copied into it. */
public final class PhaseAdded {
  private static final double FADE_SECONDS = 0.5;

  private PhaseAdded() {}

  /**
   * What is asked.
   *
   * @param name of the new phase
   * @param role what it is for
   * @param from id of the phase whose values it begins with
   * @param input id of the switch that brings it on
   * @param position of that switch, counted from 1
   */
  public record PhaseWish(
      Setup setup,
      @Text(max = 40) String name,
      PhaseRole role,
      @Text(max = 40) String from,
      @Text(max = 40) String input,
      @Within(min = 1, max = 6) int position) {}

  /** The setup with the phase, before all others so that its switch decides. */
  public static Setup of(PhaseWish wish, Naming naming) {
    Validation.check(wish);
    Setup setup = wish.setup();
    Phase from =
        setup
            .phase(wish.from())
            .orElseThrow(
                () -> InvalidInputException.of("from", wish.from(), Said.of("demand.phasesId")));
    String id = id(setup, wish.name());
    List<Condition> conditions = new ArrayList<>(setup.conditions());
    String when = SwitchedOn.existing(setup, wish.input(), wish.position()).orElse("");
    if (when.isEmpty()) {
      when = id + "-switch";
      conditions.add(
          new Condition(
              when,
              naming.of(Said.of("edit.phasePosition", "phase", wish.name()), 40),
              ConditionKind.SWITCH_AT,
              wish.input(),
              wish.position(),
              List.of(),
              0));
    }
    Trims stand = from.effective(setup.trims());
    Trims trims =
        new Trims(
            from.ownRoll() ? stand.roll() : 0, stand.pitch(), from.ownYaw() ? stand.yaw() : 0);
    Phase added =
        new Phase(
            id,
            wish.name(),
            "",
            wish.role(),
            when,
            FADE_SECONDS,
            from.presets(),
            from.differential(),
            from.ownRoll(),
            true,
            from.ownYaw(),
            trims,
            NoseNote.NOT_FLOWN);
    List<Phase> phases = new ArrayList<>(setup.phases());
    phases.add(0, added);
    return Validation.check(setup.change().conditions(conditions).phases(phases).done());
  }

  private static String id(Setup setup, String name) {
    Set<String> taken = setup.phases().stream().map(Phase::id).collect(Collectors.toSet());
    return new PartNames(taken).id(name, "phase");
  }
}
