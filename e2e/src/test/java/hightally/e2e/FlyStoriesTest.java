package hightally.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Checks before a flight and trim flights, at the field and at the desk. */
class FlyStoriesTest extends Story {
  private static long biplane() {
    return Models.planted(app, 1, setup -> {});
  }

  private static Page phone(String path) {
    browser.errors().clear();
    Page page = browser.page(390, 844, ColorScheme.LIGHT);
    page.navigate(app.address() + path);
    return page;
  }

  private static void right(Page page) {
    String step = page.locator("[data-check-step]").getAttribute("data-check-step");
    button(page, "As it should be").click();
    assertThat(page.locator("[data-check-step='" + step + "']")).hasCount(0);
  }

  private static void finish(Page page) {
    while (page.locator("[data-check-step]").count() > 0) {
      right(page);
    }
    button(page, "Finish the check").click();
  }

  @Test
  void aCheckIsBrokenOffAndGoneOnWith() {
    long model = biplane();
    Page page = phone("models/" + model + "/fly/checks");
    page.locator("[data-begin=FLIGHT]").click();
    assertThat(page.locator("[data-check-step=parts]")).isVisible();
    right(page);
    right(page);
    assertThat(page.locator("[data-check-step=on]")).isVisible();
    // The phone goes into the pocket, and the page is opened anew.
    page.navigate(app.address() + "models/" + model + "/fly/checks");
    assertThat(page.getByText("2 of 9 steps")).isVisible();
    page.getByRole(AriaRole.LINK, named("Continue")).click();
    assertThat(page.locator("[data-check-step=on]")).isVisible();
    right(page);
    assertThat(page.getByText("Right aileron: up").first()).isVisible();
    assertThat(page.evaluate("() => document.documentElement.scrollWidth <= window.innerWidth"))
        .isEqualTo(true);
    finish(page);
    page.waitForURL("**/fly/new");
    assertThat(page.getByText("Checked before: check")).isVisible();
    assertThat(browser.errors()).isEmpty();
    page.close();
  }

  @Test
  void aHoldGroundsTheModelAndAFlightFlownAllTheSameIsTaken() {
    long model = biplane();
    Page page = phone("models/" + model + "/fly/checks");
    page.getByRole(AriaRole.BUTTON, containing("Range check")).click();
    right(page);
    right(page);
    assertThat(page.locator("[data-check-step=quarter-1]")).isVisible();
    page.getByLabel("Holds").fill("1");
    assertThat(page.getByText("A single hold grounds the model")).isVisible();
    button(page, "Note it").click();
    assertThat(page.locator("[data-check-step=quarter-2]")).isVisible();
    page.navigate(app.address() + "models/" + model + "/fly/new");
    assertThat(page.locator("[data-grounded]")).containsText("one hold");
    describeTheDay(page);
    page.getByLabel("Reason for flying it all the same").fill("Only to see whether this is taken");
    button(page, "Save the flight").click();
    page.waitForURL("**/fly");
    assertThat(page.getByText("Flown without being cleared: Only to see")).isVisible();
    page.navigate(app.address());
    assertThat(
            page.locator("article:has(a[href*='/models/" + model + "/']) [data-grounded]").first())
        .containsText("one hold");
    page.close();
  }

  /** Picks what was seen of the test that comes next, and notes the flight. */
  private static void fly(Page page, long model, String outcome, String strength) {
    page.navigate(app.address() + "models/" + model + "/fly/new");
    Locator picker = page.locator("[data-outcomes]").first();
    if (outcome.isEmpty()) {
      picker
          .getByRole(
              AriaRole.BUTTON,
              new Locator.GetByRoleOptions().setName("As it should be").setExact(true))
          .click();
    } else {
      picker.locator("[data-outcome=" + outcome + "]").first().click();
      picker
          .getByRole(
              AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(strength).setExact(true))
          .first()
          .click();
    }
    describeTheDay(page);
    button(page, "Save the flight").click();
    page.waitForURL("**/fly/coach");
  }

  private static void skip(long model, String test) {
    JsonNode body =
        Models.read(
            "{\"test\":{\"test\":\""
                + test
                + "\",\"part\":\"\"},\"because\":\"not in this story\"}");
    Models.call(app, "POST", "api/aircraft/" + model + "/coach/skipped", body);
  }

  @Test
  void threeFlightsOfTheBalanceTest() {
    long model = biplane();
    skip(model, "THROTTLE_CHANGE");
    Page page = phone("models/" + model + "/fly/coach");
    // The first flight trims it level; then the balance comes next.
    page.navigate(app.address() + "models/" + model + "/fly/new");
    describeTheDay(page);
    button(page, "Save the flight").click();
    page.waitForURL("**/fly");
    fly(page, model, "CLIMBS", "clear");
    assertThat(page.locator("[data-advice=BALANCE]")).containsText("further forward");
    assertThat(page.getByText(Pattern.compile("^Move 4S 3300.*forward"))).isVisible();
    button(page, "Do it at the bench").click();
    assertThat(page.locator("[data-goal]")).containsText("First make the open change");
    button(page, "Done: pack moved").click();
    assertThat(page.locator("[data-goal]")).containsText("Level trim");
    page.navigate(app.address() + "models/" + model + "/fly/new");
    describeTheDay(page);
    button(page, "Save the flight").click();
    page.waitForURL("**/fly");
    fly(page, model, "CLIMBS", "slight");
    assertThat(page.locator("[data-advice=BALANCE]")).containsText("as your own flights show");
    button(page, "Do it at the bench").click();
    button(page, "Done: pack moved").click();
    assertThat(page.locator("[data-goal]")).containsText("Level trim");
    page.navigate(app.address() + "models/" + model + "/fly/new");
    describeTheDay(page);
    button(page, "Save the flight").click();
    page.waitForURL("**/fly");
    fly(page, model, "", "");
    assertThat(page.locator("[data-test^=INVERTED_45]")).hasAttribute("data-state", "STANDS");
    assertThat(browser.errors()).isEmpty();
    page.close();
  }

  @Test
  void aKnifeEdgeMixIsBuiltByTheCoachAndConfirmed() {
    long model = Models.planted(app, 1, setup -> setup.putArray("mixes"));
    for (String test :
        new String[] {
          "THROTTLE_CHANGE", "INVERTED_45", "INVERTED_LEVEL", "VERTICAL_UP", "ROLL_AXIS"
        }) {
      skip(model, test);
    }
    Page page = open("models/" + model + "/fly/new");
    describeTheDay(page);
    button(page, "Save the flight").click();
    page.waitForURL("**/fly");
    fly(page, model, "TO_BELLY", "clear");
    assertThat(page.locator("[data-advice=RUDDER_TO_ELEVATOR]"))
        .containsText("First step: 2.0 % more up elevator with full rudder");
    button(page, "Put it in the draft").click();
    assertThat(page.getByText("1 unsaved change")).isVisible();
    page.getByLabel("Reason for this change").fill("Knife edge");
    button(page, Pattern.compile("^Save as revision")).click();
    assertThat(page.locator("[data-goal]")).containsText("the change is made");
    fly(page, model, "", "");
    assertThat(page.locator("[data-test^=KNIFE_EDGE]")).hasAttribute("data-state", "STANDS");
    page.navigate(app.address() + "models/" + model + "/program/mixes");
    assertThat(page.getByText("Rudder to elevator").first()).isVisible();
    assertThat(browser.errors()).isEmpty();
    page.close();
  }

  @Test
  void theFieldCardCarriesTheTestOnOnePageAndIsTypedIn() {
    long model = biplane();
    Page page = open("models/" + model + "/fly/new");
    describeTheDay(page);
    button(page, "Save the flight").click();
    page.waitForURL("**/fly");
    page.navigate(app.address() + "models/" + model + "/fly/card");
    Locator card = page.locator("[data-field-card]");
    assertThat(card.locator("[data-card-test=THROTTLE_CHANGE]")).containsText("Sinks at once");
    assertThat(card).containsText("Throttle change: fly it");
    assertThat(
            new String(page.pdf(), java.nio.charset.StandardCharsets.ISO_8859_1)
                    .split("/Type ?/Page[^s]")
                    .length
                - 1)
        .as("pages")
        .isEqualTo(1);
    fly(page, model, "SINKS_AT_ONCE", "slight");
    assertThat(page.locator("[data-advice=DOWN_THRUST]")).containsText("less down thrust");
    assertThat(browser.errors()).isEmpty();
    page.close();
  }
}
