package hightally.app.calculation;

import hightally.core.flightlog.Diagnosis;
import hightally.core.flightlog.Diagnosis.EndClass;
import hightally.core.flightlog.Diagnosis.Observation;
import hightally.core.flightlog.Diagnosis.Priors;
import hightally.core.flightlog.Diagnosis.Suspect;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/** Kind {@code diagnose}: what explains the measurements of a model. */
final class DiagnoseCalculation {
  private static final int MOST = 1000;
  private static final double FURTHEST = 10_000;

  private DiagnoseCalculation() {}

  /** Rod ends typed alike. */
  record EndsGiven(String name, List<String> surfaces) {}

  /** Standard deviations of logarithms, and the probability that nothing is wrong. */
  record PriorsGiven(Double clickStep, Double thread, Double arm, Double horn, Double nothing) {}

  /** One observation; predicted, measured and sd in one unit. */
  record ObservationGiven(
      Diagnosis.Seen kind,
      Map<String, Double> surfaces,
      Double predicted,
      Double measured,
      Double sd) {}

  /** All of a model's. */
  record DiagnoseGiven(
      List<String> surfaces,
      List<EndsGiven> ends,
      PriorsGiven priors,
      List<ObservationGiven> observations) {}

  /** The likeliest explanations, at most five. */
  record DiagnoseFound(List<Suspect> explanations) {}

  static DiagnoseFound of(DiagnoseGiven given) {
    List<String> surfaces = few("surfaces", given.surfaces());
    Set<String> known = new HashSet<>();
    for (int i = 0; i < surfaces.size(); i++) {
      if (!known.add(Given.need("surfaces[" + i + "]", surfaces.get(i)))) {
        throw InvalidInputException.of(
            "surfaces[" + i + "]", surfaces.get(i), Said.of("demand.eachOnce"));
      }
    }
    List<EndClass> ends = new ArrayList<>();
    List<EndsGiven> classes = few("ends", Given.or(given.ends(), List.of()));
    for (int i = 0; i < classes.size(); i++) {
      String path = "ends[" + i + "]";
      EndsGiven one = Given.need(path, classes.get(i));
      List<String> of = few(path + ".surfaces", one.surfaces());
      of.forEach(id -> known(known, path + ".surfaces", id));
      ends.add(new EndClass(Given.need(path + ".name", one.name()), of));
    }
    List<Observation> seen = new ArrayList<>();
    List<ObservationGiven> all = few("observations", Given.or(given.observations(), List.of()));
    for (int i = 0; i < all.size(); i++) {
      seen.add(observation("observations[" + i + "]", all.get(i), known));
    }
    return new DiagnoseFound(Diagnosis.of(surfaces, ends, priors(given.priors()), seen));
  }

  private static Priors priors(PriorsGiven given) {
    Priors standard = Priors.STANDARD;
    if (given == null) {
      return standard;
    }
    return new Priors(
        sd("priors.clickStep", Given.or(given.clickStep(), standard.clickStep())),
        sd("priors.thread", Given.or(given.thread(), standard.thread())),
        sd("priors.arm", Given.or(given.arm(), standard.arm())),
        sd("priors.horn", Given.or(given.horn(), standard.horn())),
        Given.number(
            "priors.nothing",
            Given.or(given.nothing(), standard.nothing()),
            0.001,
            0.999,
            Unit.NONE));
  }

  private static double sd(String field, double value) {
    return Given.number(field, value, 0.001, 2, Unit.NONE);
  }

  private static Observation observation(
      String path, ObservationGiven given, Set<String> surfaces) {
    ObservationGiven one = Given.need(path, given);
    Map<String, Double> weights = new TreeMap<>();
    Given.need(path + ".surfaces", one.surfaces())
        .forEach(
            (id, weight) -> {
              String field = path + ".surfaces." + id;
              known(surfaces, field, id);
              weights.put(id, Given.number(field, weight, -10, 10, Unit.NONE));
            });
    double predicted =
        Given.number(path + ".predicted", one.predicted(), -FURTHEST, FURTHEST, Unit.NONE);
    double measured =
        Given.number(path + ".measured", one.measured(), -FURTHEST, FURTHEST, Unit.NONE);
    if (predicted == 0) {
      throw InvalidInputException.of(path + ".predicted", predicted, Said.of("demand.notZero"));
    }
    if (!(measured / predicted > 0)) {
      throw InvalidInputException.of(
          path + ".measured", measured, Said.of("demand.samePrediction"));
    }
    return new Observation(
        Given.need(path + ".kind", one.kind()),
        weights,
        predicted,
        measured,
        Given.number(path + ".sd", one.sd(), 0.001, FURTHEST, Unit.NONE));
  }

  private static void known(Set<String> surfaces, String field, String id) {
    if (!surfaces.contains(id)) {
      throw InvalidInputException.of(field, id, Said.of("demand.idSurface"));
    }
  }

  private static <T> List<T> few(String field, List<T> given) {
    List<T> list = Given.need(field, given);
    if (list.size() > MOST) {
      throw InvalidInputException.of(
          field,
          Said.of("given.values", "count", list.size()),
          Said.of("demand.mostValues", "most", MOST));
    }
    return list;
  }
}
