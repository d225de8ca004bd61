package hightally.core.wiring;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import hightally.core.English;
import hightally.core.Rigs;
import hightally.core.airframe.PanelRole;
import hightally.core.airframe.Side;
import hightally.core.airframe.Surface;
import hightally.core.airframe.SurfaceRole;
import hightally.core.channel.Channel;
import hightally.core.channel.InputKind;
import hightally.core.channel.StickFunction;
import hightally.core.channel.SubTrimMode;
import hightally.core.channel.Transmitter;
import hightally.core.channel.TransmitterInput;
import hightally.core.edit.PartWish;
import hightally.core.edit.PartWish.NewPartKind;
import hightally.core.edit.PartsAdded;
import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.program.Phase;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.Readings;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.assertj.core.groups.Tuple;

class TransmitterMoveTest {
  @Property(tries = 300)
  void thereAndBackNothingMovesDifferently(
      @ForAll long seed,
      @ForAll @IntRange(min = -40, max = 40) int clicks,
      @ForAll @DoubleRange(min = -1, max = 1) double roll,
      @ForAll @DoubleRange(min = -1, max = 1) double pitch) {
    Setup home = Rigs.random(seed).withTrims(new Trims(clicks, -clicks / 3, 0));
    TransmitterMove.Moved away = TransmitterMove.of(home, other(new Random(seed)));
    TransmitterMove.Moved back = TransmitterMove.of(away.setup(), home.transmitter());
    double[] before = travel(home, roll, pitch);
    double[] there = travel(away.setup(), roll, pitch);
    double[] again = travel(back.setup(), roll, pitch);
    for (int i = 0; i < before.length; i++) {
      assertThat(Math.abs(there[i] - before[i])).as("there").isLessThan(1e-9);
      assertThat(Math.abs(again[i] - before[i])).as("and back").isLessThan(1e-9);
    }
    assertThat(away.largestMm()).isLessThan(1e-9);
  }

  /** Another order, centre, pulse, click, sub-trim; wide enough limits that nothing is cut off. */
  private static Transmitter other(Random random) {
    SubTrimMode mode = random.nextBoolean() ? SubTrimMode.SHIFT : SubTrimMode.FIXED_ENDS;
    List<StickFunction> order = new ArrayList<>(List.of(StickFunction.values()));
    Collections.shuffle(order, random);
    return Rigs.transmitter(
        mode,
        1480 + random.nextInt(60),
        430 + random.nextInt(170),
        0.2 + random.nextDouble(),
        order.toArray(StickFunction[]::new));
  }

  private static double[] travel(Setup setup, double roll, double pitch) {
    Moment moment = new Moment(roll, pitch, 0, 0, true, setup.trims(), List.of(), Readings.NORMAL);
    return SignalPath.of(setup).evaluate(moment).travelMm();
  }

  @Example
  void channelsFollowTheNewOrderAndWhatTheTransmitterLacksIsSaid() {
    Transmitter narrow =
        Rigs.transmitter(
            SubTrimMode.SHIFT,
            1500,
            200,
            0.5,
            StickFunction.THROTTLE,
            StickFunction.YAW,
            StickFunction.PITCH,
            StickFunction.ROLL);
    TransmitterMove.Moved moved = TransmitterMove.of(Rigs.plain(), narrow);
    // Both elevons take half of roll and pitch: one goes where pitch is, the other where roll is.
    assertThat(moved.setup().channels()).extracting("number").containsExactly(3, 4);
    // 500 µs for 100 % on a transmitter with 200 µs needs 250 %, more than any endpoint.
    assertThat(say(moved.notes())).anyMatch(note -> note.contains("endpoint of 250 %"));
  }

  @Property(tries = 100)
  void theProgramGoesWithItsLeversAndItsFailsafe(@ForAll long seed) {
    Setup home = withRetracts(seed);
    Transmitter other = other(new Random(seed));
    List<TransmitterInput> renamed =
        List.of(
            new TransmitterInput("toggle", "toggle", InputKind.SWITCH, 3),
            new TransmitterInput("slider", "slider", InputKind.LEVER, 0));
    TransmitterMove.Moved away = TransmitterMove.of(home, other.withInputs(renamed));
    Setup there = away.setup();
    assertThat(there.power().throttleInput()).isEqualTo("slider");
    assertThat(there.device("toggle")).isPresent();
    int motor = there.airframe().motors().get(0).channel();
    assertThat(there.power().failsafe()).extracting("channel").containsExactly(motor);
    for (double place : new double[] {0, 0.4, 1}) {
      // The lever is the other transmitter's second input, the switch its first.
      Moment here = Moment.centred(home.trims()).withInput(0, place).withInput(1, 1);
      Moment now = Moment.centred(there.trims()).withInput(1, place).withInput(0, 1);
      double[] before = SignalPath.of(home).evaluate(here).travelMm();
      double[] after = SignalPath.of(there).evaluate(now).travelMm();
      for (int i = 0; i < before.length; i++) {
        assertThat(Math.abs(after[i] - before[i])).isLessThan(1e-9);
      }
    }
  }

  /** A programmed rig whose motor follows the lever, and retracts that follow the switch. */
  private static Setup withRetracts(long seed) {
    PartWish motor =
        new PartWish(
            NewPartKind.MOTOR,
            "Motor",
            "",
            SurfaceRole.OTHER,
            PanelRole.WING,
            Side.CENTRE,
            false,
            "");
    PartWish retracts =
        new PartWish(
            NewPartKind.SIMPLE_CHANNEL,
            "Retracts",
            "",
            SurfaceRole.OTHER,
            PanelRole.WING,
            Side.CENTRE,
            false,
            "switch");
    Setup rig =
        PartsAdded.of(
            PartsAdded.of(Rigs.programmed(seed), motor, English.NAMES), retracts, English.NAMES);
    return rig.change().power(rig.power().throttleOn("lever")).done();
  }

  /**
   * Whole clicks of the new step, half a click away from nothing; what is left stays as a preset.
   */
  @Property(tries = 100)
  void trimsBecomeWholeClicksAndTheRestOfThemAPreset(
      @ForAll long seed, @ForAll @IntRange(min = -60, max = 60) int clicks) {
    Setup home = Rigs.programmed(seed).withTrims(new Trims(clicks, -clicks / 2, clicks / 3));
    double oldStep = home.transmitter().clickStepPercent();
    Transmitter other = other(new Random(seed)).withInputs(home.transmitter().inputs());
    int most = 40;
    Transmitter coarse = other.change().trimRangeClicks(most).done();
    TransmitterMove.Moved moved = TransmitterMove.of(home, coarse);
    int tooLarge = 0;
    for (Control control : Control.values()) {
      double exact = home.trims().of(control) * oldStep / coarse.clickStepPercent();
      int whole = (int) Math.floor(Math.abs(exact) + 0.5) * (exact < 0 ? -1 : 1);
      tooLarge += Math.abs(whole) > most ? 1 : 0;
      assertThat(moved.setup().trims().of(control))
          .as(control + " " + exact)
          .isEqualTo(Math.max(-most, Math.min(most, whole)));
    }
    List<String> said =
        moved.notes().stream()
            .filter(one -> one.code().equals("wiring.trimTooLarge"))
            .map(English::say)
            .toList();
    assertThat(said).hasSizeGreaterThanOrEqualTo(Math.min(1, tooLarge));
    if (clicks == 0) {
      assertThat(said).isEmpty();
    }
    for (Phase phase : home.phases()) {
      Phase there =
          moved.setup().phases().stream()
              .filter(one -> one.id().equals(phase.id()))
              .findFirst()
              .orElseThrow();
      for (Surface surface : home.surfaces()) {
        double before = phase.presetPercent(surface.id());
        double after = there.presetPercent(surface.id());
        for (Control control : Control.values()) {
          double share = surface.shares().of(control);
          before += share * phase.effective(home.trims()).of(control) * oldStep;
          after +=
              share
                  * there.effective(moved.setup().trims()).of(control)
                  * coarse.clickStepPercent();
        }
        assertThat(after)
            .as(surface.name() + " in " + phase.name())
            .isCloseTo(before, within(1e-9));
      }
    }
  }

  /** The lines are every surface at rest, and whatever a stick or a lever that is there moves. */
  @Property(tries = 40)
  void everyLineIsWhatMoves(@ForAll long seed) {
    Setup home = Rigs.programmed(seed);
    Random random = new Random(seed);
    List<TransmitterInput> some = new ArrayList<>(home.transmitter().inputs());
    some.remove(random.nextInt(2 * some.size()) % some.size());
    TransmitterMove.Moved moved = TransmitterMove.of(home, other(random).withInputs(some));
    Setup there = moved.setup();
    List<Tuple> wanted = new ArrayList<>();
    Moment rest = Moment.centred(home.trims());
    Moment now = Moment.centred(there.trims());
    lines(wanted, home, there, Said.of("place.rest"), rest, now, true);
    for (Control control : Control.values()) {
      for (int way : new int[] {1, -1}) {
        Said where = Said.of("place.stick", "control", control, "plus", way > 0);
        lines(wanted, home, there, where, rest.with(control, way), now.with(control, way), false);
      }
    }
    for (TransmitterInput input : some) {
      int was = home.transmitter().inputIndex(input.id());
      int is = there.transmitter().inputIndex(input.id());
      lines(
          wanted,
          home,
          there,
          Said.text(input.name()),
          rest.withInput(was, 1),
          now.withInput(is, 1),
          false);
    }
    assertThat(moved.lines())
        .extracting(
            TransmitterMove.MovedLine::surface,
            TransmitterMove.MovedLine::where,
            TransmitterMove.MovedLine::beforeMm,
            TransmitterMove.MovedLine::afterMm)
        .containsExactlyInAnyOrderElementsOf(wanted);
  }

  private static void lines(
      List<Tuple> wanted, Setup home, Setup there, Said where, Moment was, Moment is, boolean all) {
    double[] rest = SignalPath.of(home).evaluate(Moment.centred(home.trims())).travelMm();
    double[] before = SignalPath.of(home).evaluate(was).travelMm();
    double[] after = SignalPath.of(there).evaluate(is).travelMm();
    for (int i = 0; i < before.length; i++) {
      if (all || before[i] != rest[i] || after[i] != rest[i]) {
        wanted.add(tuple(home.surfaces().get(i).name(), where, before[i], after[i]));
      }
    }
  }

  /** Limits of the new transmitter: said where what is needed lies beyond them, and only there. */
  @Property(tries = 100)
  void whatLiesBeyondALimitIsSaid(@ForAll long seed) {
    Random random = new Random(seed);
    Setup home = Rigs.random(seed);
    Transmitter there =
        other(random)
            .change()
            .endpointLimitPercent(60 + random.nextInt(90))
            .subTrimLimitMicroseconds(random.nextInt(60))
            .done();
    TransmitterMove.Moved moved = TransmitterMove.of(home, there);
    List<Said> wanted = new ArrayList<>();
    for (Channel channel : home.channels()) {
      Channel now =
          moved.setup().channels().stream()
              .filter(one -> one.name().equals(channel.name()))
              .findFirst()
              .orElseThrow();
      double endpoint = Math.max(now.endpointLowPercent(), now.endpointHighPercent());
      if (endpoint > there.endpointLimitPercent() + 1e-9) {
        wanted.add(
            Said.of(
                "wiring.endpointBeyond",
                "channel",
                channel.name(),
                "wanted",
                Quantity.percent(endpoint),
                "limit",
                Quantity.percent(there.endpointLimitPercent())));
      }
      double subTrim = Math.abs(now.subTrimMicroseconds());
      if (subTrim > there.subTrimLimitMicroseconds() + 1e-9) {
        wanted.add(
            Said.of(
                "wiring.subTrimBeyond",
                "channel",
                channel.name(),
                "wanted",
                Quantity.microseconds(subTrim),
                "limit",
                Quantity.microseconds(there.subTrimLimitMicroseconds())));
      }
    }
    assertThat(
            moved.notes().stream()
                .filter(one -> one.code().endsWith("Beyond"))
                .map(English::say)
                .toList())
        .containsExactlyInAnyOrderElementsOf(wanted.stream().map(English::say).distinct().toList());
  }

  /** A place the other transmitter's switch does not have becomes its last; it is said. */
  @Property(tries = 60)
  void whereASwitchIsMissingAnotherIsAskedAndTheModelIsWhole(@ForAll long seed) {
    Setup home = Rigs.programmed(seed);
    Random random = new Random(seed);
    List<TransmitterInput> there = new ArrayList<>();
    if (random.nextBoolean()) {
      there.add(new TransmitterInput("wheel", "wheel", InputKind.LEVER, 0));
    }
    if (there.isEmpty() || random.nextBoolean()) {
      there.add(new TransmitterInput("toggle", "toggle", InputKind.SWITCH, 2));
    }
    TransmitterMove.Moved moved = TransmitterMove.of(home, other(random).withInputs(there));
    Validation.check(moved.setup());
    for (int i = 0; i < home.conditions().size(); i++) {
      Condition old = home.conditions().get(i);
      Condition now = moved.setup().conditions().get(i);
      if (home.transmitter().inputIndex(old.subject()) < 0) {
        assertThat(now).isEqualTo(old);
      } else if (old.kind() == ConditionKind.SWITCH_AT) {
        boolean toggle = moved.setup().transmitter().inputIndex("toggle") >= 0;
        assertThat(now.kind()).isEqualTo(toggle ? ConditionKind.SWITCH_AT : ConditionKind.ABOVE);
        assertThat(now.subject()).isEqualTo(toggle ? "toggle" : "wheel");
        assertThat(now.limit()).isEqualTo(toggle ? Math.min(2, old.limit()) : 50);
        assertThat(moved.notes())
            .anyMatch(
                one ->
                    one.code().equals("wiring.followsInstead")
                        && one.with().get("instead").equals(now.subject()));
        assertThat(moved.notes())
            .filteredOn(one -> one.code().equals("wiring.positionMissing"))
            .filteredOn(one -> one.with().get("user").equals(Said.text(old.name())))
            .hasSize(toggle && old.limit() <= 2 ? 0 : 1);
      } else {
        assertThat(now.limit()).isEqualTo(old.limit());
      }
    }
  }

  /** A switch of the same name with fewer positions changes when something is on: it is said. */
  @Example
  void aPositionThatIsGoneIsSaidEvenWhereTheSwitchIsThere() {
    Setup home = Rigs.programmed(5);
    Condition old =
        home.conditions().stream()
            .filter(one -> one.kind() == ConditionKind.SWITCH_AT)
            .findFirst()
            .orElseThrow();
    Setup third =
        home.change()
            .conditions(
                home.conditions().stream()
                    .map(one -> one.equals(old) ? one.change().limit(3).done() : one)
                    .toList())
            .done();
    List<TransmitterInput> shorter =
        home.transmitter().inputs().stream()
            .map(
                one ->
                    one.id().equals(old.subject())
                        ? new TransmitterInput(one.id(), one.name(), InputKind.SWITCH, 2)
                        : one)
            .toList();
    TransmitterMove.Moved moved = TransmitterMove.of(third, home.transmitter().withInputs(shorter));
    assertThat(moved.notes())
        .filteredOn(one -> one.code().equals("wiring.positionMissing"))
        .extracting(one -> one.with().get("position"))
        .contains(3);
    assertThat(moved.setup().conditions().get(home.conditions().indexOf(old)).limit()).isEqualTo(2);
  }
}
