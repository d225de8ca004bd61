package hightally.app.adjustment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.app.ApiTest;
import hightally.app.transfer.SetupDocuments;
import hightally.core.adjustment.AdjustmentPlan;
import hightally.core.adjustment.AdjustmentPlanner;
import hightally.core.adjustment.FlownTrims;
import hightally.core.adjustment.PlannedRod;
import hightally.core.adjustment.WorkStep;
import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Rod;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.flightlog.PhaseReading;
import hightally.core.linkage.FourBar;
import hightally.core.linkage.Linkage;
import hightally.core.linkage.RodChange;
import hightally.core.linkage.RodEnd;
import hightally.core.linkage.RodEndKind;
import hightally.core.program.Phase;
import hightally.core.program.Trims;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.Positions;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
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

  /**
   * The same kind with every linkage, rod end, sub-trim and endpoint another one, within reason.
   */
  private static Setup crooked(Setup kind, Random random) {
    RodEndKind[] ends = RodEndKind.values();
    List<Surface> surfaces =
        kind.surfaces().stream()
            .map(
                one -> {
                  Linkage was = one.rod().linkage();
                  Linkage linkage =
                      new Linkage(
                          was.armRadiusMm() * between(random, 0.8, 1.15),
                          was.hornRadiusMm() * between(random, 0.9, 1.3),
                          was.rodLengthMm() * between(random, 0.8, 1.2),
                          between(random, -8, 8),
                          between(random, -8, 8),
                          random.nextBoolean(),
                          random.nextBoolean());
                  RodEnd end = new RodEnd(ends[random.nextInt(ends.length)], 0.4);
                  return one.withRod(
                      new Rod(
                          one.rod().driver(),
                          one.rod().driverId(),
                          linkage,
                          end,
                          between(random, -1, 1)));
                })
            .toList();
    List<Channel> channels =
        kind.channels().stream()
            .map(
                one ->
                    new Channel(
                        one.number(),
                        one.name(),
                        one.carries(),
                        random.nextBoolean(),
                        between(random, -40, 40),
                        between(random, 80, 120),
                        between(random, 80, 120),
                        one.slowedSeconds()))
            .toList();
    return kind.change().surfaces(surfaces).channels(channels).done();
  }

  private static double between(Random random, double low, double high) {
    return low + random.nextDouble() * (high - low);
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
    Setup kind = read(model);
    Random random = new Random(model.hashCode());
    for (int i = 0; i < TRIES; i++) {
      Setup setup = i == 0 ? kind : crooked(kind, random);
      FlownTrims flown = flown(setup, random);
      int phase = setup.phases().indexOf(setup.phase(flown.reference()).orElseThrow());
      PhaseReading reading = flown.phases().get(phase);
      SignalPath path = SignalPath.of(setup);
      Positions with = path.evaluateTrimmed(rest(reading), phase, reading.trims());
      AdjustmentPlan plan = AdjustmentPlanner.plan(setup, flown);
      Setup exact =
          setup.withSurfaces(
              setup.surfaces().stream()
                  .map(
                      one -> {
                        int s = path.indexOf(one.id());
                        // A slave's driving surface stands where it flew: nothing is left for it.
                        return one.rod().driver() == DriverKind.SURFACE
                            ? one
                            : one.withRod(one.rod().changedBy(exactMm(plan, one)));
                      })
                  .toList());
      double[] stands =
          SignalPath.of(exact).evaluateTrimmed(rest(reading), phase, Trims.ZERO).travelMm();
      for (int s = 0; s < stands.length; s++) {
        assertThat(stands[s]).as(model).isCloseTo(with.travelMm()[s], within(NANO));
      }
      planLeavesAtMostHalfAStep(plan, setup, phase, reading);
    }
  }

  private static double exactMm(AdjustmentPlan plan, Surface surface) {
    return plan.rods().stream()
        .filter(rod -> rod.surface().equals(surface.id()))
        .findFirst()
        .orElseThrow()
        .exactMm();
  }

  /** With whole steps nothing is off by more than half a step moves, either way from exact. */
  private static void planLeavesAtMostHalfAStep(
      AdjustmentPlan plan, Setup setup, int phase, PhaseReading reading) {
    SignalPath path = SignalPath.of(setup);
    Positions untrimmed = path.evaluateTrimmed(rest(reading), phase, Trims.ZERO);
    for (PlannedRod rod : plan.rods()) {
      Surface surface = setup.surface(rod.surface()).orElseThrow();
      int s = path.indexOf(surface.id());
      if (surface.rod().driver() == DriverKind.SERVO) {
        double driver = path.driverDegrees(s, untrimmed);
        FourBar bar = path.bar(s);
        double half = surface.rod().end().stepMm() / 2;
        double exact = bar.rodLengthMm() + rod.exactMm();
        double most = 0;
        for (double by : new double[] {-half, half}) {
          double mm = surface.travelMm(bar.withRod(exact + by).surfaceAngle(driver));
          most = Math.max(most, Math.abs(mm - rod.targetMm()));
        }
        assertThat(Math.abs(rod.errorMm())).as(rod.surface()).isLessThanOrEqualTo(most + NANO);
      }
    }
  }

  /** Every surface is marked with its trim in, turned with it out, and looked at afterwards. */
  @ParameterizedTest
  @MethodSource("models")
  void theWorkOrderNeverLosesAMark(String model) throws Exception {
    Setup setup = read(model);
    Random random = new Random(3 + model.hashCode());
    for (int i = 0; i < TRIES; i++) {
      AdjustmentPlan plan = AdjustmentPlanner.plan(setup, flown(setup, random));
      boolean trimIn = false;
      String marked = "";
      Set<String> turned = new HashSet<>();
      for (WorkStep step : plan.steps()) {
        switch (step.kind()) {
          case SAFETY -> assertThat(turned).isEmpty();
          case TRIMS_IN, TRIM_BACK -> trimIn = true;
          case MARK -> {
            assertThat(trimIn).as(model).isTrue();
            marked = step.surface();
          }
          case ZERO -> trimIn = false;
          case TURN -> {
            assertThat(trimIn).as(model).isFalse();
            assertThat(step.surface()).isEqualTo(marked);
            assertThat(turned.add(marked)).as("turned once").isTrue();
          }
          case CHECK -> assertThat(step.surface()).isEqualTo(marked);
          case VERIFY -> assertThat(step).isEqualTo(plan.steps().get(plan.steps().size() - 1));
        }
      }
      assertThat(turned)
          .containsExactlyInAnyOrderElementsOf(
              plan.rods().stream().filter(PlannedRod::toDo).map(PlannedRod::surface).toList());
      assertThat(plan.undoneFrom(plan.steps().size())).hasSize(turned.size());
      assertThat(plan.undoneFrom(2)).isEmpty();
    }
  }

  @ParameterizedTest
  @MethodSource("models")
  void anAdjustmentAndItsInverseAndTwoRoundsAndOne(String model) throws Exception {
    Random random = new Random(model.length());
    Setup setup = crooked(read(model), random);
    SignalPath path = SignalPath.of(setup);
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
              sameAllAlong(surface, bar, changed.withRod(changed.rodLengthMm() + home.changeMm()));
              FourBar half = bar.withRod(bar.rodFor(zero, between));
              double rest = half.armFor(goal, zero);
              RodChange.Found round =
                  (RodChange.Found)
                      RodChange.of(half, surface.rod().end(), surface.chordMm(), rest, zero);
              sameAllAlong(surface, changed, half.withRod(half.rodLengthMm() + round.changeMm()));
            });
  }

  /** Two rods put the surface in the same place wherever the arm stands. */
  private static void sameAllAlong(Surface surface, FourBar one, FourBar other) {
    for (double arm = -30; arm <= 30; arm += 5) {
      double mm = surface.travelMm(one.surfaceAngle(arm));
      if (Double.isFinite(mm)) {
        assertThat(surface.travelMm(other.surfaceAngle(arm))).isCloseTo(mm, within(NANO));
      }
    }
  }
}
