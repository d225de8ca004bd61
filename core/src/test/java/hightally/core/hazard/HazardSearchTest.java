package hightally.core.hazard;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.DemoModels;
import hightally.core.Rigs;
import hightally.core.airframe.Contact;
import hightally.core.airframe.Motor;
import hightally.core.airframe.Rod;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.channel.InputKind;
import hightally.core.channel.Output;
import hightally.core.channel.TransmitterInput;
import hightally.core.linkage.Linkage;
import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.program.CurvePoint;
import hightally.core.program.FailsafeSetting;
import hightally.core.program.Feel;
import hightally.core.program.FeelSet;
import hightally.core.program.FlightTimer;
import hightally.core.program.Mix;
import hightally.core.program.MixSource;
import hightally.core.program.MixTarget;
import hightally.core.program.NoseNote;
import hightally.core.program.Phase;
import hightally.core.program.PhaseRole;
import hightally.core.program.Power;
import hightally.core.program.Preset;
import hightally.core.program.Response;
import hightally.core.program.ThrottleCurve;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.Positions;
import hightally.core.signal.Reversers;
import hightally.core.signal.SignalPath;
import hightally.core.simulator.BenchHands;
import hightally.core.simulator.BenchRun;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class HazardSearchTest {
  private static final Condition LOW = at("low", 1);
  private static final Condition HIGH = at("high", 3);
  private static final ThrottleCurve OFF = curve(List.of("landing"), -100, -100);

  static Condition at(String id, int position) {
    return new Condition(id, id, ConditionKind.SWITCH_AT, "switch", position, List.of(), 0);
  }

  static ThrottleCurve curve(List<String> phases, double low, double high) {
    return new ThrottleCurve(phases, List.of(new CurvePoint(-100, low), new CurvePoint(100, high)));
  }

  static Phase phase(String id, String when, Preset... presets) {
    return new Phase(
        id,
        id,
        "",
        PhaseRole.OTHER,
        when,
        0,
        List.of(presets),
        List.of(),
        false,
        false,
        false,
        Trims.ZERO,
        NoseNote.NOT_FLOWN);
  }

  static Phase soft(Phase one) {
    return new Phase(
        one.id(),
        one.name(),
        "",
        PhaseRole.OTHER,
        one.when(),
        2,
        one.presets(),
        List.of(),
        false,
        false,
        false,
        Trims.ZERO,
        NoseNote.NOT_FLOWN);
  }

  static Mix mix(String id, MixSource source, String subject, double weight, String... to) {
    List<MixTarget> targets = java.util.Arrays.stream(to).map(t -> MixTarget.even(t, 1)).toList();
    return new Mix(
        id, id, "", source, subject, weight, weight, 0, List.of(), targets, "", List.of(), 0);
  }

  /** Two elevons and a motor with everything in order: two phases on one switch. */
  static Setup clean() {
    Setup plain = Rigs.plain();
    List<Channel> channels = new ArrayList<>(plain.channels());
    channels.add(new Channel(3, "motor", Channel.THROTTLE, false, 0, 100, 100, 0));
    return plain
        .change()
        .channels(channels)
        .airframe(plain.airframe().withMotors(List.of(new Motor("motor", "Motor", 3, 0, 0, 250))))
        .conditions(List.of(HIGH))
        .phases(List.of(phase("landing", "high"), phase("flight", "")))
        .power(power(List.of(ThrottleCurve.PLAIN), -100, -100, List.of()))
        .done();
  }

  static Power power(
      List<ThrottleCurve> curves, double cut, double failsafe, List<FlightTimer> timers) {
    return new Power(
        "",
        false,
        curves,
        "",
        cut,
        "",
        true,
        List.of(new FailsafeSetting(3, false, failsafe)),
        true,
        List.of(),
        timers,
        List.of(),
        0);
  }

  static Setup planted(HazardKind kind) {
    Setup clean = clean();
    return switch (kind) {
      case MOTOR_STARTS ->
          clean
              .change()
              .power(power(List.of(ThrottleCurve.PLAIN, OFF), -100, -100, List.of()))
              .done();
      case MOTOR_RISES ->
          clean
              .change()
              .phases(List.of(soft(phase("landing", "high")), soft(phase("flight", ""))))
              .power(
                  power(
                      List.of(ThrottleCurve.PLAIN, curve(List.of("landing"), -100, 0)),
                      -100,
                      -100,
                      List.of()))
              .done();
      case SURFACE_JUMPS ->
          clean
              .change()
              .phases(
                  List.of(
                      phase("landing", "high", new Preset("left", 40), new Preset("right", 40)),
                      phase("flight", "")))
              .done();
      case SWITCH_MOVES -> steady("left");
      case FAILSAFE_END -> {
        List<FailsafeSetting> held = new ArrayList<>(clean.power().failsafe());
        held.add(new FailsafeSetting(1, false, 100));
        yield clean.change().power(clean.power().withFailsafe(held)).done();
      }
      case CUT_DISAGREES ->
          clean.change().power(power(List.of(ThrottleCurve.PLAIN), 0, -100, List.of())).done();
      case CANNOT_STOP ->
          clean
              .change()
              .power(
                  power(
                      List.of(ThrottleCurve.PLAIN, curve(List.of("landing"), -40, 100)),
                      -100,
                      -100,
                      List.of()))
              .done();
      case LINKAGE_LOCKS -> horn(clean, 6);
      case RUNS_OUT ->
          clean
              .change()
              .mixes(List.of(mix("much", MixSource.RESPONSE, "pitch", 100, "left", "right")))
              .done();
      case PAIR_UNEQUAL ->
          clean
              .change()
              .phases(
                  List.of(phase("landing", "high", new Preset("left", 20)), phase("flight", "")))
              .done();
      case SURFACES_TOUCH ->
          clean.change().contacts(List.of(new Contact("right", 25, "left", 0))).done();
      case CONTROL_DEAD ->
          clean
              .change()
              .feelSets(
                  List.of(
                      new FeelSet(
                          "none",
                          "None",
                          "",
                          List.of("landing"),
                          true,
                          false,
                          false,
                          new Feel(Response.even(0, 0), Response.even(0, 0), Response.even(0, 0)))))
              .done();
      case CONDITION_NEVER ->
          clean
              .change()
              .conditions(
                  List.of(
                      HIGH,
                      LOW,
                      new Condition(
                          "both", "both", ConditionKind.AND, "", 0, List.of("high", "low"), 0)))
              .done();
      case SWITCH_TWICE ->
          clean
              .change()
              .feelSets(
                  List.of(
                      new FeelSet(
                          "soft", "Soft", "high", List.of(), true, true, true, clean.feel())))
              .done();
      case MIX_NEVER ->
          clean.change().mixes(List.of(mix("idle", MixSource.STICK, "yaw", 0, "left"))).done();
      case TRIM_COMMON ->
          clean
              .change()
              .phases(
                  List.of(
                      phase("landing", "high", new Preset("left", 10), new Preset("right", 10)),
                      phase("flight", "")))
              .done();
      case TIMER_NEVER ->
          clean
              .change()
              .conditions(
                  List.of(
                      HIGH,
                      LOW,
                      new Condition(
                          "both", "both", ConditionKind.AND, "", 0, List.of("high", "low"), 0)))
              .power(
                  power(
                      List.of(ThrottleCurve.PLAIN),
                      -100,
                      -100,
                      List.of(new FlightTimer("t", "T", false, 0, "both", "", List.of()))))
              .done();
    };
  }

  /** Just short of what {@link #planted} has: worked out by hand where a figure decides. */
  private static Setup near(HazardKind kind) {
    Setup clean = clean();
    return switch (kind) {
      // 82 % is 91 % of power: nine less than all, and ten is a jump.
      case MOTOR_STARTS -> curved(clean.phases(), -100, 82);
      case MOTOR_RISES ->
          curved(List.of(soft(phase("landing", "high")), soft(phase("flight", ""))), -100, 82);
      // -99.2 % is 0.4 % of power.
      case CANNOT_STOP -> curved(clean.phases(), -99.2, 100);
      // 5 µs are a percent: 15 µs from the stop.
      case CUT_DISAGREES ->
          clean.change().power(power(List.of(ThrottleCurve.PLAIN), -97, -97, List.of())).done();
      // 36° of a 12 mm arm are 7.1 mm: a horn of 10 mm follows, one of 6 mm cannot.
      case LINKAGE_LOCKS -> horn(clean, 10);
      case RUNS_OUT ->
          clean
              .change()
              .mixes(List.of(mix("little", MixSource.RESPONSE, "pitch", 20, "left", "right")))
              .done();
      // 10 % are 4.5°, 3.9 mm of the 6 that upset.
      case SURFACE_JUMPS -> preset(clean, 10, 10);
      case SWITCH_MOVES -> steady("right");
      case FAILSAFE_END -> {
        List<FailsafeSetting> held = new ArrayList<>(clean.power().failsafe());
        held.add(new FailsafeSetting(1, false, 30));
        yield clean.change().power(clean.power().withFailsafe(held)).done();
      }
      // 2 % are 0.9°, 0.8 mm of the 1 that pulls.
      case PAIR_UNEQUAL -> preset(clean, 2, 0);
      // Both go up 25 mm only with more than all of pitch.
      case SURFACES_TOUCH ->
          clean.change().contacts(List.of(new Contact("right", 25, "left", 25))).done();
      case CONTROL_DEAD -> {
        Response little = Response.even(1, 0);
        yield sets(
            clean,
            new FeelSet(
                "some",
                "Some",
                "",
                List.of("landing"),
                true,
                false,
                false,
                new Feel(little, little, little)));
      }
      case CONDITION_NEVER -> either(clean, List.of());
      case SWITCH_TWICE ->
          sets(clean, new FeelSet("soft", "Soft", "", List.of(), true, true, true, clean.feel()));
      case MIX_NEVER ->
          clean.change().mixes(List.of(mix("idle", MixSource.STICK, "yaw", 1, "left"))).done();
      case TRIM_COMMON -> preset(clean, 1, 1);
      case TIMER_NEVER ->
          either(clean, List.of(new FlightTimer("t", "T", false, 0, "either", "", List.of())));
    };
  }

  /** Another hole of the right elevon's horn. */
  private static Setup horn(Setup clean, double radiusMm) {
    Surface right = clean.surface("right").orElseThrow();
    Rod rod = right.rod();
    Linkage other = rod.linkage().withHorn(radiusMm);
    return clean.withSurface(
        right.withRod(new Rod(rod.driver(), rod.driverId(), other, rod.end(), rod.adjustedMm())));
  }

  /** Three percent up on the left only, softly, with a channel no switch may move. */
  private static Setup steady(String carries) {
    Setup clean = clean();
    List<Channel> channels =
        clean.channels().stream().map(one -> one.held(one.carries().equals(carries))).toList();
    return clean
        .change()
        .channels(channels)
        .phases(
            List.of(
                soft(phase("landing", "high", new Preset("left", 3))), soft(phase("flight", ""))))
        .done();
  }

  /** A switch that turns the controller round does so at any throttle; without the wire nothing. */
  @Test
  void aReverserOnAChannelOfItsOwnTurnsARunningMotor() {
    Setup clean = clean();
    List<Channel> channels = new ArrayList<>(clean.channels());
    channels.add(new Channel(4, "Reverse", "switch", false, 0, 100, 100, 0));
    Setup wired = clean.change().channels(channels).done();
    Motor motor = wired.airframe().motors().get(0);
    Setup turned =
        wired
            .change()
            .airframe(wired.airframe().withMotors(List.of(motor.reversedOn(4))))
            .phases(List.of(soft(phase("landing", "high")), soft(phase("flight", ""))))
            .done();
    assertThat(HazardSearch.of(SignalPath.of(wired)).hazards()).isEmpty();
    List<Hazard> found = HazardSearch.of(SignalPath.of(turned)).hazards();
    assertThat(found).extracting(Hazard::kind).containsExactly(HazardKind.MOTOR_STARTS);
    assertThat(say(found.get(0).words())).contains("from 100 % to 100 % backwards");
    // No fade of a phase takes the wire in hand.
    assertThat(found.get(0).mends()).isEmpty();
    SignalPath path = SignalPath.of(turned);
    Reversers reversers = new Reversers(path);
    List<Moment> at = found.get(0).moments();
    assertThat(reversers.back(0, at.get(0))).isNotEqualTo(reversers.back(0, at.get(1)));
    assertThat(path.motorPower(at.get(1))).isEqualTo(1);
  }

  private static Setup curved(List<Phase> phases, double low, double high) {
    List<ThrottleCurve> curves = List.of(ThrottleCurve.PLAIN, curve(List.of("landing"), low, high));
    return clean().change().phases(phases).power(power(curves, -100, -100, List.of())).done();
  }

  private static Setup preset(Setup clean, double left, double right) {
    return clean
        .change()
        .phases(
            List.of(
                phase("landing", "high", new Preset("left", left), new Preset("right", right)),
                phase("flight", "")))
        .done();
  }

  private static Setup sets(Setup clean, FeelSet set) {
    return clean.change().feelSets(List.of(set)).done();
  }

  private static Setup either(Setup clean, List<FlightTimer> timers) {
    return clean
        .change()
        .conditions(
            List.of(
                HIGH,
                LOW,
                new Condition(
                    "either", "either", ConditionKind.OR, "", 0, List.of("high", "low"), 0)))
        .power(power(List.of(ThrottleCurve.PLAIN), -100, -100, timers))
        .done();
  }

  @ParameterizedTest
  @EnumSource(HazardKind.class)
  void justShortOfItThereIsNone(HazardKind kind) {
    assertThat(HazardSearch.of(SignalPath.of(near(kind))).hazards())
        .extracting(Hazard::kind)
        .doesNotContain(kind);
  }

  @Test
  void aCleanSetupHasNone() {
    assertThat(HazardSearch.of(SignalPath.of(clean())).hazards()).isEmpty();
  }

  @ParameterizedTest
  @EnumSource(HazardKind.class)
  void eachPlantedHazardIsFoundWithItsWay(HazardKind kind) {
    HazardSearch.Outcome outcome = HazardSearch.of(SignalPath.of(planted(kind)));
    assertThat(outcome.complete()).isTrue();
    assertThat(outcome.hazards()).extracting(Hazard::kind).contains(kind);
    Hazard found =
        outcome.hazards().stream().filter(one -> one.kind() == kind).findFirst().orElseThrow();
    assertThat(say(found.way())).as("the way there").startsWith(way(kind).toArray(String[]::new));
    happens(found, SignalPath.of(planted(kind)));
  }

  /** Which switch, which stick: worked out by hand from what was planted. */
  private static List<String> way(HazardKind kind) {
    return switch (kind) {
      case MOTOR_STARTS ->
          List.of("switch at position 3", "throttle at 100 %", "then switch at position 1");
      case MOTOR_RISES ->
          List.of("switch at position 3", "throttle at 100 %", "then switch at position 1");
      case SURFACE_JUMPS -> List.of("switch at position 1", "then switch at position 3");
      case SWITCH_MOVES -> List.of("switch at position 1");
      case CANNOT_STOP -> List.of("switch at position 3");
      case RUNS_OUT -> List.of("switch at position 1", "roll stick at 100 %");
      case LINKAGE_LOCKS -> List.of("switch at position 1");
      case PAIR_UNEQUAL -> List.of("switch at position 3");
      case SURFACES_TOUCH ->
          List.of("switch at position 1", "roll stick at 100 %", "pitch stick at 100 %");
      case CONTROL_DEAD -> List.of("switch at position 3");
      default -> List.of();
    };
  }

  /** The moments of a hazard, evaluated one by one: does it happen there? */
  private static void happens(Hazard hazard, SignalPath path) {
    List<Moment> moments = hazard.moments();
    switch (hazard.kind()) {
      case MOTOR_STARTS -> {
        assertThat(say(hazard.words())).contains("from 0 % to 100 %");
        assertThat(path.motorPower(moments.get(0))).isZero();
        assertThat(path.motorPower(moments.get(1))).isEqualTo(1);
        assertThat(moments.get(0).throttle()).isEqualTo(moments.get(1).throttle());
      }
      case MOTOR_RISES -> {
        assertThat(say(hazard.words())).contains("from 50 % to 100 % over 2.0 s");
        assertThat(path.motorPower(moments.get(0))).isEqualTo(0.5);
        assertThat(path.motorPower(moments.get(1))).isEqualTo(1);
      }
      case SURFACE_JUMPS -> {
        double before = path.evaluate(moments.get(0)).travelMm()[path.indexOf("left")];
        double after = path.evaluate(moments.get(1)).travelMm()[path.indexOf("left")];
        assertThat(after - before).isGreaterThan(path.setup().house().surfaceJumpMm());
      }
      case SWITCH_MOVES -> {
        double before = path.evaluate(moments.get(0)).travelMm()[path.indexOf("left")];
        double after = path.evaluate(moments.get(1)).travelMm()[path.indexOf("left")];
        // 3 % are 1.35° of a parallelogram, 1.2 mm of its 50 where it stands level.
        assertThat(Math.abs(after - before)).isBetween(0.8, 1.3);
      }
      case CANNOT_STOP -> {
        assertThat(moments.get(0).throttle()).isZero();
        assertThat(path.motorPower(moments.get(0))).isEqualTo(0.3);
      }
      case LINKAGE_LOCKS -> {
        Positions there = path.evaluate(moments.get(0));
        int right = path.indexOf("right");
        double arm = there.armDegrees()[path.servoIndexBehind(right)];
        assertThat(path.bar(right).surfaceAngle(arm)).isNaN();
      }
      case RUNS_OUT -> {
        Positions there = path.evaluate(moments.get(0));
        int channel = path.channelBehind(path.indexOf(hazard.subject()));
        Output output = path.output(channel);
        double free = output.freePulse(there.commandPercent()[channel]);
        assertThat(Math.abs(free - there.pulseMicroseconds()[channel])).isGreaterThan(1);
      }
      case PAIR_UNEQUAL -> {
        double[] mm = path.evaluate(moments.get(0)).travelMm();
        double apart = Math.abs(mm[path.indexOf("left")] - mm[path.indexOf("right")]);
        assertThat(apart).isGreaterThan(path.setup().house().pairMm());
      }
      case SURFACES_TOUCH -> {
        double[] mm = path.evaluate(moments.get(0)).travelMm();
        Contact contact = path.setup().contacts().get(0);
        assertThat(contact.touches(mm[path.indexOf("right")], mm[path.indexOf("left")])).isTrue();
      }
      case CONTROL_DEAD -> {
        Control dead = Control.ROLL;
        double[] rest = path.evaluate(moments.get(0).with(dead, 0)).travelMm();
        assertThat(path.evaluate(moments.get(0).with(dead, 1)).travelMm()).isEqualTo(rest);
      }
      case CUT_DISAGREES, FAILSAFE_END -> {
        BenchRun run = new BenchRun(path);
        moments.forEach(one -> run.step(new BenchHands(one, false), 10));
        Moment last = moments.get(moments.size() - 1);
        boolean lost = hazard.showing().linkLost();
        Positions there = run.step(new BenchHands(last, lost), 1).positions();
        if (hazard.kind() == HazardKind.FAILSAFE_END) {
          double[] rest = path.evaluate(Moment.centred(Trims.ZERO)).travelMm();
          int surface = path.indexOf(hazard.subject());
          assertThat(Math.abs(there.travelMm()[surface] - rest[surface])).isGreaterThan(6);
        } else {
          assertThat(Math.abs(there.pulseMicroseconds()[2] - 1000)).isGreaterThan(20);
        }
      }
      default -> assertThat(moments).as("nothing moves").isEmpty();
    }
  }

  @Test
  void aMotorThatIsTurnedRoundAtOnceIsFoundAndOneThatFadesIsNot() {
    ThrottleCurve forward = curve(List.of(), 0, 100);
    ThrottleCurve backward = curve(List.of("landing"), 0, -30);
    Power plain = power(List.of(backward, forward), 0, 0, List.of());
    Power bothWays =
        new Power(
            plain.throttleInput(),
            true,
            plain.curves(),
            plain.cutWhen(),
            plain.cutPercent(),
            plain.armWhen(),
            plain.releaseWithStickBack(),
            plain.failsafe(),
            plain.throttleWarning(),
            plain.startPositions(),
            plain.timers(),
            plain.alarms(),
            0);
    Setup setup = clean().change().power(bothWays).done();
    assertThat(HazardSearch.of(SignalPath.of(setup)).hazards())
        .filteredOn(one -> one.kind() == HazardKind.MOTOR_STARTS)
        .isNotEmpty()
        .anySatisfy(one -> assertThat(say(one.words())).contains("backwards"));
    List<Phase> faded = setup.phases().stream().map(HazardSearchTest::soft).toList();
    Setup soft = setup.change().phases(faded).done();
    assertThat(HazardSearch.of(SignalPath.of(soft)).hazards())
        .noneMatch(one -> one.kind() == HazardKind.MOTOR_STARTS);
  }

  @Test
  void itCanBeStopped() {
    HazardSearch.Outcome outcome =
        HazardSearch.of(SignalPath.of(planted(HazardKind.MIX_NEVER)), () -> true, part -> {});
    assertThat(outcome.complete()).isFalse();
    assertThat(outcome.hazards()).isEmpty();
  }

  /** The demo glider with more switches of three positions, each with something that listens. */
  private static Setup glider(int more) {
    Setup glider = DemoModels.read("larkmere");
    List<TransmitterInput> inputs = new ArrayList<>(glider.transmitter().inputs());
    List<Condition> conditions = new ArrayList<>(glider.conditions());
    List<Mix> mixes = new ArrayList<>(glider.mixes());
    for (int i = 0; i < more; i++) {
      String id = "more-" + i;
      inputs.add(new TransmitterInput(id, id, InputKind.SWITCH, 3));
      conditions.add(new Condition(id, id, ConditionKind.SWITCH_AT, id, 2, List.of(), 0));
      mixes.add(
          new Mix(
              id,
              id,
              "",
              MixSource.CONSTANT,
              "",
              1,
              1,
              0,
              List.of(),
              List.of(MixTarget.even("flap-left", 1)),
              id,
              List.of(),
              0));
    }
    return glider
        .change()
        .transmitter(glider.transmitter().withInputs(inputs))
        .conditions(conditions)
        .mixes(mixes)
        .done();
  }

  /** Stopped wherever it is, nothing that only a whole search knows is said, and nothing proven. */
  @Test
  void aSearchThatIsStoppedSaysSo() {
    SignalPath path = SignalPath.of(glider(6));
    HazardSearch.Outcome whole = HazardSearch.of(path);
    assertThat(whole.ending()).isEqualTo(HazardSearch.Ending.WHOLE);
    for (int part = 0; part < 10; part++) {
      HazardSearch.Outcome stopped =
          HazardSearch.of(path, whole.work() * part / 10, () -> false, done -> {});
      assertThat(stopped.ending()).isEqualTo(HazardSearch.Ending.TOO_LARGE);
      assertThat(stopped.complete()).isFalse();
      assertThat(stopped.hazards()).extracting(Hazard::kind).noneMatch(HazardSearchTest::never);
    }
  }

  /** Fourteen switches more are five million times as many states, and hardly more to look at. */
  @Test
  void switchesThatCountByThemselvesAreLookedAtByThemselves() {
    HazardSearch.Outcome few = HazardSearch.of(SignalPath.of(glider(2)));
    HazardSearch.Outcome many = HazardSearch.of(SignalPath.of(glider(14)));
    assertThat(many.ending()).isEqualTo(HazardSearch.Ending.WHOLE);
    assertThat(many.states()).isEqualTo(few.states() * (long) Math.pow(3, 12));
    assertThat(many.work()).isLessThan(20 * few.work());
    assertThat(many.hazards()).extracting(Hazard::kind).contains(HazardKind.PAIR_UNEQUAL);
  }

  private static boolean never(HazardKind kind) {
    return List.of(HazardKind.CONDITION_NEVER, HazardKind.MIX_NEVER, HazardKind.TIMER_NEVER)
        .contains(kind);
  }
}
