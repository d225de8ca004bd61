package hightally.core.quantity;

/**
 * One thing wrong with an input.
 *
 * @param field path of the field, for instance {@code surfaces[2].chordMm}
 * @param value what was given, as text
 * @param requirement what would be legal, with its unit
 */
public record Violation(String field, String value, String requirement) {
  /** The three parts as one sentence. */
  public String sentence() {
    return field + " is " + value + "; it must be " + requirement + ".";
  }
}
