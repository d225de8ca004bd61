package hightally.core.signal;

import hightally.core.mix.Mix;
import hightally.core.mix.MixSource;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;

/**
 * The order in which mixes are evaluated: a surface's command only once nothing more flows into it.
 */
final class MixOrder {
  private MixOrder() {}

  /** All mixes of a checked setup, which has no loops. */
  static List<Mix> of(Setup setup) {
    List<Mix> left = new ArrayList<>(setup.mixes());
    List<Mix> order = new ArrayList<>();
    while (!left.isEmpty()) {
      Mix next =
          left.stream()
              .filter(mix -> !waits(mix, left))
              .findFirst()
              .orElseThrow(() -> new IllegalStateException("A checked setup has no mix loops"));
      order.add(next);
      left.remove(next);
    }
    return order;
  }

  private static boolean waits(Mix mix, List<Mix> left) {
    return mix.source() == MixSource.SURFACE
        && left.stream()
            .flatMap(one -> one.targets().stream())
            .anyMatch(target -> target.target().equals(mix.subject()));
  }
}
