package hightally.core.flightlog;

import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What a pilot notes of a flight as a whole: every component of {@link FlightReport} that is not
 * noted phase by phase. Form, log, file and database go through these, so that a new one is said
 * once.
 */
public final class FlightDay {
  private static final Set<String> OF_A_PHASE =
      Stream.of(PhaseReading.class.getRecordComponents())
          .map(RecordComponent::getName)
          .collect(Collectors.toUnmodifiableSet());

  /** In the order in which they are noted. */
  public static final List<RecordComponent> FIELDS =
      Stream.of(FlightReport.class.getRecordComponents())
          .filter(one -> !OF_A_PHASE.contains(one.getName()) && !one.getName().equals("phases"))
          .toList();

  private static final RecordComponent[] ALL = FlightReport.class.getRecordComponents();
  private static final Constructor<FlightReport> WHOLE = whole();
  private static final Map<String, RecordComponent> IN_A_PHASE =
      Stream.of(PhaseReading.class.getRecordComponents())
          .collect(Collectors.toMap(RecordComponent::getName, Function.identity()));

  private FlightDay() {}

  /** Whether a component is one of them. */
  public static boolean has(RecordComponent component) {
    return component.getDeclaringRecord() == FlightReport.class
        && FIELDS.stream().anyMatch(one -> one.getName().equals(component.getName()));
  }

  /** What a report has there. */
  public static Object value(FlightReport report, RecordComponent field) {
    return read(report, field);
  }

  /**
   * A report of what was noted.
   *
   * @param values what stands in each of the fields
   * @param base what was flown in the phase that is on when no other is
   * @param phases what was flown in the others
   */
  public static FlightReport report(
      Function<RecordComponent, Object> values, PhaseReading base, List<PhaseReading> phases) {
    Object[] given = new Object[ALL.length];
    for (int i = 0; i < ALL.length; i++) {
      String name = ALL[i].getName();
      given[i] =
          name.equals("phases")
              ? phases
              : OF_A_PHASE.contains(name) ? read(base, IN_A_PHASE.get(name)) : values.apply(ALL[i]);
    }
    return made(given);
  }

  /** What a field holds of which nothing is noted: no text, no number, the first of a choice. */
  static Object nothing(RecordComponent field, LocalDate day) {
    Class<?> type = field.getType();
    if (type == LocalDate.class) {
      return day;
    }
    return type == String.class ? "" : type.isEnum() ? type.getEnumConstants()[0] : null;
  }

  private static Object read(Record record, RecordComponent field) {
    try {
      return field.getAccessor().invoke(record);
    } catch (IllegalAccessException | InvocationTargetException e) {
      throw new IllegalStateException(e);
    }
  }

  private static Constructor<FlightReport> whole() {
    try {
      return FlightReport.class.getDeclaredConstructor(
          Arrays.stream(ALL).map(RecordComponent::getType).toArray(Class<?>[]::new));
    } catch (NoSuchMethodException e) {
      throw new IllegalStateException(e);
    }
  }

  private static FlightReport made(Object[] given) {
    try {
      return WHOLE.newInstance(given);
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException(e);
    }
  }
}
