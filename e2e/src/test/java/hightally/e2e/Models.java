package hightally.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.util.function.Consumer;

/** Models that a story begins with, made through the interface for programs. */
final class Models {
  private static final ObjectMapper JSON = new ObjectMapper();
  private static final HttpClient CLIENT = HttpClient.newHttpClient();

  private Models() {}

  static JsonNode call(RunningApp app, String method, String path, JsonNode body) {
    HttpRequest.BodyPublisher sent =
        body == null
            ? HttpRequest.BodyPublishers.noBody()
            : HttpRequest.BodyPublishers.ofString(body.toString());
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(app.address() + path))
            .header("Content-Type", "application/json")
            .method(method, sent)
            .build();
    try {
      HttpResponse<String> answer = CLIENT.send(request, HttpResponse.BodyHandlers.ofString());
      assertThat(answer.statusCode()).as(answer.body()).isLessThan(300);
      return JSON.readTree(answer.body());
    } catch (IOException | InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  /** A document written out. */
  static JsonNode read(String text) {
    try {
      return JSON.readTree(text);
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  /** The newest setup of a model. */
  static ObjectNode setup(RunningApp app, long model) {
    return (ObjectNode) call(app, "GET", "api/aircraft/" + model, null).at("/newest/setup");
  }

  /** A demo model with something planted, as a model of its own. */
  static long planted(RunningApp app, long model, Consumer<ObjectNode> planting) {
    ObjectNode setup = setup(app, model);
    planting.accept(setup);
    ObjectNode body = JSON.createObjectNode().put("reason", "Planted");
    body.set("setup", setup);
    return call(app, "POST", "api/aircraft", body).get("id").asLong();
  }

  /**
   * Flights of a calm day, today, with one elevator trim each, as many as there are trims; the
   * other trims as they stand.
   */
  static void flown(RunningApp app, long model, int... pitchClicks) {
    int revision = call(app, "GET", "api/aircraft/" + model, null).at("/newest/number").asInt();
    JsonNode stands = call(app, "GET", "api/aircraft/" + model + "/standing-trims", null);
    JsonNode phases = stands.get("phases");
    JsonNode base = phases.get(phases.size() - 1).get("trims");
    int number = 0;
    for (int clicks : pitchClicks) {
      ObjectNode flight = JSON.createObjectNode().put("revisionNumber", revision);
      ObjectNode report = flight.putObject("report");
      report.put("flownOn", LocalDate.now().toString()).put("wind", "CALM").put("air", "SMOOTH");
      report.put("field", "").put("battery", "").putNull("cgMm").put("remarks", "");
      // The same sent again within two minutes would be one flight.
      report.put("goal", "Flight " + ++number).put("throttlePercent", 50).put("sure", "SURE");
      report.put("turnsDiffer", false).putArray("phases");
      report.set("trims", ((ObjectNode) base.deepCopy()).put("pitch", clicks));
      call(app, "POST", "api/aircraft/" + model + "/flights", flight);
    }
  }
}
