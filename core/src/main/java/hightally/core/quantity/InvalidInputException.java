package hightally.core.quantity;

import java.util.List;

/** A contract broken by the caller: names every field, its value and its legal range. */
public final class InvalidInputException extends RuntimeException {
  private final transient List<Violation> violations;

  /** Fails with these; at least one. */
  public InvalidInputException(List<Violation> violations) {
    super(violations.toString());
    this.violations = List.copyOf(violations);
  }

  /** Fails with a single violation. */
  public static InvalidInputException of(String field, Object value, Said requirement) {
    return new InvalidInputException(List.of(Violation.of(field, value, requirement)));
  }

  /** All of it in sentences. */
  public Said said() {
    return Said.all(violations.stream().map(Violation::sentence).toArray(Said[]::new));
  }

  /** All that was wrong, in the order of the document. */
  public List<Violation> violations() {
    return violations;
  }
}
