package hightally.core.flightlog;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import hightally.core.WorkedCases;
import hightally.core.flightlog.Diagnosis.Cause;
import hightally.core.flightlog.Diagnosis.EndClass;
import hightally.core.flightlog.Diagnosis.Observation;
import hightally.core.flightlog.Diagnosis.Priors;
import hightally.core.flightlog.Diagnosis.Seen;
import hightally.core.flightlog.Diagnosis.Suspect;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

class DiagnosisTest {
  @Test
  void theWorkedCases() throws IOException {
    for (JsonNode one : WorkedCases.of("diagnose")) {
      JsonNode given = one.get("given");
      List<EndClass> ends = new ArrayList<>();
      given
          .get("ends")
          .forEach(e -> ends.add(new EndClass(e.get("name").asText(), texts(e.get("surfaces")))));
      JsonNode p = given.get("priors");
      Priors priors =
          new Priors(
              p.get("clickStep").asDouble(),
              p.get("thread").asDouble(),
              p.get("arm").asDouble(),
              p.get("horn").asDouble(),
              p.get("nothing").asDouble());
      List<Observation> seen = new ArrayList<>();
      for (JsonNode each : given.get("observations")) {
        Map<String, Double> weights = new HashMap<>();
        each.get("surfaces")
            .properties()
            .forEach(e -> weights.put(e.getKey(), e.getValue().asDouble()));
        seen.add(
            new Observation(
                Seen.valueOf(each.get("kind").asText()),
                weights,
                each.get("predicted").asDouble(),
                each.get("measured").asDouble(),
                each.get("sd").asDouble()));
      }
      List<Suspect> found = Diagnosis.of(texts(given.get("surfaces")), ends, priors, seen);
      JsonNode expected = one.at("/expect/explanations");
      assertThat(found).hasSize(expected.size());
      for (int i = 0; i < found.size(); i++) {
        assertThat(found.get(i).cause().name()).isEqualTo(expected.get(i).get("cause").asText());
        assertThat(found.get(i).subject()).isEqualTo(expected.get(i).get("subject").asText());
        WorkedCases.close(
            "probability", expected.get(i).get("probability"), found.get(i).probability(), one);
        WorkedCases.close("factor", expected.get(i).get("factor"), found.get(i).factor(), one);
      }
    }
  }

  private static List<String> texts(JsonNode list) {
    List<String> found = new ArrayList<>();
    list.forEach(one -> found.add(one.asText()));
    return found;
  }

  /** The densities by the whole covariance matrix and its elimination, without any lemma. */
  @Test
  void asTheWholeCovarianceSays() {
    Random random = new Random(20261126);
    List<String> surfaces = List.of("one", "two", "three");
    List<EndClass> ends =
        List.of(
            new EndClass("clevis", List.of("one", "two")), new EndClass("ball", List.of("three")));
    for (int round = 0; round < 200; round++) {
      List<Observation> seen = new ArrayList<>();
      int count = 1 + random.nextInt(5);
      for (int i = 0; i < count; i++) {
        double predicted = 1 + random.nextDouble() * 20;
        Map<String, Double> weights =
            random.nextBoolean()
                ? Map.of(surfaces.get(random.nextInt(3)), 1.0)
                : Map.of("one", 0.5, "two", 0.5);
        seen.add(
            new Observation(
                Seen.values()[random.nextInt(4)],
                weights,
                predicted,
                predicted * Math.exp(0.2 * random.nextGaussian()),
                0.2 + random.nextDouble()));
      }
      Map<String, Double> plain = plain(surfaces, ends, seen);
      double told = 0;
      for (Suspect one : Diagnosis.of(surfaces, ends, Priors.STANDARD, seen)) {
        assertThat(one.probability())
            .as(one + " of " + seen)
            .isCloseTo(plain.get(one.cause() + one.subject()), within(1e-9));
        told += one.probability();
      }
      assertThat(told).isBetween(0.0, 1 + 1e-9);
    }
  }

  private static Map<String, Double> plain(
      List<String> surfaces, List<EndClass> ends, List<Observation> seen) {
    Map<String, Double> density = new HashMap<>();
    density.put("NOTHING", 0.5 * density(seen, new double[seen.size()], 0));
    int unknowns = 1 + ends.size() + 2 * surfaces.size();
    Map<String, List<String>> all = new HashMap<>();
    all.put("CLICK_STEP", surfaces);
    ends.forEach(one -> all.put("THREAD" + one.name(), one.surfaces()));
    surfaces.forEach(one -> all.put("ARM" + one, List.of(one)));
    surfaces.forEach(one -> all.put("HORN" + one, List.of(one)));
    all.forEach(
        (name, touched) -> {
          double sd = name.startsWith("CLICK") ? 0.2 : name.startsWith("THREAD") ? 0.15 : 0.05;
          double[] a = new double[seen.size()];
          boolean any = false;
          for (int i = 0; i < a.length; i++) {
            for (String id : touched) {
              a[i] += sign(name, seen.get(i).kind()) * seen.get(i).surfaces().getOrDefault(id, 0.0);
            }
            any |= a[i] != 0;
          }
          if (any) {
            density.put(name, 0.5 / unknowns * density(seen, a, sd));
          }
        });
    double sum = density.values().stream().mapToDouble(Double::doubleValue).sum();
    density.replaceAll((name, one) -> one / sum);
    return density;
  }

  private static int sign(String unknown, Seen kind) {
    return switch (kind) {
      case GAUGE -> unknown.startsWith("HORN") ? -1 : unknown.startsWith("THREAD") ? 0 : 1;
      case THROW -> unknown.startsWith("ARM") ? 1 : unknown.startsWith("HORN") ? -1 : 0;
      case TURNS -> unknown.startsWith("THREAD") ? 1 : unknown.startsWith("HORN") ? -1 : 0;
      case FLIGHT -> unknown.startsWith("THREAD") ? 1 : unknown.startsWith("HORN") ? 0 : -1;
    };
  }

  private static double density(List<Observation> seen, double[] a, double sd) {
    int n = a.length;
    double[][] m = new double[n][n + 1];
    for (int i = 0; i < n; i++) {
      for (int j = 0; j < n; j++) {
        m[i][j] = sd * sd * a[i] * a[j];
      }
      m[i][i] += Math.pow(seen.get(i).sd() / seen.get(i).predicted(), 2);
      m[i][n] = Math.log(seen.get(i).measured() / seen.get(i).predicted());
    }
    double[] y = new double[n];
    for (int i = 0; i < n; i++) {
      y[i] = m[i][n];
    }
    double determinant = 1;
    for (int k = 0; k < n; k++) {
      determinant *= m[k][k];
      for (int i = k + 1; i < n; i++) {
        double factor = m[i][k] / m[k][k];
        for (int j = k; j <= n; j++) {
          m[i][j] -= factor * m[k][j];
        }
      }
    }
    double[] x = new double[n];
    double square = 0;
    for (int k = n - 1; k >= 0; k--) {
      x[k] = m[k][n];
      for (int j = k + 1; j < n; j++) {
        x[k] -= m[k][j] * x[j];
      }
      x[k] /= m[k][k];
      square += x[k] * y[k];
    }
    return Math.exp(-0.5 * square) / Math.sqrt(Math.pow(2 * Math.PI, n) * determinant);
  }

  @Test
  void oneUnknownThatNothingTouchesIsNoExplanation() {
    List<Suspect> found =
        Diagnosis.of(
            List.of("one", "two"),
            List.of(new EndClass("clevis", List.of("one", "two"))),
            Priors.STANDARD,
            List.of(new Observation(Seen.THROW, Map.of("one", 1.0), 20, 23, 0.4)));
    assertThat(found)
        .extracting(Suspect::cause)
        .containsExactly(Cause.ARM, Cause.HORN, Cause.NOTHING);
    assertThat(found.get(0).factor()).isGreaterThan(1.05);
    assertThat(found.get(1).factor()).isLessThan(0.95);
  }
}
