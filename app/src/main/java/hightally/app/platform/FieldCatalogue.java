package hightally.app.platform;

import hightally.core.balance.BalanceAdvice.BalanceWish;
import hightally.core.flightlog.Carried;
import hightally.core.flightlog.FlightDay;
import hightally.core.flightlog.FlightReport;
import hightally.core.quantity.Said;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;
import hightally.core.setup.Setup;
import hightally.core.words.FieldNames;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** Label, unit and range of every field a pilot can type, read off the core's own statements. */
public final class FieldCatalogue {
  private final List<Field> fields = new ArrayList<>();

  /**
   * One field.
   *
   * @param path where it stands, list positions left out: {@code setup.surfaces[].chordMm}
   * @param label its name
   * @param unit what it counts; NONE for texts and plain numbers
   * @param hint which way plus points, or the purpose
   * @param min smallest value, or fewest characters
   * @param max largest value, or most characters
   * @param kind what sort of value
   * @param options what can be chosen, of a choice
   * @param carried whether a new entry begins with what the last one had
   */
  public record Field(
      String path,
      Said label,
      Unit unit,
      Said hint,
      double min,
      double max,
      Kind kind,
      List<Option> options,
      boolean carried) {}

  /** One of a few values. */
  public record Option(String value, Said words) {}

  /** Sorts of values. */
  public enum Kind {
    NUMBER,
    WHOLE_NUMBER,
    TEXT,
    DATE,
    CHOICE
  }

  private FieldCatalogue() {}

  /** All fields of a setup, of a flight and of what the balance page asks. */
  public static List<Field> all() {
    FieldCatalogue catalogue = new FieldCatalogue();
    catalogue.walk(Setup.class, "setup");
    catalogue.walk(FlightReport.class, "flight");
    catalogue.walk(BalanceWish.class, "balanceWish");
    return List.copyOf(catalogue.fields);
  }

  private void walk(Class<?> record, String path) {
    for (RecordComponent component : record.getRecordComponents()) {
      component(component, path + "." + component.getName());
    }
  }

  private void component(RecordComponent component, String path) {
    Within within = component.getAnnotation(Within.class);
    Text text = component.getAnnotation(Text.class);
    Said label = FieldNames.label(component);
    Said hint = FieldNames.hint(component);
    boolean carried = component.isAnnotationPresent(Carried.class);
    if (within != null) {
      String place = component.getType() == List.class ? path + "[]" : path;
      Kind kind = component.getType() == int.class ? Kind.WHOLE_NUMBER : Kind.NUMBER;
      double min = within.min();
      fields.add(
          new Field(
              place, label, within.unit(), hint, min, within.max(), kind, List.of(), carried));
    } else if (text != null) {
      Kind kind = Kind.TEXT;
      fields.add(
          new Field(
              path, label, Unit.NONE, hint, text.min(), text.max(), kind, List.of(), carried));
    } else if (FlightDay.has(component)) {
      boolean date = component.getType() == LocalDate.class;
      fields.add(
          new Field(
              path,
              label,
              Unit.NONE,
              hint,
              0,
              0,
              date ? Kind.DATE : Kind.CHOICE,
              options(component.getType()),
              carried));
    } else if (component.getType().isRecord()) {
      walk(component.getType(), path);
    } else if (component.getGenericType() instanceof ParameterizedType list
        && ((Class<?>) list.getActualTypeArguments()[0]).isRecord()) {
      walk((Class<?>) list.getActualTypeArguments()[0], path + "[]");
    }
  }

  private static List<Option> options(Class<?> type) {
    return type.isEnum()
        ? Stream.of(type.getEnumConstants())
            .map(Object::toString)
            .map(name -> new Option(name, Said.of(type.getSimpleName() + "." + name)))
            .toList()
        : List.of();
  }
}
