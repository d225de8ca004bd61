package hightally.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static hightally.e2e.Catalogue.begins;
import static hightally.e2e.Catalogue.like;
import static hightally.e2e.Catalogue.say;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** A model that moves otherwise than it is described, met by the guide at the bench. */
class BenchSetUpStoriesTest extends Story {
  private static final int MOST_LOOKS = 20;

  /** The guide begun; a model without a motor is not asked how it was made harmless. */
  private static Page begun(long model, String harmless) {
    Page page = open("models/" + model + "/rig/set-up");
    button(page, say("benchsetup.setUpPage.begin")).click();
    if (!harmless.isEmpty()) {
      assertThat(button(page, say("benchsetup.guidedStep.next"))).isDisabled();
      pick(page, harmless);
    }
    assertThat(button(page, say("benchsetup.guidedStep.next"))).isEnabled();
    return page;
  }

  /** Picks an answer and waits until it is taken. */
  private static void pick(Page page, String answer) {
    button(page, answer).click();
    assertThat(page.locator("form [aria-pressed=true]")).hasText(answer);
  }

  private static void to(Page page, String step) {
    Locator all = page.getByText(say("benchsetup.guidedStep.allSteps"));
    if (!page.locator("ol button").first().isVisible()) {
      all.click();
    }
    page.locator("ol")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(step))
        .first()
        .click();
    assertThat(page.locator("[data-guide]")).hasText(step);
  }

  private static JsonNode node(ObjectNode setup, String list, String id) {
    for (JsonNode one : setup.get(list)) {
      if (one.get("id").asText().equals(id)) {
        return one;
      }
    }
    throw new IllegalArgumentException(id);
  }

  /** Looks until there is none left; the elevator seen to go the other way, or as it must. */
  private static String looked(Page page, boolean turned) {
    Locator stage = page.locator("[data-ways]");
    Locator look = page.locator("[data-look]");
    for (int looks = 0; looks < MOST_LOOKS; looks++) {
      assertThat(stage).isVisible();
      if (!"LOOKING".equals(stage.getAttribute("data-ways"))) {
        return stage.getAttribute("data-ways");
      }
      String id = look.getAttribute("data-look");
      Locator elevator = look.getByText(like("probe.goes", "surface", "Elevator"));
      if (turned && elevator.count() > 0) {
        elevator.first().click();
        Locator ways = look.getByRole(AriaRole.RADIO);
        assertThat(ways.first()).isVisible();
        boolean up = "true".equals(ways.first().getAttribute("aria-checked"));
        ways.nth(up ? 2 : 0).click();
        button(page, say("benchsetup.ways.seen")).click();
      } else {
        button(page, say("benchsetup.ways.asDrawn")).click();
      }
      assertThat(page.locator("[data-look='" + id + "']")).hasCount(0);
    }
    throw new AssertionError("no end of looks");
  }

  /** What the rig is, by looks: one thing the other way round is one change, and one look again. */
  @Test
  void whichSurfaceMovedIsFoundOutByLooks() {
    Page page = open("models/1/rig/set-up");
    button(page, say("benchsetup.ways.begin")).click();
    assertThat(looked(page, true)).isEqualTo("MENDING");
    assertThat(button(page, say("benchsetup.ways.done"))).isVisible();
    page.reload();
    button(page, say("benchsetup.ways.begin")).click();
    button(page, say("benchsetup.ways.done")).click();
    assertThat(page.locator("[data-look]")).isVisible();
    assertThat(looked(page, false)).isEqualTo("AGREED");
  }

  @Test
  void aRudderThatGoesTheWrongWayRound() {
    Page page = begun(1, "Propeller taken off");
    to(page, "Rudder: direction for yaw");
    String asked = page.locator("[data-guide] + p").innerText();
    assertThat(asked).contains("right");
    boolean pulls =
        node(Models.setup(app, 1), "servos", "servo-rudder").get("pullsOnIncrease").asBoolean();
    pick(page, "Went left");
    assertThat(page.locator("[data-verdict=differs]")).containsText(like("guide.reverseServo"));
    button(page, begins("guide.channelTurned")).click();
    page.getByLabel(say("aircraft.draftBar.reason")).fill("The rudder went the wrong way");
    button(page, begins("aircraft.draftBar.save")).click();
    // What was seen belongs to the old wiring: asked again, the same way round.
    assertThat(page.getByText(like("benchsetup.guidedStep.askedAgain"))).isVisible();
    assertThat(page.locator("[data-guide] + p")).hasText(asked);
    pick(page, "Went right");
    assertThat(page.locator("[data-verdict=agrees]")).containsText(like("guide.rightWay"));
    assertThat(
            node(Models.setup(app, 1), "servos", "servo-rudder").get("pullsOnIncrease").asBoolean())
        .isEqualTo(!pulls);
    page.navigate(app.address() + "models/1/rig");
    assertThat(page.locator("[data-finding=against-its-role]")).hasCount(0);
    assertThat(browser.errors()).isEmpty();
  }

  @Test
  void elevonsWithExchangedLeads() {
    Page page = begun(3, "");
    to(page, "Left elevon: direction for roll");
    pick(page, "Went up");
    to(page, "Left elevon: direction for pitch");
    pick(page, "Went up");
    to(page, "Right elevon: direction for roll");
    pick(page, "Went down");
    to(page, "Right elevon: direction for pitch");
    pick(page, "Went up");
    assertThat(page.locator("[data-verdict=differs]")).containsText(like("guide.leadsSwapped"));
    assertThat(page.locator("[data-verdict=differs] button")).hasCount(0);
    // Exchanged at the receiver, everything is tried again and is right.
    pick(page, "Went up");
    to(page, "Right elevon: direction for roll");
    pick(page, "Went up");
    to(page, "Left elevon: direction for roll");
    pick(page, "Went down");
    assertThat(page.locator("[data-verdict=agrees]")).containsText(like("guide.rightWay"));
    assertThat(browser.errors()).isEmpty();
  }

  @Test
  void oneAileronOfAYLeadIsMendedAtItsHornAndNeverByReversingBoth() {
    long model =
        Models.planted(
            app,
            4,
            setup -> {
              ((ObjectNode) node(setup, "servos", "servo-aileron-right")).put("channel", 1);
              for (JsonNode lead : setup.at("/wiring/leads")) {
                if (lead.get("device").asText().contains("aileron")) {
                  ((ObjectNode) lead).put("socket", 1).put("splitter", "Y");
                }
              }
            });
    Page page = begun(model, "Propeller taken off");
    to(page, "Left aileron: direction for roll");
    pick(page, "Went down");
    to(page, "Right aileron: direction for roll");
    pick(page, "Went down");
    Locator verdict = page.locator("[data-verdict=differs]");
    assertThat(verdict).containsText(like("guide.wrongShared"));
    assertThat(verdict.getByRole(AriaRole.BUTTON)).hasCount(0);
    pick(page, "Went up");
    assertThat(page.locator("[data-verdict=agrees]")).containsText(like("guide.rightWay"));
    assertThat(browser.errors()).isEmpty();
  }

  @Test
  void noMotorIsTouchedBeforeThePropellerIsOff() {
    Page page = begun(4, "Motor unplugged");
    to(page, "The propeller comes off now");
    assertThat(page.getByText(like("guide.firstPropellerOff"))).isVisible();
    button(page, say("benchsetup.guidedStep.next")).click();
    assertThat(page.locator("[data-guide]")).hasText(say("guide.keepersAndRecheck"));
    button(page, say("benchsetup.guidedStep.back")).click();
    pick(page, "Propeller off, model held");
    button(page, say("benchsetup.guidedStep.next")).click();
    assertThat(page.locator("[data-guide]"))
        .hasText(say("guide.motorTouch", "motor", "Left motor"));
    pick(page, "It starts gently and stops with the throttle closed");
    button(page, say("benchsetup.guidedStep.next")).click();
    pick(page, "It turns the other way");
    assertThat(page.locator("[data-verdict=differs]")).containsText(like("guide.swapTwoLeads"));
    assertThat(browser.errors()).isEmpty();
  }
}
