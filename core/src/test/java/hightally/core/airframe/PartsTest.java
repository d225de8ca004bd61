package hightally.core.airframe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.DemoModels;
import hightally.core.English;
import hightally.core.Rigs;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.util.Arrays;
import java.util.List;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Signs and shares of parts, from the table of signs: plus is up, right, or aft. */
class PartsTest {
  @ParameterizedTest
  @CsvSource({
    "AILERON, LEFT, -1, 0, 0",
    "AILERON, RIGHT, 1, 0, 0",
    "FLAPERON, LEFT, -1, 0, 0",
    "FLAPERON, RIGHT, 1, 0, 0",
    "ELEVON, LEFT, -0.5, 0.5, 0",
    "ELEVON, RIGHT, 0.5, 0.5, 0",
    "ELEVATOR, CENTRE, 0, 1, 0",
    "CANARD, CENTRE, 0, -1, 0",
    "RUDDER, CENTRE, 0, 0, 1",
    "NOSE_WHEEL, CENTRE, 0, 0, 1",
    "TAIL_WHEEL, CENTRE, 0, 0, 1",
    "V_TAIL, LEFT, 0, 0.5, 0.5",
    "V_TAIL, RIGHT, 0, 0.5, -0.5",
    "FLAP, LEFT, 0, 0, 0",
    "SPOILER, RIGHT, 0, 0, 0",
    "NOZZLE, CENTRE, 0, 0, 0",
    "SWINGING_WING, LEFT, 0, 0, 0",
    "OTHER, CENTRE, 0, 0, 0"
  })
  void whatASurfaceUsuallyFollows(
      SurfaceRole role, Side side, double roll, double pitch, double yaw) {
    assertThat(role.usualShares(side)).isEqualTo(new Shares(roll, pitch, yaw, List.of()));
  }

  @Example
  void whatARoleSaysOfASurface() {
    for (SurfaceRole role : SurfaceRole.values()) {
      String name = role.name();
      assertThat(role.sideways())
          .as(name)
          .isEqualTo(List.of("RUDDER", "NOSE_WHEEL", "TAIL_WHEEL").contains(name));
      assertThat(role.flap()).as(name).isEqualTo(List.of("FLAP", "FLAPERON").contains(name));
      assertThat(role.rolls())
          .as(name)
          .isEqualTo(List.of("AILERON", "FLAPERON", "ELEVON").contains(name));
    }
  }

  @Example
  void whichWayASurfaceGoes() {
    Surface any = DemoModels.all().get(0).surfaces().get(0);
    Surface plain = any.change().role(SurfaceRole.AILERON).sideways(false).done();
    Surface turning = any.change().role(SurfaceRole.RUDDER).sideways(true).done();
    Surface swinging = any.change().role(SurfaceRole.SWINGING_WING).sideways(false).done();
    assertThat(List.of(plain.way(2).name(), plain.way(-2).name())).containsExactly("UP", "DOWN");
    assertThat(List.of(turning.way(2).name(), turning.way(-2).name()))
        .containsExactly("RIGHT", "LEFT");
    assertThat(List.of(swinging.way(2).name(), swinging.way(-2).name()))
        .containsExactly("AFT", "FORWARD");
    Surface nose = turning.change().role(SurfaceRole.NOSE_WHEEL).done();
    Surface tail = turning.change().role(SurfaceRole.TAIL_WHEEL).done();
    assertThat(English.say(Said.of("guide.went", "way", nose.goes(1))))
        .isEqualTo("Went right with its front");
    assertThat(English.say(Said.of("guide.went", "way", tail.goes(-1))))
        .isEqualTo("Went left with its rear");
    assertThat(plain.goes(1)).isEqualTo(plain.way(1));
  }

  @ParameterizedTest
  @CsvSource({
    "10, -5, 10, -5, true",
    "10, -5, 12, -9, true",
    "10, -5, 9.9, -9, false",
    "10, -5, 12, -4.9, false",
    "-3, 8, -3, 8, true",
    "-3, 8, -2.9, 8, false",
    "0, 0, 0, 0, true",
    "0, 0, -0.1, 0, false"
  })
  void surfacesTouchWhereBothHaveGoneThatFar(
      double firstMm, double secondMm, double first, double second, boolean touch) {
    Contact contact = new Contact("flap", firstMm, "aileron", secondMm);
    assertThat(contact.touches(first, second)).isEqualTo(touch);
  }

  /** The pulse for an angle turns the arm to that angle, whichever way the servo runs. */
  @Property(tries = 60)
  void thePulseForAnAngleTurnsTheArmThere(
      @ForAll long seed, @ForAll @DoubleRange(min = -60, max = 60) double degrees) {
    Setup rig = Rigs.random(seed);
    for (Servo servo : rig.servos()) {
      double away = servo.pulseFor(degrees) - servo.centrePulseMicroseconds();
      // One that pulls as the pulse grows turns its arm towards minus.
      double rate = servo.degreesPerMicrosecond() * (servo.pullsOnIncrease() ? -1 : 1);
      assertThat(servo.armOffsetDegrees() + away * rate).isCloseTo(degrees, within(1e-6));
    }
  }

  @Example
  void ofTheLinkageAreServoArmPushrodAndHorn() {
    for (PartChange change : changes()) {
      assertThat(change.ofLinkage())
          .isEqualTo(List.of("SERVO", "ARM", "ROD", "HORN").contains(change.kind().name()));
      assertThat(change.voids()).as(change.kind().name()).isNotEmpty().doesNotHaveDuplicates();
    }
  }

  private static List<PartChange> changes() {
    return Arrays.stream(PartChange.PartKind.values())
        .map(kind -> new PartChange(kind, "a part", ""))
        .toList();
  }
}
