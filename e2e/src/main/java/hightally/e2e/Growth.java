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
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Measures what a long history costs: a model with 300 revisions and 1,000 flights against one with
 * 1 and 10, and a hangar with 200 models against one with 4, request by request in turn.
 */
public final class Growth {
  private static final int FEW_FLIGHTS = 10;
  private static final int DEMO_MODELS = 4;
  private static final double AIM = 3;
  private static final double VIEW_AIM = 2;

  private final ObjectMapper json = new ObjectMapper();
  private final HttpClient client = HttpClient.newHttpClient();
  private final String address;
  private final Size size;

  private Growth(String address, Size size) {
    this.address = address;
    this.size = size;
  }

  /** How long a history, how large a hangar, and how often each is asked. */
  record Size(
      int revisions, int flights, int models, int rounds, int warmUp, int views, int warmUpViews) {
    /** What is told of in the measurements. */
    static final Size FULL = new Size(300, 1000, 200, 120, 60, 15, 4);

    /** Says that it runs, and nothing of how fast. */
    static final Size SHORTEST = new Size(2, 12, 7, 1, 0, 1, 0);
  }

  /** Measures and prints. */
  static void measure(RunningApp small, RunningApp large, Size size)
      throws IOException, InterruptedException {
    Growth few = new Growth(small.address(), size);
    Growth many = new Growth(large.address(), size);
    String young = many.model(1, FEW_FLIGHTS);
    String old = many.model(size.revisions(), size.flights());
    for (String page : List.of("", "/settling", "/standing", "/revisions", "/flights")) {
      many.compare(name(page), many, old + page, many, young + page);
    }
    many.seen(old, young);
    for (int i = DEMO_MODELS + 2; i < size.models(); i++) {
      many.model(1, 0);
    }
    many.compare(
        "hangar with " + size.models() + " models", many, "api/aircraft", few, "api/aircraft");
  }

  private static String name(String page) {
    return switch (page) {
      case "" -> "model page";
      case "/settling" -> "settled trims";
      case "/standing" -> "what the flights say";
      case "/revisions" -> "list of revisions";
      default -> "list of flights";
    };
  }

  /** A model with so many revisions, each flown alike; every tenth revision changes the rig. */
  private String model(int revisions, int flights) throws IOException, InterruptedException {
    ObjectNode setup = (ObjectNode) get("api/aircraft/1").at("/newest/setup").deepCopy();
    ObjectNode added = json.createObjectNode().put("reason", "Measured");
    added.set("setup", setup);
    String model = "api/aircraft/" + post("api/aircraft", added).get("id").asLong();
    int flown = 0;
    for (int revision = 1; revision <= revisions; revision++) {
      if (revision > 1) {
        boolean rig = revision % 10 == 0;
        setup.put("notes", "Revision " + revision);
        ((ObjectNode) setup.at("/surfaces/0")).put("chordMm", 40 + (rig ? revision % 7 : 0) / 10.0);
        ObjectNode saved = json.createObjectNode().put("basedOn", revision - 1);
        saved.put("reason", "Change " + revision).set("setup", setup);
        post(model + "/revisions", saved);
      }
      for (; flown < (long) flights * revision / revisions; flown++) {
        post(model + "/flights", flight(revision, flown));
      }
    }
    return model;
  }

  private ObjectNode flight(int revision, int number) {
    ObjectNode flight = json.createObjectNode().put("revisionNumber", revision);
    ObjectNode report = flight.putObject("report");
    report.put("flownOn", "2026-09-05").put("wind", "CALM").put("air", "SMOOTH");
    report.put("field", "Long Meadow").put("battery", "Pack one").put("cgMm", 118);
    report.put("remarks", "").put("goal", "").put("throttlePercent", 50).put("sure", "SURE");
    report.put("turnsDiffer", false).putArray("phases");
    report.putObject("trims").put("roll", 14 + number % 2).put("pitch", -13).put("yaw", 0);
    return flight;
  }

  private void compare(String what, Growth one, String large, Growth other, String small)
      throws IOException, InterruptedException {
    List<Double> longs = new ArrayList<>();
    List<Double> shorts = new ArrayList<>();
    for (int i = 0; i < size.warmUp() + size.rounds(); i++) {
      double long1 = one.timed(large);
      double short1 = other.timed(small);
      if (i >= size.warmUp()) {
        longs.add(long1);
        shorts.add(short1);
      }
    }
    double grown = median(longs);
    double young = median(shorts);
    System.out.printf(
        Locale.ROOT,
        "Growth, %s: median %.2f ms against %.2f ms; %.1f times as slow (limit %.0f)%n",
        what,
        grown,
        young,
        grown / young,
        AIM);
  }

  /** The first view of the flights in the browser, from the address to the first flight drawn. */
  private void seen(String old, String young) {
    try (Browser browser = new Browser()) {
      Page page = browser.page(1280, 800, ColorScheme.LIGHT);
      List<Double> longs = new ArrayList<>();
      List<Double> shorts = new ArrayList<>();
      for (int i = 0; i < size.warmUpViews() + size.views(); i++) {
        double long1 = viewed(page, old);
        double short1 = viewed(page, young);
        if (i >= size.warmUpViews()) {
          longs.add(long1);
          shorts.add(short1);
        }
      }
      double grown = median(longs);
      System.out.printf(
          Locale.ROOT,
          "Growth, first view of %d flights against %d in the browser: median %.0f ms against %.0f"
              + " ms; %.1f times as slow (limit %.0f)%n",
          size.flights(),
          FEW_FLIGHTS,
          grown,
          median(shorts),
          grown / median(shorts),
          VIEW_AIM);
    }
  }

  private double viewed(Page page, String model) {
    long begin = System.nanoTime();
    page.navigate(address + model.replace("api/aircraft", "models") + "/fly");
    page.locator("[data-flight]").first().waitFor();
    return (System.nanoTime() - begin) / 1e6;
  }

  private static double median(List<Double> times) {
    return times.stream().sorted().skip(times.size() / 2).findFirst().orElseThrow();
  }

  private double timed(String path) throws IOException, InterruptedException {
    HttpRequest request = HttpRequest.newBuilder(URI.create(address + path)).build();
    long begin = System.nanoTime();
    HttpResponse<String> answer = client.send(request, HttpResponse.BodyHandlers.ofString());
    double passed = (System.nanoTime() - begin) / 1e6;
    if (answer.statusCode() != 200) {
      throw new IllegalStateException(path + " answered " + answer.body());
    }
    return passed;
  }

  private JsonNode get(String path) throws IOException, InterruptedException {
    HttpRequest request = HttpRequest.newBuilder(URI.create(address + path)).build();
    return json.readTree(client.send(request, HttpResponse.BodyHandlers.ofString()).body());
  }

  private JsonNode post(String path, JsonNode body) throws IOException, InterruptedException {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(address + path))
            .header("Content-Type", "application/json")
            .POST(HttpRequest.BodyPublishers.ofString(body.toString()))
            .build();
    HttpResponse<String> answer = client.send(request, HttpResponse.BodyHandlers.ofString());
    if (answer.statusCode() != 201) {
      throw new IllegalStateException(path + " answered " + answer.body());
    }
    return json.readTree(answer.body());
  }
}
