package hightally.core.quantity;

/**
 * One thing wrong with an input.
 *
 * @param field path of the field, for instance {@code surfaces[2].chordMm}
 * @param value what was given
 * @param requirement what would be legal, with its unit
 */
public record Violation(String field, Said value, Said requirement) {
  /** Of what was given so much is told: what is sent is not sent back. */
  private static final int TOLD = 80;

  private static final int LONGEST_PATH = 160;

  public Violation {
    field = cut(field, LONGEST_PATH);
  }

  /** What was given as it was typed, its beginning where it is long. */
  public static Violation of(String field, Object value, Said requirement) {
    if (value instanceof Said said) {
      return new Violation(field, said, requirement);
    }
    Object given = value instanceof Number ? value : cut(String.valueOf(value), TOLD);
    return new Violation(field, Said.of("given", "value", given), requirement);
  }

  private static String cut(String text, int most) {
    return text.length() <= most ? text : text.substring(0, most) + "…";
  }

  /** The three parts as one sentence. */
  public Said sentence() {
    return Said.of("violation", "field", field, "value", value, "requirement", requirement);
  }
}
