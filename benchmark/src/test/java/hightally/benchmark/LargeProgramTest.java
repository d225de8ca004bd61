package hightally.benchmark;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.hazard.Hazard;
import hightally.core.hazard.HazardKind;
import hightally.core.hazard.HazardSearch;
import hightally.core.setup.Setup;
import hightally.core.signal.SignalPath;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Eight switches of three positions, eight phases, twenty mixes: looked at whole. */
class LargeProgramTest {
  @ParameterizedTest
  @ValueSource(doubles = {0, 1.5})
  void itEndsWholeWithinTenTimesTheWorkOfHalfAsManySwitches(double fade) {
    Setup large = LargeProgram.of(8, fade);
    assertThat(large.phases()).hasSize(8);
    assertThat(large.mixes()).hasSize(20);
    HazardSearch.Outcome few = HazardSearch.of(SignalPath.of(LargeProgram.of(4, fade)));
    HazardSearch.Outcome many = HazardSearch.of(SignalPath.of(large));
    assertThat(many.ending()).isEqualTo(HazardSearch.Ending.WHOLE);
    assertThat(many.work()).isLessThan(10 * few.work());
    assertThat(many.motorWork()).isLessThan(many.work() / 10);
  }

  @ParameterizedTest
  @ValueSource(doubles = {0, 1.5})
  void aMotorThatASwitchStartsIsKnownAfterATenthOfTheWork(double fade) {
    SignalPath path = SignalPath.of(LargeProgram.startingAMotor(8, fade));
    HazardSearch.Outcome whole = HazardSearch.of(path);
    HazardSearch.Outcome tenth = HazardSearch.of(path, whole.work() / 10, () -> false, part -> {});
    assertThat(tenth.complete()).isFalse();
    assertThat(tenth.hazards())
        .extracting(Hazard::kind)
        .contains(HazardKind.MOTOR_STARTS, HazardKind.CANNOT_STOP);
  }
}
