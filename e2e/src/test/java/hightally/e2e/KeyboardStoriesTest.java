package hightally.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
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
    type(page, page.getByLabel("Horn radius"), "16.5");
    assertThat(page.getByText("1 unsaved change")).isVisible();
    to(page, page.getByLabel("Reason for this change"), "Shift+Tab");
    page.keyboard().type("By keyboard");
    page.keyboard().press("Enter");
    assertThat(page.getByText("Saved as revision 4.")).isFocused();

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
    assertThat(button(page, "Save the flight")).isVisible();
    type(page, page.getByLabel("Pitch trim, clicks"), "14");
    press(page, button(page, "sure"));
    picked(page, "Wind", "calm");
    picked(page, "Air", "smooth");
    press(page, button(page, "Save the flight"));
    page.waitForURL("**/fly");
    assertThat(page.locator("main")).isFocused();

    // The page has the focus as a whole: the loop comes first in it.
    press(page, page.locator("nav[aria-label='The loop'] a[href$='/adjust']"));
    press(page, button(page, "Start at the bench"));
    Locator step = page.locator("[data-step]");
    assertThat(step).isFocused();
    Locator done = page.locator("button", withText("Done: save revision"));
    while (done.count() == 0) {
      Locator counter = page.getByText(Pattern.compile("^Step \\d+ of"));
      String at = counter.innerText().split(",")[0];
      if ("CHECK".equals(step.getAttribute("data-step"))) {
        press(page, button(page, "At the mark"));
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
          one.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Correct way")));
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
    Locator delete = button(page, "Delete it").first();
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
    page.getByLabel("Copy to a second model, name").fill("Wigeon");
    button(page, "Copy").click();
    assertThat(page.getByRole(AriaRole.HEADING, containing("Wigeon"))).isVisible();
    link(page, "revision 1").click();
    assertThat(page.getByText("its trims, flights, checks and findings stayed behind").first())
        .isVisible();

    button(page, "Archive it").click();
    assertThat(page.getByRole(AriaRole.HEADING, named("Hangar"))).isVisible();
    assertThat(link(page, "Wigeon")).hasCount(0);
    page.getByText("1 archived").click();
    button(page, "Bring Wigeon back").click();
    assertThat(link(page, "Wigeon").first()).isVisible();

    link(page, "Wigeon").first().click();
    link(page, "revision 1").click();
    button(page, "Delete it").first().click();
    page.getByRole(AriaRole.DIALOG)
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Delete it"))
        .click();
    page.getByText("1 deleted").click();
    assertThat(page.locator("[data-put-away=Wigeon]")).containsText("gone on");
    page.locator("[data-put-away=Wigeon] a").click();
    assertThat(page.getByText("This model was deleted")).isVisible();
    button(page, "Bring it back").click();
    assertThat(page.getByText("This model was deleted")).hasCount(0);
    assertThat(browser.errors()).isEmpty();
    page.close();
  }
}
