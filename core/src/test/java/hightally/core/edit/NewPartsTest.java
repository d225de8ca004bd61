package hightally.core.edit;

import static hightally.core.English.saying;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hightally.core.DemoModels;
import hightally.core.English;
import hightally.core.Rigs;
import hightally.core.airframe.Contact;
import hightally.core.airframe.Pack;
import hightally.core.channel.BetweenKind;
import hightally.core.channel.InputKind;
import hightally.core.channel.Socket;
import hightally.core.channel.SocketOutput;
import hightally.core.channel.TransmitterInput;
import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.program.FailsafeSetting;
import hightally.core.program.FeelSet;
import hightally.core.program.FlightTimer;
import hightally.core.program.TelemetryAlarm;
import hightally.core.program.ThrottleCurve;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class NewPartsTest {
  private static final Setup RIG = Rigs.plain();

  private static Setup with(NewPart part) {
    return NewParts.added(RIG, part, English.NAMES);
  }

  private static <T> T last(List<T> list) {
    return list.get(list.size() - 1);
  }

  /** Nothing that is added moves anything: it is there to be changed. */
  @ParameterizedTest
  @EnumSource(NewPart.class)
  void nothingThatWasThereChangesAndNothingMoves(NewPart part) {
    Setup demo = DemoModels.read("larkmere");
    Setup larkmere = demo.change().power(demo.power().withFailsafe(List.of())).done();
    for (Setup before : List.of(RIG, larkmere)) {
      Setup after = NewParts.added(before, part, English.NAMES);
      assertThat(Leaves.changed(before, after).values())
          .isNotEmpty()
          .allMatch(one -> one.startsWith("→"));
      Setup twice = NewParts.added(after, part, English.NAMES);
      assertThat(Leaves.changed(after, twice).values()).allMatch(one -> one.startsWith("→"));
      Moment moment = Moment.centred(before.trims()).withThrottle(0.4, true);
      assertThat(SignalPath.of(after).evaluate(moment).travelMm())
          .isEqualTo(SignalPath.of(before).evaluate(moment).travelMm());
    }
  }

  @Test
  void aConditionAsksTheFirstSwitchOrTheThrottle() {
    assertThat(last(with(NewPart.CONDITION).conditions()))
        .isEqualTo(
            new Condition(
                "condition-1",
                "New condition",
                ConditionKind.SWITCH_AT,
                "switch",
                2,
                List.of(),
                0));
    Setup bare = RIG.change().transmitter(RIG.transmitter().withInputs(List.of())).done();
    Condition above = last(NewParts.added(bare, NewPart.CONDITION, English.NAMES).conditions());
    assertThat(above.kind()).isEqualTo(ConditionKind.ABOVE);
    assertThat(above.subject()).isEqualTo("throttle");
    assertThat(above.limit()).isEqualTo(10);
  }

  @Test
  void idsThatAreTakenAreNotGivenAgain() {
    Setup two = NewParts.added(with(NewPart.CONDITION), NewPart.CONDITION, English.NAMES);
    assertThat(two.conditions())
        .extracting(Condition::id)
        .containsExactly("condition-1", "condition-2");
    Setup levers = NewParts.added(with(NewPart.LEVER), NewPart.LEVER, English.NAMES);
    assertThat(levers.transmitter().inputs())
        .extracting(TransmitterInput::id)
        .doesNotHaveDuplicates();
  }

  @Test
  void ratesTimerAndAlarmBeginWithUsualValues() {
    FeelSet set = last(with(NewPart.FEEL_SET).feelSets());
    assertThat(set.feel()).isEqualTo(RIG.feel());
    assertThat(set.phases()).containsExactly("flight");
    assertThat(set.hasRoll() && set.hasPitch() && set.hasYaw()).isTrue();
    FlightTimer timer = last(with(NewPart.TIMER).power().timers());
    assertThat(timer)
        .isEqualTo(new FlightTimer("timer-1", "New timer", true, 300, "", "", List.of(60.0, 30.0)));
    TelemetryAlarm alarm = last(with(NewPart.ALARM).power().alarms());
    assertThat(alarm).isEqualTo(new TelemetryAlarm("New alarm", "voltage", 10, 3));
  }

  @Test
  void twoSurfacesAreMeasuredAndOneAloneTouchesNone() {
    assertThat(last(with(NewPart.CONTACT).contacts()))
        .isEqualTo(new Contact("slave", 100, "left", 100));
    Setup one = PartsRemoved.of(PartsRemoved.of(RIG, "slave"), "left");
    assertThatThrownBy(() -> NewParts.added(one, NewPart.CONTACT, English.NAMES))
        .satisfies(saying("part"));
  }

  /** The rig's wanted point is 60 mm. */
  @Test
  void aPackLiesAtThePointAndABoxBetweenLimitsNothing() {
    Pack pack = last(with(NewPart.PACK).balance().packs());
    assertThat(pack).isEqualTo(new Pack("Pack 1", 200, 60, -40));
    assertThat(last(with(NewPart.BETWEEN).wiring().between()))
        .satisfies(one -> assertThat(one.kind()).isEqualTo(BetweenKind.STABILISER))
        .satisfies(one -> assertThat(one.travelLimitPercent()).isEqualTo(150))
        .satisfies(one -> assertThat(one.channels()).isEmpty())
        .satisfies(one -> assertThat(one.allowsTrim() || one.bypassed()).isFalse());
  }

  /** The twin's third channel is a motor's; a channel that moves a surface holds it. */
  @Test
  void failsafeStopsAMotorAndHoldsTheRest() {
    assertThat(last(with(NewPart.FAILSAFE).power().failsafe()))
        .isEqualTo(new FailsafeSetting(1, true, 0));
    Setup twin = DemoModels.read("brindle");
    List<FailsafeSetting> others =
        twin.channels().stream()
            .filter(one -> one.number() != 3)
            .map(one -> new FailsafeSetting(one.number(), true, 0))
            .toList();
    Setup open = twin.change().power(twin.power().withFailsafe(others)).done();
    FailsafeSetting motor =
        last(NewParts.added(open, NewPart.FAILSAFE, English.NAMES).power().failsafe());
    assertThat(motor.channel()).isEqualTo(3);
    assertThat(motor.holds()).isFalse();
    assertThat(motor.percent()).isEqualTo(twin.power().stopPercent());
    Setup full = RIG;
    for (int i = 0; i < RIG.channels().size(); i++) {
      full = NewParts.added(full, NewPart.FAILSAFE, English.NAMES);
    }
    Setup every = full;
    assertThatThrownBy(() -> NewParts.added(every, NewPart.FAILSAFE, English.NAMES))
        .satisfies(saying("part"));
  }

  @Test
  void aCurveBeginsAsTheFirstForTheFirstPhase() {
    assertThat(last(with(NewPart.THROTTLE_CURVE).power().curves()))
        .isEqualTo(new ThrottleCurve(List.of("flight"), RIG.power().curves().get(0).points()));
  }

  @Test
  void aSocketIsTheNextOne() {
    assertThat(last(with(NewPart.SOCKET).wiring().receiver().sockets()))
        .isEqualTo(new Socket(3, 3, SocketOutput.SERVO));
    Setup demo = DemoModels.read("skerrow");
    assertThat(
            last(NewParts.added(demo, NewPart.SOCKET, English.NAMES).wiring().receiver().sockets()))
        .isEqualTo(new Socket(7, 7, SocketOutput.SERVO));
  }

  @Test
  void aLeverHasNoPositionsAndASwitchThree() {
    TransmitterInput lever = last(with(NewPart.LEVER).transmitter().inputs());
    assertThat(lever.kind()).isEqualTo(InputKind.LEVER);
    assertThat(lever.positions()).isZero();
    TransmitterInput added = last(with(NewPart.SWITCH).transmitter().inputs());
    assertThat(added.kind()).isEqualTo(InputKind.SWITCH);
    assertThat(added.positions()).isEqualTo(3);
  }
}
