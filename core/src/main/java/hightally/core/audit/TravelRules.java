package hightally.core.audit;

import static hightally.core.audit.OutputRules.finding;

import hightally.core.audit.Finding.Mend;
import hightally.core.audit.Finding.Severity;
import hightally.core.channel.Channel;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** How the throws of one surface, and of a pair, should compare. */
final class TravelRules {
  private TravelRules() {}

  static List<Rule> all() {
    return List.of(
        new Rule(
            "uneven-travel",
            "A surface moves as far one way as the other",
            "The model answers more strongly one way than the other, and any mix or differential on"
                + " top of it is out by as much.",
            Severity.WARNS,
            TravelRules::uneven),
        new Rule(
            "left-against-right",
            "Both surfaces of a pair move equally far",
            "A millimetre or two of difference already pulls the model: pitch rolls it, roll pitches"
                + " it.",
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
                String title =
                    String.format(
                        Locale.ROOT,
                        "%s: %.1f mm %s but %.1f mm %s",
                        rig.surface(i).name(),
                        plus,
                        rig.surface(i).directionWord(1),
                        minus,
                        rig.surface(i).directionWord(-1));
                List<Mend> mends = shorten(rig, i, plus > minus, Math.min(plus, minus));
                findings.add(finding(rule, rig, i, title, difference, limit, "mm", mends));
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
        String title =
            String.format(
                Locale.ROOT,
                "%s %.1f mm %s, %s %.1f mm",
                rig.surface(left).name(),
                leftMm,
                rig.surface(left).directionWord(plus ? 1 : -1),
                rig.surface(right).name().toLowerCase(Locale.ROOT),
                rightMm);
        List<Mend> mends = shorten(rig, larger, plus, Math.min(leftMm, rightMm));
        findings.add(finding(rule, rig, larger, title, difference, limit, "mm", mends));
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
    return new Mend(
        "Endpoint "
            + (high ? "high" : "low")
            + " from "
            + (int) endpoint
            + " to "
            + (int) value
            + " %",
        List.of(rig.channelEdit(i, high ? "endpointHighPercent" : "endpointLowPercent", value)));
  }
}
