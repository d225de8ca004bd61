package hightally.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.LoadState;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/**
 * Every address of the page, in both themes, on a desk and on a phone, looked through by rule: WCAG
 * 2.2 AA and best practices.
 */
class AccessibleTest extends Story {
  private static final List<String> RULES =
      List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa", "best-practice");
  private static final List<String> COLOURS = List.of("color-contrast", "link-in-text-block");

  /** All rules in every theme at every size, by hand: {@code -Dlook=all}. */
  private static final boolean ALL = "all".equals(System.getProperty("look"));

  /** Only what is wrong: by which rule, where, and what of it. */
  private static final String LOOK =
      "only => axe.run(document, { runOnly: only, resultTypes: ['violations'] }).then(all =>"
          + " all.violations.flatMap(rule => rule.nodes.map(one =>"
          + " [rule.id + ': ' + one.target, one.failureSummary])))";

  private static final String AXE = axe();

  /** Once what was changed has been drawn: what is half of before is nobody's to read. */
  private static final String DRAWN =
      "() => new Promise(drawn => requestAnimationFrame(() => requestAnimationFrame(() =>"
          + " drawn(null))))";

  /** The pages that are used standing up, outside or with oily fingers. */
  private static final List<String> FIELD =
      List.of("/fly", "/fly/new", "/fly/coach", "/fly/card", "/fly/checks", "/adjust", "let-in");

  private static final Pattern OF_A_CHECK = Pattern.compile(".*/checks/\\d+");

  /** What is pressed is at least 48 px either way, what is read at least 16 px. */
  private static final String SMALL =
      "() => { const found = []; const seen = one => one.checkVisibility() && !one.closest('svg,"
          + " .sr-only');"
          + " for (const one of document.querySelectorAll('main button, main input:not([aria-hidden]), main"
          + " [role=tab], main [role=radio], main a[class*=min-h-], main nav a')) {"
          + " const box = (one.closest('label') ?? one).getBoundingClientRect();"
          + " const checks = ['checkbox', 'slider'].includes(one.getAttribute('role'));"
          + " if (seen(one) && !checks && (box.height < 47.5 || box.width < 47.5))"
          + " found.push((one.ariaLabel ?? one.textContent) + ' ' + box.width + ' x ' + box.height)"
          + " } for (const one of document.querySelectorAll('main *')) {"
          + " const text = [...one.childNodes].some(n => n.nodeType === 3 && n.data.trim() !== '');"
          + " if (text && seen(one) && parseFloat(getComputedStyle(one).fontSize) < 16)"
          + " found.push(one.textContent.slice(0, 40) + ' ' + getComputedStyle(one).fontSize) }"
          + " return found.join('; '); }";

  private final Map<String, String> found = new TreeMap<>();

  @Test
  void nothingIsFoundOnAnyPage() {
    Page page = browser.page(1280, 800, ColorScheme.LIGHT);
    List<String> all = Addresses.all(app);
    assertThat(notAmong(all)).as("addresses nobody looks at").isEmpty();
    for (String path : all) {
      open(page, path);
      boolean field = isOfTheField(path);
      // At one size the themes differ in their colours alone.
      look(page, path, "light", false);
      look(page, path, "dark", !ALL);
      if (field) {
        look(page, path, "sun", !ALL);
      }
      page.setViewportSize(360, 740);
      page.waitForFunction("() => matchMedia('(max-width: 640px)').matches");
      page.evaluate(DRAWN);
      fits(page, path);
      look(page, path + ", phone", "dark", false);
      look(page, path + ", phone", "light", !ALL);
      if (field) {
        look(page, path + ", phone", "sun", !ALL);
      }
    }
    Addresses.DIALOGS.forEach((path, button) -> dialog(page, path, button));
    assertThat(found).isEmpty();
    // The looking itself: a button without a name is found.
    page.setContent("<main><h1>x</h1><button></button></main>");
    look(page, "planted", "light", false);
    assertThat(found.keySet()).anyMatch(one -> one.startsWith("button-name"));
    page.close();
  }

  private static boolean isOfTheField(String path) {
    return FIELD.stream().anyMatch(path::endsWith) || OF_A_CHECK.matcher(path).matches();
  }

  /** The addresses the page has that are none of these. */
  private static List<String> notAmong(List<String> paths) {
    try {
      String routes = Files.readString(RunningApp.root().resolve("web/src/router.tsx"));
      return Pattern.compile("\\bpage\\(\\s*\"([^\"]+)\"")
          .matcher(routes)
          .results()
          .map(one -> one.group(1).replaceAll("^/", ""))
          .filter(
              one -> {
                Pattern address = Pattern.compile("(.*/)?" + one.replaceAll(":\\w+", "\\\\d+"));
                return paths.stream().noneMatch(path -> address.matcher(path).matches())
                    && paths.stream().noneMatch(path -> path.contains("/" + one + "/"))
                    && !one.equals("models/:id");
              })
          .toList();
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  private static void open(Page page, String path) {
    page.setViewportSize(1280, 800);
    page.navigate(app.address() + path);
    page.waitForLoadState(LoadState.NETWORKIDLE);
    page.locator("h1").first().waitFor();
    // What is out of view is not drawn in another theme before it comes into view.
    page.addStyleTag(
        new Page.AddStyleTagOptions().setContent(".drawn-in-view{content-visibility:visible}"));
  }

  private void dialog(Page page, String path, String button) {
    open(page, path);
    page.setViewportSize(path.isEmpty() ? 360 : 1280, 800);
    button(page, button).first().click();
    page.getByRole(AriaRole.DIALOG).waitFor();
    for (String theme : List.of("light", "dark", "sun")) {
      look(page, path + ", " + button, theme, false);
    }
    page.setViewportSize(path.isEmpty() ? 1280 : 360, 800);
    if (page.getByRole(AriaRole.DIALOG).isVisible()) {
      look(page, path + ", " + button + ", other size", "light", false);
    }
  }

  /** Nothing is beside the screen; on the pages for the field nothing is too small for a thumb. */
  private void fits(Page page, String path) {
    Object wide =
        page.evaluate("() => document.documentElement.scrollWidth - document.body.clientWidth");
    if (((Number) wide).doubleValue() > 0) {
      found.put("sideways: " + path, wide + " px beyond 360");
    }
    if (isOfTheField(path)) {
      Object small = page.evaluate(SMALL);
      if (!small.toString().isEmpty()) {
        found.put("small: " + path, small.toString());
      }
    }
  }

  private static String axe() {
    try (InputStream in = AxeBuilder.class.getResourceAsStream("/axe.min.js")) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  /** What is wrong in a theme, told once for all pages it is on. */
  private void look(Page page, String where, String theme, boolean coloursOnly) {
    page.evaluate("theme => { document.documentElement.dataset.theme = theme }", theme);
    page.evaluate(DRAWN);
    // Loaded anew each time: it remembers colours it has seen.
    page.evaluate(AXE);
    Map<String, Object> only =
        coloursOnly
            ? Map.of("type", "rule", "values", COLOURS)
            : Map.of("type", "tag", "values", RULES);
    for (Object wrong : (List<?>) page.evaluate(LOOK, only)) {
      List<?> told = (List<?>) wrong;
      found.putIfAbsent(
          told.get(0).toString(), where + ", " + theme + ": " + told.get(1).toString());
    }
  }
}
