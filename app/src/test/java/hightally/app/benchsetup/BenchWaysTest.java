package hightally.app.benchsetup;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import hightally.app.Pilot;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Which surface moves and which way, looked at within a guided set-up. */
class BenchWaysTest extends Pilot {
  private static final int ENDLESS = 60;
  private static final String LOOKED = "/bench-set-up/ways";

  /** Begins a set-up with the propeller off. */
  private String begun() throws Exception {
    String at = newModel();
    JsonNode open = post(at + "/bench-set-up", Map.of("school", "ROD_FIRST")).json();
    Map<String, Object> harmless =
        Map.of("step", "harmless", "choice", "propeller-off", "values", List.of());
    Map<String, Object> move =
        Map.of("version", open.get("version"), "step", "ways", "answers", List.of(harmless));
    assertThat(put(at + "/bench-set-up", move).status()).isEqualTo(200);
    return at;
  }

  /** All as drawn, but one surface that goes the other way. */
  private static Map<String, Object> seen(JsonNode standing, String turned) {
    JsonNode next = standing.at("/told/next");
    List<Map<String, Object>> sights = new ArrayList<>();
    for (JsonNode line : next.get("lines")) {
      String surface = line.get("surface").asText();
      int way = line.get("way").asInt();
      sights.add(Map.of("surface", surface, "way", surface.equals(turned) ? -way : way));
    }
    return looked(standing, next.at("/look/id").asText(), sights);
  }

  private static Map<String, Object> looked(
      JsonNode standing, String look, List<Map<String, Object>> sights) {
    return Map.of(
        "version", standing.get("version"), "answer", Map.of("look", look, "seen", sights));
  }

  private static Map<String, Object> version(JsonNode standing) {
    return Map.of("version", standing.get("version"));
  }

  private static String stage(JsonNode standing) {
    return standing.at("/told/stage").asText();
  }

  /** Looks at a model until nothing is to be looked at. */
  private JsonNode looked(String at, String turned) throws Exception {
    JsonNode standing = get(at + LOOKED).json();
    for (int i = 0; i < ENDLESS && stage(standing).equals("LOOKING"); i++) {
      Answer kept = put(at + LOOKED, seen(standing, turned));
      assertThat(kept.status()).as(kept.body()).isEqualTo(200);
      standing = kept.json();
    }
    return standing;
  }

  private String clearance(String at, String part) throws Exception {
    return get(at).json().at("/grounding/" + part).toString();
  }

  @Test
  void aSurfaceThatGoesTheWrongWayGroundsUntilItIsMendedAndSeenRight() throws Exception {
    String at = begun();
    JsonNode mending = looked(at, "rudder");
    assertThat(stage(mending)).isEqualTo("MENDING");
    assertThat(mending.at("/told/changes/0/change/part").asText()).isEqualTo("CHANNEL_SIGN");
    String channel = mending.at("/told/changes/0/change/subject").asText();
    assertThat(clearance(at, "reasons")).contains("SET_UP").contains("\"ways\"");
    Map<String, Object> older = Map.of("version", mending.get("version"), "basedOn", 7);
    assertThat(post(at + LOOKED + "/mended", older).status()).isEqualTo(409);
    Map<String, Object> done = Map.of("version", mending.get("version"), "basedOn", 1);
    JsonNode mended = post(at + LOOKED + "/mended", done).json();
    assertThat(mended.get("revision").asInt()).isEqualTo(2);
    assertThat(stage(mended)).as("what it changed is looked at again").isEqualTo("LOOKING");
    assertThat(mended.get("seen").asInt()).isLessThan(mending.get("seen").asInt());
    assertThat(post(at + LOOKED + "/mended", done).status()).as("once").isEqualTo(409);
    assertThat(reversed(at, 1, channel)).isNotEqualTo(reversed(at, 2, channel));
    assertThat(stage(looked(at, ""))).isEqualTo("AGREED");
    assertThat(clearance(at, "reasons")).doesNotContain("SET_UP");
    JsonNode open = get(at + "/bench-set-up").json();
    assertThat(open.at("/verdicts/0/step").asText()).isEqualTo("ways");
    assertThat(open.at("/verdicts/0/agrees").asBoolean()).isTrue();
    assertThat(open.get("answers")).as("looks are no answers of a step").hasSize(1);
    JsonNode log = get(at + "/measurements").json();
    assertThat(log.toString()).contains("not as drawn").contains("all as drawn");
    assertThat(log.at("/0/values")).isEmpty();
    int seen = get(at + LOOKED).json().get("seen").asInt();
    post(at + "/part-changes", Map.of("kind", "HORN", "subject", "Rudder", "note", "broken"));
    JsonNode asked = get(at + LOOKED).json();
    assertThat(stage(asked)).as("what a new horn can have changed").isEqualTo("LOOKING");
    assertThat(asked.get("seen").asInt()).as("and no more").isPositive().isLessThan(seen);
    assertThat(get(at + "/bench-set-up").json().get("again").toString()).contains("ways");
    assertThat(clearance(at, "missing")).contains("WAYS");
    assertThat(stage(looked(at, ""))).isEqualTo("AGREED");
  }

  private boolean reversed(String at, int revision, String channel) throws Exception {
    for (JsonNode one : get(at + "/revisions/" + revision).json().at("/setup/channels")) {
      if (one.get("number").asText().equals(channel)) {
        return one.get("reversed").asBoolean();
      }
    }
    throw new AssertionError("no channel " + channel);
  }

  @Test
  void aLookIsTakenBackAndAllIsBegunAgain() throws Exception {
    String at = begun();
    JsonNode first = get(at + LOOKED).json();
    JsonNode one = put(at + LOOKED, seen(first, "")).json();
    JsonNode two = put(at + LOOKED, seen(one, "")).json();
    assertThat(two.get("seen").asInt()).isEqualTo(2);
    assertThat(clearance(at, "missing")).contains("WAYS");
    JsonNode back = post(at + LOOKED + "/back", version(two)).json();
    assertThat(back.at("/told/next/look/id")).isEqualTo(one.at("/told/next/look/id"));
    assertThat(post(at + LOOKED + "/again", version(two)).status()).as("moved on").isEqualTo(409);
    JsonNode again = post(at + LOOKED + "/again", version(back)).json();
    assertThat(again.get("seen").asInt()).isZero();
    assertThat(again.at("/told/next/look/id")).isEqualTo(first.at("/told/next/look/id"));
    assertThat(clearance(at, "missing")).as("begun and not ended").contains("WAYS");
    JsonNode none = post(at + LOOKED + "/back", version(again)).json();
    assertThat(none.get("seen").asInt()).as("nothing to take back").isZero();
  }

  @Test
  void nothingIsLookedAtBeforeTheModelIsSafeNorOutsideASetUp() throws Exception {
    String at = newModel();
    assertThat(get(at + LOOKED).status()).isEqualTo(404);
    JsonNode open = post(at + "/bench-set-up", Map.of("school", "ROD_FIRST")).json();
    JsonNode standing = get(at + LOOKED).json();
    assertThat(standing.get("version")).isEqualTo(open.get("version"));
    Answer early = put(at + LOOKED, seen(standing, ""));
    assertThat(early.status()).isEqualTo(422);
    assertThat(early.body()).contains("how you made the motor safe");
  }

  @Test
  void anAnswerToWhatIsNotThereNamesItsField() throws Exception {
    String at = begun();
    JsonNode standing = get(at + LOOKED).json();
    Answer refused = put(at + LOOKED, looked(standing, "stick/none", List.of()));
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.body()).contains("answer.look is stick/none");
    Map<String, Object> far = Map.of("surface", "rudder", "way", 5);
    String look = standing.at("/told/next/look/id").asText();
    assertThat(put(at + LOOKED, looked(standing, look, List.of(far))).body()).contains("way is 5");
    assertThat(get(at + LOOKED).json().get("seen").asInt()).as("nothing was kept").isZero();
  }
}
