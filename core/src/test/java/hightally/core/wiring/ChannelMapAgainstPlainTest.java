package hightally.core.wiring;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.DemoModels;
import hightally.core.Rigs;
import hightally.core.airframe.LeverShare;
import hightally.core.airframe.Motor;
import hightally.core.airframe.Servo;
import hightally.core.airframe.Side;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.channel.Lead;
import hightally.core.channel.Receiver;
import hightally.core.channel.Socket;
import hightally.core.channel.SocketOutput;
import hightally.core.channel.StickFunction;
import hightally.core.channel.Transmitter;
import hightally.core.channel.Wiring;
import hightally.core.program.FailsafeSetting;
import hightally.core.setup.Device;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.IntStream;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/**
 * The proposed map worked out by hand, rule by rule: numbers, sockets, leads, and who goes along.
 */
class ChannelMapAgainstPlainTest {
  private static final int LABEL = 40;

  @Example
  void everyModelThatShips() {
    Random random = new Random(31);
    for (Setup model : DemoModels.all()) {
      for (int i = 0; i < 6; i++) {
        map(turnedAbout(model, random));
      }
    }
  }

  @Property(tries = 60)
  void modelsAtRandom(@ForAll long seed) {
    map(turnedAbout(Rigs.programmed(seed), new Random(seed)));
  }

  /**
   * Channels in any order under other numbers, another order of the sticks, more or fewer channels
   * than are needed, sockets that put out anything, long names, failsafe and reversers.
   */
  private static Setup turnedAbout(Setup from, Random random) {
    Transmitter old = from.transmitter();
    List<StickFunction> order = new ArrayList<>(old.channelOrder());
    Collections.shuffle(order, random);
    int first = random.nextInt(2);
    int room = Math.max(2, from.channels().size() - 2 + random.nextInt(5));
    Transmitter transmitter =
        old.change().channelOrder(order).firstChannel(first).channelCount(room).done();
    List<Integer> numbers =
        new ArrayList<>(
            IntStream.range(first, first + from.channels().size() + 3).boxed().toList());
    Collections.shuffle(numbers, random);
    Map<Integer, Integer> now = new TreeMap<>();
    for (Channel channel : from.channels()) {
      now.put(channel.number(), numbers.get(now.size()));
    }
    List<Socket> sockets = new ArrayList<>();
    for (int i = 0; i < 3 + random.nextInt(9); i++) {
      SocketOutput output =
          SocketOutput.values()[random.nextInt(4) == 0 ? SocketOutput.values().length - 1 : 0];
      sockets.add(new Socket(i + 1, random.nextInt(9), output));
    }
    Receiver receiver =
        from.wiring().receiver().change().anyChannel(random.nextInt(3) > 0).sockets(sockets).done();
    List<Channel> channels =
        from.channels().stream().map(one -> one.numbered(now.get(one.number()))).toList();
    List<Servo> servos =
        from.servos().stream()
            .map(one -> one.onChannel(now.get(one.channel())))
            .map(
                one ->
                    random.nextBoolean()
                        ? one
                        : one.change()
                            .name("The servo " + one.name() + " ".repeat(9) + "x".repeat(40))
                            .done())
            .toList();
    List<Motor> motors =
        from.airframe().motors().stream()
            .map(one -> one.onChannel(now.get(one.channel())))
            .toList();
    List<FailsafeSetting> failsafe =
        from.power().failsafe().stream().map(one -> one.onChannel(now.get(one.channel()))).toList();
    List<Lead> leads =
        from.wiring().leads().stream()
            .map(one -> one.change().reverser(random.nextBoolean()).done())
            .toList();
    return from.change()
        .transmitter(transmitter)
        .channels(channels)
        .servos(servos)
        .airframe(from.airframe().withMotors(motors))
        .power(from.power().withFailsafe(failsafe))
        .wiring(
            new Wiring(
                receiver,
                leads,
                from.wiring().between().stream()
                    .map(one -> one.onChannels(one.channels().stream().map(now::get).toList()))
                    .toList()))
        .done();
  }

  private static void map(Setup setup) {
    ChannelPlan.Proposed proposed = ChannelPlan.of(setup);
    Setup done = proposed.setup();
    Map<Integer, Integer> numbers = numbers(setup);
    assertThat(done.channels())
        .extracting(Channel::number)
        .isEqualTo(numbers.values().stream().sorted().toList());
    for (Channel channel : setup.channels()) {
      Channel there = done.channel(numbers.get(channel.number())).orElseThrow();
      assertThat(there.numbered(channel.number())).isEqualTo(channel);
    }
    goneAlong(setup, done, numbers);
    Receiver receiver = sockets(setup, done);
    assertThat(done.wiring().receiver()).isEqualTo(receiver);
    assertThat(proposed.lines()).hasSameSizeAs(done.channels());
    for (int i = 0; i < done.channels().size(); i++) {
      ChannelPlan.MapLine line = proposed.lines().get(i);
      assertThat(line.channel()).isEqualTo(done.channels().get(i).number());
      assertThat(line.name()).isEqualTo(done.channels().get(i).name());
      assertThat(line.socket()).isEqualTo(socket(receiver, line.channel()));
    }
    leads(setup, done, receiver);
  }

  /** The number each channel gets, by its number of before. */
  private static Map<Integer, Integer> numbers(Setup setup) {
    Transmitter transmitter = setup.transmitter();
    List<Channel> left = new ArrayList<>(setup.channels());
    left.sort(
        Comparator.<Channel>comparingInt(one -> kind(setup, one))
            .thenComparingInt(one -> side(setup, one))
            .thenComparingInt(Channel::number));
    Map<Integer, Integer> numbers = new TreeMap<>();
    for (boolean mostly : List.of(true, false)) {
      for (int i = 0; i < transmitter.channelOrder().size(); i++) {
        int number = transmitter.firstChannel() + i;
        StickFunction function = transmitter.channelOrder().get(i);
        for (Channel one : List.copyOf(left)) {
          boolean fits = mostly ? mostly(setup, one, function) : of(setup, one, function) > 0;
          if (fits && !numbers.containsValue(number)) {
            numbers.put(one.number(), number);
            left.remove(one);
          }
        }
      }
    }
    List<Integer> next = new ArrayList<>();
    int sticks = transmitter.channelOrder().size();
    for (int i = sticks; i < transmitter.channelCount(); i++) {
      next.add(transmitter.firstChannel() + i);
    }
    for (int i = 0; i < sticks; i++) {
      next.add(transmitter.firstChannel() + i);
    }
    for (int i = Math.max(sticks, transmitter.channelCount()); i < 64; i++) {
      next.add(transmitter.firstChannel() + i);
    }
    for (Channel one : left) {
      next.removeAll(numbers.values());
      numbers.put(one.number(), next.get(0));
    }
    return numbers;
  }

  private static double of(Setup setup, Channel channel, StickFunction function) {
    if (function == StickFunction.THROTTLE) {
      return channel.carriesThrottle() ? 1 : 0;
    }
    Surface surface = setup.surface(channel.carries()).orElse(null);
    if (surface == null) {
      return 0;
    }
    double share =
        function == StickFunction.ROLL
            ? surface.shares().roll()
            : function == StickFunction.PITCH ? surface.shares().pitch() : surface.shares().yaw();
    return Math.abs(share);
  }

  /** No other function and not all levers together have more of it. */
  private static boolean mostly(Setup setup, Channel channel, StickFunction function) {
    double here = of(setup, channel, function);
    double levers = 0;
    Surface surface = setup.surface(channel.carries()).orElse(null);
    if (surface != null) {
      for (LeverShare lever : surface.shares().levers()) {
        levers += Math.abs(lever.share());
      }
    }
    double most = levers;
    for (StickFunction other : StickFunction.values()) {
      most = Math.max(most, of(setup, channel, other));
    }
    return here > 0 && here >= most;
  }

  private static int kind(Setup setup, Channel channel) {
    for (StickFunction function : StickFunction.values()) {
      if (mostly(setup, channel, function)) {
        return function.ordinal();
      }
    }
    return setup.surface(channel.carries()).isPresent() ? 4 : 5;
  }

  private static int side(Setup setup, Channel channel) {
    Side side = setup.surface(channel.carries()).map(Surface::side).orElse(Side.CENTRE);
    return List.of(Side.CENTRE, Side.LEFT, Side.RIGHT).indexOf(side);
  }

  /** What listens to a channel goes where the channel goes. */
  private static void goneAlong(Setup setup, Setup done, Map<Integer, Integer> numbers) {
    for (int i = 0; i < setup.servos().size(); i++) {
      Servo before = setup.servos().get(i);
      assertThat(done.servos().get(i)).isEqualTo(before.onChannel(numbers.get(before.channel())));
    }
    for (int i = 0; i < setup.airframe().motors().size(); i++) {
      Motor before = setup.airframe().motors().get(i);
      assertThat(done.airframe().motors().get(i))
          .isEqualTo(before.onChannel(numbers.get(before.channel())));
    }
    for (int i = 0; i < setup.power().failsafe().size(); i++) {
      FailsafeSetting before = setup.power().failsafe().get(i);
      assertThat(done.power().failsafe().get(i))
          .isEqualTo(before.onChannel(numbers.get(before.channel())));
    }
    for (int i = 0; i < setup.wiring().between().size(); i++) {
      assertThat(done.wiring().between().get(i).channels())
          .isEqualTo(
              setup.wiring().between().get(i).channels().stream().map(numbers::get).toList());
    }
  }

  /**
   * Sockets that put out anything take the channels in their order; others put out what they do.
   */
  private static Receiver sockets(Setup setup, Setup done) {
    Receiver before = setup.wiring().receiver();
    if (!before.anyChannel()) {
      return before;
    }
    List<Integer> wanted = new ArrayList<>(done.channels().stream().map(Channel::number).toList());
    List<Socket> sockets = new ArrayList<>();
    for (Socket one : before.sockets()) {
      boolean takes = one.output() == SocketOutput.SERVO && !wanted.isEmpty();
      sockets.add(takes ? new Socket(one.number(), wanted.remove(0), one.output()) : one);
    }
    return before.change().sockets(sockets).done();
  }

  private static int socket(Receiver receiver, int channel) {
    for (Socket one : receiver.sockets()) {
      if (one.output() == SocketOutput.SERVO && one.channel() == channel) {
        return one.number();
      }
    }
    return -1;
  }

  private static void leads(Setup setup, Setup done, Receiver receiver) {
    List<Lead> wanted = new ArrayList<>();
    List<Device> devices = Device.of(done);
    for (Device one : devices) {
      int socket = socket(receiver, one.channel());
      List<Device> sharing =
          devices.stream().filter(other -> other.channel() == one.channel()).toList();
      if (socket >= 0) {
        boolean reverser =
            setup.wiring().leads().stream()
                .anyMatch(lead -> lead.device().equals(one.id()) && lead.reverser());
        wanted.add(
            new Lead(
                one.id(),
                socket,
                sharing.size() > 1 ? "y-" + one.channel() : "",
                LeadLengths.extensionMm(done, one.id()),
                reverser,
                one.own().substring(0, Math.min(LABEL, one.own().length()))));
      }
    }
    assertThat(done.wiring().leads()).isEqualTo(wanted);
  }
}
