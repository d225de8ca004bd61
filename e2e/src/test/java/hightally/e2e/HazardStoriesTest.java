package hightally.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static hightally.e2e.Catalogue.like;
import static hightally.e2e.Catalogue.say;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Hazards of every kind that moves something: found on the page, shown on the bench, seen there.
 */
class HazardStoriesTest extends Story {
  private static final ObjectMapper JSON = new ObjectMapper();
  private static final double JUMP_MM = 5;
  private static final double SOON = 1;

  /** What the bench of a page was told, frame by frame. */
  private static final class Frames {
    private final List<JsonNode> all = new CopyOnWriteArrayList<>();

    void take(String text) {
      try {
        JsonNode frame = JSON.readTree(text);
        if (frame.path("type").asText().equals("frame")) {
          all.add(frame);
        }
      } catch (IOException e) {
        throw new IllegalStateException(e);
      }
    }

    JsonNode last() {
      return all.get(all.size() - 1);
    }

    boolean any(Predicate<JsonNode> seen) {
      return all.stream().anyMatch(seen);
    }

    /** Whether power stood still in some frame and ran in a later one. */
    boolean rose() {
      double least = 1;
      for (JsonNode one : all) {
        double power = one.at("/bench/motorPower").asDouble();
        if (power > least + 0.1) {
          return true;
        }
        least = Math.min(least, power);
      }
      return false;
    }

    /** Whether a surface was somewhere else from one frame to the next. */
    boolean jumped(int surface) {
      for (int i = 1; i < all.size(); i++) {
        double was = all.get(i - 1).at("/positions/travelMm/" + surface).asDouble();
        double is = all.get(i).at("/positions/travelMm/" + surface).asDouble();
        if (Math.abs(is - was) > JUMP_MM) {
          return true;
        }
      }
      return false;
    }
  }

  private static ObjectNode object(ObjectNode setup, String at) {
    return (ObjectNode) setup.at(at);
  }

  private static void mix(ObjectNode setup, String target, double percent, String when) {
    ObjectNode mix = (ObjectNode) setup.at("/mixes/1").deepCopy();
    mix.put("id", "planted").put("name", "Planted").put("source", "CONSTANT").put("subject", "");
    mix.put("weightPlusPercent", percent).put("when", when);
    ((ObjectNode) mix.at("/targets/0")).put("target", target);
    ((ArrayNode) mix.get("targets")).remove(1);
    mix.putArray("phases");
    ((ArrayNode) setup.get("mixes")).add(mix);
  }

  private static void plant(String kind, ObjectNode setup) {
    // The sooner all has faded, the sooner a hazard has been shown.
    setup.get("phases").forEach(one -> ((ObjectNode) one).put("fadeSeconds", SOON));
    switch (kind) {
      case "MOTOR_STARTS" -> object(setup, "/phases/4").put("fadeSeconds", 0);
      case "MOTOR_RISES" -> object(setup, "/notebook").putArray("accepted");
      case "CANNOT_STOP" -> object(setup, "/power/curves/0/points/0").put("y", 30);
      case "CUT_DISAGREES" -> object(setup, "/power").put("cutPercent", 40);
      case "RUNS_OUT" -> object(setup, "/feel/pitch").put("ratePositivePercent", 150);
      case "SURFACE_JUMPS" -> mix(setup, "elevator", 60, "half-flap");
      case "SWITCH_MOVES" -> {
        mix(setup, "elevator", 60, "half-flap");
        for (JsonNode channel : setup.get("channels")) {
          boolean elevator = channel.get("carries").asText().equals("elevator");
          ((ObjectNode) channel).put("steady", elevator);
        }
      }
      case "FAILSAFE_END" ->
          ((ArrayNode) setup.at("/power/failsafe"))
              .addObject()
              .put("channel", 2)
              .put("holds", false)
              .put("percent", -150);
      case "PAIR_UNEQUAL" -> mix(setup, "aileron-left", 30, "half-flap");
      case "SURFACES_TOUCH" ->
          ((ArrayNode) setup.get("contacts"))
              .addObject()
              .put("first", "elevator")
              .put("firstMm", 6)
              .put("second", "rudder")
              .put("secondMm", 6);
      case "CONTROL_DEAD" ->
          object(setup, "/feel/yaw").put("ratePositivePercent", 0).put("rateNegativePercent", 0);
      default -> throw new IllegalArgumentException(kind);
    }
  }

  private static double travel(JsonNode frame, int surface) {
    return frame.at("/positions/travelMm/" + surface).asDouble();
  }

  private static boolean seen(String kind, Frames frames) {
    return switch (kind) {
      case "MOTOR_STARTS", "MOTOR_RISES" -> frames.rose();
      case "CANNOT_STOP", "CUT_DISAGREES" -> frames.last().at("/bench/motorPower").asDouble() > 0.1;
      case "RUNS_OUT" -> Math.abs(travel(frames.last(), 2)) > JUMP_MM;
      case "SURFACE_JUMPS", "SWITCH_MOVES" -> frames.jumped(2);
      case "FAILSAFE_END" -> travel(frames.last(), 2) < -JUMP_MM;
      case "PAIR_UNEQUAL" ->
          frames.any(one -> Math.abs(travel(one, 0) - travel(one, 1)) > 1 && half(one));
      case "SURFACES_TOUCH" -> frames.any(one -> travel(one, 2) >= 6 && travel(one, 3) >= 6);
      case "CONTROL_DEAD" -> Math.abs(travel(frames.last(), 3)) < 0.1;
      default -> false;
    };
  }

  private static boolean half(JsonNode frame) {
    return frame.path("phase").asText().equals("half-flap");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "MOTOR_STARTS",
        "MOTOR_RISES",
        "CANNOT_STOP",
        "CUT_DISAGREES",
        "RUNS_OUT",
        "SURFACE_JUMPS",
        "SWITCH_MOVES",
        "FAILSAFE_END",
        "PAIR_UNEQUAL",
        "SURFACES_TOUCH",
        "CONTROL_DEAD"
      })
  void aHazardIsFoundShownAndSeenToHappen(String kind) {
    long model = Models.planted(app, 4, setup -> plant(kind, setup));
    Frames frames = new Frames();
    browser.errors().clear();
    Page page = browser.page(1280, 800, com.microsoft.playwright.options.ColorScheme.LIGHT);
    page.onWebSocket(socket -> socket.onFrameReceived(frame -> frames.take(frame.text())));
    page.navigate(app.address() + "models/" + model + "/program/hazards");
    assertThat(page.locator("[data-outcome]")).isVisible();
    Locator card = page.locator("[data-hazard=" + kind + "]:not([data-accepted])").first();
    assertThat(card).isVisible();
    page.waitForCondition(() -> !frames.all.isEmpty());
    frames.all.clear();
    card.getByText(say("program.hazardsPage.showBench")).click();
    page.waitForCondition(() -> !frames.all.isEmpty() && seen(kind, frames));
    assertThat(browser.errors()).isEmpty();
    page.close();
  }

  @Test
  void whatGroundsAModelStandsWhereverItIsShownAndGoesWhenItIsMended() {
    long model = Models.planted(app, 4, setup -> plant("CANNOT_STOP", setup));
    Page page = open("");
    Locator itself = page.locator("a[href='/models/" + model + "/rig']");
    Locator card = page.locator("article", new Page.LocatorOptions().setHas(itself));
    assertThat(card.locator("[data-grounded]")).isVisible();
    for (String place : List.of("check", "fly/new", "fly/card")) {
      page.navigate(app.address() + "models/" + model + "/" + place);
      assertThat(page.locator("[data-grounded]").first())
          .containsText(like("model.grounded.termGrounded"));
      assertThat(
              page.getByLabel(
                  say("model.grounded.grounded"), new Page.GetByLabelOptions().setExact(true)))
          .isVisible();
    }
    page.navigate(app.address() + "models/1/check");
    assertThat(page.getByText(like("model.grounded.clearedWords"))).isVisible();
    assertThat(page.getByLabel(say("model.grounded.cleared"))).isVisible();
    // One that nobody has looked at is not green, and leads to what is missing.
    page.navigate(app.address() + "models/4/check");
    assertThat(
            page.getByLabel(
                say("model.grounded.notCleared"), new Page.GetByLabelOptions().setExact(true)))
        .isVisible();
    page.getByText(like("model.grounded.because")).click();
    assertThat(page.locator("[data-verdict=NOT_YET]")).containsText(like("model.grounded.before"));
    assertThat(browser.errors()).isEmpty();
  }
}
