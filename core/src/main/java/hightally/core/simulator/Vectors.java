package hightally.core.simulator;

/** Three numbers at a time. */
final class Vectors {
  private Vectors() {}

  static double[] cross(double[] a, double[] b) {
    return new double[] {
      a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]
    };
  }

  static double dot(double[] a, double[] b) {
    return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
  }

  static double size(double[] a) {
    return Math.sqrt(dot(a, a));
  }

  static double[] unit(double[] a) {
    double size = Math.max(1e-12, size(a));
    return new double[] {a[0] / size, a[1] / size, a[2] / size};
  }
}
