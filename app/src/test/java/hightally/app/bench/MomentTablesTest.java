package hightally.app.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import hightally.app.ApiTest;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The program against a second, plain implementation; see {@code moments/moments.py}. */
class MomentTablesTest extends ApiTest {
  @ParameterizedTest
  @CsvSource({"quillon,1", "larkmere,5", "skerrow,1", "brindle,5"})
  void everyChannelAndSurfaceStandsWhereTheSecondImplementationSays(String model, int phases)
      throws Exception {
    JsonNode setup = json.readTree(resource("demo/" + model + ".json"));
    JsonNode table = json.readTree(resource("moments/" + model + ".json"));
    assertThat(table.size()).isGreaterThanOrEqualTo(40);
    Set<String> seen = new HashSet<>();
    for (int row = 0; row < table.size(); row++) {
      JsonNode expected = table.get(row);
      Answer answer =
          post(
              "/api/bench/moment",
              Map.of(
                  "setup", setup,
                  "moment", expected.get("moment"),
                  "selected", setup.at("/surfaces/0/id").asText()));
      assertThat(answer.status()).as(answer.body()).isEqualTo(200);
      JsonNode frame = answer.json().get("frame");
      String where = model + ", row " + (row + 1);
      assertThat(frame.get("phase").asText()).as(where).isEqualTo(expected.get("phase").asText());
      seen.add(frame.get("phase").asText());
      same(frame.at("/positions/pulseMicroseconds"), expected.get("pulses"), where + ", µs");
      same(frame.at("/positions/travelMm"), expected.get("mm"), where + ", mm");
    }
    assertThat(seen).as("every phase is in the table").hasSize(phases);
  }

  private static void same(JsonNode found, JsonNode expected, String where) {
    assertThat(found.size()).isEqualTo(expected.size());
    for (int i = 0; i < found.size(); i++) {
      assertThat(found.get(i).asDouble())
          .as(where + " " + i)
          .isCloseTo(expected.get(i).asDouble(), within(1e-6));
    }
  }
}
