package hightally.e2e;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.Tracing;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.ReducedMotion;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;

/** Debian's Chromium, driven by Playwright; errors on the page's console are kept. */
public final class Browser implements AutoCloseable {
  /**
   * What the browser has around its pages and no story uses. Its own popups of the address field
   * are two pages more for every one that is opened, a second of work each time.
   */
  private static final String UNUSED =
      "WebUIOmniboxPopup,WebUIOmniboxAimPopup,Translate,HttpsUpgrades,PaintHolding,MediaRouter,"
          + "DestroyProfileOnBrowserClose,LensOverlay";

  private final Playwright playwright;
  private final com.microsoft.playwright.Browser browser;
  private final List<String> errors = new ArrayList<>();

  private static Browser shared;

  /** One for this process, started when it is first asked for and ended with the process. */
  public static synchronized Browser shared() {
    if (shared == null) {
      shared = new Browser();
      Runtime.getRuntime().addShutdownHook(new Thread(shared::close));
    }
    return shared;
  }

  /** Starts the browser without a window. */
  public Browser() {
    Map<String, String> env = Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1");
    Playwright driver = Playwright.create(new Playwright.CreateOptions().setEnv(env));
    try {
      browser = launched(driver);
    } catch (RuntimeException e) {
      driver.close();
      throw e;
    }
    playwright = driver;
  }

  private static com.microsoft.playwright.Browser launched(Playwright driver) {
    return driver
        .chromium()
        .launch(
            new BrowserType.LaunchOptions()
                .setExecutablePath(chromium())
                .setArgs(
                    List.of(
                        "--no-sandbox",
                        "--disable-gpu",
                        "--disable-background-networking",
                        "--disable-features=" + UNUSED)));
  }

  /** A page of a size and theme, with a memory of its own. */
  public Page page(int width, int height, ColorScheme theme) {
    BrowserContext context =
        browser.newContext(
            new com.microsoft.playwright.Browser.NewContextOptions()
                .setViewportSize(width, height)
                .setColorScheme(theme)
                .setReducedMotion(ReducedMotion.REDUCE)
                .setLocale("en-GB"));
    // What was done and asked, without pictures: those cost more than the pages themselves.
    context.tracing().start(new Tracing.StartOptions());
    Page page = context.newPage();
    page.setDefaultTimeout(60_000);
    page.onPageError(error -> errors.add(error));
    page.onConsoleMessage(
        message -> {
          if (message.type().equals("error")) {
            errors.add(message.text());
          }
        });
    return page;
  }

  /** Picks one of the values of a list by its own value, not by its words. */
  public static void choose(Locator list, String value) {
    list.click();
    list.page().locator("[data-option='" + value + "']").click();
  }

  /** What went wrong on any page so far. */
  public List<String> errors() {
    return errors;
  }

  /** Closes every page; the next begins with an empty memory. */
  public void closePages() {
    browser.contexts().forEach(BrowserContext::close);
    errors.clear();
  }

  /** Keeps a picture of every page that is open, and what was done there, in a folder. */
  public void keep(Path folder) {
    int number = 0;
    for (BrowserContext context : browser.contexts()) {
      // Each page is opened with a context of its own: a picture and its trace have one number.
      number++;
      for (Page page : context.pages()) {
        page.screenshot(
            new Page.ScreenshotOptions().setPath(folder.resolve("page-" + number + ".png")));
      }
      context
          .tracing()
          .stop(new Tracing.StopOptions().setPath(folder.resolve("trace-" + number + ".zip")));
    }
  }

  private static Path chromium() {
    return Arrays.stream(System.getenv("PATH").split(":"))
        .map(folder -> Path.of(folder, "chromium"))
        .filter(Files::isExecutable)
        .findFirst()
        .orElseThrow(() -> new IllegalStateException("chromium is not on the PATH"));
  }

  @Override
  public void close() {
    playwright.close();
  }
}
