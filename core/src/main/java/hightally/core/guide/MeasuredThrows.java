package hightally.core.guide;

import hightally.core.airframe.Surface;
import hightally.core.audit.Finding.Edit;
import hightally.core.audit.Finding.Mend;
import hightally.core.linkage.Linkage;
import hightally.core.linkage.LinkageFit;
import hightally.core.linkage.LinkageFit.Explanation;
import hightally.core.linkage.LinkageFit.FitQuestion;
import hightally.core.linkage.LinkageFit.Reading;
import hightally.core.quantity.Text;
import hightally.core.quantity.Validation;
import hightally.core.quantity.Within;
import hightally.core.setup.Setup;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** From throws measured at some stick positions to the geometry behind them, and to equal sides. */
public final class MeasuredThrows {
  private MeasuredThrows() {}

  /**
   * A reading.
   *
   * @param stick of the stick or lever that moves the surface most; plus for nose up, right
   * @param travelMm from neutral, plus up or right
   */
  public record StickReading(
      @Within(min = -1, max = 1, label = "Stick") double stick,
      @Within(min = -600, max = 600, unit = "mm", label = "Measured", hint = "plus up or right")
          double travelMm) {}

  /** What is asked: two readings are enough to begin with. */
  public record MeasuredQuestion(
      Setup setup, @Text(label = "Surface", max = 40) String surface, List<StickReading> readings) {
    public MeasuredQuestion {
      readings = readings == null ? null : List.copyOf(readings);
    }
  }

  /**
   * What the readings say.
   *
   * @param expectedMm what the program computes at each reading
   * @param explanations geometry that explains them, the simplest first
   * @param mends taking each explanation into the linkage, in the same order
   * @param question asked where a reading looks as if it were in another unit; empty otherwise
   * @param even endpoints that make a pair's other side move as far, where it has one
   */
  public record MeasuredAnswer(
      List<Double> expectedMm,
      List<Explanation> explanations,
      List<Mend> mends,
      List<Mend> even,
      String question) {}

  /** Works back from the readings. */
  public static MeasuredAnswer answer(MeasuredQuestion question) {
    SignalPath path = SignalPath.of(question.setup());
    int index = path.indexOf(question.surface());
    Surface surface = question.setup().surfaces().get(index);
    List<Double> expected = new ArrayList<>();
    List<Reading> readings = new ArrayList<>();
    for (StickReading one : question.readings()) {
      Throws.Place place = Throws.at(path, index, one.stick());
      expected.add(place.travelMm());
      readings.add(new Reading(place.driverDegrees(), one.travelMm()));
    }
    FitQuestion fit =
        new FitQuestion(
            surface.rod().linkage(),
            surface.chordMm(),
            readings,
            question.setup().house().rulerMm());
    List<Explanation> found = LinkageFit.explanations(Validation.check(fit));
    List<Mend> mends = found.stream().map(one -> taken(index, one)).toList();
    return new MeasuredAnswer(
        expected, found, mends, EvenPair.mends(path, index), question(question, expected));
  }

  private static String question(MeasuredQuestion question, List<Double> expected) {
    for (int i = 0; i < expected.size(); i++) {
      double measured = question.readings().get(i).travelMm();
      if (GuideJudge.otherUnit(measured, Math.abs(expected.get(i)))) {
        return String.format(
            Locale.ROOT,
            "%.2f where %.1f mm was expected: is that mm, or inches or centimetres?",
            measured,
            expected.get(i));
      }
    }
    return "";
  }

  /** The values an explanation found, set in the surface's linkage. */
  static Mend taken(int index, Explanation one) {
    Linkage found = one.linkage();
    return new Mend(
        "Take what was measured: " + one.words(),
        List.of(
            edit(index, "hornRadiusMm", GuideJudge.rounded(found.hornRadiusMm(), 100)),
            edit(index, "armLeanDegrees", GuideJudge.rounded(found.armLeanDegrees(), 10)),
            edit(index, "hornLeanDegrees", GuideJudge.rounded(found.hornLeanDegrees(), 10))));
  }

  private static Edit edit(int index, String field, double value) {
    return new Edit(List.of("surfaces", "" + index, "rod", "linkage", field), value);
  }
}
