package hightally.core.audit;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.Rigs;
import hightally.core.airframe.Contact;
import hightally.core.airframe.Motor;
import hightally.core.airframe.Rod;
import hightally.core.airframe.Servo;
import hightally.core.airframe.Shares;
import hightally.core.airframe.Surface;
import hightally.core.audit.Finding.Severity;
import hightally.core.channel.Between;
import hightally.core.channel.BetweenKind;
import hightally.core.channel.Channel;
import hightally.core.channel.Failsafe;
import hightally.core.channel.Lead;
import hightally.core.channel.Receiver;
import hightally.core.channel.Socket;
import hightally.core.channel.SocketOutput;
import hightally.core.channel.StickFunction;
import hightally.core.channel.SubTrimMode;
import hightally.core.channel.Transmitter;
import hightally.core.channel.Wiring;
import hightally.core.edit.Edit;
import hightally.core.edit.Edits;
import hightally.core.edit.Figure;
import hightally.core.linkage.Linkage;
import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.program.Differential;
import hightally.core.program.FailsafeSetting;
import hightally.core.program.Mix;
import hightally.core.program.MixSource;
import hightally.core.program.MixTarget;
import hightally.core.program.NoseNote;
import hightally.core.program.Phase;
import hightally.core.program.PhaseRole;
import hightally.core.program.Preset;
import hightally.core.program.Trims;
import hightally.core.setup.Acceptance;
import hightally.core.setup.Notebook;
import hightally.core.setup.Setup;
import hightally.core.setup.ThrowGoal;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Every rule with something it must find and something just short of it. The rig is two elevons: an
 * arm and a horn of 12 mm, 0.09 °/µs, 500 µs for 100 %, so 45° of arm and of surface for full
 * travel at 50 mm of chord.
 */
class RulesTest {
  private static final Setup CLEAN = Rigs.plain();

  /** A rule, what it is about, how badly, and a rig just beyond and just short of it. */
  private record Case(String rule, String subject, Severity severity, Setup found, Setup near) {
    @Override
    public String toString() {
      return rule + " " + subject;
    }
  }

  private static Case grounds(String rule, String subject, Setup found, Setup near) {
    return new Case(rule, subject, Severity.GROUNDS, found, near);
  }

  private static Case warns(String rule, String subject, Setup found, Setup near) {
    return new Case(rule, subject, Severity.WARNS, found, near);
  }

  private static Setup rolling(double share) {
    return Edits.made(CLEAN, List.of(Edit.of(Figure.SHARE_ROLL, "right", share)));
  }

  private static Setup pitching(double share) {
    return Edits.made(CLEAN, List.of(Edit.of(Figure.SHARE_PITCH, "left", share)));
  }

  static Stream<Case> cases() {
    return Stream.of(
        // 80 % of a share of 0.04 is 3.2 %, 1.44° and 1.26 mm down where right must go up.
        grounds("against-its-role", "right", rolling(-0.04), rolling(-0.03)),
        grounds("against-its-role", "left", pitching(-0.5), pitching(0.5)),
        // The right arm was seated 0.5° off; lean and seat add up.
        warns("arm-off-square", "right", lean(9.6, 0), lean(9.4, 0)),
        warns("arm-off-square", "right", lean(-10.6, 0), lean(-10.4, 0)),
        warns("horn-off-hinge", "right", lean(0, 10.1), lean(0, 9.9)),
        // 45° · 0.8 rate · 0.5 share · 2 = 36° and 27° more by the endpoint: 90° is dead centre.
        grounds("near-dead-centre", "right", deadCentre(79), deadCentre(76)),
        // The right elevon takes half of each stick at 80 %: 18° of arm.
        grounds("servo-at-stop", "right", stop(17.5), stop(18.5)),
        warns("large-sub-trim", "left", subTrim(41), subTrim(39)),
        warns("large-sub-trim", "left", subTrim(-41), subTrim(-39)),
        // 1500 + 5 · 120 + 2 is past 2100; at 119.9 the command still fits.
        grounds("clipped-endpoint", "left", endpoints(0, 120.4, 100), endpoints(0, 120, 100)),
        grounds("clipped-endpoint", "left", endpoints(0, 100, 120.4), endpoints(0, 100, 120)),
        warns("small-endpoint", "left", endpoints(0, 59, 40), endpoints(0, 61, 61)),
        // 15.45 mm at 100 %: 85 % is 13.2 mm, and the tenth of the larger side is the limit, 1.55.
        warns("uneven-travel", "left", endpoints(0, 88, 100), endpoints(0, 91, 100)),
        warns("left-against-right", "left", pair(107), pair(105)),
        grounds("not-plugged-in", "s-left", leads(List.of(lead("s-right", 2, ""))), CLEAN),
        grounds(
            "two-leads-one-socket",
            "s-right",
            leads(List.of(lead("s-left", 1, ""), lead("s-right", 1, ""))),
            sharing(List.of(lead("s-left", 1, "y"), lead("s-right", 1, "y")))),
        grounds(
            "outside-receiver",
            "s-right",
            leads(List.of(lead("s-left", 1, ""), lead("s-right", 9, ""))),
            CLEAN),
        grounds("outside-receiver", "s-left", sockets(2, 2, SocketOutput.SERVO), CLEAN),
        grounds(
            "socket-not-for-servos",
            "s-left",
            sockets(1, 2, SocketOutput.BUS),
            sockets(1, 2, SocketOutput.SERVO)),
        grounds(
            "throttle-not-held",
            "motor",
            powered(Failsafe.ONE_CHANNEL, 2),
            powered(Failsafe.ONE_CHANNEL, 3)),
        grounds("throttle-not-held", "motor", powered(Failsafe.NONE, 0), CLEAN),
        grounds("outside-transmitter", "left", numbered(13), numbered(12)),
        grounds("outside-transmitter", "left", limits(99, 200), limits(100, 200)),
        grounds("outside-transmitter", "left", limits(100, 19), limits(100, 20)),
        warns("reversed-twice", "left", twice(true, 0.5), twice(true, -0.5)),
        warns("reversed-twice", "left", twice(true, 0.5), twice(false, 0.5)),
        grounds("trim-does-not-pass", "left", between(false, 3), between(true, 3)),
        grounds("trim-does-not-pass", "left", between(false, 3), between(false, 0)),
        grounds("shared-channel", "right", shared(0.5, 0.5), shared(-0.5, 0.5)),
        grounds("surfaces-touch", "left", touching(15), touching(16)),
        // Fixed ends: the sub-trim does not move them, so 120 % still ends at 2100 µs.
        grounds("clipped-endpoint", "left", fixedEnds(120.4), fixedEnds(120)),
        grounds("failsafe-runs-motor", "motor", throttle(Double.NaN, 0, 100), CLEAN),
        // 5 µs are a percent: -95 % is 25 µs from the stop, -97 % 15 µs.
        grounds("failsafe-runs-motor", "motor", throttle(-95, 0, 100), throttle(-97, 0, 100)),
        grounds("throttle-sub-trim", "motor", throttle(-100, 21, 100), throttle(-100, 19, 100)),
        warns("throttle-clipped", "motor", throttle(-100, 0, 120.4), throttle(-100, 0, 120)),
        warns("condition-unfinished", "both", of(List.of("one")), of(List.of("one", "two"))),
        warns("channel-order", "throttle", motorOn(4), motorOn(3)),
        warns("nothing-carries-it", "slave", preset("slave"), preset("left")),
        warns("nothing-carries-it", "slave", mixed("slave"), mixed("right")));
  }

  /** A motor, and on the other of channels 3 and 4 a slave flap's channel. */
  private static Setup motorOn(int channel) {
    Setup powered = powered(Failsafe.EVERY_CHANNEL, 0);
    List<Channel> channels = new ArrayList<>(CLEAN.channels());
    channels.add(new Channel(channel, "motor", Channel.THROTTLE, false, 0, 100, 100, 0));
    channels.add(new Channel(7 - channel, "spare", "slave", false, 0, 100, 100, 0));
    Motor motor = new Motor("motor", "Motor", channel, 0, 0, 250);
    return powered
        .change()
        .channels(channels)
        .airframe(CLEAN.airframe().withMotors(List.of(motor)))
        .done();
  }

  private static Setup fixedEnds(double endpoint) {
    Setup rig = endpoints(30, endpoint, 100);
    Transmitter radio =
        Rigs.transmitter(SubTrimMode.FIXED_ENDS, 1500, 500, 0.5, StickFunction.values());
    return rig.change().transmitter(radio).done();
  }

  private static Setup throttle(double failsafe, double subTrim, double high) {
    Setup powered = powered(Failsafe.EVERY_CHANNEL, 0);
    List<Channel> channels = new ArrayList<>(powered.channels());
    channels.set(2, channels.get(2).with(subTrim, 100, high));
    List<FailsafeSetting> settings =
        Double.isNaN(failsafe) ? List.of() : List.of(new FailsafeSetting(3, false, failsafe));
    return powered.change().channels(channels).power(powered.power().withFailsafe(settings)).done();
  }

  private static Setup of(List<String> members) {
    return CLEAN
        .change()
        .conditions(
            List.of(
                new Condition("one", "One", ConditionKind.SWITCH_AT, "switch", 1, List.of(), 0),
                new Condition("two", "Two", ConditionKind.SWITCH_AT, "switch", 2, List.of(), 0),
                new Condition("both", "Both", ConditionKind.AND, "", 0, members, 0)))
        .done();
  }

  private static Setup preset(String surface) {
    Phase phase = CLEAN.basePhase().withPresets(List.of(new Preset(surface, 10)));
    return CLEAN.change().phases(List.of(phase)).done();
  }

  private static Setup mixed(String target) {
    return CLEAN
        .change()
        .mixes(List.of(Rigs.mix("m", MixSource.STICK, "yaw", target, 10, List.of())))
        .done();
  }

  @Test
  void aClippedEndpointIsMendedToWhatReallyClearsIt() {
    for (Setup rig : List.of(endpoints(30, 130, 130), fixedEnds(130))) {
      Setup mended = rig;
      for (Finding one : findings(rig)) {
        if (one.rule().equals("clipped-endpoint")) {
          mended = Edits.made(mended, one.mends().get(0).edits());
        }
      }
      assertThat(findings(mended)).extracting(Finding::rule).doesNotContain("clipped-endpoint");
      assertThat(mended.channels().get(0).endpointHighPercent()).isGreaterThan(110);
    }
  }

  @ParameterizedTest
  @MethodSource("cases")
  void findsWhatItIsForAndNothingJustShortOfIt(Case one) {
    Optional<Finding> found = finding(one.found(), one.rule(), one.subject());
    assertThat(found).as("found").isPresent();
    assertThat(found.get().severity()).isEqualTo(one.severity());
    assertThat(say(found.get().why())).hasSizeGreaterThan(20);
    assertThat(finding(one.near(), one.rule(), one.subject())).as("just short of it").isEmpty();
  }

  @Test
  void everyRuleIsTriedAndATidyRigHasNone() {
    Set<String> tried = cases().map(Case::rule).collect(Collectors.toSet());
    List<String> rules =
        Stream.of(
                RoleRules.all(),
                OutputRules.all(),
                LinkageRules.all(),
                TravelRules.all(),
                SharingRules.all(),
                MapRules.all(),
                ChannelRules.all(),
                MotorRules.all(),
                ProgramRules.all())
            .flatMap(List::stream)
            .map(Rule::id)
            .toList();
    assertThat(tried).containsExactlyInAnyOrderElementsOf(rules);
    assertThat(findings(CLEAN)).isEmpty();
  }

  @Test
  void whatIsWantedOnPurposeIsNoFinding() {
    Setup uneven = endpoints(0, 80, 100);
    Phase base = uneven.basePhase();
    Phase less =
        new Phase(
            base.id(),
            base.name(),
            "",
            PhaseRole.OTHER,
            "",
            0,
            List.of(),
            List.of(new Differential("left", 30)),
            false,
            false,
            false,
            Trims.ZERO,
            NoseNote.NOT_FLOWN);
    Setup differential = uneven.change().phases(List.of(less)).done();
    assertThat(finding(differential, "uneven-travel", "left")).isEmpty();
  }

  /** Twice as far one way as the other by a mix: on purpose. By an endpoint: not. */
  @Test
  void aRatioAMixMakesIsNotUneven() {
    Mix more =
        new Mix(
            "more",
            "More",
            "",
            MixSource.STICK,
            "roll",
            40,
            0,
            0,
            List.of(),
            List.of(MixTarget.even("left", 1), MixTarget.even("right", -1)),
            "",
            List.of(),
            0);
    assertThat(finding(CLEAN.change().mixes(List.of(more)).done(), "uneven-travel", "left"))
        .isEmpty();
    Setup uneven = endpoints(0, 80, 100).change().mixes(List.of(more)).done();
    assertThat(finding(uneven, "uneven-travel", "left")).isPresent();
  }

  @Test
  void onAYLeadADifferenceWantedUpAndDownNeedsAChannelOfItsOwn() {
    Setup joined = shared(-0.5, 0.5);
    Setup wish =
        joined
            .change()
            .notebook(
                new Notebook(
                    List.of(new ThrowGoal("right", 14, 8)), List.of(), List.of(), false, List.of()))
            .done();
    assertThat(finding(wish, "shared-channel", "right"))
        .hasValueSatisfying(one -> assertThat(say(one.title())).contains("needs differential"));
    Setup equal =
        joined
            .change()
            .notebook(
                new Notebook(
                    List.of(new ThrowGoal("right", 14, 13)),
                    List.of(),
                    List.of(),
                    false,
                    List.of()))
            .done();
    assertThat(finding(equal, "shared-channel", "right")).isEmpty();
  }

  @Test
  void anAcceptedFindingIsShownAsAcceptedAndLast() {
    Setup found = subTrim(41);
    Setup lived =
        lean(11, 0)
            .change()
            .channels(found.channels())
            .notebook(
                new Notebook(
                    List.of(),
                    List.of(),
                    List.of(new Acceptance("large-sub-trim", "left", "as it was bought")),
                    false,
                    List.of()))
            .done();
    List<Finding> findings = findings(lived);
    Finding last = findings.get(findings.size() - 1);
    assertThat(last.rule()).isEqualTo("large-sub-trim");
    assertThat(last.acceptedBecause()).isEqualTo("as it was bought");
    assertThat(findings.get(0).acceptedBecause()).isEmpty();
  }

  @Test
  void whatGroundsComesFirst() {
    Setup both =
        lean(11, 0).change().wiring(leads(List.of(lead("s-right", 2, ""))).wiring()).done();
    assertThat(findings(both)).first().extracting(Finding::rule).isEqualTo("not-plugged-in");
  }

  private static List<Finding> findings(Setup setup) {
    return Audit.of(SignalPath.of(setup));
  }

  private static Optional<Finding> finding(Setup setup, String rule, String subject) {
    return findings(setup).stream()
        .filter(one -> one.rule().equals(rule) && one.surface().equals(subject))
        .findFirst();
  }

  private static Setup surface(String id, UnaryOperator<Surface> change) {
    return CLEAN.withSurface(change.apply(CLEAN.surface(id).orElseThrow()));
  }

  private static Setup linkage(Linkage linkage) {
    return surface(
        "right",
        one ->
            one.withRod(
                new Rod(one.rod().driver(), one.rod().driverId(), linkage, one.rod().end(), 0)));
  }

  private static Setup lean(double arm, double horn) {
    return linkage(new Linkage(12, 12, 150, arm, horn, false, true));
  }

  /** An arm that leans so far that full stick brings it near its dead centre. */
  private static Setup deadCentre(double servoDegrees) {
    // Full pitch is 40 % of the travel: so many degrees of arm.
    return servo(one -> with(one, servoDegrees / (0.4 * 500), 170));
  }

  private static Setup stop(double degrees) {
    return servo(one -> with(one, 0.09, degrees));
  }

  private static Servo with(Servo one, double degreesPerMicrosecond, double stop) {
    return new Servo(
        one.id(),
        one.name(),
        one.channel(),
        degreesPerMicrosecond,
        1500,
        stop,
        one.pullsOnIncrease(),
        0,
        one.torqueNewtonCentimetres(),
        one.seating(),
        one.armHolesMm(),
        one.leadMm());
  }

  private static Setup servo(UnaryOperator<Servo> change) {
    List<Servo> servos = new ArrayList<>(CLEAN.servos());
    servos.set(1, change.apply(servos.get(1)));
    return CLEAN.change().servos(servos).done();
  }

  private static Setup channel(UnaryOperator<Channel> change) {
    List<Channel> channels = new ArrayList<>(CLEAN.channels());
    channels.set(0, change.apply(channels.get(0)));
    return CLEAN.change().channels(channels).done();
  }

  private static Setup endpoints(double subTrim, double high, double low) {
    return channel(one -> new Channel(1, "left", "left", one.reversed(), subTrim, low, high, 0));
  }

  private static Setup subTrim(double microseconds) {
    return endpoints(microseconds, 100, 100);
  }

  private static Setup pair(double percent) {
    return endpoints(0, percent, percent);
  }

  /** Endpoints of 100 % and a sub-trim of 20 µs on a transmitter that goes only so far. */
  private static Setup limits(double endpoint, double subTrim) {
    Transmitter one = CLEAN.transmitter();
    Transmitter limited =
        new Transmitter(
            one.name(),
            one.stickMode(),
            one.subTrimMode(),
            one.centreMicroseconds(),
            one.microsecondsPer100(),
            one.clickStepPercent(),
            one.trimRangeClicks(),
            one.commandLimitPercent(),
            one.shortestMicroseconds(),
            one.longestMicroseconds(),
            one.firstChannel(),
            one.channelCount(),
            one.channelOrder(),
            subTrim,
            endpoint,
            one.inputs(),
            one.words());
    return endpoints(20, 100, 100).change().transmitter(limited).done();
  }

  private static Setup numbered(int number) {
    Setup renumbered =
        channel(one -> new Channel(number, "left", "left", one.reversed(), 0, 100, 100, 0));
    List<Servo> servos = new ArrayList<>(renumbered.servos());
    servos.set(0, servos.get(0).onChannel(number));
    return renumbered.change().servos(servos).done();
  }

  private static Setup twice(boolean reversed, double roll) {
    Setup turned = surface("left", one -> one.withShares(new Shares(roll, 0.5, 0, List.of())));
    List<Channel> channels = new ArrayList<>(turned.channels());
    channels.set(0, new Channel(1, "left", "left", reversed, 0, 100, 100, 0));
    return turned.change().channels(channels).done();
  }

  private static Lead lead(String device, int socket, String splitter) {
    return new Lead(device, socket, splitter, 0, false, device);
  }

  private static Setup leads(List<Lead> leads) {
    Wiring wiring = CLEAN.wiring();
    return CLEAN.change().wiring(new Wiring(wiring.receiver(), leads, wiring.between())).done();
  }

  /** Both servos on the first channel. */
  private static Setup sharing(List<Lead> leads) {
    Setup wired = leads(leads);
    List<Servo> servos = List.of(wired.servos().get(0), wired.servos().get(1).onChannel(1));
    return wired.change().servos(servos).done();
  }

  private static Setup shared(double roll, double pitch) {
    Setup joined = sharing(List.of(lead("s-left", 1, "y"), lead("s-right", 1, "y")));
    Surface right = joined.surface("right").orElseThrow();
    return joined.withSurface(right.withShares(new Shares(roll, pitch, 0, List.of())));
  }

  private static Setup sockets(int first, int second, SocketOutput output) {
    List<Socket> sockets =
        List.of(new Socket(1, first, output), new Socket(2, second, SocketOutput.SERVO));
    Receiver receiver = new Receiver("Test", sockets, false, Failsafe.EVERY_CHANNEL, 0);
    Wiring wiring = CLEAN.wiring();
    return CLEAN.change().wiring(new Wiring(receiver, wiring.leads(), wiring.between())).done();
  }

  private static Setup powered(Failsafe failsafe, int channel) {
    List<Channel> channels = new ArrayList<>(CLEAN.channels());
    channels.add(new Channel(3, "motor", Channel.THROTTLE, false, 0, 100, 100, 0));
    List<Socket> sockets = new ArrayList<>(CLEAN.wiring().receiver().sockets());
    sockets.add(new Socket(3, 3, SocketOutput.SERVO));
    List<Lead> leads = new ArrayList<>(CLEAN.wiring().leads());
    leads.add(lead("motor", 3, ""));
    Receiver receiver = new Receiver("Test", sockets, false, failsafe, channel);
    return CLEAN
        .change()
        .channels(channels)
        .airframe(CLEAN.airframe().withMotors(List.of(new Motor("motor", "Motor", 3, 0, 0, 250))))
        .wiring(new Wiring(receiver, leads, List.of()))
        .done();
  }

  private static Setup between(boolean allowsTrim, int trim) {
    Between device =
        new Between("Stabiliser", BetweenKind.STABILISER, List.of(1), 100, allowsTrim, false);
    Wiring wiring = CLEAN.wiring();
    return CLEAN
        .change()
        .wiring(new Wiring(wiring.receiver(), wiring.leads(), List.of(device)))
        .trims(new Trims(trim, 0, 0))
        .done();
  }

  private static Setup touching(double mm) {
    return CLEAN.change().contacts(List.of(new Contact("left", mm, "right", -mm))).done();
  }
}
