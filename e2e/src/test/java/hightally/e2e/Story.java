package hightally.e2e;

import static hightally.e2e.Catalogue.begins;
import static hightally.e2e.Catalogue.say;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Path;
import java.util.function.Supplier;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;

/** The packaged application with demo data of its own, and a browser. */
@ExtendWith(Evidence.class)
abstract class Story {
  /** A shared machine may be slow; nothing here is a measurement. */
  private static final double PATIENCE_MILLIS = 60_000;

  @TempDir static Path folder;
  static RunningApp app;
  static Browser browser;

  @BeforeAll
  static void start() {
    app = RunningApp.next(folder.resolve("data"));
    browser = beside(app, Browser::shared);
    PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MILLIS);
  }

  /** A browser beside a running application; where there is none the application is ended. */
  static Browser beside(RunningApp running, Supplier<Browser> starts) {
    try {
      return starts.get();
    } catch (RuntimeException e) {
      running.close();
      throw e;
    }
  }

  /** A page left open goes on working. */
  @AfterEach
  void close() {
    browser.closePages();
  }

  @AfterAll
  static void stop() {
    try {
      browser.closePages();
    } finally {
      app.close();
    }
  }

  /** A new page at an address of the application; errors of earlier pages are forgotten. */
  static Page open(String path) {
    browser.errors().clear();
    Page page = browser.page(1280, 800, ColorScheme.LIGHT);
    page.navigate(app.address() + path);
    return page;
  }

  static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, named(name));
  }

  static Locator button(Page page, Pattern name) {
    return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
  }

  /** What a trim's field is called: of roll, pitch or yaw. */
  static String trimField(String trim) {
    return say("field.Trims." + trim) + ", " + say("ui.stepper.clicks");
  }

  /** So many clicks towards plus, or below nothing towards minus. */
  static String clicks(Control control, int count) {
    String way = count > 0 ? "plus" : "minus";
    return say("clicks." + control + "." + way, "count", Math.abs(count));
  }

  /** What is trimmed. */
  enum Control {
    ROLL,
    PITCH,
    YAW
  }

  /** Clicks a trim's stepper until it stands where it should. */
  static void trimTo(Page page, String trim, int clicks) {
    Locator shown = page.getByLabel(trimField(trim));
    int missing = clicks - Integer.parseInt(shown.inputValue().replace('−', '-'));
    for (int i = 0; i < Math.abs(missing); i++) {
      String key = missing > 0 ? "ui.stepper.oneMore" : "ui.stepper.oneLess";
      page.getByLabel(say(key, "label", say("field.Trims." + trim))).click();
    }
    PlaywrightAssertions.assertThat(shown).hasValue(("" + clicks).replace('-', '−'));
  }

  /**
   * Goes on with a work order, each rod turned as planned and at its mark, until something shows.
   */
  static void workUntil(Page page, Locator shown) {
    Locator counter = page.getByText(begins("adjustment.workOrderView.progress"));
    while (shown.count() == 0) {
      if ("CHECK".equals(page.locator("[data-step]").getAttribute("data-step"))
          && page.locator("[data-marked]").count() == 0) {
        button(page, say("adjustment.markPanel.atTheMark")).click();
        PlaywrightAssertions.assertThat(page.locator("[data-marked]")).isVisible();
      }
      String before = counter.innerText().split(",")[0];
      button(page, say("adjustment.workOrderView.next")).click();
      PlaywrightAssertions.assertThat(counter).not().containsText(before + ",");
    }
  }

  /** Every surface with every stick: it goes the right way. */
  static void lookAtEverySurface(Page page) {
    Locator surfaces = page.locator("[data-verify-surface]");
    int count = surfaces.count();
    for (int i = 0; i < count; i++) {
      Locator one = surfaces.nth(i);
      one.getByRole(
              AriaRole.BUTTON,
              new Locator.GetByRoleOptions().setName(say("adjustment.verifyPanel.correctWay")))
          .click();
      PlaywrightAssertions.assertThat(one.locator("[data-fits]")).isVisible();
    }
  }

  /** How sure, and what the day was like: nothing of it is preset. */
  static void describeTheDay(Page page) {
    button(page, say("flightlog.sureRow.sure")).click();
    page.getByRole(AriaRole.RADIO, named(say("Wind.CALM"))).click();
    page.getByRole(AriaRole.RADIO, named(say("Air.SMOOTH"))).click();
  }

  static Page.LocatorOptions withText(String text) {
    return new Page.LocatorOptions().setHasText(text);
  }

  static Page.LocatorOptions withText(Pattern text) {
    return new Page.LocatorOptions().setHasText(text);
  }

  static Page.GetByRoleOptions containing(String name) {
    return new Page.GetByRoleOptions().setName(name);
  }

  static Page.GetByRoleOptions named(String name) {
    return containing(name).setExact(true);
  }

  /** The text once it has stayed the same for a second: the bench answers a moment later. */
  static String settled(Locator one) {
    String text = one.innerText();
    for (int same = 0, tries = 0; same < 10 && tries < 300; tries++) {
      one.page().waitForTimeout(100);
      String now = one.innerText();
      same = now.equals(text) ? same + 1 : 0;
      text = now;
    }
    return text;
  }
}
