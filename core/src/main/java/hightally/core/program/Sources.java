package hightally.core.program;

import hightally.core.quantity.Control;
import java.util.function.DoubleUnaryOperator;

/**
 * What sources of mixes are made from; whoever evaluates, tallies or bounds a program says what
 * each is. All values are percent.
 *
 * @param <S> what is made
 */
public interface Sources<S> {
  /** A stick as the thumb moves it, -100 to 100. */
  S stick(Control control);

  /** A stick behind its rate and expo. */
  S response(Control control);

  /** A lever or switch, 0 to 100. */
  S input(String id);

  /** The throttle stick, -100 back to 100 full. */
  S throttle();

  /** What the throttle asks of the motors, behind the curve of the phase, -100 to 100. */
  S motor();

  /** The motor's power as it is told, 0 to 100, behind curve, cut and arming. */
  S power();

  /** Another surface's command. */
  S command(String surface);

  /** Always 100. */
  S always();

  /**
   * Another source bent.
   *
   * @param of what is bent; no command of a surface
   * @param bend straight between the corners and beyond them
   * @param corners where it bends, rising, at least one
   */
  S bent(S of, DoubleUnaryOperator bend, double... corners);
}
