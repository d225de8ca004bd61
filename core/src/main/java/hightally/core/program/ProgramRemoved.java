package hightally.core.program;

import hightally.core.condition.Condition;
import hightally.core.condition.ConditionKind;
import hightally.core.mix.Mix;
import hightally.core.phase.Phase;
import hightally.core.power.FlightTimer;
import hightally.core.power.Power;
import hightally.core.power.ThrottleCurve;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Text;
import hightally.core.quantity.Validation;
import hightally.core.response.FeelSet;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Taking a phase or a condition out of a program in which other things hang on it.
 *
 * <p>What acted in several phases goes on in the others; what acted only in the phase that goes, or
 * only while the condition was true, goes with it: left in, it would suddenly always act. A timer
 * that waited for a condition stays and counts always.
 */
public final class ProgramRemoved {
  private final List<String> notes = new ArrayList<>();
  private Setup setup;

  /**
   * What is to go.
   *
   * @param id of a phase or a condition
   */
  public record RemovalAsked(Setup setup, @Text(label = "What goes", max = 40) String id) {}

  /**
   * The program without it.
   *
   * @param notes where it was used and what becomes of that, a sentence each; empty if it was not
   * @param setup as it would be
   */
  public record Removal(List<String> notes, Setup setup) {}

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
      throw InvalidInputException.of("id", asked.id(), "the id of a phase or a condition");
    }
    return new Removal(List.copyOf(removed.notes), Validation.check(removed.setup));
  }

  private void phase(String id) {
    if (setup.basePhase().id().equals(id)) {
      throw InvalidInputException.of("id", id, "not the phase that is on when no other is");
    }
    List<Phase> phases = new ArrayList<>(setup.phases());
    phases.removeIf(one -> one.id().equals(id));
    List<Mix> mixes = new ArrayList<>();
    for (Mix mix : setup.mixes()) {
      left("Mix “" + mix.name() + "”", mix.phases(), id)
          .ifPresent(ids -> mixes.add(mix.acting(mix.when(), ids)));
    }
    List<FeelSet> sets = new ArrayList<>();
    for (FeelSet set : setup.feelSets()) {
      left("Rates “" + set.name() + "”", set.phases(), id)
          .ifPresent(ids -> sets.add(set.acting(set.when(), ids)));
    }
    List<ThrottleCurve> curves = new ArrayList<>();
    for (ThrottleCurve curve : setup.power().curves()) {
      left("A throttle curve", curve.phases(), id)
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
  private Optional<List<String>> left(String what, List<String> phases, String gone) {
    if (!phases.contains(gone)) {
      return Optional.of(phases);
    }
    List<String> left = phases.stream().filter(one -> !one.equals(gone)).toList();
    notes.add(
        left.isEmpty()
            ? what + " acts only in this phase: it goes too."
            : what + " goes on in its other phases.");
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
        notes.add("Condition “" + one.name() + "” is made of it: it goes too.");
        after.add(one.id());
      } else if (used) {
        notes.add("Condition “" + one.name() + "” goes on with its other members.");
      }
      conditions.add(used && members.size() >= least ? one.withMembers(members) : one);
    }
    List<String> phases =
        setup.phases().stream().filter(one -> one.when().equals(id)).map(Phase::id).toList();
    for (String phase : phases) {
      notes.add(
          "Phase “"
              + setup.phase(phase).orElseThrow().name()
              + "” is switched by it: it goes too.");
      phase(phase);
    }
    setup =
        setup
            .change()
            .mixes(kept(setup.mixes(), Mix::when, mix -> "Mix “" + mix.name() + "”", id))
            .feelSets(
                kept(setup.feelSets(), FeelSet::when, set -> "Rates “" + set.name() + "”", id))
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

  private interface Named<T> {
    String of(T one);
  }

  private <T> List<T> kept(List<T> all, Named<T> when, Named<T> name, String id) {
    List<T> kept = new ArrayList<>();
    for (T one : all) {
      if (when.of(one).equals(id)) {
        notes.add(name.of(one) + " acts only while it is true: it goes too.");
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
        notes.add("Timer “" + timer.name() + "” waits for it: it would count always.");
      }
      timers.add(waits ? timer.countingAlways() : timer);
    }
    if (power.cutWhen().equals(id)) {
      notes.add("The throttle cut is switched by it: only the cut of its own is left.");
    }
    if (power.armWhen().equals(id)) {
      notes.add("Arming is switched by it: the motor would always be armed.");
    }
    return power.without(id, timers);
  }
}
