package hightally.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static hightally.e2e.Catalogue.begins;
import static hightally.e2e.Catalogue.say;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.LoadState;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A reader gets what he wants: inches and a comma, and no motor where none is. */
class ReaderStoriesTest extends Story {
  private static final List<String> PAGES =
      List.of(
          "models/1/rig",
          "models/1/rig/airframe",
          "models/1/rig/map",
          "models/1/rig/map/wiring",
          "models/1/rig/set-up",
          "models/1/rig/balance",
          "models/1/program",
          "models/2/program/feel",
          "models/2/program/phases",
          "models/2/program/mixes",
          "models/2/program/power",
          "models/2/program/entry",
          "models/2/program/hazards",
          "models/2/program/sheet",
          "models/1/check",
          "models/1/fly",
          "models/1/fly/new",
          "models/1/fly/coach",
          "models/1/fly/card",
          "models/1/fly/wishes",
          "models/1/adjust",
          "models/1/adjust/sheet",
          "models/1/revisions");

  private static Page reader() {
    browser.errors().clear();
    Page page = browser.page(1280, 900, ColorScheme.LIGHT);
    page.navigate(app.address() + "settings");
    page.getByRole(AriaRole.RADIO, named(say("settings.displayCard.inches"))).click();
    page.getByRole(AriaRole.RADIO, named(say("settings.displayCard.comma"))).click();
    assertThat(page.locator("[data-example]")).containsText("0,500 in");
    return page;
  }

  /** The demo wing has no motor: its pages do not speak of one, but for the transmitter's stick. */
  @Test
  void noPageSpeaksOfAMotorThatIsNotThere() {
    Pattern motor = Pattern.compile("(?i)\\b(motors?|propellers?|throttle|idle|thrust)\\b");
    Page page = browser.page(1280, 900, ColorScheme.LIGHT);
    Map<String, String> found = new TreeMap<>();
    for (String path : PAGES) {
      // Parts that can be added to a model are named where they are added, and its channels too.
      if (path.endsWith("rig/airframe") || path.endsWith("rig/map") || path.endsWith("mixes")) {
        continue;
      }
      page.navigate(app.address() + path.replaceFirst("models/\\d", "models/3"));
      page.waitForLoadState(LoadState.NETWORKIDLE);
      for (String line : page.locator("main").innerText().split("\n")) {
        if (motor.matcher(line).find() && !line.matches("Throttle \\d+ %")) {
          found.putIfAbsent(path, line);
        }
      }
    }
    assertThat(found).isEmpty();
    page.close();
  }

  /** What is typed in inches is millimetres in the document, and reads back as it was typed. */
  @Test
  void whatIsTypedInInchesIsKeptInMillimetres() {
    long model = Models.planted(app, 1, setup -> setup.put("name", "Godwit"));
    Page page = reader();
    page.navigate(app.address() + "models/" + model + "/rig");
    page.getByLabel(say("field.Linkage.hornRadiusMm")).fill("0,65");
    assertThat(page.getByText(say("aircraft.draftBar.unsaved", "past", 1))).isVisible();
    page.getByLabel(say("field.Linkage.hornRadiusMm")).fill("9,5");
    assertThat(page.getByText("9,5 is refused")).containsText(" in");
    page.getByLabel(say("field.Linkage.hornRadiusMm")).fill("0.65");
    page.getByLabel(say("aircraft.draftBar.reason")).fill("In inches");
    button(page, begins("aircraft.draftBar.save")).click();
    assertThat(page.getByText(say("aircraft.draftBar.saved", "saved", 2))).isVisible();
    // What was typed stays as it was typed.
    assertThat(page.getByLabel(say("field.Linkage.hornRadiusMm"))).hasValue("0.65");
    assertThat(Models.setup(app, model).toString()).contains("\"hornRadiusMm\":16.51,");
    page.reload();
    assertThat(page.getByLabel(say("field.Linkage.hornRadiusMm"))).hasValue("0,65");
    assertThat(browser.errors()).isEmpty();
    page.close();
  }
}
