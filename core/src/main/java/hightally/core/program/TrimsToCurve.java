package hightally.core.program;

import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Hands-off trims flown at several settings of throttle, flap or brake become the points of the mix
 * that makes them unnecessary: value = (trim there - trim at the reference) · click step, percent
 * of command.
 */
public final class TrimsToCurve {
  private TrimsToCurve() {}

  /**
   * A trim at one setting.
   *
   * @param settingPercent of the source, as the mix's curve counts it
   * @param clicks flown hands off there
   */
  public record TrimAt(
      @Within(min = -100, max = 100, unit = Unit.PERCENT) double settingPercent,
      @Within(min = -500, max = 500, unit = Unit.CLICKS) int clicks) {}

  /**
   * The curve.
   *
   * @param referencePercent the setting at which the mix shall add nothing
   * @throws InvalidInputException for fewer than two settings, a setting given twice, or a
   *     reference that was not flown
   */
  public static List<CurvePoint> of(
      List<TrimAt> flown, double referencePercent, double clickStepPercent) {
    List<TrimAt> sorted = new ArrayList<>(flown);
    sorted.sort(Comparator.comparingDouble(TrimAt::settingPercent));
    TrimAt reference =
        sorted.stream()
            .filter(one -> one.settingPercent() == referencePercent)
            .findFirst()
            .orElseThrow(
                () ->
                    InvalidInputException.of(
                        "referencePercent", referencePercent, Said.of("demand.oneSettingsFlown")));
    List<CurvePoint> points =
        sorted.stream()
            .map(
                one ->
                    new CurvePoint(
                        one.settingPercent(),
                        (one.clicks() - reference.clicks()) * clickStepPercent))
            .toList();
    Curve.of(points);
    return points;
  }
}
