package hightally.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import hightally.core.airframe.Servo;
import hightally.core.channel.Output;
import hightally.core.channel.SubTrimMode;
import hightally.core.linkage.ArmSeating;
import hightally.core.linkage.FourBar;
import hightally.core.linkage.Linkage;
import hightally.core.linkage.RodEnd;
import hightally.core.linkage.RodEndKind;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Cases worked out independently of this program, and their words as the program's own. */
public final class WorkedCases {
  private WorkedCases() {}

  /** All of one kind. */
  public static List<JsonNode> of(String kind) throws IOException {
    Path file = Path.of("../app/src/test/resources/cases", kind + ".json");
    List<JsonNode> cases = new ArrayList<>();
    new ObjectMapper().readTree(file.toFile()).forEach(cases::add);
    return cases;
  }

  public static double or(JsonNode given, String field, double otherwise) {
    return given.path(field).asDouble(otherwise);
  }

  public static FourBar bar(JsonNode given) {
    JsonNode linkage = given.get("linkage");
    return FourBar.of(
        new Linkage(
            linkage.get("armRadius").asDouble(),
            linkage.get("hornRadius").asDouble(),
            linkage.get("rodLength").asDouble(),
            or(linkage, "armLean", 0),
            or(linkage, "hornLean", 0),
            linkage.path("opposite").asBoolean(),
            linkage.path("pushRaises").asBoolean()));
  }

  public static RodEnd end(JsonNode end) {
    RodEndKind kind = RodEndKind.valueOf(end.get("kind").asText());
    return new RodEnd(kind, or(end, "pitch", or(end, "step", Double.NaN)));
  }

  public static Output output(JsonNode given) {
    return new Output(
        given.get("pulsePer100").asDouble(),
        or(given, "centre", 1500),
        given.path("reversed").asBoolean(),
        or(given, "subTrim", 0),
        SubTrimMode.valueOf(given.path("subTrimMode").asText("SHIFT")),
        or(given, "endpointLow", 100),
        or(given, "endpointHigh", 100),
        or(given, "limitLow", 900),
        or(given, "limitHigh", 2100),
        or(given, "commandLimit", 150));
  }

  public static Servo servo(JsonNode given) {
    return new Servo(
        "s",
        "s",
        1,
        given.get("degreesPerMicrosecond").asDouble(),
        or(given, "centrePulse", 1500),
        or(given, "maxAngle", 90),
        given.path("pullsOnIncrease").asBoolean(),
        or(given, "armOffset", 0),
        20,
        new ArmSeating(25, 4),
        List.of(),
        250);
  }

  /** A number found against the one expected; where that is null the linkage is locked. */
  public static void close(String what, JsonNode expected, double found, JsonNode one) {
    if (expected.isNull()) {
      assertThat(Double.isFinite(found)).as(what + " is locked").isFalse();
    } else {
      double tolerance = one.get("tolerance").asDouble() * Math.max(1, Math.abs(found));
      assertThat(found).as(what).isCloseTo(expected.asDouble(), within(tolerance));
    }
  }
}
