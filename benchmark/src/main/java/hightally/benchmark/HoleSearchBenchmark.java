package hightally.benchmark;

import hightally.core.linkage.ArmSeating;
import hightally.core.linkage.FourBar;
import hightally.core.linkage.HoleSearch;
import hightally.core.linkage.Linkage;
import hightally.core.linkage.RigChoice;
import hightally.core.linkage.ThrowWish;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;

/** The hole search, and the same answers from sweeping every candidate over 181 arm angles. */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
public class HoleSearchBenchmark {
  private static final int ANSWERS = 5;
  private static final double LARGEST_LEAN_DEGREES = 30;
  private static final ThrowWish WISH =
      new ThrowWish(
          16,
          13,
          52,
          List.of(7.0, 9.0, 11.0, 13.0, 15.0, 17.0),
          List.of(9.0, 11.0, 13.0, 15.0, 17.0, 19.0),
          140,
          -4,
          new ArmSeating(25, 4),
          17,
          0.09,
          60,
          25,
          500,
          150);

  /** Both must answer the same, or the comparison means nothing. */
  @Setup
  public void sameAnswers() {
    if (!search().equals(sweep())) {
      throw new IllegalStateException("Search and sweep differ:\n" + search() + "\n" + sweep());
    }
  }

  /** Closed form. */
  @Benchmark
  public List<RigChoice> search() {
    return HoleSearch.best(WISH, ANSWERS);
  }

  /** Every candidate, every degree from -90 to +90; the crossing is then made exact. */
  @Benchmark
  public List<RigChoice> sweep() {
    List<RigChoice> found = new ArrayList<>();
    for (double arm : WISH.armHolesMm()) {
      for (double horn : WISH.hornHolesMm()) {
        for (double lean : HoleSearch.leans(WISH)) {
          sweep(new Linkage(arm, horn, 140, clamp(lean), -4, false, true), lean, found);
          sweep(new Linkage(arm, horn, 140, clamp(lean), -4, true, false), lean, found);
        }
      }
    }
    return found.stream().sorted(HoleSearch.ranking()).limit(ANSWERS).toList();
  }

  /** A linkage cannot be stated with a larger lean; what is swept then is refused at the end. */
  private static double clamp(double lean) {
    return Math.max(-60, Math.min(60, lean));
  }

  private static void sweep(Linkage linkage, double lean, List<RigChoice> found) {
    FourBar bar = FourBar.of(linkage);
    double plus = crossing(bar, Math.toDegrees(Math.asin(WISH.plusMm() / WISH.chordMm())));
    double minus = crossing(bar, -Math.toDegrees(Math.asin(WISH.minusMm() / WISH.chordMm())));
    boolean usable = Math.abs(plus) <= 60 && Math.abs(minus) <= 60;
    if (usable && Math.abs(lean) <= LARGEST_LEAN_DEGREES) {
      RigChoice choice = HoleSearch.choice(WISH, linkage, bar, plus, minus);
      if (choice != null) {
        found.add(choice);
      }
    }
  }

  private static double crossing(FourBar bar, double wanted) {
    double best = Double.NaN;
    double before = bar.surfaceAngle(-90) - wanted;
    for (int degrees = -89; degrees <= 90; degrees++) {
      double after = bar.surfaceAngle(degrees) - wanted;
      if (before * after <= 0 && !(Math.abs(best) < Math.abs(degrees))) {
        best = bar.armFor(wanted, degrees - 0.5);
      }
      before = after;
    }
    return Double.isNaN(best) ? best : bar.armFor(wanted, 0);
  }
}
