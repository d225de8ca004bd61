package hightally.core.adjustment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

class LeastSquaresTest {
  private static double misses(List<double[]> rows, List<Double> wanted, double[] x) {
    double sum = 0;
    for (int r = 0; r < rows.size(); r++) {
      double[] row = rows.get(r);
      double off = row[0] * x[0] + row[1] * x[1] + row[2] * x[2] - wanted.get(r);
      sum += off * off;
    }
    return sum;
  }

  @Property
  void noNudgeOfAnyUnknownBringsItNearer(@ForAll long seed) {
    Random random = new Random(seed);
    List<double[]> rows = new ArrayList<>();
    List<Double> wanted = new ArrayList<>();
    for (int r = 0; r < 3 + random.nextInt(4); r++) {
      rows.add(
          new double[] {
            random.nextDouble() * 2 - 1, random.nextDouble() * 2 - 1, random.nextDouble() * 2 - 1
          });
      wanted.add(random.nextDouble() * 20 - 10);
    }
    double[] found = LeastSquares.solve(rows, wanted);
    double least = misses(rows, wanted, found);
    for (int i = 0; i < 3; i++) {
      for (double by : new double[] {-1e-2, 1e-2}) {
        double[] nudged = found.clone();
        nudged[i] += by;
        assertThat(misses(rows, wanted, nudged)).isGreaterThanOrEqualTo(least - 1e-9);
      }
    }
  }

  @Example
  void threeByHand() {
    // x + 2y = 8, 3y + z = 11, 2x - z = 2: z = 2x - 2 and y = 4 - x/2 give 12 - 1.5x + 2x - 2 = 11,
    // so x = 2, y = 3, z = 2.
    List<double[]> rows =
        List.of(new double[] {1, 2, 0}, new double[] {0, 3, 1}, new double[] {2, 0, -1});
    assertThat(LeastSquares.solve(rows, List.of(8.0, 11.0, 2.0)))
        .containsExactly(new double[] {2, 3, 2}, within(1e-9));
  }

  @Example
  void whatNothingDependsOnStaysZero() {
    List<double[]> rows = List.of(new double[] {0, 2, 0}, new double[] {0, 2, 0});
    assertThat(LeastSquares.solve(rows, List.of(6.0, 10.0)))
        .containsExactly(new double[] {0, 4, 0}, within(1e-9));
  }

  @Example
  void whatDoesTheSameAsAnotherStaysZero() {
    // Pitch and yaw act alike on both: only one of them gets the clicks.
    List<double[]> rows = List.of(new double[] {1, 0.5, 0.5}, new double[] {-1, 0.5, 0.5});
    double[] found = LeastSquares.solve(rows, List.of(5.0, 1.0));
    assertThat(found).containsExactly(new double[] {2, 6, 0}, within(1e-9));
  }

  @Example
  void anUnknownWithASmallSquareBeforeALargeOne() {
    // The normal equations' first column has its largest entry in another row.
    List<double[]> rows =
        List.of(new double[] {0.1, 3, 0}, new double[] {0.1, 2, 1}, new double[] {0, 1, 2});
    double[] x = {7, -2, 4};
    List<Double> wanted = rows.stream().map(r -> r[0] * x[0] + r[1] * x[1] + r[2] * x[2]).toList();
    assertThat(LeastSquares.solve(rows, wanted)).containsExactly(x, within(1e-6));
  }
}
