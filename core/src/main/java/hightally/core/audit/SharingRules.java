package hightally.core.audit;

import static hightally.core.audit.OutputRules.finding;

import hightally.core.airframe.Contact;
import hightally.core.airframe.Surface;
import hightally.core.audit.Finding.Severity;
import hightally.core.channel.Channel;
import hightally.core.edit.Edit;
import hightally.core.edit.Figure;
import hightally.core.edit.Mend;
import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import hightally.core.setup.Setup;
import hightally.core.setup.ThrowGoal;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What surfaces must not share: a channel where their commands differ, and the same place. */
final class SharingRules {
  private static final double SAME_SHARE = 1e-6;

  private SharingRules() {}

  static List<Rule> all() {
    return List.of(
        new Rule(
            "shared-channel",
            Said.of("audit.sharedAlike"),
            Said.of("audit.sharedChannelWhy"),
            Severity.GROUNDS,
            SharingRules::sharing),
        new Rule(
            "surfaces-touch",
            Said.of("audit.surfacesClear"),
            Said.of("audit.touchWhy"),
            Severity.GROUNDS,
            SharingRules::touching));
  }

  private static List<Finding> sharing(Rule rule, Rig rig) {
    List<Finding> findings = new ArrayList<>();
    rig.surfaces()
        .filter(rig::drivenByServo)
        .forEach(i -> reason(rig, i).ifPresent(why -> findings.add(shared(rule, rig, i, why))));
    return findings;
  }

  private static Finding shared(Rule rule, Rig rig, int i, Said why) {
    Said title =
        Said.of(
            "audit.sharesChannelBut",
            "surface",
            rig.surface(i).name(),
            "numbers",
            rig.channel(i).number(),
            "why",
            why);
    return finding(rule, rig, i, title, rig.onChannelOf(i).count(), 1, Unit.NONE, List.of());
  }

  /** Why a surface must have a channel of its own; nothing if it may share. */
  private static Optional<Said> reason(Rig rig, int i) {
    Surface surface = rig.surface(i);
    Surface carried = rig.setup().surface(rig.channel(i).carries()).orElseThrow();
    if (rig.alone(i) || carried.id().equals(surface.id())) {
      return Optional.empty();
    }
    if (!alike(surface, carried)) {
      return Optional.of(Said.of("audit.sharedControls", "carried", carried.name()));
    }
    double apart = Math.abs(rig.at(i, 0).travelMm()[i]);
    if (apart > rig.house().pairMm()) {
      return Optional.of(Said.of("audit.pairAtRest", "apart", Quantity.mm(apart)));
    }
    return goal(rig.setup(), surface)
        .filter(goal -> carried.shares().of(Control.ROLL) != 0)
        .filter(goal -> Math.abs(goal.plusMm() - goal.minusMm()) > rig.house().unevenMm())
        .map(goal -> Said.of("audit.sharedDifferential"));
  }

  private static Optional<ThrowGoal> goal(Setup setup, Surface surface) {
    return setup.notebook().goals().stream()
        .filter(goal -> goal.surface().equals(surface.id()))
        .findFirst();
  }

  /** Whether two surfaces take the same controls in the same proportion, either way round. */
  private static boolean alike(Surface one, Surface other) {
    double[] a = vector(one);
    double[] b = vector(other);
    for (int i = 0; i < a.length; i++) {
      for (int j = 0; j < i; j++) {
        if (Math.abs(a[i] * b[j] - a[j] * b[i]) > SAME_SHARE) {
          return false;
        }
      }
    }
    return true;
  }

  private static double[] vector(Surface surface) {
    double levers = surface.shares().levers().stream().mapToDouble(one -> one.share()).sum();
    return new double[] {
      surface.shares().roll(), surface.shares().pitch(), surface.shares().yaw(), levers
    };
  }

  private static List<Finding> touching(Rule rule, Rig rig) {
    List<Finding> findings = new ArrayList<>();
    for (Contact contact : rig.setup().contacts()) {
      double overlap = Corners.overlapMm(rig.path(), contact);
      if (overlap >= 0) {
        findings.add(touch(rule, rig, contact, overlap));
      }
    }
    return findings;
  }

  private static Finding touch(Rule rule, Rig rig, Contact contact, double overlap) {
    int first = rig.path().indexOf(contact.first());
    Surface other = rig.setup().surface(contact.second()).orElseThrow();
    Said title =
        Said.of(
            "audit.touch",
            "surface",
            rig.surface(first).name(),
            "another",
            other.name(),
            "size",
            Quantity.mm(Math.abs(contact.firstMm())),
            "way",
            rig.surface(first).goes(contact.firstMm()),
            "size2",
            Quantity.mm(Math.abs(contact.secondMm())),
            "way2",
            other.goes(contact.secondMm()));
    List<Mend> mends = rig.alone(first) ? shorter(rig, first, contact) : List.of();
    double limit = rig.house().contactMarginMm();
    return finding(rule, rig, first, title, overlap, limit, Unit.MILLIMETRES, mends);
  }

  /**
   * The largest endpoint that keeps the first surface clear by the margin, found percent by
   * percent.
   */
  private static List<Mend> shorter(Rig rig, int i, Contact contact) {
    int index = rig.path().channelBehind(i);
    Channel channel = rig.channel(i);
    double sign = Math.signum(contact.firstMm());
    double near = contact.firstMm() - sign * rig.house().contactMarginMm();
    Contact clear = contact.change().firstMm(near).done();
    boolean high = rig.pulseOf(i, sign) > rig.output(i).pulse(0);
    double from = high ? channel.endpointHighPercent() : channel.endpointLowPercent();
    Figure field = high ? Figure.ENDPOINT_HIGH : Figure.ENDPOINT_LOW;
    for (double endpoint = Math.floor(from) - 1; endpoint > 0; endpoint--) {
      List<Channel> channels = new ArrayList<>(rig.setup().channels());
      channels.set(index, high ? channel.withHigh(endpoint) : channel.withLow(endpoint));
      SignalPath tried = SignalPath.of(rig.setup().change().channels(channels).done());
      if (Corners.overlapMm(tried, clear) < 0) {
        Said words =
            Said.of(
                "audit.endpointShortTouching",
                "end",
                field,
                "channel",
                channel.name(),
                "to",
                Quantity.percent(endpoint),
                "margin",
                Quantity.mm(rig.house().contactMarginMm()));
        Edit edit = rig.channelEdit(i, field, endpoint);
        return List.of(new Mend(words, List.of(edit)));
      }
    }
    return List.of();
  }
}
