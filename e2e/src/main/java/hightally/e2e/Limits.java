package hightally.e2e;

/** How figures are held against what is written of them. */
final class Limits {
  /** Machines are shared: a tenth beyond a limit fails, less does not. */
  static final double BEYOND = 1.1;

  private Limits() {}
}
