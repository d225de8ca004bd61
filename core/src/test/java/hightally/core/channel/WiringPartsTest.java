package hightally.core.channel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.Rigs;
import hightally.core.quantity.SelfChecked;
import hightally.core.quantity.Violation;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What stands between a command and a servo, part by part, by hand. */
class WiringPartsTest {
  private static final Channel CHANNEL =
      new Channel(3, "Flap", "s-flap", true, 20, 90, 110, 1.5, 70, 130, false);
  private static final Transmitter TRANSMITTER =
      Rigs.transmitter(SubTrimMode.SHIFT, 1500, 500, 0.5, StickFunction.values());

  private static List<String> wrong(SelfChecked one) {
    List<Violation> found = new ArrayList<>();
    one.check("at.", found::add);
    return found.stream().map(each -> each.field() + " " + each.requirement().code()).toList();
  }

  private static Receiver receiver(Failsafe failsafe, int channel, Socket... sockets) {
    return new Receiver("R", List.of(sockets), true, failsafe, channel);
  }

  private static Lead lead(String device, int socket, boolean reverser) {
    return new Lead(device, socket, "", 0, reverser, device);
  }

  @Test
  void aReverserMirrorsThePulseOfItsOwnLeadAlone() {
    Wiring wiring =
        new Wiring(
            receiver(Failsafe.NONE, 0, new Socket(1, 1, SocketOutput.SERVO)),
            List.of(lead("plain", 1, false), lead("turned", 1, true)),
            List.of());
    assertThat(wiring.arriving("turned", 1620)).isEqualTo(1380);
    assertThat(wiring.arriving("plain", 1620)).isEqualTo(1620);
    assertThat(wiring.arriving("unplugged", 1620)).isEqualTo(1620);
    assertThat(wiring.lead("turned")).get().extracting(Lead::reverser).isEqualTo(true);
    assertThat(wiring.lead("unplugged")).isEmpty();
  }

  @Test
  void failsafeReachesWhatTheReceiverHoldsUnlessItIsOnTheBus() {
    Socket servo = new Socket(1, 3, SocketOutput.SERVO);
    Socket bus = new Socket(2, 4, SocketOutput.BUS);
    List<Lead> leads = List.of(lead("straight", 1, false), lead("bussed", 2, false));
    Wiring every = new Wiring(receiver(Failsafe.EVERY_CHANNEL, 0, servo, bus), leads, List.of());
    assertThat(every.failsafeReaches("straight", 3)).isTrue();
    assertThat(every.failsafeReaches("bussed", 4)).isFalse();
    assertThat(every.failsafeReaches("unplugged", 9)).isTrue();
    Wiring one = new Wiring(receiver(Failsafe.ONE_CHANNEL, 3, servo, bus), leads, List.of());
    assertThat(one.failsafeReaches("straight", 3)).isTrue();
    assertThat(one.failsafeReaches("straight", 5)).isFalse();
    Wiring none = new Wiring(receiver(Failsafe.NONE, 3, servo, bus), leads, List.of());
    assertThat(none.failsafeReaches("straight", 3)).isFalse();
    assertThat(every.receiver().socket(2)).contains(bus);
    assertThat(every.receiver().socket(7)).isEmpty();
  }

  @Test
  void theLeastOfWhatAChannelRunsThroughLimitsIt() {
    Between wide = new Between("A", BetweenKind.values()[0], List.of(1, 2), 120, true, false);
    Between narrow = new Between("B", BetweenKind.values()[0], List.of(2), 80, true, false);
    Between unplugged = new Between("C", BetweenKind.values()[0], List.of(1, 2), 30, true, true);
    Wiring wiring =
        new Wiring(
            receiver(Failsafe.NONE, 0, new Socket(1, 1, SocketOutput.SERVO)),
            List.of(),
            List.of(wide, narrow, unplugged));
    assertThat(wiring.travelLimitPercent(1)).isEqualTo(120);
    assertThat(wiring.travelLimitPercent(2)).isEqualTo(80);
    assertThat(wiring.travelLimitPercent(3)).isEqualTo(Double.POSITIVE_INFINITY);
    assertThat(wide.onChannels(List.of(5)).carries(5)).isTrue();
    assertThat(wide.onChannels(List.of(5)).carries(1)).isFalse();
    assertThat(wide.change().bypassed(true).done().carries(1)).isFalse();
  }

  @Test
  void aCopyOfAChannelDiffersInWhatItSays() {
    assertThat(CHANNEL.numbered(7)).isEqualTo(channel(7, "Flap", "s-flap", true, 20, 90, 110));
    assertThat(CHANNEL.named("X")).isEqualTo(channel(3, "X", "s-flap", true, 20, 90, 110));
    assertThat(CHANNEL.carrying("y")).isEqualTo(channel(3, "Flap", "y", true, 20, 90, 110));
    assertThat(CHANNEL.turning(false)).isEqualTo(channel(3, "Flap", "s-flap", false, 20, 90, 110));
    assertThat(CHANNEL.withHigh(50)).isEqualTo(channel(3, "Flap", "s-flap", true, 20, 90, 50));
    assertThat(CHANNEL.withLow(50)).isEqualTo(channel(3, "Flap", "s-flap", true, 20, 50, 110));
    assertThat(CHANNEL.with(5, 60, 70)).isEqualTo(channel(3, "Flap", "s-flap", true, 5, 60, 70));
    assertThat(CHANNEL.held(true).steady()).isTrue();
    assertThat(CHANNEL.held(true).held(false)).isEqualTo(CHANNEL);
    assertThat(CHANNEL.limited(11, 12).limitLowPercent()).isEqualTo(11);
    assertThat(CHANNEL.limited(11, 12).limitHighPercent()).isEqualTo(12);
    assertThat(CHANNEL.limited(11, 12).limited(70, 130)).isEqualTo(CHANNEL);
    assertThat(CHANNEL.carriesThrottle()).isFalse();
    assertThat(CHANNEL.carrying(Channel.THROTTLE).carriesThrottle()).isTrue();
  }

  private static Channel channel(
      int number,
      String name,
      String carries,
      boolean turned,
      double sub,
      double low,
      double high) {
    return new Channel(number, name, carries, turned, sub, low, high, 1.5, 70, 130, false);
  }

  @Test
  void aLeadToAnotherDeviceIsTheSameLead() {
    Lead lead = new Lead("a", 3, "Y", 200, true, "front");
    assertThat(lead.to("b")).isEqualTo(new Lead("b", 3, "Y", 200, true, "front"));
  }

  @Test
  void whatATransmitterCannotBeIsToldByItsField() {
    assertThat(wrong(TRANSMITTER)).isEmpty();
    double shortest = TRANSMITTER.shortestMicroseconds();
    double longest = TRANSMITTER.longestMicroseconds();
    for (double centre : new double[] {shortest, longest, shortest - 1, longest + 1}) {
      assertThat(wrong(TRANSMITTER.change().centreMicroseconds(centre).done()))
          .containsExactly("at.centreMicroseconds channel.sHardLimits");
    }
    for (double centre : new double[] {shortest + 1, longest - 1}) {
      assertThat(wrong(TRANSMITTER.change().centreMicroseconds(centre).done())).isEmpty();
    }
    List<StickFunction> three = TRANSMITTER.channelOrder().subList(0, 3);
    List<StickFunction> twice = new ArrayList<>(three);
    twice.add(three.get(0));
    for (List<StickFunction> order : List.of(three, twice)) {
      assertThat(wrong(TRANSMITTER.change().channelOrder(order).done()))
          .containsExactly("at.channelOrder demand.fourFunctions");
    }
    TransmitterInput lever = new TransmitterInput("a", "A", InputKind.LEVER, 0);
    TransmitterInput other = new TransmitterInput("b", "B", InputKind.SWITCH, 3);
    assertThat(wrong(TRANSMITTER.withInputs(List.of(lever, other, lever))))
        .containsExactly("at.inputs[2].id demand.otherInput");
    EntryWord rate = new EntryWord(EntrySection.RATE, "R", "", "", 1);
    EntryWord expo = new EntryWord(EntrySection.EXPO, "E", "", "", 1);
    assertThat(wrong(TRANSMITTER.change().words(List.of(rate, expo)).done())).isEmpty();
    assertThat(wrong(TRANSMITTER.change().words(List.of(rate, expo, rate)).done()))
        .containsExactly("at.words[2].section demand.eachSectionOnce");
    assertThat(TRANSMITTER.withInputs(List.of(lever, other)).inputIndex("b")).isEqualTo(1);
    assertThat(TRANSMITTER.withInputs(List.of(lever, other)).inputIndex("c")).isEqualTo(-1);
    assertThat(TRANSMITTER.change().firstChannel(0).channelCount(8).done().lastChannel())
        .isEqualTo(7);
    assertThat(TRANSMITTER.change().firstChannel(1).channelCount(8).done().lastChannel())
        .isEqualTo(8);
    assertThat(TRANSMITTER.withClickStep(0.7))
        .isEqualTo(TRANSMITTER.change().clickStepPercent(0.7).done());
  }

  @Test
  void whatAReceiverAndASwitchCannotBeIsToldByItsField() {
    Socket[] many = new Socket[33];
    for (int i = 0; i < many.length; i++) {
      many[i] = new Socket(i, 1, SocketOutput.SERVO);
    }
    assertThat(wrong(receiver(Failsafe.NONE, 0, many)))
        .containsExactly("at.sockets channel.sockets");
    assertThat(wrong(receiver(Failsafe.NONE, 0))).containsExactly("at.sockets channel.sockets");
    assertThat(
            wrong(receiver(Failsafe.NONE, 0, List.of(many).subList(0, 32).toArray(Socket[]::new))))
        .isEmpty();
    assertThat(wrong(receiver(Failsafe.NONE, 0, many[1], many[2], many[1])))
        .containsExactly("at.sockets[2].number demand.otherSocket");
    assertThat(wrong(new TransmitterInput("a", "A", InputKind.LEVER, 0))).isEmpty();
    assertThat(wrong(new TransmitterInput("a", "A", InputKind.LEVER, 2)))
        .containsExactly("at.positions channel.lever");
    assertThat(wrong(new TransmitterInput("a", "A", InputKind.SWITCH, 2))).isEmpty();
    assertThat(wrong(new TransmitterInput("a", "A", InputKind.SWITCH, 1)))
        .containsExactly("at.positions channel.switch");
  }

  @Test
  void theNarrowerOfTransmitterThingBetweenAndOwnLimitIsTheLimit() {
    Channel free = CHANNEL.limited(0, 0);
    Output whole = Output.of(TRANSMITTER, free);
    assertThat(whole.limitLow()).isEqualTo(TRANSMITTER.shortestMicroseconds());
    assertThat(whole.limitHigh()).isEqualTo(TRANSMITTER.longestMicroseconds());
    // 500 µs a hundred percent: 70 % below are 350 µs, 60 % above 300 µs.
    Output own = Output.of(TRANSMITTER, CHANNEL.limited(70, 60));
    assertThat(own.limitLow()).isEqualTo(1150);
    assertThat(own.limitHigh()).isEqualTo(1800);
    Output between = Output.of(TRANSMITTER, CHANNEL.limited(70, 0), 50);
    assertThat(between.limitLow()).isEqualTo(1250);
    assertThat(between.limitHigh()).isEqualTo(1750);
    assertThat(between.endpointLow()).isEqualTo(90);
    assertThat(between.endpointHigh()).isEqualTo(110);
    assertThat(between.subTrim()).isEqualTo(20);
    assertThat(between.reversed()).isTrue();
  }

  @Test
  void theCommandForAPulseIsTheOneThatGivesIt() {
    for (SubTrimMode mode : SubTrimMode.values()) {
      for (boolean turned : new boolean[] {false, true}) {
        Output output = new Output(500, 1500, turned, 40, mode, 80, 110, 900, 2100, 150);
        for (double command = -90; command <= 90; command += 15) {
          assertThat(output.commandFor(output.freePulse(command))).isCloseTo(command, within(1e-9));
        }
        double down = mode == SubTrimMode.SHIFT ? 4 : 4.4;
        double up = mode == SubTrimMode.SHIFT ? 5.5 : 5.1;
        assertThat(output.slope(turned ? -50 : 50)).isCloseTo(turned ? -up : up, within(1e-9));
        assertThat(output.slope(turned ? 50 : -50)).isCloseTo(turned ? -down : down, within(1e-9));
        assertThat(output.plainSlope(turned ? -50 : 50))
            .isCloseTo(turned ? -5.5 : 5.5, within(1e-9));
        assertThat(output.plainSlope(turned ? 50 : -50)).isCloseTo(turned ? -4 : 4, within(1e-9));
        assertThat(output.plainSlope(0)).isCloseTo(turned ? -5.5 : 5.5, within(1e-9));
        assertThat(output.unshiftedPulse(turned ? -50 : 50)).isCloseTo(1775, within(1e-9));
        assertThat(output.unshiftedPulse(turned ? 50 : -50)).isCloseTo(1300, within(1e-9));
      }
    }
  }

  @Test
  void atALimitItStillMovesAndBeyondItDoesNot() {
    Output output = new Output(500, 1500, false, 0, SubTrimMode.SHIFT, 100, 100, 1000, 2000, 100);
    assertThat(output.slope(100)).isEqualTo(5);
    assertThat(output.slope(-100)).isEqualTo(5);
    assertThat(output.slope(100.1)).isZero();
    Output narrow = output.change().limitLow(1200).limitHigh(1800).done();
    assertThat(narrow.slope(60)).isEqualTo(5);
    assertThat(narrow.slope(-60)).isEqualTo(5);
    assertThat(narrow.slope(60.1)).isZero();
    assertThat(narrow.slope(-60.1)).isZero();
    assertThat(Collections.max(List.of(narrow.pulse(100), narrow.pulse(61)))).isEqualTo(1800);
  }
}
