package hightally.app;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
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
    ObjectNode report = json.createObjectNode();
    report.put("flownOn", "2026-09-05").put("wind", "CALM").put("air", "SMOOTH");
    report.put("field", "Long Meadow").put("battery", "Pack one").put("cgMm", 118);
    report.put("remarks", "").put("goal", "").put("throttlePercent", 50).put("sure", "SURE");
    report.put("turnsDiffer", false).putArray("phases");
    report.putObject("trims").put("roll", roll).put("pitch", pitch).put("yaw", yaw);
    return report;
  }

  /** Notes a flight and answers with its number. */
  protected long flight(String at, int revision, int roll, int pitch, int yaw) throws Exception {
    Map<String, Object> body =
        Map.of("revisionNumber", revision, "report", report(roll, pitch, yaw));
    return post(at + "/flights", body).json().get("id").asLong();
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
