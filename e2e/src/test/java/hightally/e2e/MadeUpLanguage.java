package hightally.e2e;

import com.fasterxml.jackson.databind.JsonNode;
import com.microsoft.playwright.Page;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;

/**
 * A page in a language in which each message stands between marks, which end before what fills a
 * place of it and go on after: what is read outside of marks is in no catalogue, unless a pilot
 * typed it.
 */
final class MadeUpLanguage {
  /**
   * What is read or told outside of marks: in text, and in what is read out or shown on a field.
   */
  private static final String UNMARKED =
      """
      () => {
        const found = new Set();
        const outside = (text, from) => {
          let depth = from, out = '';
          for (const c of text) {
            if (c === '⟦') depth++;
            else if (c === '⟧') depth--;
            // What fills a place stands between the marks of the message around it.
            out += '⟦⟧'.includes(c) ? ';' : depth <= 0 ? c : '';
          }
          if (/\\p{L}{2,}/u.test(out)) found.add(out.trim().replace(/\\s+/g, ' '));
          return depth;
        };
        let depth = 0;
        const all = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
        while (all.nextNode()) {
          if (!all.currentNode.parentElement.closest('script, style, [data-typed]')) {
            depth = outside(all.currentNode.data, depth);
          }
        }
        const told = ['aria-label', 'title', 'placeholder', 'alt', 'aria-valuetext',
          'aria-roledescription', 'aria-description', 'data-label'];
        for (const name of told) {
          for (const one of document.querySelectorAll(`[${name}]`)) {
            if (!one.closest('[data-typed]')) outside(one.getAttribute(name), 0);
          }
        }
        outside(document.title, 0);
        return [...found];
      }
      """;

  /** A number with its sign, arrow and unit. */
  private static final Pattern FIGURES =
      Pattern.compile(
          "[▲▼◀▶]?\\s*[+−±]?\\d[\\d.,:]*\\s*(mm|in|µs|s|V|g|°|%|N·cm|dB|m|clicks?)?(?![\\p{L}\\d])");

  private static final Pattern PARTS = Pattern.compile("[,;:·/()“”]|\\s[-→]\\s");

  /** Signs and units, keys of a keyboard, the product's own name, and what is typed at a prompt. */
  private static final Pattern SIGNS =
      Pattern.compile(
          "[^\\p{L}]*(mm|in|µs|cm|dB|N|s|V|g|High Tally|\\p{L}|(Ctrl|Shift|[A-Z])\\+?.?"
              + "|[./]*high-tally start --lan)?[^\\p{L}]*");

  private final Map<String, String> found = new TreeMap<>();
  private final Set<String> typed = new HashSet<>();

  /** Reads what the pilots of the demo data typed. */
  MadeUpLanguage(RunningApp app) {
    pilots(Models.call(app, "GET", "api/aircraft", null));
    // A kind is a file with a whole setup, its parts' names among it.
    pilots(Models.call(app, "GET", "api/kinds", null));
    for (JsonNode one : Models.call(app, "GET", "api/aircraft?size=50", null).get("items")) {
      String id = one.get("id").asText();
      for (String of :
          List.of("", "/flights", "/revisions", "/checks", "/wishes", "/part-changes")) {
        pilots(Models.call(app, "GET", "api/aircraft/" + id + of, null));
      }
    }
  }

  /** What stands outside of marks, and where first. */
  Map<String, String> found() {
    return found;
  }

  /** From the next page on, everything is said in it. */
  static void speak(Page page) {
    page.addInitScript("localStorage.setItem('language', 'en-XA')");
  }

  /** Takes the marks off what stands on a page. */
  static void unmark(Page page) {
    page.evaluate(
        "() => { const all = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);"
            + " while (all.nextNode()) {"
            + " const bare = all.currentNode.data.replace(/[⟦⟧]/g, '');"
            + " if (bare !== all.currentNode.data) all.currentNode.data = bare; } }");
  }

  void look(Page page, String where) {
    for (Object one : (List<?>) page.evaluate(UNMARKED)) {
      for (String text : PARTS.split(FIGURES.matcher(one.toString()).replaceAll(";"))) {
        String part = text.strip();
        if (!SIGNS.matcher(part).matches() && !typed.contains(part.toLowerCase(Locale.ROOT))) {
          found.putIfAbsent(part, where);
        }
      }
    }
  }

  /** Everything in an answer that may have been typed: names, reasons, remarks. */
  private void pilots(JsonNode answer) {
    if (answer.isTextual()) {
      for (String part : PARTS.split(FIGURES.matcher(answer.asText()).replaceAll(";"))) {
        typed.add(part.strip().toLowerCase(Locale.ROOT));
      }
      typed.add(answer.asText().strip().toLowerCase(Locale.ROOT));
    }
    answer.forEach(this::pilots);
  }
}
