package hightally.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.jar.JarFile;
import org.junit.jupiter.api.Test;

/** Every library that ships is in the list of them, at the version that ships. */
class ThirdPartyTest {
  private static final Path ROOT = RunningApp.root();
  private static final String LIBRARIES = "BOOT-INF/lib/";

  private static List<String> listed() throws IOException {
    return Files.readAllLines(ROOT.resolve("docs/third-party.md"));
  }

  @Test
  void everyLibraryOfTheJarIsListed() throws IOException {
    List<String> listed = listed();
    int found = 0;
    try (JarFile jar = new JarFile(ROOT.resolve("app/target/high-tally-boot.jar").toFile())) {
      for (var entry : jar.stream().filter(one -> one.getName().startsWith(LIBRARIES)).toList()) {
        String file = entry.getName().substring(LIBRARIES.length()).replace(".jar", "");
        int dash = file.replaceAll("-(?=\\d)", "\0").indexOf('\0');
        if (dash > 0
            && !List.of("core", "web", "icu", "spring-boot-jarmode-tools")
                .contains(file.substring(0, dash))) {
          String name = ":" + file.substring(0, dash) + " | " + file.substring(dash + 1) + " |";
          assertThat(listed).as(name).anyMatch(row -> row.contains(name));
          found++;
        }
      }
    }
    assertThat(found).isGreaterThan(50);
  }

  @Test
  void everyLibraryOfThePageIsListed() throws IOException {
    List<String> listed = listed();
    ObjectMapper json = new ObjectMapper();
    JsonNode wanted = json.readTree(ROOT.resolve("web/package.json").toFile()).get("dependencies");
    JsonNode locked = json.readTree(ROOT.resolve("web/package-lock.json").toFile());
    assertThat(wanted).isNotEmpty();
    wanted
        .fieldNames()
        .forEachRemaining(
            name -> {
              String version =
                  locked.get("packages").get("node_modules/" + name).get("version").asText();
              assertThat(listed)
                  .as(name)
                  .anyMatch(row -> row.contains("| " + name + " | " + version + " |"));
            });
  }
}
