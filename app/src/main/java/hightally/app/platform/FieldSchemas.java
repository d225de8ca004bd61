package hightally.app.platform;

import hightally.app.words.ReaderWords;
import hightally.core.quantity.Absentable;
import hightally.core.quantity.Text;
import hightally.core.quantity.Within;
import hightally.core.words.FieldNames;
import io.swagger.v3.oas.models.media.Schema;
import java.lang.annotation.Annotation;
import java.math.BigDecimal;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What a record says of its components, as the API's description says it. */
final class FieldSchemas {
  private static final String NULL = "null";

  private FieldSchemas() {}

  /** The property with its range, unit and hint, and whether it may be absent. */
  static Schema<?> told(Schema<?> property, Annotation[] annotations) {
    Schema<?> told = property;
    for (Annotation one : annotations == null ? new Annotation[0] : annotations) {
      if (one instanceof Within within) {
        range(told.getItems() == null ? told : told.getItems(), within);
      } else if (one instanceof Text text) {
        length(told.getItems() == null ? told : told.getItems(), text);
      } else if (one instanceof Absentable absentable) {
        told = absentable.entries() ? entries(told) : orNull(told);
      }
    }
    return told;
  }

  /** What a record's components are called. */
  @SuppressWarnings("rawtypes") // The library's own model says no more.
  static void named(String record, Schema<?> schema, ReaderWords words) {
    Map<String, Schema> properties = schema.getProperties();
    if (properties != null) {
      properties.forEach(
          (name, property) -> {
            String described = words.standard(FieldNames.described(record, name));
            Schema<?> about = property.getItems() == null ? property : property.getItems();
            if (!described.isEmpty() && about.get$ref() == null) {
              about.setDescription(described);
            }
          });
    }
  }

  /** A schema of one type, in the words of the form in which the description is written. */
  static Schema<?> typed(String type) {
    Schema<?> schema = new Schema<>();
    schema.setTypes(Set.of(type));
    return schema;
  }

  private static void range(Schema<?> schema, Within within) {
    schema.setMinimum(BigDecimal.valueOf(within.min()));
    schema.setMaximum(BigDecimal.valueOf(within.max()));
  }

  private static void length(Schema<?> schema, Text text) {
    schema.setMinLength(text.min());
    schema.setMaxLength(text.max());
    if (!text.pattern().isEmpty()) {
      schema.setPattern("^(?:" + text.pattern() + ")$");
    }
  }

  private static Schema<?> entries(Schema<?> list) {
    list.setItems(orNull(list.getItems()));
    return list;
  }

  private static Schema<?> orNull(Schema<?> schema) {
    if (schema.get$ref() == null && schema.getTypes() != null && schema.getEnum() == null) {
      Set<String> types = new LinkedHashSet<>(schema.getTypes());
      types.add(NULL);
      schema.setTypes(types);
      return schema;
    }
    Schema<?> either = new Schema<>();
    either.setAnyOf(List.of(schema, typed(NULL)));
    return either;
  }
}
