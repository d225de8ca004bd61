package hightally.core.adjustment;

import hightally.core.airframe.Servo;
import hightally.core.channel.Output;
import hightally.core.linkage.FourBar;
import hightally.core.program.Trims;
import java.util.ArrayList;
import java.util.List;

/**
 * The clicks of one phase with which its surfaces stand where they stood, with new rods: least
 * squares over the servos, equal weights, in percent of command. A control whose clicks do nothing
 * another one would not do gets none; a servo whose linkage cannot reach is left out.
 */
final class ClickFit {
  private final double clickStep;
  private final List<double[]> rows = new ArrayList<>();
  private final List<Double> wanted = new ArrayList<>();

  ClickFit(double clickStepPercent) {
    clickStep = clickStepPercent;
  }

  /** The command with which a new rod brings a surface angle; NaN where the linkage cannot. */
  static double command(FourBar rod, Output output, Servo servo, double degrees, double nearArm) {
    return output.commandFor(servo.pulseFor(rod.armFor(degrees, nearArm)));
  }

  /** A servo with its shares of roll, pitch and yaw, and the command it lacks without trim. */
  void servo(double[] shares, double lackingPercent) {
    if (Double.isFinite(lackingPercent)) {
      double[] row = shares.clone();
      for (int control = 0; control < row.length; control++) {
        row[control] *= clickStep;
      }
      rows.add(row);
      wanted.add(lackingPercent);
    }
  }

  /** Clicks of roll, pitch and yaw before rounding. */
  double[] exact() {
    return LeastSquares.solve(rows, wanted);
  }

  /** Whole clicks, halves away from zero. */
  static Trims whole(double[] exact) {
    return new Trims(whole(exact[0]), whole(exact[1]), whole(exact[2]));
  }

  private static int whole(double clicks) {
    return (int) (Math.signum(clicks) * Math.floor(Math.abs(clicks) + 0.5));
  }
}
