package hightally.core.wiring;

import hightally.core.airframe.Motor;
import hightally.core.airframe.Servo;
import hightally.core.channel.Between;
import hightally.core.channel.Channel;
import hightally.core.channel.Lead;
import hightally.core.channel.Receiver;
import hightally.core.channel.Socket;
import hightally.core.channel.SocketOutput;
import hightally.core.channel.StickFunction;
import hightally.core.channel.Transmitter;
import hightally.core.channel.Wiring;
import hightally.core.program.FailsafeSetting;
import hightally.core.quantity.Said;
import hightally.core.setup.Device;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Draws up a channel map: which function on which channel, which channel on which socket.
 *
 * <p>The first four channels carry the stick functions in the transmitter's own order, so that its
 * menus and trims find them; what a pair or a lever needs beyond that follows in the order sticks,
 * levers, switches. What shares a channel today goes on sharing it. Nothing moves differently: only
 * numbers, sockets and leads change.
 */
public final class ChannelPlan {
  private final Setup setup;
  private final Transmitter transmitter;
  private final Map<Integer, Integer> numbers = new LinkedHashMap<>();
  private final Map<Integer, Said> reasons = new LinkedHashMap<>();

  /** A proposed map, why it is so, and what could share a channel if sockets run out. */
  public record Proposed(Setup setup, List<MapLine> lines, List<Sharing> sharing) {}

  /** One line of the explanation; the socket is -1 where the receiver has none for it. */
  public record MapLine(int channel, String name, int socket, Said why) {}

  private ChannelPlan(Setup setup) {
    this.setup = setup;
    transmitter = setup.transmitter();
  }

  /** The map proposed for a setup. */
  public static Proposed of(Setup setup) {
    return new ChannelPlan(setup).proposed();
  }

  /** The same setup with its channels numbered the way its transmitter wants them. */
  static Setup renumbered(Setup setup) {
    ChannelPlan plan = new ChannelPlan(setup);
    plan.number();
    return plan.withNumbers();
  }

  private Proposed proposed() {
    number();
    Setup numbered = withNumbers();
    Receiver receiver = sockets(numbered);
    List<Lead> leads = leads(numbered, receiver);
    Wiring wiring = new Wiring(receiver, leads, numbered.wiring().between());
    Setup done = numbered.change().wiring(wiring).done();
    List<MapLine> lines =
        done.channels().stream()
            .map(
                channel ->
                    new MapLine(
                        channel.number(),
                        channel.name(),
                        socketOf(receiver, channel.number()).map(Socket::number).orElse(-1),
                        reasons.get(channel.number())))
            .toList();
    return new Proposed(done, lines, Sharing.options(done));
  }

  private void number() {
    List<ChannelGroup> left = new ArrayList<>();
    setup.channels().forEach(channel -> left.add(ChannelGroup.of(setup, channel)));
    left.sort(
        Comparator.comparingInt(ChannelGroup::kindOrder)
            .thenComparingInt(ChannelGroup::sideOrder)
            .thenComparing(group -> group.channel().number()));
    sticks(left);
    for (ChannelGroup group : left) {
      take(group, free(), Said.of("wiring.nextFreeChannel"));
    }
  }

  /** First the groups that are mostly for a function, then whatever else takes part in it. */
  private void sticks(List<ChannelGroup> left) {
    for (boolean mostly : new boolean[] {true, false}) {
      for (int i = 0; i < transmitter.channelOrder().size(); i++) {
        StickFunction function = transmitter.channelOrder().get(i);
        int number = transmitter.firstChannel() + i;
        Optional<ChannelGroup> found =
            numbers.containsValue(number)
                ? Optional.empty()
                : left.stream()
                    .filter(one -> mostly ? one.mostly(function) : one.weight(function) > 0)
                    .findFirst();
        found.ifPresent(
            group -> {
              take(group, number, Said.of("wiring.transmittersChannel", "function", function));
              left.remove(group);
            });
      }
    }
  }

  private void take(ChannelGroup group, int number, Said why) {
    numbers.put(group.channel().number(), number);
    reasons.put(number, why);
  }

  /** The channels of the sticks stay free for them while there are others. */
  private int free() {
    int afterSticks = transmitter.firstChannel() + transmitter.channelOrder().size();
    for (int number = afterSticks; number <= transmitter.lastChannel(); number++) {
      if (!numbers.containsValue(number)) {
        return number;
      }
    }
    int number = transmitter.firstChannel();
    while (numbers.containsValue(number)) {
      number++;
    }
    return number;
  }

  private Setup withNumbers() {
    List<Channel> channels =
        setup.channels().stream()
            .map(channel -> channel.numbered(numbers.get(channel.number())))
            .sorted(Comparator.comparingInt(Channel::number))
            .toList();
    List<Servo> servos =
        setup.servos().stream()
            .map(servo -> servo.onChannel(numbers.get(servo.channel())))
            .toList();
    List<Motor> motors =
        setup.airframe().motors().stream()
            .map(motor -> motor.onChannel(numbers.get(motor.channel())))
            .toList();
    Wiring wiring = setup.wiring();
    List<Between> between =
        wiring.between().stream()
            .map(one -> one.onChannels(one.channels().stream().map(this::moved).toList()))
            .toList();
    List<FailsafeSetting> failsafe =
        setup.power().failsafe().stream()
            .map(one -> one.onChannel(numbers.get(one.channel())))
            .toList();
    return setup
        .change()
        .channels(channels)
        .servos(servos)
        .airframe(setup.airframe().withMotors(motors))
        .wiring(new Wiring(wiring.receiver(), wiring.leads(), between))
        .power(setup.power().withFailsafe(failsafe))
        .done();
  }

  private int moved(int number) {
    return numbers.getOrDefault(number, number);
  }

  /** A receiver whose sockets can be told what to put out is told; another stays as it is. */
  private static Receiver sockets(Setup numbered) {
    Receiver receiver = numbered.wiring().receiver();
    if (!receiver.anyChannel()) {
      return receiver;
    }
    List<Integer> wanted = numbered.channels().stream().map(Channel::number).toList();
    List<Socket> sockets = new ArrayList<>();
    int next = 0;
    for (Socket socket : receiver.sockets()) {
      boolean takes = socket.output() == SocketOutput.SERVO && next < wanted.size();
      int channel = takes ? wanted.get(next++) : socket.channel();
      sockets.add(new Socket(socket.number(), channel, socket.output()));
    }
    return receiver.change().sockets(sockets).anyChannel(true).done();
  }

  private static List<Lead> leads(Setup numbered, Receiver receiver) {
    List<Lead> leads = new ArrayList<>();
    List<Device> devices = Device.of(numbered);
    for (Device device : devices) {
      Optional<Socket> socket = socketOf(receiver, device.channel());
      if (socket.isPresent()) {
        long sharing = devices.stream().filter(one -> one.channel() == device.channel()).count();
        boolean reverser = numbered.wiring().lead(device.id()).map(Lead::reverser).orElse(false);
        leads.add(
            new Lead(
                device.id(),
                socket.get().number(),
                sharing > 1 ? "y-" + device.channel() : "",
                LeadLengths.extensionMm(numbered, device.id()),
                reverser,
                label(device.own())));
      }
    }
    return leads;
  }

  private static String label(String name) {
    return name.length() <= 40 ? name : name.substring(0, 40);
  }

  private static Optional<Socket> socketOf(Receiver receiver, int channel) {
    return receiver.sockets().stream()
        .filter(socket -> socket.output() == SocketOutput.SERVO && socket.channel() == channel)
        .findFirst();
  }
}
