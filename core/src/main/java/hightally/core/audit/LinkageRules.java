package hightally.core.audit;

import static hightally.core.audit.OutputRules.finding;

import hightally.core.airframe.Surface;
import hightally.core.audit.Finding.Severity;
import hightally.core.channel.Channel;
import hightally.core.edit.Edit;
import hightally.core.edit.Edits;
import hightally.core.edit.Figure;
import hightally.core.edit.Mend;
import hightally.core.linkage.UsableRange;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import hightally.core.setup.Setup;
import hightally.core.signal.Positions;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntToDoubleFunction;

/** How a linkage should stand, and what it must not come near. */
final class LinkageRules {
  private static final int WHOLE = 100;

  private LinkageRules() {}

  static List<Rule> all() {
    return List.of(
        new Rule(
            "arm-off-square",
            Said.of("audit.armSquare"),
            Said.of("audit.armLeanWhy"),
            Severity.WARNS,
            (rule, rig) -> leans(rule, rig, Figure.ARM_LEAN, i -> armOffSquare(rig, i))),
        new Rule(
            "horn-off-hinge",
            Said.of("audit.hornHoleAbove"),
            Said.of("audit.hornHoleWhy"),
            Severity.WARNS,
            (rule, rig) ->
                leans(
                    rule,
                    rig,
                    Figure.HORN_LEAN,
                    i -> rig.surface(i).rod().linkage().hornLeanDegrees())),
        new Rule(
            "near-dead-centre",
            Said.of("audit.lockClear"),
            Said.of("audit.lockWhy"),
            Severity.GROUNDS,
            LinkageRules::nearDeadCentre),
        new Rule(
            "servo-at-stop",
            Said.of("audit.stopClear"),
            Said.of("audit.stopHeld"),
            Severity.GROUNDS,
            LinkageRules::atStop));
  }

  /**
   * How far an arm stands off square with its command at rest, degrees: its lean, how it was seated
   * and what the sub-trim turns it. What another surface drives has a lean alone.
   */
  private static double armOffSquare(Rig rig, int i) {
    double lean = rig.surface(i).rod().linkage().armLeanDegrees();
    return rig.drivenByServo(i) ? lean + rig.servo(i).armDegrees(rig.output(i).pulse(0)) : lean;
  }

  private static List<Finding> leans(Rule rule, Rig rig, Figure part, IntToDoubleFunction lean) {
    double limit = rig.house().leanDegrees();
    List<Finding> findings = new ArrayList<>();
    rig.surfaces()
        .filter(i -> Math.abs(lean.applyAsDouble(i)) > limit)
        .forEach(
            i -> {
              double found = lean.applyAsDouble(i);
              Said title =
                  Said.of(
                      "audit.leansOff",
                      "surface",
                      rig.surface(i).name(),
                      "part",
                      part,
                      "size",
                      Quantity.degrees(Math.abs(found), 0));
              Mend mend = new Mend(Said.of("audit.reseatMend", "part", part), square(rig, i, part));
              findings.add(
                  finding(
                      rule, rig, i, title, Math.abs(found), limit, Unit.DEGREES, List.of(mend)));
            });
    return findings;
  }

  /** The part square: no lean, and an arm seated so that its resting pulse leaves it square. */
  private static List<Edit> square(Rig rig, int i, Figure part) {
    Surface surface = rig.surface(i);
    List<Edit> edits = new ArrayList<>(List.of(Edit.of(part, surface.id(), 0)));
    if (part == Figure.ARM_LEAN && rig.drivenByServo(i)) {
      double rest = rig.servo(i).armDegrees(rig.output(i).pulse(0));
      String servo = surface.rod().driverId();
      double offset = rig.setup().servo(servo).orElseThrow().armOffsetDegrees();
      if (rest != 0) {
        edits.add(Edit.of(Figure.ARM_OFFSET, servo, offset - rest));
      }
    }
    return edits;
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
                        "audit.lockMargin",
                        "surface",
                        rig.surface(i).name(),
                        "max",
                        Quantity.degrees(Math.max(0, margin), 0));
                List<Mend> mends = smallerEndpoints(rig, i, limit);
                findings.add(finding(rule, rig, i, title, margin, limit, Unit.DEGREES, mends));
              }
            });
    return findings;
  }

  /** Both endpoints smaller in proportion, the most that keeps away; none where none do. */
  private static List<Mend> smallerEndpoints(Rig rig, int i, double limit) {
    Channel channel = rig.channel(i);
    int keeps = 0;
    int fails = WHOLE;
    while (fails - keeps > 1) {
      int tried = (keeps + fails) / 2;
      Setup made = Edits.made(rig.setup(), scaled(rig, i, channel, tried));
      Rig changed = new Rig(SignalPath.of(made), rig.house());
      boolean clear = Math.min(margin(changed, i, 1), margin(changed, i, -1)) >= limit;
      keeps = clear ? tried : keeps;
      fails = clear ? fails : tried;
    }
    if (keeps == 0) {
      return List.of();
    }
    Said words = Said.of("audit.endpointsSmaller", "part", Quantity.percent(keeps, 0));
    return List.of(new Mend(words, scaled(rig, i, channel, keeps)));
  }

  private static List<Edit> scaled(Rig rig, int i, Channel channel, int part) {
    return List.of(
        rig.channelEdit(
            i, Figure.ENDPOINT_LOW, Math.floor(channel.endpointLowPercent() * part / WHOLE)),
        rig.channelEdit(
            i, Figure.ENDPOINT_HIGH, Math.floor(channel.endpointHighPercent() * part / WHOLE)));
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
                        "audit.beyondStop",
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
