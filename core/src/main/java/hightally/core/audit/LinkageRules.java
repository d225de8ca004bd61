package hightally.core.audit;

import static hightally.core.audit.OutputRules.finding;

import hightally.core.audit.Finding.Severity;
import hightally.core.edit.Edit;
import hightally.core.edit.Figure;
import hightally.core.edit.Mend;
import hightally.core.linkage.Linkage;
import hightally.core.linkage.UsableRange;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import hightally.core.signal.Positions;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;

/** How a linkage should stand, and what it must not come near. */
final class LinkageRules {
  private LinkageRules() {}

  static List<Rule> all() {
    return List.of(
        new Rule(
            "arm-off-square",
            Said.of("audit.armStandsSquareRod"),
            Said.of("audit.armOffSquareMovesSurface"),
            Severity.WARNS,
            (rule, rig) -> leans(rule, rig, Figure.ARM_LEAN, Linkage::armLeanDegrees)),
        new Rule(
            "horn-off-hinge",
            Said.of("audit.hornsHoleStandsOverHinge"),
            Said.of("audit.holeAheadBehindHingeLine"),
            Severity.WARNS,
            (rule, rig) -> leans(rule, rig, Figure.HORN_LEAN, Linkage::hornLeanDegrees)),
        new Rule(
            "near-dead-centre",
            Said.of("audit.fullStickKeepsAwayFrom"),
            Said.of("audit.nearDeadCentreRodLoses"),
            Severity.GROUNDS,
            LinkageRules::nearDeadCentre),
        new Rule(
            "servo-at-stop",
            Said.of("audit.fullStickKeepsOffServos"),
            Said.of("audit.servoStandsStopHumsHeats"),
            Severity.GROUNDS,
            LinkageRules::atStop));
  }

  private static List<Finding> leans(
      Rule rule, Rig rig, Figure part, ToDoubleFunction<Linkage> lean) {
    double limit = rig.house().leanDegrees();
    List<Finding> findings = new ArrayList<>();
    rig.surfaces()
        .filter(i -> Math.abs(lean.applyAsDouble(rig.surface(i).rod().linkage())) > limit)
        .forEach(
            i -> {
              double found = lean.applyAsDouble(rig.surface(i).rod().linkage());
              Edit edit = Edit.of(part, rig.surface(i).id(), 0);
              Said title =
                  Said.of(
                      "audit.leansOff",
                      "surface",
                      rig.surface(i).name(),
                      "part",
                      part,
                      "size",
                      Quantity.degrees(Math.abs(found), 0));
              Mend mend =
                  new Mend(Said.of("audit.reSeatMoveUntilStands", "part", part), List.of(edit));
              findings.add(
                  finding(
                      rule, rig, i, title, Math.abs(found), limit, Unit.DEGREES, List.of(mend)));
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
                Said title =
                    Said.of(
                        "audit.fromDeadCentreLockFull",
                        "surface",
                        rig.surface(i).name(),
                        "max",
                        Quantity.degrees(Math.max(0, margin), 0));
                findings.add(finding(rule, rig, i, title, margin, limit, Unit.DEGREES, List.of()));
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
                Said title =
                    Said.of(
                        "audit.servoAskedGoPastStop",
                        "surface",
                        rig.surface(i).name(),
                        "beyond",
                        Quantity.degrees(beyond, 0));
                findings.add(finding(rule, rig, i, title, beyond, 0, Unit.DEGREES, List.of()));
              }
            });
    return findings;
  }

  private static double beyond(Rig rig, int i, int stick) {
    double pulse = rig.at(i, stick).pulseMicroseconds()[rig.path().channelBehind(i)];
    return Math.abs(rig.servo(i).freeArmDegrees(pulse)) - rig.servo(i).maxAngleDegrees();
  }
}
