package hightally.app.school;

import hightally.app.school.SchoolSheet.LeverPlace;
import hightally.app.school.SchoolSheet.LoggedEvent;
import hightally.app.school.SchoolSheet.SchoolTest;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.simulator.CoachFollowed;
import hightally.core.simulator.Practice;
import hightally.core.trimming.Coach;
import hightally.core.trimming.CoachAdvice;
import hightally.core.trimming.TestCard;
import hightally.core.trimming.TrimLever;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** A practice as its pilot sees it. */
@Component
class Sheets {
  private final Replay replay;
  private final Reports reports;

  Sheets(Replay replay, Reports reports) {
    this.replay = replay;
    this.reports = reports;
  }

  SchoolSheet of(SchoolEntity run) {
    Practice practice = replay.played(run);
    SchoolBrief brief = run.brief();
    List<SchoolTest> tests =
        practice.plan().tests().stream().map(one -> test(practice, one)).toList();
    return new SchoolSheet(
        run.id(),
        run.aircraftId() == null ? 0 : run.aircraftId(),
        brief.lesson(),
        brief.step(),
        brief.name(),
        brief.kind(),
        brief.wish(),
        brief.wind(),
        practice.flights(),
        brief.budget(),
        told(brief),
        brief.limits().stream().map(one -> known(practice.now().setup(), one)).toList(),
        tests,
        next(tests),
        log(run, practice),
        run.endedAt() == null ? null : reports.of(run),
        run.endedAt(),
        run.passed());
  }

  private static int next(List<SchoolTest> tests) {
    for (int i = 0; i < tests.size(); i++) {
      SchoolTest one = tests.get(i);
      boolean done = one.state() == Coach.State.STANDS || one.state() == Coach.State.SKIPPED;
      if (one.flyable() && !done) {
        return i;
      }
    }
    return -1;
  }

  private static Said told(SchoolBrief brief) {
    return brief.step() == 1
        ? Said.of("school.first", "kind", brief.faults().get(0).kind())
        : Said.of("school.hidden", "count", brief.faults().size(), "windy", brief.wind() > 0);
  }

  private static Said known(Setup setup, CoachFollowed.Limit limit) {
    return limit.lever() == null
        ? Said.of("school.knownWhole", "test", Coach.name(setup, limit.test()))
        : Said.of("school.known", "test", Coach.name(setup, limit.test()), "lever", limit.lever());
  }

  private static SchoolTest test(Practice practice, Coach.TestStanding one) {
    Setup setup = practice.now().setup();
    List<LeverPlace> levers =
        one.test().test().levers().stream()
            .map(
                lever ->
                    new LeverPlace(
                        lever,
                        Said.of("coach.lever", "lever", lever),
                        Said.of(
                            "school.stands",
                            "size",
                            CoachAdvice.amount(lever, practice.now().value(lever, one.test()))),
                        Said.of("school.plus", "lever", lever),
                        moves(lever)))
            .toList();
    return new SchoolTest(
        one.test(),
        TestCard.of(setup, one.test()),
        one.state(),
        one.words(),
        SchoolSheet.flyable(one.test()),
        levers);
  }

  /** First steps both ways, from most the one way to most the other. */
  private static List<Double> moves(TrimLever lever) {
    List<Double> moves = new ArrayList<>();
    lever.steps().forEach(step -> moves.add(0, -step));
    moves.addAll(lever.steps());
    return moves;
  }

  private static List<LoggedEvent> log(SchoolEntity run, Practice practice) {
    List<LoggedEvent> log = new ArrayList<>();
    Setup setup = practice.now().setup();
    int flight = 0;
    for (SchoolEvent one : run.events()) {
      flight += one.kind() == SchoolEvent.Kind.TAKE_OFF ? 1 : 0;
      if (one.test() != null) {
        log.add(
            new LoggedEvent(
                flight,
                one.kind(),
                Coach.name(setup, one.test()),
                one.seen(),
                one.lever() == null ? null : Said.of("coach.lever", "lever", one.lever()),
                one.to()));
      }
    }
    return log;
  }
}
