package hightally.core;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.quantity.InvalidInputException;
import hightally.core.setup.Setup;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

/**
 * A copy of a record with something else in it has just that else: every method of a record that
 * gives the same record back is called on what stands in the models that ship.
 */
class CopiesTest {
  /** So many of each sort of record are enough to find two that differ. */
  private static final int MOST = 40;

  /** What a copy does besides, by its Javadoc. */
  private static final Set<String> DO_MORE =
      Set.of("Setup.forAnother", "MixTarget.and", "Servo.mirrored");

  /** What is given is put into a part of a part. */
  private static final Set<String> WORK_OUT =
      Set.of("Rod.withArm", "Rod.withHorn", "Setup.withSurface");

  private final Map<Class<?>, Set<Record>> found = new LinkedHashMap<>();
  private final Map<String, List<String>> more = new TreeMap<>();

  /** Copies in which something stands that was not given but worked out. */
  private final Set<String> worked = new TreeSet<>();

  @Test
  void aCopyDiffersOnlyInWhatItWasGiven() throws IllegalAccessException {
    for (Setup setup : DemoModels.all()) {
      collect(setup);
    }
    Set<String> called = new TreeSet<>();
    for (Map.Entry<Class<?>, Set<Record>> kind : found.entrySet()) {
      for (Method method : kind.getKey().getDeclaredMethods()) {
        if (copies(kind.getKey(), method)) {
          for (Record one : kind.getValue()) {
            if (copied(one, method)) {
              called.add(kind.getKey().getSimpleName() + "." + method.getName());
            }
          }
        }
      }
    }
    more.keySet().removeAll(DO_MORE);
    assertThat(more).isEmpty();
    worked.removeAll(DO_MORE);
    worked.removeAll(WORK_OUT);
    assertThat(worked).isEmpty();
    assertThat(called).as("found to be copied: %s", called).hasSizeGreaterThan(40);
  }

  private static boolean copies(Class<?> kind, Method method) {
    return method.getReturnType() == kind
        && Modifier.isPublic(method.getModifiers())
        && !Modifier.isStatic(method.getModifiers())
        && method.getParameterCount() > 0;
  }

  private void collect(Object value) throws IllegalAccessException {
    if (value instanceof List<?> list) {
      for (Object one : list) {
        collect(one);
      }
    } else if (value instanceof Record record) {
      Set<Record> same = found.computeIfAbsent(record.getClass(), one -> new LinkedHashSet<>());
      if (same.size() < MOST) {
        same.add(record);
      }
      for (RecordComponent component : record.getClass().getRecordComponents()) {
        collect(of(record, component));
      }
    }
  }

  /** Whether the method could be called at all with what was found for it. */
  private boolean copied(Record one, Method method) throws IllegalAccessException {
    Object[] given = new Object[method.getParameterCount()];
    for (int i = 0; i < given.length; i++) {
      given[i] = another(method.getParameterTypes()[i], one);
      if (given[i] == null) {
        return false;
      }
    }
    Object copy;
    try {
      copy = method.invoke(one, given);
    } catch (InvocationTargetException refused) {
      assertThat(refused.getCause()).isInstanceOf(InvalidInputException.class);
      return false;
    }
    List<String> changed = new ArrayList<>();
    for (RecordComponent component : one.getClass().getRecordComponents()) {
      Object before = of(one, component);
      Object after = of(copy, component);
      if (!before.equals(after)) {
        changed.add(component.getName());
        if (!Arrays.asList(given).contains(after)) {
          worked.add(one.getClass().getSimpleName() + "." + method.getName());
        }
      }
    }
    if (changed.size() > given.length) {
      String name = one.getClass().getSimpleName() + "." + method.getName();
      more.put(name, changed);
    }
    return true;
  }

  /** Something of a type that most likely stands nowhere in the record yet. */
  private Object another(Class<?> type, Record one) {
    if (type == String.class) {
      return "q-" + found.size();
    }
    if (type == int.class) {
      return 7;
    }
    if (type == double.class) {
      return 3.25;
    }
    if (type == boolean.class) {
      return true;
    }
    if (type == List.class) {
      return List.of();
    }
    if (type.isEnum()) {
      Object[] all = type.getEnumConstants();
      return all[all.length - 1];
    }
    return found.getOrDefault(type, Set.of()).stream()
        .filter(other -> !other.equals(one))
        .findFirst()
        .orElse(null);
  }

  private static Object of(Object record, RecordComponent component) throws IllegalAccessException {
    try {
      return component.getAccessor().invoke(record);
    } catch (InvocationTargetException e) {
      throw new IllegalStateException(e);
    }
  }
}
