package hightally.core.audit;

import hightally.core.airframe.Motor;
import hightally.core.airframe.Surface;
import hightally.core.audit.Finding.Edit;
import hightally.core.audit.Finding.Mend;
import hightally.core.audit.Finding.Severity;
import hightally.core.channel.Between;
import hightally.core.channel.Channel;
import hightally.core.channel.Failsafe;
import hightally.core.channel.Lead;
import hightally.core.channel.Receiver;
import hightally.core.channel.Socket;
import hightally.core.channel.SocketOutput;
import hightally.core.channel.Transmitter;
import hightally.core.setup.Device;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Whether the channel map holds together from the transmitter to the last lead. */
final class MapRules {
  private MapRules() {}

  static List<Rule> all() {
    return List.of(
        new Rule(
            "not-plugged-in",
            "Every servo and motor has a lead to a socket",
            "What is not on the map gets plugged in by guess, and the model is flown with it.",
            Severity.GROUNDS,
            MapRules::unplugged),
        new Rule(
            "two-leads-one-socket",
            "One lead a socket, or a Y-lead",
            "Only one plug fits; the other surface stays where it is.",
            Severity.GROUNDS,
            MapRules::crowded),
        new Rule(
            "outside-receiver",
            "Every lead ends at a socket that puts out its channel",
            "The servo gets no pulse, or another surface's.",
            Severity.GROUNDS,
            MapRules::outside),
        new Rule(
            "socket-not-for-servos",
            "Servos and controllers hang on sockets that put out servo pulses",
            "On a bus or telemetry socket a servo chatters or runs to its stop; set the outputs before"
                + " anything is plugged in.",
            Severity.GROUNDS,
            MapRules::protocol),
        new Rule(
            "throttle-not-held",
            "The failsafe stops the motor",
            "When the link is lost the motor runs on at the last power, and the model flies away or"
                + " into someone.",
            Severity.GROUNDS,
            MapRules::failsafe),
        new Rule(
            "outside-transmitter",
            "The transmitter has the channel, the endpoint and the sub-trim",
            "The value cannot be typed in, so what flies is not what was planned.",
            Severity.GROUNDS,
            MapRules::transmitter),
        new Rule(
            "reversed-twice",
            "A direction is turned round in one place",
            "Reversed at the servo and again in its share, the two cancel; whoever puts one right"
                + " later turns the surface round.",
            Severity.WARNS,
            MapRules::twice),
        new Rule(
            "trim-does-not-pass",
            "Trims reach the servos as they are",
            "What sits between receiver and servos takes a trim for a command, or fights it.",
            Severity.GROUNDS,
            MapRules::blocked));
  }

  private static Finding found(Rule rule, String subject, String title, List<Mend> mends) {
    return new Finding(
        rule.id(), rule.severity(), subject, title, rule.reason(), 1, 0, "", mends, "");
  }

  private static List<Finding> unplugged(Rule rule, Rig rig) {
    List<Finding> findings = new ArrayList<>();
    for (Device device : Device.of(rig.setup())) {
      if (rig.setup().wiring().lead(device.id()).isEmpty()) {
        findings.add(found(rule, device.id(), device.name() + " has no lead", List.of()));
      }
    }
    return findings;
  }

  private static List<Finding> crowded(Rule rule, Rig rig) {
    List<Finding> findings = new ArrayList<>();
    List<Lead> leads = rig.setup().wiring().leads();
    for (int i = 0; i < leads.size(); i++) {
      for (Lead other : leads.subList(0, i)) {
        Lead lead = leads.get(i);
        boolean joined = !lead.splitter().isEmpty() && lead.splitter().equals(other.splitter());
        if (lead.socket() == other.socket() && !joined) {
          String title =
              device(rig.setup(), lead).name()
                  + " and "
                  + device(rig.setup(), other).name()
                  + " are both on socket "
                  + lead.socket()
                  + " without a Y-lead";
          findings.add(found(rule, lead.device(), title, List.of()));
        }
      }
    }
    return findings;
  }

  private static List<Finding> outside(Rule rule, Rig rig) {
    List<Finding> findings = new ArrayList<>();
    Receiver receiver = rig.setup().wiring().receiver();
    for (Lead lead : rig.setup().wiring().leads()) {
      Optional<Socket> socket = receiver.socket(lead.socket());
      int channel = device(rig.setup(), lead).channel();
      String name = device(rig.setup(), lead).name();
      if (socket.isEmpty()) {
        String title = name + " is on socket " + lead.socket() + ", which the receiver has not";
        findings.add(found(rule, lead.device(), title, List.of()));
      } else if (socket.get().channel() != channel) {
        String title =
            name
                + " needs channel "
                + channel
                + ", but socket "
                + lead.socket()
                + " puts out channel "
                + socket.get().channel();
        findings.add(found(rule, lead.device(), title, retune(receiver, socket.get(), channel)));
      }
    }
    return findings;
  }

  private static List<Mend> retune(Receiver receiver, Socket socket, int channel) {
    if (!receiver.anyChannel()) {
      return List.of();
    }
    int index = receiver.sockets().indexOf(socket);
    Edit edit = new Edit(List.of("wiring", "receiver", "sockets", "" + index, "channel"), channel);
    return List.of(
        new Mend("Socket " + socket.number() + " puts out channel " + channel, List.of(edit)));
  }

  private static List<Finding> protocol(Rule rule, Rig rig) {
    List<Finding> findings = new ArrayList<>();
    for (Lead lead : rig.setup().wiring().leads()) {
      rig.setup()
          .wiring()
          .receiver()
          .socket(lead.socket())
          .filter(socket -> socket.output() != SocketOutput.SERVO)
          .ifPresent(
              socket ->
                  findings.add(
                      found(
                          rule,
                          lead.device(),
                          device(rig.setup(), lead).name()
                              + " is on socket "
                              + socket.number()
                              + ", which puts out no servo pulses",
                          List.of())));
    }
    return findings;
  }

  private static List<Finding> failsafe(Rule rule, Rig rig) {
    List<Finding> findings = new ArrayList<>();
    Receiver receiver = rig.setup().wiring().receiver();
    for (Motor motor : rig.setup().airframe().motors()) {
      boolean held =
          receiver.failsafe() == Failsafe.EVERY_CHANNEL
              || receiver.failsafe() == Failsafe.ONE_CHANNEL
                  && receiver.failsafeChannel() == motor.channel();
      if (!held) {
        String title =
            "The receiver's failsafe does not hold channel "
                + motor.channel()
                + ", which runs "
                + motor.name();
        findings.add(found(rule, motor.id(), title, List.of()));
      }
    }
    return findings;
  }

  private static List<Finding> transmitter(Rule rule, Rig rig) {
    List<Finding> findings = new ArrayList<>();
    Transmitter transmitter = rig.setup().transmitter();
    for (int i = 0; i < rig.setup().channels().size(); i++) {
      Channel channel = rig.setup().channels().get(i);
      if (channel.number() < transmitter.firstChannel()
          || channel.number() > transmitter.lastChannel()) {
        String title = channel.name() + ": the transmitter has no channel " + channel.number();
        findings.add(found(rule, channel.carries(), title, List.of()));
      }
      double endpoint = Math.max(channel.endpointHighPercent(), channel.endpointLowPercent());
      beyond(rule, channel, "an endpoint", endpoint, transmitter.endpointLimitPercent(), "%")
          .ifPresent(findings::add);
      double subTrim = Math.abs(channel.subTrimMicroseconds());
      beyond(rule, channel, "a sub-trim", subTrim, transmitter.subTrimLimitMicroseconds(), "µs")
          .ifPresent(findings::add);
    }
    return findings;
  }

  private static Optional<Finding> beyond(
      Rule rule, Channel channel, String what, double value, double limit, String unit) {
    if (value <= limit + 1e-9) {
      return Optional.empty();
    }
    String title =
        String.format(
            Locale.ROOT,
            "%s needs %s of %.0f %s; the transmitter goes to %.0f %s",
            channel.name(),
            what,
            value,
            unit,
            limit,
            unit);
    return Optional.of(
        new Finding(
            rule.id(),
            rule.severity(),
            channel.carries(),
            title,
            rule.reason(),
            value,
            limit,
            unit,
            List.of(),
            ""));
  }

  private static List<Finding> twice(Rule rule, Rig rig) {
    List<Finding> findings = new ArrayList<>();
    for (int i = 0; i < rig.setup().channels().size(); i++) {
      Channel channel = rig.setup().channels().get(i);
      Optional<Surface> carried = rig.setup().surface(channel.carries());
      if (channel.reversed() && carried.filter(one -> shareTurned(rig.setup(), one)).isPresent()) {
        String title = carried.get().name() + " is reversed at the servo and in its share";
        findings.add(found(rule, carried.get().id(), title, List.of()));
      }
    }
    return findings;
  }

  /**
   * Whether a surface's roll share has the other sign than its side asks for, or its pitch share
   * than its place: ahead of the balance point a surface goes down to raise the nose.
   */
  private static boolean shareTurned(Setup setup, Surface surface) {
    double roll = surface.shares().roll();
    boolean rollTurned =
        switch (surface.side()) {
          case LEFT -> roll > 0;
          case RIGHT -> roll < 0;
          case CENTRE -> false;
        };
    boolean ahead =
        setup.airframe().panels().stream()
            .filter(panel -> panel.id().equals(surface.place().panel()))
            .anyMatch(panel -> panel.root().aftMm() + panel.root().chordMm() < wingAft(setup));
    double pitch = ahead ? -surface.shares().pitch() : surface.shares().pitch();
    return !surface.sideways() && (rollTurned || pitch < 0);
  }

  /** Where the largest panel begins: the wing. */
  private static double wingAft(Setup setup) {
    return setup.airframe().panels().stream()
        .max(
            Comparator.comparingDouble(
                panel ->
                    (panel.root().chordMm() + panel.tip().chordMm())
                        * Math.abs(panel.tip().rightMm() - panel.root().rightMm())))
        .map(panel -> panel.root().aftMm())
        .orElse(0.0);
  }

  private static List<Finding> blocked(Rule rule, Rig rig) {
    List<Finding> findings = new ArrayList<>();
    for (Between between : rig.setup().wiring().between()) {
      for (Channel channel : rig.setup().channels()) {
        boolean trimmed = channel.subTrimMicroseconds() != 0 || !rig.setup().trims().allZero();
        if (!between.allowsTrim() && between.carries(channel.number()) && trimmed) {
          String title =
              between.name() + " takes no trim, but channel " + channel.number() + " has some";
          findings.add(found(rule, channel.carries(), title, List.of()));
        }
      }
    }
    return findings;
  }

  private static Device device(Setup setup, Lead lead) {
    return setup.device(lead.device()).orElseThrow();
  }
}
