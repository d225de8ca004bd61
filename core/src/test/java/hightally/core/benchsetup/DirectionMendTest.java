package hightally.core.benchsetup;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.Rigs;
import hightally.core.airframe.Servo;
import hightally.core.airframe.Shares;
import hightally.core.airframe.Side;
import hightally.core.airframe.Surface;
import hightally.core.edit.Edit;
import hightally.core.edit.Edits;
import hightally.core.edit.Figure;
import hightally.core.edit.Mend;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

/** A model whose servos turn otherwise than described, asked about by the guide. */
class DirectionMendTest {
  private static final String[] SURFACES = {"left", "right", "slave"};

  /**
   * Whatever is reversed in the model or in its description: reversed servos, exchanged leads,
   * turned horns, one of a pair, a driven surface, a share's sign; two servos with a channel each
   * or on one Y-lead. The guide is answered truthfully and told again after every change, as its
   * words say.
   */
  @Property
  void theGuideEndsWithADescriptionThatMovesAsTheModelDoesAndAsTheStickMeans(
      @ForAll long seed, @ForAll @IntRange(min = 0, max = 2047) int turned) {
    Setup described = Rigs.random(seed);
    if ((turned & 256) != 0) {
      // Both wings' flaps on one channel: pitch is all they are asked, and no roll.
      described = onOneChannel(described);
    }
    Setup real = described;
    for (int i = 0; i < 2; i++) {
      real = (turned >> i & 1) == 1 ? withServo(real, i) : real;
      real = (turned >> 2 + i & 1) == 1 ? withHorn(real, SURFACES[i]) : real;
    }
    boolean exchanged = (turned & 256) == 0 && (turned & 16) != 0;
    real = exchanged ? exchanged(real) : real;
    described = (turned & 32) != 0 ? withShare(described, "left") : described;
    real = (turned & 32) != 0 ? withShare(real, "left") : real;
    real = (turned & 512) != 0 ? withHorn(real, "slave") : real;
    described = (turned & 1024) != 0 ? withHorn(described, "slave") : described;
    for (int round = 0; round < 10; round++) {
      StepResult verdict = firstThatDiffers(described, real);
      if (verdict == null) {
        break;
      }
      String words = say(verdict.words());
      assertThat(words).as("never at a loss").doesNotContain("Wiring alone cannot");
      if (words.contains("wap the two leads")) {
        real = exchanged(real);
      } else if (words.contains("own pushrod or horn")) {
        real = withHorn(real, verdict.step().split("/")[1]);
      }
      for (Mend mend : verdict.mends().stream().limit(1).toList()) {
        Setup before = described;
        described = Edits.made(described, mend.edits());
        boolean servo =
            mend.edits().stream().anyMatch(one -> one.figure() == Figure.PULLS_ON_INCREASE);
        for (String id : SURFACES) {
          // A servo noted the other way round still rests where it rested.
          assertThat(!servo || Math.abs(rest(described, id) - rest(before, id)) < 1e-6)
              .as(id)
              .isTrue();
        }
        real = Edits.made(real, mend.edits().stream().filter(DirectionMendTest::isSent).toList());
      }
    }
    assertThat(firstThatDiffers(described, real)).isNull();
    for (String id : SURFACES) {
      Surface surface = described.surface(id).orElseThrow();
      for (Control control : List.of(Control.ROLL, Control.PITCH)) {
        if (carried(described, id).shares().of(control) != 0) {
          double meant = control == Control.PITCH || surface.side() == Side.RIGHT ? 1 : -1;
          assertThat(Math.signum(moved(real, id, control))).as("the model").isEqualTo(meant);
          assertThat(Math.signum(moved(described, id, control))).as("the bench").isEqualTo(meant);
        }
      }
    }
  }

  /** What the question expects is what the role says, whatever the description does. */
  @Property(tries = 30)
  void theGuideNeverTellsAMirroredTruth(@ForAll long seed) {
    Setup setup = Rigs.random(seed);
    for (BenchStep step : BenchSetUp.steps(setup)) {
      if (step.kind() == StepKind.DIRECTION) {
        boolean up = step.command().equals("pitch") || step.surface().equals("right");
        assertThat(say(step.instruction())).contains(up ? "must go up" : "must go down");
      }
    }
  }

  private static double rest(Setup setup, String id) {
    SignalPath path = SignalPath.of(setup);
    return path.evaluate(Moment.centred(Trims.ZERO)).travelMm()[path.indexOf(id)];
  }

  private static boolean isSent(Edit edit) {
    return List.of(Figure.REVERSED, Figure.SHARE_ROLL, Figure.SHARE_PITCH, Figure.SHARE_YAW)
        .contains(edit.figure());
  }

  private static Surface carried(Setup setup, String id) {
    SignalPath path = SignalPath.of(setup);
    int channel = path.channelBehind(path.indexOf(id));
    return setup.surface(setup.channels().get(channel).carries()).orElseThrow();
  }

  private static Setup onOneChannel(Setup setup) {
    List<Servo> servos = List.of(setup.servos().get(0), setup.servos().get(1).onChannel(1));
    List<Surface> surfaces =
        setup.surfaces().stream()
            .map(one -> one.withShares(new Shares(0, 0.5, 0, List.of())))
            .toList();
    return setup.change().servos(servos).surfaces(surfaces).done();
  }

  private static Setup withServo(Setup setup, int index) {
    List<Servo> servos = new ArrayList<>(setup.servos());
    Servo one = servos.get(index);
    servos.set(index, servo(one, !one.pullsOnIncrease(), one.armOffsetDegrees()));
    return setup.change().servos(servos).done();
  }

  private static Setup withHorn(Setup setup, String id) {
    Surface one = setup.surface(id).orElseThrow();
    boolean raises = one.rod().linkage().pushRaises();
    return Edits.made(setup, List.of(Edit.flag(Figure.PUSH_RAISES, id, !raises)));
  }

  private static Setup withShare(Setup setup, String id) {
    double pitch = setup.surface(id).orElseThrow().shares().pitch();
    return Edits.made(setup, List.of(Edit.of(Figure.SHARE_PITCH, id, -pitch)));
  }

  private static Setup exchanged(Setup setup) {
    Servo one = setup.servos().get(0);
    Servo other = setup.servos().get(1);
    List<Servo> servos = List.of(one.onChannel(other.channel()), other.onChannel(one.channel()));
    return setup.change().servos(servos).done();
  }

  private static StepResult firstThatDiffers(Setup described, Setup real) {
    List<StepAnswer> answers = new ArrayList<>();
    for (BenchStep step : BenchSetUp.steps(described)) {
      if (step.kind() == StepKind.DIRECTION) {
        Control control = Control.named(step.command());
        double meant = control == Control.PITCH || step.surface().equals("right") ? 1 : -1;
        boolean right = meant * moved(real, step.surface(), control) > 0;
        answers.add(
            new StepAnswer(step.id(), right ? BenchSetUp.RIGHT : BenchSetUp.WRONG, List.of()));
      }
    }
    return AnswerComparison.verdicts(described, CentringMethod.ROD_FIRST, answers).stream()
        .filter(one -> !one.agrees())
        .filter(one -> !one.mends().isEmpty() || !say(one.words()).contains("check that first"))
        .findFirst()
        .orElse(null);
  }

  @Example
  void whatWasSeenBeforeTheMendIsAskedAgain() {
    Setup before = Rigs.plain();
    Setup after = before.change().servos(turnedRound(before, 1)).done();
    StepAnswer left = new StepAnswer("direction/left/roll", BenchSetUp.WRONG, List.of());
    StepAnswer right = new StepAnswer("direction/right/roll", BenchSetUp.RIGHT, List.of());
    assertThat(BenchSetUp.holds(left, before, before)).isTrue();
    assertThat(BenchSetUp.holds(left, before, after)).isFalse();
    assertThat(BenchSetUp.holds(right, before, after)).as("another servo's").isTrue();
    assertThat(
            BenchSetUp.holds(new StepAnswer("travel/left", "", List.of(1.0, 1.0)), before, after))
        .isTrue();
  }

  @Example
  void oneOfTwoOnAChannelIsNeverMendedByReversingBoth() {
    Setup shared = onOneChannel(Rigs.plain());
    List<StepAnswer> answers =
        List.of(
            new StepAnswer("direction/left/pitch", BenchSetUp.RIGHT, List.of()),
            new StepAnswer("direction/right/pitch", BenchSetUp.WRONG, List.of()));
    StepResult verdict =
        AnswerComparison.verdicts(shared, CentringMethod.ROD_FIRST, answers).get(1);
    assertThat(say(verdict.words()))
        .contains("on the same channel as left")
        .contains("its own pushrod or horn");
    // Described as it is, so what is done by hand is noted: its horn alone, and nothing reversed.
    assertThat(verdict.mends())
        .flatExtracting(Mend::edits)
        .containsExactly(Edit.flag(Figure.PUSH_RAISES, "right", false));
    StepResult first =
        AnswerComparison.verdicts(shared, CentringMethod.ROD_FIRST, answers.subList(1, 2)).get(0);
    assertThat(say(first.words())).contains("check that first");
  }

  private static List<Servo> turnedRound(Setup setup, int which) {
    List<Servo> servos = new ArrayList<>();
    for (int i = 0; i < setup.servos().size(); i++) {
      Servo one = setup.servos().get(i);
      // Its arm was seated by eye, so at rest it stands where the description says.
      double turned = setup.channels().get(i).subTrimMicroseconds() * one.slope();
      double offset = one.armOffsetDegrees() + 2 * turned;
      servos.add((which >> i & 1) == 1 ? servo(one, !one.pullsOnIncrease(), offset) : one);
    }
    return servos;
  }

  private static Servo servo(Servo one, boolean pulls, double offset) {
    return new Servo(
        one.id(),
        one.name(),
        one.channel(),
        one.degreesPerMicrosecond(),
        one.centrePulseMicroseconds(),
        one.maxAngleDegrees(),
        pulls,
        offset,
        one.torqueNewtonCentimetres(),
        one.seating(),
        one.armHolesMm(),
        one.leadMm());
  }

  /** Travel off the rest for full stick. */
  private static double moved(Setup setup, String surface, Control control) {
    SignalPath path = SignalPath.of(setup);
    Moment rest = Moment.centred(Trims.ZERO);
    int index = path.indexOf(surface);
    return path.evaluate(rest.with(control, 1)).travelMm()[index]
        - path.evaluate(rest).travelMm()[index];
  }
}
