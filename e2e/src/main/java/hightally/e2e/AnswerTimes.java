package hightally.e2e;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;

/**
 * How long a movement typed in millimetres takes to be answered, and the millimetres beside the
 * bench, each against one moment of the bench for the same model, asked in turn over HTTP.
 */
final class AnswerTimes {
  private static final double LIMIT = 5;
  private static final int OK = 200;
  private static final List<String> DEMO = List.of("quillon", "larkmere");
  private static final double TYPED_MM = 4;

  private final ObjectMapper json = new ObjectMapper();
  private final HttpClient client = HttpClient.newHttpClient();
  private final RunningApp app;
  private final int rounds;

  private AnswerTimes(RunningApp app, int rounds) {
    this.app = app;
    this.rounds = rounds;
  }

  /** Measures and prints; answers whether all is within the limit. */
  static boolean measure(RunningApp app, int rounds) throws IOException, InterruptedException {
    boolean kept = true;
    for (String name : DEMO) {
      kept &= new AnswerTimes(app, rounds).measured(name);
    }
    return kept;
  }

  private boolean measured(String name) throws IOException, InterruptedException {
    JsonNode setup =
        json.readTree(
            Files.readString(
                RunningApp.root().resolve("app/src/main/resources/demo/" + name + ".json")));
    ObjectNode shown = asked(setup).put("selected", setup.at("/surfaces/0/id").asText());
    List<String> typed = new ArrayList<>();
    for (ObjectNode wish : wishes(setup)) {
      ObjectNode asked = asked(setup);
      asked.set("wish", wish);
      if (status("api/edits/movements", asked.toString()) == OK) {
        typed.add(asked.toString());
      }
    }
    if (typed.isEmpty()) {
      throw new IllegalStateException("No movement was taken for " + name);
    }
    // The first half is to warm up.
    List<Double> moments = new ArrayList<>();
    List<Double> edits = new ArrayList<>();
    List<Double> sheets = new ArrayList<>();
    for (int i = 0; i < 2 * rounds; i++) {
      double moment = seconds("api/bench/moment", shown.toString());
      double edit = 0;
      for (String one : typed) {
        edit += seconds("api/edits/movements", one) / typed.size();
      }
      double sheet = seconds("api/program/movements", asked(setup).toString());
      if (i >= rounds) {
        moments.add(moment);
        edits.add(edit);
        sheets.add(sheet);
      }
    }
    return Limits.told(
            "A movement typed in mm against a bench moment, " + name, edits, moments, LIMIT)
        & Limits.told(
            "The millimetres beside the bench against a moment, " + name, sheets, moments, LIMIT);
  }

  private ObjectNode asked(JsonNode setup) {
    ObjectNode asked = json.createObjectNode();
    asked.set("setup", setup);
    ObjectNode moment = asked.putObject("moment");
    moment.put("roll", 0).put("pitch", 0).put("yaw", 0).put("throttle", 0);
    moment.put("throttleCut", true);
    moment.putObject("trims").put("roll", 0).put("pitch", 0).put("yaw", 0);
    for (JsonNode input : setup.at("/transmitter/inputs")) {
      moment.withArray("inputs").add(0);
    }
    if (!moment.has("inputs")) {
      moment.putArray("inputs");
    }
    ObjectNode readings = moment.putObject("readings").put("linkPercent", 100).put("voltage", 12);
    readings.putArray("timerSeconds");
    readings.putArray("truths");
    return asked;
  }

  /** Every preset, rate, differential and mix of the model. */
  private List<ObjectNode> wishes(JsonNode setup) {
    List<ObjectNode> all = new ArrayList<>();
    for (JsonNode surface : setup.get("surfaces")) {
      String id = surface.get("id").asText();
      for (String rate : List.of("RATE_ROLL", "RATE_PITCH", "RATE_YAW")) {
        all.add(wish(rate, "", id));
      }
      for (JsonNode phase : setup.get("phases")) {
        all.add(wish("PRESET", phase.get("id").asText(), id));
        all.add(wish("DIFFERENTIAL", phase.get("id").asText(), id));
      }
      for (JsonNode mix : setup.get("mixes")) {
        for (JsonNode target : mix.get("targets")) {
          if (target.get("target").asText().equals(id)) {
            all.add(wish("MIX", mix.get("id").asText(), id));
          }
        }
      }
    }
    return all;
  }

  private ObjectNode wish(String kind, String subject, String surface) {
    ObjectNode wish = json.createObjectNode().put("kind", kind).put("subject", subject);
    wish.put("surface", surface).put("plusSide", true).put("value", TYPED_MM);
    return wish.put("minusWay", false)
        .put("unit", "MILLIMETRES")
        .put("pair", true)
        .put("bothSides", true);
  }

  private double seconds(String path, String body) throws IOException, InterruptedException {
    long begin = System.nanoTime();
    int status = status(path, body);
    if (status != OK) {
      throw new IllegalStateException(path + " answered " + status);
    }
    return (System.nanoTime() - begin) / 1e9;
  }

  private int status(String path, String body) throws IOException, InterruptedException {
    return client
        .send(
            HttpRequest.newBuilder(URI.create(app.address() + path))
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(body))
                .build(),
            HttpResponse.BodyHandlers.ofString())
        .statusCode();
  }
}
