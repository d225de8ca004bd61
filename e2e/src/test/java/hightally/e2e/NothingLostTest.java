package hightally.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static hightally.e2e.Catalogue.like;
import static hightally.e2e.Catalogue.say;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import org.junit.jupiter.api.Test;

/** What a pilot has typed survives a full store, a broken one, a failing page and his own undo. */
class NothingLostTest extends Story {
  /** Fills the store to the last character. */
  private static final String BRIM =
      "() => { let i = 0; for (let size = 1 << 20; size >= 1; size = size >> 1) {"
          + " try { for (;;) { localStorage.setItem('brim' + i, 'x'.repeat(size)); i++; } }"
          + " catch (full) { /* smaller pieces then */ } } return i; }";

  @Test
  void aStoreFilledToTheBrimCostsNeitherThePageNorTheEdit() {
    Page page = open("models/1/rig");
    Locator radius = page.getByLabel(say("field.Linkage.hornRadiusMm"));
    assertThat(radius).isVisible();
    page.evaluate(BRIM);
    radius.fill("16.5");
    assertThat(page.getByText(like("aircraft.draftBar.storageInTab"))).isVisible();
    page.reload();
    assertThat(page.getByLabel(say("field.Linkage.hornRadiusMm"))).hasValue("16.5");
    assertThat(page.getByText(say("aircraft.draftBar.unsaved", "past", 1))).isVisible();
    assertThat(page.getByText(like("aircraft.draftBar.storageInTab"))).isVisible();
    page.evaluate("() => localStorage.clear()");
    page.getByLabel(say("field.Linkage.hornRadiusMm")).fill("17");
    assertThat(page.getByText(like("aircraft.draftBar.storageInTab"))).hasCount(0);
    assertThat(browser.errors()).isEmpty();
  }

  /** Two windows on one model: the second save is refused and offers to keep either. */
  @Test
  void ofTwoWindowsNeitherLosesWhatWasTypedInIt() {
    Page first = open("models/4/rig");
    Page second = first.context().newPage();
    second.navigate(app.address() + "models/4/rig");
    String field = say("field.Linkage.hornRadiusMm");
    first.getByLabel(field).fill("16.5");
    second.getByLabel(field).fill("17.5");
    assertThat(first.getByText(say("aircraft.draftBar.unsaved", "past", 1))).isVisible();
    assertThat(second.getByText(say("aircraft.draftBar.unsaved", "past", 1))).isVisible();
    saveButton(first).click();
    assertThat(first.getByText(like("aircraft.draftBar.saved"))).isVisible();
    saveButton(second).click();
    Locator keepMine = second.getByRole(AriaRole.BUTTON, named(say("aircraft.draftBar.keepMine")));
    assertThat(keepMine).isVisible();
    assertThat(second.getByLabel(field)).hasValue("17.5");
    second.reload();
    assertThat(keepMine).isVisible();
    assertThat(second.getByLabel(field)).hasValue("17.5");
    // The other way round: what the first types now is its own, whatever the second saves.
    first.getByLabel(field).fill("15.5");
    assertThat(first.getByText(say("aircraft.draftBar.unsaved", "past", 1))).isVisible();
    keepMine.click();
    saveButton(second).click();
    assertThat(second.getByText(like("aircraft.draftBar.saved"))).isVisible();
    first.reload();
    assertThat(first.getByLabel(field)).hasValue("15.5");
    first
        .getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions().setName(like("aircraft.draftBar.discardAndStart")))
        .click();
    assertThat(first.getByLabel(field)).hasValue("17.5");
  }

  private static Locator saveButton(Page page) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(like("aircraft.draftBar.save")));
  }

  @Test
  void aBrokenKeptFlightOpensAsAnEmptyFormWithAWordAboutIt() {
    Page page = open("models/2/fly");
    page.evaluate("() => localStorage.setItem('high-tally.flight.2.new', '{\"trims\": {\"roll\"')");
    page.navigate(app.address() + "models/2/fly/new");
    assertThat(page.getByText(like("flightlog.flightEntryPage.unreadable"))).isVisible();
    // It begins with the trims that stand in the transmitter.
    assertThat(page.getByLabel(Story.trimField("roll"))).hasValue("−1");
    page.evaluate("() => localStorage.setItem('high-tally.draft.2', '{\"basedOn\":1}')");
    page.navigate(app.address() + "models/2/rig");
    assertThat(page.getByText(like("aircraft.draftBar.unreadable"))).isVisible();
    assertThat(page.getByLabel(say("field.Linkage.hornRadiusMm"))).isVisible();
    assertThat(browser.errors()).isEmpty();
  }

  @Test
  void aDragIsOneStepOfUndoAndSoIsATypedNumber() {
    Page page = open("models/2/program/power");
    Locator point =
        page.getByRole(AriaRole.SLIDER, containing(say("program.curveEditor.point", "i", 2)))
            .first();
    String before = point.getAttribute("aria-valuetext");
    point.scrollIntoViewIfNeeded();
    BoundingBox box = point.boundingBox();
    page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
    page.mouse().down();
    for (int i = 1; i <= 12; i++) {
      page.mouse().move(box.x + box.width / 2 - 2 * i, box.y + box.height / 2 + 3 * i);
    }
    page.mouse().up();
    assertThat(page.getByText(say("aircraft.draftBar.unsaved", "past", 1))).isVisible();
    assertThat(point.getAttribute("aria-valuetext")).isNotEqualTo(before);
    page.keyboard().press("Control+z");
    assertThat(point).hasAttribute("aria-valuetext", before);

    page.navigate(app.address() + "models/2/rig");
    Locator radius = page.getByLabel(say("field.Linkage.hornRadiusMm"));
    String was = radius.inputValue();
    radius.click();
    page.keyboard().press("Control+a");
    page.keyboard().type("14.5");
    assertThat(page.getByText(say("aircraft.draftBar.unsaved", "past", 1))).isVisible();
    page.keyboard().press("Control+z");
    assertThat(page.getByText(like("aircraft.draftBar.unsaved"))).isVisible();
    radius.fill("14.5");
    page.locator("h1").first().click();
    page.keyboard().press("Control+z");
    assertThat(radius).hasValue(was);
    assertThat(button(page, say("aircraft.draftBar.undo"))).isDisabled();
  }

  @Test
  void aPageThatFailsShowsItsErrorPageAndTheDraftIsStillThere() {
    Page page = open("models/3/rig");
    page.getByLabel(say("field.Linkage.hornRadiusMm")).fill("13");
    page.locator("h1").first().click();
    assertThat(page.getByText(say("aircraft.draftBar.unsaved", "past", 1))).isVisible();
    page.route("**/api/program/gallery", FailingGallery::answer);
    page.getByRole(AriaRole.LINK, named(say("aircraft.loopNav.program"))).click();
    page.getByRole(AriaRole.LINK, named(say("program.programPages.mixes"))).click();
    assertThat(page.getByText(say("ui.routeFault.title"))).isVisible();
    assertThat(page.getByText(say("aircraft.draftBar.unsaved", "past", 1))).isVisible();
    page.getByRole(AriaRole.LINK, named(say("program.programPages.flightPhases"))).click();
    assertThat(page.getByText(say("ui.routeFault.title"))).hasCount(0);
    page.reload();
    assertThat(page.getByText(say("aircraft.draftBar.unsaved", "past", 1))).isVisible();
  }

  /** An answer of a shape no page can draw. */
  private static final class FailingGallery {
    static void answer(Route route) {
      route.fulfill(
          new Route.FulfillOptions().setContentType("application/json").setBody("{\"cards\": 3}"));
    }
  }

  @Test
  void everyPageHasATitleOfItsOwnAndBeginsWhereTheFocusIs() {
    Page page = open("");
    assertThat(page).hasTitle("Hangar · High Tally");
    page.navigate(app.address() + "models/1/rig");
    assertThat(page).hasTitle("Rig · Quillon · High Tally");
    page.getByRole(AriaRole.LINK, named(say("aircraft.loopNav.check"))).click();
    assertThat(page).hasTitle("Bench · Quillon · High Tally");
    assertThat(page.locator("main")).isFocused();
  }
}
