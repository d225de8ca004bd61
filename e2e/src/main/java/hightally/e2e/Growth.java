package hightally.e2e;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/**
 * What years of use cost: every page's data of a hangar of 300 models, one of which has 500
 * revisions, 2,000 flights and 200 checks, against those of a small hangar and a young model,
 * request by request in turn; the first view in the browser; the heap after many requests.
 */
final class Growth {
  private static final int FEW_FLIGHTS = 10;
  private static final int A_PAGE = 12;

  /** The demo glider: five phases. */
  private static final String HANGAR = "api/aircraft";

  private static final String DEMO = "api/aircraft/2";

  /** Every so many checks one is gone through to its end. */
  private static final int ANSWERED = 25;

  private static final double LIMIT = 2;
  private static final double LEVEL = 1.25;

  /**
   * What is no page of a model or a hangar: made or asked for by its own number, or a whole file.
   */
  private static final Set<String> OTHER =
      Set.of(
          "/api/school/{id}",
          "/api/program/hazards/searches/{id}",
          "/api/archive",
          "/api/archive/works/{id}",
          "/api/archive/works/{id}/file",
          "/api/archive/backups/{name}",
          "/api/archive/models/{id}");

  private static final Map<String, String> VALUES =
      Map.of(
          "transmitter", "",
          "pilot", "EXPERT",
          "revision", "1",
          "cgMm", "400",
          "seed", "1",
          "step", "WIRING");

  private final ObjectMapper json = new ObjectMapper();
  private final HttpClient client = HttpClient.newHttpClient();
  private final RunningApp app;
  private final Size size;
  private long model;
  private long flight;
  private long check;

  private Growth(RunningApp app, Size size) {
    this.app = app;
    this.size = size;
  }

  /** How long a history, how large a hangar, and how often each is asked. */
  record Size(
      int revisions,
      int flights,
      int checks,
      int models,
      int rounds,
      int warmUp,
      int views,
      int warmUpViews,
      int requests) {
    /** What is told of in the measurements. */
    static final Size FULL = new Size(500, 2000, 200, 300, 25, 12, 15, 4, 20_000);

    /** Says that it runs, and nothing of how fast. */
    static final Size SHORTEST = new Size(2, 12, 2, 7, 1, 0, 1, 0, 60);
  }

  /** Measures and prints; answers whether all is within the limits. */
  static boolean measure(RunningApp small, RunningApp large, Size size)
      throws IOException, InterruptedException {
    Growth young = new Growth(small, size);
    Growth old = new Growth(large, size);
    young.made(2, FEW_FLIGHTS, 1);
    old.made(size.revisions(), size.flights(), size.checks());
    old.filled(size.models());
    // A page of the hangar shows twelve, however many there are.
    young.filled(Math.min(size.models(), A_PAGE));
    boolean kept = true;
    for (Asked page : pages()) {
      kept &= compare(page, old, young);
    }
    kept &= old.archived();
    kept &= seen(old, young);
    return kept & old.level();
  }

  /** A page's data by its address in the published description. */
  private record Asked(String path, List<String> query) {}

  private static List<Asked> pages() throws IOException {
    JsonNode published =
        new ObjectMapper()
            .readTree(Files.readString(RunningApp.root().resolve("web/openapi.json")));
    List<Asked> pages = new ArrayList<>();
    for (Map.Entry<String, JsonNode> one : published.get("paths").properties()) {
      JsonNode get = one.getValue().path("get");
      if (get.isMissingNode() || OTHER.contains(one.getKey())) {
        continue;
      }
      List<String> query = new ArrayList<>();
      for (JsonNode parameter : get.path("parameters")) {
        if (parameter.get("in").asText().equals("query")
            && parameter.path("required").asBoolean()) {
          query.add(parameter.get("name").asText());
        }
      }
      pages.add(new Asked(one.getKey(), query));
    }
    return pages;
  }

  private String address(Asked page) {
    String path =
        page.path
            .substring(1)
            .replaceAll("\\{(aircraftId|id)\\}", Long.toString(model))
            .replace("{number}", "1")
            .replace("{flightId}", Long.toString(flight))
            .replace("{runId}", Long.toString(check));
    StringBuilder query = new StringBuilder();
    for (String name : page.query) {
      String value = VALUES.get(name);
      if (value == null) {
        throw new IllegalStateException("No value for " + name + " of " + page.path);
      }
      query.append(query.isEmpty() ? '?' : '&').append(name).append('=').append(value);
    }
    return path + query;
  }

  /** A model with so many revisions, each flown alike; every tenth revision changes the rig. */
  private void made(int revisions, int flights, int checks)
      throws IOException, InterruptedException {
    ObjectNode setup = (ObjectNode) get(DEMO).at("/newest/setup").deepCopy();
    JsonNode flown = get(DEMO + "/flights").at("/items/0/report");
    ObjectNode added = json.createObjectNode().put("reason", "Measured");
    added.set("setup", setup);
    model = post("api/aircraft", added).get("id").asLong();
    String its = "api/aircraft/" + model;
    int flightsMade = 0;
    int checksMade = 0;
    for (int revision = 1; revision <= revisions; revision++) {
      if (revision > 1) {
        boolean rig = revision % 10 == 0;
        setup.put("notes", "Revision " + revision);
        ((ObjectNode) setup.at("/surfaces/0")).put("chordMm", 40 + (rig ? revision % 7 : 0) / 10.0);
        ObjectNode saved = json.createObjectNode().put("basedOn", revision - 1);
        saved.put("reason", "Change " + revision).set("setup", setup);
        post(its + "/revisions", saved);
      }
      if (revision == revisions) {
        post(its + "/bench-set-up", json.createObjectNode().put("school", "ROD_FIRST"));
      }
      for (; checksMade < (long) checks * revision / revisions; checksMade++) {
        JsonNode begun = json.createObjectNode().put("kind", "FLIGHT").put("pack", "");
        JsonNode run = post(its + "/checks", begun);
        check = run.get("id").asLong();
        if (checksMade % ANSWERED == 0) {
          answered(its + "/checks/" + check, run);
        }
      }
      for (; flightsMade < (long) flights * revision / revisions; flightsMade++) {
        flight =
            post(its + "/flights/flown", flight(flown, revision, flightsMade)).get("id").asLong();
      }
    }
  }

  private void answered(String its, JsonNode run) throws IOException, InterruptedException {
    JsonNode last = run;
    for (JsonNode step : run.get("steps")) {
      ObjectNode answer = json.createObjectNode().put("step", step.get("id").asText());
      answer.putNull("fadesFirst").putNull("fadesSecond").putNull("lostFrames").putNull("holds");
      last = sent("PUT", its + "/answers", answer.put("verdict", "RIGHT").put("note", ""));
    }
    sent("PUT", its + "/end", json.createObjectNode().put("version", last.get("version").asInt()));
  }

  /** Every fourth shows what a trim test came to. */
  private ObjectNode flight(JsonNode report, int revision, int number) {
    ObjectNode flight = json.createObjectNode().put("revisionNumber", revision);
    flight.set("report", report.deepCopy());
    ((ObjectNode) flight.get("report"))
        .put("flownOn", LocalDate.of(2021, 1, 1).plusDays(number).toString());
    ObjectNode trims = (ObjectNode) flight.at("/report/trims");
    trims.put("roll", 20 + number % 2).put("pitch", -30).put("yaw", 22);
    ObjectNode seen = flight.putObject("seen").put("check", 0).put("despite", "");
    var results = seen.putArray("results");
    if (number % 4 == 0) {
      ObjectNode result = results.addObject().put("test", "DIVE").put("part", "");
      ObjectNode outcome = result.putArray("seen").addObject();
      outcome.put("outcome", number % 8 == 0 ? "PULLS_OUT" : "TUCKS");
      outcome.put("strength", 1).put("turn", "BOTH");
    }
    return flight;
  }

  /** The other models of the hangar. */
  private void filled(int models) throws IOException, InterruptedException {
    ObjectNode added = json.createObjectNode().put("reason", "Measured");
    added.set("setup", get(DEMO).at("/newest/setup"));
    for (long there = get("api/aircraft").get("total").asLong(); there < models; there++) {
      post("api/aircraft", added);
    }
  }

  private static boolean compare(Asked page, Growth old, Growth young)
      throws IOException, InterruptedException {
    List<Double> longs = new ArrayList<>();
    List<Double> shorts = new ArrayList<>();
    for (int i = 0; i < old.size.warmUp() + old.size.rounds(); i++) {
      double grown = old.timed(old.address(page));
      double small = young.timed(young.address(page));
      if (i >= old.size.warmUp()) {
        longs.add(grown);
        shorts.add(small);
      }
    }
    return told(page.path, Limits.median(longs), Limits.median(shorts));
  }

  private static boolean told(String what, double grown, double small) {
    double ratio = grown / small;
    System.out.printf(
        Locale.ROOT,
        "Growth, %s: median %.2f ms against %.2f ms; %.1f times as slow (limit %.0f)%n",
        what,
        grown,
        small,
        ratio,
        LIMIT);
    return ratio <= LIMIT * Limits.BEYOND;
  }

  /** The hangar's page while an archive of all of it is written, against the same afterwards. */
  private boolean archived() throws IOException, InterruptedException {
    String works = "api/archive/works/";
    JsonNode work = post(works + "save", json.createObjectNode());
    List<Double> meanwhile = new ArrayList<>();
    long begin = System.nanoTime();
    int steps = 0;
    double part = 0;
    while (work.get("end").isNull()) {
      meanwhile.add(timed(HANGAR));
      work = get(works + work.get("id").asLong());
      steps += work.get("part").asDouble() > part ? 1 : 0;
      part = work.get("part").asDouble();
    }
    double seconds = (System.nanoTime() - begin) / 1e9;
    List<Double> quiet = new ArrayList<>();
    for (int i = 0; i < Math.max(1, meanwhile.size()); i++) {
      quiet.add(timed(HANGAR));
    }
    System.out.printf(
        Locale.ROOT,
        "An archive of it in the background: %.1f s, its progress told in %d steps%n",
        seconds,
        steps);
    return told(
        "the hangar's page while it is written",
        Limits.median(meanwhile.isEmpty() ? quiet : meanwhile),
        Limits.median(quiet));
  }

  /** The first view in the browser, from the address to what shows that it is drawn. */
  private static boolean seen(Growth old, Growth young) throws IOException {
    boolean kept = true;
    try (Browser browser = new Browser()) {
      Page page = browser.page(1280, 800, ColorScheme.LIGHT);
      for (String view : List.of("/fly", "/rig", "/bench", "/coach")) {
        List<Double> longs = new ArrayList<>();
        List<Double> shorts = new ArrayList<>();
        for (int i = 0; i < old.size.warmUpViews() + old.size.views(); i++) {
          double grown = old.viewed(page, view);
          double small = young.viewed(page, view);
          if (i >= old.size.warmUpViews()) {
            longs.add(grown);
            shorts.add(small);
          }
        }
        kept &= told("first view of " + view, Limits.median(longs), Limits.median(shorts));
      }
    }
    return kept;
  }

  private double viewed(Page page, String view) {
    long begin = System.nanoTime();
    page.navigate(app.address() + "models/" + model + view);
    page.locator("main h1, main h2").first().waitFor();
    return (System.nanoTime() - begin) / 1e6;
  }

  /** The heap in use after a quarter of many requests and after all of them. */
  private boolean level() throws IOException, InterruptedException {
    List<Asked> pages = pages();
    long before = 0;
    for (int i = 0; i < size.requests(); i++) {
      timed(address(pages.get(i % pages.size())));
      if (i == size.requests() / 4) {
        before = app.heapInUse();
      }
    }
    double ratio = (double) app.heapInUse() / before;
    System.out.printf(
        Locale.ROOT,
        "Growth, heap in use after %d requests against a quarter of them, at 256 MB: %.0f MB against"
            + " %.0f MB; %.2f times as much (limit %.2f)%n",
        size.requests(),
        app.heapInUse() / 1e6,
        before / 1e6,
        ratio,
        LEVEL);
    return ratio <= LEVEL;
  }

  private double timed(String path) throws IOException, InterruptedException {
    HttpRequest request = HttpRequest.newBuilder(URI.create(app.address() + path)).build();
    long begin = System.nanoTime();
    HttpResponse<String> answer = client.send(request, HttpResponse.BodyHandlers.ofString());
    double passed = (System.nanoTime() - begin) / 1e6;
    if (answer.statusCode() / 100 != 2) {
      throw new IllegalStateException(path + " answered " + answer.body());
    }
    return passed;
  }

  private JsonNode get(String path) throws IOException, InterruptedException {
    HttpRequest request = HttpRequest.newBuilder(URI.create(app.address() + path)).build();
    return json.readTree(client.send(request, HttpResponse.BodyHandlers.ofString()).body());
  }

  private JsonNode post(String path, JsonNode body) throws IOException, InterruptedException {
    return sent("POST", path, body);
  }

  private JsonNode sent(String method, String path, JsonNode body)
      throws IOException, InterruptedException {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(app.address() + path))
            .header("Content-Type", "application/json")
            .method(method, HttpRequest.BodyPublishers.ofString(body.toString()))
            .build();
    HttpResponse<String> answer = client.send(request, HttpResponse.BodyHandlers.ofString());
    if (answer.statusCode() / 100 != 2) {
      throw new IllegalStateException(path + " answered " + answer.body());
    }
    return json.readTree(answer.body());
  }
}
