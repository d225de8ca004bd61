package hightally.core.adjustment;

import hightally.core.phase.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * What the flight after an adjustment says: done, or a second round with what was learned.
 *
 * <p>With T clicks flown before, P predicted to be left and R flown now, the rods moved the surface
 * by what T - P clicks were thought to be, and R - P clicks are still missing of it: a click moves
 * (T - P) / (T - R) times as much as was reckoned, or the linkage does that much less.
 *
 * @param control which control
 * @param before clicks flown before the adjustment
 * @param predicted clicks it should have left
 * @param flown clicks flown now
 * @param done whether they agree within the house value
 * @param learnedClickPercent the click step that would explain the rest; null where nothing can be
 *     learned
 * @param words all of it in words
 */
public record Confirmation(
    Control control,
    int before,
    int predicted,
    int flown,
    boolean done,
    Double learnedClickPercent,
    String words) {
  private static final double LEAST = 0.5;
  private static final double MOST = 2;

  /** Compares a flight with the prediction, control by control. */
  public static List<Confirmation> of(Setup setup, Trims before, Trims predicted, Trims flown) {
    List<Confirmation> found = new ArrayList<>();
    for (Control control : Control.values()) {
      if (before.of(control) != 0 || predicted.of(control) != 0 || flown.of(control) != 0) {
        found.add(of(setup, control, before.of(control), predicted.of(control), flown.of(control)));
      }
    }
    return found;
  }

  private static Confirmation of(Setup setup, Control control, int was, int expected, int now) {
    int off = now - expected;
    if (Math.abs(off) <= setup.house().confirmClicks()) {
      return new Confirmation(
          control,
          was,
          expected,
          now,
          true,
          null,
          "Confirmed: " + now + " where " + expected + " was predicted.");
    }
    double step = setup.transmitter().clickStepPercent();
    double factor = was == now ? 0 : (double) (was - expected) / (was - now);
    boolean learned = factor >= LEAST && factor <= MOST;
    String words =
        learned
            ? String.format(
                Locale.ROOT,
                "%d clicks where %d were predicted: a click moves as much as %.2f %%, not %.2f %%, or the"
                    + " linkage that much less. With your consent the second round reckons with it.",
                now,
                expected,
                step * factor,
                step)
            : String.format(
                Locale.ROOT,
                "%d clicks where %d were predicted, and no click step explains it: look at balance, a"
                    + " slipping linkage, or turns made the wrong way.",
                now,
                expected);
    return new Confirmation(
        control, was, expected, now, false, learned ? step * factor : null, words);
  }
}
