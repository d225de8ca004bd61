package hightally.app.calculation;

import hightally.core.airframe.Panel;
import hightally.core.airframe.PanelRole;
import hightally.core.airframe.Side;
import hightally.core.airframe.Station;
import hightally.core.balance.MeanChord;
import hightally.core.balance.NeutralPoint;
import hightally.core.quantity.Absentable;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import hightally.core.trimming.TrimAdvice;
import hightally.core.trimming.TrimLever;
import hightally.core.trimming.TrimOutcome;
import hightally.core.trimming.TrimStep;
import hightally.core.trimming.TrimTest;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** Kinds {@code meanChord}, {@code neutralPoint}, {@code trimAdvice} and {@code trimStep}. */
final class TrimCalculations {
  private static final int MOST_PANELS = 40;
  private static final int MOST_FLIGHTS = 1000;
  private static final double FURTHEST = 1000;

  private TrimCalculations() {}

  /** One end of a panel, mm: its leading edge aft of the nose, right, up; its chord. */
  record StationGiven(Double aft, Double right, Double up, Double chord) {
    Station station(String path) {
      return Given.checked(
          path,
          new Station(
              Given.need(path + "aft", aft),
              Given.need(path + "right", right),
              Given.or(up, 0.0),
              Given.need(path + "chord", chord)));
    }
  }

  /** A flat panel between two stations. */
  record PanelGiven(StationGiven root, StationGiven tip) {}

  /** All panels of a wing. */
  record MeanChordGiven(List<PanelGiven> panels) {}

  /** Square mm and mm; the leading edge and the quarter of the mean chord aft of the nose. */
  record MeanChordFound(
      double area, double meanChord, double leadingEdgeAft, double quarterChordAft) {}

  static MeanChordFound meanChord(MeanChordGiven given) {
    MeanChord mean = MeanChord.of(panels("panels", given.panels(), 1));
    return new MeanChordFound(
        mean.areaMm2(), mean.chordMm(), mean.leadingEdgeAftMm(), mean.quarterAftMm());
  }

  private static List<Panel> panels(String field, List<PanelGiven> given, int fewest) {
    List<PanelGiven> all = Given.need(field, given);
    if (all.size() < fewest || all.size() > MOST_PANELS) {
      throw InvalidInputException.of(
          field,
          Said.of("given.values", "count", all.size()),
          Said.of("demand.panels", "fewest", fewest, "most", MOST_PANELS));
    }
    List<Panel> panels = new ArrayList<>();
    for (int i = 0; i < all.size(); i++) {
      String path = field + "[" + i + "]";
      PanelGiven one = Given.need(path, all.get(i));
      panels.add(
          new Panel(
              "panel-" + i,
              path,
              Given.need(path + ".root", one.root()).station(path + ".root."),
              Given.need(path + ".tip", one.tip()).station(path + ".tip."),
              PanelRole.OTHER,
              ""));
    }
    return panels;
  }

  /** The tail may be empty; its efficiency 0 to 1, 0.9 where it is left out. */
  record NeutralPointGiven(
      List<PanelGiven> wing, List<PanelGiven> tail, Double tailEfficiency, Double cgAft) {}

  /** Slopes per radian, mm aft of the nose, margin in percent of the wing's mean chord. */
  record NeutralPointFound(
      double wingSlope,
      @Absentable Double tailSlope,
      @Absentable Double downwashSlope,
      double neutralPointAft,
      double staticMarginPercent) {}

  static NeutralPointFound neutralPoint(NeutralPointGiven given) {
    List<PanelGiven> tail = Given.or(given.tail(), List.of());
    double efficiency =
        Given.number("tailEfficiency", Given.or(given.tailEfficiency(), 0.9), 0, 1, Unit.NONE);
    double cg = Given.number("cgAft", given.cgAft(), -2000, 8000, Unit.MILLIMETRES);
    NeutralPoint point =
        NeutralPoint.of(panels("wing", given.wing(), 1), panels("tail", tail, 0), efficiency);
    return new NeutralPointFound(
        point.wingSlope(),
        point.tailSlope(),
        point.downwashSlope(),
        point.aftMm(),
        point.marginPercent(cg));
  }

  /** mm, g, g, mm. */
  record FactsGiven(Double boltSpacing, Double totalMass, Double batteryMass, Double meanChord) {}

  /** Test and outcome by name, strength 1 to 3. */
  record TrimAdviceGiven(String test, String outcome, Integer strength, FactsGiven facts) {}

  /** The change in the lever's unit; mm, mm, mm, g where the lever has them. */
  record TrimAdviceFound(
      TrimLever lever,
      double change,
      String unit,
      @Absentable Double washer,
      @Absentable Double balanceShift,
      @Absentable Double batteryShift,
      @Absentable Double ballast,
      @Absentable Side side) {}

  static TrimAdviceFound advice(TrimAdviceGiven given) {
    String named = Given.need("test", given.test());
    TrimTest test =
        TrimTest.named(named).orElseThrow(() -> oneOf("test", named, computed().map(TrimTest::id)));
    if (test.outcomes().isEmpty()) {
      throw oneOf("test", named, computed().map(TrimTest::id));
    }
    String seen = Given.need("outcome", given.outcome());
    TrimOutcome outcome =
        Stream.of(TrimOutcome.values())
            .filter(one -> one.name().equals(seen))
            .findFirst()
            .orElseThrow(
                () -> oneOf("outcome", seen, test.outcomes().stream().map(Enum::name).sorted()));
    FactsGiven facts = Given.need("facts", given.facts());
    TrimAdvice advice =
        TrimAdvice.of(
            test,
            outcome,
            Given.need("strength", given.strength()),
            Given.checked(
                "facts.",
                new TrimAdvice.TrimFacts(
                    Given.need("facts.boltSpacing", facts.boltSpacing()),
                    Given.need("facts.totalMass", facts.totalMass()),
                    Given.need("facts.batteryMass", facts.batteryMass()),
                    Given.need("facts.meanChord", facts.meanChord()))));
    return new TrimAdviceFound(
        advice.lever(),
        advice.change(),
        advice.lever().unit(),
        known(advice.washerMm()),
        known(advice.balanceShiftMm()),
        known(advice.batteryShiftMm()),
        known(advice.ballastGrams()),
        advice.side());
  }

  /** The tests whose outcomes move something by a figure. */
  private static Stream<TrimTest> computed() {
    return Stream.of(TrimTest.values()).filter(one -> !one.outcomes().isEmpty());
  }

  private static Double known(double value) {
    return Double.isNaN(value) ? null : value;
  }

  private static InvalidInputException oneOf(String field, String given, Stream<String> names) {
    return InvalidInputException.of(
        field, given, Said.of("demand.oneOf", "names", String.join(", ", names.toList())));
  }

  /** A lever's value and what was seen with it: -3 to 3, 0 right. */
  record FlownGiven(Double value, Integer severity) {}

  /** Oldest first; the lever's three steps, its resolution and its ends. */
  record TrimStepGiven(
      List<FlownGiven> history, List<Double> steps, Double resolution, Double min, Double max) {}

  /** What the flights say, and where the lever goes. */
  record TrimStepFound(TrimStep.Verdict verdict, double next) {}

  static TrimStepFound step(TrimStepGiven given) {
    List<FlownGiven> flights = Given.need("history", given.history());
    if (flights.size() > MOST_FLIGHTS) {
      throw InvalidInputException.of(
          "history",
          Said.of("given.values", "count", flights.size()),
          Said.of("demand.mostValues", "most", MOST_FLIGHTS));
    }
    List<TrimStep.Flown> history = new ArrayList<>();
    for (int i = 0; i < flights.size(); i++) {
      String path = "history[" + i + "]";
      FlownGiven one = Given.need(path, flights.get(i));
      history.add(
          Given.checked(
              path + ".",
              new TrimStep.Flown(
                  Given.need(path + ".value", one.value()),
                  Given.need(path + ".severity", one.severity()))));
    }
    List<Double> steps = new ArrayList<>();
    for (double one : Given.numbers("steps", given.steps(), 0, FURTHEST, Unit.NONE)) {
      steps.add(one);
    }
    TrimStep step =
        TrimStep.of(
            new TrimStep.Question(
                history,
                steps,
                Given.number("resolution", given.resolution(), 0, FURTHEST, Unit.NONE),
                Given.number("min", given.min(), -FURTHEST, FURTHEST, Unit.NONE),
                Given.number("max", given.max(), -FURTHEST, FURTHEST, Unit.NONE)));
    return new TrimStepFound(step.verdict(), step.next());
  }
}
