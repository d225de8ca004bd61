package hightally.core.audit;

import hightally.core.airframe.Surface;
import hightally.core.audit.Finding.Severity;
import hightally.core.program.Condition;
import hightally.core.program.Mix;
import hightally.core.program.MixTarget;
import hightally.core.program.Phase;
import hightally.core.program.Preset;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;

/** Whether the program says what it means. */
final class ProgramRules {
  private ProgramRules() {}

  static List<Rule> all() {
    return List.of(
        new Rule(
            "condition-unfinished",
            Said.of("audit.conditionsComplete"),
            Said.of("audit.conditionWhy"),
            Severity.WARNS,
            ProgramRules::unfinished),
        new Rule(
            "nothing-carries-it",
            Said.of("audit.commandsArrive"),
            Said.of("audit.unreachedWhy"),
            Severity.WARNS,
            ProgramRules::uncarried));
  }

  private static List<Finding> unfinished(Rule rule, Rig rig) {
    List<Finding> findings = new ArrayList<>();
    for (Condition one : rig.setup().conditions()) {
      if (!one.finished()) {
        Said title = Said.of("audit.conditionUnfinished", "condition", one.name());
        findings.add(found(rule, one.id(), title));
      }
    }
    return findings;
  }

  /** A preset or a mix onto a surface whose command no channel carries, and no mix takes up. */
  private static List<Finding> uncarried(Rule rule, Rig rig) {
    Setup setup = rig.setup();
    List<Finding> findings = new ArrayList<>();
    for (Surface surface : setup.surfaces()) {
      boolean carried =
          setup.channels().stream().anyMatch(one -> one.carries().equals(surface.id()))
              || setup.mixes().stream().anyMatch(mix -> mix.subject().equals(surface.id()));
      if (!carried) {
        for (Phase phase : setup.phases()) {
          for (Preset preset : phase.presets()) {
            if (preset.surface().equals(surface.id()) && preset.percent() != 0) {
              Said by = Said.of("audit.presetOf", "phase", phase.name());
              findings.add(found(rule, surface.id(), title(surface, by)));
            }
          }
        }
        for (Mix mix : setup.mixes()) {
          if (mix.targets().stream().map(MixTarget::target).anyMatch(surface.id()::equals)) {
            findings.add(found(rule, surface.id(), title(surface, Said.text(mix.name()))));
          }
        }
      }
    }
    return findings;
  }

  private static Said title(Surface surface, Said by) {
    return Said.of("audit.goesNowhere", "by", by, "surface", surface.name());
  }

  private static Finding found(Rule rule, String subject, Said title) {
    return new Finding(
        rule.id(), rule.severity(), subject, title, rule.reason(), 1, 0, Unit.NONE, List.of(), "");
  }
}
