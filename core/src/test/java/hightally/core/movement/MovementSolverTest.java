package hightally.core.movement;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hightally.core.Rigs;
import hightally.core.airframe.Surface;
import hightally.core.linkage.Linkage;
import hightally.core.plain.PlainModel;
import hightally.core.plain.RandomPrograms;
import hightally.core.program.CurvePoint;
import hightally.core.program.Mix;
import hightally.core.program.MixSource;
import hightally.core.program.MixTarget;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Unit;
import hightally.core.setup.Setup;
import hightally.core.setup.TypedMovement.Kind;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/** What is typed in millimetres stands on the bench, worked out the plain way. */
class MovementSolverTest {
  private static final double RULER_MM = 0.05;
  private static final Moment BENCH = Moment.centred(Trims.ZERO);

  private static WantedMovement wish(Kind kind, String subject, String surface, double mm) {
    return new WantedMovement(
        kind, subject, surface, true, mm, false, Unit.MILLIMETRES, false, false);
  }

  @Property(tries = 8)
  void aPresetStandsWhereItWasTyped(@ForAll long seed) {
    Setup setup = RandomPrograms.of(seed);
    Random random = new Random(seed);
    for (PhasePositions stand : PhasePositions.of(SignalPath.of(setup), BENCH)) {
      if (stand.reached()) {
        Surface surface = setup.surface(random.nextBoolean() ? "left" : "right").orElseThrow();
        double wanted = 4 * random.nextDouble() - 2;
        Setup made;
        try {
          made =
              MovementSolver.made(
                  setup, BENCH, wish(Kind.PRESET, stand.phase(), surface.id(), wanted));
        } catch (InvalidInputException e) {
          continue;
        }
        assertThat(presetMm(made, stand, surface.id())).isCloseTo(wanted, within(RULER_MM));
        // Asked of a model without sub-trim and with its rods unturned, it is where the surface
        // goes: a horn's millimetres a degree are others where it stands at another angle.
        Setup bare =
            MovementSolver.made(
                bare(setup), BENCH, wish(Kind.PRESET, stand.phase(), surface.id(), wanted));
        PlainModel plain = new PlainModel(bare);
        int phase = plain.phase(stand.moment());
        Surface there = bare.surface(surface.id()).orElseThrow();
        double with = plain.travel(there, stand.moment(), phase);
        double without = new PlainModel(withoutPresets(bare)).travel(there, stand.moment(), phase);
        if (with != without && Math.abs(without) < RULER_MM / 10 && alone(bare, there.id())) {
          assertThat(with - without).isCloseTo(wanted, within(RULER_MM));
        }
      }
    }
  }

  /** Whether no mix moves it: one may follow the presets of others. */
  private static boolean alone(Setup setup, String surface) {
    return setup.mixes().stream()
        .flatMap(mix -> mix.targets().stream())
        .noneMatch(target -> target.target().equals(surface));
  }

  private static Setup withoutPresets(Setup setup) {
    return setup
        .change()
        .phases(setup.phases().stream().map(one -> one.withPresets(List.of())).toList())
        .done();
  }

  private static Setup bare(Setup setup) {
    return setup
        .change()
        .channels(
            setup.channels().stream()
                .map(one -> one.with(0, one.endpointLowPercent(), one.endpointHighPercent()))
                .toList())
        .servos(setup.servos().stream().map(one -> one.seated(one.pullsOnIncrease(), 0)).toList())
        .surfaces(
            setup.surfaces().stream()
                .map(one -> one.withRod(one.rod().changedBy(-one.rod().adjustedMm())))
                .toList())
        .done();
  }

  private static double presetMm(Setup made, PhasePositions stand, String surface) {
    return PhasePositions.of(SignalPath.of(made), BENCH).stream()
        .filter(one -> one.phase().equals(stand.phase()))
        .flatMap(one -> one.surfaces().stream())
        .filter(one -> one.surface().equals(surface))
        .mapToDouble(PhasePositions.Stand::presetMm)
        .sum();
  }

  @Property(tries = 8)
  void aMixAddsWhatWasTypedAndNothingElseChanges(@ForAll long seed) {
    Setup setup = RandomPrograms.of(seed);
    SignalPath path = SignalPath.of(setup);
    for (MixEffect reach : MixEffect.of(path, BENCH)) {
      for (MixEffect.End end : reach.ends()) {
        // The slave goes along with what drives it.
        for (MixEffect.Movement one :
            end.movements().stream().filter(e -> !e.surface().equals("slave")).toList()) {
          double wanted = 0.5 * one.addsMm() + 0.3;
          WantedMovement wish =
              new WantedMovement(
                  Kind.MIX,
                  reach.mix(),
                  one.surface(),
                  end.plusSide(),
                  wanted,
                  false,
                  Unit.MILLIMETRES,
                  false,
                  false);
          Setup made;
          try {
            made = MovementSolver.made(setup, BENCH, wish);
          } catch (InvalidInputException e) {
            continue;
          }
          MixEffect now = reach(made, reach.mix());
          for (MixEffect.End then : now.ends()) {
            for (MixEffect.Movement each :
                then.movements().stream().filter(e -> !e.surface().equals("slave")).toList()) {
              boolean typed =
                  each.surface().equals(one.surface()) && then.plusSide() == end.plusSide();
              double before =
                  reach.ends().stream()
                      .filter(e -> e.plusSide() == then.plusSide())
                      .flatMap(e -> e.movements().stream())
                      .filter(e -> e.surface().equals(each.surface()))
                      .mapToDouble(MixEffect.Movement::addsPercent)
                      .sum();
              if (typed) {
                assertThat(each.addsMm()).isCloseTo(wanted, within(RULER_MM));
              } else if (sideBySide(setup, reach.mix())) {
                assertThat(each.addsPercent()).isCloseTo(before, within(1e-6));
              }
            }
          }
        }
      }
    }
  }

  /** Of a curve the whole grows; power and commands may be on one side at both ends. */
  private static boolean sideBySide(Setup setup, String mix) {
    return setup.mixes().stream()
        .filter(one -> one.id().equals(mix))
        .filter(one -> one.source() != MixSource.POWER && one.source() != MixSource.SURFACE)
        .anyMatch(one -> one.curve().isEmpty());
  }

  private static MixEffect reach(Setup setup, String mix) {
    return MixEffect.of(SignalPath.of(setup), BENCH).stream()
        .filter(one -> one.mix().equals(mix))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aRateIsTypedAsAThrowAndGoesToBothSidesUntilTheyAreTakenApart() {
    Setup rig = Rigs.plain();
    WantedMovement both =
        new WantedMovement(
            Kind.RATE_PITCH, "", "left", true, 6, false, Unit.MILLIMETRES, false, true);
    Setup made = MovementSolver.made(rig, BENCH, both);
    assertThat(made.feel().pitch().ratePositivePercent())
        .isEqualTo(made.feel().pitch().rateNegativePercent());
    PlainModel plain = new PlainModel(made);
    Surface left = made.surface("left").orElseThrow();
    assertThat(
            Math.abs(
                plain.travel(left, BENCH.with(Control.PITCH, 1), 0) - plain.travel(left, BENCH, 0)))
        .isCloseTo(6, within(RULER_MM));
    WantedMovement down =
        new WantedMovement(
            Kind.RATE_PITCH, "", "left", false, 4, false, Unit.MILLIMETRES, false, false);
    Setup apart = MovementSolver.made(made, BENCH, down);
    assertThat(apart.feel().pitch().ratePositivePercent())
        .isEqualTo(made.feel().pitch().ratePositivePercent());
    assertThat(apart.feel().pitch().rateNegativePercent())
        .isLessThan(made.feel().pitch().rateNegativePercent());
  }

  @Test
  void whatCannotBeHadIsRefusedWithWhatCan() {
    assertThatThrownBy(
            () -> MovementSolver.made(Rigs.plain(), BENCH, wish(Kind.PRESET, "base", "left", 500)))
        .isInstanceOf(InvalidInputException.class);
  }

  @Test
  void anotherHoleMakesItAnotherMovementAndLaterTrimsDoNot() {
    Setup rig = bare(Rigs.plain());
    String phase = rig.phases().get(0).id();
    Setup made = MovementSolver.made(rig, BENCH, wish(Kind.PRESET, phase, "left", 2.5));
    assertThat(made.notebook().typed()).hasSize(1);
    assertThat(MovementSolver.became(SignalPath.of(made))).isEmpty();
    assertThat(MovementSolver.became(SignalPath.of(made.withTrims(new Trims(20, 20, 0)))))
        .isEmpty();
    Surface left = made.surface("left").orElseThrow();
    Linkage linkage = left.rod().linkage();
    Setup drilled =
        made.withSurface(
            left.withRod(left.rod().with(linkage.withArm(linkage.armRadiusMm() * 1.2))));
    assertThat(MovementSolver.became(SignalPath.of(drilled)))
        .singleElement()
        .satisfies(
            one -> {
              assertThat(one.typed().value()).isEqualTo(2.5);
              PlainModel plain = new PlainModel(drilled);
              Surface there = drilled.surface("left").orElseThrow();
              assertThat(one.now()).isCloseTo(plain.travel(there, BENCH, 0), within(1e-6));
            });
    Setup byHand =
        MovementSolver.made(
            drilled,
            BENCH,
            new WantedMovement(
                Kind.PRESET, phase, "left", true, 10, false, Unit.PERCENT, false, false));
    assertThat(byHand.notebook().typed()).isEmpty();
  }

  /** Brakes on the throttle stick, in with the stick forward. */
  private static Mix brakes(String surface) {
    return new Mix(
        "brakes",
        "Brakes",
        "",
        MixSource.THROTTLE,
        "",
        0,
        0,
        0,
        List.of(new CurvePoint(-100, -60), new CurvePoint(100, 0)),
        List.of(MixTarget.even(surface, 1)),
        "",
        List.of(),
        0);
  }

  /** Typed with the brakes in, it is what it was wherever the stick stands when the page asks. */
  @Test
  void whatWasTypedRemembersItsMomentAndNothingElseOfTheProgramChangesIt() {
    Setup rig = bare(Rigs.plain()).change().mixes(List.of(brakes("left"))).done();
    String phase = rig.phases().get(0).id();
    Moment in = BENCH.withThrottle(1, true);
    Setup made = rig;
    for (Kind kind : List.of(Kind.PRESET, Kind.RATE_ROLL, Kind.RATE_PITCH)) {
      String subject = kind == Kind.PRESET ? phase : "";
      made =
          MovementSolver.made(made, in, wish(kind, subject, "left", kind == Kind.PRESET ? 2 : 6));
    }
    assertThat(made.notebook().typed())
        .hasSize(3)
        .allSatisfy(one -> assertThat(one.stood().throttle()).isEqualTo(1));
    assertThat(MovementSolver.became(SignalPath.of(made))).isEmpty();
    // Another mix, another phase's numbers, other trims: not its geometry.
    Mix along =
        new Mix(
            "along",
            "Along",
            "",
            MixSource.STICK,
            "roll",
            20,
            20,
            0,
            List.of(),
            List.of(MixTarget.even("left", 1)),
            "",
            List.of(),
            0);
    Setup more = made.change().mixes(List.of(brakes("left"), along)).done();
    assertThat(MovementSolver.became(SignalPath.of(more.withTrims(new Trims(9, 9, 9))))).isEmpty();
    // A longer arm: each is now a fifth more, about, and is set again where it was typed.
    Surface left = made.surface("left").orElseThrow();
    Linkage linkage = left.rod().linkage();
    Setup drilled =
        made.withSurface(
            left.withRod(left.rod().with(linkage.withArm(linkage.armRadiusMm() * 1.2))));
    List<MovementSolver.Became> became = MovementSolver.became(SignalPath.of(drilled));
    assertThat(became).hasSizeGreaterThanOrEqualTo(2);
    for (MovementSolver.Became one : became) {
      double part = one.now() / one.typed().value();
      assertThat(part).isBetween(1.1, 1.4);
      assertThat(one.moment().throttle()).isEqualTo(1);
    }
  }

  @Test
  void aPairFollowsEachByItsOwnLinkage() {
    Setup rig = bare(Rigs.random(4));
    Setup paired =
        rig.withSurfaces(
            rig.surfaces().stream()
                .map(
                    one ->
                        one.id().equals("left")
                            ? one.inPairWith("right")
                            : one.id().equals("right") ? one.inPairWith("left") : one)
                .toList());
    String phase = paired.phases().get(0).id();
    WantedMovement wish =
        new WantedMovement(
            Kind.PRESET, phase, "left", true, 2, false, Unit.MILLIMETRES, true, false);
    Setup made = MovementSolver.made(paired, BENCH, wish);
    assertThat(asPair(made, phase)).as("typed once").containsOnly(true);
    Setup apart =
        MovementSolver.made(
            made,
            BENCH,
            new WantedMovement(
                Kind.PRESET, phase, "left", true, 3, false, Unit.MILLIMETRES, false, false));
    assertThat(asPair(apart, phase)).as("taken apart").containsOnly(false);
    PlainModel plain = new PlainModel(made);
    for (String side : List.of("left", "right")) {
      Surface surface = made.surface(side).orElseThrow();
      assertThat(plain.travel(surface, BENCH, 0)).as(side).isCloseTo(2, within(RULER_MM));
    }
  }

  private static List<Boolean> asPair(Setup setup, String phase) {
    return PhasePositions.of(SignalPath.of(setup), BENCH).stream()
        .filter(one -> one.phase().equals(phase))
        .flatMap(one -> one.surfaces().stream())
        .filter(one -> !one.surface().equals("slave"))
        .map(PhasePositions.Stand::presetAsPair)
        .toList();
  }

  @Test
  void weightsOnEachSideOfEachTarget() {
    Setup rig = Rigs.plain();
    Mix mix =
        Rigs.mix("canards", MixSource.STICK, "pitch", "left", 0, List.of())
            .moving(List.of(MixTarget.even("left", 1), MixTarget.even("right", 1)));
    Setup setup = rig.change().mixes(List.of(mix)).done();
    double[][] asked = {{30, 35}, {38, 39}};
    String[] sides = {"left", "right"};
    for (int i = 0; i < 2; i++) {
      for (boolean plus : new boolean[] {true, false}) {
        double percent = plus ? asked[i][0] : -asked[i][1];
        setup =
            MovementSolver.made(
                setup,
                BENCH,
                new WantedMovement(
                    Kind.MIX,
                    "canards",
                    sides[i],
                    plus,
                    percent,
                    false,
                    Unit.PERCENT,
                    false,
                    false));
      }
    }
    MixEffect reach = reach(setup, "canards");
    for (MixEffect.End end : reach.ends()) {
      for (int i = 0; i < 2; i++) {
        double expected = end.plusSide() ? asked[i][0] : -asked[i][1];
        assertThat(end.movements().get(i).addsPercent()).isCloseTo(expected, within(1e-9));
      }
    }
  }
}
