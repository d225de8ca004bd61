package hightally.core.edit;

import static hightally.core.English.saying;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hightally.core.DemoModels;
import hightally.core.English;
import hightally.core.Rigs;
import hightally.core.airframe.Panel;
import hightally.core.airframe.PanelRole;
import hightally.core.airframe.Shares;
import hightally.core.airframe.Side;
import hightally.core.airframe.Surface;
import hightally.core.airframe.SurfaceRole;
import hightally.core.edit.PartWish.NewPartKind;
import hightally.core.program.FailsafeSetting;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.Movements;
import hightally.core.signal.SignalPath;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class PartsTest {
  private static final Setup SKERROW = DemoModels.read("skerrow");

  private static PartWish pair(NewPartKind kind, SurfaceRole role, String at) {
    return new PartWish(kind, "q7", "q8", role, PanelRole.TAIL, Side.LEFT, true, at);
  }

  private static PartWish single(NewPartKind kind, String name, Side side, String at) {
    return new PartWish(kind, name, "", SurfaceRole.RUDDER, PanelRole.FIN, side, false, at);
  }

  private static Setup added(Setup setup, PartWish wish) {
    return PartsAdded.of(setup, wish, English.NAMES);
  }

  private static Surface surface(Setup setup, String id) {
    return setup.surface(id).orElseThrow();
  }

  /** Every sort of part, at every place it can go to, on every side: nothing else moves. */
  @ParameterizedTest
  @EnumSource(NewPartKind.class)
  void aNewPartIsWholeAndMovesNothingElse(NewPartKind kind) {
    int made = 0;
    for (String demo : List.of("brindle", "larkmere", "quillon", "skerrow")) {
      Setup setup = DemoModels.read(demo);
      NewPartChoice choice =
          NewPartChoice.of(setup).stream()
              .filter(one -> one.kind() == kind)
              .findFirst()
              .orElseThrow();
      assertThat(English.say(choice.words())).doesNotContain("NewPartKind");
      assertThat(choice.fitted().isEmpty()).isEqualTo(choice.places().isEmpty());
      List<String> places =
          choice.places().isEmpty()
              ? List.of("")
              : choice.places().stream().map(NewPartChoice.PlaceChoice::id).toList();
      for (String place : places) {
        for (Side side : choice.sided() ? Side.values() : new Side[] {Side.CENTRE}) {
          Setup added = added(setup, single(kind, "q9", side, place));
          assertThat(Movements.differences(setup, added)).as(demo + " " + place).isEmpty();
          assertThat(added).isNotEqualTo(setup);
          made++;
        }
        if (choice.sided()) {
          Setup two = added(setup, pair(kind, SurfaceRole.RUDDER, place));
          assertThat(Movements.differences(setup, two)).as(demo + " " + place).isEmpty();
        }
      }
    }
    assertThat(made).isGreaterThan(3);
  }

  @Test
  void aPairMirrorsOneAnotherEachOnItsPanelWithServoChannelAndLead() {
    Setup both = added(SKERROW, pair(NewPartKind.SURFACE, SurfaceRole.FLAP, "wing-left"));
    Surface left = surface(both, "q7");
    Surface right = surface(both, "q8");
    assertThat(left.pair()).isEqualTo("q8");
    assertThat(right.pair()).isEqualTo("q7");
    assertThat(left.place().panel()).isEqualTo("wing-left");
    assertThat(right.place().panel()).isEqualTo("wing-right");
    assertThat(left.role()).isEqualTo(SurfaceRole.FLAP);
    assertThat(left.side()).isEqualTo(Side.LEFT);
    assertThat(right.side()).isEqualTo(Side.RIGHT);
    assertThat(both.channel(3).orElseThrow().carries()).isEqualTo("q7");
    assertThat(both.channel(4).orElseThrow().carries()).isEqualTo("q8");
    assertThat(both.servo(left.rod().driverId()).orElseThrow().channel()).isEqualTo(3);
    assertThat(both.wiring().lead(left.rod().driverId()).orElseThrow().socket()).isEqualTo(3);
    assertThat(both.wiring().lead(right.rod().driverId()).orElseThrow().socket()).isEqualTo(4);
    assertThat(both.channel(3).orElseThrow().reversed()).isFalse();
    assertThat(both.channel(4).orElseThrow().reversed()).isTrue();
  }

  /** Right roll is left edge down and right edge up; aft pitch is both up. */
  @Test
  void whatIsAddedMovesTheRightWay() {
    Setup both = added(SKERROW, pair(NewPartKind.SURFACE, SurfaceRole.ELEVON, "wing-left"));
    double[] rest = SignalPath.of(both).evaluate(Moment.centred(both.trims())).travelMm();
    Moment centre = Moment.centred(both.trims());
    double[] roll = SignalPath.of(both).evaluate(centre.with(Control.ROLL, 1)).travelMm();
    double[] pitch = SignalPath.of(both).evaluate(centre.with(Control.PITCH, 1)).travelMm();
    int left = both.surfaces().size() - 2;
    assertThat(roll[left] - rest[left]).isLessThan(-5);
    assertThat(roll[left + 1] - rest[left + 1]).isGreaterThan(5);
    assertThat(pitch[left] - rest[left]).isGreaterThan(5);
    assertThat(pitch[left + 1] - rest[left + 1]).isGreaterThan(5);
  }

  @ParameterizedTest
  @EnumSource(SurfaceRole.class)
  void goneAgainLeavesTheDocumentAsItWas(SurfaceRole role) {
    Setup both = added(SKERROW, pair(NewPartKind.SURFACE, role, "wing-left"));
    assertThat(both.surfaces()).hasSize(4);
    Setup one = PartsRemoved.of(both, "q8");
    assertThat(surface(one, "q7").pair()).isEmpty();
    assertThat(Leaves.changed(SKERROW, PartsRemoved.of(one, "q7"))).isEmpty();
    assertThat(surface(both, "q7").shares()).isEqualTo(role.usualShares(Side.LEFT));
    assertThat(surface(both, "q8").sideways()).isEqualTo(role.sideways());
  }

  @Test
  void aSlaveGoesWithItsDriverWhichStaysWhileItDrives() {
    Setup slaved =
        added(SKERROW, single(NewPartKind.SLAVE_SURFACE, "q9", Side.LEFT, "elevon-left"));
    Surface slave = surface(slaved, "q9");
    Shares shares = surface(SKERROW, "elevon-left").shares();
    assertThat(slave.shares()).isEqualTo(shares);
    assertThat(slave.place().panel()).isEqualTo(surface(SKERROW, "elevon-left").place().panel());
    assertThat(slaved.servos()).isEqualTo(SKERROW.servos());
    assertThatThrownBy(() -> PartsRemoved.of(slaved, "elevon-left")).satisfies(saying("q9"));
    assertThat(Leaves.changed(SKERROW, PartsRemoved.of(slaved, "q9"))).isEmpty();
    assertThatThrownBy(
            () -> added(SKERROW, single(NewPartKind.SLAVE_SURFACE, "q9", Side.LEFT, "nobody")))
        .satisfies(saying("nobody"));
  }

  @Test
  void aPairOfPanelsMirrorsAndCarriesNothingWhenItGoes() {
    Setup both = added(SKERROW, pair(NewPartKind.PANEL, SurfaceRole.OTHER, ""));
    List<Panel> panels = both.airframe().panels();
    Panel left = panels.get(panels.size() - 2);
    Panel right = panels.get(panels.size() - 1);
    assertThat(left.pair()).isEqualTo("q8");
    assertThat(right.pair()).isEqualTo("q7");
    assertThat(left.role()).isEqualTo(PanelRole.TAIL);
    assertThat(left.tip().rightMm()).isEqualTo(-500);
    assertThat(right.tip().rightMm()).isEqualTo(500);
    assertThatThrownBy(() -> PartsRemoved.of(both, "wing-left")).satisfies(saying("lev"));
    Setup one = PartsRemoved.of(both, "q7");
    assertThat(one.airframe().panels().get(panels.size() - 2).pair()).isEmpty();
    assertThat(Leaves.changed(SKERROW, PartsRemoved.of(one, "q8"))).isEmpty();
  }

  @ParameterizedTest
  @EnumSource(Side.class)
  void aMotorStandsStillWithoutTheLink(Side side) {
    Setup powered = added(SKERROW, single(NewPartKind.MOTOR, "m", side, ""));
    assertThat(powered.airframe().motors().get(0).channel()).isEqualTo(3);
    int across = side == Side.LEFT ? -200 : side == Side.RIGHT ? 200 : 0;
    assertThat(powered.airframe().motors().get(0).rightMm()).isEqualTo(across);
    assertThat(powered.airframe().motors().get(0).aftMm()).isEqualTo(across == 0 ? 0 : 250);
    assertThat(powered.channel(3).orElseThrow().carriesThrottle()).isTrue();
    assertThat(powered.power().failsafe())
        .contains(new FailsafeSetting(3, false, powered.power().stopPercent()));
    assertThat(Leaves.changed(SKERROW, PartsRemoved.of(powered, "m"))).isEmpty();
  }

  @Test
  void oneOfTwoMotorsOnAChannelLeavesTheChannel() {
    Setup twin = DemoModels.read("brindle").change().mixes(List.of()).done();
    Setup one = PartsRemoved.of(twin, "motor-left");
    assertThat(one.airframe().motors()).hasSize(1);
    int left = one.airframe().motors().get(0).channel();
    assertThat(one.channel(left)).isPresent();
    assertThat(one.channels()).hasSize(twin.channels().size() - 1);
  }

  @Test
  void aSimpleChannelFollowsItsLeverAndGoesWithItsLead() {
    Setup gear =
        added(SKERROW, single(NewPartKind.SIMPLE_CHANNEL, "Gear", Side.CENTRE, "left-lever"));
    assertThat(gear.channel(3).orElseThrow().carries()).isEqualTo("left-lever");
    assertThat(gear.wiring().lead("left-lever").orElseThrow().label()).isEqualTo("Gear");
    assertThat(Leaves.changed(SKERROW, PartsRemoved.of(gear, "left-lever"))).isEmpty();
  }

  @Test
  void whereNoSocketPutsItOutThereIsNoLeadAndNoChannelMoreThanThereAre() {
    Setup rig = Rigs.plain();
    Setup third = added(rig, single(NewPartKind.SURFACE, "q", Side.CENTRE, "wing"));
    assertThat(third.channel(3)).isPresent();
    assertThat(third.wiring().leads()).hasSize(2);
    Setup full = rig;
    for (int i = 0; i < 10; i++) {
      full = added(full, single(NewPartKind.SURFACE, "q" + i, Side.CENTRE, "wing"));
    }
    Setup every = full;
    assertThat(every.channel(12)).isPresent();
    assertThatThrownBy(() -> added(every, single(NewPartKind.SURFACE, "z", Side.CENTRE, "wing")))
        .satisfies(saying("transmitter.channelCount"));
  }

  @Test
  void whatIsMissingOrInUseIsNamed() {
    PartWish nameless =
        new PartWish(
            NewPartKind.SURFACE,
            "q7",
            " ",
            SurfaceRole.FLAP,
            PanelRole.WING,
            Side.LEFT,
            true,
            "wing-left");
    assertThatThrownBy(() -> added(SKERROW, nameless)).satisfies(saying("rightName"));
    assertThatThrownBy(() -> added(SKERROW, pair(NewPartKind.SURFACE, SurfaceRole.FLAP, "roof")))
        .satisfies(saying("roof"));
    assertThatThrownBy(() -> PartsRemoved.of(SKERROW, "nobody")).satisfies(saying("nobody"));
    Setup last = PartsRemoved.of(PartsRemoved.of(Rigs.plain(), "slave"), "left");
    assertThatThrownBy(() -> PartsRemoved.of(last, "right")).satisfies(saying("right"));
    Setup mixed = Rigs.programmed(3);
    assertThatThrownBy(() -> PartsRemoved.of(mixed, "right")).satisfies(saying("c"));
    Setup free = mixed.change().mixes(List.of()).done();
    Setup without = PartsRemoved.of(free, "right");
    assertThat(without.phases())
        .allSatisfy(
            phase -> {
              assertThat(phase.presets()).noneMatch(one -> one.surface().equals("right"));
              assertThat(phase.differential()).noneMatch(one -> one.surface().equals("right"));
            });
    assertThat(without.phases().get(0).presets()).hasSize(1);
  }

  @Test
  void aChannelThatCarriedTheSurfaceCarriesTheNextOnIt() {
    Setup quillon = DemoModels.read("quillon").change().mixes(List.of()).done();
    Setup shared = onOneServo(quillon);
    Setup without = PartsRemoved.of(shared, "elevator");
    assertThat(without.channel(2).orElseThrow().carries()).isEqualTo("rudder");
    assertThat(without.channel(2).orElseThrow().name())
        .isEqualTo(surface(quillon, "rudder").name());
  }

  /** The rudder on the elevator's servo: no aircraft, but a channel with two surfaces. */
  private static Setup onOneServo(Setup setup) {
    Surface elevator = surface(setup, "elevator");
    return setup.withSurfaces(
        setup.surfaces().stream()
            .map(one -> one.id().equals("rudder") ? one.withRod(elevator.rod()) : one)
            .toList());
  }
}
