package hightally.app.platform;

import com.fasterxml.jackson.databind.ObjectMapper;
import io.swagger.v3.oas.models.Paths;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Map;
import org.springframework.core.io.ClassPathResource;

/** One body to try with each calculation, from the folder {@code examples}. */
final class CalculationExamples {
  private static final String CALCULATIONS = "/api/calc/";

  private CalculationExamples() {}

  static void into(Paths paths) {
    paths.forEach(
        (path, item) -> {
          if (path.startsWith(CALCULATIONS)) {
            Object example = read(path.substring(CALCULATIONS.length()));
            item.getPost()
                .getRequestBody()
                .getContent()
                .values()
                .forEach(e -> e.setExample(example));
          }
        });
  }

  private static Object read(String kind) {
    try (InputStream in = new ClassPathResource("examples/" + kind + ".json").getInputStream()) {
      return new ObjectMapper().readValue(in, Map.class);
    } catch (IOException e) {
      throw new UncheckedIOException("No example for the calculation " + kind, e);
    }
  }
}
