package hightally.app.school;

import hightally.core.quantity.Said;
import hightally.core.simulator.FlightSample;
import java.util.List;

/** A flown path in words, for who does not watch it. */
final class FlightWords {
  private FlightWords() {}

  static List<Said> of(List<List<FlightSample>> parts) {
    return parts.stream().map(FlightWords::path).toList();
  }

  private static Said path(List<FlightSample> path) {
    FlightSample first = path.get(0);
    FlightSample last = path.get(path.size() - 1);
    return Said.of(
        "school.path",
        "seconds",
        Math.round(last.seconds()),
        "ahead",
        Math.round(last.northM() - first.northM()),
        "aside",
        Math.round(Math.abs(last.eastM() - first.eastM())),
        "right",
        last.eastM() > first.eastM(),
        "height",
        Math.round(Math.abs(last.upM() - first.upM())),
        "up",
        last.upM() > first.upM(),
        "bank",
        Math.round(Math.abs(bank(last))),
        "nose",
        Math.round(Math.abs(nose(last))),
        "noseUp",
        nose(last) >= 0,
        "bankRight",
        bank(last) > 0);
  }

  private static double bank(FlightSample s) {
    double right = 2 * (s.y() * s.z() + s.w() * s.x());
    double down = 1 - 2 * (s.x() * s.x() + s.y() * s.y());
    return Math.toDegrees(Math.atan2(right, down));
  }

  private static double nose(FlightSample s) {
    double ahead = 2 * (s.w() * s.y() - s.x() * s.z());
    return Math.toDegrees(Math.asin(Math.max(-1, Math.min(1, ahead))));
  }
}
