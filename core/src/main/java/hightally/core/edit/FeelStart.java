package hightally.core.edit;

import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.program.Feel;
import hightally.core.program.FeelSet;
import hightally.core.program.Phase;
import hightally.core.program.Response;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Naming;
import hightally.core.quantity.Said;
import hightally.core.quantity.Text;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Ways pilots work with rates and expo, as starting points. */
public final class FeelStart {
  private FeelStart() {}

  /** The main ways. */
  public enum Style {
    /** Full travel, much expo, nothing to switch. */
    ONE_SOFT,
    /** Three positions: full and nearly linear, full and soft, reduced and soft. */
    LADDER,
    /** A set for every phase but the last, beginning with what the phase is usually flown with. */
    PER_PHASE
  }

  /** What is asked; the switch has three positions and is not needed for one setting. */
  public record FeelWish(Setup setup, Style way, @Text(min = 0, max = 40) String input) {}

  /** The setup with that way; what was there of its own name is replaced. */
  public static Setup of(FeelWish wish, Naming naming) {
    Setup setup = Validation.check(wish.setup());
    if (wish.way() == Style.ONE_SOFT) {
      Feel soft = feel(100, 45, 100, 50, 100, 40);
      return setup.change().feel(soft).feelSets(List.of()).done();
    }
    if (wish.way() == Style.PER_PHASE) {
      return perPhase(setup);
    }
    int input = setup.transmitter().inputIndex(wish.input());
    if (input < 0 || setup.transmitter().inputs().get(input).positions() != 3) {
      throw InvalidInputException.of("input", wish.input(), Said.of("demand.switchThreePositions"));
    }
    List<Condition> conditions = new ArrayList<>(setup.conditions());
    String full = at(conditions, wish.input(), 1, naming);
    String reduced = at(conditions, wish.input(), 3, naming);
    List<FeelSet> sets =
        List.of(
            set(
                "full-linear",
                naming.of(Said.of("edit.fullNearlyLinear"), 40),
                full,
                feel(100, 10, 100, 15, 100, 10)),
            set(
                "reduced-soft",
                naming.of(Said.of("edit.reducedSoft"), 40),
                reduced,
                feel(60, 35, 55, 40, 65, 30)));
    return Validation.check(
        setup
            .change()
            .conditions(conditions)
            .feel(feel(100, 45, 100, 50, 100, 40))
            .feelSets(sets)
            .done());
  }

  /**
   * Speed: less travel, since it is multiplied by the square of the speed. Landing and thermal: all
   * there is, softly, since slow air answers little. Anything else begins with today's values.
   */
  private static Setup perPhase(Setup setup) {
    if (setup.phases().size() < 2) {
      throw InvalidInputException.of("way", Style.PER_PHASE, Said.of("demand.twoPhases"));
    }
    List<FeelSet> sets = new ArrayList<>();
    for (Phase phase : setup.phases().subList(0, setup.phases().size() - 1)) {
      Feel feel =
          switch (phase.role()) {
            case SPEED -> feel(65, 25, 60, 30, 80, 20);
            case LANDING, THERMAL -> feel(100, 35, 100, 35, 100, 25);
            case LAUNCH, CRUISE, GROUND, REVERSE, OTHER -> setup.feel();
          };
      sets.add(
          new FeelSet(
              "in-" + phase.id(), phase.name(), "", List.of(phase.id()), true, true, true, feel));
    }
    return Validation.check(setup.change().feelSets(sets).done());
  }

  private static FeelSet set(String id, String name, String when, Feel feel) {
    return new FeelSet(id, name, when, List.of(), true, true, true, feel);
  }

  private static String at(List<Condition> conditions, String input, int position, Naming naming) {
    Optional<String> there = SwitchedOn.existing(conditions, input, position);
    if (there.isPresent()) {
      return there.get();
    }
    Set<String> taken = conditions.stream().map(Condition::id).collect(Collectors.toSet());
    String id = new PartNames(taken).id("rates-" + position + "-" + input);
    conditions.add(
        new Condition(
            id,
            naming.of(Said.of("edit.ratesPosition", "position", position), 40),
            ConditionKind.SWITCH_AT,
            input,
            position,
            List.of(),
            0));
    return id;
  }

  private static Feel feel(double rr, double re, double pr, double pe, double yr, double ye) {
    return new Feel(Response.even(rr, re), Response.even(pr, pe), Response.even(yr, ye));
  }
}
