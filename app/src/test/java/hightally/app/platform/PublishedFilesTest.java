package hightally.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.networknt.schema.InputFormat;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import hightally.app.ApiTest;
import hightally.app.transfer.SetupSchema;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

/**
 * The committed descriptions are what the program says today. Run with {@code -Dpublish=true} to
 * write them anew.
 */
class PublishedFilesTest extends ApiTest {
  private static final Path API = Path.of("../web/openapi.json");
  private static final Path SCHEMA = Path.of("../docs/setup.schema.json");

  @Test
  void theApiDescriptionIsFresh() throws Exception {
    JsonNode described = get("/api/openapi").json();
    publish(
        API,
        new ObjectMapper().writerWithDefaultPrettyPrinter().writeValueAsString(described) + "\n");
    assertThat(json.readTree(Files.readString(API))).isEqualTo(described);
  }

  @Test
  void theSetupSchemaIsFreshAndAcceptsTheDemoModel() throws Exception {
    publish(SCHEMA, SetupSchema.text());
    assertThat(Files.readString(SCHEMA)).isEqualTo(SetupSchema.text());
    assertThat(
            JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
                .getSchema(SetupSchema.text())
                .validate(resource("demo/quillon.json"), InputFormat.JSON))
        .isEmpty();
  }

  private static void publish(Path file, String text) throws Exception {
    if (Boolean.getBoolean("publish")) {
      Files.writeString(file, text);
    }
  }
}
