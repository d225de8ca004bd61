package hightally.core.audit;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Surface;
import hightally.core.audit.Finding.Severity;
import hightally.core.channel.Between;
import hightally.core.channel.Channel;
import hightally.core.channel.Lead;
import hightally.core.channel.StickFunction;
import hightally.core.program.Phase;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import hightally.core.setup.MeantWay;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What a channel carries: turned round once, trimmed only where trims pass, in the usual order. */
final class ChannelRules {
  private static final double NOTHING = 1e-9;

  private ChannelRules() {}

  static List<Rule> all() {
    return List.of(
        new Rule(
            "reversed-twice",
            Said.of("audit.reversedOnce"),
            Said.of("audit.reversedTwiceWhy"),
            Severity.WARNS,
            ChannelRules::twice),
        new Rule(
            "trim-does-not-pass",
            Said.of("audit.trimsArrive"),
            Said.of("audit.deviceBetweenWhy"),
            Severity.GROUNDS,
            ChannelRules::blocked),
        new Rule(
            "channel-order",
            Said.of("audit.channelOrderTitle"),
            Said.of("audit.whyTransmittersOrder"),
            Severity.WARNS,
            ChannelRules::order));
  }

  private static List<Finding> twice(Rule rule, Rig rig) {
    List<Finding> findings = new ArrayList<>();
    for (Surface surface : rig.setup().surfaces()) {
      if (surface.rod().driver() == DriverKind.SERVO) {
        int index = rig.path().indexOf(surface.id());
        List<Said> places = turnedIn(rig, index);
        if (places.size() > 1) {
          Said title = Said.of("audit.turnedTwice", "surface", surface.name(), "places", places);
          findings.add(MapRules.found(rule, surface.id(), title, List.of()));
        }
      }
    }
    return findings;
  }

  /** Everywhere the direction of a surface is turned round on its way from the stick. */
  private static List<Said> turnedIn(Rig rig, int index) {
    List<Said> places = new ArrayList<>();
    Channel channel = rig.channel(index);
    if (channel.reversed()) {
      places.add(Said.of("audit.inChannel", "number", channel.number()));
    }
    String servo = rig.surface(index).rod().driverId();
    if (rig.setup().wiring().lead(servo).map(Lead::reverser).orElse(false)) {
      places.add(Said.of("audit.inReverser"));
    }
    Optional<Surface> carried = rig.setup().surface(channel.carries());
    if (carried.filter(one -> shareTurned(rig.setup(), one)).isPresent()) {
      places.add(Said.of("audit.inShare"));
    }
    return places;
  }

  /** Whether a surface's share of some control has the other sign than its role asks for. */
  private static boolean shareTurned(Setup setup, Surface surface) {
    for (Control control : Control.values()) {
      int meant = MeantWay.of(setup, surface, control);
      if (meant * surface.shares().of(control) < 0) {
        return true;
      }
    }
    return false;
  }

  private static List<Finding> blocked(Rule rule, Rig rig) {
    List<Finding> findings = new ArrayList<>();
    for (Between between : rig.setup().wiring().between()) {
      for (Channel channel : rig.setup().channels()) {
        if (!between.allowsTrim() && between.carries(channel.number())) {
          blocked(rule, rig.setup(), between, channel).ifPresent(findings::add);
        }
      }
    }
    return findings;
  }

  /** A channel behind something that takes no trim: its sub-trim, and the phases that trim it. */
  private static Optional<Finding> blocked(
      Rule rule, Setup setup, Between between, Channel channel) {
    Optional<Surface> surface = setup.surface(channel.carries());
    List<Said> trimmed = new ArrayList<>();
    if (channel.subTrimMicroseconds() != 0) {
      trimmed.add(Said.of("audit.bySubTrim"));
    }
    for (Phase phase : setup.phases()) {
      if (surface.filter(one -> trimmed(setup, phase, one)).isPresent()) {
        trimmed.add(Said.of("audit.inPhase", "phase", phase.name()));
      }
    }
    if (trimmed.isEmpty()) {
      return Optional.empty();
    }
    Said title =
        Said.of(
            "audit.noTrimThrough",
            "between",
            between.name(),
            "number",
            channel.number(),
            "trimmed",
            trimmed);
    return Optional.of(MapRules.found(rule, channel.carries(), title, List.of()));
  }

  private static boolean trimmed(Setup setup, Phase phase, Surface surface) {
    Trims trims = phase.effective(setup.trims());
    double sum = 0;
    for (Control control : Control.values()) {
      sum += surface.shares().of(control) * trims.of(control);
    }
    return Math.abs(sum) > NOTHING;
  }

  private static List<Finding> order(Rule rule, Rig rig) {
    List<Finding> findings = new ArrayList<>();
    List<StickFunction> order = rig.setup().transmitter().channelOrder();
    for (int i = 0; i < order.size(); i++) {
      int number = rig.setup().transmitter().firstChannel() + i;
      StickFunction usual = order.get(i);
      List<Channel> channels = rig.setup().channels();
      Optional<Channel> there = channels.stream().filter(one -> one.number() == number).findFirst();
      Optional<Channel> elsewhere =
          channels.stream().filter(one -> carries(rig.setup(), one).contains(usual)).findFirst();
      boolean other = there.filter(one -> !carries(rig.setup(), one).contains(usual)).isPresent();
      if (other && elsewhere.isPresent()) {
        Said title =
            Said.of(
                "audit.channelOrder",
                "function",
                usual,
                "number",
                elsewhere.get().number(),
                "usual",
                number);
        findings.add(MapRules.found(rule, elsewhere.get().carries(), title, List.of()));
      }
    }
    return findings;
  }

  /** What a channel carries of the sticks' functions: those its surface has most of. */
  private static Set<StickFunction> carries(Setup setup, Channel channel) {
    Set<StickFunction> carried = EnumSet.noneOf(StickFunction.class);
    if (channel.carriesThrottle()) {
      carried.add(StickFunction.THROTTLE);
    }
    setup
        .surface(channel.carries())
        .ifPresent(
            surface -> {
              double most = 0;
              for (Control control : Control.values()) {
                most = Math.max(most, Math.abs(surface.shares().of(control)));
              }
              for (Control control : Control.values()) {
                double share = Math.abs(surface.shares().of(control));
                if (share > 0 && share > most - NOTHING) {
                  carried.add(StickFunction.valueOf(control.name()));
                }
              }
            });
    return carried;
  }
}
