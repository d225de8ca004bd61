package hightally.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.LoadState;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;

/** Renews docs/screenshots from the demo data. */
public final class Screenshots {
  private final Browser browser;
  private final RunningApp app;
  private final Path folder = RunningApp.root().resolve("docs/screenshots");

  private Screenshots(Browser browser, RunningApp app) {
    this.browser = browser;
    this.app = app;
  }

  /** Takes every picture. */
  public static void main(String[] args) throws IOException {
    Path data = Files.createTempDirectory("high-tally-pictures");
    try (Browser browser = new Browser();
        RunningApp app = RunningApp.startForDevices(data, freePort())) {
      new Screenshots(browser, app).all();
    }
  }

  private static int freePort() throws IOException {
    try (ServerSocket free = new ServerSocket(0)) {
      return free.getLocalPort();
    }
  }

  private void all() throws IOException {
    Files.createDirectories(folder);
    plain("hangar", "", ColorScheme.LIGHT);
    plain("model-rig", "models/1/rig", ColorScheme.LIGHT);
    plain("feel", "models/2/program/feel", ColorScheme.DARK);
    plain("phases", "models/2/program/phases", ColorScheme.LIGHT);
    plain("mixes", "models/2/program/mixes", ColorScheme.LIGHT);
    hazards();
    school();
    guidedStep();
    ways();
    bench();
    phone();
    adjustment();
    plain("coach", "models/1/fly/coach", ColorScheme.LIGHT);
    plain("field-card", "models/2/fly/card", ColorScheme.LIGHT);
    checks();
    devices();
    outOfReach();
  }

  /** A code on the desk. */
  private void devices() {
    Page desk = open("settings", 1280, 1120, ColorScheme.LIGHT);
    click(desk, "Add a device", 1);
    desk.locator("[data-code]").waitFor();
    desk.waitForTimeout(300);
    save(desk, "settings");
  }

  /** A flight entered while the program is out of reach, in the theme for the sun. */
  private void outOfReach() {
    Page page = browser.page(360, 740, ColorScheme.LIGHT);
    page.addInitScript("localStorage.setItem('high-tally.theme', '\"sun\"')");
    page.navigate(app.address() + "models/1/fly/new");
    page.getByRole(AriaRole.BUTTON, named("Save the flight")).waitFor();
    page.waitForLoadState(LoadState.NETWORKIDLE);
    page.context().setOffline(true);
    click(page, "sure", 1);
    page.getByRole(AriaRole.RADIO, named("calm")).click();
    page.getByRole(AriaRole.RADIO, named("smooth")).click();
    click(page, "Save the flight", 1);
    page.locator("[data-away='1']").waitFor();
    page.waitForTimeout(500);
    save(page, "phone-out-of-reach");
    page.context().setOffline(false);
  }

  private void plain(String name, String path, ColorScheme theme) {
    save(open(path, 1280, 800, theme), name);
  }

  private Page open(String path, int width, int height, ColorScheme theme) {
    Page page = browser.page(width, height, theme);
    page.navigate(app.address() + path);
    page.waitForTimeout(1500);
    page.waitForLoadState(LoadState.NETWORKIDLE);
    return page;
  }

  private void bench() {
    Page page = open("models/1/check", 1280, 800, ColorScheme.LIGHT);
    BoundingBox pad = page.locator("[data-stick=right]").boundingBox();
    page.mouse().move(pad.x + pad.width / 2, pad.y + pad.height / 2);
    page.mouse().down();
    page.mouse().move(pad.x + pad.width * 0.72, pad.y + pad.height * 0.66);
    page.waitForTimeout(400);
    save(page, "bench-tally");
  }

  /** The twin with its fades taken out, so that there is something to find. */
  private void hazards() {
    Page page = open("models/4/program/phases", 1280, 800, ColorScheme.LIGHT);
    page.getByLabel("Fade").last().fill("0");
    page.getByRole(AriaRole.LINK, named("Switch check")).click();
    page.locator("[data-hazard]").first().waitFor();
    page.waitForTimeout(400);
    save(page, "hazards");
  }

  /** The first step of the aerobatic lesson, to its report. */
  private void school() {
    Page page = open("school", 1280, 800, ColorScheme.LIGHT);
    click(page, "Begin: Aerobatic model", 1);
    page.waitForURL("**/school/*");
    page.getByText("Before the flight").waitFor();
    page.getByRole(AriaRole.CHECKBOX).all().forEach(Locator::click);
    click(page, "Take off", 1);
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Vertical upline")).click();
    click(page, "Fly it", 1);
    page.locator("[data-watch]").waitFor();
    page.waitForTimeout(5500);
    page.locator("[data-watch]").evaluate("one => scrollTo(0, one.offsetTop - 150)");
    page.waitForTimeout(300);
    save(page, "watching");
    page.locator("[data-outcome=DRIFTS_LEFT]").click();
    click(page, "Note it", 1);
    page.getByText("The one change").waitFor();
  }

  /**
   * Which surface moves: a look, and what is to be changed where the elevator goes the other way.
   */
  private void ways() {
    Page page = open("models/1/rig/set-up", 1280, 800, ColorScheme.LIGHT);
    click(page, "Begin", 1);
    click(page, "Propeller taken off", 1);
    page.locator("[aria-pressed=true]").waitFor();
    next(page);
    next(page);
    Locator look = page.locator("[data-look]");
    look.waitFor();
    page.waitForTimeout(800);
    save(page, "set-up-look");
    Locator mend = page.locator("[data-ways=MENDING]");
    for (int seen = 1; mend.count() == 0; seen++) {
      Locator elevator = look.getByText(Pattern.compile("Elevator: (up|down)"));
      boolean turned = elevator.count() > 0;
      if (turned) {
        boolean up = elevator.first().innerText().endsWith("up");
        elevator.first().click();
        look.getByRole(AriaRole.RADIO).nth(up ? 2 : 0).click();
      }
      click(page, turned ? "That is what I saw" : "As it should be", 1);
      page.locator("[data-seen='" + seen + "'], [data-ways=MENDING]").first().waitFor();
    }
    page.waitForTimeout(500);
    save(page, "set-up-mend");
  }

  private static void next(Page page) {
    Locator step = page.locator("[data-guide]");
    String before = step.innerText();
    click(page, "Next", 1);
    page.waitForCondition(() -> !step.innerText().equals(before));
  }

  private void guidedStep() {
    Page page = open("models/3/rig/set-up", 1280, 800, ColorScheme.LIGHT);
    click(page, "Begin", 1);
    next(page);
    next(page);
    page.getByLabel("Arm angle").fill("9");
    click(page, "Compare", 1);
    page.locator("[data-verdict]").waitFor();
    page.waitForTimeout(300);
    save(page, "guided-step");
  }

  /** What a flight showed, picked by the thumb. */
  private void phone() {
    Page page = open("models/1/fly/new", 390, 844, ColorScheme.LIGHT);
    page.locator("[data-outcome]").first().click();
    click(page, "clear", 1);
    page.locator("[data-outcomes]").first().scrollIntoViewIfNeeded();
    page.waitForTimeout(300);
    save(page, "flight-entry-phone");
  }

  private void checks() {
    Page page = open("models/1/fly/checks", 390, 844, ColorScheme.LIGHT);
    page.locator("[data-begin=FLIGHT]").click();
    while (!page.locator("[data-check-step=move-flight-roll]").isVisible()) {
      String step = page.locator("[data-check-step]").getAttribute("data-check-step");
      click(page, "As it should be", 1);
      page.locator("[data-check-step='" + step + "']")
          .waitFor(new Locator.WaitForOptions().setState(WaitForSelectorState.DETACHED));
    }
    page.waitForTimeout(300);
    save(page, "preflight-step");
  }

  private void adjustment() {
    Page page = open("models/1/adjust", 1280, 800, ColorScheme.LIGHT);
    save(page, "adjustment-plan");
    click(page, "Start at the bench", 1);
    Locator step = page.locator("[data-step]");
    while (!"TURN".equals(step.getAttribute("data-step"))) {
      String before = step.innerText();
      click(page, "Next", 1);
      page.waitForCondition(() -> !step.innerText().equals(before));
    }
    page.waitForTimeout(200);
    save(page, "adjustment-step");
  }

  private static void click(Page page, String name, int times) {
    for (int i = 0; i < times; i++) {
      page.getByRole(AriaRole.BUTTON, named(name)).click();
    }
  }

  private static Page.GetByRoleOptions named(String name) {
    return new Page.GetByRoleOptions().setName(name).setExact(true);
  }

  private void save(Page page, String name) {
    page.waitForLoadState(LoadState.NETWORKIDLE);
    page.screenshot(new Page.ScreenshotOptions().setPath(folder.resolve(name + ".png")));
  }
}
