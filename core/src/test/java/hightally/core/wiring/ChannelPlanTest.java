package hightally.core.wiring;

import static hightally.core.English.say;
import static hightally.core.English.saying;
import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.English;
import hightally.core.Rigs;
import hightally.core.airframe.PanelRole;
import hightally.core.airframe.Side;
import hightally.core.airframe.Surface;
import hightally.core.airframe.SurfaceRole;
import hightally.core.audit.Audit;
import hightally.core.audit.Finding;
import hightally.core.channel.Failsafe;
import hightally.core.channel.Lead;
import hightally.core.channel.Receiver;
import hightally.core.channel.Socket;
import hightally.core.channel.SocketOutput;
import hightally.core.channel.Wiring;
import hightally.core.edit.PartWish;
import hightally.core.edit.PartWish.NewPartKind;
import hightally.core.edit.PartsAdded;
import hightally.core.edit.PartsRemoved;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class ChannelPlanTest {
  private static final Setup PLAIN = Rigs.plain();

  @Test
  void aReceiverWithTooFewSocketsSaysWhatCouldShareAndWhatItCosts() {
    Setup flaps = with(with(PLAIN, flapPair()), wish(NewPartKind.MOTOR, "Motor", Side.CENTRE));
    ChannelPlan.Proposed proposed = ChannelPlan.of(flaps);
    // Two sockets for two elevons, two flaps and a motor: three channels are left without one.
    assertThat(proposed.lines()).filteredOn(line -> line.socket() < 0).hasSize(3);
    Sharing cheapest = proposed.sharing().get(0);
    assertThat(cheapest.names()).containsExactly("Left flap", "Right flap");
    assertThat(cheapest.costs()).noneMatch(cost -> say(cost).contains("differential"));
    assertThat(proposed.sharing()).noneMatch(one -> one.names().contains("elevon"));
    Setup shared = cheapest.applied(proposed.setup());
    assertThat(shared.channels()).hasSize(flaps.channels().size() - 1);
    double[] separate = lever(proposed.setup());
    double[] together = lever(shared);
    for (int i = 0; i < separate.length; i++) {
      // The new parts are square and alike, so sharing loses them nothing.
      assertThat(Math.abs(together[i] - separate[i])).isLessThan(1e-9);
    }
  }

  private static double[] lever(Setup setup) {
    Moment moment = Moment.centred(setup.trims()).withInput(0, 1);
    return SignalPath.of(setup).evaluate(moment).travelMm();
  }

  private static PartWish flapPair() {
    return new PartWish(
        NewPartKind.SURFACE,
        "Left flap",
        "Right flap",
        SurfaceRole.FLAP,
        PanelRole.WING,
        Side.CENTRE,
        true,
        "wing");
  }

  private static PartWish wish(NewPartKind kind, String name, Side side) {
    return new PartWish(kind, name, "", SurfaceRole.OTHER, PanelRole.WING, side, false, "wing");
  }

  /** Adds a part; new surfaces follow the lever, all down. */
  private static Setup with(Setup setup, PartWish wish) {
    Setup added = PartsAdded.of(setup, wish, English.NAMES);
    List<Surface> surfaces = new ArrayList<>();
    for (Surface surface : added.surfaces()) {
      boolean fresh = setup.surface(surface.id()).isEmpty();
      surfaces.add(fresh ? surface.withShares(leverShare()) : surface);
    }
    return added.withSurfaces(surfaces);
  }

  private static hightally.core.airframe.Shares leverShare() {
    return new hightally.core.airframe.Shares(
        0, 0, 0, List.of(new hightally.core.airframe.LeverShare("lever", -0.8)));
  }

  @Test
  void aPartAddedAndRemovedLeavesTheModelAsItWas() {
    Setup added = with(PLAIN, flapPair());
    assertThat(lever(added)[3])
        .isCloseTo(lever(added)[4], org.assertj.core.api.Assertions.within(1e-9));
    assertThat(lever(added)[3]).isLessThan(-10);
    Setup removed = PartsRemoved.of(PartsRemoved.of(added, "left-flap"), "right-flap");
    assertThat(removed.surfaces()).isEqualTo(PLAIN.surfaces());
    assertThat(removed.servos()).isEqualTo(PLAIN.servos());
    assertThat(removed.channels()).isEqualTo(PLAIN.channels());
    assertThat(removed.wiring()).isEqualTo(PLAIN.wiring());
  }

  @Test
  void whatAnotherPartNeedsIsNotRemoved() {
    org.assertj.core.api.Assertions.assertThatThrownBy(() -> PartsRemoved.of(PLAIN, "left"))
        .satisfies(saying("this one drives slave"));
    org.assertj.core.api.Assertions.assertThatThrownBy(() -> PartsRemoved.of(PLAIN, "wing"))
        .satisfies(saying("carries"));
  }

  @Test
  void everyConflictOfTheMapIsFound() {
    Setup motor =
        PartsAdded.of(PLAIN, wish(NewPartKind.MOTOR, "Motor", Side.CENTRE), English.NAMES);
    Wiring wiring = motor.wiring();
    List<Lead> crowded =
        List.of(new Lead("s-left", 1, "", 0, false, ""), new Lead("s-right", 1, "", 0, false, ""));
    assertThat(rules(motor, new Wiring(wiring.receiver(), crowded, List.of())))
        .contains("two-leads-one-socket", "outside-receiver", "not-plugged-in");
    Receiver bus =
        new Receiver(
            "Bus",
            List.of(
                new Socket(1, 1, SocketOutput.BUS),
                new Socket(2, 2, SocketOutput.SERVO),
                new Socket(3, 3, SocketOutput.SERVO)),
            true,
            Failsafe.ONE_CHANNEL,
            1);
    List<Lead> leads = new ArrayList<>(wiring.leads());
    leads.add(new Lead("motor", 3, "", 0, false, ""));
    assertThat(rules(motor, new Wiring(bus, leads, List.of())))
        .containsExactlyInAnyOrder("socket-not-for-servos", "throttle-not-held");
    Setup reversed =
        motor
            .change()
            .channels(
                motor.channels().stream()
                    .map(
                        one ->
                            new hightally.core.channel.Channel(
                                one.number(), one.name(), one.carries(), true, 0, 100, 200, 0))
                    .toList())
            .surfaces(
                motor.surfaces().stream()
                    .map(
                        one ->
                            one.withShares(
                                new hightally.core.airframe.Shares(0.5, -0.5, 0, List.of())))
                    .toList())
            .done();
    assertThat(rules(reversed, wiring)).contains("reversed-twice");
  }

  private static List<String> rules(Setup setup, Wiring wiring) {
    Setup wired = setup.change().wiring(wiring).done();
    return Audit.of(SignalPath.of(wired)).stream()
        .map(Finding::rule)
        .filter(rule -> !rule.equals("left-against-right") && !rule.equals("shared-channel"))
        .distinct()
        .toList();
  }
}
