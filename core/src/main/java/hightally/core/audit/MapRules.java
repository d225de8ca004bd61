package hightally.core.audit;

import hightally.core.airframe.Motor;
import hightally.core.audit.Finding.Severity;
import hightally.core.channel.Channel;
import hightally.core.channel.Failsafe;
import hightally.core.channel.Lead;
import hightally.core.channel.Receiver;
import hightally.core.channel.Socket;
import hightally.core.channel.SocketOutput;
import hightally.core.channel.Transmitter;
import hightally.core.edit.Edit;
import hightally.core.edit.Figure;
import hightally.core.edit.Mend;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import hightally.core.setup.Device;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Whether the channel map holds together from the transmitter to the last lead. */
final class MapRules {
  private MapRules() {}

  static List<Rule> all() {
    return List.of(
        new Rule(
            "not-plugged-in",
            Said.of("audit.everyLead"),
            Said.of("audit.unplannedLeadWhy"),
            Severity.GROUNDS,
            MapRules::unplugged),
        new Rule(
            "two-leads-one-socket",
            Said.of("audit.leadsPerSocket"),
            Said.of("audit.socketTwiceWhy"),
            Severity.GROUNDS,
            MapRules::crowded),
        new Rule(
            "outside-receiver",
            Said.of("audit.leadSockets"),
            Said.of("audit.wrongSocketWhy"),
            Severity.GROUNDS,
            MapRules::outside),
        new Rule(
            "socket-not-for-servos",
            Said.of("audit.servoSockets"),
            Said.of("audit.servoOnBus"),
            Severity.GROUNDS,
            MapRules::protocol),
        new Rule(
            "throttle-not-held",
            Said.of("audit.failsafeStopsMotor"),
            Said.of("audit.failsafeWhy"),
            Severity.GROUNDS,
            MapRules::failsafe),
        new Rule(
            "outside-transmitter",
            Said.of("audit.transmitterHas"),
            Said.of("audit.typedWhy"),
            Severity.GROUNDS,
            MapRules::transmitter));
  }

  static Finding found(Rule rule, String subject, Said title, List<Mend> mends) {
    return new Finding(
        rule.id(), rule.severity(), subject, title, rule.reason(), 1, 0, Unit.NONE, mends, "");
  }

  private static List<Finding> unplugged(Rule rule, Rig rig) {
    List<Finding> findings = new ArrayList<>();
    for (Device device : Device.of(rig.setup())) {
      if (rig.setup().wiring().lead(device.id()).isEmpty()) {
        findings.add(
            found(rule, device.id(), Said.of("audit.noLead", "device", device.name()), List.of()));
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
          Said title =
              Said.of(
                  "audit.socketTwice",
                  "device",
                  device(rig.setup(), lead).name(),
                  "device2",
                  device(rig.setup(), other).name(),
                  "socket",
                  lead.socket());
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
      Said name = device(rig.setup(), lead).name();
      if (socket.isEmpty()) {
        Said title = Said.of("audit.socketReceiverNot", "name", name, "socket", lead.socket());
        findings.add(found(rule, lead.device(), title, List.of()));
      } else if (socket.get().channel() != channel) {
        Said title =
            Said.of(
                "audit.wrongSocket",
                "name",
                name,
                "channel",
                channel,
                "socket",
                lead.socket(),
                "channel2",
                socket.get().channel());
        findings.add(found(rule, lead.device(), title, retune(receiver, socket.get(), channel)));
      }
    }
    return findings;
  }

  private static List<Mend> retune(Receiver receiver, Socket socket, int channel) {
    if (!receiver.anyChannel()) {
      return List.of();
    }
    Edit edit = Edit.of(Figure.SOCKET_CHANNEL, socket.number(), channel);
    return List.of(
        new Mend(
            Said.of("audit.socketOutputs", "numbers", socket.number(), "channel", channel),
            List.of(edit)));
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
                          Said.of(
                              "audit.socketNoServo",
                              "device",
                              device(rig.setup(), lead).name(),
                              "numbers",
                              socket.number()),
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
        Said title =
            Said.of("audit.failsafeHoldsNot", "channel", motor.channel(), "motor", motor.name());
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
        Said title =
            Said.of(
                "audit.transmitterNoChannel",
                "channel",
                channel.name(),
                "numbers",
                channel.number());
        findings.add(found(rule, channel.carries(), title, List.of()));
      }
      double endpoint = Math.max(channel.endpointHighPercent(), channel.endpointLowPercent());
      beyond(
              rule,
              channel,
              Said.of("audit.endpoint"),
              endpoint,
              transmitter.endpointLimitPercent(),
              Unit.PERCENT)
          .ifPresent(findings::add);
      double subTrim = Math.abs(channel.subTrimMicroseconds());
      beyond(
              rule,
              channel,
              Said.of("audit.subTrim"),
              subTrim,
              transmitter.subTrimLimitMicroseconds(),
              Unit.MICROSECONDS)
          .ifPresent(findings::add);
    }
    return findings;
  }

  private static Optional<Finding> beyond(
      Rule rule, Channel channel, Said what, double value, double limit, Unit unit) {
    if (value <= limit + 1e-9) {
      return Optional.empty();
    }
    Said title =
        Said.of(
            "audit.needsTransmitterGoes",
            "channel",
            channel.name(),
            "what",
            what,
            "value",
            new Quantity(value, unit, 0),
            "limit",
            new Quantity(limit, unit, 0));
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

  private static Device device(Setup setup, Lead lead) {
    return setup.device(lead.device()).orElseThrow();
  }
}
