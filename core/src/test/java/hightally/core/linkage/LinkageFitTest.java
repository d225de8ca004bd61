package hightally.core.linkage;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.linkage.LinkageFit.Explanation;
import hightally.core.linkage.LinkageFit.FitQuestion;
import hightally.core.linkage.LinkageFit.Reading;
import java.util.List;
import java.util.stream.DoubleStream;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;

class LinkageFitTest {
  private static final Linkage PLAN = new Linkage(12, 15, 120, 0, 0, false, true);
  private static final double CHORD_MM = 50;

  @Property(tries = 200)
  void theGeometryBehindTheReadingsIsFoundAgain(
      @ForAll @DoubleRange(min = 12, max = 19) double radius,
      @ForAll @DoubleRange(min = -18, max = 18) double lean) {
    Linkage truth = new Linkage(12, radius, 120, 0, lean, false, true);
    List<Explanation> found = LinkageFit.explanations(question(truth, -40, -20, 20, 40));
    Explanation horn =
        found.stream().filter(one -> say(one.words()).startsWith("Horn")).findFirst().orElseThrow();
    assertThat(horn.explains()).isTrue();
    assertThat(horn.linkage().hornRadiusMm()).isCloseTo(radius, within(1e-3));
    assertThat(horn.linkage().hornLeanDegrees()).isCloseTo(lean, within(1e-2));
  }

  @Example
  void twoReadingsCannotTellTheLeansApartAndSaySo() {
    Linkage truth = new Linkage(12, 16, 120, 0, 12, false, true);
    List<Explanation> found = LinkageFit.explanations(question(truth, -40, 40));
    assertThat(found).filteredOn(one -> say(one.words()).contains("° from")).hasSize(2);
    assertThat(found).filteredOn(Explanation::explains).hasSize(2);
    // A lean alone cannot be explained away by the radius, and the plan is 12° out.
    assertThat(say(found.get(2).words())).startsWith("Angles as planned");
    assertThat(found.get(2).explains()).isFalse();
    // By hand: a half-millimetre ruler at 25 mm of travel knows the radius to some 3 %.
    assertThat(found.get(0).radiusPlusMinusMm()).isBetween(0.1, 0.6);
  }

  private static FitQuestion question(Linkage truth, double... arms) {
    FourBar bar = FourBar.of(truth);
    List<Reading> readings =
        DoubleStream.of(arms)
            .mapToObj(
                arm -> new Reading(arm, CHORD_MM * Math.sin(Math.toRadians(bar.surfaceAngle(arm)))))
            .toList();
    return new FitQuestion(PLAN, CHORD_MM, readings, 0.5);
  }
}
