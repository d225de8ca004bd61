package hightally.e2e;

import static hightally.e2e.Catalogue.say;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.LoadState;
import hightally.e2e.Accessibility.Depth;
import java.io.IOException;
import java.nio.file.Files;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/**
 * Every address of the page, opened once in the made-up language by a reader of inches and commas,
 * and looked through on a desk and on a phone: by rule, for words that are in no catalogue, and for
 * figures written for another reader.
 */
class AccessibleTest extends Story {
  private static final boolean ALL = Accessibility.ALL;

  /** Most pages of a model speak of a length. */
  private static final int MANY = 10;

  private final Accessibility rules = new Accessibility();
  private MadeUpLanguage words;
  private final OtherReader figures = new OtherReader();
  private Recorded recorded;
  private Page page;

  @Test
  void nothingIsFoundOnAnyPage() {
    List<String> all = Addresses.all(app);
    words = new MadeUpLanguage(app);
    page = browser.page(1280, 800, ColorScheme.LIGHT);
    recorded = new Recorded(page);
    MadeUpLanguage.speak(page);
    OtherReader.read(page);
    assertThat(notAmong(all)).as("addresses nobody looks at").isEmpty();
    all.forEach(this::address);
    recorded.isFresh();
    Addresses.DIALOGS.forEach(this::dialog);
    assertThat(rules.found()).isEmpty();
    assertThat(words.found()).isEmpty();
    assertThat(figures.found()).isEmpty();
    assertThat(figures.pagesInInches()).isGreaterThan(MANY);
    planted();
    page.close();
  }

  /** At one size the themes differ in their colours alone. */
  private void address(String path) {
    recorded.page(path);
    go(path);
    if (path.startsWith("models/")) {
      figures.look(page, path);
    }
    look(path, "light", Depth.ALL);
    look(path, "dark", ALL ? Depth.ALL : Depth.COLOURS);
    if (ALL) {
      look(path, "sun", Depth.ALL);
    }
    page.setViewportSize(360, 740);
    page.waitForFunction("() => matchMedia('(max-width: 640px)').matches");
    Accessibility.drawn(page);
    look(path + ", phone", "dark", ALL ? Depth.ALL : Depth.SIZE);
    if (ALL || Accessibility.isOfTheField(path)) {
      look(path + ", phone", "sun", ALL ? Depth.ALL : Depth.COLOURS);
    }
    if (ALL) {
      look(path + ", phone", "light", Depth.ALL);
    }
    // Between marks no line can be broken.
    MadeUpLanguage.unmark(page);
    rules.fits(page, path);
  }

  private void look(String where, String theme, Depth depth) {
    rules.look(page, where, theme, depth);
    if (depth != Depth.COLOURS) {
      words.look(page, where);
    }
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

  private void go(String path) {
    page.setViewportSize(1280, 800);
    page.navigate(app.address() + path);
    page.waitForLoadState(LoadState.NETWORKIDLE);
    page.locator("h1").first().waitFor();
    // What is out of view is not drawn in another theme before it comes into view.
    page.addStyleTag(
        new Page.AddStyleTagOptions().setContent(".drawn-in-view{content-visibility:visible}"));
  }

  private void dialog(String path, String button) {
    go(path);
    page.setViewportSize(path.isEmpty() ? 360 : 1280, 800);
    page.getByRole(AriaRole.BUTTON, containing(say(button))).first().click();
    page.getByRole(AriaRole.DIALOG).waitFor();
    String where = path + ", " + button;
    look(where, "light", Depth.ALL);
    look(where, "dark", Depth.COLOURS);
    look(where, "sun", Depth.COLOURS);
    page.setViewportSize(path.isEmpty() ? 1280 : 360, 800);
    if (page.getByRole(AriaRole.DIALOG).isVisible()) {
      look(where + ", other size", "light", Depth.SIZE);
    }
  }

  /** The looking itself: a button without a name is found, and what stands outside of marks. */
  private void planted() {
    page.setContent(
        "<main><h1>⟦said⟧</h1><button></button><p>not said</p>"
            + "<p>⟦it says ⟧no word⟦ here⟧</p><p>⟦at 3⟧.5⟦ of 4 mm⟧</p></main>");
    figures.look(page, "planted");
    assertThat(figures.found().get("planted")).hasSize(2);
    look("planted", "light", Depth.ALL);
    assertThat(rules.found().keySet()).anyMatch(one -> one.startsWith("button-name"));
    // One of many alike is pale: it is not passed over for its likes.
    page.setContent(
        "<main>"
            + "<p>read</p>".repeat(MANY)
            + "<p style='color:#ccc'>pale</p><div style='background:#444'><p>dark</p></div></main>");
    rules.look(page, "planted", "light", Depth.COLOURS);
    assertThat(rules.found().keySet())
        .filteredOn(one -> one.startsWith("color-contrast"))
        .hasSize(2);
    assertThat(words.found()).containsOnlyKeys("not said", "no word");
  }
}
