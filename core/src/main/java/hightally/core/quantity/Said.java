package hightally.core.quantity;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Something to tell, as data: what it is, by a code, and what belongs into it. The words are made
 * in one place, {@code words}, from a message file; nothing else reads a code.
 *
 * @param code stable name of what is told; empty for nothing
 * @param with what belongs into it, by name: {@link Quantity}, {@link Clicks}, {@link Turns}, an
 *     enum, a whole number, a text a pilot typed, another {@code Said}, or a list of these
 */
public record Said(String code, Map<String, Object> with) {
  /** Nothing to tell. */
  public static final Said NOTHING = new Said("", Map.of());

  public Said {
    with = Collections.unmodifiableMap(new LinkedHashMap<>(with));
  }

  /**
   * A code with what belongs into it.
   *
   * @param with names and values in turn
   */
  public static Said of(String code, Object... with) {
    Map<String, Object> values = new LinkedHashMap<>();
    for (int i = 0; i < with.length; i += 2) {
      values.put((String) with[i], with[i + 1]);
    }
    return new Said(code, values);
  }

  /** A text a pilot typed, told as it is. */
  public static Said text(String typed) {
    return typed.isEmpty() ? NOTHING : of("text", "text", typed);
  }

  /** One after the other, as sentences of a paragraph; what is nothing is left out. */
  public static Said all(Said... parts) {
    List<Said> told = new ArrayList<>(List.of(parts));
    told.removeIf(Said::isEmpty);
    return told.size() == 1 ? told.get(0) : told.isEmpty() ? NOTHING : of("all", "parts", told);
  }

  /** An enumeration: one, another and a third. */
  public static Said list(List<?> parts) {
    return of("list", "parts", List.copyOf(parts));
  }

  /** Whether there is nothing to tell. */
  public boolean isEmpty() {
    return code.isEmpty();
  }
}
