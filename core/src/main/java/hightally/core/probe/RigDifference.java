package hightally.core.probe;

import hightally.core.quantity.Text;

/**
 * One thing that is, or is made, otherwise. Made twice it is as before.
 *
 * @param part what
 * @param subject id of the servo, surface or motor; number of the channel
 * @param other the other servo of exchanged leads; the control or lever of a share; empty for the
 *     rest
 */
public record RigDifference(
    RigPart part, @Text(max = 40) String subject, @Text(min = 0, max = 40) String other) {
  static RigDifference of(RigPart part, String subject) {
    return new RigDifference(part, subject, "");
  }
}
