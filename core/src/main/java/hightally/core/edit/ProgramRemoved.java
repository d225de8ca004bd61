package hightally.core.edit;

import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.program.FeelSet;
import hightally.core.program.FlightTimer;
import hightally.core.program.Mix;
import hightally.core.program.Phase;
import hightally.core.program.Power;
import hightally.core.program.ThrottleCurve;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Text;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * Taking a phase or a condition out of a program in which other things hang on it.
 *
 * <p>What acted in several phases goes on in the others; what acted only in the phase that goes, or
 * only while the condition was true, goes with it: left in, it would suddenly always act. A timer
 * that waited for a condition stays and counts always.
 */
public final class ProgramRemoved {
  private final List<Said> notes = new ArrayList<>();
  private Setup setup;

  /**
   * What is to go.
   *
   * @param id of a phase or a condition
   */
  public record RemovalAsked(Setup setup, @Text(max = 40) String id) {}

  /**
   * The program without it.
   *
   * @param notes where it was used and what becomes of that, a sentence each; empty if it was not
   * @param setup as it would be
   */
  public record Removal(List<Said> notes, Setup setup) {}

  private ProgramRemoved(Setup setup) {
    this.setup = setup;
  }

  /** Works out what goes with a part of the program. */
  public static Removal of(RemovalAsked asked) {
    ProgramRemoved removed = new ProgramRemoved(Validation.check(asked.setup()));
    if (asked.setup().phase(asked.id()).isPresent()) {
      removed.phase(asked.id());
    } else if (asked.setup().conditions().stream().anyMatch(one -> one.id().equals(asked.id()))) {
      removed.condition(asked.id());
    } else {
      throw InvalidInputException.of("id", asked.id(), Said.of("demand.idPhaseCondition"));
    }
    return new Removal(List.copyOf(removed.notes), Validation.check(removed.setup));
  }

  private void phase(String id) {
    if (setup.basePhase().id().equals(id)) {
      throw InvalidInputException.of("id", id, Said.of("demand.notLastPhase"));
    }
    List<Phase> phases = new ArrayList<>(setup.phases());
    phases.removeIf(one -> one.id().equals(id));
    List<Mix> mixes = new ArrayList<>();
    for (Mix mix : setup.mixes()) {
      left(Said.of("edit.mix", "mix", mix.name()), mix.phases(), id)
          .ifPresent(ids -> mixes.add(mix.acting(mix.when(), ids)));
    }
    List<FeelSet> sets = new ArrayList<>();
    for (FeelSet set : setup.feelSets()) {
      left(Said.of("edit.rates", "set", set.name()), set.phases(), id)
          .ifPresent(ids -> sets.add(set.acting(set.when(), ids)));
    }
    List<ThrottleCurve> curves = new ArrayList<>();
    for (ThrottleCurve curve : setup.power().curves()) {
      left(Said.of("edit.aThrottleCurve"), curve.phases(), id)
          .ifPresent(ids -> curves.add(new ThrottleCurve(ids, curve.points())));
    }
    setup =
        setup
            .change()
            .phases(phases)
            .mixes(mixes)
            .feelSets(sets)
            .power(setup.power().withCurves(curves))
            .done();
    List<String> looking =
        setup.conditions().stream()
            .filter(one -> one.kind() == ConditionKind.PHASE && one.subject().equals(id))
            .map(Condition::id)
            .toList();
    looking.forEach(this::condition);
  }

  /** The other phases something acts in; empty if it goes, because it acted in this one only. */
  private Optional<List<String>> left(Said what, List<String> phases, String gone) {
    if (!phases.contains(gone)) {
      return Optional.of(phases);
    }
    List<String> left = phases.stream().filter(one -> !one.equals(gone)).toList();
    notes.add(
        left.isEmpty()
            ? Said.of("edit.phaseTakes", "what", what)
            : Said.of("edit.goesOtherPhases", "what", what));
    return left.isEmpty() ? Optional.empty() : Optional.of(left);
  }

  private void condition(String id) {
    if (setup.conditions().stream().noneMatch(one -> one.id().equals(id))) {
      return;
    }
    List<Condition> conditions = new ArrayList<>();
    List<String> after = new ArrayList<>();
    for (Condition one : setup.conditions()) {
      if (one.id().equals(id)) {
        continue;
      }
      List<String> members = one.members().stream().filter(member -> !member.equals(id)).toList();
      boolean used = members.size() < one.members().size();
      int least = one.kind() == ConditionKind.NOT ? 1 : 2;
      if (used && members.size() < least) {
        notes.add(Said.of("edit.conditionTaken", "one", one.name()));
        after.add(one.id());
      } else if (used) {
        notes.add(Said.of("edit.memberTaken", "one", one.name()));
      }
      conditions.add(used && members.size() >= least ? one.withMembers(members) : one);
    }
    List<String> phases =
        setup.phases().stream().filter(one -> one.when().equals(id)).map(Phase::id).toList();
    for (String phase : phases) {
      notes.add(Said.of("edit.phaseTaken", "orElseThrow", setup.phase(phase).orElseThrow().name()));
      phase(phase);
    }
    setup =
        setup
            .change()
            .mixes(
                kept(setup.mixes(), Mix::when, mix -> Said.of("edit.mix", "mix", mix.name()), id))
            .feelSets(
                kept(
                    setup.feelSets(),
                    FeelSet::when,
                    set -> Said.of("edit.rates", "set", set.name()),
                    id))
            .power(power(id))
            .done();
    after.forEach(this::condition);
    List<String> still = setup.conditions().stream().map(Condition::id).toList();
    setup =
        setup
            .change()
            .conditions(conditions.stream().filter(one -> still.contains(one.id())).toList())
            .done();
  }

  private <T> List<T> kept(
      List<T> all, Function<T, String> when, Function<T, Said> name, String id) {
    List<T> kept = new ArrayList<>();
    for (T one : all) {
      if (when.apply(one).equals(id)) {
        notes.add(Said.of("edit.conditionTakes", "said", name.apply(one)));
      } else {
        kept.add(one);
      }
    }
    return kept;
  }

  private Power power(String id) {
    Power power = setup.power();
    List<FlightTimer> timers = new ArrayList<>();
    for (FlightTimer timer : power.timers()) {
      boolean waits = timer.when().equals(id);
      if (waits) {
        notes.add(Said.of("edit.timerTaken", "timer", timer.name()));
      }
      if (timer.resetWhen().equals(id)) {
        notes.add(Said.of("edit.timerResetTaken", "timer", timer.name()));
      }
      timers.add(timer.without(id));
    }
    if (power.cutWhen().equals(id)) {
      notes.add(Said.of("edit.cutTaken"));
    }
    if (power.armWhen().equals(id)) {
      notes.add(Said.of("edit.armingTaken"));
    }
    return power.without(id, timers);
  }
}
