package hightally.core;

import com.fasterxml.jackson.databind.ObjectMapper;
import hightally.core.setup.Setup;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;

/** The invented aircraft that ship with the program. */
public final class DemoModels {
  private DemoModels() {}

  /** One of them, by its file's name. */
  public static Setup read(String name) {
    Path file = Path.of("../app/src/main/resources/demo", name + ".json");
    try {
      return new ObjectMapper().readValue(file.toFile(), Setup.class);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
