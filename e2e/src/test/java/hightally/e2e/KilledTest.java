package hightally.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What was acknowledged is there after the process was killed at that moment, over and over. */
class KilledTest {
  /** More of them by hand: {@code -Dkills=200}. */
  private static final int TIMES = Integer.getInteger("kills", 5);

  private final ObjectMapper json = new ObjectMapper();
  private final HttpClient client = HttpClient.newHttpClient();
  @TempDir Path folder;

  @Test
  void whatWasAcknowledgedIsThere() throws Exception {
    int revision = 3;
    for (int time = 1; time <= TIMES; time++) {
      RunningApp app = RunningApp.start(folder.resolve("data"));
      JsonNode standing = get(app, "api/aircraft/1");
      assertThat(standing.at("/newest/number").asInt()).as("start " + time).isEqualTo(revision);
      if (time > 1) {
        assertThat(standing.at("/newest/setup/notes").asText()).isEqualTo("Kept " + (time - 1));
        assertThat(standing.at("/newest/reason").asText()).isEqualTo("Round " + (time - 1));
      }
      ObjectNode body =
          json.createObjectNode().put("basedOn", revision).put("reason", "Round " + time);
      ObjectNode setup = (ObjectNode) standing.at("/newest/setup").deepCopy();
      body.set("setup", setup.put("notes", "Kept " + time));
      int status = post(app, "api/aircraft/1/revisions", body);
      app.kill();
      assertThat(status).isEqualTo(201);
      revision++;
    }
    try (RunningApp app = RunningApp.start(folder.resolve("data"))) {
      assertThat(get(app, "api/aircraft/1/revisions").get("total").asInt()).isEqualTo(3 + TIMES);
    }
  }

  private JsonNode get(RunningApp app, String path) throws Exception {
    HttpRequest request = HttpRequest.newBuilder(URI.create(app.address() + path)).build();
    return json.readTree(client.send(request, HttpResponse.BodyHandlers.ofString()).body());
  }

  private int post(RunningApp app, String path, JsonNode body) throws Exception {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(app.address() + path))
            .header("Content-Type", "application/json")
            .POST(HttpRequest.BodyPublishers.ofString(body.toString()))
            .build();
    return client.send(request, HttpResponse.BodyHandlers.ofString()).statusCode();
  }
}
