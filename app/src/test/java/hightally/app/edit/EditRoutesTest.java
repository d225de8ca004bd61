package hightally.app.edit;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import hightally.app.ApiTest;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** The wish goes in, the new setup comes out with what changed. */
class EditRoutesTest extends ApiTest {
  private JsonNode edited(String route, Map<String, Object> wish) throws Exception {
    Answer answer = post("/api/edits/" + route, wish);
    assertThat(answer.status()).as(answer.body()).isEqualTo(200);
    return answer.json();
  }

  @Test
  void aMendSaysTheOneValueThatChanged() throws Exception {
    Map<String, Object> edit = Map.of("figure", "ENDPOINT_HIGH", "subject", "2", "value", 71);
    JsonNode answer = edited("mend", Map.of("setup", biplane(), "edits", List.of(edit)));
    assertThat(answer.at("/setup/channels/1/endpointHighPercent").asDouble()).isEqualTo(71);
    assertThat(answer.at("/changed")).hasSize(1);
    assertThat(answer.at("/changed/0/after").asText()).isEqualTo("71 %");
    assertThat(answer.at("/notes")).isEmpty();
  }

  @Test
  void aMendOfWhatIsNotThereNamesIt() throws Exception {
    Map<String, Object> edit = Map.of("figure", "HORN_LEAN", "subject", "q7", "value", 1);
    Answer answer = post("/api/edits/mend", Map.of("setup", biplane(), "edits", List.of(edit)));
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.json().at("/violations/0/field").asText()).isEqualTo("subject");
    assertThat(answer.json().at("/violations/0/value").asText()).contains("q7");
  }

  @Test
  void aPairIsTiedOnBothSides() throws Exception {
    JsonNode answer =
        edited(
            "pair",
            Map.of("setup", biplane(), "part", "aileron-left", "pair", "upper-aileron-right"));
    assertThat(answer.at("/setup/surfaces/0/pair").asText()).isEqualTo("upper-aileron-right");
    assertThat(answer.at("/changed")).hasSize(4);
  }

  @Test
  void somethingNewHasItsNameInWords() throws Exception {
    JsonNode answer = edited("new", Map.of("setup", biplane(), "part", "SOCKET"));
    assertThat(answer.at("/setup/wiring/receiver/sockets")).hasSize(9);
    JsonNode timer = edited("new", Map.of("setup", biplane(), "part", "TIMER"));
    JsonNode timers = timer.at("/setup/power/timers");
    assertThat(timers.get(timers.size() - 1).at("/name").asText()).isEqualTo("New timer");
  }

  @Test
  void aCurveGetsItsPoint() throws Exception {
    List<Map<String, Integer>> points =
        List.of(Map.of("x", -100, "y", 0), Map.of("x", 100, "y", 50));
    Answer answer = post("/api/edits/curves/point", Map.of("points", points));
    assertThat(answer.json().at("/1/x").asDouble()).isZero();
    assertThat(answer.json().at("/1/y").asDouble()).isEqualTo(25);
  }

  /** The biplane's transmitter: a click's step as its document says. */
  @Test
  void trimsReadAsTheTransmitterShowsThemAndBack() throws Exception {
    JsonNode transmitter = biplane().at("/transmitter");
    double click = transmitter.at("/clickStepPercent").asDouble();
    Answer shown =
        post(
            "/api/trims/shown",
            Map.of("transmitter", transmitter, "unit", "PERCENT", "clicks", List.of(-4, 0, 3)));
    assertThat(shown.json().at("/0").asDouble()).isEqualTo(-4 * click);
    assertThat(shown.json().at("/2").asDouble()).isEqualTo(3 * click);
    Answer clicks =
        post(
            "/api/trims/clicks",
            Map.of("transmitter", transmitter, "unit", "PERCENT", "shown", -4 * click));
    assertThat(clicks.json().at("/clicks").asInt()).isEqualTo(-4);
    Answer most =
        post(
            "/api/trims/clicks",
            Map.of("transmitter", transmitter, "unit", "CLICKS", "shown", 5000));
    assertThat(most.status()).isEqualTo(422);
    assertThat(most.json().at("/violations/0/field").asText()).isEqualTo("shown");
  }

  @Test
  void searchesBeginWithWhatIsKnown() throws Exception {
    JsonNode document = biplane();
    Answer start = post("/api/throws/start", Map.of("setup", document, "surface", "elevator"));
    assertThat(start.json().at("/armHolesMm")).isNotEmpty();
    assertThat(start.json().at("/seating/teeth").asInt()).isEqualTo(25);
    Answer wish = post("/api/rig/balance/wish", Map.of("setup", document));
    assertThat(wish.status()).isEqualTo(200);
    assertThat(wish.json()).isNotEmpty();
  }
}
