package hightally.core.audit;

import hightally.core.quantity.HouseValues;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Runs all rules over a setup. */
public final class Audit {
  private static final List<Rule> RULES = new ArrayList<>();

  static {
    RULES.addAll(OutputRules.all());
    RULES.addAll(LinkageRules.all());
    RULES.addAll(TravelRules.all());
  }

  private Audit() {}

  /** What a pilot should know of this setup, what grounds it first. */
  public static List<Finding> of(SignalPath path, HouseValues house) {
    Rig rig = new Rig(path, house);
    return RULES.stream()
        .flatMap(rule -> rule.check().findings(rule, rig).stream())
        .sorted(Comparator.comparing(Finding::severity))
        .toList();
  }
}
