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
            Said.of("audit.travelEven"),
            Said.of("audit.unevenWhy"),
            Severity.WARNS,
            TravelRules::uneven),
        new Rule(
            "left-against-right",
            Said.of("audit.pairEqual"),
            Said.of("audit.pairWhy"),
            Severity.WARNS,
            TravelRules::pairs));
  }

  private static List<Finding> uneven(Rule rule, Rig rig) {
    List<Finding> findings = new ArrayList<>();
    rig.surfaces()
        .filter(rig::drivenByServo)
        .filter(i -> !rig.drive(i).oneWay() && !rig.differential(i))
        .forEach(
            i -> {
              double command = rig.equalCommand(i);
              double plus = reached(rig, i, true, command);
              double minus = reached(rig, i, false, command);
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
                        rig.surface(i).goes(1),
                        "minus",
                        Quantity.mm(minus),
                        "way2",
                        rig.surface(i).goes(-1));
                List<Mend> mends =
                    shorten(rig, i, plus > minus, Math.min(plus, minus) / Math.max(plus, minus));
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
      double command = Math.min(command(rig, left, plus), command(rig, right, plus));
      double leftMm = reached(rig, left, plus, command);
      double rightMm = reached(rig, right, plus, command);
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
                rig.surface(left).goes(plus ? 1 : -1),
                "surface2",
                rig.surface(right).name(),
                "rightMm",
                Quantity.mm(rightMm));
        double part = Math.min(leftMm, rightMm) / Math.max(leftMm, rightMm);
        List<Mend> mends = shorten(rig, larger, plus, part);
        findings.add(finding(rule, rig, larger, title, difference, limit, Unit.MILLIMETRES, mends));
      }
    }
  }

  /**
   * The endpoint of the side that moves too far, made smaller in proportion to what is wanted.
   * Where other surfaces hang on the channel it would change them as well: then only hands can mend
   * it.
   */
  private static List<Mend> shorten(Rig rig, int i, boolean plus, double part) {
    return rig.alone(i) ? List.of(endpointMend(rig, i, plus, part)) : List.of();
  }

  /** The command its drive brings on the way that raises it, or lowers it, as a size. */
  private static double command(Rig rig, int i, boolean plus) {
    boolean plain = rig.at(i, 1).travelMm()[i] > rig.at(i, -1).travelMm()[i];
    return Math.abs(rig.command(i, plain == plus ? 1 : -1) - rig.command(i, 0));
  }

  /** How far so much command takes it up, or down, as a size. */
  private static double reached(Rig rig, int i, boolean plus, double command) {
    double one = rig.travelFor(i, command);
    double other = rig.travelFor(i, -command);
    return plus ? Math.max(0, Math.max(one, other)) : -Math.min(0, Math.min(one, other));
  }

  private static Mend endpointMend(Rig rig, int i, boolean plus, double part) {
    Channel channel = rig.channel(i);
    double command =
        rig.at(i, 1).travelMm()[i] > rig.at(i, -1).travelMm()[i]
            ? (plus ? 1 : -1)
            : (plus ? -1 : 1);
    double pulse = rig.at(i, command).pulseMicroseconds()[rig.path().channelBehind(i)];
    boolean high = pulse > rig.output(i).pulse(0);
    double endpoint = high ? channel.endpointHighPercent() : channel.endpointLowPercent();
    double value = Math.round(endpoint * part);
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
