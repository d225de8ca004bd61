package hightally.app.flight;

import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import hightally.core.flight.PhaseReading;
import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;

/** What was flown in the phases, as one column. */
@Converter
public class PhaseReadings implements AttributeConverter<List<PhaseReading>, String> {
  private static final ObjectMapper MAPPER = new ObjectMapper();

  @Override
  public String convertToDatabaseColumn(List<PhaseReading> readings) {
    try {
      return MAPPER.writeValueAsString(readings);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Override
  public List<PhaseReading> convertToEntityAttribute(String text) {
    try {
      return MAPPER.readValue(text, new TypeReference<List<PhaseReading>>() {});
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
