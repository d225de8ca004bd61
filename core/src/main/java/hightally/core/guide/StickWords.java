package hightally.core.guide;

import hightally.core.quantity.Control;

/** Which thumb does what, in the pilot's own stick mode. */
public final class StickWords {
  private StickWords() {}

  /**
   * How to move a control to its plus or minus end: {@code right stick to the right}.
   *
   * @param mode 1 to 4
   */
  public static String to(int mode, Control control, int sign) {
    String way =
        switch (control) {
          case ROLL, YAW -> sign > 0 ? "to the right" : "to the left";
          case PITCH -> sign > 0 ? "back, towards you" : "forward, away from you";
        };
    return thumb(mode, control) + " stick " + way;
  }

  private static String thumb(int mode, Control control) {
    boolean left =
        switch (control) {
          case ROLL -> mode == 3 || mode == 4;
          case PITCH -> mode == 1 || mode == 3;
          case YAW -> mode == 1 || mode == 2;
        };
    return left ? "left" : "right";
  }

  /** The throttle stick: {@code left stick}. */
  public static String throttle(int mode) {
    return (mode == 2 || mode == 4 ? "left" : "right") + " stick";
  }
}
