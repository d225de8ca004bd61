package hightally.core.words;

import hightally.core.quantity.Said;
import java.lang.reflect.RecordComponent;

/** What the fields of records are called, and what plus means or what they are for. */
public final class FieldNames {
  private static final Words PLAIN = Words.of(Wording.PLAIN);

  private FieldNames() {}

  /** The name of a component. */
  public static Said label(RecordComponent component) {
    return Said.of(key(component.getDeclaringRecord().getSimpleName(), component.getName()));
  }

  /** What more there is to say of it; mostly nothing. */
  public static Said hint(RecordComponent component) {
    String key = key(component.getDeclaringRecord().getSimpleName(), component.getName()) + ".hint";
    return PLAIN.has(key) ? Said.of(key) : Said.NOTHING;
  }

  /** The name of a component with its hint; nothing for one that has no name. */
  public static Said described(String record, String component) {
    String key = key(record, component);
    if (!PLAIN.has(key)) {
      return Said.NOTHING;
    }
    Said label = Said.of(key);
    return PLAIN.has(key + ".hint")
        ? Said.of("field", "label", label, "hint", Said.of(key + ".hint"))
        : label;
  }

  private static String key(String record, String component) {
    return "field." + record + "." + component;
  }
}
