package hightally.core.edit;

import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.program.Curve;
import hightally.core.program.CurvePoint;
import hightally.core.program.Mix;
import hightally.core.program.MixSource;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.quantity.Violation;
import hightally.core.setup.ConditionLimits;
import hightally.core.setup.Setup;
import hightally.core.setup.SourceSubjects;
import java.util.ArrayList;
import java.util.List;

/** Small edits of a program that have a rule to them. */
public final class ProgramEdits {
  private ProgramEdits() {}

  /** The setup with a mix from another source; what it is of begins with the first there is. */
  public static Setup sourced(Setup setup, String mix, MixSource source) {
    Validation.check(setup);
    if (setup.mixes().stream().noneMatch(one -> one.id().equals(mix))) {
      throw InvalidInputException.of("mix", mix, Said.of("demand.mixesId"));
    }
    String subject = SourceSubjects.of(setup, source.of()).stream().findFirst().orElse("");
    List<Mix> mixes =
        setup.mixes().stream()
            .map(one -> one.id().equals(mix) ? one.from(source, subject) : one)
            .toList();
    return Validation.check(setup.change().mixes(mixes).done());
  }

  /** The setup with a condition that looks at something else; what no longer fits is gone. */
  public static Setup looking(Setup setup, String condition, ConditionKind kind, String subject) {
    Validation.check(setup);
    if (setup.conditions().stream().noneMatch(one -> one.id().equals(condition))) {
      throw InvalidInputException.of("condition", condition, Said.of("demand.conditionsId"));
    }
    List<Condition> conditions =
        setup.conditions().stream()
            .map(
                one ->
                    one.id().equals(condition)
                        ? ConditionLimits.looking(setup, one, kind, subject)
                        : one)
            .toList();
    return Validation.check(setup.change().conditions(conditions).done());
  }

  /** A curve with one more point, in the middle of its widest gap and on the line. */
  public static List<CurvePoint> withPoint(List<CurvePoint> points) {
    List<Violation> wrong = Curve.violations("points", points);
    if (!wrong.isEmpty()) {
      throw new InvalidInputException(wrong);
    }
    if (points.size() == Curve.MOST) {
      throw InvalidInputException.of(
          "points",
          Said.of("given.points", "count", points.size()),
          Said.of("demand.pointsOfCurve", "from", Curve.FEWEST, "to", Curve.MOST - 1));
    }
    int widest = 1;
    for (int i = 2; i < points.size(); i++) {
      widest = gap(points, i) > gap(points, widest) ? i : widest;
    }
    double x = Math.rint((points.get(widest - 1).x() + points.get(widest).x()) / 2);
    List<CurvePoint> more = new ArrayList<>(points);
    more.add(widest, new CurvePoint(x, Math.rint(Curve.of(points).value(x))));
    return more;
  }

  private static double gap(List<CurvePoint> points, int i) {
    return points.get(i).x() - points.get(i - 1).x();
  }
}
