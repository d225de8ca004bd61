package hightally.app.archive;

import com.fasterxml.jackson.databind.JsonNode;
import hightally.app.aircraft.StoredDocument;
import hightally.app.aircraft.StoredRow;
import hightally.app.platform.JsonProblems;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.EntityManager;
import jakarta.persistence.Table;
import java.lang.reflect.Constructor;
import java.lang.reflect.Field;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.beans.BeanUtils;
import org.springframework.stereotype.Component;

/** Rows held against what the program makes of them: its entities and the records told by these. */
@Component
class EntityRows {
  private final EntityManager entities;
  private final List<StoredDocument> documents;
  private final Map<String, Class<?>> byTable = new HashMap<>();

  EntityRows(EntityManager entities, List<StoredDocument> documents) {
    this.entities = entities;
    this.documents = documents;
    entities
        .getMetamodel()
        .getEntities()
        .forEach(
            one -> {
              Class<?> type = one.getJavaType();
              byTable.put(type.getAnnotation(Table.class).name(), type);
            });
  }

  /** Whether rows of a table can be asked what they tell. */
  boolean asks(String table) {
    return byTable.containsKey(table) && StoredRow.class.isAssignableFrom(byTable.get(table));
  }

  /** Fields of a row that name something the program knows, or hold a document of its own. */
  void fields(String table, int index, JsonNode row, RowFaults faults) {
    documents(table, index, row, faults);
    for (Field field : byTable.get(table).getDeclaredFields()) {
      String column = column(field);
      JsonNode value = row.path(column);
      if (field.getType().isEnum() && value.isTextual()) {
        List<String> names =
            Arrays.stream(field.getType().getEnumConstants())
                .map(one -> ((Enum<?>) one).name())
                .toList();
        if (!names.contains(value.textValue())) {
          String known = names.stream().collect(Collectors.joining(", "));
          faults.add(
              table, index, column, value.textValue(), Said.of("demand.oneOf", "names", known));
        }
      } else if (field.isAnnotationPresent(Convert.class) && value.isTextual()) {
        document(field, table, index, value.textValue(), faults);
      }
    }
  }

  private void documents(String table, int index, JsonNode row, RowFaults faults) {
    for (StoredDocument one : documents) {
      String text = row.path(one.column()).asText();
      if (one.table().equals(table)) {
        try {
          one.reader().accept(text);
        } catch (RuntimeException e) {
          faults.add(table, index, one.column(), JsonProblems.why(e));
        }
      }
    }
  }

  private static String column(Field field) {
    Column named = field.getAnnotation(Column.class);
    return named == null || named.name().isEmpty()
        ? field.getName().replaceAll("([A-Z])", "_$1").toLowerCase(Locale.ROOT)
        : named.name();
  }

  @SuppressWarnings("unchecked")
  private static void document(
      Field field, String table, int index, String text, RowFaults faults) {
    try {
      Constructor<?> made = field.getAnnotation(Convert.class).converter().getDeclaredConstructor();
      AttributeConverter<Object, String> converter =
          (AttributeConverter<Object, String>) BeanUtils.instantiateClass(made);
      Object read = converter.convertToEntityAttribute(text);
      if (read == null
          || read instanceof List<?> list && list.stream().anyMatch(one -> one == null)) {
        faults.add(table, index, column(field), Said.of("given.missing"), Said.of("demand.given"));
      }
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException(e);
    } catch (RuntimeException e) {
      faults.add(table, index, column(field), JsonProblems.why(e));
    }
  }

  /** What a row tells, with all its rules. */
  void told(String table, long id, int index, RowFaults faults) {
    try {
      StoredRow row = (StoredRow) entities.find(byTable.get(table), id);
      if (row == null) {
        return; // Kept, but no page reads it: a deleted flight.
      }
      row.told()
          .forEach(
              one ->
                  Validation.violations(one)
                      .forEach(
                          each ->
                              faults.add(
                                  table, index, "", new InvalidInputException(List.of(each)))));
    } catch (RuntimeException e) {
      faults.add(table, index, "", JsonProblems.why(e));
    }
  }

  /** Keeps nothing of what was read. */
  void forget() {
    entities.clear();
  }
}
