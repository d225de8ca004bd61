package hightally.core.history;

import hightally.core.adjustment.AdjustmentPlan;
import hightally.core.adjustment.AdjustmentPlanner;
import hightally.core.adjustment.Confirmation;
import hightally.core.adjustment.PhaseOutcome;
import hightally.core.adjustment.WorthTurning.ControlWorth;
import hightally.core.flightlog.LoggedFlight;
import hightally.core.flightlog.SeriesBreak;
import hightally.core.flightlog.Settling;
import hightally.core.flightlog.StandingTrims;
import hightally.core.flightlog.TrimSeries;
import hightally.core.flightlog.TrimSeries.State;
import hightally.core.preflight.Clearance;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Where a model stands: worked out once from all that has become of it, and shown everywhere.
 *
 * @param stage its place on the loop
 * @param next the next thing to do
 * @param waiting that in a sentence
 * @param waits whether the pilot has something to do before it flies again
 * @param reference id of the phase whose trims would go into the linkages
 * @param series the verdict of every phase and control
 * @param trims the clicks that stand in the transmitter
 * @param worth what is worth turning of the reference phase's settled trims, and what is not
 * @param turn the controls that would be turned; empty where there is nothing to begin
 * @param confirmation what the flights since the last adjustment say of it
 * @param learned what explains the measurements
 * @param due what changed parts have voided and what is still to be done again
 */
public record ModelStanding(
    LoopStage stage,
    Next next,
    Said waiting,
    boolean waits,
    String reference,
    List<TrimSeries> series,
    StandingTrims trims,
    List<ControlWorth> worth,
    List<Control> turn,
    List<Confirmation> confirmation,
    Calibration learned,
    List<Said> due) {
  public ModelStanding {
    series = List.copyOf(series);
    worth = List.copyOf(worth);
    turn = List.copyOf(turn);
    confirmation = List.copyOf(confirmation);
    due = List.copyOf(due);
  }

  /** What is to be done next; the first that applies. */
  public enum Next {
    /** Nothing is described yet. */
    DESCRIBE,
    /** A reading of the open work order disagrees. */
    SETTLE_READING,
    /** A work order is open. */
    FINISH_ORDER,
    /** Something grounds it. */
    MEND,
    /** A changed part has voided something. */
    DO_AGAIN,
    /** It is not cleared to fly: something is still to be seen or worked out. */
    MAKE_READY,
    /** A trim was perhaps noted the wrong way round. */
    ANSWER_SIGN,
    /** Something slips. */
    FIND_SLIP,
    /** The description is wrong, and how is known. */
    CORRECT,
    /** A measurement tells two explanations apart. */
    MEASURE,
    /** Trims have settled and are worth turning. */
    ADJUST,
    /** A trim is so large that it is a symptom. */
    LOOK,
    /** Adjusted and not flown. */
    CONFIRM,
    /** More flights are needed. */
    FLY,
    /** All that was flown has settled and nothing is worth turning. */
    REST
  }

  private record Verdict(LoopStage stage, Next next, Said words, boolean waits) {}

  /** Works it out. */
  public static ModelStanding of(History history) {
    Setup setup = history.setup();
    List<SeriesBreak> breaks = history.breaks();
    List<TrimSeries> series = Settling.of(setup, history.flights(), breaks, history.said());
    StandingTrims trims = StandingTrims.of(setup, history.flights(), history.setBy());
    PlannedTrims planned =
        PlannedTrims.of(setup, history.flights(), series, trims, PlanOptions.PROPOSED);
    List<Control> turn = planned.flown().map(one -> one.controls()).orElse(List.of());
    List<Control> stuck =
        planned.worth().verdicts().stream()
            .filter(one -> !one.worth() && Math.abs(one.clicks()) > setup.house().leaveClicks())
            .map(ControlWorth::control)
            .toList();
    List<Control> close =
        planned.worth().verdicts().stream()
            .filter(ControlWorth::close)
            .map(ControlWorth::control)
            .toList();
    Calibration learned = Calibration.of(history, stuck, close);
    List<Said> due = history.changes().stream().flatMap(one -> one.due().stream()).toList();
    Verdict verdict = verdict(history, series, trims, planned, learned, due);
    return new ModelStanding(
        verdict.stage(),
        verdict.next(),
        verdict.words(),
        verdict.waits(),
        planned.reference(),
        series,
        trims,
        planned.worth().verdicts(),
        turn,
        confirmation(history, series),
        learned,
        due);
  }

  /**
   * What a plan would turn.
   *
   * @param wish of the pilot
   */
  public static PlannedTrims planned(History history, PlanOptions wish) {
    List<TrimSeries> series =
        Settling.of(history.setup(), history.flights(), history.breaks(), history.said());
    StandingTrims trims = StandingTrims.of(history.setup(), history.flights(), history.setBy());
    return PlannedTrims.of(history.setup(), history.flights(), series, trims, wish);
  }

  private static Verdict verdict(
      History history,
      List<TrimSeries> series,
      StandingTrims trims,
      PlannedTrims planned,
      Calibration learned,
      List<Said> due) {
    if (history.setup().surfaces().isEmpty()) {
      return new Verdict(LoopStage.RIG, Next.DESCRIBE, Said.of("log.noSurface"), true);
    }
    if (history.open().isPresent()) {
      List<String> disagree = history.open().get().disagreeing();
      return disagree.isEmpty()
          ? adjust(Next.FINISH_ORDER, Said.of("log.workOrderOpen"))
          : adjust(
              Next.SETTLE_READING,
              Said.of("story.readingDisagrees", "surfaces", Said.list(disagree)));
    }
    Clearance grounding = history.grounding();
    if (!grounding.reasons().isEmpty()) {
      Said words =
          Said.of(
              "log.grounded",
              "first",
              grounding.reasons().get(0).words(),
              "count",
              grounding.reasons().size());
      return new Verdict(LoopStage.CHECK, Next.MEND, words, true);
    }
    if (!due.isEmpty()) {
      Said words = Said.of("story.doAgain", "first", due.get(0), "count", due.size());
      return new Verdict(LoopStage.CHECK, Next.DO_AGAIN, words, true);
    }
    return flown(history, series, trims, planned, learned);
  }

  private static Verdict adjust(Next next, Said words) {
    return new Verdict(LoopStage.ADJUST, next, words, true);
  }

  private static Verdict flown(
      History history,
      List<TrimSeries> series,
      StandingTrims trims,
      PlannedTrims planned,
      Calibration learned) {
    Setup setup = history.setup();
    Optional<TrimSeries> asked = in(series, State.OPPOSITE);
    if (asked.isPresent()) {
      return fly(Next.ANSWER_SIGN, of(setup, asked.get(), asked.get().words()), true);
    }
    Optional<TrimSeries> drifting = in(series, State.DRIFTING);
    if (drifting.isPresent()) {
      return adjust(Next.FIND_SLIP, of(setup, drifting.get(), drifting.get().words()));
    }
    if (learned.named() != null) {
      return adjust(Next.CORRECT, learned.named().words());
    }
    boolean confirms =
        !history.orders().isEmpty() && !flownSince(history, lastOrder(history).result());
    if (learned.next() != null && !(confirms && learned.lightly())) {
      return adjust(Next.MEASURE, learned.next().words());
    }
    if (planned.flown().isPresent()) {
      Trims settled =
          planned.flown().get().phases().stream()
              .filter(one -> one.phase().equals(planned.reference()))
              .findFirst()
              .orElseThrow()
              .trims()
              .only(planned.flown().get().controls()::contains);
      return adjust(
          Next.ADJUST, Said.of("log.trimsWaitAdjustment", "words", settled.told(one -> true)));
    }
    Optional<TrimSeries> large = in(series, State.TOO_LARGE);
    if (large.isPresent()) {
      return adjust(Next.LOOK, of(setup, large.get(), large.get().words()));
    }
    Verdict calm = calm(history, series, trims, planned);
    boolean flies = calm.next() == Next.FLY || calm.next() == Next.CONFIRM;
    return flies && !history.grounding().clear() ? makeReady(history.grounding()) : calm;
  }

  /** What leads to a flight leads to what is missing before it. */
  private static Verdict makeReady(Clearance grounding) {
    List<Clearance.Missing> missing = grounding.missing();
    Said words =
        Said.of(
            "ready.next",
            "first",
            missing.get(0).words(),
            "count",
            missing.size(),
            "more",
            missing.size() - 1);
    return new Verdict(LoopStage.CHECK, Next.MAKE_READY, words, true);
  }

  private static Verdict calm(
      History history, List<TrimSeries> series, StandingTrims trims, PlannedTrims planned) {
    List<TrimSeries> here =
        series.stream().filter(one -> one.phase().equals(planned.reference())).toList();
    boolean any = here.stream().anyMatch(TrimSeries::flown);
    History.Step newest = history.revisions().get(history.revisions().size() - 1);
    long flights = history.flights().stream().filter(one -> !one.simulated()).count();
    if (!history.orders().isEmpty() && !flownSince(history, lastOrder(history).result())) {
      return fly(Next.CONFIRM, Said.of("log.adjusted"), false);
    }
    if (flights == 0) {
      return new Verdict(
          LoopStage.CHECK, Next.FLY, Said.of("log.notFlown", "revision", newest.number()), false);
    }
    Optional<TrimSeries> open =
        here.stream()
            .filter(one -> one.state() == State.NOT_YET)
            .reduce((one, other) -> other.agreeing() < one.agreeing() ? other : one);
    if (!any || open.isPresent()) {
      int lacking =
          history.setup().house().settledFlights() - open.map(TrimSeries::agreeing).orElse(0);
      return fly(Next.FLY, Said.of("log.moreCalmFlights", "lacking", lacking), false);
    }
    Trims stands = trims.of(planned.reference());
    for (TrimSeries one : here) {
      stands = one.settled() ? stands.with(one.control(), one.clicks()) : stands;
    }
    Said words =
        stands.allZero()
            ? Said.of("story.allAtZero")
            : Said.of("log.mayStay", "words", stands.told(one -> true));
    return fly(Next.REST, words, false);
  }

  private static Verdict fly(Next next, Said words, boolean waits) {
    return new Verdict(LoopStage.FLY, next, words, waits);
  }

  private static boolean flownSince(History history, int revision) {
    return history.flights().stream()
        .anyMatch(one -> one.revision() >= revision && !one.simulated());
  }

  private static History.Order lastOrder(History history) {
    return history.orders().get(history.orders().size() - 1);
  }

  private static Optional<TrimSeries> in(List<TrimSeries> series, State state) {
    return series.stream().filter(one -> one.state() == state).findFirst();
  }

  private static Said of(Setup setup, TrimSeries one, Said words) {
    return Said.of(
        "story.ofSeries",
        "phase",
        setup.phase(one.phase()).orElseThrow().name(),
        "many",
        setup.phases().size() > 1,
        "control",
        one.control(),
        "words",
        words);
  }

  /** The flights since the last adjustment beside what it should have left. */
  private static List<Confirmation> confirmation(History history, List<TrimSeries> series) {
    if (history.orders().isEmpty()) {
      return List.of();
    }
    History.Order order = lastOrder(history);
    Setup then = Restoration.corrected(history, order.on());
    AdjustmentPlan plan = AdjustmentPlanner.plan(then, order.flown().withMade(order.marks()));
    List<LoggedFlight> since =
        history.flights().stream().filter(one -> one.revision() >= order.result()).toList();
    List<SeriesBreak> later =
        history.breaks().stream().filter(one -> one.after(order.result())).toList();
    List<Confirmation> found = new ArrayList<>();
    for (PhaseOutcome planned : plan.phases()) {
      for (Control control : order.flown().controls()) {
        boolean there = series.stream().anyMatch(one -> is(one, planned.phase(), control));
        TrimSeries flown =
            there
                ? Settling.of(
                    history.setup(),
                    until(since, later, planned.phase(), control),
                    List.of(),
                    planned.phase(),
                    control)
                : null;
        if (flown != null && flown.flown()) {
          found.add(Confirmation.of(history.setup(), planned, control, flown));
        }
      }
    }
    return found;
  }

  /** The flights before anything else voids them: they are the ones that speak of the rods. */
  private static List<LoggedFlight> until(
      List<LoggedFlight> since, List<SeriesBreak> later, String phase, Control control) {
    return since.stream()
        .filter(
            flight ->
                later.stream()
                    .noneMatch(each -> each.voids(phase, control) && !each.before(flight)))
        .toList();
  }

  private static boolean is(TrimSeries one, String phase, Control control) {
    return one.phase().equals(phase) && one.control() == control;
  }

  /** The verdict of one phase and control; empty where it has none. */
  public Optional<TrimSeries> of(String phase, Control control) {
    return series.stream().filter(one -> is(one, phase, control)).findFirst();
  }
}
