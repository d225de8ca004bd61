package hightally.core.adjustment;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Surface;
import hightally.core.phase.Trims;
import hightally.core.quantity.Absentable;
import hightally.core.quantity.Clicks;
import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.DoubleSummaryStatistics;
import java.util.List;

/**
 * What the flight after an adjustment says: done, or a second round with what was learned.
 *
 * <p>With T clicks flown before, P predicted to be left and R flown now, the rods moved the surface
 * by what T - P clicks were thought to be, and R - P clicks are still missing of it: a click moves
 * the arm's hole (T - P) / (T - R) times as far as was reckoned. That is another click step, if all
 * controls say so, or another effective radius of the arms behind this control; a horn's radius
 * drops out, since rod and click act on it alike.
 *
 * @param control which control
 * @param before clicks flown before the adjustment
 * @param predicted clicks it should have left
 * @param flown clicks flown now
 * @param done whether they agree within the house value
 * @param learnedClickPercent the click step that would explain the rest; null where nothing can be
 *     learned
 * @param learnedArms arm radii that would explain it instead; empty where nothing can be learned
 * @param words all of it in words
 */
public record Confirmation(
    Control control,
    int before,
    int predicted,
    int flown,
    boolean done,
    @Absentable Double learnedClickPercent,
    List<LearnedArm> learnedArms,
    Said words) {
  /** An arm that acts as if it had another radius, mm. */
  public record LearnedArm(String surface, String name, double radiusMm, double learnedMm) {}

  private static final double LEAST = 0.5;
  private static final double MOST = 2;

  /** With fewer clicks in the rods than this, a pilot's click more or less says nothing. */
  private static final int TELLING_CLICKS = 8;

  /** Two flights, each good to a click, tell nothing by less than this. */
  private static final int TELLING_REST = 3;

  private static final double ALIKE = 0.15;

  /** Compares a flight with the prediction, control by control. */
  public static List<Confirmation> of(Setup setup, Trims before, Trims predicted, Trims flown) {
    List<Confirmation> found = new ArrayList<>();
    for (Control control : Control.values()) {
      int was = before.of(control);
      int expected = predicted.of(control);
      int now = flown.of(control);
      if (was != 0 || expected != 0 || now != 0) {
        found.add(of(setup, control, was, expected, now));
      }
    }
    return together(found, setup.transmitter().clickStepPercent());
  }

  private static Confirmation of(Setup setup, Control control, int was, int expected, int now) {
    Said compared =
        Said.of(
            "adjustment.wherePredicted",
            "clicks",
            new Clicks(control, now),
            "clicks2",
            new Clicks(control, expected));
    if (Math.abs(now - expected) <= setup.house().confirmClicks()) {
      Said words = Said.of("adjustment.confirmed", "compared", compared);
      return new Confirmation(control, was, expected, now, true, null, List.of(), words);
    }
    double step = setup.transmitter().clickStepPercent();
    double factor = was == now ? 0 : (double) (was - expected) / (was - now);
    boolean few =
        Math.abs(was - expected) < TELLING_CLICKS || Math.abs(now - expected) < TELLING_REST;
    if (few || factor < LEAST || factor > MOST) {
      Said words =
          few
              ? Said.of("adjustment.soFewClicksMayPilots", "compared", compared)
              : Said.of("adjustment.noClickStepArmExplains", "compared", compared);
      return new Confirmation(control, was, expected, now, false, null, List.of(), words);
    }
    Said words =
        Said.of(
            "adjustment.clickMovesMuchNotArm",
            "compared",
            compared,
            "factor",
            Quantity.percent(step * factor, 2),
            "step",
            Quantity.percent(step, 2),
            "factor2",
            Quantity.percent(100 * factor));
    List<LearnedArm> arms = arms(setup, control, factor);
    return new Confirmation(
        control, was, expected, now, false, rounded(step * factor, 100), arms, words);
  }

  private static List<LearnedArm> arms(Setup setup, Control control, double factor) {
    SignalPath path = SignalPath.of(setup);
    List<LearnedArm> arms = new ArrayList<>();
    for (int i = 0; i < setup.surfaces().size(); i++) {
      Surface surface = setup.surfaces().get(i);
      int carried = surface.rod().driver() == DriverKind.SERVO ? path.carriedBehind(i) : -1;
      if (carried >= 0 && setup.surfaces().get(carried).shares().of(control) != 0) {
        double radius = surface.rod().linkage().armRadiusMm();
        arms.add(
            new LearnedArm(surface.id(), surface.name(), radius, rounded(radius * factor, 10)));
      }
    }
    return arms;
  }

  /** As finely as it can be typed in: a tenth of a millimetre, a hundredth of a percent. */
  private static double rounded(double value, double perUnit) {
    return Math.rint(value * perUnit) / perUnit;
  }

  private boolean learns() {
    return learnedClickPercent != null;
  }

  private Confirmation deciding(Double click, List<LearnedArm> arms, Said more) {
    return new Confirmation(
        control, before, predicted, flown, done, click, arms, Said.all(words, more));
  }

  /** What the controls together speak for: the click step moves all, an arm only its own. */
  private static List<Confirmation> together(List<Confirmation> all, double step) {
    boolean another =
        all.stream()
            .anyMatch(one -> one.done && Math.abs(one.before - one.predicted) >= TELLING_CLICKS);
    DoubleSummaryStatistics clicks =
        all.stream()
            .filter(Confirmation::learns)
            .mapToDouble(one -> one.learnedClickPercent)
            .summaryStatistics();
    boolean alike = clicks.getCount() > 1 && clicks.getMax() - clicks.getMin() <= ALIKE * step;
    return all.stream()
        .map(
            one -> {
              if (!one.learns()) {
                return one;
              }
              if (another) {
                return one.deciding(
                    null, one.learnedArms, Said.of("adjustment.anotherControlConfirmedSoNot"));
              }
              return alike
                  ? one.deciding(
                      one.learnedClickPercent,
                      List.of(),
                      Said.of("adjustment.allControlsSaySameSo"))
                  : one.deciding(
                      one.learnedClickPercent,
                      one.learnedArms,
                      Said.of("adjustment.oneControlCannotTellTwo"));
            })
        .toList();
  }
}
