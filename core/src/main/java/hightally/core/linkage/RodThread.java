package hightally.core.linkage;

import java.util.Arrays;

/** Common threads of rod ends, mm per turn: M2, M2.5, M3; 2-56 and 4-40 of an inch. */
public enum RodThread {
  M2(0.4),
  M2_5(0.45),
  M3(0.5),
  INCH_2_56(0.454),
  INCH_4_40(0.635);

  /** A pitch this near to a common one is that one: measured ones are no better known. */
  private static final double NEAR = 0.06;

  private final double pitchMm;

  RodThread(double pitchMm) {
    this.pitchMm = pitchMm;
  }

  /** Length per turn. */
  public double pitchMm() {
    return pitchMm;
  }

  /** The common pitch nearest to one, where one is near; else the pitch to a hundredth. */
  public static double near(double pitchMm) {
    return Arrays.stream(values())
        .mapToDouble(RodThread::pitchMm)
        .filter(one -> Math.abs(one / pitchMm - 1) <= NEAR)
        .boxed()
        .min((one, other) -> Double.compare(Math.abs(one - pitchMm), Math.abs(other - pitchMm)))
        .orElse(Math.rint(pitchMm * 100) / 100);
  }
}
