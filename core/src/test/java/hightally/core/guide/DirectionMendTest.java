package hightally.core.guide;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.Rigs;
import hightally.core.airframe.Servo;
import hightally.core.edit.Edit;
import hightally.core.edit.Edits;
import hightally.core.edit.Figure;
import hightally.core.phase.Trims;
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
  @Property(tries = 60)
  void afterTheMendTheDescriptionMovesAsTheModelDoesAndAsTheStickMeans(
      @ForAll long seed, @ForAll @IntRange(min = 1, max = 3) int turned) {
    Setup described = Rigs.random(seed);
    Setup real = described.change().servos(turnedRound(described, turned)).done();
    Setup mended = described;
    for (GuideVerdict verdict : asked(described, real)) {
      assertThat(verdict.agrees() || !verdict.mends().isEmpty()).as(say(verdict.words())).isTrue();
      mended = applied(mended, verdict, true);
      real = applied(real, verdict, false);
    }
    for (Control control : List.of(Control.ROLL, Control.PITCH)) {
      for (String surface : List.of("left", "right", "slave")) {
        double meant = moved(described, surface, control);
        assertThat(Math.signum(moved(real, surface, control))).isEqualTo(Math.signum(meant));
        assertThat(moved(mended, surface, control))
            .as("the bench shows what the model does")
            .isCloseTo(moved(real, surface, control), org.assertj.core.api.Assertions.within(1e-9));
      }
    }
    assertThat(expected(mended))
        .as("the questions stay what they were")
        .isEqualTo(expected(described));
  }

  @Example
  void whatWasSeenBeforeTheMendIsAskedAgain() {
    Setup before = Rigs.plain();
    Setup after = before.change().servos(turnedRound(before, 1)).done();
    GuideAnswer left = new GuideAnswer("direction/left/roll", Guide.WRONG, List.of());
    GuideAnswer right = new GuideAnswer("direction/right/roll", Guide.RIGHT, List.of());
    assertThat(Guide.holds(left, before, before)).isTrue();
    assertThat(Guide.holds(left, before, after)).isFalse();
    assertThat(Guide.holds(right, before, after)).as("another servo's").isTrue();
    assertThat(Guide.holds(new GuideAnswer("travel/left", "", List.of(1.0, 1.0)), before, after))
        .isTrue();
  }

  @Example
  void oneOfTwoOnAChannelIsNeverMendedByReversingBoth() {
    Setup plain = Rigs.plain();
    List<Servo> servos = List.of(plain.servos().get(0), plain.servos().get(1).onChannel(1));
    Setup shared = plain.change().servos(servos).done();
    List<GuideAnswer> answers = new ArrayList<>();
    for (String command : List.of("roll", "pitch")) {
      answers.add(new GuideAnswer("direction/left/" + command, Guide.RIGHT, List.of()));
      answers.add(new GuideAnswer("direction/right/" + command, Guide.WRONG, List.of()));
    }
    GuideVerdict verdict = GuideJudge.verdicts(shared, School.ROD_FIRST, answers).get(3);
    assertThat(say(verdict.words()))
        .contains("on one channel with left")
        .contains("its own rod or horn");
    assertThat(verdict.mends()).isEmpty();
    GuideVerdict first =
        GuideJudge.verdicts(shared, School.ROD_FIRST, answers.subList(1, 4)).get(2);
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

  /** Everything asked about directions, answered as the real model goes. */
  private static List<GuideVerdict> asked(Setup described, Setup real) {
    List<GuideAnswer> answers = new ArrayList<>();
    for (GuideStep step : Guide.steps(described)) {
      String[] parts = step.id().split("/");
      if (parts[0].equals("direction")) {
        Control control = Control.named(parts[2]);
        boolean alike = moved(described, parts[1], control) * moved(real, parts[1], control) > 0;
        answers.add(new GuideAnswer(step.id(), alike ? Guide.RIGHT : Guide.WRONG, List.of()));
      }
    }
    assertThat(answers).hasSize(4);
    List<GuideVerdict> verdicts = GuideJudge.verdicts(described, School.ROD_FIRST, answers);
    // One verdict a surface: both commands of a reversed servo say the same mend.
    return verdicts.stream().filter(one -> one.step().endsWith("/roll")).toList();
  }

  private static List<String> expected(Setup setup) {
    return Guide.steps(setup).stream()
        .filter(step -> step.kind() == StepKind.DIRECTION)
        .map(step -> say(step.instruction()))
        .toList();
  }

  /** Travel off the rest for full stick. */
  private static double moved(Setup setup, String surface, Control control) {
    SignalPath path = SignalPath.of(setup);
    Moment rest = Moment.centred(Trims.ZERO);
    int index = path.indexOf(surface);
    return path.evaluate(rest.with(control, 1)).travelMm()[index]
        - path.evaluate(rest).travelMm()[index];
  }

  /** What the transmitter is told is told to both; what describes the servo only to the page. */
  private static Setup applied(Setup setup, GuideVerdict verdict, boolean description) {
    List<Edit> edits =
        verdict.mends().stream()
            .flatMap(one -> one.edits().stream())
            .filter(one -> description || one.figure() == Figure.REVERSED)
            .toList();
    return Edits.made(setup, edits);
  }
}
