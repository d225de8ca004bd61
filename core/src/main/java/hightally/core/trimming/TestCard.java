package hightally.core.trimming;

import hightally.core.quantity.Absentable;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.trimming.TestResult.Turn;
import java.util.ArrayList;
import java.util.List;

/**
 * How a trim test is flown on a model, and what can be seen: data for the pilot.
 *
 * @param name with its phase or setting
 * @param tells what it is flown for
 * @param flown step by step
 * @param watch what to look at
 * @param caution what can go wrong
 * @param turns the ways round it is flown
 * @param outcomes besides right, in the order asked
 */
public record TestCard(
    TestCase test,
    Said name,
    Said tells,
    List<Said> flown,
    Said watch,
    Said caution,
    List<Turn> turns,
    List<OutcomeCard> outcomes) {
  /**
   * Something that can be seen.
   *
   * @param computed whether a change is worked out from it; if not, causes are named
   * @param excludes what cannot be seen together with it the same way round
   */
  public record OutcomeCard(
      TrimOutcome outcome, Said words, boolean computed, @Absentable TrimOutcome excludes) {}

  private static final String WING = "_WING";

  /** Everything a pilot needs for a test on a model. */
  public static TestCard of(Setup setup, TestCase test) {
    TrimTest one = test.test();
    ModelKind kind = ModelKind.of(setup);
    boolean passes = one == TrimTest.DIVE && kind == ModelKind.WING;
    String key = one.name() + (passes ? WING : "");
    boolean motor = !setup.airframe().motors().isEmpty();
    List<Said> steps = new ArrayList<>();
    for (int step = 1; step <= one.flown().steps(); step++) {
      steps.add(Said.of("TestStep." + key + "." + step, "motor", motor));
    }
    boolean bothWays = one.flown().bothWays();
    return new TestCard(
        test,
        Coach.name(setup, test),
        Said.of("TestTells." + one.name()),
        steps,
        Said.of("TestWatch." + key),
        Said.of("TestCaution." + one.flown().height().name()),
        bothWays ? List.of(Turn.LEFT, Turn.RIGHT) : List.of(Turn.BOTH),
        one.seen().stream()
            .map(
                seen ->
                    new OutcomeCard(
                        seen,
                        Said.of("TrimOutcome." + seen.name()),
                        one.way(seen).isPresent(),
                        seen.opposite().orElse(null)))
            .toList());
  }
}
