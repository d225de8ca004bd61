package hightally.app.demo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import hightally.app.ApiTest;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;

/** The demo data tell a story that is true of the models they are flown with. */
class DemoTest extends ApiTest {
  @Test
  void theGlidersWrongClickStepWasFoundFromItsFlightsAndCorrected() throws Exception {
    double real =
        json.readTree(resource("demo/larkmere.json"))
            .at("/transmitter/clickStepPercent")
            .asDouble();
    assertThat(click(1)).as("guessed").isGreaterThan(real * 1.4);
    assertThat(click(3)).as("corrected").isCloseTo(real, Percentage.withPercentage(10));
    for (JsonNode phase : get("/api/aircraft/2/standing-trims").json().get("phases")) {
      assertThat(phase.at("/trims/roll").asDouble())
          .as("roll, after the rods")
          .isCloseTo(0, within(2.0));
    }
  }

  private double click(int revision) throws Exception {
    return get("/api/aircraft/2/revisions/" + revision)
        .json()
        .at("/setup/transmitter/clickStepPercent")
        .asDouble();
  }
}
