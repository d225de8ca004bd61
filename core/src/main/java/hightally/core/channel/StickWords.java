package hightally.core.channel;

import hightally.core.quantity.Control;
import hightally.core.quantity.Said;

/** Which thumb does what, in the pilot's own stick mode. */
public final class StickWords {
  private StickWords() {}

  /**
   * How to move a control to its plus or minus end: {@code right stick to the right}.
   *
   * @param mode 1 to 4
   */
  public static Said to(int mode, Control control, int sign) {
    boolean left =
        switch (control) {
          case ROLL -> mode == 3 || mode == 4;
          case PITCH -> mode == 1 || mode == 3;
          case YAW -> mode == 1 || mode == 2;
        };
    return Said.of("stick.to", "left", left, "pitch", control == Control.PITCH, "plus", sign > 0);
  }

  /** The throttle stick: {@code left stick}. */
  public static Said throttle(int mode) {
    return Said.of("stick.throttle", "left", mode == 2 || mode == 4);
  }
}
