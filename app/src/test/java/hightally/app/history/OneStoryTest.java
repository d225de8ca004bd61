package hightally.app.history;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.Pilot;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;

/**
 * For random histories every page reads the same story; what a flight's fate does to it is said.
 */
class OneStoryTest extends Pilot {
  private static final Map<String, Object> PROPOSED =
      Map.of("reference", "", "presetsTakeUp", false, "leave", List.of(), "means", List.of());

  /** Hangar, banner, log, plan, bench and paper, after every step of random histories. */
  @Test
  void everyPageReadsTheSameStory() throws Exception {
    Random random = new Random(20261126);
    for (int history = 0; history < 4; history++) {
      String at = newModel();
      int pitch = random.nextInt(31) - 15;
      int roll = random.nextInt(21) - 10;
      for (int step = 0; step < 7; step++) {
        int what = random.nextInt(12);
        if (what == 0) {
          post(
              at + "/part-changes/dated",
              Map.of(
                  "change",
                  Map.of("kind", "PROPELLER", "subject", "12 by 6", "note", ""),
                  "changedOn",
                  "2026-10-%02d".formatted(1 + step)));
        } else if (what == 1) {
          leaveOut(at, random);
        } else {
          fly(at, step, roll + random.nextInt(3) - 1, pitch + random.nextInt(3) - 1, random);
        }
        agree(at);
      }
    }
  }

  private void fly(String at, int step, int roll, int pitch, Random random) throws Exception {
    ObjectNode report = report(roll, random.nextInt(8) == 0 ? -pitch : pitch, 0);
    report.put("flownOn", "2026-10-%02d".formatted(1 + step));
    report.put("wind", random.nextInt(5) == 0 ? "FRESH" : "CALM");
    int revision = get(at).json().at("/newest/number").asInt();
    post(at + "/flights", Map.of("revisionNumber", revision, "report", report));
  }

  private void leaveOut(String at, Random random) throws Exception {
    JsonNode flights = get(at + "/flights").json().get("items");
    if (!flights.isEmpty()) {
      JsonNode one = flights.get(random.nextInt(flights.size()));
      mark(at, one, "a gust", false);
    }
  }

  private Answer mark(String at, JsonNode flight, String leftOut, boolean well) throws Exception {
    Map<String, Object> marks =
        Map.of(
            "leftOut", leftOut, "simulated", false, "flewWell", well, "signsConfirmed", List.of());
    return put(
        at + "/flights/" + flight.get("id").asLong() + "/marks",
        Map.of("version", flight.get("version").asInt(), "marks", marks));
  }

  private void agree(String at) throws Exception {
    JsonNode story = get(at + "/standing").json();
    JsonNode banner = get(at).json().get("loop");
    JsonNode hangar = null;
    JsonNode all = get("/api/aircraft?size=200").json().get("items");
    for (JsonNode one : all) {
      hangar = at.endsWith("/" + one.get("id").asLong()) ? one.get("loop") : hangar;
    }
    assertThat(hangar).isEqualTo(banner);
    for (String said : List.of("stage", "next", "waiting", "waits")) {
      assertThat(banner.get(said)).as(said).isEqualTo(story.get(said));
    }
    JsonNode log = get(at + "/settling").json();
    assertThat(log.get("series")).isEqualTo(story.get("series"));
    assertThat(log.get("reference")).isEqualTo(story.get("reference"));
    assertThat(log.get("ready").asBoolean()).isEqualTo(!story.get("turn").isEmpty());
    assertThat(get(at + "/standing-trims").json()).isEqualTo(story.get("trims"));
    JsonNode plan = post(at + "/adjustment/plan", PROPOSED).json();
    assertThat(plan.get("worth")).isEqualTo(story.get("worth"));
    assertThat(plan.get("controls")).isEqualTo(story.get("turn"));
    assertThat(plan.get("plan").isNull()).isEqualTo(story.get("turn").isEmpty());
    if (story.get("next").asText().equals("ADJUST")) {
      assertThat(story.get("turn")).isNotEmpty();
    }
    if (plan.get("flight").asLong() > 0) {
      paper(at, plan);
    }
  }

  /** The order, on page and on paper, is the plan; refused before it begins where there is none. */
  private void paper(String at, JsonNode plan) throws Exception {
    Map<String, Object> begun = Map.of("flightId", plan.get("flight").asLong(), "wish", PROPOSED);
    Answer order = post(at + "/adjustment/planned", begun);
    if (plan.get("plan").isNull()) {
      assertThat(order.status()).isEqualTo(409);
      return;
    }
    assertThat(order.status()).as(order.body()).isEqualTo(201);
    assertThat(order.json().get("plan")).isEqualTo(plan.get("plan"));
    int turned = 0;
    for (JsonNode rod : order.json().at("/plan/rods")) {
      turned += rod.get("steps").asInt() == 0 ? 0 : 1;
    }
    assertThat(turned).as("an order in which nothing is turned does not exist").isPositive();
    send(HttpMethod.DELETE, at + "/adjustment?version=0", MediaType.APPLICATION_JSON, "");
  }

  @Test
  void aFlightIsLeftOutDeletedAndBroughtBackInPlace() throws Exception {
    String at = newModel();
    flownAtMyWord(at);
    settled(at, 1, 0, 12, 0);
    JsonNode newest = get(at + "/flights").json().at("/items/0");
    assertThat(next(at)).isEqualTo("ADJUST");
    JsonNode left = mark(at, newest, "a gust", true).json();
    assertThat(next(at)).isEqualTo("FLY");
    assertThat(left.at("/marks/flewWell").asBoolean()).isTrue();
    assertThat(mark(at, newest, "", false).status()).as("an older version").isEqualTo(409);
    JsonNode taken = mark(at, left, "", false).json();
    assertThat(next(at)).isEqualTo("ADJUST");
    String one = at + "/flights/" + newest.get("id").asLong();
    String version = "?version=" + taken.get("version").asInt();
    Answer gone = send(HttpMethod.DELETE, one + version, MediaType.APPLICATION_JSON, "");
    assertThat(gone.status()).isEqualTo(204);
    assertThat(get(one).status()).isEqualTo(404);
    assertThat(next(at)).isEqualTo("FLY");
    assertThat(post(one + "/brought-back", Map.of()).json().get("report"))
        .isEqualTo(newest.get("report"));
    assertThat(next(at)).isEqualTo("ADJUST");
  }

  /** A balance point that was not noted voids nothing and is kept as none. */
  @Test
  void aBalancePointNobodyNotedIsEmpty() throws Exception {
    String at = newModel();
    for (int day = 1; day <= 3; day++) {
      ObjectNode report = report(0, 12, 0).put("flownOn", "2026-10-0" + day);
      if (day == 2) {
        report.putNull("cgMm");
      }
      Answer added = post(at + "/flights", Map.of("revisionNumber", 1, "report", report));
      assertThat(added.status()).as(added.body()).isEqualTo(201);
    }
    assertThat(get(at + "/standing").json().at("/series/1/agreeing").asInt()).isEqualTo(3);
    JsonNode flights = get(at + "/flights").json().get("items");
    assertThat(flights.findValues("cgMm")).anyMatch(JsonNode::isNull).anyMatch(JsonNode::isNumber);
    assertThat(get(at + "/coach").status()).isEqualTo(200);
  }

  @Test
  void whatTheSimulatedModelFlewNeverCounts() throws Exception {
    String at = newModel();
    flownAtMyWord(at);
    for (int day = 1; day <= 3; day++) {
      ObjectNode report = report(0, 12, 0).put("flownOn", "2026-10-0" + day);
      Map<String, Object> seen = Map.of("results", List.of(), "check", 0, "despite", "");
      Map<String, Object> body = Map.of("revisionNumber", 1, "report", report, "seen", seen);
      assertThat(post(at + "/flights/simulated", body).status()).isEqualTo(201);
    }
    JsonNode story = get(at + "/standing").json();
    assertThat(story.get("next").asText()).isEqualTo("FLY");
    assertThat(story.at("/series/1/points/0/why").asText()).isEqualTo("flown in the simulator");
  }

  @Test
  void twoMeasurementsNameAWrongClickStepAndConsentCorrectsIt() throws Exception {
    String at = newModel();
    settled(at, 1, 0, 3, 0);
    for (int i = 0; i < 2; i++) {
      JsonNode asked = get(at + "/standing").json().at("/learned/next");
      assertThat(asked.get("kind").asText()).isEqualTo("GAUGE");
      Map<String, Object> read = new HashMap<>();
      for (String field : List.of("surface", "kind", "control")) {
        read.put(field, asked.get(field).asText());
      }
      read.put("amount", asked.get("amount").asDouble());
      read.put("mm", 15 * asked.get("expectedMm").asDouble());
      assertThat(post(at + "/bench-readings", read).body()).contains("millimetres");
      read.put("mm", 1.5 * asked.get("expectedMm").asDouble());
      assertThat(post(at + "/bench-readings", read).status()).isEqualTo(201);
    }
    assertThat(next(at)).isEqualTo("CORRECT");
    JsonNode named = get(at + "/standing").json().at("/learned/named");
    assertThat(named.get("words").asText()).startsWith("The click step:");
    Map<String, Object> other = Map.of("basedOn", 1, "cause", "THREAD", "subject", "");
    assertThat(post(at + "/learned", other).status()).isEqualTo(409);
    Map<String, Object> consent = Map.of("basedOn", 1, "cause", "CLICK_STEP", "subject", "");
    JsonNode made = post(at + "/learned", consent).json();
    assertThat(made.get("corrects").asBoolean()).isTrue();
    assertThat(made.at("/setup/transmitter/clickStepPercent").asDouble()).isBetween(0.7, 0.76);
    JsonNode pitch = get(at + "/settling").json().at("/series/1");
    assertThat(pitch.get("agreeing").asInt()).as("what was flown goes on to count").isEqualTo(3);
  }

  @Test
  void backToWhatFlewWellRestoresDescriptionAndTrims() throws Exception {
    String at = newModel();
    long flight = settled(at, 1, 0, 12, 0);
    put(at + "/revisions/1/flew-well", Map.of("flewWell", true));
    closed(at, post(at + "/adjustment", beginning(flight)).json());
    JsonNode way = get(at + "/way-back?revision=1").json();
    assertThat(way.at("/rods/0/name").asText()).isEqualTo("Elevator");
    assertThat(way.at("/rods/0/turn").asText()).contains("turn").contains("out");
    Map<String, Object> going = Map.of("basedOn", 2, "revision", 1, "flight", 0);
    JsonNode made = post(at + "/way-back", going).json();
    assertThat(made.get("restored").asBoolean()).isTrue();
    assertThat(made.at("/setup/trims/pitch").asInt()).isEqualTo(12);
    assertThat(get(at + "/standing-trims").json().at("/phases/0/trims/pitch").asInt())
        .isEqualTo(12);
    assertThat(post(at + "/way-back", going).status()).as("saved meanwhile").isEqualTo(409);
    JsonNode first = null;
    for (JsonNode one : get(at + "/revisions").json().get("items")) {
      first = one.get("number").asInt() == 1 ? one : first;
    }
    assertThat(first.get("flewWell").asBoolean()).isTrue();
  }

  @Test
  void aNewRodVoidsTheTrimsFromItsDayOnUntilItsChecksAreDone() throws Exception {
    String at = newModel();
    flownAtMyWord(at);
    settled(at, 1, 0, 12, 0);
    Map<String, Object> rod = Map.of("kind", "ROD", "subject", "Elevator", "note", "");
    Map<String, Object> dated = Map.of("change", rod, "changedOn", "2026-10-04");
    JsonNode noted = post(at + "/part-changes/dated", dated).json();
    assertThat(noted.get("changedOn").asText()).isEqualTo("2026-10-04");
    JsonNode story = get(at + "/standing").json();
    assertThat(story.get("next").asText()).isEqualTo("DO_AGAIN");
    assertThat(story.get("waiting").asText()).contains("Elevator");
    assertThat(story.at("/series/1/agreeing").asInt()).isZero();
    for (int check = 0; check < noted.get("checks").size(); check++) {
      Map<String, Object> done = Map.of("check", check, "done", true);
      put(at + "/part-changes/" + noted.get("id").asLong(), done);
    }
    assertThat(next(at)).isEqualTo("FLY");
    Map<String, Object> tomorrow = Map.of("change", rod, "changedOn", "2100-01-01");
    Answer refused = post(at + "/part-changes/dated", tomorrow);
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.body()).contains("changedOn").contains("not after");
  }

  private String next(String at) throws Exception {
    return get(at).json().at("/loop/next").asText();
  }
}
