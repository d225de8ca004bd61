package hightally.core.signal;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.DemoModels;
import hightally.core.Rigs;
import hightally.core.edit.Edit;
import hightally.core.edit.Edits;
import hightally.core.edit.Figure;
import hightally.core.program.CurvePoint;
import hightally.core.program.Mix;
import hightally.core.program.ThrottleCurve;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;

class SetupDifferenceTest {
  private static final Setup RIG = Rigs.programmed(2);

  private static List<String> lines(Setup before, Setup after) {
    return SetupDifference.of(before, after).values().stream()
        .map(
            one ->
                String.join(
                    " | ", say(one.place()), say(one.what()), say(one.before()), say(one.after())))
        .toList();
  }

  @Test
  void nothingDiffersFromItself() {
    assertThat(lines(RIG, RIG)).isEmpty();
    assertThat(SetupDifference.of(RIG, RIG).movements()).isEmpty();
  }

  @Test
  void aFigureIsNamedWithItsPlaceAndBothValues() {
    Setup rig = Rigs.plain();
    Setup other = Edits.made(rig, List.of(Edit.of(Figure.HORN_RADIUS, "left", 16)));
    assertThat(lines(rig, other)).hasSize(1);
    assertThat(lines(rig, other).get(0))
        .containsIgnoringCase("left")
        .containsIgnoringCase("horn radius")
        .contains("12 mm")
        .endsWith("16 mm");
    assertThat(SetupDifference.of(rig, other).movements())
        .extracting(one -> one.surface())
        .contains("left")
        .doesNotContain("right");
  }

  @Test
  void whatIsNewGoneOrInAnotherOrderIsSaidOnce() {
    Setup without = RIG.change().mixes(RIG.mixes().subList(0, 3)).done();
    String gone = RIG.mixes().get(3).name();
    assertThat(lines(RIG, without)).singleElement().asString().contains(gone).endsWith("gone");
    assertThat(lines(without, RIG)).singleElement().asString().contains(gone).endsWith("new");
    List<Mix> mixes = new ArrayList<>(RIG.mixes());
    Collections.reverse(mixes);
    Setup turned = RIG.change().mixes(mixes).done();
    assertThat(lines(RIG, turned)).singleElement().asString().contains("order");
  }

  /** A curve has points inside: they are told as figures, never as the code writes them. */
  @Test
  void whatAnEntryIsMadeOfIsToldAsWell() {
    Setup before = DemoModels.read("quillon");
    List<ThrottleCurve> curves = new ArrayList<>(before.power().curves());
    curves.add(
        0,
        new ThrottleCurve(
            List.of("flight"), List.of(new CurvePoint(-100, -100), new CurvePoint(100, 80))));
    Setup after = before.change().power(before.power().withCurves(curves)).done();
    assertThat(SetupDifference.of(before, after).values())
        .singleElement()
        .satisfies(
            line ->
                assertThat(say(line.after()))
                    .contains("80")
                    .contains("flight")
                    .doesNotContain("CurvePoint"));
  }
}
