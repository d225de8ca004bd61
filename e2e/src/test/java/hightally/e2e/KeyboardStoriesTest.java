package hightally.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static hightally.e2e.Catalogue.begins;
import static hightally.e2e.Catalogue.like;
import static hightally.e2e.Catalogue.say;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** The whole path without a mouse; and models copied, set aside, deleted and brought back. */
class KeyboardStoriesTest extends Story {
  private static final int FARTHEST = 150;

  /** Goes on with Tab until something has the focus. */
  private static void to(Page page, Locator wanted) {
    to(page, wanted, "Tab");
  }

  private static void to(Page page, Locator wanted, String key) {
    assertThat(wanted.first()).isVisible();
    for (int i = 0; i < FARTHEST; i++) {
      if (Boolean.TRUE.equals(wanted.first().evaluate("one => one === document.activeElement"))) {
        return;
      }
      page.keyboard().press(key);
    }
    throw new AssertionError("Tab never comes to " + wanted);
  }

  private static void press(Page page, Locator wanted) {
    to(page, wanted);
    page.keyboard().press("Enter");
  }

  private static void back(Page page, Locator wanted) {
    to(page, wanted, "Shift+Tab");
    page.keyboard().press("Enter");
  }

  private static Locator link(Page page, String name) {
    return page.getByRole(AriaRole.LINK, named(name));
  }

  private static void type(Page page, Locator field, String text) {
    to(page, field);
    page.keyboard().press("Control+a");
    page.keyboard().type(text);
  }

  /** One of a group, which Tab comes to as a whole. */
  private static void picked(Page page, String group, String one) {
    Locator whole = page.locator("[aria-label='" + group + "']");
    Locator wanted = whole.getByText(one, new Locator.GetByTextOptions().setExact(true));
    for (int i = 0; i < FARTHEST && !holds(whole); i++) {
      page.keyboard().press("Tab");
    }
    for (int i = 0; i < FARTHEST && !holds(wanted); i++) {
      page.keyboard().press("ArrowRight");
    }
    page.keyboard().press("Space");
    assertThat(wanted).hasAttribute("aria-checked", "true");
  }

  private static boolean holds(Locator place) {
    return Boolean.TRUE.equals(place.evaluate("one => one.contains(document.activeElement)"));
  }

  @Test
  void fromTheHangarRoundTheLoopByKeyboardAlone() {
    Page page = open("");
    assertThat(link(page, "Quillon").first()).isVisible();
    page.keyboard().press("Tab");
    assertThat(link(page, "Skip to the page")).isFocused();
    page.keyboard().press("Enter");
    assertThat(page.locator("main")).isFocused();

    press(page, link(page, "Quillon"));
    assertThat(page.locator("main")).isFocused();
    type(page, page.getByLabel(say("field.Linkage.hornRadiusMm")), "16.5");
    assertThat(page.getByText(say("aircraft.draftBar.unsaved", "past", 1))).isVisible();
    to(page, page.getByLabel(say("aircraft.draftBar.reason")), "Shift+Tab");
    page.keyboard().type("By keyboard");
    page.keyboard().press("Enter");
    assertThat(page.getByText(say("aircraft.draftBar.saved", "saved", 4))).isFocused();

    back(page, link(page, "Check"));
    assertThat(page.locator("main")).isFocused();
    // A surface is chosen with Space, and the page stays where it is.
    Locator rear = page.locator("svg g[role=button]").first();
    to(page, rear);
    Object before = page.evaluate("() => scrollY");
    page.keyboard().press("Space");
    assertThat(rear).hasAttribute("aria-pressed", "true");
    assertThat(page.evaluate("() => scrollY")).isEqualTo(before);

    back(page, link(page, "Fly"));
    press(page, link(page, "Log a flight"));
    assertThat(button(page, say("flightlog.flightEntryPage.save"))).isVisible();
    type(page, page.getByLabel(Story.trimField("pitch")), "14");
    press(page, button(page, say("flightlog.sureRow.sure")));
    picked(page, "Wind", "calm");
    picked(page, "Air", "smooth");
    press(page, button(page, say("flightlog.flightEntryPage.save")));
    page.waitForURL("**/fly");
    assertThat(page.locator("main")).isFocused();

    // The page has the focus as a whole: the loop comes first in it.
    press(page, page.locator("nav[aria-label='The loop'] a[href$='/adjust']"));
    press(page, button(page, say("adjustment.planView.startAtBench")));
    Locator step = page.locator("[data-step]");
    assertThat(step).isFocused();
    Locator done = page.locator("button", withText(like("adjustment.workOrderView.saveRevision")));
    while (done.count() == 0) {
      Locator counter = page.getByText(begins("adjustment.workOrderView.progress"));
      String at = counter.innerText().split(",")[0];
      if ("CHECK".equals(step.getAttribute("data-step"))) {
        press(page, button(page, say("adjustment.markPanel.atTheMark")));
        assertThat(page.locator("[data-marked]")).isVisible();
      }
      if ("VERIFY".equals(step.getAttribute("data-step"))) {
        break;
      }
      page.keyboard().press("n");
      assertThat(counter).not().containsText(at + ",");
      assertThat(step).isFocused();
    }
    Locator surfaces = page.locator("[data-verify-surface]");
    for (int i = 0; i < surfaces.count(); i++) {
      Locator one = surfaces.nth(i);
      press(
          page,
          one.getByRole(
              AriaRole.BUTTON,
              new Locator.GetByRoleOptions().setName(say("adjustment.verifyPanel.correctWay"))));
      assertThat(one.locator("[data-fits]")).isVisible();
    }
    press(page, done);
    page.waitForURL("**/rig");
    assertThat(page.locator("main")).isFocused();
    assertThat(link(page, "revision 5")).isVisible();
    assertThat(browser.errors()).isEmpty();
    page.close();
  }

  @Test
  void aDialogGivesTheFocusBack() {
    Page page = open("models/2/revisions");
    Locator delete = button(page, say("aircraft.wholeModel.deleteIt")).first();
    press(page, delete);
    assertThat(page.getByRole(AriaRole.DIALOG)).isVisible();
    page.keyboard().press("Escape");
    assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
    assertThat(delete).isFocused();
    page.close();
  }

  @Test
  void aModelIsCopiedSetAsideDeletedAndBroughtBack() {
    Page page = open("models/3/revisions");
    page.getByLabel(say("aircraft.wholeModel.copyName")).fill("Wigeon");
    button(page, say("aircraft.wholeModel.copy")).click();
    assertThat(page.getByRole(AriaRole.HEADING, containing("Wigeon"))).isVisible();
    link(page, "revision 1").click();
    assertThat(page.getByText(like("aircraft.copied")).first()).isVisible();

    button(page, say("aircraft.wholeModel.archiveIt")).click();
    assertThat(page.getByRole(AriaRole.HEADING, named(say("hangar.hangarPage.hangar"))))
        .isVisible();
    assertThat(link(page, "Wigeon")).hasCount(0);
    page.getByText(say("hangar.putAwayList.archived", "aside", 1)).click();
    button(page, say("hangar.putAwayList.bringBack", "name", "Wigeon")).click();
    assertThat(link(page, "Wigeon").first()).isVisible();

    link(page, "Wigeon").first().click();
    link(page, "revision 1").click();
    button(page, say("aircraft.wholeModel.deleteIt")).first().click();
    page.getByRole(AriaRole.DIALOG)
        .getByRole(
            AriaRole.BUTTON,
            new Locator.GetByRoleOptions().setName(say("aircraft.wholeModel.deleteIt")))
        .click();
    page.getByText(say("hangar.putAwayList.deleted", "deleted", 1)).click();
    assertThat(page.locator("[data-put-away=Wigeon]"))
        .containsText(like("hangar.putAwayList.deletedUntil"));
    page.locator("[data-put-away=Wigeon] a").click();
    assertThat(page.getByText(say("hangar.putAwayList.deleted", "deleted", "This model was")))
        .isVisible();
    button(page, say("aircraft.modelLayout.restore")).click();
    assertThat(page.getByText(say("hangar.putAwayList.deleted", "deleted", "This model was")))
        .hasCount(0);
    assertThat(browser.errors()).isEmpty();
    page.close();
  }
}
