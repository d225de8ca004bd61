package hightally.core.edit;

import static hightally.core.English.say;
import static hightally.core.English.saying;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hightally.core.DemoModels;
import hightally.core.English;
import hightally.core.airframe.Shares;
import hightally.core.airframe.Surface;
import hightally.core.airframe.SurfaceRole;
import hightally.core.edit.MixGallery.Recipe;
import hightally.core.edit.MixGallery.RecipeAsked;
import hightally.core.edit.MixGallery.RecipeCard;
import hightally.core.program.CurvePoint;
import hightally.core.program.Differential;
import hightally.core.program.Mix;
import hightally.core.program.MixSource;
import hightally.core.program.Phase;
import hightally.core.program.Power;
import hightally.core.program.Preset;
import hightally.core.program.Response;
import hightally.core.program.ThrottleCurve;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.InvalidInputException;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import org.junit.jupiter.api.Test;

/** Every recipe, by what it adds to the channels of a demo model; weights are kept to 0.1 %. */
class MixGalleryTest {
  private static final double ROUNDED = 0.16;
  private static final Moment REST = Moment.centred(Trims.ZERO).withThrottle(1, true);

  private final Setup glider = bare(DemoModels.read("larkmere"));
  private final Setup plainFlaps = withoutRoll(glider);
  private final Setup twin = bare(DemoModels.read("brindle"));
  private final Setup biplane = bare(DemoModels.read("quillon"));

  /** Without mixes of its own, in its base phase. */
  private static Setup bare(Setup setup) {
    return setup.change().mixes(List.of()).done();
  }

  /** Its flaps take no part in rolling yet. */
  private static Setup withoutRoll(Setup setup) {
    Setup plain = setup;
    for (Surface one : setup.surfaces()) {
      plain = flap(one) ? plain.withSurface(one.withShares(new Shares(0, 0, 0, List.of()))) : plain;
    }
    return plain;
  }

  @Test
  void aileronToRudderTurnsIntoTheRoll() {
    Setup built = build(biplane, Recipe.AILERON_TO_RUDDER, 25);
    adds(biplane, built, REST.with(Control.ROLL, 1), one -> 25 * one.shares().yaw());
    adds(biplane, built, REST.with(Control.ROLL, -1), one -> -25 * one.shares().yaw());
    adds(biplane, built, REST.with(Control.PITCH, 1), one -> 0);
  }

  @Test
  void elevatorToFlapLowersTheFlapsWithUpElevatorAndHalfAsMuchTheOtherWay() {
    Setup built = build(glider, Recipe.ELEVATOR_TO_FLAP, 20);
    adds(glider, built, REST.with(Control.PITCH, 1), one -> flap(one) ? -20 : 0);
    adds(glider, built, REST.with(Control.PITCH, -1), one -> flap(one) ? 10 : 0);
  }

  @Test
  void elevatorToFlapReachesThePresetOfThePhaseThatIsNamed() {
    Phase phase =
        glider.phases().stream()
            .filter(one -> one.presetPercent("flap-left") < 0)
            .findFirst()
            .orElseThrow();
    double preset = phase.presetPercent("flap-left");
    Setup built =
        MixGallery.build(
            new RecipeAsked(glider, Recipe.ELEVATOR_TO_FLAP, 3, phase.id(), "", List.of(), ""),
            English.NAMES);
    adds(glider, built, REST.with(Control.PITCH, 1), one -> flap(one) ? preset : 0);
  }

  /** Two flaps of other presets: each lands on its own with up elevator, and not with down. */
  @Test
  void aSnapFlapLandsOnTheNextPhasesPositionOneWayOnly() {
    Setup presets =
        glider
            .change()
            .phases(
                glider.phases().stream()
                    .map(one -> one.withPresets(apart(one.id().equals("speed"))))
                    .toList())
            .done();
    RecipeAsked asked =
        new RecipeAsked(presets, Recipe.ELEVATOR_TO_FLAP, 3, "thermal-1", "", List.of("speed"), "");
    SignalPath path = SignalPath.of(MixGallery.build(asked, English.NAMES));
    int speed = presets.phases().indexOf(presets.phase("speed").orElseThrow());
    int thermal = presets.phases().indexOf(presets.phase("thermal-1").orElseThrow());
    for (String flap : List.of("flap-left", "flap-right")) {
      int channel = path.channelBehind(path.indexOf(flap));
      double rest = path.evaluate(REST, speed).commandPercent()[channel];
      double there = path.evaluate(REST, thermal).commandPercent()[channel];
      double up = path.evaluate(REST.with(Control.PITCH, 1), speed).commandPercent()[channel];
      double down = path.evaluate(REST.with(Control.PITCH, -1), speed).commandPercent()[channel];
      assertThat(up).isCloseTo(there, within(0.1));
      assertThat(down - rest).isCloseTo((rest - there) / 2, within(0.1));
    }
    assertThatThrownBy(
            () ->
                MixGallery.build(
                    new RecipeAsked(
                        presets, Recipe.ELEVATOR_TO_FLAP, 3, "speed", "", List.of("thermal-1"), ""),
                    English.NAMES))
        .isInstanceOf(InvalidInputException.class);
  }

  private static List<Preset> apart(boolean speed) {
    return List.of(
        new Preset("flap-left", speed ? 4 : -10), new Preset("flap-right", speed ? 2 : -4));
  }

  @Test
  void brakesAndAMotorDoNotShareAStick() {
    Setup motor = DemoModels.read("quillon");
    for (Setup model : List.of(motor, twin, glider)) {
      boolean sharing =
          !model.airframe().motors().isEmpty() && model.power().throttleInput().isEmpty();
      MixGallery.cards(model).stream()
          .filter(one -> one.recipe() == Recipe.BRAKES_ON_STICK)
          .forEach(one -> assertThat(one.note().isEmpty()).isEqualTo(!sharing));
    }
    assertThatThrownBy(() -> build(twin, Recipe.BRAKES_ON_STICK, 60))
        .isInstanceOf(InvalidInputException.class);
    // Where a phase's curve stays at the stop the stick is free.
    String phase = twin.phases().get(0).id();
    List<ThrottleCurve> curves = new ArrayList<>(twin.power().curves());
    curves.add(
        0,
        new ThrottleCurve(
            List.of(phase),
            List.of(
                new CurvePoint(-100, twin.power().stopPercent()),
                new CurvePoint(100, twin.power().stopPercent()))));
    Setup arranged = twin.change().power(twin.power().withCurves(curves)).done();
    Setup built =
        MixGallery.build(
            new RecipeAsked(arranged, Recipe.BRAKES_ON_STICK, 60, "", "", List.of(phase), ""),
            English.NAMES);
    assertThat(built.mixes()).hasSize(1);
  }

  /** A phase in which the cut holds the motor leaves the stick free as well. */
  @Test
  void whereTheCutHoldsTheMotorTheStickMayBrake() {
    Phase phase = twin.phases().get(0);
    Power was = twin.power();
    Power cut =
        new Power(
            was.throttleInput(),
            was.twoWay(),
            was.curves(),
            phase.when(),
            was.cutPercent(),
            was.armWhen(),
            was.releaseWithStickBack(),
            was.failsafe(),
            was.throttleWarning(),
            was.startPositions(),
            was.timers(),
            was.alarms(),
            was.stopMicroseconds());
    Setup held = twin.change().power(cut).done();
    RecipeAsked there =
        new RecipeAsked(held, Recipe.BRAKES_ON_STICK, 60, "", "", List.of(phase.id()), "");
    assertThat(MixGallery.build(there, English.NAMES).mixes()).hasSize(1);
    String other = twin.basePhase().id();
    RecipeAsked elsewhere =
        new RecipeAsked(held, Recipe.BRAKES_ON_STICK, 60, "", "", List.of(other), "");
    assertThatThrownBy(() -> MixGallery.build(elsewhere, English.NAMES))
        .isInstanceOf(InvalidInputException.class);
  }

  @Test
  void withoutFlapsNothingBrakesByFlaps() {
    Set<Recipe> braking = EnumSet.of(Recipe.BRAKES_ON_STICK, Recipe.BRAKES_ON_LEVER);
    assertThat(MixGallery.cards(biplane))
        .extracting(RecipeCard::recipe)
        .doesNotContainAnyElementsOf(braking);
  }

  @Test
  void whatIsThereAlreadyIsSaidAndNoShareIsDoubled() {
    Setup once = build(plainFlaps, Recipe.AILERON_TO_FLAP, 40);
    assertThat(MixGallery.cards(once))
        .filteredOn(one -> one.recipe() == Recipe.AILERON_TO_FLAP)
        .singleElement()
        .satisfies(one -> assertThat(one.note().isEmpty()).isFalse());
    assertThat(glider.surface("flap-left").orElseThrow().shares().roll()).isNotZero();
    assertThat(MixGallery.cards(glider))
        .extracting(RecipeCard::recipe)
        .doesNotContain(Recipe.AILERON_TO_FLAP);
  }

  @Test
  void brakesOnTheStickAreFullAtItsBackAndGoneAtNineTenths() {
    Setup built = build(glider, Recipe.BRAKES_ON_STICK, 60);
    adds(glider, built, REST.withThrottle(0, true), one -> brake(one, 60));
    adds(glider, built, REST.withThrottle(0.9, true), one -> 0);
    adds(glider, built, REST.withThrottle(0.45, true), one -> brake(one, 30));
  }

  @Test
  void brakesOnALeverAreInProportion() {
    String lever = lever(glider);
    Setup built =
        MixGallery.build(
            new RecipeAsked(glider, Recipe.BRAKES_ON_LEVER, 80, "", lever, List.of(), ""),
            English.NAMES);
    int index = glider.transmitter().inputIndex(lever);
    adds(glider, built, REST.withInput(index, 1), one -> brake(one, 80));
    adds(glider, built, REST.withInput(index, 0.25), one -> brake(one, 20));
  }

  @Test
  void aBrakeLeversElevatorComesMostlyEarly() {
    String lever = lever(glider);
    Setup built =
        MixGallery.build(
            new RecipeAsked(glider, Recipe.LEVER_TO_ELEVATOR, -12, "", lever, List.of(), ""),
            English.NAMES);
    int index = glider.transmitter().inputIndex(lever);
    adds(glider, built, REST.withInput(index, 1), one -> -12 * one.shares().pitch());
    adds(glider, built, REST.withInput(index, 0.5), one -> -8.4 * one.shares().pitch());
  }

  @Test
  void brakesOnTheStickAreTakenOutByTheElevator() {
    Setup built = build(glider, Recipe.BRAKES_TO_ELEVATOR, -12);
    adds(glider, built, REST.withThrottle(0, true), one -> -12 * one.shares().pitch());
    adds(glider, built, REST.withThrottle(0.95, true), one -> 0);
  }

  @Test
  void powerTakesALittleDownElevatorAboveHalf() {
    Setup built = build(biplane, Recipe.THROTTLE_TO_ELEVATOR, -4);
    adds(biplane, built, REST, one -> -4 * one.shares().pitch());
    adds(biplane, built, REST.withThrottle(0.75, true), one -> -2 * one.shares().pitch());
    adds(biplane, built, REST.withThrottle(0.5, true), one -> 0);
  }

  @Test
  void rudderToElevatorIsTheSameForBothRudders() {
    Setup built = build(biplane, Recipe.RUDDER_TO_ELEVATOR, 3);
    adds(biplane, built, REST.with(Control.YAW, 1), one -> 3 * one.shares().pitch());
    adds(biplane, built, REST.with(Control.YAW, -1), one -> 3 * one.shares().pitch());
  }

  @Test
  void rudderToAileronRollsWithTheRudderWherePlusIsAsked() {
    Setup built = build(biplane, Recipe.RUDDER_TO_AILERON, -4);
    adds(biplane, built, REST.with(Control.YAW, 1), one -> -4 * one.shares().roll());
    adds(biplane, built, REST.with(Control.YAW, -1), one -> 4 * one.shares().roll());
  }

  @Test
  void rudderToMotorsGivesTheOuterOneMore() {
    Setup built = build(twin, Recipe.RUDDER_TO_MOTORS, 30);
    Mix mix = built.mixes().get(0);
    assertThat(mix.targets()).hasSize(2);
    mix.targets()
        .forEach(
            target -> {
              double right =
                  twin.airframe().motors().stream()
                      .filter(motor -> motor.id().equals(target.target()))
                      .findFirst()
                      .orElseThrow()
                      .rightMm();
              assertThat(target.factor()).isEqualTo(right < 0 ? 1 : -1);
            });
    double full = twin.feel().yaw().ratePositivePercent();
    assertThat(mix.weightPlusPercent()).isCloseTo(100 * 30 / full, within(0.05));
  }

  @Test
  void everyCardThatIsOfferedHasAReasonAndAStartThatCanBeBuilt() {
    Set<Recipe> offered = EnumSet.noneOf(Recipe.class);
    for (Setup base : List.of(twin, glider, plainFlaps, biplane, bare(vectored()))) {
      for (MixGallery.RecipeCard card : MixGallery.cards(base)) {
        assertThat(say(card.reason())).as(say(card.title())).isNotBlank();
        RecipeAsked asked =
            new RecipeAsked(base, card.recipe(), card.start(), "", lever(base), List.of(), "");
        offered.add(card.recipe());
        if (!card.note().isEmpty()) {
          // What must be arranged first is said, and refused until it is.
          assertThatThrownBy(() -> MixGallery.build(asked, English.NAMES))
              .isInstanceOf(InvalidInputException.class);
          continue;
        }
        Setup built = MixGallery.build(asked, English.NAMES);
        assertThat(built.mixes()).hasSize(1);
        assertThat(built.mixes().get(0).reason()).isEqualTo(say(card.reason()));
      }
    }
    assertThat(offered).containsExactlyInAnyOrder(Recipe.values());
  }

  /** The biplane with a pair of canards and two nozzles instead of its upper ailerons and tail. */
  private Setup vectored() {
    Setup as = role(biplane, "upper-aileron-left", SurfaceRole.CANARD);
    as = role(as, "upper-aileron-right", SurfaceRole.CANARD);
    as = role(as, "rudder", SurfaceRole.NOZZLE);
    return role(as, "elevator", SurfaceRole.NOZZLE);
  }

  private static Setup role(Setup setup, String surface, SurfaceRole role) {
    Surface one = setup.surface(surface).orElseThrow();
    return setup.withSurface(
        new Surface(
            one.id(),
            one.name(),
            one.side(),
            one.sideways(),
            one.chordMm(),
            one.place(),
            one.shares(),
            one.rod(),
            role,
            one.pair(),
            one.hornHolesMm()));
  }

  @Test
  void onlyThatForWhichTheModelHasThePartsIsOffered() {
    assertThat(MixGallery.cards(biplane))
        .extracting(MixGallery.RecipeCard::recipe)
        .contains(Recipe.RUDDER_TO_ELEVATOR, Recipe.LOW_THROTTLE_TO_ELEVATOR)
        .doesNotContain(
            Recipe.RUDDER_TO_MOTORS,
            Recipe.AILERON_TO_FLAP,
            Recipe.ELEVATOR_TO_CANARDS,
            Recipe.ELEVATOR_TO_NOZZLES);
  }

  @Test
  void flapsRollAlongInTheAileronsRatio() {
    Phase base = plainFlaps.basePhase();
    double half = 50;
    Setup differential =
        plainFlaps
            .change()
            .phases(
                plainFlaps.phases().stream()
                    .map(
                        one ->
                            one.id().equals(base.id())
                                ? one.withDifferential(
                                    List.of(
                                        new Differential("aileron-left", half),
                                        new Differential("aileron-right", half)))
                                : one)
                    .toList())
            .done();
    Setup built = build(differential, Recipe.AILERON_TO_FLAP, 40);
    adds(
        differential,
        built,
        REST.with(Control.ROLL, 1),
        one -> one.id().equals("flap-right") ? 40 : one.id().equals("flap-left") ? -20 : 0);
    adds(
        differential,
        built,
        REST.with(Control.ROLL, -1),
        one -> one.id().equals("flap-right") ? -20 : one.id().equals("flap-left") ? 40 : 0);
  }

  @Test
  void aClosedThrottleHelpsOnlyInItsLastClicks() {
    Setup built = build(biplane, Recipe.LOW_THROTTLE_TO_ELEVATOR, -2);
    adds(biplane, built, REST.withThrottle(0, true), one -> -2 * one.shares().pitch());
    adds(biplane, built, REST.withThrottle(0.1, true), one -> 0);
    adds(biplane, built, REST, one -> 0);
  }

  @Test
  void aSecondOfTheSameGetsAnIdOfItsOwnAndTheRestIsLeftAlone() {
    Setup once = build(biplane, Recipe.RUDDER_TO_ELEVATOR, 3);
    Setup twice =
        MixGallery.build(
            new RecipeAsked(
                once, Recipe.RUDDER_TO_ELEVATOR, 2, "", "", List.of(biplane.basePhase().id()), ""),
            English.NAMES);
    assertThat(twice.mixes()).extracting(Mix::id).doesNotHaveDuplicates();
    assertThat(twice.mixes().get(0)).isEqualTo(once.mixes().get(0));
    assertThat(twice.mixes().get(1).phases()).containsExactly(biplane.basePhase().id());
    assertThat(twice.change().mixes(List.of()).done()).isEqualTo(biplane);
  }

  @Test
  void whatTheModelHasNotIsRefusedWithWords() {
    assertThatThrownBy(() -> build(biplane, Recipe.RUDDER_TO_MOTORS, 30))
        .isInstanceOf(InvalidInputException.class)
        .satisfies(saying("has the surfaces or motors for"));
    assertThatThrownBy(() -> build(glider, Recipe.BRAKES_ON_LEVER, 30))
        .satisfies(saying("the id of a lever"));
    assertThatThrownBy(() -> build(glider, Recipe.BRAKES_ON_STICK, 151))
        .satisfies(saying("−150 to 150 %"));
  }

  private static Setup build(Setup setup, Recipe recipe, double percent) {
    return MixGallery.build(
        new RecipeAsked(setup, recipe, percent, "", "", List.of(), ""), English.NAMES);
  }

  private static boolean flap(Surface one) {
    return one.id().startsWith("flap");
  }

  private static double brake(Surface one, double percent) {
    return flap(one) ? -percent : one.id().startsWith("aileron") ? 0.3 * percent : 0;
  }

  private static String lever(Setup setup) {
    return setup.transmitter().inputs().stream()
        .filter(one -> one.positions() == 0)
        .findFirst()
        .map(one -> one.id())
        .orElse("");
  }

  /** What the mix adds to every surface's command at a moment, in the base phase. */
  private static void adds(
      Setup before, Setup after, Moment moment, ToDoubleFunction<Surface> expected) {
    SignalPath one = SignalPath.of(before);
    SignalPath other = SignalPath.of(after);
    double[] was = one.evaluateBase(moment).commandPercent();
    double[] is = other.evaluateBase(moment).commandPercent();
    for (int i = 0; i < before.channels().size(); i++) {
      String carries = before.channels().get(i).carries();
      double wanted = before.surface(carries).stream().mapToDouble(expected).findFirst().orElse(0);
      assertThat(is[i] - was[i]).as(carries).isCloseTo(wanted, within(ROUNDED));
    }
    assertThat(Arrays.stream(is).allMatch(Double::isFinite)).isTrue();
  }

  /** A rate of 10 % leaves too little for 30 %: by hand, 30 of the stick itself and not 300. */
  @Test
  void whereTheRateLeavesTooLittleTheStickItselfIsTaken() {
    Setup little =
        biplane.change().feel(biplane.feel().with(Control.YAW, Response.even(10, 0))).done();
    Mix mix = last(build(little, Recipe.RUDDER_TO_AILERON, 30));
    assertThat(mix.source()).isEqualTo(MixSource.STICK);
    assertThat(mix.weightPlusPercent()).isEqualTo(30);
    Setup none =
        biplane.change().feel(biplane.feel().with(Control.YAW, Response.even(0, 0))).done();
    assertThat(last(build(none, Recipe.RUDDER_TO_ELEVATOR, 3)).weightPlusPercent()).isEqualTo(3);
  }

  private static Mix last(Setup setup) {
    return setup.mixes().get(setup.mixes().size() - 1);
  }
}
