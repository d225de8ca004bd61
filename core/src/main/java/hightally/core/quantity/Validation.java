package hightally.core.quantity;

import java.lang.reflect.Method;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;

/**
 * Walks a tree of records and checks every component against its {@link Within} or {@link Text}.
 *
 * <p>A missing component, a number that is not finite and a number outside its range are
 * violations. {@link SelfChecked} records are asked once all their own components are in order.
 */
public final class Validation {
  /** What is asked of each component of a record, looked up once a class. */
  private static final ClassValue<Part[]> PARTS =
      new ClassValue<>() {
        @Override
        protected Part[] computeValue(Class<?> type) {
          return Arrays.stream(type.getRecordComponents()).map(Part::of).toArray(Part[]::new);
        }
      };

  /** Of a text that is wrong so much is told. */
  private static final int SHOWN = 40;

  private final List<Violation> found = new ArrayList<>();

  private Validation() {}

  private record Part(String name, Within within, Text text, Method accessor) {
    static Part of(RecordComponent component) {
      Method accessor = component.getAccessor();
      accessor.setAccessible(true);
      return new Part(
          component.getName(),
          component.getAnnotation(Within.class),
          component.getAnnotation(Text.class),
          accessor);
    }

    Object of(Record record) {
      try {
        return accessor.invoke(record);
      } catch (ReflectiveOperationException e) {
        throw new IllegalStateException("A record's accessor failed: " + name, e);
      }
    }
  }

  /**
   * Returns the same record, or throws with everything that is wrong in it.
   *
   * @throws InvalidInputException if anything is
   */
  public static <T extends Record> T check(T record) {
    List<Violation> violations = violations(record);
    if (!violations.isEmpty()) {
      throw new InvalidInputException(violations);
    }
    return record;
  }

  /** Everything wrong in the record; empty when nothing is. */
  public static List<Violation> violations(Record record) {
    Validation validation = new Validation();
    validation.walk(record, "");
    return validation.found;
  }

  private void walk(Record record, String path) {
    int before = found.size();
    for (Part part : PARTS.get(record.getClass())) {
      component(part, part.of(record), path + part.name());
    }
    if (found.size() == before && record instanceof SelfChecked self) {
      self.check(path, found::add);
    }
  }

  private void component(Part part, Object value, String path) {
    if (value == null) {
      found.add(Violation.of(path, Said.of("given.missing"), Said.of("demand.given")));
    } else if (value instanceof Number number) {
      number(part.within(), number, path);
    } else if (value instanceof String text) {
      text(part.text(), text, path);
    } else if (value instanceof Record child) {
      walk(child, path + ".");
    } else if (value instanceof List<?> list) {
      list(part, list, path);
    }
  }

  private void list(Part part, List<?> list, String path) {
    for (int i = 0; i < list.size(); i++) {
      component(part, list.get(i), path + "[" + i + "]");
    }
  }

  private void number(Within within, Number number, String path) {
    double value = number.doubleValue();
    if (within == null) {
      if (!Double.isFinite(value)) {
        found.add(Violation.of(path, number, Said.of("demand.finiteNumber")));
      }
    } else if (!(value >= within.min() && value <= within.max())) {
      found.add(Violation.of(path, number, range(within)));
    }
  }

  private void text(Text rule, String text, String path) {
    if (rule == null) {
      return;
    }
    int length = text.strip().length();
    if (length < rule.min() || text.length() > rule.max()) {
      Said requirement = Said.of("demand.textOfLength", "min", rule.min(), "max", rule.max());
      found.add(Violation.of(path, quoted(text), requirement));
    } else if (!rule.pattern().isEmpty() && !Pattern.matches(rule.pattern(), text)) {
      found.add(
          Violation.of(path, quoted(text), Said.of("demand.textLike", "pattern", rule.pattern())));
    }
  }

  /** The range and its unit: {@code 1 to 150 mm}. */
  public static Said range(Within within) {
    return range(within.min(), within.max(), within.unit());
  }

  /** The same for a range that is not the same for every record. */
  public static Said range(double least, double most, Unit unit) {
    return Said.of("demand.range", "min", exact(least, unit), "max", exact(most, unit));
  }

  private static Quantity exact(double value, Unit unit) {
    return new Quantity(value, unit, -1);
  }

  private static Said quoted(String text) {
    String shown = text.length() <= SHOWN ? text : text.substring(0, SHOWN) + "…";
    return Said.of("given.text", "text", shown);
  }
}
