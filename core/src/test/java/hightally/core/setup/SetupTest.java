package hightally.core.setup;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.Rigs;
import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Rod;
import hightally.core.airframe.Surface;
import hightally.core.program.Trims;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.quantity.Violation;
import java.util.List;
import org.junit.jupiter.api.Test;

class SetupTest {
  @Test
  void aTidySetupHasNothingWrong() {
    assertThat(Validation.violations(Rigs.plain())).isEmpty();
  }

  @Test
  void aLoopOfSlaveRodsIsNamed() {
    Setup setup = Rigs.plain();
    Surface left = setup.surfaces().get(1);
    Rod rod = left.rod();
    Rod looped = new Rod(DriverKind.SURFACE, "slave", rod.linkage(), rod.end(), 0);
    Setup broken =
        setup.withSurfaces(
            List.of(setup.surfaces().get(0), left.withRod(looped), setup.surfaces().get(2)));
    assertThat(Validation.violations(broken))
        .contains(Violation.of("surfaces[1].rod.driverId", "slave", Said.of("demand.servoMoves")));
  }

  @Test
  void everyWrongFieldIsReportedAtOnceWithItsPath() {
    Setup setup = Rigs.plain();
    Surface left = setup.surfaces().get(1);
    Setup broken = setup.withSurfaces(List.of(left, left)).withTrims(new Trims(0, 70, 0));
    assertThat(Validation.violations(broken).stream().map(Violation::field))
        .contains("surfaces[1].id", "channels[1].carries", "trims.pitch");
  }
}
