package hightally.core.balance;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.DemoModels;
import hightally.core.Rigs;
import hightally.core.airframe.Airframe;
import hightally.core.airframe.BalanceSheet;
import hightally.core.airframe.Pack;
import hightally.core.airframe.Panel;
import hightally.core.airframe.PanelRole;
import hightally.core.balance.BalanceAdvice.BalanceQuestion;
import hightally.core.balance.BalanceAdvice.BalanceWish;
import hightally.core.balance.BalanceAdvice.End;
import hightally.core.balance.BalanceAdvice.PackAdvice;
import hightally.core.setup.Setup;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Wanted at 60 mm, to be flown from 55 to 65, 900 g without a pack of 100 g: sums by hand. */
class BalanceAdviceTest {
  private static Setup with(double... balances) {
    List<Pack> packs =
        java.util.Arrays.stream(balances)
            .mapToObj(cg -> new Pack("Pack at " + cg, 100, cg, 20))
            .toList();
    return Rigs.plain()
        .change()
        .balance(new BalanceSheet("Nose", 0, 60, 55, 65, 900, packs, 25))
        .done();
  }

  private static BalanceAdvice advice(Setup setup, BalanceWish wish) {
    return BalanceAdvice.of(new BalanceQuestion(setup, wish));
  }

  private static final BalanceWish WISH = new BalanceWish(2, -3, 4, 500, -40, 700);

  @ParameterizedTest
  @CsvSource({
    // 1000 g that balance 6 mm behind the mark: 6 · 1000 / 100 = 60 mm forward with the pack, or
    // 1000 · 6 / (60 + 40) = 60 g at the nose.
    "66, 6, false, -60, 60, NOSE",
    "65, 5, true, -50, 50, NOSE",
    // 5 mm ahead: 50 mm aft, or 1000 · 5 / (700 - 60) = 7.8 g at the tail.
    "55, -5, true, 50, 7.8125, TAIL",
    "54.9, -5.1, false, 51, 7.96875, TAIL"
  })
  void aPackIsMovedOrWeightIsAdded(
      double cg, double off, boolean inRange, double shift, double grams, End end) {
    PackAdvice pack = advice(with(cg), WISH).packs().get(0);
    assertThat(pack.totalGrams()).isEqualTo(1000);
    assertThat(pack.offMm()).isCloseTo(off, within(1e-9));
    assertThat(pack.inRange()).isEqualTo(inRange);
    assertThat(pack.shiftMm()).isCloseTo(shift, within(1e-9));
    assertThat(pack.ballastGrams()).isCloseTo(grams, within(1e-9));
    assertThat(pack.ballastAt()).isEqualTo(end);
    String words = say(pack.words());
    assertThat(words).contains(off > 0 ? "aft of the mark" : "ahead of the mark");
    assertThat(words).contains(shift > 0 ? "mm aft" : "mm forward");
    assertThat(words.contains("outside the range")).isEqualTo(!inRange);
  }

  @Test
  void whereItBalancesNothingIsMoved() {
    PackAdvice level = advice(with(60.4), WISH).packs().get(0);
    assertThat(say(level.words())).contains("Balances where it should");
    PackAdvice off = advice(with(60.5), WISH).packs().get(0);
    assertThat(say(off.words())).contains("Move the pack");
    PackAdvice exact = advice(with(60), WISH).packs().get(0);
    assertThat(exact.ballastAt()).isNull();
  }

  @Test
  void ballastOnTheWrongSideOfTheMarkIsNotOffered() {
    BalanceWish useless = new BalanceWish(0, 0, 0, 500, 80, 50);
    for (double cg : new double[] {65, 55}) {
      PackAdvice pack = advice(with(cg), useless).packs().get(0);
      assertThat(pack.ballastGrams()).isZero();
      assertThat(pack.ballastAt()).isNull();
      assertThat(say(pack.words())).doesNotContain(" or ");
    }
  }

  @Test
  void washersAndTheWingTipAreSumsToo() {
    BalanceAdvice advice = advice(with(60, 62), WISH);
    assertThat(advice.sideWasherMm()).isCloseTo(25 * Math.tan(Math.toRadians(2)), within(1e-9));
    assertThat(advice.downWasherMm()).isCloseTo(-25 * Math.tan(Math.toRadians(3)), within(1e-9));
    assertThat(advice.lateralGrams()).isCloseTo(1000 * 4 / 500.0, within(1e-9));
    assertThat(advice(with(), WISH).lateralGrams()).isCloseTo(900 * 4 / 500.0, within(1e-9));
  }

  @Test
  void whatTheBalancePointMeansIsSaid() {
    Stream<String> level = advice(with(60), WISH).notes().stream().map(one -> say(one));
    assertThat(level).singleElement().asString().contains("reflex");
    assertThat(advice(with(60.5), WISH).notes()).hasSize(2);
    assertThat(say(advice(with(60.5), WISH).notes().get(0))).contains("livelier");
    assertThat(say(advice(with(59.5), WISH).notes().get(0))).contains("steadier");
    List<String> both = advice(with(58, 63), WISH).notes().stream().map(one -> say(one)).toList();
    assertThat(both).hasSize(4);
    assertThat(both.get(3)).contains("Every pack has its own mark");
  }

  @Test
  void withoutAWishBallastGoesToBothEndsAndTheWingTip() {
    Setup model = DemoModels.read("quillon");
    BalanceWish wish = BalanceWish.of(model);
    double span =
        model.airframe().panels().stream()
            .mapToDouble(one -> Math.abs(one.tip().rightMm()))
            .max()
            .orElseThrow();
    double datum = model.balance().datumAftMm();
    double nose =
        model.airframe().fuselage().stream().mapToDouble(one -> one.aftMm()).min().orElseThrow();
    double tail =
        model.airframe().fuselage().stream().mapToDouble(one -> one.aftMm()).max().orElseThrow();
    assertThat(wish.lateralArmMm()).isEqualTo(Math.rint(span));
    assertThat(wish.noseStationMm()).isEqualTo(Math.min(0, nose) - datum);
    assertThat(wish.tailStationMm()).isEqualTo(tail - datum);
    assertThat(wish.sideDegrees() + wish.downDegrees() + wish.lateralOffsetMm()).isZero();
    BalanceWish bare = BalanceWish.of(with());
    assertThat(bare.tailStationMm()).as("behind the mark").isEqualTo(160);
  }

  /** The biplane's wings and tail, summed again a second way: many thin strips. */
  @Test
  void theOutlineGivesAnEstimate() {
    Setup model = DemoModels.read("quillon");
    BalanceAdvice advice = advice(model, WISH);
    double area = 0;
    double squares = 0;
    double moments = 0;
    for (Panel panel : model.airframe().panels()) {
      if (panel.role() == PanelRole.WING) {
        int strips = 20_000;
        double length =
            Math.hypot(
                panel.tip().rightMm() - panel.root().rightMm(),
                panel.tip().upMm() - panel.root().upMm());
        for (int i = 0; i < strips; i++) {
          double at = (i + 0.5) / strips;
          double chord = panel.root().chordMm() * (1 - at) + panel.tip().chordMm() * at;
          double aft = panel.root().aftMm() * (1 - at) + panel.tip().aftMm() * at;
          area += chord * length / strips;
          squares += chord * chord * length / strips;
          moments += chord * aft * length / strips;
        }
      }
    }
    double chord = squares / area;
    double edge = moments / area - model.balance().datumAftMm();
    BalanceEstimate estimate = advice.estimate();
    assertThat(estimate.meanChordMm()).isCloseTo(chord, within(0.01));
    assertThat(estimate.leadingEdgeMm()).isCloseTo(edge, within(0.01));
    double wanted = 100 * (model.balance().targetMm() - edge) / chord;
    assertThat(estimate.wantedPercent()).isCloseTo(wanted, within(0.01));
    double ahead = 100 * (estimate.neutralPointMm() - model.balance().targetMm()) / chord;
    assertThat(estimate.marginPercent()).isCloseTo(ahead, within(0.01));
    assertThat(estimate.neutralPointMm())
        .as("a tail behind moves it aft of the wing's own quarter chord")
        .isGreaterThan(edge + chord / 4);
    assertThat(advice.packs())
        .allSatisfy(
            pack ->
                assertThat(pack.chordPercent())
                    .isCloseTo(wanted + 100 * pack.offMm() / chord, within(0.01)));
    assertThat(say(estimate.words())).contains("of the mean chord").contains("maker's figure");
    Setup bare =
        model.change().airframe(new Airframe("Nothing", List.of(), List.of(), List.of())).done();
    assertThat(BalanceEstimate.of(bare)).isEmpty();
  }
}
