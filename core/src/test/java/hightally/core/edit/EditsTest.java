package hightally.core.edit;

import static hightally.core.English.saying;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hightally.core.Rigs;
import hightally.core.program.FailsafeSetting;
import hightally.core.quantity.InvalidInputException;
import hightally.core.setup.Setup;
import hightally.core.setup.ThrowGoal;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** A mend sets the one value of the document it names. */
class EditsTest {
  private static final Setup RIG = Rigs.plain();

  @ParameterizedTest
  @CsvSource(
      textBlock =
          """
          ENDPOINT_HIGH, 2, 88, /channels/1/endpointHighPercent, 100.0 → 88.0
          ENDPOINT_LOW, 1, 77, /channels/0/endpointLowPercent, 100.0 → 77.0
          SUB_TRIM, 2, -35, /channels/1/subTrimMicroseconds, 0.0 → -35.0
          REVERSED, 1, 1, /channels/0/reversed, false → true
          REVERSED, 2, 0, /channels/1/reversed, true → false
          ROD_ADDED, right, 1.5, /surfaces/2/rod/adjustedMm, 0.0 → 1.5
          ARM_RADIUS, left, 9, /surfaces/1/rod/linkage/armRadiusMm, 12.0 → 9.0
          HORN_RADIUS, right, 16, /surfaces/2/rod/linkage/hornRadiusMm, 12.0 → 16.0
          ARM_LEAN, left, 3, /surfaces/1/rod/linkage/armLeanDegrees, 0.0 → 3.0
          HORN_LEAN, left, -4, /surfaces/1/rod/linkage/hornLeanDegrees, 0.0 → -4.0
          THREAD_PITCH, slave, 0.5, /surfaces/0/rod/end/pitchMm, 0.4 → 0.5
          PULLS_ON_INCREASE, s-left, 1, /servos/0/pullsOnIncrease, false → true
          PULLS_ON_INCREASE, s-right, 0, /servos/1/pullsOnIncrease, true → false
          ARM_OFFSET, s-right, -2, /servos/1/armOffsetDegrees, 0.5 → -2.0
          CLICK_STEP, '', 1.25, /transmitter/clickStepPercent, 0.5 → 1.25
          SOCKET_CHANNEL, 2, 7, /wiring/receiver/sockets/1/channel, 2 → 7
          SHARE_ROLL, left, 0.7, /surfaces/1/shares/roll, -0.5 → 0.7
          SHARE_PITCH, right, -0.4, /surfaces/2/shares/pitch, 0.5 → -0.4
          SHARE_YAW, left, 0.2, /surfaces/1/shares/yaw, 0.0 → 0.2
          PUSH_RAISES, right, 0, /surfaces/2/rod/linkage/pushRaises, true → false
          CUT, '', -90, /power/cutPercent, -100.0 → -90.0
          STOP_PULSE, '', 1080, /power/stopMicroseconds, 0.0 → 1080.0
          PHASE_FADE, flight, 1.5, /phases/0/fadeSeconds, 0.0 → 1.5
          """)
  void setsOneValueAndNoOther(
      Figure figure, String subject, double value, String at, String changed) {
    Setup edited = Edits.made(RIG, List.of(Edit.of(figure, subject, value)));
    assertThat(Leaves.changed(RIG, edited)).hasSize(1).containsEntry(at, changed);
  }

  @Test
  void aMixGetsAFadeAndAChannelAFailsafeThatIsSetAgain() {
    Setup mixed = Rigs.programmed(4);
    String mix = mixed.mixes().get(2).id();
    Setup faded = Edits.made(mixed, List.of(Edit.of(Figure.MIX_FADE, mix, 2)));
    assertThat(Leaves.changed(mixed, faded))
        .hasSize(1)
        .containsEntry("/mixes/2/fadeSeconds", "0.0 → 2.0");
    Setup safe =
        Edits.made(RIG, List.of(Edit.of(Figure.FAILSAFE, 2, 30), Edit.of(Figure.FAILSAFE, 2, -20)));
    assertThat(safe.power().failsafe()).containsExactly(new FailsafeSetting(2, false, -20));
  }

  @Test
  void aWishedTravelBeginsAGoalAndKeepsItsOtherSide() {
    Setup plus = Edits.made(RIG, List.of(Edit.of(Figure.WISHED_PLUS, "left", 14)));
    assertThat(plus.notebook().goals()).containsExactly(new ThrowGoal("left", 14, 0));
    Setup both =
        Edits.made(
            plus,
            List.of(
                Edit.of(Figure.WISHED_MINUS, "left", 11),
                Edit.of(Figure.WISHED_PLUS, "right", 9),
                Edit.of(Figure.WISHED_PLUS, "left", 15)));
    assertThat(both.notebook().goals())
        .containsExactlyInAnyOrder(new ThrowGoal("left", 15, 11), new ThrowGoal("right", 9, 0));
  }

  @Test
  void severalAreMadeOneAfterTheOther() {
    Setup edited =
        Edits.made(
            RIG,
            List.of(
                Edit.of(Figure.ENDPOINT_HIGH, 1, 80),
                Edit.of(Figure.ENDPOINT_HIGH, 1, 90),
                Edit.flag(Figure.REVERSED, "1", true)));
    assertThat(edited.channel(1).orElseThrow().endpointHighPercent()).isEqualTo(90);
    assertThat(edited.channel(1).orElseThrow().reversed()).isTrue();
    assertThat(Leaves.changed(RIG, edited)).hasSize(2);
    assertThat(Edits.made(RIG, List.of())).isEqualTo(RIG);
  }

  @ParameterizedTest
  @EnumSource(
      value = Figure.class,
      names = {"CLICK_STEP", "CUT", "STOP_PULSE"},
      mode = EnumSource.Mode.EXCLUDE)
  void whatIsNotThereIsNamed(Figure figure) {
    assertThatThrownBy(() -> Edits.made(RIG, List.of(Edit.of(figure, "nobody", 1))))
        .isInstanceOf(InvalidInputException.class)
        .satisfies(saying("subject"))
        .satisfies(saying("nobody"));
  }

  @Test
  void aValueOutOfItsRangeIsRefused() {
    assertThatThrownBy(() -> Edits.made(RIG, List.of(Edit.of(Figure.ENDPOINT_HIGH, 1, 400))))
        .satisfies(saying("channels[0].endpointHighPercent"));
    assertThatThrownBy(() -> Edits.made(RIG, List.of(Edit.of(Figure.CLICK_STEP, "", 20_000))))
        .satisfies(saying("value"));
    Setup broken = RIG.change().phases(List.of()).done();
    assertThatThrownBy(() -> Edits.made(broken, List.of())).satisfies(saying("phases"));
  }

  @Test
  void everyFigureIsTriedHere() {
    Stream<String> tried =
        Arrays.stream(EditsTest.class.getDeclaredMethods())
            .filter(one -> one.getName().equals("setsOneValueAndNoOther"))
            .map(one -> one.getAnnotation(CsvSource.class).textBlock());
    String rows =
        String.join("", tried.toList()) + "WISHED_PLUS, WISHED_MINUS, MIX_FADE, FAILSAFE, ";
    assertThat(Figure.values()).allSatisfy(one -> assertThat(rows).contains(one + ", "));
  }
}
