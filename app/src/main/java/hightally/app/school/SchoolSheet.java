package hightally.app.school;

import hightally.core.quantity.Absentable;
import hightally.core.quantity.Said;
import hightally.core.simulator.FlightTraits;
import hightally.core.simulator.TestFlight;
import hightally.core.trimming.Coach;
import hightally.core.trimming.CoachAdvice;
import hightally.core.trimming.TestCard;
import hightally.core.trimming.TestCase;
import hightally.core.trimming.TestResult;
import hightally.core.trimming.TrimLever;
import hightally.core.trimming.TrimTest;
import java.time.Instant;
import java.util.List;

/**
 * A practice as its pilot sees it.
 *
 * @param id its number
 * @param aircraftId the model of the hangar it is flown with; 0 for a lesson's
 * @param wind m/s
 * @param flights flown so far, of the budget
 * @param told what is said at the beginning
 * @param known what this model shows whatever is done
 * @param tests what can be flown, in the coach's order
 * @param next index of the first that can be flown and is not done with; -1 for none
 * @param log what happened
 * @param report what was wrong and what came of it; absent until it is ended
 * @param endedAt when it was ended; absent while it is open
 */
record SchoolSheet(
    long id,
    long aircraftId,
    @Absentable SchoolLesson lesson,
    int step,
    String name,
    FlightTraits.Class kind,
    TestFlight.Wish wish,
    double wind,
    int flights,
    int budget,
    Said told,
    List<Said> known,
    List<SchoolTest> tests,
    int next,
    List<LoggedEvent> log,
    @Absentable PracticeReport report,
    @Absentable Instant endedAt,
    boolean passed) {
  /**
   * One test.
   *
   * @param state as the coach has it
   * @param flyable whether the simulated model flies it
   * @param levers what can be moved for it
   */
  record SchoolTest(
      TestCase test,
      TestCard card,
      Coach.State state,
      Said words,
      boolean flyable,
      List<LeverPlace> levers) {}

  /**
   * A lever.
   *
   * @param stands where it stands
   * @param plus what it is counted in, and what plus is
   * @param moves that are offered, in that unit
   */
  record LeverPlace(TrimLever lever, Said name, Said stands, Said plus, List<Double> moves) {}

  /**
   * One thing that happened.
   *
   * @param flight its number
   */
  record LoggedEvent(
      int flight,
      SchoolEvent.Kind kind,
      @Absentable Said test,
      @Absentable TestResult seen,
      @Absentable Said lever,
      double to) {}

  /** What one flight told, what was said of it, and whether that was right. */
  record FlightTold(
      int flight, Said test, TestResult truth, @Absentable TestResult seen, boolean right) {}

  /** What the coach did in a flight of his own. */
  record CoachStep(int flight, Said test, TestResult seen, @Absentable CoachAdvice advice) {}

  /**
   * The end of it.
   *
   * @param faults what was wrong
   * @param before how far from right it began: the strengths of everything it showed
   * @param after how far from right it is now
   * @param found whether it ended as right as the coach would have left it
   * @param told what each flight told
   * @param coach what the coach would have done
   * @param coachFlights how many flights that took
   * @param coachAfter how far from right that left it
   */
  record PracticeReport(
      List<Said> faults,
      int before,
      int after,
      boolean found,
      Said words,
      List<FlightTold> told,
      List<CoachStep> coach,
      int coachFlights,
      int coachAfter) {}

  /** Whether the simulated model flies a test; level trim is flown live. */
  static boolean flyable(TestCase one) {
    return TestFlight.FLOWN.contains(one.test()) && one.test() != TrimTest.LEVEL_TRIM;
  }
}
