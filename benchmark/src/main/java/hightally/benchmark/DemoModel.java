package hightally.benchmark;

import com.fasterxml.jackson.databind.ObjectMapper;
import hightally.core.setup.Setup;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;

/** The demo models, as they ship with the application. */
final class DemoModel {
  private DemoModel() {}

  static Setup biplane() {
    try (InputStream in = DemoModel.class.getResourceAsStream("/demo/quillon.json")) {
      return new ObjectMapper().readValue(in, Setup.class);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
