package hightally.core.simulator;

import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.SelfChecked;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Violation;
import hightally.core.quantity.Within;
import hightally.core.signal.Moment;
import java.util.List;
import java.util.function.Consumer;

/**
 * A sequence of movements of sticks, levers and switches, to be played on the simulated bench.
 *
 * @param formatVersion version of the file's form
 * @param name what it shows
 * @param steps in the order of their times
 * @param seconds how long it goes on in all
 */
public record Scene(
    @Within(min = 1, max = FORMAT_VERSION) int formatVersion,
    @Text(max = 80) String name,
    List<SceneStep> steps,
    @Within(min = 0.1, max = LONGEST_SECONDS, unit = Unit.SECONDS) double seconds)
    implements SelfChecked {
  /** The form this program writes. */
  public static final int FORMAT_VERSION = 1;

  /** Longest scene. */
  public static final double LONGEST_SECONDS = 600;

  private static final int MOST_STEPS = 20_000;

  /**
   * What the hands do from a time on.
   *
   * @param atSeconds since the beginning
   * @param linkLost whether the simulated receiver hears nothing
   */
  public record SceneStep(
      @Within(min = 0, max = LONGEST_SECONDS, unit = Unit.SECONDS) double atSeconds,
      Moment moment,
      boolean linkLost) {}

  public Scene {
    steps = steps == null ? null : List.copyOf(steps);
  }

  @Override
  public void check(String path, Consumer<Violation> found) {
    if (steps.isEmpty() || steps.size() > MOST_STEPS) {
      Said wanted = Said.of("bench.steps", "most", MOST_STEPS);
      found.accept(
          Violation.of(path + "steps", Said.of("given.steps", "count", steps.size()), wanted));
    }
    for (int i = 1; i < steps.size(); i++) {
      double before = steps.get(i - 1).atSeconds();
      if (steps.get(i).atSeconds() < before) {
        String field = path + "steps[" + i + "].atSeconds";
        Said wanted = Said.of("bench.sceneOrder", "before", Quantity.seconds(before, 1));
        found.accept(Violation.of(field, steps.get(i).atSeconds(), wanted));
      }
    }
  }
}
