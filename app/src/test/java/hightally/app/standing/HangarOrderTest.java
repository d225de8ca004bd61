package hightally.app.standing;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.ApiTest;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** The hangar in the order in which its models want their pilot, page by page. */
class HangarOrderTest extends ApiTest {
  private long added(String name, boolean touching) throws Exception {
    ObjectNode setup = json.readTree(resource("kinds/tailed-two-aileron-servos.json")).deepCopy();
    setup.put("name", name);
    if (touching) {
      setup
          .withArray("contacts")
          .addObject()
          .put("first", "elevator")
          .put("firstMm", 1)
          .put("second", "rudder")
          .put("secondMm", 1);
    }
    long id =
        post("/api/aircraft", Map.of("reason", "New", "setup", setup)).json().get("id").asLong();
    get("/api/aircraft/" + id);
    return id;
  }

  private List<String> shown(int size) throws Exception {
    List<String> names = new ArrayList<>();
    long total = 1;
    for (int page = 0; names.size() < total; page++) {
      JsonNode answer = get("/api/aircraft?named=Order&page=" + page + "&size=" + size).json();
      total = answer.get("total").asLong();
      answer.get("items").forEach(one -> names.add(one.get("name").asText()));
    }
    return names;
  }

  @Test
  void whatWaitsStandsFirstHoweverManyComeBefore() throws Exception {
    added("Order one", false);
    added("Order two", false);
    long third = added("Order three", true);
    assertThat(shown(1)).containsExactly("Order three", "Order one", "Order two");
    assertThat(shown(12)).containsExactly("Order three", "Order one", "Order two");
    ObjectNode mended = (ObjectNode) get("/api/aircraft/" + third).json().at("/newest/setup");
    mended.withArray("contacts").removeAll();
    post(
        "/api/aircraft/" + third + "/revisions",
        Map.of("reason", "Mended", "setup", mended, "basedOn", 1));
    get("/api/aircraft/" + third);
    assertThat(shown(1)).containsExactly("Order one", "Order two", "Order three");
  }
}
