package hightally.core.bench;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.Rigs;
import hightally.core.bench.FlyingModel.Faults;
import hightally.core.log.PhaseReading;
import hightally.core.phase.Trims;
import hightally.core.setup.Setup;
import java.util.List;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

class FlyingModelTest {
  private static Faults faults(double warp, double pitch, boolean unsteady) {
    return new Faults(warp, pitch, 0, 90, 0.1, List.of(), List.of(), unsteady);
  }

  private static Trims flown(Setup setup, Faults faults, double cg, long seed) {
    List<PhaseReading> readings = new FlyingModel(setup, faults).fly(setup, cg, seed);
    return readings.get(0).trims();
  }

  @Property(tries = 30)
  void withoutFaultsItFliesAsDesignedAndAsSteadily(@ForAll long seed) {
    Setup setup = Rigs.random(seed);
    Setup clean = setup.withTrims(Trims.ZERO);
    assertThat(flown(clean, faults(0, 0, false), 90, 1)).isEqualTo(Trims.ZERO);
    Trims thrown = flown(clean, faults(0, 0, true), 90, seed);
    assertThat(thrown).isEqualTo(flown(clean, faults(0, 0, true), 90, seed));
    assertThat(Math.abs(thrown.pitch())).isLessThanOrEqualTo(1);
  }

  @Example
  void faultsAskForTrimTheirWayAndABalancePointFurtherAftForDown() {
    Setup setup = Rigs.plain();
    Trims trims = flown(setup, faults(1.5, 1, false), 90, 1);
    assertThat(trims.roll()).isPositive();
    assertThat(trims.pitch()).isPositive();
    assertThat(flown(setup, faults(1.5, 1, false), 110, 1).pitch()).isNegative();
  }
}
