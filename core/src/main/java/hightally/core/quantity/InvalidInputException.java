package hightally.core.quantity;

import java.util.List;
import java.util.stream.Collectors;

/** A contract broken by the caller: names every field, its value and its legal range. */
public final class InvalidInputException extends RuntimeException {
  private final transient List<Violation> violations;

  /** Fails with these; at least one. */
  public InvalidInputException(List<Violation> violations) {
    super(violations.stream().map(Violation::sentence).collect(Collectors.joining(" ")));
    this.violations = List.copyOf(violations);
  }

  /** Fails with a single violation. */
  public static InvalidInputException of(String field, Object value, String requirement) {
    return new InvalidInputException(
        List.of(new Violation(field, String.valueOf(value), requirement)));
  }

  /** All that was wrong, in the order of the document. */
  public List<Violation> violations() {
    return violations;
  }
}
