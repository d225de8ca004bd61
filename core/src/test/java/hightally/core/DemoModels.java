package hightally.core;

import com.fasterxml.jackson.databind.ObjectMapper;
import hightally.core.setup.Setup;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;

/** The invented aircraft that ship with the program. */
public final class DemoModels {
  private static final Path RESOURCES = Path.of("../app/src/main/resources");

  /** A model cannot change, so each file is read once. */
  private static final ObjectMapper JSON = new ObjectMapper();

  private static final Map<Path, Setup> READ = new ConcurrentHashMap<>();
  private static final List<Setup> ALL = everyOne();

  private DemoModels() {}

  /** Every one of them, and every kind a new model can be begun from. */
  public static List<Setup> all() {
    return ALL;
  }

  private static List<Setup> everyOne() {
    List<Setup> all = new ArrayList<>();
    for (String folder : List.of("demo", "kinds")) {
      try (Stream<Path> files = Files.list(RESOURCES.resolve(folder))) {
        files
            .filter(one -> one.toString().endsWith(".json"))
            .sorted()
            .map(DemoModels::read)
            .forEach(all::add);
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
    return List.copyOf(all);
  }

  /** One of them, by its file's name. */
  public static Setup read(String name) {
    return read(RESOURCES.resolve("demo").resolve(name + ".json"));
  }

  private static Setup read(Path file) {
    return READ.computeIfAbsent(
        file,
        one -> {
          try {
            return JSON.readValue(one.toFile(), Setup.class);
          } catch (IOException e) {
            throw new UncheckedIOException(e);
          }
        });
  }
}
