package hightally.core.program;

import hightally.core.quantity.Control;

/** The response of every control. */
public record Feel(Response roll, Response pitch, Response yaw) {
  /** The same feel with another response of one control. */
  public Feel with(Control control, Response changed) {
    return switch (control) {
      case ROLL -> new Feel(changed, pitch, yaw);
      case PITCH -> new Feel(roll, changed, yaw);
      case YAW -> new Feel(roll, pitch, changed);
    };
  }

  /** The response of one control. */
  public Response of(Control control) {
    return switch (control) {
      case ROLL -> roll;
      case PITCH -> pitch;
      case YAW -> yaw;
    };
  }
}
