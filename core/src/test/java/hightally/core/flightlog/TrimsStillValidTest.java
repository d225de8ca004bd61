package hightally.core.flightlog;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.Rigs;
import hightally.core.program.Phase;
import hightally.core.program.Preset;
import hightally.core.setup.Setup;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

class TrimsStillValidTest {
  @Property(tries = 50)
  void whatStandsAsItStoodHoldsAndWhatMovedDoesNot(@ForAll long seed) {
    Setup before = Rigs.random(seed);
    assertThat(TrimsStillValid.between(before, before.withTrims(before.trims()))).isTrue();
    Setup click =
        before
            .change()
            .transmitter(
                before.transmitter().withClickStep(1.5 * before.transmitter().clickStepPercent()))
            .done();
    assertThat(TrimsStillValid.between(before, click)).isFalse();
    Phase base = before.basePhase();
    Setup preset =
        before.change().phases(List.of(base.withPresets(List.of(new Preset("left", 5))))).done();
    assertThat(TrimsStillValid.between(before, preset)).isFalse();
    Setup arm =
        before.withSurfaces(
            before.surfaces().stream()
                .map(one -> one.withRod(one.rod().withArm(one.rod().linkage().armRadiusMm() + 1)))
                .toList());
    assertThat(TrimsStillValid.between(before, arm)).isFalse();
  }
}
