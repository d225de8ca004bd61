package hightally.core.flightlog;

import hightally.core.channel.Transmitter;

/** What a transmitter shows its trims in. */
public enum TrimUnit {
  CLICKS,
  PERCENT,
  MICROSECONDS;

  private static final double FULL_PERCENT = 100;

  /** What one click reads as. */
  public double perClick(Transmitter transmitter) {
    double percent = transmitter.clickStepPercent();
    return switch (this) {
      case CLICKS -> 1;
      case PERCENT -> percent;
      case MICROSECONDS -> percent * transmitter.microsecondsPer100() / FULL_PERCENT;
    };
  }

  /** What clicks read as, to a tenth. */
  public double shown(Transmitter transmitter, int clicks) {
    return Math.rint(clicks * perClick(transmitter) * 10) / 10;
  }

  /** The whole clicks nearest to what is shown. */
  public int clicks(Transmitter transmitter, double shown) {
    return (int) Math.rint(shown / perClick(transmitter));
  }
}
