package hightally.e2e;

import static hightally.e2e.Catalogue.like;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What was acknowledged is there after the process was killed at that moment, over and over. */
class KilledTest {
  /** More of them by hand: {@code -Dkills=200}. */
  private static final int TIMES = Integer.getInteger("kills", 3);

  /** Twice: once on what a kill left. */
  private static final int ROUNDS = Math.max(2, TIMES - 2);

  /**
   * A disk with room for a few flights fills up in a second or two; a busy machine takes longer.
   */
  private static final long UNTIL_FULL = 120_000_000_000L;

  private final ObjectMapper json = new ObjectMapper();
  private final HttpClient client = HttpClient.newHttpClient();
  @TempDir Path folder;

  @Test
  void whatWasAcknowledgedIsThere() throws Exception {
    int revision = 3;
    for (int time = 1; time <= ROUNDS; time++) {
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
      assertThat(get(app, "api/aircraft/1/revisions").get("total").asInt()).isEqualTo(3 + ROUNDS);
    }
  }

  /**
   * Killed in the middle of writing, over and over, on a disk with room, on one that fills up
   * meanwhile, and with the folder read-only before the next start: every flight that was
   * acknowledged is there once, none is there twice, and the archive of it all brings the same back
   * into an empty hangar.
   */
  @Test
  void killedInTheMiddleOfWritingNothingAcknowledgedIsLost() throws Exception {
    Path data = folder.resolve("writing");
    RunningApp.start(data).kill();
    Random moments = new Random(TIMES);
    Sent sent = new Sent();
    int filled = 0;
    int barred = 0;
    for (int time = 1; time <= TIMES; time++) {
      boolean filling = time % 3 == 0;
      RunningApp app = filling ? nearlyFull(data, moments) : RunningApp.start(data);
      int refused = sent.refused.get();
      List<Thread> writers = new ArrayList<>();
      for (int i = 0; i < 2; i++) {
        Thread writer = new Thread(() -> write(app, sent));
        writer.start();
        writers.add(writer);
      }
      long until = System.nanoTime() + (filling ? UNTIL_FULL : 0);
      Thread.sleep(100 + moments.nextInt(900));
      while (System.nanoTime() < until && sent.refused.get() == refused) {
        Thread.sleep(20);
      }
      app.kill();
      for (Thread writer : writers) {
        writer.join();
      }
      filled += sent.refused.get() > refused ? 1 : 0;
      if (time % 3 == 2) {
        readOnly(data);
        barred++;
      }
    }
    byte[] archive;
    List<String> kept;
    try (RunningApp app = RunningApp.start(data)) {
      kept = goals(app, 1);
      archive = bytes(app, "api/archive");
    }
    assertThat(kept).doesNotHaveDuplicates();
    assertThat(kept).containsAll(sent.acknowledged);
    assertThat(sent.acknowledged).hasSizeGreaterThan(TIMES);
    assertThat(sent.otherwise).isEmpty();
    assertThat(filled).isEqualTo(TIMES / 3);
    try (RunningApp empty = RunningApp.startEmpty(folder.resolve("empty"))) {
      HttpRequest bring =
          HttpRequest.newBuilder(URI.create(empty.address() + "api/archive/bring?chosen=1"))
              .header("Content-Type", "application/zip")
              .POST(HttpRequest.BodyPublishers.ofByteArray(archive))
              .build();
      HttpResponse<String> brought = client.send(bring, HttpResponse.BodyHandlers.ofString());
      assertThat(brought.statusCode()).as(brought.body()).isEqualTo(200);
      assertThat(goals(empty, json.readTree(brought.body()).at("/0/id").asLong())).isEqualTo(kept);
    }
    System.out.printf(
        "Killed %d times while writing, %d of them on a disk that had filled up, and %d times the"
            + " folder read-only in between: %d flights sent, %d refused in words, %d acknowledged,"
            + " %d of those there, each once; the archive brings %d back%n",
        TIMES,
        filled,
        barred,
        sent.flights.get(),
        sent.refused.get(),
        sent.acknowledged.size(),
        sent.acknowledged.size(),
        kept.size());
  }

  /**
   * Killed in the middle of revisions, checks, every step of a work order and devices that are
   * given access: what was acknowledged of each is there once.
   */
  @Test
  void killedInTheMiddleOfOrdersRevisionsChecksAndDevices() throws Exception {
    Path data = folder.resolve("others");
    long turned;
    try (RunningApp app = RunningApp.start(data)) {
      turned = Addresses.turned(app);
    }
    Random moments = new Random(TIMES);
    Others others = new Others();
    for (int time = 1; time <= TIMES; time++) {
      RunningApp app = RunningApp.startForDevices(data, 0);
      List<Thread> writers =
          List.of(
              new Thread(() -> untilKilled(() -> revise(app, others))),
              new Thread(() -> untilKilled(() -> check(app, others))),
              new Thread(() -> untilKilled(() -> order(app, turned, others))),
              new Thread(() -> untilKilled(() -> device(app, others))));
      int before = others.reasons.size();
      writers.forEach(Thread::start);
      long until = System.nanoTime() + UNTIL_FULL;
      while (others.reasons.size() == before && System.nanoTime() < until) {
        Thread.sleep(20);
      }
      Thread.sleep(moments.nextInt(600));
      app.kill();
      for (Thread writer : writers) {
        writer.join();
      }
    }
    try (RunningApp app = RunningApp.start(data)) {
      List<String> reasons = reasons(app);
      assertThat(reasons).doesNotHaveDuplicates().containsAll(others.reasons);
      for (long check : others.checks) {
        assertThat(get(app, "api/aircraft/2/checks/" + check).get("id").asLong()).isEqualTo(check);
      }
      JsonNode open = get(app, "api/aircraft/" + turned + "/adjustment");
      assertThat(open.get("version").asInt()).isBetween(others.version, others.version + TIMES);
      if (open.get("version").asInt() == others.version) {
        assertThat(open.get("step").asInt()).isEqualTo(others.step);
      }
      List<String> codes = new ArrayList<>();
      get(app, "api/devices").at("/devices").forEach(one -> codes.add(one.get("name").asText()));
      assertThat(codes).doesNotHaveDuplicates().containsAll(others.devices);
    }
    assertThat(others.reasons.size()).isPositive();
    assertThat(others.checks.size()).isPositive();
    assertThat(others.version).isPositive();
    System.out.printf(
        "Killed %d times: %d revisions, %d checks, %d steps of an order, %d devices acknowledged,"
            + " all there%n",
        TIMES, others.reasons.size(), others.checks.size(), others.version, others.devices.size());
  }

  /** What was acknowledged of all but flights. */
  private static final class Others {
    private final AtomicInteger sent = new AtomicInteger();
    private final Set<String> reasons = ConcurrentHashMap.newKeySet();
    private final Set<Long> checks = ConcurrentHashMap.newKeySet();
    private final Set<String> devices = ConcurrentHashMap.newKeySet();
    private volatile int version;
    private volatile int step;
  }

  private interface Written {
    void once() throws Exception;
  }

  private static void untilKilled(Written written) {
    try {
      while (true) {
        written.once();
      }
    } catch (IOException e) {
      // Killed.
    } catch (Exception e) {
      throw new IllegalStateException(e);
    }
  }

  private void revise(RunningApp app, Others others) throws Exception {
    JsonNode standing = get(app, "api/aircraft/1");
    String reason = "Reason " + others.sent.incrementAndGet();
    ObjectNode body = json.createObjectNode().put("reason", reason);
    body.put("basedOn", standing.at("/newest/number").asInt());
    ObjectNode setup = standing.at("/newest/setup").deepCopy();
    body.set("setup", setup.put("notes", reason));
    if (post(app, "api/aircraft/1/revisions", body) == 201) {
      others.reasons.add(reason);
    }
  }

  private void check(RunningApp app, Others others) throws Exception {
    ObjectNode begun = json.createObjectNode().put("kind", "RANGE").put("pack", "");
    HttpResponse<String> answer = answered(app, "POST", "api/aircraft/2/checks", begun);
    if (answer.statusCode() == 201) {
      others.checks.add(json.readTree(answer.body()).get("id").asLong());
    }
  }

  /** To its next step, and from the last to the first. */
  private void order(RunningApp app, long model, Others others) throws Exception {
    String at = "api/aircraft/" + model + "/adjustment";
    JsonNode open = get(app, at);
    int step = (open.get("step").asInt() + 1) % open.at("/plan/steps").size();
    ObjectNode body =
        json.createObjectNode().put("step", step).put("version", open.get("version").asInt());
    HttpResponse<String> answer = answered(app, "PUT", at, body);
    if (answer.statusCode() == 200) {
      others.step = step;
      others.version = json.readTree(answer.body()).get("version").asInt();
    }
  }

  private void device(RunningApp app, Others others) throws Exception {
    HttpResponse<String> code = answered(app, "POST", "api/devices/code", json.createObjectNode());
    if (code.statusCode() >= 300) {
      return;
    }
    String name = "Phone " + others.sent.incrementAndGet();
    ObjectNode body = json.createObjectNode().put("name", name);
    body.set("code", json.readTree(code.body()).get("code"));
    if (answered(app, "POST", "api/devices/let-in", body).statusCode() < 300) {
      others.devices.add(name);
    }
  }

  private List<String> reasons(RunningApp app) throws Exception {
    List<String> found = new ArrayList<>();
    for (int page = 0; ; page++) {
      JsonNode items = get(app, "api/aircraft/1/revisions?size=200&page=" + page).get("items");
      items.forEach(one -> found.add(one.get("reason").asText()));
      if (items.size() < 200) {
        found.removeIf(one -> !one.startsWith("Reason "));
        return found;
      }
    }
  }

  private HttpResponse<String> answered(RunningApp app, String method, String path, JsonNode body)
      throws Exception {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(app.address() + path))
            .header("Content-Type", "application/json")
            .method(method, HttpRequest.BodyPublishers.ofString(body.toString()))
            .build();
    return client.send(request, HttpResponse.BodyHandlers.ofString());
  }

  /** What became of what was sent. */
  private static final class Sent {
    private final AtomicInteger flights = new AtomicInteger();
    private final AtomicInteger refused = new AtomicInteger();
    private final Set<String> acknowledged = ConcurrentHashMap.newKeySet();
    private final Set<String> otherwise = ConcurrentHashMap.newKeySet();
  }

  /** With as little room as a few flights take, or a few dozen. */
  private static RunningApp nearlyFull(Path data, Random moments) throws IOException {
    long size = Files.size(data.resolve("high-tally.mv.db")) / 1024;
    return RunningApp.startWithRoomFor(size + 64 + moments.nextInt(200), data);
  }

  /** A folder nobody may write in: the start says so, and nothing is changed. */
  private static void readOnly(Path data) throws Exception {
    Path file = data.resolve("high-tally.mv.db");
    byte[] before = Files.readAllBytes(file);
    var rights = Files.getPosixFilePermissions(data);
    var own = Files.getPosixFilePermissions(file);
    Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("r--r--r--"));
    Files.setPosixFilePermissions(data, PosixFilePermissions.fromString("r-xr-xr-x"));
    try {
      RunningApp.Ended ended = RunningApp.startWithoutRights(data);
      assertThat(ended.code()).isEqualTo(1);
      assertThat(ended.said()).containsPattern(like("start.notWritable")).hasLineCount(1);
      assertThat(Files.readAllBytes(file)).isEqualTo(before);
    } finally {
      Files.setPosixFilePermissions(data, rights);
      Files.setPosixFilePermissions(file, own);
    }
  }

  /** Flight after flight until nobody answers any more. */
  private void write(RunningApp app, Sent sent) {
    try {
      while (true) {
        String goal = "Flight " + sent.flights.incrementAndGet();
        ObjectNode flight = json.createObjectNode().put("revisionNumber", 3);
        ObjectNode report = flight.putObject("report");
        report.put("flownOn", "2026-09-05").put("wind", "CALM").put("air", "SMOOTH");
        report.put("field", "").put("battery", "").put("cgMm", 118).put("remarks", "");
        report.put("goal", goal).put("throttlePercent", 50).put("sure", "SURE");
        report.put("turnsDiffer", false).putArray("phases");
        report.putObject("trims").put("roll", 1).put("pitch", 2).put("yaw", 0);
        int status = post(app, "api/aircraft/1/flights", flight);
        if (status == 201) {
          sent.acknowledged.add(goal);
        } else if (status == 503) {
          sent.refused.incrementAndGet();
        } else {
          sent.otherwise.add(goal + ": " + status);
        }
      }
    } catch (IOException e) {
      // Killed.
    } catch (Exception e) {
      throw new IllegalStateException(e);
    }
  }

  /** What every flight was for, as far as these tests have written them. */
  private List<String> goals(RunningApp app, long model) throws Exception {
    List<String> goals = new ArrayList<>();
    for (int page = 0; ; page++) {
      String at = "api/aircraft/" + model + "/flights?size=200&page=" + page;
      JsonNode items = get(app, at).get("items");
      items.forEach(one -> goals.add(one.at("/report/goal").asText()));
      if (items.size() < 200) {
        goals.removeIf(one -> !one.startsWith("Flight "));
        return goals;
      }
    }
  }

  private byte[] bytes(RunningApp app, String path) throws Exception {
    HttpRequest request = HttpRequest.newBuilder(URI.create(app.address() + path)).build();
    return client.send(request, HttpResponse.BodyHandlers.ofByteArray()).body();
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
