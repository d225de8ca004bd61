package hightally.app.preflight;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.Pilot;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** Checks over HTTP: broken off, resumed, a hold that grounds, what is due. */
class ChecksTest extends Pilot {
  private JsonNode begin(String at, String kind) throws Exception {
    Answer begun = post(at + "/checks", Map.of("kind", kind, "pack", "4S 3300, pack A"));
    assertThat(begun.status()).as(begun.body()).isEqualTo(201);
    return begun.json();
  }

  private ObjectNode answer(String step, String verdict, int holds) {
    ObjectNode answer = json.createObjectNode();
    answer.put("step", step).put("verdict", verdict).put("note", "");
    answer.put("fadesFirst", 2).put("fadesSecond", 1).put("lostFrames", 0).put("holds", holds);
    return answer;
  }

  private JsonNode all(String at, JsonNode run) throws Exception {
    for (JsonNode step : run.get("steps")) {
      String path = at + "/checks/" + run.get("id").asLong() + "/answers";
      assertThat(put(path, answer(step.get("id").asText(), "RIGHT", 0)).status()).isEqualTo(200);
    }
    return end(at, run).json();
  }

  private Answer end(String at, JsonNode run) throws Exception {
    String here = at + "/checks/" + run.get("id").asLong();
    int version = get(here).json().get("version").asInt();
    assertThat(put(here + "/end", Map.of("version", version + 7)).status()).isEqualTo(409);
    return put(here + "/end", Map.of("version", version));
  }

  private List<String> due(String at) throws Exception {
    return get(at + "/checks").json().get("due").findValuesAsText("kind");
  }

  private JsonNode grounding(String at) throws Exception {
    return get(at).json().at("/grounding/reasons");
  }

  @Test
  void aReadingNobodyTookIsKeptAsNone() throws Exception {
    String at = newModel();
    JsonNode run = begin(at, "RANGE");
    String path = at + "/checks/" + run.get("id").asLong() + "/answers";
    ObjectNode answer = answer(run.at("/steps/0/id").asText(), "RIGHT", 0);
    for (String count : List.of("fadesFirst", "fadesSecond", "lostFrames", "holds")) {
      answer.putNull(count);
    }
    Answer noted = put(path, answer);
    assertThat(noted.status()).as(noted.body()).isEqualTo(200);
    assertThat(noted.json().at("/answers/0/holds").isNull()).isTrue();
    Answer refused = put(path, answer.putNull("note"));
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.body()).contains("note is missing");
  }

  @Test
  void aCheckIsAnsweredStepByStepAndResumed() throws Exception {
    String at = newModel();
    JsonNode run = begin(at, "FLIGHT");
    String here = at + "/checks/" + run.get("id").asLong();
    assertThat(run.at("/judged/next").asInt()).isZero();
    JsonNode once = put(here + "/answers", answer("parts", "RIGHT", 0)).json();
    assertThat(once.at("/judged/next").asInt()).isEqualTo(1);
    // The same answer sent again, after a break, is noted once.
    put(here + "/answers", answer("parts", "RIGHT", 0));
    JsonNode resumed = get(here).json();
    assertThat(resumed.get("answers")).hasSize(1);
    assertThat(resumed.at("/judged/next").asInt()).isEqualTo(1);
    assertThat(resumed.get("state").asText()).isEqualTo("OPEN");
    JsonNode done = all(at, run);
    assertThat(done.get("state").asText()).isEqualTo("DONE");
    assertThat(done.at("/judged/next").asInt()).isEqualTo(-1);
    assertThat(put(here + "/answers", answer("parts", "WRONG", 0)).status()).isEqualTo(409);
  }

  /** What a phone sends that began a check where the program was out of reach. */
  private Answer sent(HttpMethod method, String path, Object body, String key, long ago)
      throws Exception {
    return answer(
        MockMvcRequestBuilders.request(method, path)
            .contentType(MediaType.APPLICATION_JSON)
            .header("Idempotency-Key", key)
            .header("Entered-Seconds-Ago", String.valueOf(ago))
            .content(json.writeValueAsString(body)));
  }

  @Test
  void aCheckBegunOutOfReachIsKeptAsOfThenWithTheStepsItHad() throws Exception {
    String at = newModel();
    JsonNode ahead = get(at + "/checks/ahead").json();
    JsonNode blank = null;
    for (JsonNode one : ahead) {
      assertThat(one.get("id").asLong()).isZero();
      assertThat(one.get("answers")).isEmpty();
      if (one.get("kind").asText().equals("FLIGHT") && !one.get("pack").asText().isEmpty()) {
        blank = one;
      }
    }
    assertThat(blank).isNotNull();
    assertThat(get(at + "/checks").json().get("runs")).isEmpty();
    // A newer revision is saved before the phone is back: its check is still that of the older one.
    ObjectNode setup = (ObjectNode) get(at).json().at("/newest/setup").deepCopy();
    post(
        at + "/revisions",
        Map.of("basedOn", 1, "reason", "Meanwhile", "setup", setup.put("notes", "Meanwhile")));
    Map<String, Object> begun = Map.of("kind", "FLIGHT", "pack", blank.get("pack").asText());
    String key = "begun-at-the-field-1";
    for (int time = 0; time < 2; time++) {
      Answer made = sent(HttpMethod.POST, at + "/checks?revision=1", begun, key, 7200);
      assertThat(made.status()).as(made.body()).isEqualTo(201);
    }
    JsonNode runs = get(at + "/checks").json().get("runs");
    assertThat(runs).hasSize(1);
    assertThat(runs.get(0).get("steps").asInt()).isEqualTo(blank.get("steps").size());
    JsonNode run = get(at + "/checks/" + runs.get(0).get("id").asLong()).json();
    assertThat(run.get("revisionNumber").asInt()).isEqualTo(1);
    assertThat(run.get("steps")).isEqualTo(blank.get("steps"));
    assertThat(Duration.between(Instant.parse(run.get("createdAt").asText()), Instant.now()))
        .isBetween(Duration.ofMinutes(119), Duration.ofMinutes(121));
    String here = at + "/checks/begun/" + key;
    JsonNode answered = run;
    for (JsonNode step : run.get("steps")) {
      answered =
          sent(
                  HttpMethod.PUT,
                  here + "/answers",
                  answer(step.get("id").asText(), "RIGHT", 0),
                  "one",
                  7000)
              .json();
    }
    Map<String, Object> version = Map.of("version", answered.get("version").asInt());
    Answer ended = sent(HttpMethod.PUT, here + "/end", version, "two-two-two", 6900);
    assertThat(ended.json().get("state").asText()).isEqualTo("DONE");
    assertThat(ended.json().get("id")).isEqualTo(run.get("id"));
    assertThat(Instant.parse(ended.json().get("closedAt").asText()))
        .isBefore(Instant.now().minus(Duration.ofMinutes(114)));
    assertThat(
            sent(HttpMethod.PUT, at + "/checks/begun/nobody-knows/end", version, key, 0).status())
        .isEqualTo(404);
    assertThat(sent(HttpMethod.POST, at + "/checks", begun, "begun-elsewhen", -5).body())
        .contains("Entered-Seconds-Ago", "0 to");
    assertThat(
            sent(HttpMethod.POST, at + "/checks?revision=77", begun, "begun-on-none", 0).status())
        .isEqualTo(404);
  }

  private long checkOf(String at, String name, long known) throws Exception {
    ObjectNode flown = json.createObjectNode();
    flown.put("revisionNumber", 1).set("report", report(0, 0, 0));
    flown.putObject("seen").put("check", known).put("despite", "").putArray("results");
    Answer noted = post(at + "/flights/flown" + name, flown);
    assertThat(noted.status()).as(noted.body()).isEqualTo(201);
    return noted.json().at("/seen/check").asLong();
  }

  /** A flight entered out of reach names the check before it as the page knew it. */
  @Test
  void aFlightNamesTheCheckThatPassedByItsNumberOrItsKey() throws Exception {
    String at = newModel();
    Map<String, Object> begun = Map.of("kind", "FLIGHT", "pack", "");
    JsonNode run = sent(HttpMethod.POST, at + "/checks", begun, "before-the-flight", 600).json();
    long number = run.get("id").asLong();
    assertThat(checkOf(at, "?checked=before-the-flight", 0)).as("open").isZero();
    all(at, run);
    assertThat(checkOf(at, "", 0)).isZero();
    assertThat(checkOf(at, "?checked=before-the-flight", 0)).isEqualTo(number);
    assertThat(checkOf(at, "?checked=" + number, 0)).isEqualTo(number);
    assertThat(checkOf(at, "?checked=nobody-knows", number)).as("as it was").isEqualTo(number);
    assertThat(checkOf(newModel(), "?checked=" + number, 0)).as("another model's").isZero();

    JsonNode range = begin(at, "RANGE");
    all(at, range);
    assertThat(checkOf(at, "?checked=" + range.get("id").asLong(), 0)).as("range").isZero();
    JsonNode found = begin(at, "FLIGHT");
    String here = at + "/checks/" + found.get("id").asLong();
    for (JsonNode step : found.get("steps")) {
      put(here + "/answers", answer(step.get("id").asText(), "WRONG", 0));
    }
    assertThat(end(at, found).json().get("state").asText()).isEqualTo("DONE");
    assertThat(checkOf(at, "?checked=" + found.get("id").asLong(), 0)).as("wrong").isZero();
  }

  /** A check of the morning that is heard of in the evening does not speak for the evening. */
  @Test
  void theNewestCheckIsTheOneThatWasBegunLastAndNotTheOneHeardOfLast() throws Exception {
    String at = newModel();
    JsonNode run = begin(at, "FLIGHT");
    put(at + "/checks/" + run.get("id").asLong() + "/answers", answer("parts", "WRONG", 0));
    end(at, run);
    assertThat(grounding(at)).hasSize(1);
    Map<String, Object> earlier = Map.of("kind", "FLIGHT", "pack", "");
    sent(HttpMethod.POST, at + "/checks?revision=1", earlier, "begun-in-the-morning", 36_000);
    JsonNode late = get(at + "/checks").json().at("/runs/1");
    assertThat(late.get("state").asText()).isEqualTo("OPEN");
    all(at, late);
    assertThat(grounding(at)).hasSize(1);
  }

  @Test
  void oneThatIsOpenIsBrokenOffByTheNext() throws Exception {
    String at = newModel();
    JsonNode first = begin(at, "FLIGHT");
    JsonNode second = begin(at, "FULL");
    assertThat(get(at + "/checks/" + first.get("id").asLong()).json().get("state").asText())
        .isEqualTo("BROKEN_OFF");
    JsonNode ended = end(at, second).json();
    assertThat(ended.get("state").asText()).isEqualTo("BROKEN_OFF");
    assertThat(get(at + "/checks").json().get("runs")).hasSize(2);
  }

  @Test
  void aHoldGroundsTheModelWhereverItIsShown() throws Exception {
    String at = newModel();
    int before = grounding(at).size();
    JsonNode run = begin(at, "RANGE");
    put(at + "/checks/" + run.get("id").asLong() + "/answers", answer("quarter-2", "RIGHT", 1));
    assertThat(grounding(at)).hasSize(before + 1);
    assertThat(grounding(at).get(before).get("kind").asText()).isEqualTo("CHECK");
    assertThat(grounding(at).get(before).get("words").asText()).contains("one hold");
    assertThat(get(at).json().at("/loop/waiting").asText()).isNotBlank();
    // Checked again without one: it may fly.
    all(at, begin(at, "RANGE"));
    assertThat(grounding(at)).hasSize(before);
  }

  @Test
  void whatIsDueFollowsFromChecksAndChangedParts() throws Exception {
    String at = newModel();
    assertThat(due(at)).containsExactly("FULL", "RANGE");
    all(at, begin(at, "FULL"));
    assertThat(due(at)).containsExactly("RANGE");
    all(at, begin(at, "RANGE"));
    assertThat(due(at)).isEmpty();
    post(at + "/part-changes", Map.of("kind", "RECEIVER", "subject", "Receiver", "note", ""));
    assertThat(due(at)).containsExactly("FULL", "RANGE");
  }

  @Test
  void whatMakesNoSenseIsRefused() throws Exception {
    String at = newModel();
    JsonNode run = begin(at, "FLIGHT");
    String here = at + "/checks/" + run.get("id").asLong() + "/answers";
    assertThat(put(here, answer("loop", "RIGHT", 0)).body()).contains("step").contains("parts");
    assertThat(put(here, answer("parts", "LEFT_OUT", 0)).body()).contains("reason");
    assertThat(put(here, answer("parts", "RIGHT", -1)).status()).isEqualTo(422);
    assertThat(put(at + "/checks/999999/answers", answer("parts", "RIGHT", 0)).status())
        .isEqualTo(404);
  }

  @Test
  void theSameRequestBeginsOnce() throws Exception {
    String at = newModel();
    String body = json.writeValueAsString(Map.of("kind", "FLIGHT", "pack", ""));
    long first = -1;
    for (int i = 0; i < 2; i++) {
      var response =
          http.perform(
                  org.springframework.test.web.servlet.request.MockMvcRequestBuilders.request(
                          HttpMethod.POST, at + "/checks")
                      .contentType(MediaType.APPLICATION_JSON)
                      .header("Idempotency-Key", "check-once-1")
                      .content(body))
              .andReturn()
              .getResponse();
      long id = json.readTree(response.getContentAsString()).get("id").asLong();
      first = first < 0 ? id : first;
      assertThat(id).isEqualTo(first);
    }
  }

  @Test
  void theSimulatedLinkAnswersAndSaysThatItIs() throws Exception {
    Map<String, Object> along = Map.of("rightDegrees", 0, "upDegrees", 0);
    Map<String, Object> upright = Map.of("rightDegrees", 0, "upDegrees", 90);
    ObjectNode asked = json.createObjectNode();
    asked.put("seed", 3).put("paces", 40).put("reduced", true).put("quarter", 0);
    asked.put("motorRuns", false).set("antennas", json.valueToTree(List.of(along, upright)));
    asked.putArray("shadows");
    JsonNode square = post("/api/link/range-check", asked).json();
    assertThat(square.get("words").asText()).startsWith("Simulated");
    assertThat(square.get("holds").asInt()).isZero();
    asked.set("antennas", json.valueToTree(List.of(along, along)));
    assertThat(post("/api/link/range-check", asked).json().get("holds").asInt()).isPositive();
  }

  @Test
  void wishesAreKeptAndSaidToContradict() throws Exception {
    String at = newModel();
    JsonNode none = get(at + "/wishes").json();
    assertThat(none.get("version").asInt()).isEqualTo(-1);
    ObjectNode wishes = (ObjectNode) get(at + "/wishes/starting?pilot=BEGINNER").json();
    assertThat(wishes.get("balancePercent").asInt()).isEqualTo(25);
    assertThat(wishes.get("regimes")).isNotEmpty();
    wishes.put("balancePercent", 120.0);
    ((ObjectNode) wishes.get("regimes").get(0)).put("rollMm", 200.0).put("feel", "calm");
    JsonNode kept = put(at + "/wishes", Map.of("version", -1, "wishes", wishes)).json();
    assertThat(kept.get("notes").toString()).contains("behind").contains("full stick gives");
    assertThat(put(at + "/wishes", Map.of("version", -1, "wishes", wishes)).status())
        .isEqualTo(409);
    assertThat(get(at + "/wishes").json().get("wishes")).isEqualTo(wishes);
  }

  @Test
  void anOutcomeOfATestThatDoesNotApplyIsRefused() throws Exception {
    String at = newModel();
    ObjectNode flown = json.createObjectNode();
    flown.put("revisionNumber", 1).set("report", report(0, 0, 0));
    ObjectNode seen = flown.putObject("seen").put("check", 0).put("despite", "");
    ObjectNode result = seen.putArray("results").addObject();
    result.put("test", "CIRCLING").put("part", "").putArray("seen");
    assertThat(post(at + "/flights/flown", flown).body()).contains("results[0].test");
    result.put("test", "KNIFE_EDGE");
    result
        .withArray("seen")
        .addObject()
        .put("outcome", "TUCKS")
        .put("strength", 2)
        .put("turn", "BOTH");
    assertThat(post(at + "/flights/flown", flown).body()).contains("outcome").contains("TO_BELLY");
    ((ObjectNode) result.get("seen").get(0)).put("outcome", "TO_BELLY").put("strength", 5);
    assertThat(post(at + "/flights/flown", flown).status()).isEqualTo(422);
    ((ObjectNode) result.get("seen").get(0)).put("strength", 2);
    assertThat(post(at + "/flights/flown", flown).status()).isEqualTo(201);
    assertThat(
            post(
                    at + "/coach/skipped",
                    Map.of("test", Map.of("test", "KNIFE_EDGE", "part", ""), "because", ""))
                .status())
        .isEqualTo(422);
  }
}
