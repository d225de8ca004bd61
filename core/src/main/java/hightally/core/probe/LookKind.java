package hightally.core.probe;

import java.util.Locale;

/** How a rig is looked at, and what that costs a pilot beside a stick held over. */
public enum LookKind {
  /** A stick held one way, then the other. */
  STICK(1),
  /** A lever or switch moved to one of its places. */
  INPUT(1),
  /** Switches moved so that another phase is on. */
  PHASE(1),
  /** The throttle opened, the motor made harmless. */
  THROTTLE(1),
  /** One channel's sub-trim clicked up, and put back. */
  NUDGE(2),
  /** The socket of one channel unplugged while a stick is held. */
  UNPLUG(3),
  /** A touch of throttle. */
  MOTOR(1);

  private final int cost;

  LookKind(int cost) {
    this.cost = cost;
  }

  /** The stable name of such a look. */
  String id(String of) {
    String kind = name().toLowerCase(Locale.ROOT);
    return of.isEmpty() ? kind : kind + "/" + of;
  }

  int cost() {
    return cost;
  }
}
