package hightally.app.adjustment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.app.ApiTest;
import hightally.app.transfer.SetupDocuments;
import hightally.core.adjustment.AdjustmentPlan;
import hightally.core.adjustment.AdjustmentPlanner;
import hightally.core.adjustment.FlownTrims;
import hightally.core.adjustment.PhaseOutcome;
import hightally.core.adjustment.PlannedRod;
import hightally.core.adjustment.RodChange;
import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Surface;
import hightally.core.flight.PhaseReading;
import hightally.core.linkage.FourBar;
import hightally.core.phase.Phase;
import hightally.core.phase.Trims;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.Positions;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Named;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.beans.factory.annotation.Autowired;

/** Trims into rods over every kind of airframe and the demo models, with random trims and rods. */
class RetrimKindsTest extends ApiTest {
  private static final int TRIES = 25;
  private static final double NANO = 1e-9;
  private static final List<String> MODELS =
      List.of(
          "demo/quillon",
          "demo/larkmere",
          "demo/skerrow",
          "demo/brindle",
          "kinds/elevons",
          "kinds/v-tail-flaps",
          "kinds/flaps-y-lead",
          "kinds/flaps-two-servos",
          "kinds/flaps-one-servo",
          "kinds/tailed-one-aileron-servo",
          "kinds/tailed-two-aileron-servos",
          "kinds/biplane-four-ailerons",
          "kinds/canard",
          "kinds/all-moving-tail",
          "kinds/swing-wing",
          "kinds/vectored-thrust");

  @Autowired private SetupDocuments documents;

  static Stream<Named<String>> models() {
    return MODELS.stream().map(one -> Named.of(one, one));
  }

  private Setup read(String model) throws Exception {
    String text = resource(model + ".json");
    return documents.read(text);
  }

  private static FlownTrims flown(Setup setup, Random random) {
    List<PhaseReading> readings = new ArrayList<>();
    for (Phase phase : setup.phases()) {
      Trims trims =
          new Trims(random.nextInt(25) - 12, random.nextInt(25) - 12, random.nextInt(25) - 12);
      readings.add(
          new PhaseReading(
              phase.id(), trims, 10 * random.nextInt(11), PhaseReading.Sure.SURE, false));
    }
    String reference = setup.phases().get(random.nextInt(setup.phases().size())).id();
    return new FlownTrims(reference, readings);
  }

  private static Moment rest(PhaseReading reading) {
    return Moment.centred(Trims.ZERO).withThrottle(reading.throttlePercent() / 100, true);
  }

  @ParameterizedTest
  @MethodSource("models")
  void withExactRodsTheReferenceStandsAtZeroTrimWhereItFlew(String model) throws Exception {
    Setup setup = read(model);
    Random random = new Random(model.hashCode());
    for (int i = 0; i < TRIES; i++) {
      FlownTrims flown = flown(setup, random);
      int phase = setup.phases().indexOf(setup.phase(flown.reference()).orElseThrow());
      PhaseReading reading = flown.phases().get(phase);
      SignalPath path = SignalPath.of(setup);
      Positions with = path.evaluateTrimmed(rest(reading), phase, reading.trims());
      Positions without = path.evaluateTrimmed(rest(reading), phase, Trims.ZERO);
      Setup exact =
          setup.withSurfaces(
              setup.surfaces().stream()
                  .map(
                      one -> {
                        int s = path.indexOf(one.id());
                        double target = with.surfaceDegrees()[s];
                        double driver = path.driverDegrees(s, without);
                        if (one.rod().driver() == DriverKind.SURFACE) {
                          // Its driving surface stands at its own target by then.
                          driver = path.driverDegrees(s, with);
                        }
                        FourBar bar = path.bar(s);
                        return one.withRod(
                            one.rod().changedBy(bar.rodFor(driver, target) - bar.rodLengthMm()));
                      })
                  .toList());
      double[] stands =
          SignalPath.of(exact).evaluateTrimmed(rest(reading), phase, Trims.ZERO).travelMm();
      for (int s = 0; s < stands.length; s++) {
        assertThat(stands[s]).as(model).isCloseTo(with.travelMm()[s], within(NANO));
      }
      planLeavesAtMostHalfAStep(setup, flown);
    }
  }

  /** With whole steps nothing is off by more than half a step moves, in the reference phase. */
  private static void planLeavesAtMostHalfAStep(Setup setup, FlownTrims flown) {
    AdjustmentPlan plan = AdjustmentPlanner.plan(setup, flown);
    SignalPath path = SignalPath.of(setup);
    for (PlannedRod rod : plan.rods()) {
      Surface surface = setup.surface(rod.surface()).orElseThrow();
      int s = path.indexOf(surface.id());
      if (surface.rod().driver() == DriverKind.SERVO) {
        double driver = path.driverDegrees(s, path.evaluate(Moment.centred(Trims.ZERO)));
        FourBar bar = path.bar(s);
        double half = surface.rod().end().stepMm() / 2;
        double mm = surface.travelMm(bar.surfaceAngle(driver));
        double plus = surface.travelMm(bar.withRod(bar.rodLengthMm() + half).surfaceAngle(driver));
        double minus = surface.travelMm(bar.withRod(bar.rodLengthMm() - half).surfaceAngle(driver));
        double most = Math.max(Math.abs(plus - mm), Math.abs(minus - mm));
        // A fifth more: where the surface ends up, half a step moves it a little differently.
        assertThat(Math.abs(rod.errorMm())).as(rod.surface()).isLessThanOrEqualTo(1.2 * most);
      }
    }
    for (PhaseOutcome phase : plan.phases()) {
      // One more or less click of any control would not be nearer, over the servos' commands.
      assertThat(phase.exact().get(0)).isFinite();
    }
  }

  @ParameterizedTest
  @MethodSource("models")
  void anAdjustmentAndItsInverseAndTwoRoundsAndOne(String model) throws Exception {
    Setup setup = read(model);
    SignalPath path = SignalPath.of(setup);
    Random random = new Random(model.length());
    Positions neutral = path.evaluate(Moment.centred(Trims.ZERO));
    IntStream.range(0, setup.surfaces().size())
        .forEach(
            s -> {
              Surface surface = setup.surfaces().get(s);
              FourBar bar = path.bar(s);
              double zero = path.driverDegrees(s, neutral);
              double first = zero + 12 * random.nextDouble() - 6;
              double second = zero + 12 * random.nextDouble() - 6;
              double goal = bar.surfaceAngle(first);
              double between = bar.surfaceAngle(second);
              double one = bar.rodFor(zero, goal) - bar.rodLengthMm();
              RodChange.Found there =
                  (RodChange.Found)
                      RodChange.of(bar, surface.rod().end(), surface.chordMm(), first, zero);
              assertThat(there.changeMm()).isCloseTo(one, within(NANO));
              FourBar changed = bar.withRod(bar.rodLengthMm() + one);
              double back = changed.armFor(bar.surfaceAngle(zero), zero);
              RodChange.Found home =
                  (RodChange.Found)
                      RodChange.of(changed, surface.rod().end(), surface.chordMm(), back, zero);
              assertThat(home.changeMm()).as(model).isCloseTo(-one, within(1e-7));
              FourBar half = bar.withRod(bar.rodFor(zero, between));
              double rest = half.armFor(goal, zero);
              RodChange.Found round =
                  (RodChange.Found)
                      RodChange.of(half, surface.rod().end(), surface.chordMm(), rest, zero);
              double two = half.rodLengthMm() + round.changeMm() - bar.rodLengthMm();
              assertThat(two).as(model).isCloseTo(one, within(1e-7));
            });
  }
}
