package hightally.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.Media;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Rigging a model, from a kind of airframe to a wired and measured one. */
class RigStoriesTest extends Story {
  @Test
  void aNewVTailModelFromAKindToAPrintedWiringSheet() {
    Page page = open("new");
    page.getByRole(AriaRole.RADIO, containing("V-tail, flaps")).click();
    page.getByLabel("Name").fill("Sandpiper");
    button(page, Pattern.compile("^Create")).click();
    assertThat(page.getByRole(AriaRole.HEADING, named("Sandpiper revision 1"))).isVisible();

    page.getByRole(AriaRole.LINK, named("Channel map")).click();
    button(page, "Suggest a map").click();
    Locator proposal = page.locator("[data-proposal]");
    assertThat(proposal).containsText("Channel 5, Right aileron on socket 5");
    button(page, "Use this map").click();
    page.getByLabel("Reason for this change").fill("Map for the new receiver");
    button(page, "Save as revision 2").click();
    assertThat(page.getByText("unsaved change")).hasCount(0);

    page.getByRole(AriaRole.LINK, named("Wiring sheet")).click();
    Locator rows = page.locator("[data-wiring] tbody tr");
    assertThat(rows).hasCount(7);
    assertThat(rows.nth(4)).containsText("Right aileron servo");
    assertThat(page.locator("[data-parts]")).containsText("2 extensions, 1000 mm");
    page.emulateMedia(new Page.EmulateMediaOptions().setMedia(Media.PRINT));
    assertThat(page.getByRole(AriaRole.NAVIGATION, named("Rig"))).isHidden();
    byte[] printed = page.pdf(new Page.PdfOptions().setFormat("A4"));
    assertThat(pages(printed)).as("printed pages").isEqualTo(1);
    assertThat(browser.errors()).isEmpty();
  }

  private static long pages(byte[] pdf) {
    String text = new String(pdf, StandardCharsets.ISO_8859_1);
    return Pattern.compile("/Type\\s*/Page[^s]").matcher(text).results().count();
  }

  @Test
  void aGuidedSetUpWithABreakInTheMiddle() {
    Page page = open("models/3/rig/set-up");
    button(page, "Begin").click();
    Locator step = page.locator("[data-guide]");
    assertThat(step).hasText("Transmitter first, then the model");
    next(page, step);
    assertThat(step).hasText("Left elevon servo: seat the arm");
    page.getByLabel("Arm angle").fill("4");
    button(page, "Compare").click();
    // 25 teeth and four arms reach every 3.6°: 0.4° of the 4° are left.
    assertThat(page.locator("[data-verdict=agrees]")).containsText("0.4° is left");

    // The break: the page is closed and another one opened.
    page.close();
    Page later = open("models/3/rig/set-up");
    Locator here = later.locator("[data-guide]");
    assertThat(here).hasText("Left elevon servo: seat the arm");
    assertThat(later.getByLabel("Arm angle")).hasValue("4");
    next(later, here);
    next(later, here);
    assertThat(here).hasText("Left elevon: direction for roll");
    button(later, "Went up").click();
    assertThat(later.locator("[data-verdict=differs]")).containsText("The other command will show");
    next(later, here);
    button(later, "Went down").click();
    assertThat(later.locator("[data-verdict=differs]")).containsText("reverse this servo");
    button(later, Pattern.compile("^Channel 1, Left elevon: reversed")).click();
    assertThat(later.getByText("1 unsaved change")).isVisible();
    button(later, "Undo").click();
    next(later, here);
    assertThat(here).hasText("Left elevon: measure the travel with a ruler");
    later.getByLabel("Full up").fill("0.4");
    later.getByLabel("Full down").fill("0.4");
    button(later, "Compare").click();
    assertThat(later.locator("[data-verdict=asks]"))
        .containsText("is that in mm, or in another unit?");
    assertThat(browser.errors()).isEmpty();
  }

  private static void next(Page page, Locator step) {
    String before = step.getAttribute("data-guide");
    button(page, "Next").click();
    page.waitForCondition(() -> !before.equals(step.getAttribute("data-guide")));
  }

  @Test
  void aModelGoesToAnotherTransmitterAndAFlapIsAdded() {
    Page page = open("models/1/rig/map");
    button(page, "Switch to another transmitter").click();
    Browser.choose(page.getByLabel("Channel order"), "THROTTLE ROLL PITCH YAW");
    Locator card = page.locator("section", withText("To which transmitter?"));
    card.getByLabel("Pulse centre").fill("1520");
    button(page, "Show before and after").click();
    assertThat(page.locator("[data-moved]"))
        .containsText("Largest difference of any surface: 0.0000 mm");
    button(page, "Use the new transmitter").click();
    assertThat(page.getByText("1 unsaved change")).isVisible();
    page.getByRole(AriaRole.LINK, named("Airframe")).click();
    page.getByLabel("Name of the left one").fill("Left inner flap");
    page.getByLabel("Name of the right one").fill("Right inner flap");
    button(page, "Add it").click();
    assertThat(page.getByRole(AriaRole.HEADING, named("Right inner flap"))).isVisible();
    button(page, "Remove Left inner flap").click();
    assertThat(button(page, "Remove Left inner flap")).hasCount(0);
    assertThat(browser.errors()).isEmpty();
  }
}
