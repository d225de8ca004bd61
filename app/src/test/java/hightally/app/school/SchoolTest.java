package hightally.app.school;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.ApiTest;
import java.net.URI;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.client.standard.StandardWebSocketClient;
import org.springframework.web.socket.handler.TextWebSocketHandler;

/** The school as a page uses it, a pilot who sees what the truth is, and one who does nothing. */
class SchoolTest extends ApiTest {
  @LocalServerPort private int port;

  private JsonNode lesson(String name, long seed) throws Exception {
    Answer begun = post("/api/school/lessons", Map.of("lesson", name, "seed", seed));
    assertThat(begun.status()).as(begun.body()).isEqualTo(201);
    return begun.json();
  }

  private static Map<String, Object> hangar(long aircraft, int faults, long seed) {
    return Map.of("aircraftId", aircraft, "faults", faults, "windy", true, "seed", seed);
  }

  private static JsonNode next(JsonNode sheet) {
    for (JsonNode one : sheet.get("tests")) {
      boolean open = !List.of("STANDS", "SKIPPED").contains(one.get("state").asText());
      if (one.get("flyable").asBoolean() && open) {
        return one;
      }
    }
    return null;
  }

  @Test
  void theFirstLessonIsPassedByFindingItsFaultAndTheNextStepOpens() throws Exception {
    JsonNode sheet = lesson("AEROBATIC", 5);
    String at = "/api/school/" + sheet.get("id").asLong();
    assertThat(sheet.get("step").asInt()).isEqualTo(1);
    assertThat(sheet.get("told").asText()).startsWith("One fault: its motor");
    assertThat(sheet.get("report").isNull()).isTrue();
    int rounds = 0;
    while (next(sheet) != null && rounds++ < 30) {
      JsonNode test = next(sheet).get("test");
      Map<String, Object> fly =
          Map.of("test", test.get("test").asText(), "part", test.get("part").asText());
      Answer flown = post(at + "/flights", fly);
      assertThat(flown.status()).as(flown.body()).isEqualTo(200);
      assertThat(flown.json().at("/parts/0").size()).isGreaterThan(30);
      assertThat(flown.json().at("/words/0").asText()).contains("It flew for");
      ObjectNode truth = truth(sheet.get("id").asLong());
      sheet = post(at + "/seen", truth).json();
      String outcome = truth.at("/seen/0/outcome").asText();
      if (!truth.get("seen").isEmpty() && !outcome.endsWith("AT_ONCE")) {
        sheet = post(at + "/left-out", fly).json();
      } else if (!truth.get("seen").isEmpty()) {
        JsonNode lever = next(sheet).at("/levers/0");
        double sign = outcome.equals("CLIMBS_AT_ONCE") ? 1 : -1;
        double step = lever.at("/moves").get(2 + truth.at("/seen/0/strength").asInt()).asDouble();
        Map<String, Object> change =
            Map.of(
                "test",
                test.get("test").asText(),
                "part",
                test.get("part").asText(),
                "lever",
                lever.get("lever").asText(),
                "by",
                sign * step);
        sheet = post(at + "/changes", change).json();
      }
    }
    JsonNode ended =
        send(HttpMethod.PUT, at + "/end", MediaType.APPLICATION_JSON, "{\"ended\":true}").json();
    assertThat(ended.get("passed").asBoolean()).as(ended.get("report").toString()).isTrue();
    assertThat(ended.at("/report/faults/0").asText()).startsWith("The thrust line pointed");
    assertThat(ended.at("/report/after").asInt()).isLessThan(ended.at("/report/before").asInt());
    for (JsonNode told : ended.at("/report/told")) {
      assertThat(told.get("right").asBoolean()).as(told.toString()).isTrue();
    }
    JsonNode hall = get("/api/school").json();
    for (JsonNode one : hall.get("lessons")) {
      int expected = one.get("lesson").asText().equals("AEROBATIC") ? 2 : 1;
      assertThat(one.get("next").asInt()).isEqualTo(expected);
    }
    assertThat(post(at + "/flights", Map.of("test", "DIVE", "part", "")).status()).isEqualTo(409);
  }

  @org.springframework.beans.factory.annotation.Autowired private SchoolRepository runs;

  /** What the newest flight really showed, from what is stored of it. */
  private ObjectNode truth(long id) {
    List<SchoolEvent> events = runs.findById(id).orElseThrow().events();
    for (int i = events.size() - 1; i >= 0; i--) {
      if (events.get(i).kind() == SchoolEvent.Kind.FLOWN) {
        return json.valueToTree(events.get(i).truth());
      }
    }
    throw new IllegalStateException("Nothing was flown");
  }

  private int flown(String at, Map<String, Object> test) throws Exception {
    Answer flown = post(at + "/flights", test);
    assertThat(flown.status()).as(flown.body()).isEqualTo(200);
    return flown.json().get("flight").asInt();
  }

  @Test
  void aFlightIsFourTestsAndEndsWithAChange() throws Exception {
    JsonNode sheet = lesson("AEROBATIC", 5);
    String at = "/api/school/" + sheet.get("id").asLong();
    Map<String, Object> up = Map.of("test", "VERTICAL_UP", "part", "");
    List<Integer> numbers = new ArrayList<>();
    for (int i = 0; i < 9; i++) {
      numbers.add(flown(at, up));
    }
    assertThat(numbers).containsExactly(1, 1, 1, 1, 2, 2, 2, 2, 3);
    for (int changes = 0; changes < 2; changes++) {
      JsonNode test = null;
      int before = 0;
      for (int tries = 0; test == null || test.at("/levers/0").isMissingNode(); tries++) {
        assertThat(tries).as("nothing was seen").isLessThan(12);
        JsonNode open = next(sheet).get("test");
        before = flown(at, Map.of("test", open.get("test"), "part", open.get("part")));
        sheet = post(at + "/seen", truth(sheet.get("id").asLong())).json();
        test = next(sheet);
      }
      Map<String, Object> change =
          Map.of(
              "test",
              test.at("/test/test"),
              "part",
              test.at("/test/part"),
              "lever",
              test.at("/levers/0/lever"),
              "by",
              test.at("/levers/0/moves/1"));
      Answer changed = post(at + "/changes", change);
      assertThat(changed.status()).as(changed.body()).isEqualTo(200);
      sheet = changed.json();
      assertThat(flown(at, up)).as("after a change").isEqualTo(before + 1);
    }
  }

  @Test
  void whoDoesNothingHasFoundNothingAndTheLogKnowsNothingOfIt() throws Exception {
    long flights = get("/api/aircraft/2/flights").json().get("total").asLong();
    Answer begun = post("/api/school/models", hangar(2, 2, 3));
    assertThat(begun.status()).as(begun.body()).isEqualTo(201);
    String at = "/api/school/" + begun.json().get("id").asLong();
    assertThat(post(at + "/flights", Map.of("test", "DIVE", "part", "")).status()).isEqualTo(200);
    JsonNode ended =
        send(HttpMethod.PUT, at + "/end", MediaType.APPLICATION_JSON, "{\"ended\":true}").json();
    assertThat(ended.at("/report/faults")).hasSize(2);
    assertThat(ended.at("/report/after").asInt()).isEqualTo(ended.at("/report/before").asInt());
    assertThat(ended.at("/report/told/0/seen").isNull()).isTrue();
    assertThat(get("/api/aircraft/2/flights").json().get("total").asLong()).isEqualTo(flights);
    assertThat(get(at).json().get("report")).isEqualTo(ended.get("report"));
  }

  @Test
  void aLessonIsNotPassedByFlyingAndDoingNothing() throws Exception {
    for (String name : List.of("GLIDER", "WING")) {
      JsonNode sheet = lesson(name, 7);
      String at = "/api/school/" + sheet.get("id").asLong();
      JsonNode test = next(sheet).get("test");
      post(at + "/flights", Map.of("test", test.get("test").asText(), "part", ""));
      JsonNode ended =
          send(HttpMethod.PUT, at + "/end", MediaType.APPLICATION_JSON, "{\"ended\":true}").json();
      assertThat(ended.get("passed").asBoolean()).as(ended.get("report").toString()).isFalse();
    }
  }

  @Test
  void whatIsWrongIsNamed() throws Exception {
    String at = "/api/school/" + lesson("WING", 1).get("id").asLong();
    Answer unknown = post(at + "/flights", Map.of("test", "KNIFE_EDGE", "part", ""));
    assertThat(unknown.status()).isEqualTo(422);
    assertThat(unknown.body()).contains("INVERTED_LEVEL");
    Map<String, Object> early = Map.of("test", "ROLL_AXIS", "part", "", "seen", List.of());
    assertThat(post(at + "/seen", early).body()).contains("flown before");
    Map<String, Object> far =
        Map.of("test", "INVERTED_LEVEL", "part", "", "lever", "LATERAL", "by", 99);
    assertThat(post(at + "/changes", far).body()).contains("\"by\"");
    Map<String, Object> none = Map.of("test", "KNIFE_EDGE", "part", "");
    assertThat(post(at + "/left-out", none).status()).isEqualTo(422);
    assertThat(get("/api/school/999").status()).isEqualTo(404);
    ObjectNode tailHeavy = biplane();
    for (JsonNode pack : tailHeavy.at("/balance/packs")) {
      ((ObjectNode) pack).put("cgMm", 400);
    }
    long id =
        post("/api/aircraft", Map.of("reason", "Tail heavy", "setup", tailHeavy))
            .json()
            .get("id")
            .asLong();
    Answer refused = post("/api/school/models", hangar(id, 1, 1));
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.body()).contains("behind its neutral point");
  }

  @Test
  void aDraftIsFlownAgainstWhatIsSaved() throws Exception {
    ObjectNode saved = (ObjectNode) json.readTree(resource("demo/larkmere.json"));
    ObjectNode draft = saved.deepCopy();
    List<JsonNode> kept = new ArrayList<>();
    draft.get("mixes").forEach(kept::add);
    kept.removeIf(one -> one.get("name").asText().equals("Aileron to rudder"));
    draft.set("mixes", json.valueToTree(kept));
    Answer both =
        post("/api/air/fly-this", Map.of("draft", draft, "saved", saved, "manoeuvre", "ROLL"));
    assertThat(both.status()).as(both.body()).isEqualTo(200);
    int last = both.json().get("draft").size() - 1;
    assertThat(both.json().at("/draft").get(last)).isNotEqualTo(both.json().at("/saved").get(last));
    Answer same =
        post("/api/air/fly-this", Map.of("draft", saved, "saved", saved, "manoeuvre", "ROLL"));
    assertThat(same.json().at("/draft")).isEqualTo(same.json().at("/saved"));
    assertThat(both.json().at("/others").toString()).contains("BRAKES");
  }

  @Test
  void liveTheTrimsAreClickedUntilItStays() throws Exception {
    long id = lesson("GLIDER", 2).get("id").asLong();
    BlockingQueue<String> answers = new LinkedBlockingQueue<>();
    TextWebSocketHandler handler =
        new TextWebSocketHandler() {
          @Override
          protected void handleTextMessage(WebSocketSession from, TextMessage message) {
            answers.add(message.getPayload());
          }
        };
    URI address = URI.create("ws://127.0.0.1:" + port + "/api/air/live");
    WebSocketSession session =
        new StandardWebSocketClient().execute(handler, null, address).get(10, TimeUnit.SECONDS);
    session.setTextMessageSizeLimit(1_000_000);
    JsonNode refused = ask(session, answers, 0, 0, 0, true);
    assertThat(refused.at("/violations/0/field").asText()).isEqualTo("begin");
    JsonNode begun = ask(session, answers, id, 0, 0, true);
    assertThat(begun.get("frame").size()).isGreaterThan(5);
    int clicks = 0;
    boolean stays = false;
    for (int round = 0; round < 40 && !stays; round++) {
      ask(session, answers, id, 0, clicks, true);
      JsonNode now = null;
      for (int i = 0; i < 10; i++) {
        now = ask(session, answers, 0, 0.5, clicks, false).get("flight");
      }
      stays = now.get("stays").asBoolean();
      double path = now.get("path").asDouble();
      clicks += stays ? 0 : path > 0 ? -(int) Math.max(1, path / 3) : (int) Math.max(1, -path / 3);
    }
    assertThat(stays).isTrue();
    assertThat(clicks).isNotZero();
    session.close();
  }

  private JsonNode ask(
      WebSocketSession session,
      BlockingQueue<String> answers,
      long begin,
      double seconds,
      int pitch,
      boolean held)
      throws Exception {
    Map<String, Object> asked =
        Map.of(
            "begin",
            begin,
            "phase",
            "",
            "seconds",
            seconds,
            "trims",
            Map.of("roll", 0, "pitch", pitch, "yaw", 0),
            "held",
            held);
    session.sendMessage(new TextMessage(json.writeValueAsString(asked)));
    return json.readTree(answers.poll(10, TimeUnit.SECONDS));
  }
}
