package hightally.core.audit;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.DemoModels;
import hightally.core.Rigs;
import hightally.core.airframe.Servo;
import hightally.core.channel.Between;
import hightally.core.channel.BetweenKind;
import hightally.core.channel.Channel;
import hightally.core.channel.Lead;
import hightally.core.channel.Wiring;
import hightally.core.edit.Edit;
import hightally.core.edit.Edits;
import hightally.core.edit.Figure;
import hightally.core.program.Phase;
import hightally.core.program.Trims;
import hightally.core.setup.Setup;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What the rules about channels and arms say beyond their triggers. */
class ChannelRulesTest {
  private static final Setup CLEAN = Rigs.plain();

  private static List<String> titles(Setup setup, String rule) {
    return Audit.of(SignalPath.of(setup)).stream()
        .filter(one -> one.rule().equals(rule))
        .map(one -> say(one.title()))
        .toList();
  }

  private static Setup reverser(Setup setup, String device) {
    Wiring wiring = setup.wiring();
    List<Lead> leads =
        wiring.leads().stream()
            .map(
                one ->
                    one.device().equals(device)
                        ? new Lead(device, one.socket(), "", 0, true, one.label())
                        : one)
            .toList();
    return setup.change().wiring(new Wiring(wiring.receiver(), leads, wiring.between())).done();
  }

  private static Setup reversed(Setup setup, int number) {
    return Edits.made(setup, List.of(Edit.flag(Figure.REVERSED, Integer.toString(number), true)));
  }

  @Test
  void aReverserInTheLeadCountsAsTurningRound() {
    Setup once = reverser(CLEAN, "s-left");
    assertThat(titles(once, "reversed-twice")).isEmpty();
    assertThat(titles(reversed(once, 1), "reversed-twice"))
        .singleElement()
        .asString()
        .contains("channel 1 and a reverser in its lead");
  }

  @Test
  void aRudderIsLookedAtAsWell() {
    Setup model = DemoModels.read("quillon");
    int channel =
        model.channels().stream()
            .filter(one -> one.carries().equals("rudder"))
            .findFirst()
            .orElseThrow()
            .number();
    boolean now =
        model.channels().stream().anyMatch(one -> one.number() == channel && one.reversed());
    Setup turned = now ? model : reversed(model, channel);
    assertThat(titles(turned, "reversed-twice")).isEmpty();
    Setup twice = Edits.made(turned, List.of(Edit.of(Figure.SHARE_YAW, "rudder", -1)));
    assertThat(titles(twice, "reversed-twice"))
        .singleElement()
        .asString()
        .contains("the sign of its share");
  }

  private static Setup behind(Setup setup, int channel) {
    Between device =
        new Between("Gyro", BetweenKind.STABILISER, List.of(channel), 100, false, false);
    Wiring wiring = setup.wiring();
    return setup
        .change()
        .wiring(new Wiring(wiring.receiver(), wiring.leads(), List.of(device)))
        .done();
  }

  @Test
  void aTrimThatDoesNotPassIsNamedByPhaseAndOnlyWhereItReachesASurface() {
    Setup model = behind(DemoModels.read("larkmere"), channel("larkmere", "v-tail-left"));
    List<Phase> phases = new ArrayList<>();
    for (Phase one : model.phases()) {
      phases.add(one.withTrims(Trims.ZERO));
    }
    Phase first = phases.get(0);
    Setup still = model.change().phases(phases).trims(Trims.ZERO).done();
    assertThat(titles(still, "trim-does-not-pass")).isEmpty();
    phases.set(0, first.withTrims(new Trims(0, 4, 0)));
    Setup pitch = model.change().phases(phases).trims(Trims.ZERO).done();
    boolean own = first.ownPitch();
    assertThat(own).isTrue();
    assertThat(titles(pitch, "trim-does-not-pass"))
        .singleElement()
        .asString()
        .contains("in " + first.name())
        .doesNotContain(phases.get(1).name());
    phases.set(0, first.withTrims(new Trims(7, 0, 0)));
    Setup roll = model.change().phases(phases).trims(Trims.ZERO).done();
    assertThat(titles(roll, "trim-does-not-pass")).as("no roll on a V-tail").isEmpty();
  }

  private static int channel(String model, String surface) {
    return DemoModels.read(model).channels().stream()
        .filter(one -> one.carries().equals(surface))
        .map(Channel::number)
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aSeatedArmCountsAsOffSquareAndIsMendedToStandSquare() {
    List<Servo> servos = new ArrayList<>(CLEAN.servos());
    Servo left = servos.get(0);
    servos.set(0, left.seated(left.pullsOnIncrease(), 12));
    Setup off = CLEAN.change().servos(servos).done();
    Finding found =
        Audit.of(SignalPath.of(off)).stream()
            .filter(one -> one.rule().equals("arm-off-square"))
            .findFirst()
            .orElseThrow();
    assertThat(found.measured()).isCloseTo(12, within(1e-9));
    Setup mended = Edits.made(off, found.mends().get(0).edits());
    assertThat(titles(mended, "arm-off-square")).isEmpty();
    assertThat(mended.servos().get(0).armOffsetDegrees()).isCloseTo(0, within(1e-9));
    // A sub-trim that takes the seat back leaves the arm square: 12° at 0.09 °/µs.
    double back = (left.pullsOnIncrease() ? 1 : -1) * 12 / 0.09;
    Setup square = Edits.made(off, List.of(Edit.of(Figure.SUB_TRIM, 1, -back)));
    Setup other = Edits.made(off, List.of(Edit.of(Figure.SUB_TRIM, 1, back)));
    assertThat(titles(square, "arm-off-square").size() + titles(other, "arm-off-square").size())
        .isEqualTo(1);
  }

  @Test
  void whatComesNearDeadCentreIsMendedByTheLargestEndpointsThatDoNot() {
    Setup near =
        Edits.made(
            CLEAN,
            List.of(
                Edit.of(Figure.HORN_RADIUS, "right", 6),
                Edit.of(Figure.ENDPOINT_LOW, 2, 140),
                Edit.of(Figure.ENDPOINT_HIGH, 2, 140)));
    Finding found =
        Audit.of(SignalPath.of(near)).stream()
            .filter(one -> one.rule().equals("near-dead-centre"))
            .findFirst()
            .orElseThrow();
    List<Edit> edits = found.mends().get(0).edits();
    assertThat(titles(Edits.made(near, edits), "near-dead-centre")).isEmpty();
    List<Edit> more =
        edits.stream().map(one -> Edit.of(one.figure(), one.subject(), one.value() + 3)).toList();
    assertThat(titles(Edits.made(near, more), "near-dead-centre")).hasSize(1);
  }
}
