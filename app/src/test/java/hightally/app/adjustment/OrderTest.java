package hightally.app.adjustment;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import hightally.app.Pilot;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** An order that was begun can always be closed, and nothing slips in under it. */
class OrderTest extends Pilot {
  @Autowired private JdbcTemplate database;

  @Test
  void anOrderBegunOnAnOlderFlightIsClosed() throws Exception {
    String at = newModel();
    long flight = settled(at, 1, 6, -8, 0);
    assertThat(revise(at, "/house", "rulerMm", 0.7).status()).isEqualTo(201);
    JsonNode open = post(at + "/adjustment", beginning(flight)).json();
    assertThat(open.get("revisionNumber").asInt()).isEqualTo(2);
    Answer closed = closed(at, open);
    assertThat(closed.status()).as(closed.body()).isEqualTo(200);
    assertThat(closed.json().get("number").asInt()).isEqualTo(3);
    assertThat(closed.json().at("/setup/house/rulerMm").asDouble()).isEqualTo(0.7);
    assertThat(closed.json().get("setup")).isEqualTo(open.at("/plan/after"));
  }

  @Test
  void noRevisionSlipsInUnderAnOpenOrder() throws Exception {
    String at = newModel();
    JsonNode open = post(at + "/adjustment", beginning(settled(at, 1, 6, -8, 0))).json();
    Answer refused = revise(at, "/house", "rulerMm", 0.7);
    assertThat(refused.status()).isEqualTo(409);
    assertThat(refused.body())
        .contains("work order for this model is open, on revision 1")
        .contains("still on this page");
    assertThat(closed(at, open).status()).isEqualTo(200);
    assertThat(revise(at, "/house", "rulerMm", 0.7).status()).isEqualTo(201);
  }

  /**
   * As data from before revisions were held back may have it: the rods are turned, so it closes.
   */
  @Test
  void anOrderBelowANewerRevisionIsClosedOntoIt() throws Exception {
    String at = newModel();
    JsonNode open = post(at + "/adjustment", beginning(settled(at, 1, 6, -8, 0))).json();
    long order = open.get("id").asLong();
    database.update("update adjustment set state = 'CLOSED' where id = ?", order);
    assertThat(revise(at, "", "name", "Renamed meanwhile").status()).isEqualTo(201);
    database.update("update adjustment set state = 'OPEN' where id = ?", order);
    Answer closed = closed(at, open);
    assertThat(closed.status()).as(closed.body()).isEqualTo(200);
    JsonNode made = closed.json().get("setup");
    JsonNode planned = open.at("/plan/after");
    assertThat(made.get("name").asText()).isEqualTo("Renamed meanwhile");
    assertThat(made.get("surfaces")).isEqualTo(planned.get("surfaces"));
    assertThat(made.get("trims")).isEqualTo(planned.get("trims"));
  }

  @Test
  void anOrderBegunAgainIsTheSameAndAnotherIsRefused() throws Exception {
    String at = newModel();
    long flight = settled(at, 1, 6, -8, 0);
    JsonNode open = post(at + "/adjustment", beginning(flight)).json();
    assertThat(post(at + "/adjustment", beginning(flight)).json()).isEqualTo(open);
    long other = settled(at, 1, -6, 9, 0);
    assertThat(post(at + "/adjustment", beginning(other)).status()).isEqualTo(409);
  }
}
