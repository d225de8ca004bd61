package hightally.core.linkage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;

class RodEndTest {
  @Example
  void stepsFollowTheKindOfEnd() {
    assertThat(new RodEnd(RodEndKind.CLEVIS, 0.4).stepMm()).isCloseTo(0.2, within(1e-12));
    assertThat(new RodEnd(RodEndKind.BALL_LINK, 0.4).stepMm()).isCloseTo(0.4, within(1e-12));
    assertThat(new RodEnd(RodEndKind.TURNBUCKLE, 0.45).stepMm()).isCloseTo(0.15, within(1e-12));
    assertThat(new RodEnd(RodEndKind.SLIDE, 0.1).stepMm()).isCloseTo(0.1, within(1e-12));
  }

  @Example
  void halvesGoAwayFromZero() {
    RodEnd end = new RodEnd(RodEndKind.BALL_LINK, 0.5);
    assertThat(end.steps(0.25)).isEqualTo(1);
    assertThat(end.steps(-0.25)).isEqualTo(-1);
    assertThat(end.steps(0.24)).isZero();
  }

  @Property
  void whatIsLeftIsNeverMoreThanHalfAStep(
      @ForAll RodEndKind kind, @ForAll @DoubleRange(min = -5, max = 5) double change) {
    RodEnd end = new RodEnd(kind, 0.4);
    assertThat(Math.abs(end.steps(change) * end.stepMm() - change))
        .isLessThanOrEqualTo(end.stepMm() / 2 + 1e-12);
  }
}
