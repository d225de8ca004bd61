package hightally.app.school;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import hightally.app.school.SchoolSheet.CoachStep;
import hightally.app.school.SchoolSheet.FlightTold;
import hightally.app.school.SchoolSheet.PracticeReport;
import hightally.app.words.ReaderWords;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.simulator.CoachFollowed;
import hightally.core.simulator.HiddenFault;
import hightally.core.simulator.Practice;
import hightally.core.trimming.Coach;
import hightally.core.trimming.TestCase;
import hightally.core.trimming.TestResult;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** What was wrong with a practised model, what each flight told, what the coach would have done. */
@Component
class Reports {
  private static final int COACH_FLIGHTS = 25;
  private static final int KEPT = 64;

  /** Reports of practices that have ended: what is told of one never changes. */
  private final Cache<Long, PracticeReport> made = Caffeine.newBuilder().maximumSize(KEPT).build();

  private final Replay replay;
  private final ReaderWords words;

  Reports(Replay replay, ReaderWords words) {
    this.replay = replay;
    this.words = words;
  }

  /** The report of a practice that nothing more will happen in. */
  PracticeReport of(SchoolEntity run) {
    return made.get(run.id(), id -> made(run));
  }

  private PracticeReport made(SchoolEntity run) {
    Practice practice = replay.played(run);
    Setup setup = practice.now().setup();
    List<Said> faults = run.brief().faults().stream().map(one -> fault(setup, one)).toList();
    List<FlightTold> told = new ArrayList<>();
    int flight = 0;
    for (int i = 0; i < run.events().size(); i++) {
      SchoolEvent one = run.events().get(i);
      flight += one.kind() == SchoolEvent.Kind.TAKE_OFF ? 1 : 0;
      if (one.kind() == SchoolEvent.Kind.FLOWN) {
        TestResult seen = seenAfter(run.events(), i);
        boolean right = seen != null && ObservationGrading.of(seen, one.truth());
        told.add(new FlightTold(flight, Coach.name(setup, one.test()), one.truth(), seen, right));
      }
    }
    int before = CoachFollowed.trouble(replay.fresh(run));
    int after = CoachFollowed.trouble(practice);
    Practice coached = replay.fresh(run);
    CoachFollowed.Followed followed = CoachFollowed.of(coached, COACH_FLIGHTS, words);
    int coachAfter = CoachFollowed.trouble(coached);
    boolean found = !told.isEmpty() && found(run.brief(), practice, before, after, coachAfter);
    return new PracticeReport(
        faults,
        before,
        after,
        found,
        Said.of("school.report", "found", found, "better", after < before),
        told,
        followed.steps().stream()
            .map(
                one ->
                    new CoachStep(
                        one.flight(),
                        Coach.name(setup, new TestCase(one.seen().test(), one.seen().part())),
                        one.seen(),
                        one.advice()))
            .toList(),
        followed.flights(),
        coachAfter);
  }

  /**
   * What was hidden is found where its levers took out half of it, or where the model flies better
   * than it began and as the coach would have left it. Faults that no lever of a test takes out ask
   * only for the second half of that.
   */
  private static boolean found(
      SchoolBrief brief, Practice practice, int before, int after, int coachAfter) {
    boolean levers = FaultsFound.hasLevers(brief, practice);
    return FaultsFound.all(brief, practice) || after <= coachAfter && (after < before || !levers);
  }

  private static TestResult seenAfter(List<SchoolEvent> events, int at) {
    for (int i = at + 1; i < events.size(); i++) {
      SchoolEvent one = events.get(i);
      boolean same = events.get(at).test().equals(one.test());
      if (same && one.kind() == SchoolEvent.Kind.SEEN) {
        return one.seen();
      }
      if (same && one.kind() == SchoolEvent.Kind.FLOWN) {
        return null;
      }
    }
    return null;
  }

  private static Said fault(Setup setup, HiddenFault one) {
    String subject =
        setup
            .surface(one.subject())
            .map(found -> found.name())
            .or(
                () ->
                    setup.airframe().panels().stream()
                        .filter(panel -> panel.id().equals(one.subject()))
                        .map(panel -> panel.name())
                        .findFirst())
            .orElse("");
    double size = Math.abs(one.size());
    Quantity told =
        switch (one.kind()) {
          case DOWN_THRUST, RIGHT_THRUST, WARP, TAIL_INCIDENCE -> Quantity.degrees(size, 2);
          case PLAY -> Quantity.mm(size, 1);
          case BALANCE, TIP_MASS -> Quantity.percent(size, 2);
          default -> Quantity.percent(size, 0);
        };
    return Said.of(
        "air.fault", "kind", one.kind(), "size", told, "more", one.size() > 0, "subject", subject);
  }
}
