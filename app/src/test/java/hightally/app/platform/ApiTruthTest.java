package hightally.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Test;

/** The published description against what the program really answers. */
class ApiTruthTest extends EveryRoute {
  private static final int TRIES = 6;

  @Test
  void everyOperationHasANameASentenceAndItsRefusals() throws Exception {
    Set<String> names = new HashSet<>();
    each(
        (path, method, operation) -> {
          assertThat(operation.path("summary").asText()).as(method + path).hasSizeGreaterThan(10);
          assertThat(operation.get("operationId").asText()).matches("[a-z]+[A-Za-z0-9]+");
          assertThat(names.add(operation.get("operationId").asText())).isTrue();
          assertThat(operation.at("/responses").has("403")).isTrue();
          if (operation.has("requestBody")) {
            assertThat(operation.at("/responses").has("415")).as(path).isTrue();
            assertThat(operation.at("/responses").has("422")).as(path).isTrue();
          }
        });
    assertThat(names).hasSizeGreaterThan(70);
  }

  @Test
  void everyCalculationHasAnExampleThatIsAnswered() throws Exception {
    List<String> kinds = new ArrayList<>();
    each(
        (path, method, operation) -> {
          if (path.startsWith("/api/calc/")) {
            kinds.add(path);
            JsonNode example = operation.at("/requestBody/content/application~1json/example");
            assertThat(post(path, example).status()).as(path).isEqualTo(200);
          }
        });
    assertThat(kinds).hasSizeGreaterThanOrEqualTo(9);
  }

  @Test
  void rangesAndWhatMayBeAbsentAreDescribed() throws Exception {
    JsonNode schemas = get("/api/openapi").json().at("/components/schemas");
    JsonNode chord = schemas.at("/Surface/properties/chordMm");
    assertThat(chord.get("minimum").asDouble()).isEqualTo(5);
    assertThat(chord.get("maximum").asDouble()).isEqualTo(600);
    assertThat(schemas.at("/Setup/properties/name/maxLength").asInt()).isEqualTo(60);
    assertThat(schemas.at("/SearchState/properties/outcome/anyOf/1/type").asText())
        .isEqualTo("null");
    assertThat(schemas.at("/LinkageView/properties/gain/type").toString()).contains("null");
  }

  /** Whatever is answered with success is what the description says, and so is every refusal. */
  @Test
  void answersAreAsDescribed() throws Exception {
    JsonNode api = get("/api/openapi").json();
    ApiBodies bodies = new ApiBodies(api, ApiBodies.parts(biplane(), json), new Random(3));
    Map<String, Integer> seen = new java.util.TreeMap<>();
    SoftAssertions softly = new SoftAssertions();
    each(
        (path, method, operation) -> {
          for (int i = 0; i < TRIES; i++) {
            Answer answer = tried(bodies, path, method, operation);
            checked(softly, api, path + " " + method, operation, answer);
            if (answer.status() < 300) {
              seen.merge(path, 1, Integer::sum);
            }
          }
        });
    softly.assertAll();
    assertThat(seen).as("operations that were answered with success").hasSizeGreaterThan(35);
  }

  /** A schema is read once, however many answers are held against it. */
  private final Map<JsonNode, JsonSchema> checkers = new HashMap<>();

  private void checked(
      SoftAssertions softly, JsonNode api, String what, JsonNode operation, Answer answer) {
    JsonNode response = operation.get("responses").get("" + answer.status());
    if (answer.status() != 204) {
      softly.assertThat(response).as(what + " answered " + answer.status()).isNotNull();
    }
    if (response == null || answer.json() == null || !response.has("content")) {
      return;
    }
    JsonNode schema = response.get("content").elements().next().get("schema");
    JsonSchema checker = checkers.computeIfAbsent(schema, one -> checker(api, one));
    softly.assertThat(checker.validate(answer.json())).as(what).isEmpty();
  }

  private JsonSchema checker(JsonNode api, JsonNode schema) {
    ObjectNode whole = json.createObjectNode();
    whole.set("components", api.get("components"));
    whole.setAll((ObjectNode) schema);
    return JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012).getSchema(whole);
  }
}
