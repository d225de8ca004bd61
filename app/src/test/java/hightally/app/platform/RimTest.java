package hightally.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.Pilot;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;

/** Whatever comes over the rim is answered in words that help. */
class RimTest extends Pilot {
  @ParameterizedTest
  @ValueSource(
      strings = {"/surfaces", "/phases", "/mixes", "/channels", "/power/curves", "/conditions"})
  void aNullInAListIsNamed(String list) throws Exception {
    ObjectNode setup = biplane();
    ((ArrayNode) setup.at(list)).addNull();
    int at = setup.at(list).size() - 1;
    Answer answer = post("/api/program/sheet", Map.of("setup", setup));
    assertThat(answer.status()).isEqualTo(422);
    String field = "setup" + list.replace('/', '.') + "[" + at + "]";
    assertThat(answer.json().at("/violations/0/field").asText()).isEqualTo(field);
    assertThat(answer.json().at("/violations/0/value").asText()).isEqualTo("null");
  }

  @Test
  void aNullAsTheWholeOrInAListOfTheWhole() throws Exception {
    assertThat(
            send(HttpMethod.POST, "/api/rig/balance", MediaType.APPLICATION_JSON, "null").status())
        .isEqualTo(422);
    assertThat(put("/api/aircraft/1/entered", java.util.Collections.singletonList(null)).status())
        .isEqualTo(422);
  }

  @Test
  void theAddressOfFaultsItselfIsNotThere() throws Exception {
    Answer answer = get("/error");
    assertThat(answer.status()).isEqualTo(404);
    assertThat(answer.json().get("status").asInt()).isEqualTo(404);
    assertThat(answer.body()).doesNotContain("timestamp").doesNotContain("999");
  }

  @Test
  void aDocumentTooLongForItsPlaceSaysSo() throws Exception {
    ObjectNode setup = biplane();
    ArrayNode curves = (ArrayNode) setup.at("/notebook/sources");
    ObjectNode one = json.createObjectNode();
    for (int i = 0; i < 25_000; i++) {
      ObjectNode source = curves.isEmpty() ? one : curves.get(0).deepCopy();
      curves.add(source);
    }
    Answer answer = post("/api/aircraft", Map.of("reason", "Much too long", "setup", setup));
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.body()).contains("characters long").doesNotContain("another page");
  }

  @Test
  void nestingWithoutEndIsRefusedWithoutNamesOfCode() throws Exception {
    String deep = "[".repeat(5000);
    Answer answer = send(HttpMethod.POST, "/api/calc/response", MediaType.APPLICATION_JSON, deep);
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.body()).doesNotContain("StreamReadConstraints").contains("not JSON");
  }
}
