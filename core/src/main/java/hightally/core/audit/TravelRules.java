package hightally.core.audit;

import static hightally.core.audit.OutputRules.finding;

import hightally.core.audit.Finding.Severity;
import hightally.core.channel.Channel;
import hightally.core.edit.Figure;
import hightally.core.edit.Mend;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import java.util.ArrayList;
import java.util.List;

/** How the throws of one surface, and of a pair, should compare. */
final class TravelRules {
  private TravelRules() {}

  static List<Rule> all() {
    return List.of(
        new Rule(
            "uneven-travel",
            Said.of("audit.surfaceMovesFarOneWay"),
            Said.of("audit.modelAnswersMoreStronglyOne"),
            Severity.WARNS,
            TravelRules::uneven),
        new Rule(
            "left-against-right",
            Said.of("audit.bothSurfacesPairMoveEqually"),
            Said.of("audit.millimetreTwoDifferenceAlreadyPulls"),
            Severity.WARNS,
            TravelRules::pairs));
  }

  private static List<Finding> uneven(Rule rule, Rig rig) {
    List<Finding> findings = new ArrayList<>();
    rig.surfaces()
        .filter(rig::drivenByServo)
        .filter(i -> !rig.mainDrive(i).oneWay() && !rig.differential(i))
        .forEach(
            i -> {
              double plus = rig.plusMm(i);
              double minus = rig.minusMm(i);
              double difference = Math.abs(plus - minus);
              double limit = Math.max(rig.house().unevenMm(), 0.1 * Math.max(plus, minus));
              if (difference > limit) {
                Said title =
                    Said.of(
                        "audit.but",
                        "surface",
                        rig.surface(i).name(),
                        "plus",
                        Quantity.mm(plus),
                        "way",
                        rig.surface(i).way(1),
                        "minus",
                        Quantity.mm(minus),
                        "way2",
                        rig.surface(i).way(-1));
                List<Mend> mends = shorten(rig, i, plus > minus, Math.min(plus, minus));
                findings.add(
                    finding(rule, rig, i, title, difference, limit, Unit.MILLIMETRES, mends));
              }
            });
    return findings;
  }

  private static List<Finding> pairs(Rule rule, Rig rig) {
    List<Finding> findings = new ArrayList<>();
    rig.surfaces()
        .filter(rig::drivenByServo)
        .forEach(
            left -> rig.partner(left).ifPresent(right -> pair(rule, rig, left, right, findings)));
    return findings;
  }

  private static void pair(Rule rule, Rig rig, int left, int right, List<Finding> findings) {
    double limit = rig.house().pairMm();
    for (boolean plus : new boolean[] {true, false}) {
      double leftMm = plus ? rig.plusMm(left) : rig.minusMm(left);
      double rightMm = plus ? rig.plusMm(right) : rig.minusMm(right);
      double difference = Math.abs(leftMm - rightMm);
      if (difference > limit) {
        int larger = leftMm > rightMm ? left : right;
        Said title =
            Said.of(
                "audit.text",
                "surface",
                rig.surface(left).name(),
                "leftMm",
                Quantity.mm(leftMm),
                "way",
                rig.surface(left).way(plus ? 1 : -1),
                "surface2",
                rig.surface(right).name(),
                "rightMm",
                Quantity.mm(rightMm));
        List<Mend> mends = shorten(rig, larger, plus, Math.min(leftMm, rightMm));
        findings.add(finding(rule, rig, larger, title, difference, limit, Unit.MILLIMETRES, mends));
      }
    }
  }

  /**
   * The endpoint of the side that moves too far, made smaller in proportion to what is wanted.
   * Where other surfaces hang on the channel it would change them as well: then only hands can mend
   * it.
   */
  private static List<Mend> shorten(Rig rig, int i, boolean plus, double wantedMm) {
    return rig.alone(i) ? List.of(endpointMend(rig, i, plus, wantedMm)) : List.of();
  }

  private static Mend endpointMend(Rig rig, int i, boolean plus, double wantedMm) {
    Channel channel = rig.channel(i);
    double found = plus ? rig.plusMm(i) : rig.minusMm(i);
    double command =
        rig.at(i, 1).travelMm()[i] > rig.at(i, -1).travelMm()[i]
            ? (plus ? 1 : -1)
            : (plus ? -1 : 1);
    double pulse = rig.at(i, command).pulseMicroseconds()[rig.path().channelBehind(i)];
    boolean high = pulse > rig.output(i).pulse(0);
    double endpoint = high ? channel.endpointHighPercent() : channel.endpointLowPercent();
    double value = Math.round(endpoint * wantedMm / found);
    Figure end = high ? Figure.ENDPOINT_HIGH : Figure.ENDPOINT_LOW;
    Said words =
        Said.of(
            "mend.endpointFrom",
            "end",
            end,
            "from",
            Quantity.percent(endpoint),
            "to",
            Quantity.percent(value));
    return new Mend(words, List.of(rig.channelEdit(i, end, value)));
  }
}
