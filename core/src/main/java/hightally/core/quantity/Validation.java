package hightally.core.quantity;

import java.lang.reflect.Method;
import java.lang.reflect.RecordComponent;
import java.time.LocalDate;
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

  /** Nobody flew a model before, and nothing is noted so far ahead. */
  private static final int FIRST_YEAR = 1900;

  private static final int LAST_YEAR = 2100;

  /** Of a text that is wrong so much is told. */
  private static final int SHOWN = 40;

  private final List<Violation> found = new ArrayList<>();

  /** The path of what is looked at. */
  private final StringBuilder path = new StringBuilder();

  private Validation() {}

  /** What texts must look like, made ready once. */
  private record TextRule(int min, int max, Pattern pattern) {
    static TextRule of(Text text) {
      return text == null
          ? null
          : new TextRule(text.min(), text.max(), Pattern.compile(text.pattern()));
    }

    boolean fits(String text) {
      return pattern.pattern().isEmpty() || pattern.matcher(text).matches();
    }
  }

  /** What numbers must lie within. */
  private record Range(double min, double max, Unit unit) {
    static Range of(Within within) {
      return within == null ? null : new Range(within.min(), within.max(), within.unit());
    }
  }

  private record Part(String name, Range range, TextRule text, Absentable absent, Method accessor) {
    static Part of(RecordComponent component) {
      Method accessor = component.getAccessor();
      accessor.setAccessible(true);
      return new Part(
          component.getName(),
          Range.of(component.getAnnotation(Within.class)),
          TextRule.of(component.getAnnotation(Text.class)),
          component.getAnnotation(Absentable.class),
          accessor);
    }

    /** Whether it may be absent, or each of its entries. */
    boolean absentable(boolean entries) {
      return absent != null && absent.entries() == entries;
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
    validation.walk(record);
    return validation.found;
  }

  private void walk(Record record) {
    int before = found.size();
    int here = path.length();
    for (Part part : PARTS.get(record.getClass())) {
      path.append(part.name());
      component(part, part.of(record), false);
      path.setLength(here);
    }
    if (found.size() == before && record instanceof SelfChecked self) {
      self.check(path.toString(), found::add);
    }
  }

  private void component(Part part, Object value, boolean entry) {
    if (value == null && part.absentable(entry)) {
      return;
    }
    if (value == null) {
      found.add(Violation.of(path.toString(), Said.of("given.missing"), Said.of("demand.given")));
    } else if (value instanceof Number number) {
      number(part.range(), number);
    } else if (value instanceof String text) {
      text(part.text(), text);
    } else if (value instanceof LocalDate day) {
      day(day);
    } else if (value instanceof Record child) {
      path.append('.');
      walk(child);
    } else if (value instanceof List<?> list) {
      list(part, list);
    }
  }

  private void list(Part part, List<?> list) {
    int here = path.length();
    for (int i = 0; i < list.size(); i++) {
      path.append('[').append(i).append(']');
      component(part, list.get(i), true);
      path.setLength(here);
    }
  }

  private void number(Range range, Number number) {
    double value = number.doubleValue();
    if (range == null) {
      if (!Double.isFinite(value)) {
        found.add(Violation.of(path.toString(), number, Said.of("demand.finiteNumber")));
      }
    } else if (!(value >= range.min() && value <= range.max())) {
      Said demand = range(range.min(), range.max(), range.unit());
      found.add(Violation.of(path.toString(), number, demand));
    }
  }

  private void day(LocalDate day) {
    if (day.getYear() < FIRST_YEAR || day.getYear() > LAST_YEAR) {
      found.add(Violation.of(path.toString(), day, Said.of("demand.day")));
    }
  }

  private void text(TextRule rule, String text) {
    if (rule == null) {
      return;
    }
    int length = text.strip().length();
    if (length < rule.min() || text.length() > rule.max()) {
      Said requirement = Said.of("demand.textOfLength", "min", rule.min(), "max", rule.max());
      found.add(Violation.of(path.toString(), quoted(text), requirement));
    } else if (!rule.fits(text)) {
      Said requirement = Said.of("demand.textLike", "pattern", rule.pattern().pattern());
      found.add(Violation.of(path.toString(), quoted(text), requirement));
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
