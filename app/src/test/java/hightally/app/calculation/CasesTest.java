package hightally.app.calculation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import hightally.app.ApiTest;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Named;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Every worked case, through the API a script would use. */
class CasesTest extends ApiTest {
  private static final List<String> KINDS =
      List.of(
          "response",
          "curve",
          "output",
          "linkage",
          "rodChange",
          "retrim",
          "armSeating",
          "balance",
          "washer",
          "meanChord",
          "neutralPoint",
          "trimAdvice",
          "trimStep",
          "diagnose",
          "airForces");

  static List<Named<JsonNode>> cases() throws Exception {
    List<Named<JsonNode>> cases = new ArrayList<>();
    for (String kind : KINDS) {
      JsonNode list =
          new com.fasterxml.jackson.databind.ObjectMapper()
              .readTree(resource("cases/" + kind + ".json"));
      for (int i = 0; i < list.size(); i++) {
        cases.add(Named.of(kind + " " + (i + 1), list.get(i)));
      }
    }
    return cases;
  }

  @ParameterizedTest
  @MethodSource("cases")
  void agrees(JsonNode one) throws Exception {
    Answer answer = post("/api/calc/" + one.get("kind").asText(), one.get("given"));
    assertThat(answer.status()).as(answer.body()).isEqualTo(200);
    same(one.get("expect"), answer.json(), one.get("tolerance").asDouble(), "expect");
  }

  private static void same(JsonNode wanted, JsonNode found, double tolerance, String path) {
    if (wanted.isObject()) {
      for (var field : wanted.properties()) {
        JsonNode value = found.get(field.getKey());
        same(field.getValue(), value, tolerance, path + "." + field.getKey());
      }
    } else if (wanted.isArray()) {
      assertThat(found).as(path).hasSameSizeAs(wanted);
      for (int i = 0; i < wanted.size(); i++) {
        same(wanted.get(i), found.get(i), tolerance, path + "[" + i + "]");
      }
    } else if (wanted.isNumber()) {
      assertThat(found.isNumber()).as(path + " is a number").isTrue();
      double allowed = tolerance * Math.max(1, Math.abs(wanted.asDouble()));
      assertThat(found.asDouble()).as(path).isCloseTo(wanted.asDouble(), within(allowed));
    } else {
      assertThat(found).as(path).isEqualTo(wanted);
    }
  }
}
