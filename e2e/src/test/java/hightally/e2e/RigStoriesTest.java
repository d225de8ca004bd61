package hightally.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static hightally.e2e.Catalogue.begins;
import static hightally.e2e.Catalogue.like;
import static hightally.e2e.Catalogue.say;
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
    page.getByLabel(say("rig.moveCard.name")).fill("Sandpiper");
    button(page, begins("hangar.newModelPage.create")).click();
    assertThat(page.getByRole(AriaRole.HEADING, named("Sandpiper revision 1"))).isVisible();

    page.getByRole(AriaRole.LINK, named(say("rig.mapPage.channelMap"))).click();
    button(page, say("rig.mapPage.suggest")).click();
    Locator proposal = page.locator("[data-proposal]");
    assertThat(proposal)
        .containsText(
            say("rig.mapPage.channel", "channel", 5, "line", "Right aileron on socket 5"));
    button(page, say("rig.mapPage.use")).click();
    page.getByLabel(say("aircraft.draftBar.reason")).fill("Map for the new receiver");
    button(page, say("aircraft.draftBar.save", "number", 2)).click();
    assertThat(page.getByText(like("aircraft.draftBar.unsaved"))).hasCount(0);

    page.getByRole(AriaRole.LINK, named(say("rig.mapPage.wiringSheet"))).click();
    Locator rows = page.locator("[data-wiring] tbody tr");
    assertThat(rows).hasCount(7);
    assertThat(rows.nth(4)).containsText(say("edit.servo", "surface", "Right aileron"));
    assertThat(page.locator("[data-parts]"))
        .containsText(like("wiring.extensions", "count", 2, "length", "1000 mm"));
    page.emulateMedia(new Page.EmulateMediaOptions().setMedia(Media.PRINT));
    assertThat(page.getByRole(AriaRole.NAVIGATION, named(say("rig.rigPages.rig")))).isHidden();
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
    button(page, say("benchsetup.setUpPage.begin")).click();
    Locator step = page.locator("[data-guide]");
    assertThat(step).hasText(say("guide.transmitterFirst"));
    next(page, step);
    assertThat(step).hasText(say("guide.ways"));
    next(page, step);
    assertThat(step).hasText(say("guide.seatArm", "servo", "Left elevon servo"));
    page.getByLabel(say("field.Reading.armDegrees")).fill("4");
    button(page, say("benchsetup.guidedStep.compare")).click();
    // 25 teeth and four arms reach every 3.6°: 0.4° of the 4° are left.
    assertThat(page.locator("[data-verdict=agrees]"))
        .containsText(like("guide.leftForRod", "left", "0.4°"));

    // The break: the page is closed and another one opened.
    page.close();
    Page later = open("models/3/rig/set-up");
    Locator here = later.locator("[data-guide]");
    assertThat(here).hasText(say("guide.seatArm", "servo", "Left elevon servo"));
    assertThat(later.getByLabel(say("field.Reading.armDegrees"))).hasValue("4");
    next(later, here);
    next(later, here);
    assertThat(here).hasText(say("guide.travelRuler", "surface", "Left elevon"));
    later.getByLabel(say("guide.full", "way", "up")).fill("0.4");
    later.getByLabel(say("guide.full", "way", "down")).fill("0.4");
    button(later, say("benchsetup.guidedStep.compare")).click();
    assertThat(later.locator("[data-verdict=asks]")).containsText(like("guide.otherUnitPerhaps"));
    assertThat(browser.errors()).isEmpty();
  }

  private static void next(Page page, Locator step) {
    String before = step.getAttribute("data-guide");
    button(page, say("benchsetup.guidedStep.next")).click();
    page.waitForCondition(() -> !before.equals(step.getAttribute("data-guide")));
  }

  @Test
  void aModelGoesToAnotherTransmitterAndAFlapIsAdded() {
    Page page = open("models/1/rig/map");
    button(page, say("rig.moveCard.title")).click();
    Browser.choose(page.getByLabel(say("rig.moveCard.channelOrder")), "THROTTLE ROLL PITCH YAW");
    Locator card = page.locator("section", withText(say("rig.moveCard.toWhich")));
    card.getByLabel(say("field.Output.centre")).fill("1520");
    button(page, say("rig.moveCard.showBoth")).click();
    assertThat(page.locator("[data-moved]"))
        .containsText(say("rig.moveCard.apart", "length", "0.0000 mm"));
    button(page, say("rig.moveCard.use")).click();
    assertThat(page.getByText(say("aircraft.draftBar.unsaved", "past", 1))).isVisible();
    page.getByRole(AriaRole.LINK, named(say("rig.rigPages.airframe"))).click();
    page.getByLabel(say("rig.airframePage.nameLeft")).fill("Left inner flap");
    page.getByLabel(say("rig.airframePage.nameRight")).fill("Right inner flap");
    button(page, say("rig.airframePage.addIt")).click();
    assertThat(page.getByRole(AriaRole.HEADING, named("Right inner flap"))).isVisible();
    button(page, say("rig.partRow.remove", "name", "Left inner flap")).click();
    assertThat(button(page, say("rig.partRow.remove", "name", "Left inner flap"))).hasCount(0);
    assertThat(browser.errors()).isEmpty();
  }
}
