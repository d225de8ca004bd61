package hightally.core.hazard;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.plain.RandomPrograms;
import hightally.core.setup.Setup;
import hightally.core.signal.SignalPath;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/** How far a surface goes for a change of its command, against trying every command. */
class TravelTableTest {
  private static final double FINE = 0.5;

  /** The furthest it goes from commands between two for changes between two. */
  private static double tried(
      SignalPath path, int surface, double low, double high, double least, double most) {
    double limit = path.setup().transmitter().commandLimitPercent();
    double furthest = 0;
    for (double from = low; from <= high; from += FINE) {
      for (double change = least; change <= most; change += FINE) {
        double to = Math.max(-limit, Math.min(limit, from + change));
        double moved =
            LostTravel.realMm(path, surface, to) - LostTravel.realMm(path, surface, from);
        furthest = Math.max(furthest, Math.abs(moved));
      }
    }
    return furthest;
  }

  @Property(tries = 40)
  void nothingGoesFurtherAndLittleLess(@ForAll long seed) {
    Setup setup = RandomPrograms.of(seed);
    Random random = new Random(seed);
    SignalPath path = SignalPath.of(setup);
    for (int i = 0; i < setup.surfaces().size(); i++) {
      TravelTable table = new TravelTable(path, i, 3);
      double low = 120 * random.nextDouble() - 90;
      double high = low + 30 * random.nextDouble();
      double least = 80 * random.nextDouble() - 60;
      double most = least + 40 * random.nextDouble();
      double told = table.furthest(low, high, least, most);
      assertThat(told).isGreaterThanOrEqualTo(tried(path, i, low, high, least, most));
      // A step of a percent at each end besides, and what lies between two.
      assertThat(told)
          .isLessThanOrEqualTo(
              tried(path, i, low - 2, high + 2, least - 2, most + 2) + 2 * table.steepest() + 1e-9);
      for (double command : new double[] {-120, -37, 0, 12, 99}) {
        if (Math.abs(command) < setup.transmitter().commandLimitPercent()) {
          assertThat(table.mm(table.at(command)))
              .isCloseTo(LostTravel.realMm(path, i, command) - 3, within(1e-9));
        }
      }
      assertThat(table.index()).isEqualTo(i);
    }
  }
}
