package hightally.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
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
    button(page, "Begin: " + name).click();
    page.waitForURL("**/school/*");
    return page;
  }

  private static void ready(Page page) {
    for (Locator one : page.getByRole(AriaRole.CHECKBOX).all()) {
      one.click();
    }
    button(page, "Take off").click();
  }

  @Test
  void theFirstLessonFromItsStartToItsReport() {
    Page page = lesson("Aerobatic model");
    assertThat(page.getByText("One fault: its motor does not point the correct way")).isVisible();
    ready(page);
    button(page, "Fly it").click();
    assertThat(page.locator("[data-watch]")).isVisible();
    assertThat(page.getByText("Simulated.").last()).isVisible();
    button(page, "From the side").click();
    page.locator("[data-outcome=CLIMBS_AT_ONCE]").click();
    button(page, "Note it").click();
    assertThat(page.getByText("The one change")).isVisible();
    page.getByRole(AriaRole.BUTTON, named("+1")).first().click();
    assertThat(button(page, "Fly it")).isVisible();
    button(page, "Fly it").click();
    assertThat(page.getByText("Flight 2: watch it")).isVisible();
    page.getByRole(AriaRole.BUTTON, named("As it should be")).first().click();
    button(page, "Note it").click();
    button(page, "Finish: what was wrong?").click();
    assertThat(page.locator("[data-report]")).isVisible();
    assertThat(page.getByText("The thrust line pointed")).isVisible();
    assertThat(page.getByText("What the coach would have done")).isVisible();
    page.navigate(app.address() + "school");
    assertThat(page.getByText("Aerobatic model, step 1")).isVisible();
    assertThat(browser.errors()).isEmpty();
    page.close();
  }

  /** Clicked as a pilot does: let go, see whether it climbs or sinks, take it level, click. */
  @Test
  void handsOffUntilItStays() {
    Page page = lesson("Thermal glider");
    page.getByRole(AriaRole.LINK, named("Trim it hands off")).click();
    Locator status = page.locator("[data-stays]");
    assertThat(page.locator("[data-watch]")).isVisible();
    boolean stays = false;
    for (int round = 0; round < 25 && !stays; round++) {
      button(page, "Release the sticks").click();
      // As fast as the machine is: until four seconds of flight have passed.
      page.waitForFunction("() => " + STAYS + " || " + FOUR_SECONDS);
      stays = "true".equals(status.getAttribute("data-stays"));
      String words = status.innerText();
      if (!stays) {
        button(page, "Take it level again").click();
        page.waitForFunction("() => !" + FOUR_SECONDS);
        int clicks = words.contains("climbs") || words.contains("sinks") ? degrees(words) : 0;
        String which = words.contains("climbs") ? "Pitch trim: one less" : "Pitch trim: one more";
        for (int i = 0; i < clicks; i++) {
          button(page, which).click();
        }
      }
    }
    assertThat(stays).isTrue();
    assertThat(page.getByText("It flies straight")).isVisible();
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
    button(page, "Try it in the simulator").click();
    assertThat(page.locator("[data-fly-this=ROLL] [data-watch]")).isVisible();
    String same = page.locator("[data-fly-this] figcaption").innerText();
    String[] both = same.replace("Draft: ", "").split("Saved revision: ");
    assertThat(both[0].strip()).isEqualTo(both[1].replace("Simulated.", "").strip());
    page.keyboard().press("Escape");
    button(page, "Remove Aileron to rudder").click();
    button(page, "Try it in the simulator").click();
    assertThat(page.locator("[data-fly-this=ROLL] [data-watch]")).isVisible();
    String after = page.locator("[data-fly-this] figcaption").innerText();
    String[] differs = after.replace("Draft: ", "").split("Saved revision: ");
    assertThat(differs[0].strip()).isNotEqualTo(differs[1].replace("Simulated.", "").strip());
    assertThat(browser.errors()).isEmpty();
    page.close();
  }
}
