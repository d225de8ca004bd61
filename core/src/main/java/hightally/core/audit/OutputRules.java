package hightally.core.audit;

import hightally.core.airframe.Surface;
import hightally.core.audit.Finding.Severity;
import hightally.core.channel.Channel;
import hightally.core.channel.Output;
import hightally.core.channel.SubTrimMode;
import hightally.core.edit.Edit;
import hightally.core.edit.Figure;
import hightally.core.edit.Mend;
import hightally.core.linkage.FourBar;
import hightally.core.linkage.RodChange;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import java.util.ArrayList;
import java.util.List;

/** What a channel's output stage should look like. */
final class OutputRules {
  /** Servo arms have no hole further in than this, mm. */
  private static final double SMALLEST_HOLE_MM = 4;

  private OutputRules() {}

  static List<Rule> all() {
    return List.of(
        new Rule(
            "large-sub-trim",
            Said.of("audit.subTrimSmall"),
            Said.of("audit.subTrimmedArmWhy"),
            Severity.WARNS,
            OutputRules::largeSubTrim),
        new Rule(
            "clipped-endpoint",
            Said.of("audit.commandWhole"),
            Said.of("audit.stopWhy"),
            Severity.GROUNDS,
            OutputRules::clipped),
        new Rule(
            "small-endpoint",
            Said.of("audit.endpointsLarge"),
            Said.of("audit.endpointsSmallWhy"),
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
    Said title =
        Said.of(
            "audit.subTrimS",
            "surface",
            rig.surface(i).name(),
            "size",
            Quantity.microseconds(found));
    return finding(rule, rig, i, title, found, limit, Unit.MICROSECONDS, subTrimMend(rig, i));
  }

  /**
   * The same centre from the rods: sub-trim to zero, every rod on the channel so that nothing
   * moves.
   */
  private static List<Mend> subTrimMend(Rig rig, int i) {
    double pulse = rig.output(i).pulse(0);
    double subTrim = rig.channel(i).subTrimMicroseconds();
    List<Edit> edits = new ArrayList<>();
    edits.add(rig.channelEdit(i, Figure.SUB_TRIM, 0));
    rig.onChannelOf(i)
        .forEach(
            other -> {
              double with = rig.servo(other).armDegrees(pulse);
              double without = with - subTrim * rig.servo(other).slope();
              rodEdit(rig, other, with, without).ifPresent(edits::add);
            });
    return List.of(new Mend(Said.of("audit.subTrimMend"), edits));
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
      boolean fixed = output.subTrimMode() == SubTrimMode.FIXED_ENDS;
      double reach = Math.abs(edge - output.centre() - (fixed ? 0 : output.subTrim()));
      double endpoint = Math.floor(100 * reach / output.pulsePer100());
      Figure field = high ? Figure.ENDPOINT_HIGH : Figure.ENDPOINT_LOW;
      Mend mend =
          new Mend(
              Said.of("mend.endpoint", "end", field, "to", Quantity.percent(endpoint)),
              List.of(rig.channelEdit(i, field, endpoint)));
      Said title =
          Said.of(
              "audit.cutOffEnd",
              "surface",
              rig.surface(i).name(),
              "cut",
              Quantity.microseconds(cut),
              "end",
              field);
      double limit = rig.house().clippedMicroseconds();
      findings.add(finding(rule, rig, i, title, cut, limit, Unit.MICROSECONDS, List.of(mend)));
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
        rig.channelEdit(i, Figure.ENDPOINT_LOW, scaled(channel.endpointLowPercent(), largest)));
    edits.add(
        rig.channelEdit(i, Figure.ENDPOINT_HIGH, scaled(channel.endpointHighPercent(), largest)));
    rig.onChannelOf(i).forEach(other -> edits.add(armEdit(rig, other, largest)));
    double radius = armRadius(rig, i, largest);
    Said words = Said.of("audit.armHoleEndpoints", "radius", Quantity.mm(radius));
    boolean holeExists =
        rig.onChannelOf(i).allMatch(other -> armRadius(rig, other, largest) >= SMALLEST_HOLE_MM);
    Said title =
        Said.of(
            "audit.endpointsMend",
            "surface",
            rig.surface(i).name(),
            "largest",
            Quantity.percent(largest));
    List<Mend> mends = holeExists ? List.of(new Mend(words, edits)) : List.of();
    return finding(rule, rig, i, title, largest, limit, Unit.PERCENT, mends);
  }

  private static double armRadius(Rig rig, int i, double largest) {
    double radius = rig.surface(i).rod().linkage().armRadiusMm() * largest / 100;
    return Math.round(radius * 10) / 10.0;
  }

  private static Edit armEdit(Rig rig, int i, double largest) {
    return Edit.of(Figure.ARM_RADIUS, rig.surface(i).id(), armRadius(rig, i, largest));
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
      Said title,
      double measured,
      double limit,
      Unit unit,
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
