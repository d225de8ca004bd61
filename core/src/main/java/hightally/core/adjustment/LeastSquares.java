package hightally.core.adjustment;

import java.util.List;

/**
 * The least sum of squares for three unknowns, by the normal equations. An unknown that adds
 * nothing new, because nothing depends on it or others do the same, gets the value 0.
 */
public final class LeastSquares {
  private static final int UNKNOWNS = 3;
  private static final double NOTHING = 1e-9;

  private LeastSquares() {}

  /** Solves {@code rows · x ≈ wanted}; zero where nothing depends on an unknown. */
  public static double[] solve(List<double[]> rows, List<Double> wanted) {
    double[][] normal = new double[UNKNOWNS][UNKNOWNS];
    double[] right = new double[UNKNOWNS];
    for (int r = 0; r < rows.size(); r++) {
      double[] row = rows.get(r);
      for (int i = 0; i < UNKNOWNS; i++) {
        right[i] += row[i] * wanted.get(r);
        for (int j = 0; j < UNKNOWNS; j++) {
          normal[i][j] += row[i] * row[j];
        }
      }
    }
    return eliminated(normal, right);
  }

  /** Gauss with the largest pivot; an unknown without a pivot of its own stays 0. */
  private static double[] eliminated(double[][] a, double[] b) {
    double scale = 0;
    for (int i = 0; i < UNKNOWNS; i++) {
      scale = Math.max(scale, a[i][i]);
    }
    boolean[] used = new boolean[UNKNOWNS];
    int[] pivotRow = new int[UNKNOWNS];
    java.util.Arrays.fill(pivotRow, -1);
    for (int column = 0; column < UNKNOWNS; column++) {
      int best = -1;
      for (int row = 0; row < UNKNOWNS; row++) {
        if (!used[row] && (best < 0 || Math.abs(a[row][column]) > Math.abs(a[best][column]))) {
          best = row;
        }
      }
      if (best >= 0 && Math.abs(a[best][column]) > NOTHING * scale) {
        used[best] = true;
        pivotRow[column] = best;
        for (int row = 0; row < UNKNOWNS; row++) {
          if (row != best) {
            double factor = a[row][column] / a[best][column];
            for (int j = 0; j < UNKNOWNS; j++) {
              a[row][j] -= factor * a[best][j];
            }
            b[row] -= factor * b[best];
          }
        }
      }
    }
    double[] x = new double[UNKNOWNS];
    for (int column = 0; column < UNKNOWNS; column++) {
      int row = pivotRow[column];
      x[column] = row < 0 ? 0 : b[row] / a[row][column];
    }
    return x;
  }
}
