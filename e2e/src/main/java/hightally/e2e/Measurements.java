package hightally.e2e;

/** Everything that is measured against the packaged application. */
public final class Measurements {
  private Measurements() {}

  /** Measures and prints. */
  public static void main(String[] args) throws Exception {
    StickLatency.main(args);
    Growth.main(args);
  }
}
