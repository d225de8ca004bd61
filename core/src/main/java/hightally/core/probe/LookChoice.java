package hightally.core.probe;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Which look tells most for what it costs. */
final class LookChoice {
  private LookChoice() {}

  private record Ranked(RigModel.Effect effect, double worth) {}

  /**
   * The looks not yet answered that tell some of the classes apart, what tells most first, motors
   * last.
   */
  static List<RigModel.Effect> ranked(
      List<RigModel.Effect> looks,
      List<LookAnswer> answers,
      Map<Long, RigState> classes,
      Map<Long, Double> weights) {
    List<String> answered = answers.stream().map(LookAnswer::look).toList();
    List<Ranked> ranked = new ArrayList<>();
    for (RigModel.Effect look : looks) {
      if (!answered.contains(look.look().id())) {
        double worth = told(look, classes, weights);
        if (worth > 0) {
          ranked.add(new Ranked(look, worth / look.look().kind().cost()));
        }
      }
    }
    ranked.sort(
        Comparator.comparing((Ranked one) -> one.effect().runsMotor())
            .thenComparingDouble(one -> -one.worth()));
    return ranked.stream().map(Ranked::effect).toList();
  }

  /** How much a look is expected to tell: the entropy of what it may show. */
  private static double told(
      RigModel.Effect look, Map<Long, RigState> classes, Map<Long, Double> weights) {
    Map<List<Integer>, Double> shows = new HashMap<>();
    double all = 0;
    for (Map.Entry<Long, RigState> one : classes.entrySet()) {
      List<Integer> ways = look.shows(one.getValue());
      double weight = weights.get(one.getKey());
      all += weight;
      shows.merge(ways, weight, Double::sum);
    }
    return apart(List.copyOf(shows.keySet())) ? entropy(shows, all) : 0;
  }

  private static double entropy(Map<List<Integer>, Double> shows, double all) {
    double sum = 0;
    for (double weight : shows.values()) {
      double part = weight / all;
      sum -= part * Math.log(part);
    }
    return sum;
  }

  /** Whether an eye can tell two of them: a surface that goes here and there or not at all. */
  private static boolean apart(List<List<Integer>> shows) {
    for (int i = 0; i < shows.size(); i++) {
      for (int j = i + 1; j < shows.size(); j++) {
        for (int k = 0; k < shows.get(i).size(); k++) {
          int one = shows.get(i).get(k);
          int other = shows.get(j).get(k);
          if (one != other && one != RigModel.UNTOLD && other != RigModel.UNTOLD) {
            return true;
          }
        }
      }
    }
    return false;
  }
}
