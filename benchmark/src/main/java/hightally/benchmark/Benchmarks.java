package hightally.benchmark;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.profile.GCProfiler;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.ChainedOptionsBuilder;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.TimeValue;
import org.openjdk.jmh.runner.options.VerboseMode;

/** Runs the measurements and prints them as ratios within the run. */
public final class Benchmarks {
  private static final double MICROSECONDS = 1e6;

  /** Machines are shared: a tenth beyond a limit fails, less does not. */
  private static final double BEYOND = 1.1;

  private static final List<String> MISSED = new ArrayList<>();

  private Benchmarks() {}

  /** Everything that is measured outside the browser. */
  public static void main(String[] args) throws RunnerException {
    print(
        new Runner(
                all()
                    .forks(2)
                    .warmupIterations(4)
                    .measurementIterations(6)
                    .warmupTime(TimeValue.seconds(1))
                    .measurementTime(TimeValue.seconds(1))
                    .build())
            .run());
    if (!MISSED.isEmpty()) {
      System.err.println("Beyond the limit: " + String.join("; ", MISSED));
      System.exit(1);
    }
  }

  /** A figure that may be at most a limit. */
  private static double atMost(String what, double figure, double limit) {
    if (figure > limit * BEYOND) {
      MISSED.add(String.format(Locale.ROOT, "%s %.2f, at most %.2f", what, figure, limit));
    }
    return figure;
  }

  /** A figure that must be at least a limit. */
  private static double atLeast(String what, double figure, double limit) {
    if (figure < limit / BEYOND) {
      MISSED.add(String.format(Locale.ROOT, "%s %.2f, at least %.2f", what, figure, limit));
    }
    return figure;
  }

  /** Every one of them once, which says that they run and nothing of how fast. */
  static void once() throws RunnerException {
    print(
        new Runner(
                all()
                    .mode(Mode.SingleShotTime)
                    .forks(0)
                    .warmupIterations(0)
                    .measurementIterations(1)
                    .build())
            .run());
  }

  private static ChainedOptionsBuilder all() {
    return new OptionsBuilder()
        .include(Benchmarks.class.getPackageName() + ".*")
        .addProfiler(GCProfiler.class)
        .verbosity(VerboseMode.SILENT);
  }

  private static void print(Collection<RunResult> results) {
    double full = time(results, "fullEvaluation");
    double bare = time(results, "bareFourBars");
    System.out.printf(
        Locale.ROOT,
        "One evaluation of the demo biplane: %.0f ns; its six bare four-bars: %.0f ns; ratio %.2f"
            + " (limit 2); allocated per evaluation: %.0f bytes%n",
        full,
        bare,
        atMost("one evaluation", full / bare, 2),
        allocated(results, "fullEvaluation"));
    double search = time(results, "search");
    double sweep = time(results, "sweep");
    System.out.printf(
        Locale.ROOT,
        "Hole search, 6 x 6 holes, 100 seatings, both rod sides: %.0f us; sweeping all of them: %.0f us;"
            + " %.0f times as fast (at least 66), same best answers%n",
        search,
        sweep,
        atLeast("hole search", sweep / search, 66));
    double check = time(results, "exhaustiveCheck");
    double states = time(results, "eachStateByItself");
    System.out.printf(
        Locale.ROOT,
        "Exhaustive check of a glider with 5 phases, 4 switches of 3 positions and 8 servos: %.0f us;"
            + " evaluating its %d states one by one: %.0f us; %.0f times as fast (at least 6)%n",
        check,
        HazardBenchmark.states(),
        states,
        atLeast("exhaustive check", states / check, 6));
    double large = time(results, "largestProgram");
    double glider = time(results, "demoGlider");
    System.out.printf(
        Locale.ROOT,
        "Search for hazards with 8 switches of 3 positions, 8 phases and 20 mixes: %.2f s of CPU; the"
            + " demo glider: %.2f s; %.1f times as long%n",
        large / MICROSECONDS,
        glider / MICROSECONDS,
        large / glider);
    double retrim = time(results, "retrim");
    double bars = time(results, "itsBareFourBars");
    System.out.printf(
        Locale.ROOT,
        "Retrim of the six-servo glider with five phases: %.0f ns; the %d four-bar solutions it needs:"
            + " %.0f ns; ratio %.2f (limit 2.1)%n",
        retrim,
        RetrimBenchmark.solutions(),
        bars,
        atMost("retrim", retrim / bars, 2.1));
    double whole = time(results, "wholeModel");
    double strips = time(results, "stripsAlone");
    double flights = time(results, "testFlights") / MICROSECONDS;
    double flown = AirBenchmark.secondsFlown();
    System.out.printf(
        Locale.ROOT,
        "One step of the simulated biplane, a pilot's hands on the sticks: %.1f us; its %d strips alone:"
            + " %.1f us; ratio %.2f (limit 1.6). %.0f s of test flights: %.0f times faster than they"
            + " last (limit 100)%n",
        whole / AirBenchmark.STEPS,
        AirBenchmark.stripsOfTheBiplane(),
        strips / AirBenchmark.STEPS,
        atMost("a simulated step", whole / strips, 1.6),
        flown,
        atLeast("test flights", flown / flights, 100));
  }

  private static double time(Collection<RunResult> results, String name) {
    return find(results, name).getPrimaryResult().getScore();
  }

  private static double allocated(Collection<RunResult> results, String name) {
    return find(results, name).getSecondaryResults().get("gc.alloc.rate.norm").getScore();
  }

  private static RunResult find(Collection<RunResult> results, String name) {
    return results.stream()
        .filter(one -> one.getParams().getBenchmark().endsWith("." + name))
        .findFirst()
        .orElseThrow();
  }
}
