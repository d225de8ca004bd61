package hightally.core.channel;

import hightally.core.quantity.SelfChecked;
import hightally.core.quantity.Text;
import hightally.core.quantity.Violation;
import hightally.core.quantity.Within;
import java.util.function.Consumer;

/** The conventions of the pilot's transmitter, as far as they reach the pulse. */
public record Transmitter(
    @Text(label = "Transmitter name") String name,
    @Within(min = 1, max = 4, label = "Stick mode") int stickMode,
    SubTrimMode subTrimMode,
    @Within(min = 700, max = 2300, unit = "µs", label = "Pulse centre") double centreMicroseconds,
    @Within(min = 100, max = 1000, unit = "µs", label = "Pulse for 100 %")
        double microsecondsPer100,
    @Within(min = 0.05, max = 5, unit = "%", label = "One trim click") double clickStepPercent,
    @Within(min = 1, max = 500, unit = "clicks", label = "Trim range") int trimRangeClicks,
    @Within(min = 50, max = 200, unit = "%", label = "Command limit") double commandLimitPercent,
    @Within(min = 500, max = 1500, unit = "µs", label = "Shortest pulse")
        double shortestMicroseconds,
    @Within(min = 1500, max = 2500, unit = "µs", label = "Longest pulse")
        double longestMicroseconds)
    implements SelfChecked {
  @Override
  public void check(String path, Consumer<Violation> found) {
    if (centreMicroseconds <= shortestMicroseconds || centreMicroseconds >= longestMicroseconds) {
      String range = shortestMicroseconds + " to " + longestMicroseconds + " µs, the hard limits";
      found.accept(
          new Violation(path + "centreMicroseconds", "" + centreMicroseconds, "within " + range));
    }
  }
}
