package hightally.core.audit;

import static hightally.core.audit.OutputRules.finding;

import hightally.core.airframe.Contact;
import hightally.core.airframe.Surface;
import hightally.core.audit.Finding.Edit;
import hightally.core.audit.Finding.Mend;
import hightally.core.audit.Finding.Severity;
import hightally.core.channel.Channel;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.setup.ThrowGoal;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What surfaces must not share: a channel where their commands differ, and the same place. */
final class SharingRules {
  private static final double SAME_SHARE = 1e-6;

  private SharingRules() {}

  static List<Rule> all() {
    return List.of(
        new Rule(
            "shared-channel",
            "Only surfaces that always move alike share a channel",
            "One channel carries one command: differential, a sub-trim of its own or a second control"
                + " cannot reach one of two surfaces on a Y-lead.",
            Severity.GROUNDS,
            SharingRules::sharing),
        new Rule(
            "surfaces-touch",
            "Surfaces keep clear of one another in every corner of the sticks",
            "Two surfaces that touch stall a servo or tear a horn, always at full stick, when the"
                + " model needs it most.",
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

  private static Finding shared(Rule rule, Rig rig, int i, String why) {
    String title =
        rig.surface(i).name() + " shares channel " + rig.channel(i).number() + ", but " + why;
    return finding(rule, rig, i, title, rig.onChannelOf(i).count(), 1, "surfaces", List.of());
  }

  /** Why a surface must have a channel of its own; nothing if it may share. */
  private static Optional<String> reason(Rig rig, int i) {
    Surface surface = rig.surface(i);
    Surface carried = rig.setup().surface(rig.channel(i).carries()).orElseThrow();
    if (rig.alone(i) || carried.id().equals(surface.id())) {
      return Optional.empty();
    }
    if (!alike(surface, carried)) {
      return Optional.of("takes other controls than " + carried.name().toLowerCase(Locale.ROOT));
    }
    double apart = Math.abs(rig.at(i, 0).travelMm()[i]);
    if (apart > rig.house().pairMm()) {
      String words = "stands %.1f mm off at rest and needs a sub-trim of its own";
      return Optional.of(String.format(Locale.ROOT, words, apart));
    }
    return goal(rig.setup(), surface)
        .filter(goal -> carried.shares().of(Control.ROLL) != 0)
        .filter(goal -> Math.abs(goal.plusMm() - goal.minusMm()) > rig.house().unevenMm())
        .map(goal -> "its wanted throws differ up and down, which needs differential");
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
    String title =
        String.format(
            Locale.ROOT,
            "%s and %s touch: %.1f mm %s with %.1f mm %s",
            rig.surface(first).name(),
            other.name().toLowerCase(Locale.ROOT),
            Math.abs(contact.firstMm()),
            rig.surface(first).directionWord(contact.firstMm()),
            Math.abs(contact.secondMm()),
            other.directionWord(contact.secondMm()));
    List<Mend> mends = rig.alone(first) ? shorter(rig, first, contact) : List.of();
    double limit = rig.house().contactMarginMm();
    return finding(rule, rig, first, title, overlap, limit, "mm", mends);
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
    Contact clear = new Contact(contact.first(), near, contact.second(), contact.secondMm());
    boolean high = rig.pulseOf(i, sign) > rig.output(i).pulse(0);
    double from = high ? channel.endpointHighPercent() : channel.endpointLowPercent();
    String field = high ? "endpointHighPercent" : "endpointLowPercent";
    for (double endpoint = Math.floor(from) - 1; endpoint > 0; endpoint--) {
      List<Channel> channels = new ArrayList<>(rig.setup().channels());
      channels.set(index, high ? channel.withHigh(endpoint) : channel.withLow(endpoint));
      SignalPath tried = SignalPath.of(rig.setup().change().channels(channels).done());
      if (Corners.overlapMm(tried, clear) < 0) {
        String words =
            String.format(
                Locale.ROOT,
                "Endpoint %s of %s to %.0f %%, %.1f mm short of touching",
                high ? "high" : "low",
                channel.name(),
                endpoint,
                rig.house().contactMarginMm());
        Edit edit = rig.channelEdit(i, field, endpoint);
        return List.of(new Mend(words, List.of(edit)));
      }
    }
    return List.of();
  }
}
