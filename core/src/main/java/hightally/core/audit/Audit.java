package hightally.core.audit;

import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Runs all rules over a setup. */
public final class Audit {
  /** Version of the rules: what older ones said is worked out anew. */
  public static final int VERSION = 2;

  private static final List<Rule> RULES = new ArrayList<>();

  static {
    RULES.addAll(RoleRules.all());
    RULES.addAll(OutputRules.all());
    RULES.addAll(LinkageRules.all());
    RULES.addAll(TravelRules.all());
    RULES.addAll(SharingRules.all());
    RULES.addAll(MapRules.all());
    RULES.addAll(ChannelRules.all());
    RULES.addAll(MotorRules.all());
    RULES.addAll(ProgramRules.all());
  }

  private Audit() {}

  /** The ids of all rules. */
  public static List<String> rules() {
    return RULES.stream().map(Rule::id).toList();
  }

  /** What a pilot should know of this setup, what grounds it first. */
  public static List<Finding> of(SignalPath path) {
    Rig rig = new Rig(path, path.setup().house());
    return RULES.stream()
        .flatMap(rule -> rule.check().findings(rule, rig).stream())
        .map(finding -> finding.acceptedIn(path.setup().notebook()))
        .sorted(
            Comparator.comparing((Finding finding) -> !finding.acceptedBecause().isEmpty())
                .thenComparing(Finding::severity))
        .toList();
  }
}
