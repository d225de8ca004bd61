package hightally.app;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.core.flightlog.FlightReport;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;

/** What a pilot does over HTTP with a model of his own. */
public abstract class Pilot extends ApiTest {
  /** A new biplane's address. */
  protected String newModel() throws Exception {
    Answer added = post("/api/aircraft", Map.of("reason", "For this test", "setup", biplane()));
    return "/api/aircraft/" + added.json().get("id").asLong();
  }

  /** A calm flight's report with some clicks. */
  protected ObjectNode report(int roll, int pitch, int yaw) {
    ObjectNode report = json.valueToTree(FlightReport.on(LocalDate.of(2026, 9, 5)));
    report.put("field", "Long Meadow").put("battery", "Pack one").put("cgMm", 118);
    report.putObject("trims").put("roll", roll).put("pitch", pitch).put("yaw", yaw);
    return report;
  }

  /** Notes a flight and answers with its number. */
  protected long flight(String at, int revision, int roll, int pitch, int yaw) throws Exception {
    Map<String, Object> body =
        Map.of("revisionNumber", revision, "report", report(roll, pitch, yaw));
    return post(at + "/flights", body).json().get("id").asLong();
  }

  /** Three flights on days of their own that agree; answers with the last one's number. */
  protected long settled(String at, int revision, int roll, int pitch, int yaw) throws Exception {
    long last = 0;
    int before = get(at + "/flights").json().get("total").asInt();
    for (int day = 1; day <= 3; day++) {
      ObjectNode report = report(roll, pitch, yaw);
      report.put("flownOn", "2026-10-%02d".formatted(before + day));
      Answer added = post(at + "/flights", Map.of("revisionNumber", revision, "report", report));
      if (added.status() != 201) {
        throw new AssertionError(added.body());
      }
      last = added.json().get("id").asLong();
    }
    return last;
  }

  /** Every rod of an open order turned to its mark, as planned; answers with the order. */
  protected JsonNode turned(String at, JsonNode begun) throws Exception {
    JsonNode open = begun;
    for (JsonNode rod : begun.at("/plan/rods")) {
      if (rod.get("steps").asLong() != 0) {
        Map<String, Object> mark =
            Map.of(
                "surface",
                rod.get("surface").asText(),
                "steps",
                rod.get("steps").asLong(),
                "offMm",
                0,
                "way",
                "SAME");
        Answer marked =
            put(
                at + "/adjustment/mark",
                Map.of("mark", mark, "version", open.get("version").asInt()));
        if (marked.status() != 200) {
          throw new AssertionError(marked.body());
        }
        open = marked.json();
      }
    }
    return open;
  }

  /** Every surface of an open order looked at with every stick, and moved to its last step. */
  protected JsonNode lookedAt(String at, JsonNode begun) throws Exception {
    JsonNode open = begun;
    for (JsonNode one : begun.get("verification")) {
      Map<String, Object> seen =
          Map.of(
              "surface",
              one.get("surface").asText(),
              "by",
              one.get("by").asText(),
              "rightWay",
              true,
              "measured",
              false,
              "plusMm",
              0,
              "minusMm",
              0);
      open =
          put(
                  at + "/adjustment/verified",
                  Map.of("verified", seen, "version", open.get("version").asInt()))
              .json();
    }
    Map<String, Object> last =
        Map.of("step", open.at("/plan/steps").size() - 1, "version", open.get("version").asInt());
    Answer moved = put(at + "/adjustment", last);
    if (moved.status() != 200) {
      throw new AssertionError(moved.body());
    }
    return moved.json();
  }

  /** An open order turned, looked at and closed. */
  protected Answer closed(String at, JsonNode begun) throws Exception {
    JsonNode done = lookedAt(at, turned(at, begun));
    return post(
        at + "/adjustment/close", Map.of("version", done.get("version").asInt(), "because", ""));
  }

  /** Flown at the pilot's own word, once all that grounds it was looked for. */
  protected void flownAtMyWord(String at) throws Exception {
    Answer said = null;
    for (int i = 0; i < 600 && (said == null || said.status() != 200); i++) {
      Thread.sleep(said == null ? 0 : 100);
      said = put(at + "/clearance", Map.of("because", "Looked at on the bench"));
    }
    if (said == null || said.status() != 200) {
      throw new AssertionError(said == null ? "" : said.body());
    }
  }

  protected Map<String, Object> beginning(long flight) {
    return Map.of(
        "flightId",
        flight,
        "reference",
        "",
        "presetsTakeUp",
        false,
        "controls",
        List.of("ROLL", "PITCH", "YAW"));
  }

  /** Saves the newest setup with something changed. */
  protected Answer revise(String at, String pointer, String field, Object value) throws Exception {
    JsonNode newest = get(at).json().get("newest");
    ObjectNode setup = newest.get("setup").deepCopy();
    ((ObjectNode) setup.at(pointer)).set(field, json.valueToTree(value));
    return post(
        at + "/revisions",
        Map.of("basedOn", newest.get("number").asInt(), "reason", "A change", "setup", setup));
  }

  protected Answer put(String path, Object body) throws Exception {
    return send(HttpMethod.PUT, path, MediaType.APPLICATION_JSON, json.writeValueAsString(body));
  }
}
