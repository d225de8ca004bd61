package hightally.core.audit;

import static hightally.core.audit.OutputRules.finding;

import hightally.core.audit.Finding.Edit;
import hightally.core.audit.Finding.Mend;
import hightally.core.audit.Finding.Severity;
import hightally.core.linkage.Linkage;
import hightally.core.linkage.UsableRange;
import hightally.core.signal.Positions;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.ToDoubleFunction;

/** How a linkage should stand, and what it must not come near. */
final class LinkageRules {
  private LinkageRules() {}

  static List<Rule> all() {
    return List.of(
        new Rule(
            "arm-off-square",
            "The arm stands square to its rod",
            "An arm off square moves the surface further one way than the other, which pulls the model"
                + " as soon as the stick leaves the centre.",
            Severity.WARNS,
            (rule, rig) -> leans(rule, rig, "arm", "armLeanDegrees", Linkage::armLeanDegrees)),
        new Rule(
            "horn-off-hinge",
            "The horn's hole stands over the hinge line",
            "With the hole ahead of or behind the hinge line, up and down travel differ and the model"
                + " pitches or rolls more one way than the other.",
            Severity.WARNS,
            (rule, rig) -> leans(rule, rig, "horn", "hornLeanDegrees", Linkage::hornLeanDegrees)),
        new Rule(
            "near-dead-centre",
            "Full stick keeps away from dead centre and from a lock",
            "Near its dead centre a rod loses all authority, and past it the surface comes back while"
                + " the servo goes on; at a lock something bends.",
            Severity.GROUNDS,
            LinkageRules::nearDeadCentre),
        new Rule(
            "servo-at-stop",
            "Full stick keeps off the servo's own stops",
            "A servo that stands at its stop hums, heats and drains the pack, and the last part of the"
                + " stick does nothing.",
            Severity.GROUNDS,
            LinkageRules::atStop));
  }

  private static List<Finding> leans(
      Rule rule, Rig rig, String part, String field, ToDoubleFunction<Linkage> lean) {
    double limit = rig.house().leanDegrees();
    List<Finding> findings = new ArrayList<>();
    rig.surfaces()
        .filter(i -> Math.abs(lean.applyAsDouble(rig.surface(i).rod().linkage())) > limit)
        .forEach(
            i -> {
              double found = lean.applyAsDouble(rig.surface(i).rod().linkage());
              Edit edit = new Edit(List.of("surfaces", "" + i, "rod", "linkage", field), 0);
              String title =
                  String.format(
                      Locale.ROOT,
                      "%s: %s leans %.0f° off",
                      rig.surface(i).name(),
                      part,
                      Math.abs(found));
              Mend mend =
                  new Mend(
                      "Re-seat or move the " + part + " until it stands square", List.of(edit));
              findings.add(
                  finding(rule, rig, i, title, Math.abs(found), limit, "°", List.of(mend)));
            });
    return findings;
  }

  private static List<Finding> nearDeadCentre(Rule rule, Rig rig) {
    double limit = rig.house().deadCentreMarginDegrees();
    List<Finding> findings = new ArrayList<>();
    rig.surfaces()
        .forEach(
            i -> {
              double margin = Math.min(margin(rig, i, 1), margin(rig, i, -1));
              if (margin < limit) {
                String title =
                    String.format(
                        Locale.ROOT,
                        "%s: %.0f° from dead centre or a lock at full stick",
                        rig.surface(i).name(),
                        Math.max(0, margin));
                findings.add(finding(rule, rig, i, title, margin, limit, "°", List.of()));
              }
            });
    return findings;
  }

  private static double margin(Rig rig, int i, int stick) {
    Positions positions = rig.at(i, stick);
    double driver = rig.path().driverDegrees(i, positions);
    UsableRange range = rig.path().range(i);
    return Math.min(driver - range.from(), range.to() - driver);
  }

  private static List<Finding> atStop(Rule rule, Rig rig) {
    List<Finding> findings = new ArrayList<>();
    rig.surfaces()
        .filter(rig::drivenByServo)
        .forEach(
            i -> {
              double beyond = Math.max(beyond(rig, i, 1), beyond(rig, i, -1));
              if (beyond > 0) {
                String title =
                    String.format(
                        Locale.ROOT,
                        "%s: servo asked to go %.0f° past its stop",
                        rig.surface(i).name(),
                        beyond);
                findings.add(finding(rule, rig, i, title, beyond, 0, "°", List.of()));
              }
            });
    return findings;
  }

  private static double beyond(Rig rig, int i, int stick) {
    double pulse = rig.at(i, stick).pulseMicroseconds()[rig.path().channelBehind(i)];
    return Math.abs(rig.servo(i).freeArmDegrees(pulse)) - rig.servo(i).maxAngleDegrees();
  }
}
