package hightally.core.sheet;

import static hightally.core.English.saying;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hightally.core.Rigs;
import hightally.core.program.Feel;
import hightally.core.program.Response;
import hightally.core.setup.Setup;
import hightally.core.sheet.TermCurves.TermCurve;
import hightally.core.sheet.TermCurves.TermsAsked;
import org.junit.jupiter.api.Test;

class TermCurvesTest {
  private static final double EXACT = 1e-9;

  private static TermCurve curve(Setup setup, String term) {
    return TermCurves.of(new TermsAsked(setup, 0)).stream()
        .filter(one -> one.term().equals(term))
        .findFirst()
        .orElseThrow();
  }

  private static double end(TermCurve curve) {
    return curve.now().get(curve.now().size() - 1);
  }

  @Test
  void drawsTheModelsOwnValues() {
    Feel feel = Rigs.plain().feel();
    Setup setup =
        Rigs.plain()
            .change()
            .feel(new Feel(Response.even(70, 40), feel.pitch(), feel.yaw()))
            .done();
    assertThat(end(curve(setup, "rate"))).isCloseTo(0.7, within(EXACT));
    TermCurve expo = curve(setup, "expo");
    assertThat(end(expo)).isCloseTo(1, within(EXACT));
    assertThat(expo.now().get(30)).isLessThan(expo.plain().get(30));
    TermCurve start = curve(setup, "start-point");
    assertThat(start.now().get(20)).isZero();
    assertThat(Math.abs(end(start))).isLessThan(1);
    TermCurve endpoint = curve(setup, "endpoint");
    assertThat(end(endpoint))
        .isCloseTo(setup.channels().get(0).endpointHighPercent() / 100, within(EXACT));
  }

  @Test
  void differentialTakesFromOneSideOnly() {
    TermCurve differential = curve(Rigs.plain(), "differential");
    boolean less = false;
    for (int i = 0; i < differential.now().size(); i++) {
      double plain = Math.abs(differential.plain().get(i));
      double now = Math.abs(differential.now().get(i));
      assertThat(now).isLessThanOrEqualTo(plain + EXACT);
      less |= now < 0.9 * plain;
    }
    assertThat(less).isTrue();
    assertThat(Math.max(end(differential), -differential.now().get(0)))
        .isCloseTo(
            Math.max(
                differential.plain().get(differential.plain().size() - 1),
                -differential.plain().get(0)),
            within(EXACT));
  }

  @Test
  void refusesAChannelThatIsNotThere() {
    assertThatThrownBy(() -> TermCurves.of(new TermsAsked(Rigs.plain(), 9)))
        .satisfies(saying("channel is 9"));
  }
}
