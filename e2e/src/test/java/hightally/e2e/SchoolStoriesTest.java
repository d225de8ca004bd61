package hightally.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static hightally.e2e.Catalogue.like;
import static hightally.e2e.Catalogue.say;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** The trim school: a lesson to its report, hands off until it stays, a draft flown. */
class SchoolStoriesTest extends Story {
  private static final String SAID = "document.querySelector('[data-stays]')";
  private static final String STAYS = "(" + SAID + ".dataset.stays === 'true')";
  private static final String FOUR_SECONDS = "(Number(" + SAID + ".dataset.free) >= 4.3)";

  private static Page lesson(String name) {
    Page page = open("school");
    button(page, say("school.schoolPage.begin", "name", name)).click();
    page.waitForURL("**/school/*");
    return page;
  }

  private static void ready(Page page) {
    for (Locator one : page.getByRole(AriaRole.CHECKBOX).all()) {
      one.click();
    }
    button(page, say("school.practicePage.takeOff")).click();
  }

  @Test
  void theFirstLessonFromItsStartToItsReport() {
    Page page = lesson("Aerobatic model");
    assertThat(page.getByText(like("school.first", "kind_is", "DOWN_THRUST"))).isVisible();
    ready(page);
    button(page, say("school.practicePage.flyIt")).click();
    assertThat(page.locator("[data-watch]")).isVisible();
    assertThat(page.getByText(like("simulator.watch.simulated")).last()).isVisible();
    button(page, say("simulator.watch.side")).click();
    page.locator("[data-outcome=CLIMBS_AT_ONCE]").click();
    button(page, say("school.practicePage.noteIt")).click();
    assertThat(page.getByText(say("school.oneChange.title"))).isVisible();
    page.getByRole(AriaRole.BUTTON, named("+1")).first().click();
    assertThat(button(page, say("school.practicePage.flyIt"))).isVisible();
    button(page, say("school.practicePage.flyIt")).click();
    assertThat(page.getByText(say("school.practicePage.watchFlight", "flight", 2))).isVisible();
    page.getByRole(AriaRole.BUTTON, named(say("preflight.checkRunPage.asItShouldBe")))
        .first()
        .click();
    button(page, say("school.practicePage.noteIt")).click();
    button(page, say("school.practicePage.finishAsked")).click();
    assertThat(page.locator("[data-report]")).isVisible();
    Locator down = page.getByText(like("air.fault", "kind_is", "DOWN_THRUST", "more", "true"));
    Locator up = page.getByText(like("air.fault", "kind_is", "DOWN_THRUST", "more", "false"));
    assertThat(down.or(up)).isVisible();
    assertThat(page.getByText(say("school.reportCard.coachDid"))).isVisible();
    page.navigate(app.address() + "school");
    assertThat(
            page.getByText(
                say("school.schoolPage.lessonStep", "lesson", "Aerobatic model", "step", 1)))
        .isVisible();
    assertThat(browser.errors()).isEmpty();
    page.close();
  }

  /** Clicked as a pilot does: let go, see whether it climbs or sinks, take it level, click. */
  @Test
  void handsOffUntilItStays() {
    Page page = lesson("Thermal glider");
    page.getByRole(AriaRole.LINK, named(say("school.practicePage.trim"))).click();
    Locator status = page.locator("[data-stays]");
    assertThat(page.locator("[data-watch]")).isVisible();
    boolean stays = false;
    for (int round = 0; round < 25 && !stays; round++) {
      button(page, say("school.handsOffPage.release")).click();
      // As fast as the machine is: until four seconds of flight have passed.
      page.waitForFunction("() => " + STAYS + " || " + FOUR_SECONDS);
      stays = "true".equals(status.getAttribute("data-stays"));
      String words = status.innerText();
      if (!stays) {
        button(page, say("school.handsOffPage.again")).click();
        page.waitForFunction("() => !" + FOUR_SECONDS);
        int clicks = words.contains("climbs") || words.contains("sinks") ? degrees(words) : 0;
        String which = words.contains("climbs") ? "Pitch trim: one less" : "Pitch trim: one more";
        for (int i = 0; i < clicks; i++) {
          button(page, which).click();
        }
      }
    }
    assertThat(stays).isTrue();
    assertThat(page.getByText(say("school.handsOffPage.straight"))).isVisible();
    assertThat(browser.errors()).isEmpty();
    page.close();
  }

  private static int degrees(String words) {
    String number = words.replaceAll("(?s).*?(?:climbs|sinks) (\\d+)°.*", "$1");
    return Math.max(1, Integer.parseInt(number) / 3);
  }

  @Test
  void aDraftIsFlownWithAndWithoutAMix() {
    long model = Models.planted(app, 2, setup -> {});
    Page page = open("models/" + model + "/program/mixes");
    button(page, say("simulator.tryInSimulator.trySimulator")).click();
    assertThat(page.locator("[data-fly-this=ROLL] [data-watch]")).isVisible();
    String same = page.locator("[data-fly-this] figcaption").innerText();
    String[] both = same.replace("Draft: ", "").split("Saved revision: ");
    assertThat(both[0].strip())
        .isEqualTo(
            both[1].replace(say("simulator.watch.simulated", "words", "").strip(), "").strip());
    page.keyboard().press("Escape");
    button(page, say("program.mixesPage.remove", "mix", "Aileron to rudder")).click();
    button(page, say("simulator.tryInSimulator.trySimulator")).click();
    assertThat(page.locator("[data-fly-this=ROLL] [data-watch]")).isVisible();
    String after = page.locator("[data-fly-this] figcaption").innerText();
    String[] differs = after.replace("Draft: ", "").split("Saved revision: ");
    assertThat(differs[0].strip()).isNotEqualTo(differs[1].replace("Simulated.", "").strip());
    assertThat(browser.errors()).isEmpty();
    page.close();
  }
}
