package hightally.core.trimming;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hightally.core.quantity.InvalidInputException;
import hightally.core.trimming.TrimStep.Flown;
import hightally.core.trimming.TrimStep.Question;
import hightally.core.trimming.TrimStep.Verdict;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The next step of a lever: each rule by hand, and a lever whose truth is hidden. */
class TrimStepTest {
  private static final List<Double> STEPS = List.of(2.0, 4.0, 8.0);

  private static TrimStep next(String history, double resolution, double min, double max) {
    List<Flown> flown = new ArrayList<>();
    for (String one : history.split(" ")) {
      String[] parts = one.split(":");
      flown.add(new Flown(Double.parseDouble(parts[0]), Integer.parseInt(parts[1])));
    }
    return TrimStep.of(new Question(flown, STEPS, resolution, min, max));
  }

  @ParameterizedTest
  @CsvSource({
    // Value and severity, oldest first; 3 is strong and the lever must go up.
    "3:0, RIGHT, 3",
    "0:1, TRY, 2",
    "0:2, TRY, 4",
    "0:-3, TRY, -8",
    "0:2 0:1, TRY, 2",
    // Right before, not now: back.
    "4:0 6:-1, GO_BACK, 4",
    // From both sides: 4 + 4 · 1 / (1 + 1), and with the newest of equal values.
    "4:1 8:-1, INTERPOLATED, 6",
    "0:3 4:1 8:-3, INTERPOLATED, 5",
    "4:3 8:-1 4:1, INTERPOLATED, 6",
    // Reports that contradict each other: 4 less at 4 · ... is worked out from the last two alone.
    "8:1 4:-1, INTERPOLATED, 6",
    // Worse: back, and something else is the cause.
    "0:1 2:2, NOT_THE_CAUSE, 0",
    // Nothing came of it: once more, twice as far where it is strong; then it is not the cause.
    "0:1 2:1, EXTRAPOLATED, 4",
    "0:3 8:3, EXTRAPOLATED, 24",
    "0:1 2:1 4:1, NOT_THE_CAUSE, 0",
    "0:2 2:1 4:1, EXTRAPOLATED, 6",
    // Better: by the slope, at most twice the last move.
    "0:3 4:1, EXTRAPOLATED, 6",
    "0:3 4:2, EXTRAPOLATED, 12",
    "0:-2 -4:-1, EXTRAPOLATED, -8"
  })
  void everyRuleByHand(String history, Verdict verdict, double value) {
    TrimStep step = next(history, 0.5, -100, 100);
    assertThat(step.verdict()).isEqualTo(verdict);
    assertThat(step.next()).isCloseTo(value, within(1e-9));
  }

  @Example
  void whatIsFoundIsRoundedAndHeldAndSaysWhenItCannotMove() {
    // Counted from min in steps of 0.4: 6 is 15.5 steps above 0 - ..., halves up.
    assertThat(next("4:1 8:-1", 5, 0, 100).next()).isEqualTo(5);
    assertThat(next("4:1 9:-2", 0.5, 0, 100).next()).isCloseTo(5.5, within(1e-9));
    assertThat(next("0:1", 2, -1, 9).next()).as("halves go up").isEqualTo(3);
    assertThat(next("5:3", 0.5, -6, 6)).isEqualTo(new TrimStep(Verdict.TRY, 6));
    assertThat(next("6:1", 0.5, -6, 6).verdict()).isEqualTo(Verdict.AT_LIMIT);
    assertThat(next("-6:-1", 0.5, -6, 6).verdict()).isEqualTo(Verdict.AT_LIMIT);
    assertThat(next("4:1 5:-1", 1, 0.4, 100))
        .satisfies(
            one -> assertThat(one.verdict()).isIn(Verdict.INTERPOLATED, Verdict.FINE_ENOUGH));
    assertThat(next("5:-1 4:1", 10, -6, 14).verdict()).isEqualTo(Verdict.FINE_ENOUGH);
  }

  @Example
  void whatMakesNoSenseIsRefused() {
    assertThatThrownBy(() -> TrimStep.of(new Question(List.of(), STEPS, 1, 0, 1)))
        .isInstanceOf(InvalidInputException.class);
    List<Flown> once = List.of(new Flown(0, 1));
    assertThatThrownBy(() -> TrimStep.of(new Question(once, List.of(1.0), 1, 0, 1)))
        .isInstanceOf(InvalidInputException.class);
    assertThatThrownBy(() -> TrimStep.of(new Question(once, STEPS, 0, 0, 1)))
        .isInstanceOf(InvalidInputException.class);
    assertThatThrownBy(() -> TrimStep.of(new Question(once, STEPS, 1, 1, 1)))
        .isInstanceOf(InvalidInputException.class);
  }

  /**
   * A pilot who sees how far a lever is off, three grades each way, and follows the steps. Two
   * steps of a lever are seen; of a weaker one the rules say that it is not the cause.
   */
  @Property(tries = 400, seed = "20261126")
  void aHiddenTruthIsFoundInAFewFlights(
      @ForAll @DoubleRange(min = -20, max = 20) double truth,
      @ForAll @DoubleRange(min = 2, max = 6) double clear) {
    List<Flown> history = new ArrayList<>();
    double value = 0;
    for (int flight = 1; flight <= 12; flight++) {
      int seen = (int) Math.max(-3, Math.min(3, Math.round(2 * (truth - value) / clear)));
      history.add(new Flown(value, seen));
      TrimStep step = TrimStep.of(new Question(history, STEPS, 0.5, -30, 30));
      if (step.verdict() == Verdict.RIGHT || step.verdict() == Verdict.FINE_ENOUGH) {
        assertThat(Math.abs(truth - value)).isLessThanOrEqualTo(clear / 4 + 0.5);
        assertThat(flight).as("flights").isLessThanOrEqualTo(9);
        return;
      }
      assertThat(step.verdict()).as(history + "").isNotEqualTo(Verdict.AT_LIMIT);
      value = step.next();
    }
    throw new AssertionError("not found: " + history);
  }
}
