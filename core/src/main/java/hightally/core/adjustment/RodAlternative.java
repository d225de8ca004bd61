package hightally.core.adjustment;

import hightally.core.linkage.RodEnd;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Text;
import hightally.core.setup.Setup;

/**
 * Another way than only turning a rod's end as it is.
 *
 * @param surface id of the surface at whose rod or arm it is done
 * @param teeth teeth of the servo's finest step by which the arm is seated over; plus pushes the
 *     rod towards the surface; 0 for none
 * @param end the end that is fitted at the same length first; the one that is there for none
 */
public record RodAlternative(@Text(max = 40) String surface, int teeth, RodEnd end) {
  private static final int MOST_TEETH = 20;

  /** Checks it for being one of a setup. */
  void check(Setup setup, int index) {
    if (setup.surface(surface).isEmpty()) {
      throw InvalidInputException.of(
          "means[" + index + "].surface", surface, Said.of("demand.idSurface"));
    }
    if (Math.abs(teeth) > MOST_TEETH) {
      throw InvalidInputException.of(
          "means[" + index + "].teeth",
          teeth,
          Said.of(
              "demand.range",
              "min",
              Quantity.plain(-MOST_TEETH, 0),
              "max",
              Quantity.plain(MOST_TEETH, 0)));
    }
  }
}
