package hightally.core.signal;

import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;
import hightally.core.setup.Setup;
import java.lang.reflect.Method;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What differs between two setups: every value, and what it does in millimetres. */
public final class SetupDifference {
  /** What tells one entry of a list from another, the first there is. */
  private static final List<String> KEYS =
      List.of("id", "number", "surface", "channel", "device", "input", "section", "target");

  private final List<ValueLine> lines = new ArrayList<>();

  /**
   * Everything that differs.
   *
   * @param values value by value
   * @param movements surfaces that stand or move differently
   */
  public record Difference(List<ValueLine> values, List<Movements.MovementLine> movements) {}

  /**
   * One value.
   *
   * @param place where it is
   * @param what its name
   * @param before nothing where it is new
   * @param after nothing where it is gone
   */
  public record ValueLine(Said place, Said what, Said before, Said after) {}

  private SetupDifference() {}

  /**
   * Compares two checked setups.
   *
   * @throws InvalidInputException if one of them is not in order
   */
  public static Difference of(Setup before, Setup after) {
    SetupDifference difference = new SetupDifference();
    difference.records(before, after, List.of());
    return new Difference(difference.lines, Movements.differences(before, after));
  }

  private void records(Record before, Record after, List<Said> place) {
    for (RecordComponent component : before.getClass().getRecordComponents()) {
      Object one = of(component, before);
      Object two = of(component, after);
      if (!one.equals(two)) {
        component(component, one, two, place);
      }
    }
  }

  private void component(RecordComponent component, Object one, Object two, List<Said> place) {
    Said part = Said.of("part." + component.getName());
    if (one instanceof Record before && two instanceof Record after) {
      records(before, after, inside(place, part));
    } else if (one instanceof List<?> before
        && two instanceof List<?> after
        && keyed(before, after)) {
      lists(before, after, inside(place, part));
    } else {
      line(place, label(component), value(component, one), value(component, two));
    }
  }

  private void lists(List<?> before, List<?> after, List<Said> place) {
    Map<String, Record> one = byKey(before);
    Map<String, Record> two = byKey(after);
    Set<String> keys = new LinkedHashSet<>(one.keySet());
    keys.addAll(two.keySet());
    for (String key : keys) {
      Record was = one.get(key);
      Record is = two.get(key);
      Said name = Said.text(name(is == null ? was : is, key));
      if (was == null) {
        line(place, name, Said.NOTHING, Said.of("difference.new"));
      } else if (is == null) {
        line(place, name, Said.of("difference.there"), Said.of("difference.gone"));
      } else {
        records(was, is, inside(place, name));
      }
    }
    List<String> order = List.copyOf(one.keySet());
    if (one.size() == two.size()
        && keys.size() == one.size()
        && !order.equals(List.copyOf(two.keySet()))) {
      line(place, Said.of("difference.order"), told(order), told(List.copyOf(two.keySet())));
    }
  }

  private void line(List<Said> place, Said what, Said before, Said after) {
    Said where = place.isEmpty() ? Said.NOTHING : Said.of("difference.place", "parts", place);
    lines.add(new ValueLine(where, what, before, after));
  }

  private static List<Said> inside(List<Said> place, Said more) {
    List<Said> longer = new ArrayList<>(place);
    longer.add(more);
    return longer;
  }

  private static boolean keyed(List<?> before, List<?> after) {
    List<Object> all = new ArrayList<>(before);
    all.addAll(after);
    return all.stream().allMatch(one -> one instanceof Record record && !key(record).isEmpty());
  }

  private static Map<String, Record> byKey(List<?> list) {
    Map<String, Record> map = new LinkedHashMap<>();
    list.forEach(one -> map.put(key((Record) one), (Record) one));
    return map;
  }

  private static String key(Record one) {
    for (String key : KEYS) {
      for (RecordComponent component : one.getClass().getRecordComponents()) {
        if (component.getName().equals(key)) {
          return String.valueOf(of(component, one));
        }
      }
    }
    return "";
  }

  private static String name(Record one, String key) {
    for (RecordComponent component : one.getClass().getRecordComponents()) {
      if (component.getName().equals("name")) {
        return String.valueOf(of(component, one));
      }
    }
    return key;
  }

  private static Object of(RecordComponent component, Record record) {
    try {
      Method accessor = component.getAccessor();
      accessor.setAccessible(true);
      return accessor.invoke(record);
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException("A record's accessor failed: " + component, e);
    }
  }

  private static Said label(RecordComponent component) {
    boolean named =
        component.getAnnotation(Within.class) != null
            || component.getAnnotation(hightally.core.quantity.Text.class) != null;
    return named
        ? Said.of(
            "field." + component.getDeclaringRecord().getSimpleName() + "." + component.getName())
        : Said.of("part." + component.getName());
  }

  private static Said value(RecordComponent component, Object value) {
    Within within = component.getAnnotation(Within.class);
    Unit unit = within == null ? Unit.NONE : within.unit();
    Object one = single(value, unit);
    return value instanceof List<?> ? (Said) one : told(List.of(one));
  }

  private static Object single(Object value, Unit unit) {
    if (value instanceof Number number) {
      return new Quantity(number.doubleValue(), unit, -1);
    }
    if (value instanceof Boolean is) {
      return Said.of("difference.is", "is", is);
    }
    if (value instanceof List<?> list) {
      return told(list.stream().map(one -> single(one, unit)).toList());
    }
    return value instanceof Record record ? values(record) : value;
  }

  /** An entry that has no name of its own: its values one after the other. */
  private static Said values(Record record) {
    List<Object> values = new ArrayList<>();
    for (RecordComponent component : record.getClass().getRecordComponents()) {
      Within within = component.getAnnotation(Within.class);
      values.add(single(of(component, record), within == null ? Unit.NONE : within.unit()));
    }
    return Said.of("difference.entry", "values", values);
  }

  private static Said told(List<?> values) {
    return values.isEmpty() ? Said.NOTHING : Said.of("difference.values", "values", values);
  }
}
