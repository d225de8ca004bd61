package hightally.core.adjustment;

import static hightally.core.WorkedCases.close;
import static hightally.core.WorkedCases.or;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import hightally.core.WorkedCases;
import hightally.core.linkage.RodChange;
import hightally.core.program.Trims;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Trims of every phase into rods and new clicks, against cases worked out independently. */
class RetrimTest {
  static List<JsonNode> cases() throws IOException {
    return WorkedCases.of("retrim");
  }

  private static double[] perControl(JsonNode given) {
    return new double[] {or(given, "roll", 0), or(given, "pitch", 0), or(given, "yaw", 0)};
  }

  private static Retrim.Driven driven(JsonNode one) {
    return new Retrim.Driven(
        one.get("name").asText(),
        perControl(one.get("shares")),
        WorkedCases.bar(one),
        WorkedCases.output(one.get("output")),
        WorkedCases.servo(one.get("servo")),
        WorkedCases.end(one.get("rodEnd")),
        one.get("chord").asDouble());
  }

  private static Retrim.FlownPhase flown(JsonNode one, List<Retrim.Driven> servos) {
    double[] clicks = perControl(one.path("trim"));
    double[] rest =
        servos.stream().mapToDouble(servo -> or(one.path("preset"), servo.name(), 0)).toArray();
    Trims trims = new Trims((int) clicks[0], (int) clicks[1], (int) clicks[2]);
    return new Retrim.FlownPhase(one.get("name").asText(), trims, rest);
  }

  @ParameterizedTest
  @MethodSource("cases")
  void rodsAndClicksOfEveryPhase(JsonNode one) {
    JsonNode given = one.get("given");
    List<Retrim.Driven> servos = new ArrayList<>();
    given.get("servos").forEach(servo -> servos.add(driven(servo)));
    List<Retrim.FlownPhase> phases = new ArrayList<>();
    given.get("phases").forEach(phase -> phases.add(flown(phase, servos)));
    List<String> names = phases.stream().map(Retrim.FlownPhase::name).toList();
    Retrim.Retrimmed found =
        Retrim.of(
            servos,
            phases,
            names.indexOf(given.get("referencePhase").asText()),
            given.get("clickStep").asDouble(),
            given.path("trimScope").asText().equals("COMMON"));
    JsonNode rods = one.at("/expect/servos");
    for (int i = 0; i < servos.size(); i++) {
      if (rods.get(i).get("rodChange").isNull()) {
        assertThat(found.changes().get(i)).isInstanceOf(RodChange.Locked.class);
      } else {
        RodChange.Found change = (RodChange.Found) found.changes().get(i);
        close("rodChange", rods.get(i).get("rodChange"), change.changeMm(), one);
        assertThat(change.steps()).isEqualTo(rods.get(i).get("steps").asLong());
        close("angleAfter", rods.get(i).get("angleAfter"), change.afterDegrees(), one);
        double left = change.driverLeftDegrees() / found.armPerPercent()[i];
        close("trimLeftCommand", rods.get(i).get("trimLeftCommand"), left, one);
      }
    }
    JsonNode expected = one.at("/expect/phases");
    assertThat(found.phases()).hasSize(expected.size());
    for (int i = 0; i < expected.size(); i++) {
      phase(expected.get(i), found.phases().get(i), servos, one);
    }
  }

  private static void phase(
      JsonNode expected, Retrim.PhaseAfter found, List<Retrim.Driven> servos, JsonNode one) {
    assertThat(found.name()).isEqualTo(expected.get("name").asText());
    Trims after = found.trimAfter();
    assertThat(new double[] {after.roll(), after.pitch(), after.yaw()})
        .containsExactly(perControl(expected.get("trimAfter")));
    JsonNode exact = expected.get("trimAfterExact");
    close("roll", exact.get("roll"), found.exact()[0], one);
    close("pitch", exact.get("pitch"), found.exact()[1], one);
    close("yaw", exact.get("yaw"), found.exact()[2], one);
    for (int i = 0; i < servos.size(); i++) {
      JsonNode error = expected.get("travelError").get(servos.get(i).name());
      close("error of " + servos.get(i).name(), error, found.travelErrorMm()[i], one);
    }
  }
}
