package hightally.app.platform;

import static java.util.stream.Collectors.joining;

import com.fasterxml.jackson.core.JacksonException;
import com.fasterxml.jackson.databind.JsonMappingException;
import com.fasterxml.jackson.databind.exc.InvalidFormatException;
import com.fasterxml.jackson.databind.exc.InvalidNullException;
import com.fasterxml.jackson.databind.exc.MismatchedInputException;
import com.fasterxml.jackson.databind.exc.UnrecognizedPropertyException;
import com.fasterxml.jackson.databind.exc.ValueInstantiationException;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Says what is wrong with a text that should have been JSON, naming the place. */
public final class JsonProblems {
  private static final Pattern MISSING = Pattern.compile("creator property '([^']+)'");

  private static final Pattern CODE = Pattern.compile("`|[a-z]\\.[A-Z]|[a-z]\\.[a-z]+\\.|\\(\\)");

  private JsonProblems() {}

  /** The failure as a broken contract, with the path of the field or the line and column. */
  public static InvalidInputException explained(JacksonException e) {
    if (e instanceof UnrecognizedPropertyException unknown) {
      return InvalidInputException.of(
          path(unknown), Said.of("given.notKnown"), Said.of("demand.leftOut"));
    }
    if (e instanceof InvalidFormatException format) {
      return InvalidInputException.of(path(format), format.getValue(), wanted(format));
    }
    if (e instanceof InvalidNullException absent) {
      String path = path(absent);
      Object found = path.endsWith("]") ? "null" : Said.of("given.missing");
      return InvalidInputException.of(path, found, Said.of("demand.given"));
    }
    if (e instanceof ValueInstantiationException impossible) {
      return InvalidInputException.of(
          path(impossible), Said.of("given.notPossible"), Said.of("demand.asDescribed"));
    }
    if (e instanceof MismatchedInputException mismatch) {
      return mismatched(mismatch);
    }
    int line = e.getLocation() == null ? 0 : e.getLocation().getLineNr();
    int column = e.getLocation() == null ? 0 : e.getLocation().getColumnNr();
    String place = "line " + line + ", column " + column;
    return InvalidInputException.of(
        place,
        Said.of("given.notJson"),
        Said.of("demand.validJson", "found", inside(e.getOriginalMessage())));
  }

  /** What the parser found, where it says it in words and not in names of its own code. */
  private static String inside(String message) {
    return message == null || CODE.matcher(message).find() ? "" : " (" + message + ")";
  }

  private static InvalidInputException mismatched(MismatchedInputException e) {
    Matcher missing = MISSING.matcher(e.getOriginalMessage());
    if (missing.find()) {
      String path = path(e);
      String name = missing.group(1);
      String field = path.endsWith(name) ? path : path.isEmpty() ? name : path + "." + name;
      return InvalidInputException.of(field, Said.of("given.missing"), Said.of("demand.given"));
    }
    return InvalidInputException.of(
        path(e).isEmpty() ? "document" : path(e), Said.of("given.wrongKind"), wanted(e));
  }

  private static Said wanted(MismatchedInputException e) {
    Class<?> type = e.getTargetType();
    if (type == null) {
      return Said.of("demand.anotherKind");
    }
    if (type.isEnum()) {
      String names =
          Arrays.stream(type.getEnumConstants()).map(String::valueOf).collect(joining(", "));
      return Said.of("demand.oneOf", "names", names);
    }
    if (type == int.class || type == Integer.class || type == long.class) {
      return Said.of("demand.wholeNumber");
    }
    if (type == double.class || type == Double.class) {
      return Said.of("demand.number");
    }
    if (type == boolean.class || type == Boolean.class) {
      return Said.of("demand.trueOrFalse");
    }
    if (List.class.isAssignableFrom(type)) {
      return Said.of("demand.list");
    }
    return type == String.class ? Said.of("demand.text") : Said.of("demand.object");
  }

  private static String path(JsonMappingException e) {
    StringBuilder path = new StringBuilder();
    for (JsonMappingException.Reference step : e.getPath()) {
      if (step.getFieldName() == null) {
        path.append('[').append(step.getIndex()).append(']');
      } else {
        path.append(path.isEmpty() ? "" : ".").append(step.getFieldName());
      }
    }
    return path.toString();
  }

  /** Why something could not be read, in words. */
  public static InvalidInputException why(RuntimeException failed) {
    for (Throwable cause = failed; cause != null; cause = cause.getCause()) {
      if (cause instanceof InvalidInputException told) {
        return told;
      }
      if (cause instanceof JacksonException json) {
        return explained(json);
      }
    }
    return InvalidInputException.of(
        "document", Said.of("given.unreadable"), Said.of("demand.asWritten"));
  }
}
