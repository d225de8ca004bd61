package hightally.core.audit;

import hightally.core.airframe.Servo;
import hightally.core.channel.Channel;
import hightally.core.channel.Output;
import hightally.core.program.Feel;
import hightally.core.program.FeelSet;
import hightally.core.program.Response;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.SignalPath;

/**
 * The endpoints that give wanted throws, worked out through everything that lies between the stick
 * and the edge as it stands: rates and shares, both kinds of sub-trim, reversal, the shortest and
 * the longest pulse, what sits between, the servo's stops, its arm's offset, an adjusted rod.
 */
final class ThrowEnds {
  /** What a throw may miss its wish by, mm. */
  private static final double MEETS_MM = 0.05;

  /** Endpoints are typed in tenths. */
  private static final double STEPS_PER_PERCENT = 10;

  private static final int HALVINGS = 40;

  private final Rig rig;
  private final int index;
  private final double limit;
  private final double rest;
  private double high;
  private double low;
  private Said inTheWay = Said.NOTHING;

  private ThrowEnds(Setup setup, int index) {
    rig = new Rig(SignalPath.of(atLargestRate(setup)), setup.house());
    this.index = index;
    limit = setup.transmitter().endpointLimitPercent();
    Channel channel = rig.channel(index);
    high = channel.endpointHighPercent();
    low = channel.endpointLowPercent();
    rest = rig.at(index, 0).travelMm()[index];
  }

  /**
   * What was found.
   *
   * @param high endpoint of the plus side, percent
   * @param low endpoint of the minus side
   * @param inTheWay what keeps a throw from being met; nothing where both are
   */
  record Found(double high, double low, double plusMm, double minusMm, Said inTheWay) {}

  /** The endpoints of a surface's channel for two throws from rest; 0 asks for none. */
  static Found of(Setup setup, int index, double plusMm, double minusMm) {
    ThrowEnds ends = new ThrowEnds(setup, index);
    double[] there = new double[2];
    for (int stick : new int[] {1, -1}) {
      double command = ends.command(stick);
      if (command != ends.command(0)) {
        boolean up = ends.travel(command, ends.limit) > ends.rest;
        double wanted = up ? plusMm : minusMm;
        double met = ends.solve(command, up ? 1 : -1, wanted);
        there[up ? 0 : 1] = Math.max(there[up ? 0 : 1], met);
      }
    }
    return new Found(ends.high, ends.low, there[0], there[1], ends.inTheWay);
  }

  /** A wish is for the largest rate there is. */
  static Setup atLargestRate(Setup setup) {
    Feel feel = setup.feel();
    for (Control control : Control.values()) {
      Response largest = feel.of(control);
      for (FeelSet set : setup.feelSets()) {
        if (set.has(control) && rate(set.feel().of(control)) > rate(largest)) {
          largest = set.feel().of(control);
        }
      }
      feel = feel.with(control, largest);
    }
    return setup.change().feel(feel).feelSets(java.util.List.of()).done();
  }

  private static double rate(Response response) {
    return Math.max(response.ratePositivePercent(), response.rateNegativePercent());
  }

  private double command(int stick) {
    return rig.at(index, stick).commandPercent()[rig.path().channelBehind(index)];
  }

  private Output output(double command, double endpoint) {
    Output now = rig.output(index);
    boolean onHigh = (now.reversed() ? -command : command) >= 0;
    return now.change()
        .endpointLow(onHigh ? now.endpointLow() : endpoint)
        .endpointHigh(onHigh ? endpoint : now.endpointHigh())
        .done();
  }

  /** Where the edge is for a command with an endpoint on the command's side, mm. */
  private double travel(double command, double endpoint) {
    double arm = rig.servo(index).armDegrees(output(command, endpoint).pulse(command));
    return rig.surface(index).travelMm(rig.path().angleBehind(index, arm, true));
  }

  private double solve(double command, int way, double wanted) {
    double least = 0;
    double most = limit;
    for (int i = 0; i < HALVINGS; i++) {
      double middle = (least + most) / 2;
      if (way * (travel(command, middle) - rest) < wanted) {
        least = middle;
      } else {
        most = middle;
      }
    }
    double endpoint = Math.min(limit, Math.rint(most * STEPS_PER_PERCENT) / STEPS_PER_PERCENT);
    Output now = rig.output(index);
    if ((now.reversed() ? -command : command) >= 0) {
      high = endpoint;
    } else {
      low = endpoint;
    }
    double met = way * (travel(command, endpoint) - rest);
    if (Math.abs(met - wanted) > MEETS_MM) {
      inTheWay = inTheWay(command, endpoint);
    }
    return met;
  }

  /**
   * What holds it back last on the way from stick to edge: more of all before it would not help.
   */
  private Said inTheWay(double command, double endpoint) {
    Output output = output(command, endpoint);
    double pulse = output.pulse(command);
    Servo servo = rig.servo(index);
    double most = output.commandLimit();
    double sent = Math.max(-most, Math.min(most, command));
    if (Math.abs(servo.freeArmDegrees(pulse)) > servo.maxAngleDegrees()) {
      return Said.of("throws.servoStop");
    }
    if (Math.abs(output.freePulse(sent) - pulse) > 1) {
      return Said.of("throws.pulseLimit");
    }
    if (sent != command) {
      return Said.of("throws.commandLimit");
    }
    return Said.of(endpoint >= limit ? "throws.endpointLimit" : "throws.linkage");
  }
}
