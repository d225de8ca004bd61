package hightally.core.phase;

import hightally.core.quantity.Control;
import hightally.core.quantity.Within;
import hightally.core.quantity.Words;
import java.util.Arrays;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * Trim clicks as the transmitter counts them from zero; plus is right wing down, nose up, nose
 * right.
 */
public record Trims(
    @Within(min = -500, max = 500, unit = "clicks", label = "Roll trim") int roll,
    @Within(min = -500, max = 500, unit = "clicks", label = "Pitch trim") int pitch,
    @Within(min = -500, max = 500, unit = "clicks", label = "Yaw trim") int yaw) {
  /** All trims centred. */
  public static final Trims ZERO = new Trims(0, 0, 0);

  /** Clicks of one control. */
  public int of(Control control) {
    return switch (control) {
      case ROLL -> roll;
      case PITCH -> pitch;
      case YAW -> yaw;
    };
  }

  /** The same trims with other clicks of one control. */
  public Trims with(Control control, int clicks) {
    return switch (control) {
      case ROLL -> new Trims(clicks, pitch, yaw);
      case PITCH -> new Trims(roll, clicks, yaw);
      case YAW -> new Trims(roll, pitch, clicks);
    };
  }

  /** The trims of some controls, the others at zero. */
  public Trims only(Predicate<Control> chosen) {
    Trims some = ZERO;
    for (Control control : Control.values()) {
      some = chosen.test(control) ? some.with(control, of(control)) : some;
    }
    return some;
  }

  /** Whether every trim is centred. */
  public boolean allZero() {
    return equals(ZERO);
  }

  /**
   * The trims that are not zero, of some controls: {@code roll 3 clicks right, yaw 1 click left}.
   */
  public String words(Predicate<Control> chosen) {
    return Arrays.stream(Control.values())
        .filter(chosen)
        .filter(control -> of(control) != 0)
        .map(control -> name(control) + " " + Words.clicks(control, of(control)))
        .collect(Collectors.joining(", "));
  }

  private static String name(Control control) {
    return control.word();
  }
}
