package hightally.e2e;

import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads a page as one who asked for inches and a comma: whatever is written otherwise is found. */
final class OtherReader {
  /** A length in millimetres, or a figure with a point between its digits. */
  private static final Pattern FOREIGN = Pattern.compile("\\d\\s?mm\\b|\\bmm\\b|\\d\\.\\d");

  /** What is read, without marks and without what a pilot typed: that stays as he typed it. */
  private static final String READ =
      "() => { const main = document.querySelector('main').cloneNode(true);"
          + " main.querySelectorAll('[data-typed], script, style').forEach(one => one.remove());"
          + " const all = document.createTreeWalker(main, NodeFilter.SHOW_TEXT); let text = '';"
          + " while (all.nextNode()) text += all.currentNode.data + ' ';"
          + " return text.replace(/ ?[⟦⟧] ?/g, ''); }";

  private static final int AROUND = 40;

  private final Map<String, List<String>> found = new TreeMap<>();
  private int inches;

  /** From the next page on, the reader asks for them. */
  static void read(Page page) {
    page.addInitScript(
        "localStorage.setItem('high-tally.length', '\"in\"');"
            + "localStorage.setItem('high-tally.decimal-mark', '\"comma\"')");
  }

  void look(Page page, String where) {
    // A reason the demo's pilot gave.
    String text = page.evaluate(READ).toString().replace("battery 5 mm forward", "");
    List<String> foreign = new ArrayList<>();
    Matcher each = FOREIGN.matcher(text);
    while (each.find()) {
      int from = Math.max(0, each.start() - AROUND);
      foreign.add(text.substring(from, Math.min(text.length(), each.end() + AROUND)));
    }
    if (!foreign.isEmpty()) {
      found.put(where, foreign);
    }
    inches += text.contains(" in") ? 1 : 0;
  }

  /** What was written for another reader, by page. */
  Map<String, List<String>> found() {
    return found;
  }

  int pagesInInches() {
    return inches;
  }
}
