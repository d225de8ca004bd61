package hightally.core.channel;

import hightally.core.quantity.Copyable;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;

/**
 * What runs from one device to a socket.
 *
 * @param device id of a servo or motor, or the id of the input a simple channel follows
 * @param socket number of the receiver's socket
 * @param splitter name of the Y-lead it shares with others; empty for none
 * @param extensionMm length of the extension; 0 for none
 * @param reverser whether a reverser in the lead mirrors the pulse about 1500 µs
 * @param label what is written on the lead
 */
@Copyable
public record Lead(
    @Text(max = 40) String device,
    @Within(min = 0, max = 64) int socket,
    @Text(min = 0, max = 40) String splitter,
    @Within(min = 0, max = 5000, unit = Unit.MILLIMETRES) double extensionMm,
    boolean reverser,
    @Text(min = 0, max = 40) String label) {
  /** A copy to change, part by part. */
  public LeadCopy change() {
    return LeadCopy.from(this);
  }

  /** Where a reverser mirrors the pulse, µs. */
  public static final double REVERSER_CENTRE_MICROSECONDS = 1500;

  /** The same lead to another device. */
  public Lead to(String changed) {
    return change().device(changed).done();
  }
}
