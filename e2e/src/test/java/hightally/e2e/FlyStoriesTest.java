package hightally.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static hightally.e2e.Catalogue.begins;
import static hightally.e2e.Catalogue.capital;
import static hightally.e2e.Catalogue.like;
import static hightally.e2e.Catalogue.say;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
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
    button(page, say("preflight.checkRunPage.asItShouldBe")).click();
    assertThat(page.locator("[data-check-step='" + step + "']")).hasCount(0);
  }

  private static void finish(Page page) {
    while (page.locator("[data-check-step]").count() > 0) {
      right(page);
    }
    button(page, say("preflight.checkRunPage.finish")).click();
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
    assertThat(page.getByText(like("preflight.checksPage.ofSteps", "answers", 2, "steps", 9)))
        .isVisible();
    page.getByRole(AriaRole.LINK, named(say("preflight.checksPage.continue"))).click();
    assertThat(page.locator("[data-check-step=on]")).isVisible();
    right(page);
    assertThat(page.getByText("Right aileron: up").first()).isVisible();
    assertThat(page.evaluate("() => document.documentElement.scrollWidth <= window.innerWidth"))
        .isEqualTo(true);
    finish(page);
    page.waitForURL("**/fly/new");
    assertThat(page.getByText(like("flightlog.seenCards.checkedToday"))).isVisible();
    assertThat(browser.errors()).isEmpty();
    page.close();
  }

  @Test
  void aHoldGroundsTheModelAndAFlightFlownAllTheSameIsTaken() {
    long model = biplane();
    Page page = phone("models/" + model + "/fly/checks");
    page.getByRole(AriaRole.BUTTON, containing(say("model.grounded.rangeCheck"))).click();
    right(page);
    right(page);
    assertThat(page.locator("[data-check-step=quarter-1]")).isVisible();
    page.getByLabel(say("preflight.counts.holds")).fill("1");
    assertThat(page.getByText(like("preflight.counts.holdGrounds"))).isVisible();
    button(page, say("preflight.checkRunPage.noteIt")).click();
    assertThat(page.locator("[data-check-step=quarter-2]")).isVisible();
    page.navigate(app.address() + "models/" + model + "/fly/new");
    assertThat(page.locator("[data-grounded]")).containsText("one hold");
    describeTheDay(page);
    page.getByLabel(say("flightlog.flightEntryPage.despite"))
        .fill("Only to see whether this is taken");
    button(page, say("flightlog.flightEntryPage.save")).click();
    page.waitForURL("**/fly");
    assertThat(page.getByText(say("flightlog.flightsPage.uncleared", "despite", "Only to see")))
        .isVisible();
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
              new Locator.GetByRoleOptions()
                  .setName(say("preflight.checkRunPage.asItShouldBe"))
                  .setExact(true))
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
    button(page, say("flightlog.flightEntryPage.save")).click();
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
    button(page, say("flightlog.flightEntryPage.save")).click();
    page.waitForURL("**/fly");
    fly(page, model, "CLIMBS", "clear");
    assertThat(page.locator("[data-advice=BALANCE]")).containsText("further forward");
    assertThat(page.getByText(like("coach.packMove", "aft", "false"))).isVisible();
    button(page, say("trimming.adviceCard.doBench")).click();
    assertThat(page.locator("[data-goal]")).containsText(like("coach.goalJob"));
    button(page, say("trimming.adviceCard.packMoved")).click();
    assertThat(page.locator("[data-goal]")).containsText(capital(say("TrimTest.LEVEL_TRIM")));
    page.navigate(app.address() + "models/" + model + "/fly/new");
    describeTheDay(page);
    button(page, say("flightlog.flightEntryPage.save")).click();
    page.waitForURL("**/fly");
    fly(page, model, "CLIMBS", "slight");
    assertThat(page.locator("[data-advice=BALANCE]"))
        .containsText(like("coach.verdict", "verdict_is", "EXTRAPOLATED"));
    button(page, say("trimming.adviceCard.doBench")).click();
    button(page, say("trimming.adviceCard.packMoved")).click();
    assertThat(page.locator("[data-goal]")).containsText(capital(say("TrimTest.LEVEL_TRIM")));
    page.navigate(app.address() + "models/" + model + "/fly/new");
    describeTheDay(page);
    button(page, say("flightlog.flightEntryPage.save")).click();
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
    button(page, say("flightlog.flightEntryPage.save")).click();
    page.waitForURL("**/fly");
    fly(page, model, "TO_BELLY", "clear");
    assertThat(page.locator("[data-advice=RUDDER_TO_ELEVATOR]"))
        .containsText("First step: 2.0 % more up elevator with full rudder");
    button(page, say("trimming.adviceCard.putDraft")).click();
    assertThat(page.getByText(say("aircraft.draftBar.unsaved", "past", 1))).isVisible();
    page.getByLabel(say("aircraft.draftBar.reason")).fill("Knife edge");
    button(page, begins("aircraft.draftBar.save")).click();
    assertThat(page.locator("[data-goal]")).containsText(like("coach.goalChanged"));
    fly(page, model, "", "");
    assertThat(page.locator("[data-test^=KNIFE_EDGE]")).hasAttribute("data-state", "STANDS");
    page.navigate(app.address() + "models/" + model + "/program/mixes");
    assertThat(page.getByText(say("edit.rudderElevator")).first()).isVisible();
    assertThat(browser.errors()).isEmpty();
    page.close();
  }

  @Test
  void theFieldCardCarriesTheTestOnOnePageAndIsTypedIn() {
    long model = biplane();
    Page page = open("models/" + model + "/fly/new");
    describeTheDay(page);
    button(page, say("flightlog.flightEntryPage.save")).click();
    page.waitForURL("**/fly");
    page.navigate(app.address() + "models/" + model + "/fly/card");
    Locator card = page.locator("[data-field-card]");
    assertThat(card.locator("[data-card-test=THROTTLE_CHANGE]"))
        .containsText(like("TrimOutcome.SINKS_AT_ONCE"));
    assertThat(card)
        .containsText(like("coach.goalFirst", "test", capital(say("TrimTest.THROTTLE_CHANGE"))));
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
