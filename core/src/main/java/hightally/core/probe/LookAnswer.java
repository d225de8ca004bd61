package hightally.core.probe;

import hightally.core.quantity.Text;
import hightally.core.quantity.Within;
import java.util.List;

/**
 * What was seen in a look: every surface that was looked at, whether it went as drawn or not.
 *
 * @param look its id
 */
public record LookAnswer(@Text(max = 120) String look, List<Sight> seen) {
  public LookAnswer {
    seen = seen == null ? null : List.copyOf(seen);
  }

  /**
   * How one surface went.
   *
   * @param way 1 up or right, -1 down or left, 0 did not move
   */
  public record Sight(@Text(max = 40) String surface, @Within(min = -1, max = 1) int way) {}
}
