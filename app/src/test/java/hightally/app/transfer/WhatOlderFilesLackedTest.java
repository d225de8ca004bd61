package hightally.app.transfer;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.core.airframe.Motor;
import hightally.core.airframe.Servo;
import hightally.core.channel.Failsafe;
import hightally.core.channel.Lead;
import hightally.core.channel.Receiver;
import hightally.core.channel.Socket;
import hightally.core.channel.SocketOutput;
import hightally.core.program.NoseNote;
import hightally.core.program.Phase;
import hightally.core.program.Power;
import hightally.core.program.Trims;
import hightally.core.quantity.HouseValues;
import hightally.core.setup.Setup;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

/** What the first files did not say, and what is taken for it: nothing that moves anything. */
class WhatOlderFilesLackedTest {
  private static final Path FIRST = Path.of("src/test/resources/older/format-1.json");
  private static final ObjectMapper JSON = new ObjectMapper();

  private static Setup read(ObjectNode file) {
    return new SetupDocuments(JSON).read(file.toString());
  }

  private static ObjectNode first() throws IOException {
    return (ObjectNode) JSON.readTree(Files.readString(FIRST));
  }

  @Test
  void everySocketIsItsChannelAndEveryLeadIsPlain() throws IOException {
    Setup setup = read(first());
    Receiver receiver = setup.wiring().receiver();
    assertThat(receiver.sockets())
        .isEqualTo(
            setup.channels().stream()
                .map(one -> new Socket(one.number(), one.number(), SocketOutput.SERVO))
                .toList());
    assertThat(receiver.failsafe()).isEqualTo(Failsafe.EVERY_CHANNEL);
    assertThat(receiver.failsafeChannel()).isZero();
    assertThat(receiver.anyChannel()).isFalse();
    for (Servo servo : setup.servos()) {
      long sharing =
          setup.servos().stream().filter(one -> one.channel() == servo.channel()).count();
      String splitter = sharing == 1 ? "" : "y-" + servo.channel();
      assertThat(setup.wiring().lead(servo.id()))
          .contains(new Lead(servo.id(), servo.channel(), splitter, 0, false, ""));
      assertThat(servo.seating().teeth()).isEqualTo(25);
      assertThat(servo.seating().arms()).isEqualTo(4);
      assertThat(servo.armHolesMm()).isEmpty();
      assertThat(servo.leadMm()).isEqualTo(250);
    }
    for (Motor motor : setup.airframe().motors()) {
      assertThat(setup.wiring().lead(motor.id()))
          .contains(new Lead(motor.id(), motor.channel(), "", 0, false, ""));
      assertThat(motor.aftMm()).isZero();
      assertThat(motor.rightMm()).isZero();
      assertThat(motor.reverserChannel()).isEqualTo(Motor.NO_REVERSER);
    }
    assertThat(setup.wiring().between()).isEmpty();
  }

  @Test
  void theTransmitterHasWhatIsUsualOrWhatItsChannelsHave() throws IOException {
    Setup usual = read(first());
    assertThat(usual.transmitter().firstChannel()).isEqualTo(1);
    assertThat(usual.transmitter().channelCount()).isEqualTo(16);
    assertThat(usual.transmitter().subTrimLimitMicroseconds()).isEqualTo(200);
    assertThat(usual.transmitter().endpointLimitPercent()).isEqualTo(150);
    assertThat(usual.transmitter().inputs()).isEmpty();
    assertThat(usual.transmitter().words()).isEmpty();
    ObjectNode wide = first();
    ((ObjectNode) wide.at("/channels/0")).put("subTrimMicroseconds", -230);
    ((ObjectNode) wide.at("/channels/1")).put("endpointHighPercent", 170);
    assertThat(read(wide).transmitter().subTrimLimitMicroseconds()).isEqualTo(230);
    assertThat(read(wide).transmitter().endpointLimitPercent()).isEqualTo(170);
  }

  @Test
  void thereIsOnePhaseAndNothingThatSwitches() throws IOException {
    Setup setup = read(first());
    assertThat(setup.phases()).hasSize(1);
    Phase phase = setup.phases().get(0);
    assertThat(phase.id()).isEqualTo("flight");
    assertThat(phase.when()).isEmpty();
    assertThat(phase.fadeSeconds()).isZero();
    assertThat(phase.presets()).isEmpty();
    assertThat(phase.differential()).isEmpty();
    assertThat(phase.ownRoll() || phase.ownPitch() || phase.ownYaw()).isFalse();
    assertThat(phase.trims()).isEqualTo(Trims.ZERO);
    assertThat(phase.nose()).isEqualTo(NoseNote.NOT_FLOWN);
    assertThat(setup.mixes()).isEmpty();
    assertThat(setup.conditions()).isEmpty();
    assertThat(setup.feelSets()).isEmpty();
    assertThat(setup.contacts()).isEmpty();
    assertThat(setup.power()).isEqualTo(Power.PLAIN);
    assertThat(setup.house()).isEqualTo(HouseValues.STANDARD);
    assertThat(setup.channels())
        .allSatisfy(
            one -> {
              assertThat(one.slowedSeconds()).isZero();
              assertThat(one.limitLowPercent()).isZero();
              assertThat(one.limitHighPercent()).isZero();
              assertThat(one.steady()).isFalse();
            });
  }

  @Test
  void theBalancePointIsAThirdBehindTheFirstNose() throws IOException {
    ObjectNode file = first();
    ObjectNode root = (ObjectNode) file.at("/airframe/panels/0/root");
    root.put("aftMm", 40).put("chordMm", 301);
    Setup setup = read(file);
    assertThat(setup.balance().targetMm()).isEqualTo(140);
    assertThat(setup.balance().foremostMm()).isEqualTo(140);
    assertThat(setup.balance().aftmostMm()).isEqualTo(140);
    assertThat(setup.balance().datumAftMm()).isZero();
    assertThat(setup.balance().emptyMassGrams()).isEqualTo(1000);
    assertThat(setup.balance().boltSpacingMm()).isEqualTo(25);
    assertThat(setup.balance().packs()).isEmpty();
  }
}
