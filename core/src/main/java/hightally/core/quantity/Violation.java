package hightally.core.quantity;

/**
 * One thing wrong with an input.
 *
 * @param field path of the field, for instance {@code surfaces[2].chordMm}
 * @param value what was given
 * @param requirement what would be legal, with its unit
 */
public record Violation(String field, Said value, Said requirement) {
  /** What was given as it was typed. */
  public static Violation of(String field, Object value, Said requirement) {
    if (value instanceof Said said) {
      return new Violation(field, said, requirement);
    }
    Object given = value instanceof Number ? value : String.valueOf(value);
    return new Violation(field, Said.of("given", "value", given), requirement);
  }

  /** The three parts as one sentence. */
  public Said sentence() {
    return Said.of("violation", "field", field, "value", value, "requirement", requirement);
  }
}
