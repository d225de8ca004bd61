package hightally.core.simulator;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.Rigs;
import hightally.core.airframe.Motor;
import hightally.core.channel.Channel;
import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.program.CurvePoint;
import hightally.core.program.FailsafeSetting;
import hightally.core.program.FlightTimer;
import hightally.core.program.NoseNote;
import hightally.core.program.Phase;
import hightally.core.program.PhaseRole;
import hightally.core.program.Power;
import hightally.core.program.Preset;
import hightally.core.program.TelemetryAlarm;
import hightally.core.program.ThrottleCurve;
import hightally.core.program.Trims;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;

class BenchRunTest {
  private static final Moment REST =
      Moment.centred(Trims.ZERO).withThrottle(0, false).withInput(1, 0);
  private static final Moment LANDING = REST.withInput(1, 1);

  private static Setup setup(double holdSeconds) {
    Setup plain = Rigs.plain();
    List<Channel> channels = new ArrayList<>(plain.channels());
    channels.add(new Channel(3, "motor", Channel.THROTTLE, false, 0, 100, 100, 0));
    Condition three =
        new Condition(
            "three", "Three", ConditionKind.SWITCH_AT, "switch", 3, List.of(), holdSeconds);
    Condition cut = new Condition("cut", "Cut", ConditionKind.SWITCH_AT, "switch", 2, List.of(), 0);
    Phase landing =
        new Phase(
            "landing",
            "Landing",
            "",
            PhaseRole.OTHER,
            "three",
            2,
            List.of(new Preset("left", 40), new Preset("right", 40)),
            List.of(),
            false,
            false,
            false,
            Trims.ZERO,
            NoseNote.NOT_FLOWN);
    Power power =
        new Power(
            "",
            false,
            List.of(ThrottleCurve.PLAIN),
            "cut",
            -100,
            "",
            true,
            List.of(new FailsafeSetting(3, false, -100)),
            true,
            List.of(),
            List.of(new FlightTimer("t", "Pack", true, 65, "", "", List.of(60.0))),
            List.of(new TelemetryAlarm("Weak", "link", 50, 1)),
            0);
    return plain
        .change()
        .channels(channels)
        .airframe(plain.airframe().withMotors(List.of(new Motor("motor", "Motor", 3, 0, 0, 250))))
        .conditions(List.of(three, cut))
        .phases(List.of(landing, plain.basePhase()))
        .power(power)
        .done();
  }

  private static BenchMoment step(BenchRun run, Moment moment, double seconds) {
    return run.step(new BenchHands(moment, false), seconds);
  }

  @Property(tries = 100)
  void aFadeIsAStraightLineAndEndsWhereItShould(
      @ForAll @DoubleRange(min = 0.01, max = 1.9) double after) {
    BenchRun run = new BenchRun(SignalPath.of(setup(0)));
    step(run, REST, 0);
    assertThat(step(run, LANDING, 0.5).positions().commandPercent()[0]).isZero();
    double command = step(run, LANDING, after).positions().commandPercent()[0];
    assertThat(command).isCloseTo(40 * after / 2, within(1e-9));
    assertThat(step(run, LANDING, 2 - after).positions().commandPercent()[0]).isEqualTo(40);
    assertThat(step(run, LANDING, 1).busy()).as("the timer runs on").isTrue();
  }

  /** Land, middle, flight: three phases on one switch, each fading in for three seconds. */
  private static Setup threePhases() {
    Setup one = setup(0);
    Condition middle =
        new Condition("middle", "Middle", ConditionKind.SWITCH_AT, "switch", 2, List.of(), 0);
    ThrottleCurve little =
        new ThrottleCurve(
            List.of("landing"), List.of(new CurvePoint(-100, -100), new CurvePoint(100, -94)));
    Power power =
        one.power()
            .withCurves(List.of(ThrottleCurve.PLAIN, little))
            .without("cut", one.power().timers());
    return one.change()
        .conditions(List.of(one.conditions().get(0), middle))
        .phases(
            List.of(
                phase("landing", "three", 40),
                phase("middle", "middle", -20),
                phase("flight", "", 0)))
        .power(power)
        .done();
  }

  private static Phase phase(String id, String when, double preset) {
    List<Preset> presets = List.of(new Preset("left", preset), new Preset("right", preset));
    return new Phase(
        id,
        id,
        "",
        PhaseRole.OTHER,
        when,
        3,
        presets,
        List.of(),
        false,
        false,
        false,
        Trims.ZERO,
        NoseNote.NOT_FLOWN);
  }

  @Example
  void aSecondFlickDuringAFadeGoesOnFromWhereThingsStand() {
    BenchRun run = new BenchRun(SignalPath.of(threePhases()));
    Moment full = REST.withThrottle(1, false);
    assertThat(step(run, full.withInput(1, 1), 0).motorPower()).isCloseTo(0.03, within(1e-9));
    step(run, full.withInput(1, 0.5), 0.5);
    BenchMoment halfWay = step(run, full.withInput(1, 0.5), 1.5);
    // Half of the way from 40 to -20 %, and from 3 to 100 % power.
    assertThat(halfWay.positions().commandPercent()[0]).isCloseTo(10, within(1e-9));
    assertThat(halfWay.motorPower()).isCloseTo(0.515, within(1e-9));
    BenchMoment flicked = step(run, full, 0);
    assertThat(flicked.positions().commandPercent()[0]).isCloseTo(10, within(1e-9));
    assertThat(flicked.motorPower()).isCloseTo(0.515, within(1e-9));
    BenchMoment later = step(run, full, 1);
    // Flight weighs a third; land and middle share what is left as they stood, half and half.
    assertThat(later.positions().commandPercent()[0]).isCloseTo(2 / 3.0 * 10, within(1e-9));
    assertThat(later.motorPower()).isCloseTo(0.515 + 0.485 / 3, within(1e-9));
    assertThat(step(run, full, 2).positions().commandPercent()[0]).isZero();
    assertThat(step(run, full, 0).motorPower()).isEqualTo(1);
  }

  /** Whatever is flicked whenever, nothing runs faster than a fade of three seconds allows. */
  @Property(tries = 200)
  void noFlickMakesASurfaceOrTheMotorJump(
      @ForAll List<@IntRange(min = 0, max = 2) Integer> flicks, @ForAll long seed) {
    BenchRun run = new BenchRun(SignalPath.of(threePhases()));
    Random random = new Random(seed);
    Moment now = REST.withThrottle(1, false);
    BenchMoment before = step(run, now, 0);
    for (int flick : flicks) {
      now = now.withInput(1, flick / 2.0);
      double seconds = random.nextInt(5) * 0.2;
      BenchMoment after = step(run, now, seconds);
      double surface =
          after.positions().commandPercent()[0] - before.positions().commandPercent()[0];
      assertThat(Math.abs(surface)).isLessThanOrEqualTo(60 * seconds / 3 + 1e-9);
      // From where it stands to what is asked over the rest of the fade: never a step from nothing.
      double rise = after.motorPower() - before.motorPower();
      assertThat(rise).isLessThanOrEqualTo(seconds == 0 ? 1e-9 : 1);
      if (flick == 2) {
        assertThat(after.motorPower()).as("less power at once").isLessThanOrEqualTo(0.03 + 1e-9);
      }
      before = after;
    }
  }

  @Example
  void aMotorThatTurnsRoundStopsFirst() {
    Setup one = threePhases();
    ThrottleCurve back =
        new ThrottleCurve(
            List.of("middle"), List.of(new CurvePoint(-100, 0), new CurvePoint(100, -30)));
    ThrottleCurve ahead =
        new ThrottleCurve(List.of(), List.of(new CurvePoint(-100, 0), new CurvePoint(100, 100)));
    Power both =
        new Power(
            "",
            true,
            List.of(ahead, back),
            "",
            0,
            "",
            true,
            List.of(),
            true,
            List.of(),
            List.of(),
            List.of(),
            0);
    BenchRun run = new BenchRun(SignalPath.of(one.change().power(both).done()));
    Moment full = REST.withThrottle(1, false);
    assertThat(step(run, full, 0).positions().commandPercent()[2]).isEqualTo(100);
    assertThat(step(run, full.withInput(1, 0.5), 0.1).positions().commandPercent()[2]).isZero();
    assertThat(step(run, full.withInput(1, 0.5), 1.5).positions().commandPercent()[2])
        .isCloseTo(-15, within(1e-9));
  }

  @Example
  void aCutThatLetsGoFadesTheMotorIn() {
    Setup one = threePhases();
    Power plain = one.power();
    Power cut =
        new Power(
            "",
            false,
            plain.curves(),
            "middle",
            -100,
            "",
            false,
            List.of(),
            true,
            List.of(),
            List.of(),
            List.of(),
            0);
    BenchRun run = new BenchRun(SignalPath.of(one.change().power(cut).done()));
    Moment full = REST.withThrottle(1, false);
    assertThat(step(run, full, 0).motorPower()).isEqualTo(1);
    assertThat(step(run, full.withInput(1, 0.5), 0.1).motorPower()).isZero();
    assertThat(step(run, full, 1).motorPower()).as("let go").isZero();
    assertThat(step(run, full, 1.5).motorPower()).isCloseTo(0.5, within(1e-9));
  }

  @Example
  void theCutLetsGoOnlyWithTheStickBack() {
    BenchRun run = new BenchRun(SignalPath.of(setup(0)));
    Moment up = REST.withThrottle(0.6, false);
    Moment cut = up.withInput(1, 0.5);
    assertThat(step(run, up, 0).motorPower()).isCloseTo(0.6, within(1e-9));
    assertThat(step(run, cut, 0.1).motorPower()).isZero();
    BenchMoment released = step(run, up, 0.1);
    assertThat(released.motorHeld()).isTrue();
    assertThat(released.motorPower()).isZero();
    step(run, REST, 0.1);
    assertThat(step(run, up, 0.1).motorPower()).isCloseTo(0.6, within(1e-9));
  }

  @Example
  void aLostLinkShowsTheFailsafeAndSoundsItsAlarm() {
    BenchRun run = new BenchRun(SignalPath.of(setup(0)));
    Moment flying = REST.withThrottle(0.7, false).with(hightally.core.quantity.Control.PITCH, 0.5);
    BenchMoment heard = step(run, flying, 0.1);
    BenchMoment lost = run.step(new BenchHands(REST, true), 0.6);
    assertThat(lost.motorPower()).isZero();
    assertThat(lost.positions().travelMm()[1]).isEqualTo(heard.positions().travelMm()[1]);
    assertThat(lost.alarms()).isEmpty();
    assertThat(run.step(new BenchHands(REST, true), 0.9).alarms()).isEmpty();
    assertThat(run.step(new BenchHands(REST, true), 0.2).alarms()).containsExactly("Weak");
  }

  @Example
  void timersSpeakAndConditionsWaitUntilTheyHaveHeld() {
    BenchRun run = new BenchRun(SignalPath.of(setup(1)));
    step(run, REST, 0);
    assertThat(step(run, LANDING, 0.6).phase()).isEqualTo(1);
    assertThat(step(run, LANDING, 0.6).phase()).as("a pause before it does not count").isEqualTo(1);
    assertThat(step(run, LANDING, 0.5).phase()).isZero();
    BenchMoment later = step(run, LANDING, 4);
    assertThat(say(later.spoken())).containsExactly("Pack: 1 min 0 s");
    assertThat(later.timerSeconds().get(0)).isCloseTo(59.3, within(1e-9));
  }

  @Example
  void switchingOnWarnsUntilThrottleIsBack() {
    BenchRun run = new BenchRun(SignalPath.of(setup(0)));
    Moment forward = REST.withThrottle(0.4, false);
    assertThat(say(step(run, forward, 0).warnings())).containsExactly("Close the throttle.");
    assertThat(say(step(run, REST, 0.1).warnings())).isEmpty();
    assertThat(say(step(run, forward, 0.1).warnings())).as("only at switch-on").isEmpty();
  }
}
