package hightally.core.program;

import hightally.core.quantity.Control;
import java.util.function.DoubleUnaryOperator;

/**
 * What a source of a mix is made from at its root, however it is bent on the way: what asks whether
 * a mix comes from the throttle, from the motor's power or from another command asks this.
 */
public enum SourceRoot {
  STICK,
  RESPONSE,
  INPUT,
  THROTTLE,
  MOTOR,
  POWER,
  SURFACE,
  CONSTANT;

  static SourceRoot of(MixSource source) {
    String subject = source.of() == SourceOf.STICK ? Control.ROLL.word() : "";
    return source.made(new Roots(), subject);
  }

  private static final class Roots implements Sources<SourceRoot> {
    @Override
    public SourceRoot stick(Control control) {
      return STICK;
    }

    @Override
    public SourceRoot response(Control control) {
      return RESPONSE;
    }

    @Override
    public SourceRoot input(String id) {
      return INPUT;
    }

    @Override
    public SourceRoot throttle() {
      return THROTTLE;
    }

    @Override
    public SourceRoot motor() {
      return MOTOR;
    }

    @Override
    public SourceRoot power() {
      return POWER;
    }

    @Override
    public SourceRoot command(String surface) {
      return SURFACE;
    }

    @Override
    public SourceRoot always() {
      return CONSTANT;
    }

    @Override
    public SourceRoot bent(SourceRoot of, DoubleUnaryOperator bend, double... corners) {
      return of;
    }
  }
}
