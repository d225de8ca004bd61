package hightally.app.archive;

import com.fasterxml.jackson.databind.JsonNode;
import hightally.core.quantity.Said;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.Optional;

/**
 * A column as the database describes it.
 *
 * @param type its type, by its SQL name
 * @param nullable whether it may be empty
 * @param filled whether the database fills it where a row does not name it
 * @param longest most characters of a text
 */
record StoredColumn(String type, boolean nullable, boolean filled, long longest) {
  private static final int FIRST_YEAR = 1900;
  private static final int LAST_YEAR = 2100;

  /** What a value should be and is not. */
  Optional<Said> wanted(JsonNode value) {
    if (value.isNull()) {
      return nullable ? Optional.empty() : Optional.of(Said.of("demand.given"));
    }
    return switch (type) {
      case "TIMESTAMP WITH TIME ZONE" ->
          unless(value.isTextual() && moment(value.asText()), Said.of("demand.moment"));
      case "DATE" -> unless(value.isTextual() && day(value.asText()), Said.of("demand.day"));
      case "BOOLEAN" -> unless(value.isBoolean(), Said.of("demand.trueOrFalse"));
      case "DOUBLE PRECISION" ->
          unless(
              value.isNumber() && Double.isFinite(value.doubleValue()), Said.of("demand.number"));
      case "BIGINT" -> unless(whole(value) && value.canConvertToLong(), whole());
      case "INTEGER" -> unless(whole(value) && value.canConvertToInt(), whole());
      case "SMALLINT" ->
          unless(
              whole(value)
                  && value.canConvertToInt()
                  && value.intValue() == (short) value.intValue(),
              whole());
      default ->
          unless(
              value.isTextual() && value.textValue().length() <= longest,
              Said.of("demand.textOfLength", "min", 0, "max", longest));
    };
  }

  private static boolean whole(JsonNode value) {
    return value.isIntegralNumber();
  }

  private static Said whole() {
    return Said.of("demand.wholeNumber");
  }

  private static Optional<Said> unless(boolean right, Said demand) {
    return right ? Optional.empty() : Optional.of(demand);
  }

  private static boolean moment(String text) {
    try {
      return inTime(OffsetDateTime.parse(text).getYear());
    } catch (DateTimeException e) {
      return false;
    }
  }

  private static boolean day(String text) {
    try {
      return inTime(LocalDate.parse(text).getYear());
    } catch (DateTimeException e) {
      return false;
    }
  }

  private static boolean inTime(int year) {
    return year >= FIRST_YEAR && year <= LAST_YEAR;
  }
}
