package hightally.core.airframe;

import java.util.List;

/**
 * What a surface is for: what is done with it, how it is drawn and which way plus is said to be.
 */
public enum SurfaceRole {
  AILERON,
  FLAP,
  /** An aileron that is a flap as well. */
  FLAPERON,
  /** A wing's surface that rolls and pitches. */
  ELEVON,
  /** Also a tailplane that moves as a whole. */
  ELEVATOR,
  RUDDER,
  /** One half of a V-tail: pitch and yaw. */
  V_TAIL,
  /** A surface ahead of the wing. */
  CANARD,
  /** A spoiler plate; plus is up, out of the wing. */
  SPOILER,
  /** A wheel ahead of the balance point that steers: plus points its front right. */
  NOSE_WHEEL,
  /** A wheel behind it: plus moves its rear right, as the rudder's. */
  TAIL_WHEEL,
  /** A thrust-vectoring nozzle or vane. */
  NOZZLE,
  /** A wing half that swings; plus sweeps it aft, measured at the tip. */
  SWINGING_WING,
  OTHER;

  /** Whether plus moves its trailing edge right instead of up. */
  public boolean sideways() {
    return this == RUDDER || wheel();
  }

  /** Whether it is a wheel that steers. */
  public boolean wheel() {
    return this == NOSE_WHEEL || this == TAIL_WHEEL;
  }

  /** The shares such a surface mostly has, to begin with. */
  public Shares usualShares(Side side) {
    double across = side == Side.LEFT ? -1 : 1;
    return switch (this) {
      case AILERON, FLAPERON -> shares(across, 0, 0);
      case ELEVON -> shares(across / 2, 0.5, 0);
      case ELEVATOR -> shares(0, 1, 0);
      case CANARD -> shares(0, -1, 0);
      case RUDDER, NOSE_WHEEL, TAIL_WHEEL -> shares(0, 0, 1);
      case V_TAIL -> shares(0, 0.5, -across / 2);
      case FLAP, SPOILER, NOZZLE, SWINGING_WING, OTHER -> shares(0, 0, 0);
    };
  }

  private static Shares shares(double roll, double pitch, double yaw) {
    return new Shares(roll, pitch, yaw, List.of());
  }

  /** Whether it hangs on a wing's trailing edge and goes down to brake or lift. */
  public boolean flap() {
    return this == FLAP || this == FLAPERON;
  }

  /** Whether it is there to roll. */
  public boolean rolls() {
    return this == AILERON || this == FLAPERON || this == ELEVON;
  }
}
