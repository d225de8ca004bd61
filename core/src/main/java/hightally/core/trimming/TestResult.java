package hightally.core.trimming;

import hightally.core.quantity.Said;
import hightally.core.quantity.SelfChecked;
import hightally.core.quantity.Text;
import hightally.core.quantity.Violation;
import hightally.core.quantity.Within;
import java.util.List;
import java.util.OptionalInt;
import java.util.function.Consumer;

/**
 * What a flight showed of a trim test.
 *
 * @param test which
 * @param part of it: a phase, or a brake setting in percent; empty where the test has no parts
 * @param seen everything that was not right; empty for right
 */
public record TestResult(
    TrimTest test, @Text(min = 0, max = 40) String part, List<SeenOutcome> seen)
    implements SelfChecked {
  private static final double HALF = 2;

  public TestResult {
    seen = seen == null ? null : List.copyOf(seen);
  }

  /** Which way round it was flown. */
  public enum Turn {
    BOTH,
    LEFT,
    RIGHT
  }

  /**
   * One thing that was seen.
   *
   * @param strength 1 slight, 2 clear, 3 strong
   */
  public record SeenOutcome(
      TrimOutcome outcome, @Within(min = 1, max = 3) int strength, Turn turn) {}

  @Override
  public void check(String path, Consumer<Violation> found) {
    for (int i = 0; i < seen.size(); i++) {
      SeenOutcome one = seen.get(i);
      if (!test.seen().contains(one.outcome())) {
        String known = String.join(", ", test.seen().stream().map(Enum::name).toList());
        found.accept(
            Violation.of(
                path + "seen[" + i + "].outcome",
                one.outcome().name(),
                Said.of("demand.oneOf", "names", known)));
      }
    }
  }

  /** Whether it was right. */
  public boolean right() {
    return seen.isEmpty();
  }

  /**
   * How strongly a lever must move and which way, both turns together; empty where left and right
   * ask for opposite ways.
   */
  public OptionalInt severity(TrimLever lever) {
    Integer both = severity(lever, Turn.BOTH);
    if (both != null) {
      return OptionalInt.of(both);
    }
    Integer left = severity(lever, Turn.LEFT);
    Integer right = severity(lever, Turn.RIGHT);
    int one = left == null ? 0 : left;
    int other = right == null ? 0 : right;
    if (one * other < 0) {
      return OptionalInt.empty();
    }
    int sum = one + other;
    return OptionalInt.of((int) (Math.signum(sum) * Math.ceil(Math.abs(sum) / HALF)));
  }

  private Integer severity(TrimLever lever, Turn turn) {
    return seen.stream()
        .filter(one -> one.turn() == turn)
        .flatMap(
            one ->
                test.way(one.outcome()).stream()
                    .filter(way -> way.lever() == lever)
                    .map(way -> way.sign() * one.strength()))
        .findFirst()
        .orElse(null);
  }
}
