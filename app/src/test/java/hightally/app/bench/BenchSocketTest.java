package hightally.app.bench;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.ApiTest;
import java.net.URI;
import java.util.List;
import java.util.Map;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.client.standard.StandardWebSocketClient;
import org.springframework.web.socket.handler.TextWebSocketHandler;

/** The live bench as the page speaks to it, and the same over plain HTTP. */
class BenchSocketTest extends ApiTest {
  private final BlockingQueue<String> answers = new LinkedBlockingQueue<>();
  @LocalServerPort private int port;
  private WebSocketSession session;

  @BeforeEach
  void connect() throws Exception {
    TextWebSocketHandler handler =
        new TextWebSocketHandler() {
          @Override
          protected void handleTextMessage(WebSocketSession from, TextMessage message) {
            answers.add(message.getPayload());
          }
        };
    URI address = URI.create("ws://127.0.0.1:" + port + "/api/bench");
    session =
        new StandardWebSocketClient().execute(handler, null, address).get(10, TimeUnit.SECONDS);
    session.setTextMessageSizeLimit(1_000_000);
  }

  @AfterEach
  void disconnect() throws Exception {
    session.close();
  }

  @Test
  void aMomentIsAnsweredAsOverHttp() throws Exception {
    JsonNode loaded = ask(Map.of("type", "load", "number", 1, "setup", biplane()));
    assertThat(loaded.get("type").asText()).isEqualTo("loaded");
    assertThat(loaded.get("sheets")).hasSize(6);
    JsonNode frame = ask(move(2, "elevator"));
    assertThat(frame.get("number").asInt()).isEqualTo(2);
    Map<String, Object> asked =
        Map.of("setup", biplane(), "moment", moment(), "selected", "elevator");
    JsonNode shown = post("/api/bench/moment", asked).json();
    assertThat(shown.at("/frame/positions")).isEqualTo(frame.get("positions"));
    assertThat(shown.at("/frame/tally")).isEqualTo(frame.get("tally"));
    assertThat(shown.get("sheets")).isEqualTo(loaded.get("sheets"));
  }

  @Test
  void aRefusalNamesTheFieldAndLeavesTheBenchAsItWas() throws Exception {
    assertThat(ask(move(1, "elevator")).at("/violations/0/field").asText()).isEqualTo("setup");
    ask(Map.of("type", "load", "number", 2, "setup", biplane()));
    JsonNode before = ask(move(3, "rudder")).get("positions");
    ObjectNode wrong = biplane();
    ((ObjectNode) wrong.at("/surfaces/0")).put("chordMm", 0);
    JsonNode refused = ask(Map.of("type", "load", "number", 4, "setup", wrong));
    assertThat(refused.get("type").asText()).isEqualTo("refused");
    assertThat(refused.get("number").asInt()).isEqualTo(4);
    assertThat(refused.at("/violations/0/field").asText()).isEqualTo("surfaces[0].chordMm");
    assertThat(ask(move(5, "rudder")).get("positions")).isEqualTo(before);
    assertThat(ask(move(6, "keel")).at("/violations/0/value").asText()).isEqualTo("keel");
    assertThat(ask(Map.of("type", "dance")).get("type").asText()).isEqualTo("refused");
  }

  private JsonNode ask(Object message) throws Exception {
    session.sendMessage(new TextMessage(json.writeValueAsString(message)));
    String answer = answers.poll(10, TimeUnit.SECONDS);
    assertThat(answer).as("an answer within ten seconds").isNotNull();
    return json.readTree(answer);
  }

  private Map<String, Object> move(int number, String selected) {
    return Map.of(
        "type",
        "move",
        "number",
        number,
        "moment",
        moment(),
        "selected",
        selected,
        "atMilliseconds",
        100.0 * number,
        "linkLost",
        false);
  }

  private static Map<String, Object> moment() {
    Map<String, Integer> trims = Map.of("roll", 3, "pitch", -2, "yaw", 0);
    return Map.of(
        "roll",
        0.4,
        "pitch",
        -0.7,
        "yaw",
        0.1,
        "throttle",
        0.5,
        "throttleCut",
        false,
        "trims",
        trims,
        "inputs",
        List.of(),
        "readings",
        Map.of("linkPercent", 100, "voltage", 12, "timerSeconds", List.of(), "truths", List.of()));
  }
}
