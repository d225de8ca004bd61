package hightally.app.adjustment;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import hightally.app.Pilot;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * A work order at a plain rig that is otherwise than described: the trim moves each edge so many
 * times as far as it should, the other way round if less than nothing; a turn of the clevis moves
 * it as far as it does. What the pilot is told to do is done, step by step.
 */
class GaugeRigTest extends Pilot {
  /** Half a half turn, and what a ruler cannot tell. */
  private static final double REACHED_MM = 1.2;

  private final Map<String, Double> perStep = new HashMap<>();
  private final Map<String, Double> marks = new HashMap<>();
  private final Map<String, Long> turned = new HashMap<>();
  private String at;
  private JsonNode open;

  private void begin(double ratio) throws Exception {
    at = newModel();
    open = post(at + "/adjustment", beginning(settled(at, 1, 10, 12, -8))).json();
    for (JsonNode rod : open.at("/plan/rods")) {
      String surface = rod.get("surface").asText();
      long steps = rod.get("steps").asLong();
      // What another surface drives goes where that one takes it: not a rig's own doing.
      if (steps != 0 && !rod.get("slave").asBoolean()) {
        double moved = rod.get("afterMm").asDouble() - rod.get("todayMm").asDouble();
        perStep.put(surface, moved / steps);
        marks.put(surface, ratio * rod.get("trimMm").asDouble());
        turned.put(surface, 0L);
      }
    }
    assertThat(perStep).hasSizeGreaterThan(2);
  }

  private double edge(String surface) {
    return turned.get(surface) * perStep.get(surface);
  }

  private double off(String surface) {
    return edge(surface) - marks.get(surface);
  }

  private JsonNode rod(String surface) {
    for (JsonNode rod : open.at("/plan/rods")) {
      if (rod.get("surface").asText().equals(surface)) {
        return rod;
      }
    }
    throw new AssertionError(surface);
  }

  private String way(String surface, double mm) {
    boolean sideways = surface.startsWith("rudder");
    return mm == 0 ? "SAME" : mm > 0 ? sideways ? "RIGHT" : "UP" : sideways ? "LEFT" : "DOWN";
  }

  /** Zeroes the trim, reads the gauge, and says which of the two is to be believed. */
  private void read(String surface, double ratio, String choice) throws Exception {
    double went = -ratio * rod(surface).get("trimMm").asDouble();
    Map<String, Object> gauge =
        Map.of(
            "surface",
            surface,
            "sizeMm",
            Math.abs(went),
            "way",
            way(surface, went),
            "choice",
            choice);
    int version = open.get("version").asInt();
    Answer answer = put(at + "/adjustment/gauge", Map.of("gauge", gauge, "version", version));
    assertThat(answer.status()).as(answer.body()).isEqualTo(200);
    open = answer.json();
  }

  /** Turns as the order says now, and notes how the edge stands to its mark. */
  private void turn(String surface) throws Exception {
    turned.put(surface, rod(surface).get("steps").asLong());
    double off = Math.rint(off(surface) * 10) / 10;
    boolean there = Math.abs(off) < REACHED_MM;
    Map<String, Object> mark =
        Map.of(
            "surface",
            surface,
            "steps",
            turned.get(surface),
            "offMm",
            there ? 0 : Math.abs(off),
            "way",
            there ? "SAME" : way(surface, off));
    int version = open.get("version").asInt();
    Answer answer = put(at + "/adjustment/mark", Map.of("mark", mark, "version", version));
    assertThat(answer.status()).as(answer.body()).isEqualTo(200);
    open = answer.json();
  }

  /** The rods of slaves turned as told, and found at their marks. */
  private void slaves() throws Exception {
    for (JsonNode rod : open.at("/plan/rods")) {
      if (rod.get("slave").asBoolean() && rod.get("steps").asLong() != 0) {
        Map<String, Object> mark =
            Map.of(
                "surface",
                rod.get("surface").asText(),
                "steps",
                rod.get("steps").asLong(),
                "offMm",
                0,
                "way",
                "SAME");
        int version = open.get("version").asInt();
        open = put(at + "/adjustment/mark", Map.of("mark", mark, "version", version)).json();
      }
    }
  }

  private Answer close() throws Exception {
    slaves();
    JsonNode looked = lookedAt(at, open);
    int version = looked.get("version").asInt();
    return post(at + "/adjustment/close", Map.of("version", version, "because", ""));
  }

  @ParameterizedTest
  @CsvSource({"1", "0.5", "2", "-1"})
  void whatTheGaugeShowedIsWhereEveryEdgeEnds(double ratio) throws Exception {
    begin(ratio);
    for (String surface : List.copyOf(perStep.keySet())) {
      read(surface, ratio, ratio == 1 ? "OPEN" : "RULER");
      long steps = rod(surface).get("steps").asLong();
      double told = steps * perStep.get(surface);
      assertThat(Math.signum(told))
          .as(surface + ": the way to turn")
          .isEqualTo(Math.signum(marks.get(surface)));
      turn(surface);
      assertThat(Math.abs(off(surface))).as(surface).isLessThan(REACHED_MM);
    }
    Answer closed = close();
    assertThat(closed.status()).as(closed.body()).isEqualTo(200);
  }

  /** Nobody reads the gauge, and the rig is otherwise: the mark shows it, and nothing closes. */
  @ParameterizedTest
  @CsvSource({"0.3", "2.5", "-1"})
  void withoutAGaugeTheMarkShowsItAndTheOrderDoesNotClose(double ratio) throws Exception {
    begin(ratio);
    for (String surface : List.copyOf(perStep.keySet())) {
      turn(surface);
    }
    boolean off = perStep.keySet().stream().anyMatch(one -> Math.abs(off(one)) >= REACHED_MM);
    assertThat(off).isTrue();
    assertThat(open.get("notAsPlanned")).isNotEmpty();
    assertThat(close().status()).isEqualTo(409);
  }

  /** The arithmetic is believed against a gauge that was right: the mark shows it. */
  @Test
  void theArithmeticBelievedWrongly() throws Exception {
    begin(-1);
    for (String surface : List.copyOf(perStep.keySet())) {
      read(surface, -1, "ARITHMETIC");
      turn(surface);
    }
    assertThat(open.get("notAsPlanned")).isNotEmpty();
    assertThat(close().status()).isEqualTo(409);
  }
}
