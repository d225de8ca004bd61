package hightally.core.linkage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;

class ArmSeatingTest {
  @Example
  void fourArmsOnTwentyFiveTeethCanBeSetToThreePointSixDegrees() {
    assertThat(new ArmSeating(25, 4).finestStepDegrees()).isCloseTo(3.6, within(1e-12));
  }

  @Property
  void whatIsLeftIsNeverMoreThanHalfTheFinestStep(
      @ForAll @IntRange(min = 1, max = 40) int teeth,
      @ForAll @IntRange(min = 1, max = 8) int arms,
      @ForAll @DoubleRange(min = -180, max = 180) double wanted) {
    ArmSeating seating = new ArmSeating(teeth, arms);
    ArmSeating.Seat seat = seating.nearest(wanted);
    assertThat(Math.abs(seat.remainderDegrees()))
        .isLessThanOrEqualTo(seating.finestStepDegrees() / 2 + 1e-9);
    double turned = seat.tooth() * 360.0 / teeth + seat.arm() * 360.0 / arms;
    assertThat(Math.IEEEremainder(turned - seat.reachedDegrees(), 360)).isCloseTo(0, within(1e-9));
  }
}
