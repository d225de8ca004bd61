package hightally.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.networknt.schema.InputFormat;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import hightally.app.Pilot;
import hightally.app.transfer.SetupSchema;
import hightally.core.airframe.Surface;
import hightally.core.airframe.SurfaceRole;
import hightally.core.setup.Setup;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/**
 * The committed descriptions are what the program says today. Run with {@code -Dpublish=true} to
 * write them anew.
 */
class PublishedFilesTest extends Pilot {
  private static final Path API = Path.of("../web/openapi.json");
  private static final Path ANSWERS = Path.of("../web/src/test/answers.json");
  private static final Path WAYS = Path.of("../web/src/domain/ways.json");
  private static final Path SCHEMA = Path.of("../docs/setup.schema.json");

  @Test
  void theApiDescriptionIsFresh() throws Exception {
    JsonNode described = get("/api/openapi").json();
    publish(
        API,
        new ObjectMapper().writerWithDefaultPrettyPrinter().writeValueAsString(described) + "\n");
    assertThat(json.readTree(Files.readString(API))).isEqualTo(described);
    assertThat(get("/api/openapi").json()).as("asked again").isEqualTo(described);
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

  /** The page's own tests speak to answers the program really gives. */
  @Test
  void theAnswersThePageIsTestedWithAreFresh() throws Exception {
    ObjectNode answers = json.createObjectNode();
    ObjectNode setup = biplane();
    answers.set("setup", setup);
    answers.set("fields", get("/api/fields").json());
    answers.set("gallery", post("/api/program/gallery", Map.of("setup", setup)).json());
    answers.set("words", get("/api/program/feel/words").json());
    Map<String, Object> moment =
        Map.of(
            "setup",
            setup,
            "moment",
            ApiBodies.parts(setup, json).get("Moment"),
            "selected",
            "upper-aileron-left");
    answers.set("moment", post("/api/bench/moment", moment).json());
    answers.set("program", post("/api/program/sheet", Map.of("setup", setup)).json());
    String at = newModel();
    ObjectNode order =
        (ObjectNode) post(at + "/adjustment", beginning(settled(at, 1, 6, -8, 0))).json();
    answers.set("order", order.put("id", 1).put("flightId", 1));
    ObjectNode standing = (ObjectNode) get(at).json();
    ((ObjectNode) standing.put("id", 1).get("newest")).put("createdAt", "2026-09-05T10:00:00Z");
    answers.set("standing", standing);
    publish(ANSWERS, json.writerWithDefaultPrettyPrinter().writeValueAsString(answers) + "\n");
    assertThat(json.readTree(Files.readString(ANSWERS)))
        .isEqualTo(json.readTree(answers.toString()));
  }

  /** Where plus and minus of a surface go, the page has from the core. */
  @Test
  void theWaysOfSurfacesAreFresh() throws Exception {
    ArrayNode ways = json.createArrayNode();
    Surface any = json.treeToValue(biplane(), Setup.class).surfaces().get(0);
    for (SurfaceRole role : SurfaceRole.values()) {
      for (boolean sideways : List.of(false, true)) {
        Surface one = any.change().role(role).sideways(sideways).done();
        ways.addObject()
            .put("role", role.name())
            .put("sideways", sideways)
            .put("plus", one.way(1).name())
            .put("minus", one.way(-1).name());
      }
    }
    publish(WAYS, json.writerWithDefaultPrettyPrinter().writeValueAsString(ways) + "\n");
    assertThat(json.readTree(Files.readString(WAYS))).isEqualTo(ways);
  }

  private static void publish(Path file, String text) throws Exception {
    if (Boolean.getBoolean("publish")) {
      Files.writeString(file, text);
    }
  }
}
