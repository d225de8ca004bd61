package hightally.core.audit;

import hightally.core.airframe.Contact;
import hightally.core.program.Trims;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.Positions;
import hightally.core.signal.Readings;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * All corners of sticks, levers and switches that two surfaces listen to. Each surface moves
 * monotonically with each stick up to its dead centre, so two surfaces are nearest to one another
 * in a corner.
 */
final class Corners {
  private static final int STICKS = 3;
  private static final int STICK_CORNERS = STICKS * STICKS * STICKS;

  private Corners() {}

  /**
   * How far beyond touching two surfaces get in the worst corner, mm; negative: they never touch.
   */
  static double overlapMm(SignalPath path, Contact contact) {
    int first = path.indexOf(contact.first());
    int second = path.indexOf(contact.second());
    double worst = Double.NEGATIVE_INFINITY;
    for (Moment corner : of(levers(path, first, second))) {
      Positions positions = path.evaluate(corner);
      double a = beyond(positions.travelMm()[first], contact.firstMm());
      double b = beyond(positions.travelMm()[second], contact.secondMm());
      worst = Math.max(worst, Math.min(a, b));
    }
    return worst;
  }

  private static int[] levers(SignalPath path, int... surfaces) {
    Setup setup = path.setup();
    return IntStream.of(surfaces)
        .mapToObj(surface -> setup.channels().get(path.channelBehind(surface)).carries())
        .flatMap(id -> setup.surface(id).orElseThrow().shares().levers().stream())
        .mapToInt(lever -> setup.transmitter().inputIndex(lever.input()))
        .distinct()
        .toArray();
  }

  private static List<Moment> of(int[] levers) {
    List<Moment> corners = new ArrayList<>();
    for (int stick = 0; stick < STICK_CORNERS; stick++) {
      for (int ends = 0; ends < 1 << levers.length; ends++) {
        Moment corner = sticks(stick);
        for (int i = 0; i < levers.length; i++) {
          corner = corner.withInput(levers[i], ends >> i & 1);
        }
        corners.add(corner);
      }
    }
    return corners;
  }

  private static Moment sticks(int stick) {
    double roll = stick % STICKS - 1;
    double pitch = stick / STICKS % STICKS - 1;
    double yaw = stick / (STICKS * STICKS) - 1;
    return new Moment(roll, pitch, yaw, 0, true, Trims.ZERO, List.of(), Readings.NORMAL);
  }

  private static double beyond(double travel, double limit) {
    return limit >= 0 ? travel - limit : limit - travel;
  }
}
