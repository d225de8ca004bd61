package hightally.core.preflight;

import hightally.core.benchsetup.BenchFindings;
import hightally.core.benchsetup.BenchLook;
import hightally.core.benchsetup.StepAnswer;
import hightally.core.benchsetup.WaysSeen;
import hightally.core.preflight.Clearance.Kind;
import hightally.core.preflight.Clearance.Lack;
import hightally.core.preflight.Clearance.Missing;
import hightally.core.preflight.Clearance.Reason;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;

/**
 * What was seen and measured on one model, and what that leaves to be done before it may fly. It
 * belongs to this model alone, and holds as long as what it was looked for stays as it is.
 */
public final class ModelClearance {
  private ModelClearance() {}

  /**
   * A check. What it was made from is asked for only where somebody has to know: of a long history
   * that is the newest few.
   *
   * @param asked its steps as they were asked
   * @param done whether it was ended with every step answered
   * @param setup the one it was made from
   */
  public record CheckLook(
      CheckKind kind,
      Supplier<List<CheckStep>> asked,
      List<CheckAnswer> answers,
      boolean done,
      Supplier<Setup> setup,
      Instant at) {
    List<CheckStep> steps() {
      return asked.get();
    }

    Setup then() {
      return setup.get();
    }

    boolean passed() {
      return done && CheckState.of(steps(), answers).passed();
    }

    /** Whether every step it answers is among some. */
    boolean answersOnly(Set<String> some) {
      return answers.stream().allMatch(one -> some.contains(one.step()));
    }
  }

  /**
   * What follows for the model.
   *
   * @param wrong what was seen wrong and not seen right since
   * @param missing what is still to be seen
   */
  public record Seen(List<Reason> wrong, List<Missing> missing) {
    /** A model on which everything was seen right. */
    public static final Seen ALL = new Seen(List.of(), List.of());
  }

  /**
   * What follows from all that was seen.
   *
   * @param now the setup as it is
   * @param ways which surface was seen to move, and which way
   * @param looks of all set-ups, oldest first
   * @param checks newest first
   * @param due what changed parts have made due
   * @param untyped how many values do not stand in the transmitter; 0 where nobody keeps that here
   */
  public static Seen of(
      Setup now,
      WaysSeen ways,
      List<BenchLook> looks,
      List<CheckLook> checks,
      List<Due> due,
      int untyped) {
    List<Reason> wrong = new ArrayList<>(wrongInChecks(checks));
    Instant checked = wholeCheck(checks);
    List<BenchLook> answers =
        looks.stream().filter(one -> !WaysSeen.isAbout(one.answer())).toList();
    wrong.addAll(wrongInSetUps(now, answers, checked));
    WaysSeen.WaysLeft left = ways.left(checked);
    left.wrong().forEach(one -> wrong.add(new Reason(Kind.SET_UP, "", WaysSeen.STEP, one)));
    List<Missing> missing = new ArrayList<>();
    if (untyped > 0) {
      // What flies is what was typed: a change is made when it is ticked off.
      missing.add(new Missing(Lack.NOT_TYPED, Said.of("ready.notTyped", "values", untyped)));
    }
    if (left.open()) {
      missing.add(new Missing(Lack.WAYS, Said.of("ready.waysOpen")));
    }
    missing.addAll(missing(now, answers, checks, due));
    return new Seen(List.copyOf(wrong), List.copyOf(missing));
  }

  /**
   * What of the model was seen wrong stays so until it is seen right; what is of a day counts in
   * the newest check of its kind.
   */
  private static List<Reason> wrongInChecks(List<CheckLook> checks) {
    List<Reason> found = new ArrayList<>();
    Set<String> seen = new HashSet<>();
    Set<CheckKind> kinds = new HashSet<>();
    for (CheckLook check : checks) {
      boolean newest = kinds.add(check.kind());
      if (check.answersOnly(seen)) {
        continue; // What is newer has been seen of each.
      }
      for (CheckStep step : check.steps()) {
        Optional<CheckAnswer> answer =
            check.answers().stream()
                .filter(one -> one.step().equals(step.id()))
                .filter(one -> one.verdict() != CheckAnswer.Verdict.LEFT_OUT)
                .findFirst();
        boolean asked = answer.isPresent() && (newest || step.lasting());
        if (asked && seen.add(step.id()) && answer.get().grounds()) {
          found.add(new Reason(Kind.CHECK, "", step.id(), CheckState.reason(step, answer.get())));
        }
      }
    }
    return found;
  }

  /** When the model was last checked as a whole and passed. */
  private static Instant wholeCheck(List<CheckLook> checks) {
    return checks.stream()
        .filter(one -> one.kind() == CheckKind.FULL || one.kind() == CheckKind.FLIGHT)
        .filter(CheckLook::passed)
        .map(CheckLook::at)
        .findFirst()
        .orElse(Instant.MIN);
  }

  /** What the set-up saw go wrong, and neither it nor a whole check has seen right since. */
  private static List<Reason> wrongInSetUps(Setup now, List<BenchLook> looks, Instant checked) {
    Map<String, BenchLook> newest = new LinkedHashMap<>();
    looks.forEach(one -> newest.put(one.answer().step(), one));
    List<Reason> found = new ArrayList<>();
    for (BenchLook one : newest.values()) {
      if (one.at().isAfter(checked)) {
        List<StepAnswer> answers = newest.values().stream().map(BenchLook::answer).toList();
        BenchFindings.wrong(one.answer(), one.then(), now, answers)
            .ifPresent(words -> found.add(new Reason(Kind.SET_UP, "", one.answer().step(), words)));
      }
    }
    return found;
  }

  private static List<Missing> missing(
      Setup now, List<BenchLook> looks, List<CheckLook> checks, List<Due> due) {
    List<Missing> missing = new ArrayList<>();
    Optional<CheckLook> full = passed(checks, CheckKind.FULL);
    boolean holds = full.isPresent() && CheckPicture.same(full.get().then(), now);
    boolean measured = holds || BenchFindings.measured(now, holding(looks, now));
    if (!measured) {
      missing.add(new Missing(Lack.NOT_MEASURED, Said.of("ready.notMeasured")));
    }
    boolean balance =
        checks.stream()
            .filter(one -> !one.answers().isEmpty())
            .filter(one -> one.then().balance().equals(now.balance()))
            .anyMatch(
                one -> CheckState.right(one.steps(), one.answers(), CheckStep.Concern.BALANCE));
    if (!balance) {
      missing.add(new Missing(Lack.BALANCE, Said.of("ready.balanceNotSeen")));
    }
    due.stream()
        .filter(one -> one.kind() == CheckKind.FULL)
        .findFirst()
        .map(Due::why)
        .or(() -> holds ? Optional.empty() : Optional.of(Said.of("ready.checkedBeforeChange")))
        .ifPresent(why -> missing.add(new Missing(Lack.FULL_CHECK, why)));
    due.stream()
        .filter(one -> one.kind() == CheckKind.RANGE)
        .findFirst()
        .ifPresent(one -> missing.add(new Missing(Lack.RANGE_CHECK, one.why())));
    return missing;
  }

  private static Optional<CheckLook> passed(List<CheckLook> checks, CheckKind kind) {
    return checks.stream().filter(one -> one.kind() == kind && one.passed()).findFirst();
  }

  private static List<StepAnswer> holding(List<BenchLook> looks, Setup now) {
    Map<String, StepAnswer> newest = new LinkedHashMap<>();
    for (BenchLook one : looks) {
      if (BenchFindings.holds(one.answer(), one.then(), now)) {
        newest.put(one.answer().step(), one.answer());
      } else {
        newest.remove(one.answer().step());
      }
    }
    return List.copyOf(newest.values());
  }
}
