package hightally.app.adjustment;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.ApiTest;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;

/** The work order over the API: begun, left, moved, refused, closed, given up. */
class AdjustmentPathTest extends ApiTest {
  @Test
  void goesFromAFlightToARevisionWithTrimsAtZero() throws Exception {
    String at = newModel();
    long flight = flight(at, 6, -4, 0);
    JsonNode open = post(at + "/adjustment", Map.of("flightId", flight)).json();
    assertThat(post(at + "/adjustment", Map.of("flightId", flight)).status()).isEqualTo(409);
    int last = open.at("/plan/steps").size() - 1;
    assertThat(close(at, open.get("version").asInt()).status()).isEqualTo(422);
    assertThat(move(at, last + 1, 0).body()).contains("step is " + (last + 1));
    JsonNode moved = move(at, last, 0).json();
    assertThat(move(at, 0, 0).status()).isEqualTo(409);
    assertThat(get(at + "/adjustment").json().get("step").asInt()).isEqualTo(last);
    JsonNode made = close(at, moved.get("version").asInt()).json();
    assertThat(made.get("number").asInt()).isEqualTo(2);
    assertThat(made.get("fromAdjustment").asBoolean()).isTrue();
    assertThat(made.get("reason").asText()).contains("roll 6 clicks right, pitch 4 clicks down");
    assertThat(made.at("/setup/trims"))
        .isEqualTo(json.readTree("{\"roll\":0,\"pitch\":0,\"yaw\":0}"));
    assertThat(get(at + "/adjustment").status()).isEqualTo(204);
    assertThat(get(at).json().at("/loop/waiting").asText()).contains("Adjusted and not flown yet");
    assertThat(get(at + "/flights/" + flight + "/adjustment").status()).isEqualTo(409);
  }

  @Test
  void givenUpItLeavesTheSetupAsItWas() throws Exception {
    String at = newModel();
    post(at + "/adjustment", Map.of("flightId", flight(at, 6, 0, 2)));
    assertThat(get(at).json().at("/loop/stage").asText()).isEqualTo("ADJUST");
    Answer gone =
        send(HttpMethod.DELETE, at + "/adjustment?version=0", MediaType.APPLICATION_JSON, "");
    assertThat(gone.status()).isEqualTo(204);
    assertThat(get(at).json().at("/newest/number").asInt()).isEqualTo(1);
  }

  private String newModel() throws Exception {
    Answer added = post("/api/aircraft", Map.of("reason", "For this test", "setup", biplane()));
    return "/api/aircraft/" + added.json().get("id").asLong();
  }

  private long flight(String at, int roll, int pitch, int yaw) throws Exception {
    ObjectNode report =
        (ObjectNode) get("/api/aircraft/1/flights").json().at("/0/report").deepCopy();
    report.set("trims", json.valueToTree(Map.of("roll", roll, "pitch", pitch, "yaw", yaw)));
    Answer added = post(at + "/flights", Map.of("revisionNumber", 1, "report", report));
    assertThat(added.status()).as(added.body()).isEqualTo(201);
    return added.json().get("id").asLong();
  }

  private Answer move(String at, int step, int version) throws Exception {
    String body = json.writeValueAsString(Map.of("step", step, "version", version));
    return send(HttpMethod.PUT, at + "/adjustment", MediaType.APPLICATION_JSON, body);
  }

  private Answer close(String at, int version) throws Exception {
    return post(at + "/adjustment/close", Map.of("version", version));
  }
}
