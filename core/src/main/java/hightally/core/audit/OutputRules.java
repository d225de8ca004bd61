package hightally.core.audit;

import hightally.core.airframe.Surface;
import hightally.core.audit.Finding.Edit;
import hightally.core.audit.Finding.Mend;
import hightally.core.audit.Finding.Severity;
import hightally.core.channel.Channel;
import hightally.core.channel.Output;
import hightally.core.linkage.FourBar;
import hightally.core.linkage.RodChange;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** What a channel's output stage should look like. */
final class OutputRules {
  /** Servo arms have no hole further in than this, mm. */
  private static final double SMALLEST_HOLE_MM = 4;

  private OutputRules() {}

  static List<Rule> all() {
    return List.of(
        new Rule(
            "large-sub-trim",
            "Sub-trim only takes up what is left after seating the arm",
            "An arm off square moves the surface further one way than the other, and the travel that"
                + " the sub-trim used up is missing at one end.",
            Severity.WARNS,
            OutputRules::largeSubTrim),
        new Rule(
            "clipped-endpoint",
            "The whole command reaches the servo",
            "The last part of the stick does nothing: full deflection is less than it looks, just when"
                + " it is needed.",
            Severity.GROUNDS,
            OutputRules::clipped),
        new Rule(
            "small-endpoint",
            "Endpoints use most of the servo's travel",
            "A small endpoint throws resolution and torque away, and slop counts for more; an inner"
                + " hole on the arm gives the same throw with the whole servo.",
            Severity.WARNS,
            OutputRules::small));
  }

  private static List<Finding> largeSubTrim(Rule rule, Rig rig) {
    double limit = rig.house().largeSubTrimMicroseconds();
    return rig.onePerChannel()
        .filter(i -> Math.abs(rig.channel(i).subTrimMicroseconds()) > limit)
        .mapToObj(i -> subTrimFinding(rule, rig, i, limit))
        .toList();
  }

  private static Finding subTrimFinding(Rule rule, Rig rig, int i, double limit) {
    double found = Math.abs(rig.channel(i).subTrimMicroseconds());
    String title = rig.surface(i).name() + ": sub-trim of " + Math.round(found) + " µs";
    return finding(rule, rig, i, title, found, limit, "µs", subTrimMend(rig, i));
  }

  /**
   * The same centre from the rods: sub-trim to zero, every rod on the channel so that nothing
   * moves.
   */
  private static List<Mend> subTrimMend(Rig rig, int i) {
    double pulse = rig.output(i).pulse(0);
    double subTrim = rig.channel(i).subTrimMicroseconds();
    List<Edit> edits = new ArrayList<>();
    edits.add(rig.channelEdit(i, "subTrimMicroseconds", 0));
    rig.onChannelOf(i)
        .forEach(
            other -> {
              double with = rig.servo(other).armDegrees(pulse);
              double without = with - subTrim * rig.servo(other).slope();
              rodEdit(rig, other, with, without).ifPresent(edits::add);
            });
    return List.of(new Mend("Sub-trim to zero, and level by the rod instead", edits));
  }

  private static java.util.Optional<Edit> rodEdit(Rig rig, int i, double with, double without) {
    Surface surface = rig.surface(i);
    FourBar bar = rig.path().bar(i);
    RodChange change = RodChange.of(bar, surface.rod().end(), surface.chordMm(), with, without);
    return change instanceof RodChange.Found found
        ? java.util.Optional.of(rig.rodEdit(i, surface.rod().adjustedMm() + found.appliedMm()))
        : java.util.Optional.empty();
  }

  private static List<Finding> clipped(Rule rule, Rig rig) {
    List<Finding> findings = new ArrayList<>();
    rig.onePerChannel()
        .forEach(
            i -> {
              clippedSide(rule, rig, i, 1, findings);
              clippedSide(rule, rig, i, -1, findings);
            });
    return findings;
  }

  private static void clippedSide(Rule rule, Rig rig, int i, int side, List<Finding> findings) {
    Output output = rig.output(i);
    double wanted = output.freePulse(100.0 * side);
    double cut = Math.abs(wanted - output.pulse(100.0 * side));
    if (cut > rig.house().clippedMicroseconds()) {
      boolean high = wanted > output.centre();
      double edge = high ? output.limitHigh() : output.limitLow();
      double reach = Math.abs(edge - output.centre() - output.subTrim());
      double endpoint = Math.floor(100 * reach / output.pulsePer100());
      String field = high ? "endpointHighPercent" : "endpointLowPercent";
      String name = high ? "high" : "low";
      Mend mend =
          new Mend(
              "Endpoint " + name + " to " + (int) endpoint + " %",
              List.of(rig.channelEdit(i, field, endpoint)));
      String title =
          String.format(
              Locale.ROOT, "%s: %.0f µs cut off at the %s end", rig.surface(i).name(), cut, name);
      double limit = rig.house().clippedMicroseconds();
      findings.add(finding(rule, rig, i, title, cut, limit, "µs", List.of(mend)));
    }
  }

  private static List<Finding> small(Rule rule, Rig rig) {
    double limit = rig.house().smallEndpointPercent();
    return rig.onePerChannel()
        .filter(i -> largestEndpoint(rig.channel(i)) < limit)
        .mapToObj(i -> smallFinding(rule, rig, i, limit))
        .toList();
  }

  private static Finding smallFinding(Rule rule, Rig rig, int i, double limit) {
    Channel channel = rig.channel(i);
    double largest = largestEndpoint(channel);
    List<Edit> edits = new ArrayList<>();
    edits.add(
        rig.channelEdit(i, "endpointLowPercent", scaled(channel.endpointLowPercent(), largest)));
    edits.add(
        rig.channelEdit(i, "endpointHighPercent", scaled(channel.endpointHighPercent(), largest)));
    rig.onChannelOf(i).forEach(other -> edits.add(armEdit(rig, other, largest)));
    double radius = armRadius(rig, i, largest);
    String words = String.format(Locale.ROOT, "Arm hole at %.1f mm, endpoints at 100 %%", radius);
    boolean holeExists =
        rig.onChannelOf(i).allMatch(other -> armRadius(rig, other, largest) >= SMALLEST_HOLE_MM);
    String title =
        String.format(
            Locale.ROOT, "%s: endpoints of no more than %.0f %%", rig.surface(i).name(), largest);
    List<Mend> mends = holeExists ? List.of(new Mend(words, edits)) : List.of();
    return finding(rule, rig, i, title, largest, limit, "%", mends);
  }

  private static double armRadius(Rig rig, int i, double largest) {
    double radius = rig.surface(i).rod().linkage().armRadiusMm() * largest / 100;
    return Math.round(radius * 10) / 10.0;
  }

  private static Edit armEdit(Rig rig, int i, double largest) {
    List<String> path = List.of("surfaces", "" + i, "rod", "linkage", "armRadiusMm");
    return new Edit(path, armRadius(rig, i, largest));
  }

  private static double scaled(double endpoint, double largest) {
    return Math.round(100 * endpoint / largest);
  }

  private static double largestEndpoint(Channel channel) {
    return Math.max(channel.endpointLowPercent(), channel.endpointHighPercent());
  }

  static Finding finding(
      Rule rule,
      Rig rig,
      int surface,
      String title,
      double measured,
      double limit,
      String unit,
      List<Mend> mends) {
    return new Finding(
        rule.id(),
        rule.severity(),
        rig.surface(surface).id(),
        title,
        rule.reason(),
        measured,
        limit,
        unit,
        mends,
        "");
  }
}
