package hightally.app.standing;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.Pilot;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/**
 * Twelve flights of the simulated glider with hidden faults, over the API, following the program's
 * advice only: a warped wing, a horn 6 % off, a pilot who is a click off now and then, and a
 * balance point that moves before the seventh flight. {@code docs/season} flies and draws the same
 * one.
 */
class SeasonTest extends Pilot {
  private static final int FLIGHTS = 12;
  private static final int SHIFT_BEFORE = 7;

  private String at;
  private final List<Integer> adjustedAfter = new ArrayList<>();

  @Test
  void trimsEndWithinAClickOfZeroAndTheShiftBringsNoFalseAdjustment() throws Exception {
    ObjectNode design = (ObjectNode) json.readTree(resource("demo/larkmere.json"));
    JsonNode none = json.valueToTree(Map.of("roll", 0, "pitch", 0, "yaw", 0));
    for (JsonNode phase : design.get("phases")) {
      for (String own : List.of("ownRoll", "ownPitch", "ownYaw")) {
        ((ObjectNode) phase).put(own, true);
      }
      ((ObjectNode) phase).set("trims", none);
    }
    design.put("name", "Season");
    Answer added = post("/api/aircraft", Map.of("reason", "A season", "setup", design));
    assertThat(added.status()).as(added.body()).isEqualTo(201);
    at = "/api/aircraft/" + added.json().get("id").asLong();
    JsonNode last = null;
    for (int flight = 1; flight <= FLIGHTS; flight++) {
      double cg = flight < SHIFT_BEFORE ? 402 : 408;
      last = simulated(cg, flight, false);
      long noted = log(flight, cg, simulated(cg, flight, true));
      JsonNode sheet = get(at + "/settling").json();
      boolean settled = true;
      for (JsonNode series : sheet.get("series")) {
        settled &= series.get("points").isEmpty() || series.get("state").asText().equals("SETTLED");
      }
      if (settled && sheet.get("ready").asBoolean()) {
        adjust(noted, sheet.get("reference").asText());
        adjustedAfter.add(flight);
      }
    }
    assertThat(adjustedAfter).isNotEmpty();
    // Three flights must lie on one side of the shift before anything is turned.
    assertThat(adjustedAfter)
        .noneMatch(flight -> flight >= SHIFT_BEFORE && flight < SHIFT_BEFORE + 2);
    for (JsonNode reading : last) {
      for (JsonNode clicks : reading.get("trims")) {
        assertThat(Math.abs(clicks.asInt())).as(reading.toString()).isLessThanOrEqualTo(1);
      }
    }
  }

  private ArrayNode simulated(double cg, int seed, boolean unsteady) throws Exception {
    List<Map<String, Object>> faults =
        List.of(
            Map.of("kind", "WARP", "subject", "outer-wing-left", "size", 0.3),
            Map.of("kind", "HORN", "subject", "v-tail-left", "size", 6),
            Map.of("kind", "TAIL_INCIDENCE", "subject", "", "size", -0.3));
    Answer flown =
        post(
            at + "/simulated-flight",
            Map.of("faults", faults, "cgMm", cg, "unsteady", unsteady, "seed", seed));
    assertThat(flown.status()).as(flown.body()).isEqualTo(200);
    return (ArrayNode) flown.json();
  }

  private long log(int day, double cg, ArrayNode readings) throws Exception {
    ObjectNode report =
        (ObjectNode) get("/api/aircraft/1/flights").json().at("/items/0/report").deepCopy();
    report.put("flownOn", "2026-09-%02d".formatted(day)).put("wind", "CALM").put("cgMm", cg);
    report.set("trims", readings.remove(0).get("trims"));
    report.set("phases", readings);
    int revision = get(at).json().at("/newest/number").asInt();
    Answer added = post(at + "/flights", Map.of("revisionNumber", revision, "report", report));
    assertThat(added.status()).as(added.body()).isEqualTo(201);
    return added.json().get("id").asLong();
  }

  private void adjust(long flight, String reference) throws Exception {
    Map<String, Object> begin =
        Map.of(
            "flightId",
            flight,
            "reference",
            reference,
            "presetsTakeUp",
            true,
            "controls",
            List.of("ROLL", "PITCH", "YAW"));
    Answer begun = post(at + "/adjustment", begin);
    assertThat(begun.status()).as(begun.body()).isEqualTo(201);
    Answer closed = closed(at, begun.json());
    assertThat(closed.status()).as(closed.body()).isEqualTo(200);
  }
}
