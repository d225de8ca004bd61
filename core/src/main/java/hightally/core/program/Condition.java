package hightally.core.program;

import hightally.core.quantity.Copyable;
import hightally.core.quantity.Said;
import hightally.core.quantity.SelfChecked;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Violation;
import hightally.core.quantity.Within;
import java.util.List;
import java.util.function.Consumer;

/**
 * Something that is true or false, by which phases, mixes and feel are switched.
 *
 * @param id short name used by references
 * @param name the pilot's name for it
 * @param kind what it looks at
 * @param subject id of a lever, switch, phase or timer; or {@code roll}, {@code pitch}, {@code
 *     yaw}, {@code throttle}, {@code link}, {@code voltage}; empty for and, or, not
 * @param limit switch position, or what the subject is held against in its own unit: a stick -100
 *     to 100 %, throttle and levers 0 to 100 %, link percent, volts, seconds
 * @param members ids of other conditions, for and, or, not
 * @param heldSeconds how long it must have been so before it counts
 */
@Copyable
public record Condition(
    @Text(max = 40, pattern = "[a-z0-9]+(-[a-z0-9]+)*") String id,
    @Text String name,
    ConditionKind kind,
    @Text(min = 0, max = 40) String subject,
    @Within(min = -1000, max = 10_000) double limit,
    List<String> members,
    @Within(min = 0, max = 60, unit = Unit.SECONDS) double heldSeconds)
    implements SelfChecked {
  private static final double PERCENT = 100;

  public Condition {
    members = members == null ? null : List.copyOf(members);
  }

  /** A copy to change, part by part. */
  public ConditionCopy change() {
    return ConditionCopy.from(this);
  }

  @Override
  public void check(String path, Consumer<Violation> found) {
    int count = members.size();
    boolean tooMany =
        switch (kind) {
          case AND, OR -> false;
          case NOT -> count > 1;
          default -> count > 0;
        };
    if (tooMany) {
      Said wanted =
          Said.of(kind == ConditionKind.NOT ? "condition.oneOther" : "condition.noOthers");
      found.accept(
          Violation.of(path + "members", Said.of("given.conditions", "count", count), wanted));
    }
  }

  /** Whether it has all it is made of; until then it is never true and stops nothing else. */
  public boolean finished() {
    return switch (kind) {
      case AND, OR -> members.size() >= 2;
      case NOT -> members.size() == 1;
      default -> true;
    };
  }

  /** Its limit as a place along the stick or lever it looks at. */
  public double place() {
    return limit / PERCENT;
  }

  /** The same condition of other members. */
  public Condition withMembers(List<String> changed) {
    return change().members(changed).done();
  }

  /** Whether it is made of other conditions. */
  public boolean combines() {
    return kind == ConditionKind.AND || kind == ConditionKind.OR || kind == ConditionKind.NOT;
  }
}
