package hightally.core.program;

import hightally.core.quantity.Clicks;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;
import java.util.Arrays;
import java.util.List;
import java.util.function.Predicate;

/**
 * Trim clicks as the transmitter counts them from zero; plus is right wing down, nose up, nose
 * right.
 */
public record Trims(
    @Within(min = -500, max = 500, unit = Unit.CLICKS) int roll,
    @Within(min = -500, max = 500, unit = Unit.CLICKS) int pitch,
    @Within(min = -500, max = 500, unit = Unit.CLICKS) int yaw) {
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

  /** The trims that are not zero, of some controls; nothing where all are. */
  public Said told(Predicate<Control> chosen) {
    List<Said> some =
        Arrays.stream(Control.values())
            .filter(chosen)
            .filter(control -> of(control) != 0)
            .map(
                control ->
                    Said.of("trim", "control", control, "clicks", new Clicks(control, of(control))))
            .toList();
    return some.isEmpty() ? Said.NOTHING : Said.of("trims", "clicks", some);
  }
}
