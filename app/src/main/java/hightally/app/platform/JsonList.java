package hightally.app.platform;

import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JavaType;
import com.fasterxml.jackson.databind.ObjectMapper;
import jakarta.persistence.AttributeConverter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;

/**
 * A list as one column of JSON.
 *
 * @param <T> what the list holds
 */
public abstract class JsonList<T> implements AttributeConverter<List<T>, String> {
  /** What is stored may be older than the program: what is gone from it is passed over. */
  private static final ObjectMapper MAPPER =
      new ObjectMapper().disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES);

  private final JavaType type;

  protected JsonList(Class<T> element) {
    type = MAPPER.getTypeFactory().constructCollectionType(List.class, element);
  }

  @Override
  public final String convertToDatabaseColumn(List<T> list) {
    if (list == null) {
      return null;
    }
    try {
      return MAPPER.writeValueAsString(list);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Override
  public final List<T> convertToEntityAttribute(String text) {
    if (text == null) {
      return null;
    }
    if (text.equals("[]")) {
      return List.of();
    }
    try {
      return MAPPER.readValue(text, type);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
