package hightally.app.platform;

import hightally.core.quantity.Absentable;
import hightally.core.quantity.Text;
import hightally.core.quantity.Within;
import io.swagger.v3.oas.models.media.Schema;
import java.lang.annotation.Annotation;
import java.math.BigDecimal;
import java.util.LinkedHashSet;
import java.util.List;
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

  /** A schema of one type, in the words of the form in which the description is written. */
  static Schema<?> typed(String type) {
    Schema<?> schema = new Schema<>();
    schema.setTypes(Set.of(type));
    return schema;
  }

  private static void range(Schema<?> schema, Within within) {
    schema.setMinimum(BigDecimal.valueOf(within.min()));
    schema.setMaximum(BigDecimal.valueOf(within.max()));
    String unit = within.unit().isEmpty() ? "" : ", " + within.unit();
    String hint = within.hint().isEmpty() ? "" : ": " + within.hint();
    schema.setDescription(within.label() + unit + hint);
  }

  private static void length(Schema<?> schema, Text text) {
    schema.setMinLength(text.min());
    schema.setMaxLength(text.max());
    schema.setDescription(text.label());
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
