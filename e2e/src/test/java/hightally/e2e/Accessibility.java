package hightally.e2e;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;

/**
 * What stands on a page looked through by rule: WCAG 2.2 AA, best practices, and fit for thumbs.
 */
final class Accessibility {
  private static final List<String> RULES =
      List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa", "best-practice");
  private static final List<String> COLOURS = List.of("color-contrast", "link-in-text-block");

  /** What another size can change of the same page. */
  private static final List<String> SIZES =
      List.of(
          "target-size",
          "button-name",
          "link-name",
          "label",
          "heading-order",
          "scrollable-region-focusable");

  /** What is looked for: everything, what a size changes, or what a theme changes. */
  enum Depth {
    ALL,
    SIZE,
    COLOURS
  }

  /** All rules in every theme at every size, by hand: {@code -Dlook=all}. */
  static final boolean ALL = "all".equals(System.getProperty("look"));

  /**
   * Marks one of all texts that are of the same classes, as is all they stand in: they have the
   * same colours.
   */
  private static final String UNLIKE =
      "() => { const seen = new Set(); const named = / (id|for|href|value|name|aria-label[a-z]*|"
          + "aria-controls|aria-describedby|data-(?!state|theme)[a-z-]+)=\"[^\"]*\"/g;"
          + " for (const one of document.querySelectorAll('body *')) {"
          + " if (one.matches('input, textarea') || [...one.childNodes].some(n => n.nodeType === 3"
          + " && n.data.trim() !== '')) { let like = '';"
          + " for (let of = one; of !== document.body; of = of.parentElement)"
          + " like += of.cloneNode(false).outerHTML.replace(named, '');"
          + " if (!seen.has(like)) { seen.add(like); one.dataset.unlike = ''; } } } }";

  /** Only what is wrong: by which rule, where, and what of it. */
  private static final String LOOK =
      "([at, only]) => axe.run(at ?? document, { runOnly: only, resultTypes: ['violations']"
          + " }).then(all =>"
          + " all.violations.flatMap(rule => rule.nodes.map(one =>"
          + " [rule.id + ': ' + one.target, one.failureSummary])))";

  private static final String AXE = axe();

  /** Once what was changed has been drawn: what is half of before is nobody's to read. */
  private static final String DRAWN =
      "() => new Promise(drawn => requestAnimationFrame(() => requestAnimationFrame(() =>"
          + " Promise.allSettled(document.getAnimations().filter(one =>"
          + " one.effect?.getComputedTiming().iterations !== Infinity).map(one => one.finished))"
          + ".then(() => drawn(null)))))";

  /** What reaches beyond the screen, the innermost of it. */
  private static final String BEYOND =
      "() => [...document.querySelectorAll('body *')].filter(one => one.checkVisibility() &&"
          + " one.getBoundingClientRect().right > document.body.clientWidth + 1 &&"
          + " !one.closest('.overflow-x-auto, svg *')).slice(-3).map(one => one.outerHTML.slice(0,"
          + " 200)).join(' ')";

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

  /** What is wrong, told once for all pages it is on. */
  Map<String, String> found() {
    return found;
  }

  /** Waits until what was changed has been drawn. */
  static void drawn(Page page) {
    page.evaluate(DRAWN);
  }

  /** Whether a page is used standing up. */
  static boolean isOfTheField(String path) {
    return FIELD.stream().anyMatch(path::endsWith) || OF_A_CHECK.matcher(path).matches();
  }

  /** Nothing is beside the screen; on the pages for the field nothing is too small for a thumb. */
  void fits(Page page, String path) {
    Object wide =
        page.evaluate("() => document.documentElement.scrollWidth - document.body.clientWidth");
    if (((Number) wide).doubleValue() > 0) {
      found.put("sideways: " + path, wide + " px beyond 360: " + page.evaluate(BEYOND));
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

  /** Looks in a theme, as deep as is not known of the same page already. */
  void look(Page page, String where, String theme, Depth depth) {
    page.evaluate("theme => { document.documentElement.dataset.theme = theme }", theme);
    page.evaluate(DRAWN);
    // Loaded anew each time: it remembers colours it has seen.
    page.evaluate(AXE);
    boolean colours = depth == Depth.COLOURS;
    if (colours) {
      page.evaluate(UNLIKE);
    }
    Map<String, Object> only =
        switch (depth) {
          case ALL -> Map.of("type", "tag", "values", RULES);
          case SIZE -> Map.of("type", "rule", "values", SIZES);
          case COLOURS -> Map.of("type", "rule", "values", COLOURS);
        };
    List<Object> asked = new ArrayList<>();
    asked.add(colours ? "[data-unlike]" : null);
    asked.add(only);
    for (Object wrong : (List<?>) page.evaluate(LOOK, asked)) {
      List<?> told = (List<?>) wrong;
      found.putIfAbsent(
          told.get(0).toString(), where + ", " + theme + ": " + told.get(1).toString());
    }
  }
}
