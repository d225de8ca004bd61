package hightally.core.benchsetup;

import hightally.core.airframe.Surface;
import hightally.core.edit.Edit;
import hightally.core.edit.Figure;
import hightally.core.edit.Mend;
import hightally.core.linkage.Linkage;
import hightally.core.linkage.LinkageFit;
import hightally.core.linkage.LinkageFit.Explanation;
import hightally.core.linkage.LinkageFit.FitQuestion;
import hightally.core.linkage.LinkageFit.Reading;
import hightally.core.quantity.Copyable;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Validation;
import hightally.core.quantity.Within;
import hightally.core.setup.Setup;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;

/** From throws measured at some stick positions to the geometry behind them, and to equal sides. */
public final class MeasuredThrows {
  /**
   * How far a surface goes each way with what moves it most.
   *
   * @param plusMm up or right
   * @param minusMm down or left, as a positive size
   * @param where the stick or lever goes for it
   */
  public record Ends(double plusMm, double minusMm, Said where) {}

  /** The full throws of a surface as they are described. */
  public static Ends ends(SignalPath path, int surface) {
    ThrowsFromRest found = ThrowsFromRest.of(path, surface);
    return new Ends(
        found.plusMm(),
        found.minusMm(),
        found.none() ? Said.NOTHING : found.where(path.setup().transmitter().stickMode()));
  }

  private MeasuredThrows() {}

  /**
   * A reading.
   *
   * @param stick of the stick or lever that moves the surface most; plus for nose up, right
   * @param travelMm from neutral, plus up or right
   */
  public record StickReading(
      @Within(min = -1, max = 1) double stick,
      @Within(min = -600, max = 600, unit = Unit.MILLIMETRES) double travelMm) {}

  /** What is asked: two readings are enough to begin with. */
  public record MeasuredQuestion(
      Setup setup, @Text(max = 40) String surface, List<StickReading> readings) {
    public MeasuredQuestion {
      readings = readings == null ? null : List.copyOf(readings);
    }
  }

  /**
   * What the readings say.
   *
   * @param expectedMm what the program computes at each reading
   * @param explanations geometry that explains them, the simplest first
   * @param mends taking each explanation into the linkage, in the same order; not tried yet, and
   *     none where it is shown
   * @param question asked where a reading looks as if it were in another unit; empty otherwise
   * @param even endpoints that make a pair's other side move as far, where it has one; likewise
   */
  @Copyable
  public record MeasuredAnswer(
      List<Double> expectedMm,
      List<Explanation> explanations,
      List<Mend> mends,
      List<Mend> even,
      Said question) {
    /** A copy to change, part by part. */
    public MeasuredThrowsMeasuredAnswerCopy change() {
      return MeasuredThrowsMeasuredAnswerCopy.from(this);
    }

    /** The same answer to be shown: a change is only offered once it was tried. */
    public MeasuredAnswer shown() {
      return change().mends(List.of()).even(List.of()).done();
    }
  }

  /** Works back from the readings. */
  public static MeasuredAnswer answer(MeasuredQuestion question) {
    SignalPath path = SignalPath.of(question.setup());
    int index = path.indexOf(question.surface());
    Surface surface = question.setup().surfaces().get(index);
    List<Double> expected = new ArrayList<>();
    List<Reading> readings = new ArrayList<>();
    for (StickReading one : question.readings()) {
      ThrowsFromRest.Place place = ThrowsFromRest.at(path, index, one.stick());
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
    List<Mend> mends = found.stream().map(one -> taken(surface.id(), one)).toList();
    return new MeasuredAnswer(
        expected, found, mends, EvenPair.mends(path, index), question(question, expected));
  }

  private static Said question(MeasuredQuestion question, List<Double> expected) {
    for (int i = 0; i < expected.size(); i++) {
      double measured = question.readings().get(i).travelMm();
      if (AnswerComparison.otherUnit(measured, Math.abs(expected.get(i)))) {
        return Said.of(
            "guide.otherUnitPerhaps",
            "unit",
            Unit.MILLIMETRES,
            "measured",
            Quantity.plain(measured, 2),
            "item",
            Quantity.mm(expected.get(i)));
      }
    }
    return Said.NOTHING;
  }

  /** The values an explanation found, set in the surface's linkage. */
  static Mend taken(String surface, Explanation one) {
    Linkage found = one.linkage();
    return new Mend(
        Said.of("guide.takeWhatMeasured", "words", one.words()),
        List.of(
            Edit.of(
                Figure.HORN_RADIUS, surface, AnswerComparison.rounded(found.hornRadiusMm(), 100)),
            Edit.of(Figure.ARM_LEAN, surface, AnswerComparison.rounded(found.armLeanDegrees(), 10)),
            Edit.of(
                Figure.HORN_LEAN, surface, AnswerComparison.rounded(found.hornLeanDegrees(), 10))));
  }
}
