package hightally.core.airframe;

/** What a flat piece of the airframe is. */
public enum PanelRole {
  WING,
  TAIL,
  FIN,
  /** One half of a V-tail. */
  V_TAIL,
  CANARD,
  /** A leg with a wheel, a vane behind a motor: what only carries something that steers. */
  CARRIER,
  OTHER
}
