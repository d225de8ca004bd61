package hightally.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.CheckedNode;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.LoadState;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/**
 * Every address of the page, in both themes, on a desk and on a phone, looked through by rule: WCAG
 * 2.2 AA and best practices.
 */
class AccessibleTest extends Story {
  private static final List<String> RULES =
      List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa", "best-practice");
  private static final List<String> COLOURS = List.of("color-contrast", "link-in-text-block");
  private static final List<String> ROOM =
      List.of("target-size", "region", "scrollable-region-focusable", "tabindex");

  private static final List<String> PAGES =
      List.of(
          "",
          "new",
          "bring-in",
          "school",
          "settings",
          "let-in",
          "nowhere",
          "models/1/rig",
          "models/1/rig/airframe",
          "models/1/rig/map",
          "models/1/rig/map/wiring",
          "models/1/rig/set-up",
          "models/1/rig/balance",
          "models/1/rig/changes",
          "models/1/program",
          "models/2/program/feel",
          "models/2/program/phases",
          "models/2/program/mixes",
          "models/2/program/power",
          "models/2/program/switches",
          "models/4/program/hazards",
          "models/1/program/entry",
          "models/2/program/sheet",
          "models/1/check",
          "models/1/check/scenes",
          "models/1/fly",
          "models/1/fly/new",
          "models/1/fly/coach",
          "models/1/fly/card",
          "models/1/fly/checks",
          "models/1/adjust",
          "models/1/revisions");

  /** The pages that are used standing up, outside or with oily fingers. */
  private static final List<String> FIELD =
      List.of("/fly", "/fly/new", "/fly/coach", "/fly/card", "/fly/checks", "/adjust", "let-in");

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

  /** A dialog by the page it is on and the button that opens it. */
  private static final Map<String, String> DIALOGS =
      Map.of(
          "", "All pages",
          "settings", "Keyboard shortcuts",
          "models/1/revisions", "Delete it",
          "models/1/fly", "Leave it out");

  private final Map<String, String> found = new TreeMap<>();

  @Test
  void nothingIsFoundOnAnyPage() {
    Page page = browser.page(1280, 800, ColorScheme.LIGHT);
    for (String path : PAGES) {
      page.navigate(app.address() + path);
      page.waitForLoadState(LoadState.NETWORKIDLE);
      // What is out of view is not drawn in another theme before it comes into view.
      page.addStyleTag(
          new Page.AddStyleTagOptions().setContent(".drawn-in-view{content-visibility:visible}"));
      page.setViewportSize(1280, 800);
      theme(page, "light");
      look(page, path + ", light", axe(page).withTags(RULES));
      // The dark theme differs in its colours alone, a phone in what has room.
      theme(page, "dark");
      look(page, path + ", dark", axe(page).withRules(COLOURS));
      if (FIELD.stream().anyMatch(path::endsWith)) {
        theme(page, "sun");
        look(page, path + ", sun", axe(page).withRules(COLOURS));
      }
      page.setViewportSize(360, 740);
      theme(page, "light");
      look(page, path + ", phone", axe(page).withRules(ROOM));
      fits(page, path);
    }
    DIALOGS.forEach((path, button) -> dialog(page, path, button));
    assertThat(found).isEmpty();
    // The looking itself: a button without a name is found.
    page.setContent("<main><h1>x</h1><button></button></main>");
    look(page, "planted", axe(page).withTags(RULES));
    assertThat(found.keySet()).anyMatch(one -> one.startsWith("button-name"));
    page.close();
  }

  private void dialog(Page page, String path, String button) {
    page.setViewportSize(path.isEmpty() ? 360 : 1280, 800);
    page.navigate(app.address() + path);
    button(page, button).first().click();
    page.getByRole(AriaRole.DIALOG).waitFor();
    for (String theme : List.of("light", "dark", "sun")) {
      theme(page, theme);
      look(page, path + ", " + button + ", " + theme, axe(page).withTags(RULES));
    }
  }

  /** Nothing is beside the screen; on the pages for the field nothing is too small for a thumb. */
  private void fits(Page page, String path) {
    Object wide =
        page.evaluate("() => document.documentElement.scrollWidth - document.body.clientWidth");
    if (((Number) wide).doubleValue() > 0) {
      found.put("sideways: " + path, wide + " px beyond 360");
    }
    if (FIELD.stream().anyMatch(path::endsWith)) {
      Object small = page.evaluate(SMALL);
      if (!small.toString().isEmpty()) {
        found.put("small: " + path, small.toString());
      }
    }
  }

  /** Only what is wrong is told, and in the page itself: there are no frames in it. */
  private static AxeBuilder axe(Page page) {
    AxeRunOptions violations = new AxeRunOptions();
    violations.setResultTypes(List.of("violations"));
    return new AxeBuilder(page).options(violations).setLegacyMode(true);
  }

  private static void theme(Page page, String theme) {
    page.evaluate("theme => document.documentElement.dataset.theme = theme", theme);
  }

  /** What is wrong, told once for all pages it is on. */
  private void look(Page page, String where, AxeBuilder axe) {
    for (Rule rule : axe.analyze().getViolations()) {
      for (CheckedNode node : rule.getNodes()) {
        found.putIfAbsent(
            rule.getId() + ": " + node.getTarget(), where + ": " + node.getFailureSummary());
      }
    }
  }
}
