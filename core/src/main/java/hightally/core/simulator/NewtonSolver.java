package hightally.core.simulator;

import java.util.function.UnaryOperator;

/** Newton's method with central differences; a step that does not help is halved. */
final class NewtonSolver {
  private static final double STEP = 1e-6;
  private static final double SINGULAR = 1e-14;
  private static final int HALVINGS = 30;

  private NewtonSolver() {}

  /** Where every residual is within enough of zero; null where that is not found. */
  static double[] solve(
      UnaryOperator<double[]> residual, double[] start, double enough, int rounds) {
    double[] x = start.clone();
    double[] now = residual.apply(x);
    for (int round = 0; round < rounds && worst(now) > enough; round++) {
      double[] step = step(residual, x, now);
      if (step == null) {
        return null;
      }
      double part = 1;
      double[] tried = null;
      double[] there = null;
      for (int k = 0; k < HALVINGS; k++) {
        tried = x.clone();
        for (int i = 0; i < x.length; i++) {
          tried[i] += part * step[i];
        }
        there = residual.apply(tried);
        if (norm(there) < norm(now)) {
          break;
        }
        part /= 2;
      }
      if (!(norm(there) < norm(now))) {
        return null;
      }
      x = tried;
      now = there;
    }
    return worst(now) <= enough ? x : null;
  }

  private static double[] step(UnaryOperator<double[]> residual, double[] x, double[] now) {
    int n = x.length;
    double[][] rows = new double[n][n + 1];
    for (int j = 0; j < n; j++) {
      double[] more = x.clone();
      double[] less = x.clone();
      more[j] += STEP;
      less[j] -= STEP;
      double[] high = residual.apply(more);
      double[] low = residual.apply(less);
      for (int i = 0; i < n; i++) {
        rows[i][j] = (high[i] - low[i]) / (2 * STEP);
      }
    }
    for (int i = 0; i < n; i++) {
      rows[i][n] = -now[i];
    }
    return eliminated(rows);
  }

  /** The solution of a square system by elimination; null where it has none. */
  static double[] eliminated(double[][] rows) {
    int n = rows.length;
    for (int k = 0; k < n; k++) {
      int best = k;
      for (int i = k + 1; i < n; i++) {
        best = Math.abs(rows[i][k]) > Math.abs(rows[best][k]) ? i : best;
      }
      double[] pivot = rows[best];
      rows[best] = rows[k];
      rows[k] = pivot;
      if (!(Math.abs(pivot[k]) > SINGULAR)) {
        return null;
      }
      for (int i = k + 1; i < n; i++) {
        double factor = rows[i][k] / pivot[k];
        for (int j = k; j <= n; j++) {
          rows[i][j] -= factor * pivot[j];
        }
      }
    }
    double[] x = new double[n];
    for (int k = n - 1; k >= 0; k--) {
      double sum = rows[k][n];
      for (int j = k + 1; j < n; j++) {
        sum -= rows[k][j] * x[j];
      }
      x[k] = sum / rows[k][k];
    }
    return x;
  }

  private static double worst(double[] values) {
    double worst = 0;
    for (double one : values) {
      worst = Double.isNaN(one) ? Double.POSITIVE_INFINITY : Math.max(worst, Math.abs(one));
    }
    return worst;
  }

  private static double norm(double[] values) {
    double sum = 0;
    for (double one : values) {
      sum += one * one;
    }
    return Double.isNaN(sum) ? Double.POSITIVE_INFINITY : sum;
  }
}
