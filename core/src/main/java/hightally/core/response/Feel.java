package hightally.core.response;

import hightally.core.quantity.Control;

/** The response of every control. */
public record Feel(Response roll, Response pitch, Response yaw) {
  /** The response of one control. */
  public Response of(Control control) {
    return switch (control) {
      case ROLL -> roll;
      case PITCH -> pitch;
      case YAW -> yaw;
    };
  }
}
