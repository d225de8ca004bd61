package hightally.core.wiring;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.English;
import hightally.core.Rigs;
import hightally.core.airframe.PanelRole;
import hightally.core.airframe.Side;
import hightally.core.airframe.SurfaceRole;
import hightally.core.channel.InputKind;
import hightally.core.channel.StickFunction;
import hightally.core.channel.SubTrimMode;
import hightally.core.channel.Transmitter;
import hightally.core.channel.TransmitterInput;
import hightally.core.edit.PartWish;
import hightally.core.edit.PartWish.NewPartKind;
import hightally.core.edit.PartsAdded;
import hightally.core.program.Trims;
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
}
