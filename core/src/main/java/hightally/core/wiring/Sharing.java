package hightally.core.wiring;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Servo;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.channel.Lead;
import hightally.core.channel.Socket;
import hightally.core.channel.SocketOutput;
import hightally.core.channel.Wiring;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import hightally.core.setup.Device;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Two channels that could become one on a Y-lead, and what that costs.
 *
 * @param keep number of the channel that stays
 * @param drop number of the channel that is given up
 * @param names what would share, in words
 * @param reverser whether the second needs a reverser in its lead to move the right way
 * @param costs what can no longer be set for each of them
 * @param apartMm how much further apart the two would stand in the worst stick corner than today
 */
public record Sharing(
    int keep, int drop, List<String> names, boolean reverser, List<Said> costs, double apartMm) {

  /** What could share, cheapest first; nothing while every channel has its socket. */
  static List<Sharing> options(Setup setup) {
    return missingSockets(setup) <= 0 ? List.of() : all(setup);
  }

  /** How many channels have no socket. */
  static long missingSockets(Setup setup) {
    List<Integer> sockets =
        setup.wiring().receiver().sockets().stream()
            .filter(socket -> socket.output() == SocketOutput.SERVO)
            .map(Socket::channel)
            .toList();
    return setup.channels().stream().filter(one -> !sockets.contains(one.number())).count();
  }

  private static List<Sharing> all(Setup setup) {
    List<Sharing> found = new ArrayList<>();
    for (Channel keep : setup.channels()) {
      for (Channel drop : setup.channels()) {
        if (keep.number() < drop.number() && alike(setup, keep, drop)) {
          found.add(option(setup, keep, drop));
        }
      }
    }
    found.sort(
        Comparator.comparingInt((Sharing one) -> one.costs().size())
            .thenComparingDouble(Sharing::apartMm));
    return found;
  }

  private static boolean alike(Setup setup, Channel keep, Channel drop) {
    Surface a = setup.surface(keep.carries()).orElse(null);
    Surface b = setup.surface(drop.carries()).orElse(null);
    if (a == null || b == null) {
      return keep.carriesThrottle() && drop.carriesThrottle();
    }
    double sign = 0;
    for (Control control : Control.values()) {
      double x = a.shares().of(control);
      double y = b.shares().of(control);
      if (Math.abs(x) != Math.abs(y) || x * y * sign < 0) {
        return false;
      }
      sign = x * y == 0 ? sign : x * y;
    }
    return a.shares().levers().equals(b.shares().levers())
        && (a.shares().levers().isEmpty() || sign >= 0);
  }

  private static Sharing option(Setup setup, Channel keep, Channel drop) {
    List<String> names = List.of(keep.name(), drop.name());
    if (keep.carriesThrottle()) {
      List<Said> cost = List.of(Said.of("wiring.noDifferentialThrust"));
      return new Sharing(keep.number(), drop.number(), names, false, cost, 0);
    }
    List<Said> costs = new ArrayList<>();
    if (setup.surface(keep.carries()).filter(one -> one.shares().roll() != 0).isPresent()) {
      costs.add(Said.of("wiring.noDifferential"));
      costs.add(Said.of("wiring.noDrooping"));
    }
    costs.add(Said.of("wiring.noSubTrims"));
    costs.add(Said.of("wiring.noEndpoints"));
    boolean reverser =
        worst(setup, joined(setup, keep, drop, true))
            < worst(setup, joined(setup, keep, drop, false));
    double apart = worst(setup, joined(setup, keep, drop, reverser));
    return new Sharing(keep.number(), drop.number(), names, reverser, costs, apart);
  }

  /** The setup with the sharing done. */
  public Setup applied(Setup setup) {
    Channel kept = setup.channel(keep).orElseThrow();
    Channel dropped = setup.channel(drop).orElseThrow();
    return joined(setup, kept, dropped, reverser);
  }

  private static Setup joined(Setup setup, Channel keep, Channel drop, boolean reverser) {
    List<Channel> channels =
        setup.channels().stream().filter(one -> one.number() != drop.number()).toList();
    List<Servo> servos =
        setup.servos().stream()
            .map(one -> one.channel() == drop.number() ? one.onChannel(keep.number()) : one)
            .toList();
    List<String> moved =
        Device.of(setup).stream()
            .filter(device -> device.channel() == drop.number())
            .map(Device::id)
            .toList();
    List<String> kept =
        Device.of(setup).stream()
            .filter(device -> device.channel() == keep.number())
            .map(Device::id)
            .toList();
    int socket =
        setup.wiring().receiver().sockets().stream()
            .filter(one -> one.channel() == keep.number())
            .mapToInt(Socket::number)
            .findFirst()
            .orElse(keep.number());
    List<Lead> leads = new ArrayList<>();
    for (Device device : Device.of(setup)) {
      Lead old = setup.wiring().lead(device.id()).orElse(null);
      boolean shares = moved.contains(device.id()) || kept.contains(device.id());
      if (shares || old != null) {
        leads.add(shares ? shared(device, old, keep, socket, moved, reverser) : old);
      }
    }
    Wiring wiring = new Wiring(setup.wiring().receiver(), leads, setup.wiring().between());
    return setup
        .change()
        .channels(channels)
        .servos(servos)
        .airframe(
            setup
                .airframe()
                .withMotors(
                    setup.airframe().motors().stream()
                        .map(
                            one ->
                                one.channel() == drop.number() ? one.onChannel(keep.number()) : one)
                        .toList()))
        .wiring(wiring)
        .done()
        .withoutLostFailsafe();
  }

  private static Lead shared(
      Device device, Lead old, Channel keep, int socket, List<String> moved, boolean reverser) {
    boolean turned = old != null && old.reverser();
    boolean turns = moved.contains(device.id()) ? turned != reverser : turned;
    double extension = old == null ? 0 : old.extensionMm();
    String label = old == null ? "" : old.label();
    return new Lead(device.id(), socket, "y-" + keep.number(), extension, turns, label);
  }

  /** The largest difference of any surface in any stick corner against today, mm. */
  private static double worst(Setup today, Setup then) {
    SignalPath before = SignalPath.of(today);
    SignalPath after = SignalPath.of(then);
    double worst = 0;
    for (Control control : Control.values()) {
      for (int stick = -1; stick <= 1; stick++) {
        Moment moment = Moment.centred(today.trims()).with(control, stick);
        double[] a = before.evaluate(moment).travelMm();
        double[] b = after.evaluate(moment).travelMm();
        for (int i = 0; i < a.length; i++) {
          boolean servo = today.surfaces().get(i).rod().driver() == DriverKind.SERVO;
          worst = servo ? Math.max(worst, Math.abs(a[i] - b[i])) : worst;
        }
      }
    }
    for (int i = 0; i < today.transmitter().inputs().size(); i++) {
      Moment moment = Moment.centred(today.trims()).withInput(i, 1);
      double[] a = before.evaluate(moment).travelMm();
      double[] b = after.evaluate(moment).travelMm();
      for (int j = 0; j < a.length; j++) {
        worst = Math.max(worst, Math.abs(a[j] - b[j]));
      }
    }
    return worst;
  }
}
