package hightally.app.adjustment;

import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;

/** Gauge readings of a work order, as one column. */
@Converter
class Gauges implements AttributeConverter<List<Gauge>, String> {
  private static final ObjectMapper MAPPER = new ObjectMapper();

  @Override
  public String convertToDatabaseColumn(List<Gauge> gauges) {
    try {
      return MAPPER.writeValueAsString(gauges);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Override
  public List<Gauge> convertToEntityAttribute(String text) {
    try {
      return MAPPER.readValue(text, new TypeReference<List<Gauge>>() {});
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
