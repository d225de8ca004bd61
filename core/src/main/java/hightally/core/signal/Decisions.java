package hightally.core.signal;

import hightally.core.quantity.Copyable;

/**
 * What phases, switches and conditions have decided at a moment. While nothing of it changes, a
 * command depends on the sticks and levers only.
 *
 * @param phase which one is on
 * @param feel rates and expos
 * @param acting the mixes that act, a bit each
 * @param held whether cut or arming hold the motors
 * @param weights how far each mix has come in, 0 to 1; null where all that act have
 */
@Copyable
record Decisions(int phase, Feels.Decided feel, long acting, boolean held, double[] weights) {
  /** A copy to change, part by part. */
  public DecisionsCopy change() {
    return DecisionsCopy.from(this);
  }

  /** Whether a mix acts. */
  boolean acts(int mix) {
    return (acting & 1L << mix) != 0;
  }

  /** How far a mix that acts has come in, 0 to 1. */
  double weight(int mix) {
    return weights == null || mix < 0 ? 1 : weights[mix];
  }
}
