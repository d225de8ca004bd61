package hightally.core.simulator;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.DemoModels;
import hightally.core.airframe.Shares;
import hightally.core.setup.Setup;
import hightally.core.trimming.FlownState;
import hightally.core.trimming.TestCase;
import hightally.core.trimming.TrimLever;
import hightally.core.trimming.TrimLeverValues;
import hightally.core.trimming.TrimTest;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the tests measure: in order with its lever, and through the program only. */
class SeverityTest {
  private static FlownState with(FlownState as, TestCase test, TrimLever lever, double value) {
    if (lever.inProgram()) {
      Setup moved = TrimLeverValues.moved(lever, as.setup(), test, value, (what, longest) -> "Mix");
      return new FlownState(moved, as.pack(), as.cgMm(), as.atModel());
    }
    if (lever == TrimLever.BALANCE) {
      double shift = value / 100 * TrimLeverValues.chordMm(as.setup());
      return new FlownState(as.setup(), as.pack(), as.cgMm() + shift, as.atModel());
    }
    return as.withAtModel(lever, value);
  }

  private static double value(
      FlownState now, TestCase test, TestMeasure what, TestFlight.Wish wish) {
    FlyingModel model = FlyingModel.of(now);
    TrimState trim = TestFlight.trimmed(model, test.phase(now.setup())).orElseThrow();
    return TestFlight.fly(model, test, trim, Gusts.calm(), wish).value(what).orElseThrow();
  }

  /** Ten steps of a lever: every one lessens what is measured, which goes through zero. */
  @ParameterizedTest
  @CsvSource({
    "quillon, NOSE_AT_ONCE, -2, 2",
    "quillon, PATH_WITH_SPEED, -4, 2",
    "quillon, INVERTED_DROP, -10, 0",
    "quillon, INVERTED_BANK, -0.5, 0.1",
    "quillon, VERTICAL_SIDE, -1, 3",
    "quillon, VERTICAL_CANOPY, -2, 2",
    "quillon, ROLL_SLIP, -40, 10",
    "quillon, KNIFE_BELLY, -8, 4",
    "quillon, KNIFE_ROLL, -8, 2",
    "quillon, DOWN_BELLY, -2, 3",
    "larkmere, BRAKE_NOSE, -20, 20",
    "larkmere, DIVE_PATH, 0, 18",
  })
  void isMonotoneInItsLeverAndGoesThroughZero(
      String name, TestMeasure what, double from, double to) {
    List<Double> values = falling(name, what, from, to);
    assertThat(values.get(0)).as(values.toString()).isPositive();
    assertThat(values.get(10)).as(values.toString()).isNegative();
  }

  /** What a test flown here moves has something that is measured of it. */
  @Test
  void everyLeverOfATestThatIsFlownIsMeasured() {
    for (TrimTest test : TestFlight.FLOWN) {
      assertThat(Stream.of(TestMeasure.values()).filter(one -> one.test() == test))
          .as(test.name())
          .isNotEmpty()
          .flatExtracting(one -> one.lever().stream().toList())
          .containsExactlyInAnyOrderElementsOf(test.levers());
    }
  }

  /** The glider's rudder is too small to bring it to zero: a mix ends before. */
  @Test
  void circlingIsMonotoneInItsLever() {
    List<Double> values = falling("larkmere", TestMeasure.CIRCLING_SLIP, 0, 100);
    assertThat(values.get(10)).isLessThan(values.get(0) / 5);
  }

  private static List<Double> falling(String name, TestMeasure what, double from, double to) {
    FlownState as = FlyingModel.asBuilt(DemoModels.read(name));
    TestCase test =
        TestCase.of(as.setup()).stream()
            .filter(one -> one.test() == what.test())
            .findFirst()
            .orElseThrow();
    TrimLever lever = what.lever().orElseThrow();
    double base = lever.inProgram() ? as.value(lever, test) : 0;
    List<Double> values = new ArrayList<>();
    for (int i = 0; i <= 10; i++) {
      double at = base + from + (to - from) * i / 10;
      values.add(value(with(as, test, lever, at), test, what, TestFlight.Wish.PRECISE));
    }
    for (int i = 1; i < values.size(); i++) {
      assertThat(values.get(i)).as(values.toString()).isLessThan(values.get(i - 1));
    }
    return values;
  }

  /** A mix that is turned off is not flown with. */
  @Test
  void aMixTurnedOffChangesTheFlight() {
    Setup setup = DemoModels.read("larkmere");
    Setup without =
        setup
            .change()
            .mixes(
                setup.mixes().stream()
                    .filter(one -> !one.name().equals("Aileron to rudder"))
                    .toList())
            .done();
    assertThat(without.mixes()).hasSize(setup.mixes().size() - 1);
    double[] slip = new double[2];
    for (int i = 0; i < 2; i++) {
      FlownState as = FlyingModel.asBuilt(i == 0 ? setup : without);
      TestCase test =
          TestCase.of(as.setup()).stream()
              .filter(one -> one.test() == TestMeasure.CIRCLING_SLIP.test())
              .findFirst()
              .orElseThrow();
      slip[i] = value(as, test, TestMeasure.CIRCLING_SLIP, TestFlight.Wish.SPORT);
    }
    assertThat(slip[1] - slip[0]).isGreaterThan(0.5);
  }

  @Test
  void everySizeHasAWordAndAWay() {
    for (TestMeasure what : TestMeasure.values()) {
      what.lever()
          .ifPresent(
              lever ->
                  Stream.of(-3, -1, 2)
                      .forEach(
                          severity -> {
                            var outcome = what.outcome(severity).orElseThrow();
                            var way = what.test().way(outcome).orElseThrow();
                            assertThat(way.lever()).isEqualTo(lever);
                            assertThat(way.sign()).isEqualTo(Integer.signum(severity));
                          }));
    }
    assertThat(TestMeasure.NOSE_AT_ONCE.severity(0.59)).isZero();
    assertThat(TestMeasure.NOSE_AT_ONCE.severity(-0.6)).isEqualTo(-1);
    assertThat(TestMeasure.NOSE_AT_ONCE.severity(1.7)).isEqualTo(2);
    assertThat(TestMeasure.KNIFE_ROLL.severity(-60)).isEqualTo(-3);
    assertThat(TestMeasure.KNIFE_ROLL.outcome(0)).isEqualTo(Optional.empty());
  }

  @Test
  void aModelThatCannotFlyIsToldWhy() {
    Setup setup = DemoModels.read("quillon");
    FlightTraits traits = FlightTraits.proposed(setup);
    FlownState as = FlyingModel.asBuilt(setup);
    assertThat(Flyable.against(as, traits)).isEmpty();
    FlownState aft = new FlownState(setup, as.pack(), as.cgMm() + 200, as.atModel());
    assertThat(Flyable.against(aft, traits)).anyMatch(one -> one.code().equals("air.unstable"));
    Shares none = new Shares(0, 0, 0, List.of());
    Setup bare =
        setup.withSurfaces(
            setup.surfaces().stream()
                .map(one -> one.shares().pitch() == 0 ? one : one.withShares(none))
                .toList());
    FlownState dead = new FlownState(bare, as.pack(), as.cgMm(), as.atModel());
    assertThat(Flyable.against(dead, traits)).anyMatch(one -> one.code().equals("air.noEffect"));
    FlightTraits wingless = new FlightTraits(traits.kind(), java.util.Map.of());
    assertThat(Flyable.against(as, wingless)).anyMatch(one -> one.code().equals("air.noWing"));
  }
}
