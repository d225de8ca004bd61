package hightally.app;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.app.ApiTest.Answer;
import java.util.ArrayList;
import java.util.List;

/** Every page's data of a model, as the published description names them. */
public final class EveryPage {
  /** Asks a path. */
  public interface Asking {
    /** Its answer. */
    Answer get(String path) throws Exception;
  }

  private final Asking asking;
  private final List<String> pages = new ArrayList<>();

  /** With the pages there are. */
  public EveryPage(Asking asking) throws Exception {
    this.asking = asking;
    for (var one : asking.get("/api/openapi").json().get("paths").properties()) {
      // The simulated flight is flown, not read, and of the setup alone.
      boolean asks = one.getValue().has("get") && !one.getKey().endsWith("/simulated-flight");
      if (asks && one.getKey().startsWith("/api/aircraft/{")) {
        pages.add(one.getKey());
      }
    }
    assertThat(pages).hasSizeGreaterThan(20);
  }

  /**
   * Holds that each of a model answers, with data or with what there is none of.
   *
   * @param why what is told if one does not
   */
  public void answers(String why, long model) throws Exception {
    String its = "/api/aircraft/" + model;
    String flight = asking.get(its + "/flights").json().at("/items/0/id").asText("0");
    String check = asking.get(its + "/checks").json().at("/runs/0/id").asText("0");
    boolean first = asking.get(its).json().at("/newest/number").asInt() == 1;
    for (String page : pages) {
      if (first && page.endsWith("/way-back")) {
        continue; // There is none back from the first revision to itself.
      }
      String at =
          page.replaceFirst("\\{(aircraftId|id)\\}", "" + model)
              .replace("{number}", "1")
              .replace("{flightId}", flight)
              .replace("{runId}", check);
      Answer answer = asking.get(at + "?transmitter=Sender&revision=1&step=x&pilot=BEGINNER");
      assertThat(answer.status())
          .as(why + ": " + at + " " + answer.body())
          .isIn(200, 204, 404, 409);
      if (answer.status() == 404) {
        boolean none = flight.equals("0") && page.contains("{flightId}");
        none |= check.equals("0") && page.contains("{runId}");
        assertThat(none || at.matches(".*(adjustment|bench-set-up).*"))
            .as(why + ": " + at + " " + answer.body())
            .isTrue();
      }
    }
  }
}
