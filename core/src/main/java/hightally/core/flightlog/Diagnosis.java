package hightally.core.flightlog;

import hightally.core.quantity.Copyable;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;

/**
 * What explains the measurements of a model, all of them weighed together.
 *
 * <p>Every unknown is a factor with a normal prior on its logarithm: the click step, the thread of
 * every class of rod ends, arm and horn of every surface. An observation says y = ln(measured /
 * predicted) with the variance (sd / predicted)²; it depends on the unknowns by its columns. Either
 * nothing is wrong or exactly one unknown is; the evidence of each is the density of all y under
 * N(0, R) or N(0, R + sd² a aᵀ), by the lemma for rank one. Derived in {@code docs/computation.md}.
 */
public final class Diagnosis {
  /** Of so many explanations the likeliest are told. */
  private static final int TOLD = 5;

  private static final double EQUAL = 1e-9;

  private Diagnosis() {}

  /** What can be wrong, in the order in which equally likely ones are told. */
  public enum Cause {
    NOTHING,
    CLICK_STEP,
    THREAD,
    ARM,
    HORN
  }

  /** What was measured, and how it depends on the unknowns. */
  public enum Seen {
    /** Millimetres for some clicks. */
    GAUGE(1, 0, 1, -1),
    /** Millimetres at full stick. */
    THROW(0, 0, 1, -1),
    /** Millimetres for turns made. */
    TURNS(0, 1, 0, -1),
    /** Clicks by which an adjustment changed the trim. */
    FLIGHT(-1, 1, -1, 0);

    private final int click;
    private final int thread;
    private final int arm;
    private final int horn;

    Seen(int click, int thread, int arm, int horn) {
      this.click = click;
      this.thread = thread;
      this.arm = arm;
      this.horn = horn;
    }

    /** By how much its logarithm goes with that of an unknown. */
    public int column(Cause cause) {
      return switch (cause) {
        case NOTHING -> 0;
        case CLICK_STEP -> click;
        case THREAD -> thread;
        case ARM -> arm;
        case HORN -> horn;
      };
    }
  }

  /** Rod ends that are typed alike, so that one mistake is in all of them. */
  public record EndClass(String name, List<String> surfaces) {
    public EndClass {
      surfaces = List.copyOf(surfaces);
    }
  }

  /**
   * How far off things usually are: standard deviations of logarithms, and how likely it is that
   * nothing is wrong.
   */
  public record Priors(double clickStep, double thread, double arm, double horn, double nothing) {
    /**
     * A click step is the figure typed with the least thought; threads are taken for one another;
     * lever arms are measured to a twentieth; half of all doubts are misreadings.
     */
    public static final Priors STANDARD = new Priors(0.2, 0.15, 0.05, 0.05, 0.5);

    /** The standard deviation of one. */
    public double of(Cause cause) {
      return switch (cause) {
        case NOTHING -> 0;
        case CLICK_STEP -> clickStep;
        case THREAD -> thread;
        case ARM -> arm;
        case HORN -> horn;
      };
    }
  }

  /**
   * One observation.
   *
   * @param surfaces weights of the surfaces it was seen at, by id
   * @param predicted what was reckoned, not zero
   * @param measured what was found, of the same sign
   * @param sd standard deviation of the measurement, in the same unit
   */
  @Copyable
  public record Observation(
      Seen kind, Map<String, Double> surfaces, double predicted, double measured, double sd) {
    public Observation {
      surfaces = Map.copyOf(surfaces);
    }

    /** A copy to change, part by part. */
    public DiagnosisObservationCopy change() {
      return DiagnosisObservationCopy.from(this);
    }

    double logarithm() {
      return Math.log(measured / predicted);
    }

    double precision() {
      return predicted * predicted / (sd * sd);
    }
  }

  /**
   * One explanation.
   *
   * @param subject the class of ends or the surface; empty for nothing and for the click step
   * @param probability of all explanations together 1
   * @param factor by which the unknown is larger than it is described
   */
  public record Suspect(Cause cause, String subject, double probability, double factor) {}

  /** An unknown and what it weighs in each observation. */
  private record Unknown(Cause cause, String subject, double[] column) {}

  /** All explanations, the likeliest first, at most five. */
  public static List<Suspect> of(
      List<String> surfaces, List<EndClass> ends, Priors priors, List<Observation> seen) {
    List<Suspect> all = weighed(surfaces, ends, priors, seen);
    return List.copyOf(all.subList(0, Math.min(TOLD, all.size())));
  }

  private static List<Suspect> weighed(
      List<String> surfaces, List<EndClass> ends, Priors priors, List<Observation> seen) {
    List<Unknown> unknowns = unknowns(surfaces, ends, seen);
    List<Suspect> found = new ArrayList<>();
    found.add(new Suspect(Cause.NOTHING, "", Math.log(priors.nothing()), 1));
    double share = Math.log((1 - priors.nothing()) / unknowns.size());
    for (Unknown one : unknowns) {
      double touched = 0;
      double pull = 0;
      for (int i = 0; i < seen.size(); i++) {
        double a = one.column()[i];
        double precision = seen.get(i).precision();
        touched += a * a * precision;
        pull += a * precision * seen.get(i).logarithm();
      }
      if (touched > 0) {
        double variance = priors.of(one.cause()) * priors.of(one.cause());
        double wider = 1 + variance * touched;
        double evidence = -0.5 * Math.log(wider) + 0.5 * variance * pull * pull / wider;
        double factor = Math.exp(pull / (touched + 1 / variance));
        found.add(new Suspect(one.cause(), one.subject(), share + evidence, factor));
      }
    }
    return sorted(normalised(found));
  }

  private static List<Unknown> unknowns(
      List<String> surfaces, List<EndClass> ends, List<Observation> seen) {
    List<Unknown> found = new ArrayList<>();
    found.add(unknown(Cause.CLICK_STEP, "", surfaces, seen));
    ends.forEach(one -> found.add(unknown(Cause.THREAD, one.name(), one.surfaces(), seen)));
    for (Cause lever : List.of(Cause.ARM, Cause.HORN)) {
      surfaces.forEach(one -> found.add(unknown(lever, one, List.of(one), seen)));
    }
    return found;
  }

  private static Unknown unknown(
      Cause cause, String subject, List<String> surfaces, List<Observation> seen) {
    double[] column = new double[seen.size()];
    for (int i = 0; i < column.length; i++) {
      Observation one = seen.get(i);
      ToDoubleFunction<String> weight = id -> one.surfaces().getOrDefault(id, 0.0);
      column[i] = one.kind().column(cause) * surfaces.stream().mapToDouble(weight).sum();
    }
    return new Unknown(cause, subject, column);
  }

  /** From logarithms that lack a common factor to probabilities. */
  private static List<Suspect> normalised(List<Suspect> logarithms) {
    double largest = logarithms.stream().mapToDouble(Suspect::probability).max().orElse(0);
    double sum =
        logarithms.stream().mapToDouble(one -> Math.exp(one.probability() - largest)).sum();
    return logarithms.stream()
        .map(
            one ->
                new Suspect(
                    one.cause(),
                    one.subject(),
                    Math.exp(one.probability() - largest) / sum,
                    one.factor()))
        .toList();
  }

  /** By probability; equal ones, which rounding may have put in any order, by cause and subject. */
  private static List<Suspect> sorted(List<Suspect> all) {
    List<Suspect> left = new ArrayList<>(all);
    left.sort(Comparator.comparingDouble(Suspect::probability).reversed());
    List<Suspect> found = new ArrayList<>();
    while (!left.isEmpty()) {
      double most = left.get(0).probability();
      List<Suspect> alike = left.stream().filter(one -> most - one.probability() <= EQUAL).toList();
      left.removeAll(alike);
      alike.stream()
          .sorted(Comparator.comparing(Suspect::cause).thenComparing(Suspect::subject))
          .forEach(found::add);
    }
    return found;
  }
}
