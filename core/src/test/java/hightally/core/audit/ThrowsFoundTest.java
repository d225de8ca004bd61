package hightally.core.audit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hightally.core.DemoModels;
import hightally.core.Rigs;
import hightally.core.airframe.LeverShare;
import hightally.core.airframe.Servo;
import hightally.core.airframe.Shares;
import hightally.core.airframe.Surface;
import hightally.core.channel.Between;
import hightally.core.channel.BetweenKind;
import hightally.core.channel.Transmitter;
import hightally.core.channel.Wiring;
import hightally.core.edit.Edit;
import hightally.core.edit.Edits;
import hightally.core.edit.Figure;
import hightally.core.linkage.ArmSeating;
import hightally.core.plain.PlainModel;
import hightally.core.program.CurvePoint;
import hightally.core.program.Feel;
import hightally.core.program.FeelSet;
import hightally.core.program.Mix;
import hightally.core.program.MixSource;
import hightally.core.program.MixTarget;
import hightally.core.program.Response;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.InvalidInputException;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;

/** What is taken from the search is what the bench then measures, by a plain second way. */
class ThrowsFoundTest {
  private static final double MEETS = 0.05 + 1e-6;

  private static double between(Random random, double low, double high) {
    return low + random.nextDouble() * (high - low);
  }

  /** A rig with everything on the way from stick to edge crooked. */
  private static Setup rig(Random random, double rate, double share) {
    Setup rig = Rigs.random(random.nextLong());
    Response some = Response.even(rate * 0.6, between(random, 0, 40));
    Response most = Response.even(rate, between(random, 0, 40));
    List<FeelSet> sets =
        List.of(
            new FeelSet(
                "most", "Most", "", List.of(), true, true, true, new Feel(most, most, most)));
    List<Servo> servos = new ArrayList<>();
    for (Servo servo : rig.servos()) {
      servos.add(servo.seated(servo.pullsOnIncrease(), between(random, -8, 8)));
    }
    List<Surface> surfaces = new ArrayList<>();
    for (Surface surface : rig.surfaces()) {
      Shares shares = new Shares(surface.shares().roll() * 2 * share, 0, 0, List.of());
      surfaces.add(surface.withShares(shares).withRod(surface.rod().changedBy(adjusted(random))));
    }
    Wiring wiring = rig.wiring();
    boolean limited = random.nextInt(3) == 0;
    Between box =
        new Between(
            "Box",
            BetweenKind.values()[0],
            List.of(1, 2),
            between(random, 60, 120),
            true,
            !limited);
    return rig.change()
        .feel(new Feel(some, some, some))
        .feelSets(sets)
        .servos(servos)
        .surfaces(surfaces)
        .wiring(new Wiring(wiring.receiver(), wiring.leads(), List.of(box)))
        .done();
  }

  private static double adjusted(Random random) {
    return between(random, -0.8, 0.8);
  }

  /** Brakes on the throttle stick, out at its back: holes are sought from where they are in. */
  @Example
  void brakesOnTheThrottleStickDoNotHideTheHoles() {
    Mix brakes =
        new Mix(
            "brakes",
            "Brakes",
            "",
            MixSource.THROTTLE,
            "",
            0,
            0,
            0,
            List.of(new CurvePoint(-100, -120), new CurvePoint(100, 0)),
            List.of(MixTarget.even("right", 1), MixTarget.even("left", 1)),
            "",
            List.of(),
            0);
    Setup rig = Rigs.plain().change().mixes(List.of(brakes)).done();
    List<ThrowSearch.ThrowAnswer> found = ThrowSearch.answers(question(rig, 9, 9));
    assertThat(found).isNotEmpty();
    assertThat(found.get(0).plusMm()).isCloseTo(9, within(MEETS));
    assertThat(found.get(0).minusMm()).isCloseTo(9, within(MEETS));
  }

  /** No answer that the rules would ground stands before one they would not. */
  @Property(tries = 20)
  void whatTheRulesGroundIsNoAnswerWhileThereIsAnother(@ForAll long seed) {
    Random random = new Random(seed);
    Setup rig = Rigs.random(seed);
    List<ThrowSearch.ThrowAnswer> found =
        ThrowSearch.answers(question(rig, between(random, 5, 16), between(random, 5, 16)));
    List<Boolean> grounds =
        found.stream()
            .map(one -> !grounding(rig).containsAll(grounding(Edits.made(rig, one.mend().edits()))))
            .toList();
    assertThat(grounds.stream().distinct().count()).isLessThanOrEqualTo(1);
  }

  private static List<String> grounding(Setup setup) {
    return Audit.of(SignalPath.of(setup)).stream()
        .filter(one -> one.severity() == Finding.Severity.GROUNDS)
        .map(one -> one.rule() + one.surface())
        .toList();
  }

  private static ThrowSearch.ThrowQuestion question(Setup rig, double plus, double minus) {
    return new ThrowSearch.ThrowQuestion(
        rig,
        "right",
        plus,
        minus,
        List.of(8.0, 10.0, 12.0, 14.0),
        List.of(12.0, 15.0, 18.0, 22.0),
        new ArmSeating(25, 4),
        false);
  }

  @Property(tries = 60)
  void aThrowTakenIsMetOrTheAnswerSaysWhatStandsInTheWay(@ForAll long seed) {
    Random random = new Random(seed);
    Setup rig = rig(random, between(random, 40, 120), between(random, 0.3, 1));
    double plus = between(random, 3, 22);
    double minus = between(random, 3, 22);
    for (ThrowSearch.ThrowAnswer answer : ThrowSearch.answers(question(rig, plus, minus))) {
      Setup taken = Edits.made(rig, answer.mend().edits());
      double up = measured(taken, 1);
      double down = -measured(taken, -1);
      assertThat(answer.plusMm()).isCloseTo(up, within(1e-3));
      assertThat(answer.minusMm()).isCloseTo(down, within(1e-3));
      boolean meets = Math.abs(up - plus) <= MEETS && Math.abs(down - minus) <= MEETS;
      assertThat(meets).as(() -> answer + "").isEqualTo(answer.inTheWay().isEmpty());
    }
  }

  /** From rest to where full roll, either way, takes the right elevon furthest up or down. */
  private static double measured(Setup setup, int way) {
    PlainModel plain = new PlainModel(setup);
    Surface surface = setup.surface("right").orElseThrow();
    Moment rest = Moment.centred(Trims.ZERO);
    double still = plain.travel(surface, rest, 0);
    double one = plain.travel(surface, rest.with(Control.ROLL, 1), 0) - still;
    double other = plain.travel(surface, rest.with(Control.ROLL, -1), 0) - still;
    return way > 0 ? Math.max(one, other) : Math.min(one, other);
  }

  /** A flap that only a lever moves is commanded to one way; the lever does the rest. */
  @Property(tries = 20)
  void aLeverCarriesASurfaceToItsWish(@ForAll long seed) {
    Random random = new Random(seed);
    Setup rig = rig(random, 80, 1);
    List<Surface> surfaces = new ArrayList<>();
    for (Surface surface : rig.surfaces()) {
      LeverShare lever = new LeverShare("lever", surface.id().equals("right") ? -1 : 0.5);
      surfaces.add(surface.withShares(new Shares(0, 0, 0, List.of(lever))));
    }
    Setup flap = rig.change().surfaces(surfaces).done();
    PlainModel before = new PlainModel(flap);
    Surface right = flap.surface("right").orElseThrow();
    Moment rest = Moment.centred(Trims.ZERO);
    boolean up = before.travel(right, rest.withInput(0, 1), 0) > before.travel(right, rest, 0);
    double wanted = between(random, 4, 18);
    for (ThrowSearch.ThrowAnswer answer : ThrowSearch.answers(question(flap, wanted, wanted))) {
      Setup taken = Edits.made(flap, answer.mend().edits());
      PlainModel plain = new PlainModel(taken);
      Surface surface = taken.surface("right").orElseThrow();
      double moved =
          plain.travel(surface, rest.withInput(0, 1), 0) - plain.travel(surface, rest, 0);
      assertThat(answer.inTheWay().isEmpty())
          .isEqualTo(Math.abs(Math.abs(moved) - wanted) <= MEETS);
      assertThat(moved > 0).isEqualTo(up);
    }
  }

  /** Shares of one, full stick at 80 %: what an endpoint in reach gives is met by some answer. */
  @Property(tries = 30, seed = "20261126")
  void aThrowThatSomeEndpointsGiveIsMetAndTheAnswersGetDearer(
      @ForAll @LongRange(min = 0, max = 100_000) long seed) {
    Random random = new Random(seed);
    Setup rig = rig(random, 80, 1);
    Setup reached =
        Edits.made(
            rig,
            List.of(
                Edit.of(Figure.ARM_RADIUS, "right", 10),
                Edit.of(Figure.HORN_RADIUS, "right", 18),
                Edit.of(Figure.ENDPOINT_HIGH, 2, 60 + random.nextInt(30)),
                Edit.of(Figure.ENDPOINT_LOW, 2, 60 + random.nextInt(30))));
    double up = measured(reached, 1);
    double down = -measured(reached, -1);
    ThrowSearch.ThrowQuestion question =
        new ThrowSearch.ThrowQuestion(
            rig, "right", up, down, List.of(10.0), List.of(18.0), ONE_SEAT, false);
    List<ThrowSearch.ThrowAnswer> answers = ThrowSearch.answers(question);
    assertThat(answers).isNotEmpty().hasSizeLessThanOrEqualTo(5);
    Setup taken = Edits.made(rig, answers.get(0).mend().edits());
    if (answers.get(0).inTheWay().isEmpty()) {
      assertThat(measured(taken, 1)).isCloseTo(up, within(MEETS));
      assertThat(-measured(taken, -1)).isCloseTo(down, within(MEETS));
      assertThat(answers).allMatch(one -> one.inTheWay().isEmpty());
    }
    boolean opposite = rig.surface("right").orElseThrow().rod().linkage().opposite();
    assertThat(answers)
        .allMatch(one -> one.choice().linkage().opposite() == opposite)
        .allMatch(one -> taken.notebook().goals().size() == 1);
    assertThat(taken.notebook().goals().get(0).plusMm()).isCloseTo(up, within(0.0051));
    assertThat(taken.notebook().goals().get(0).minusMm()).isCloseTo(down, within(0.0051));
  }

  private static final ArmSeating ONE_SEAT = new ArmSeating(25, 4);

  /** A tidy rig: an arm of 12 mm turns 45° for 100 %, 36° at full roll with a share of 1. */
  private static Setup rolling() {
    Setup plain = Rigs.plain();
    Surface right = plain.surface("right").orElseThrow();
    return plain.withSurface(right.withShares(new Shares(1, 0, 0, List.of())));
  }

  private static String inTheWay(Setup setup, double wanted) {
    return ThrowEnds.of(setup, setup.surfaces().size() - 1, wanted, wanted).inTheWay().code();
  }

  @Example
  void whatStandsInTheWayIsNamed() {
    Setup rig = rolling();
    // 50 · sin 36° = 29.4 mm at 100 %: 20 mm are within reach, whatever is not says why.
    assertThat(inTheWay(rig, 20)).isEmpty();
    ThrowEnds.Found met = ThrowEnds.of(rig, 2, 20, 18);
    assertThat(met.plusMm()).isCloseTo(20, within(0.05));
    assertThat(met.minusMm()).isCloseTo(18, within(0.05));
    // 1500 + 5 · 0.8 · e past 2100 from e = 150 %, 54° of arm, 40.5 mm.
    assertThat(inTheWay(rig, 42)).isEqualTo("throws.pulseLimit");
    assertThat(inTheWay(on(rig, 120), 42)).isEqualTo("throws.endpointLimit");
    List<Servo> servos = new ArrayList<>(rig.servos());
    Servo short30 = servos.get(1);
    servos.set(
        1,
        new Servo(
            short30.id(),
            short30.name(),
            2,
            0.09,
            1500,
            30,
            true,
            0.5,
            20,
            ONE_SEAT,
            List.of(),
            250));
    // 50 · sin 30° = 25 mm is where the servo stops.
    assertThat(inTheWay(rig.change().servos(servos).done(), 27)).isEqualTo("throws.servoStop");
    Response wild = Response.even(150, 0);
    Surface right = rig.surface("right").orElseThrow();
    Setup beyond =
        rig.change()
            .feel(new Feel(wild, wild, wild))
            .done()
            .withSurface(right.withShares(new Shares(1.2, 0, 0, List.of())));
    assertThat(inTheWay(beyond, 60)).isEqualTo("throws.pulseLimit");
    assertThat(inTheWay(on(beyond, 70), 60)).isEqualTo("throws.commandLimit");
  }

  /** A transmitter with room for every pulse, and a limit of its endpoints. */
  private static Setup on(Setup rig, double endpointLimit) {
    Transmitter radio = rig.transmitter();
    return rig.change()
        .transmitter(
            new Transmitter(
                radio.name(),
                2,
                radio.subTrimMode(),
                1500,
                500,
                0.5,
                60,
                150,
                500,
                2500,
                1,
                12,
                radio.channelOrder(),
                300,
                endpointLimit,
                radio.inputs(),
                List.of()))
        .done();
  }

  @Example
  void aQuestionBeginsWithTheHolesThatAreThereOrSomeAroundTheOneInUse() {
    ThrowSearch.ThrowStart bare = ThrowSearch.start(Rigs.plain(), "right");
    assertThat(bare.plusMm()).isNull();
    assertThat(bare.armHolesMm()).containsExactly(8.0, 10.0, 12.0, 14.0, 16.0);
    assertThat(bare.hornHolesMm()).containsExactly(8.0, 10.0, 12.0, 14.0, 16.0);
    assertThat(bare.seating()).isEqualTo(new ArmSeating(25, 4));
    Setup small = Edits.made(Rigs.plain(), List.of(Edit.of(Figure.ARM_RADIUS, "right", 6)));
    assertThat(ThrowSearch.start(small, "right").armHolesMm())
        .as("no hole further in than 4 mm")
        .containsExactly(4.0, 6.0, 8.0, 10.0);
    Setup wished =
        Edits.made(
            Rigs.plain(),
            List.of(
                Edit.of(Figure.WISHED_PLUS, "right", 12),
                Edit.of(Figure.WISHED_MINUS, "right", 9)));
    assertThat(ThrowSearch.start(wished, "right").plusMm()).isEqualTo(12);
    assertThat(ThrowSearch.start(wished, "right").minusMm()).isEqualTo(9);
    assertThat(ThrowSearch.start(wished, "left").plusMm()).isNull();
    Setup demo = DemoModels.read("brindle");
    assertThat(ThrowSearch.start(demo, "aileron-left").hornHolesMm())
        .containsExactly(12.0, 14.0, 16.0, 18.0);
  }

  @Example
  void whatNothingMovesOrAnotherSurfaceDrivesIsRefused() {
    assertThatThrownBy(
            () ->
                ThrowSearch.answers(
                    new ThrowSearch.ThrowQuestion(
                        Rigs.plain(),
                        "slave",
                        9,
                        9,
                        List.of(10.0),
                        List.of(10.0),
                        ONE_SEAT,
                        false)))
        .isInstanceOf(InvalidInputException.class);
    Surface right = Rigs.plain().surface("right").orElseThrow();
    Setup still = Rigs.plain().withSurface(right.withShares(new Shares(0, 0, 0, List.of())));
    assertThatThrownBy(() -> ThrowSearch.answers(question(still, 9, 9)))
        .isInstanceOf(InvalidInputException.class);
  }

  @Example
  void degreesAreTakenAtTheChord() {
    ThrowSearch.ThrowQuestion degrees =
        new ThrowSearch.ThrowQuestion(
            rolling(), "right", 20, 15, List.of(12.0), List.of(12.0), ONE_SEAT, true);
    ThrowSearch.ThrowAnswer first = ThrowSearch.answers(degrees).get(0);
    assertThat(first.plusMm()).isCloseTo(50 * Math.sin(Math.toRadians(20)), within(MEETS));
    assertThat(first.minusMm()).isCloseTo(50 * Math.sin(Math.toRadians(15)), within(MEETS));
  }
}
