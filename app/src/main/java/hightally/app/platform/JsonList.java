package hightally.app.platform;

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
  private static final ObjectMapper MAPPER = new ObjectMapper();
  private final JavaType type;

  protected JsonList(Class<T> element) {
    type = MAPPER.getTypeFactory().constructCollectionType(List.class, element);
  }

  @Override
  public final String convertToDatabaseColumn(List<T> list) {
    try {
      return MAPPER.writeValueAsString(list);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Override
  public final List<T> convertToEntityAttribute(String text) {
    try {
      return MAPPER.readValue(text, type);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
