package hightally.core.audit;

import hightally.core.airframe.Surface;
import hightally.core.audit.Finding.Severity;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import hightally.core.setup.MeantWay;
import hightally.core.signal.Moment;
import java.util.ArrayList;
import java.util.List;

/** Whether every surface answers every stick as its role says, in every phase. */
final class RoleRules {
  /** Less than this is what mixes and linkages add, not a direction, mm. */
  private static final double NOTICEABLE_MM = 1;

  private RoleRules() {}

  static List<Rule> all() {
    return List.of(
        new Rule(
            "against-its-role",
            Said.of("audit.rightWays"),
            Said.of("audit.wrongWayWhy"),
            Severity.GROUNDS,
            RoleRules::against));
  }

  private static List<Finding> against(Rule rule, Rig rig) {
    List<Finding> findings = new ArrayList<>();
    for (int i = 0; i < rig.setup().surfaces().size(); i++) {
      for (Control control : Control.values()) {
        int meant = MeantWay.of(rig.setup(), rig.setup().surfaces().get(i), control);
        if (meant != 0) {
          worst(rule, rig, i, control, meant, findings);
        }
      }
    }
    return findings;
  }

  private static void worst(
      Rule rule, Rig rig, int i, Control control, int meant, List<Finding> findings) {
    Surface surface = rig.setup().surfaces().get(i);
    double most = 0;
    int in = -1;
    for (int phase = 0; phase < rig.setup().phases().size(); phase++) {
      double plus = moved(rig, i, control, 1, phase) * meant;
      double minus = moved(rig, i, control, -1, phase) * -meant;
      if (plus < 0 && minus < 0 && Math.min(plus, minus) < -Math.max(NOTICEABLE_MM, most)) {
        most = -Math.min(plus, minus);
        in = phase;
      }
    }
    if (in >= 0) {
      Said title =
          Said.of(
              "audit.wrongWay",
              "surface",
              surface.name(),
              "control",
              control,
              "way",
              surface.goes(-meant),
              "meant",
              surface.goes(meant),
              "phase",
              rig.setup().phases().size() == 1
                  ? Said.NOTHING
                  : Said.of("audit.inPhase", "phase", rig.setup().phases().get(in).name()));
      findings.add(
          new Finding(
              rule.id(),
              rule.severity(),
              surface.id(),
              title,
              rule.reason(),
              most,
              0,
              Unit.MILLIMETRES,
              List.of(),
              ""));
    }
  }

  private static double moved(Rig rig, int surface, Control control, int stick, int phase) {
    Moment rest = rig.path().rest(phase);
    return rig.path().evaluate(rest.with(control, stick), phase).travelMm()[surface]
        - rig.path().evaluate(rest, phase).travelMm()[surface];
  }
}
