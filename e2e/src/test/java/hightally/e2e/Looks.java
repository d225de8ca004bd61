package hightally.e2e;

import static hightally.e2e.Catalogue.say;
import static hightally.e2e.Story.app;

import com.fasterxml.jackson.databind.JsonNode;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** A pilot who looks at a model at the bench and answers the page by what he sees. */
final class Looks {
  private static final int ENDLESS = 60;

  private Looks() {}

  /** Where the looks of a model stand. */
  static JsonNode standing(long model) {
    return Models.call(app, "GET", "api/aircraft/" + model + "/bench-set-up/ways", null);
  }

  /** Answers the look that is on the page with what the rig does in it. */
  static void answer(Page page, JsonNode told, TrueRig rig) {
    JsonNode next = told.get("next");
    String id = next.at("/look/id").asText();
    Locator look = page.locator("[data-look='" + id + "']");
    PlaywrightAssertions.assertThat(look).isVisible();
    Map<String, Integer> seen = rig.seen(next.get("look"));
    boolean asDrawn = true;
    boolean opened = false;
    for (JsonNode line : next.get("lines")) {
      int way = seen.get(line.get("surface").asText());
      if (line.get("told").asBoolean() && way != line.get("way").asInt()) {
        if (line.get("way").asInt() == 0 && !opened) {
          look.getByText(say("benchsetup.ways.other")).click();
          opened = true;
        }
        String words = line.get("words").asText();
        look.getByText(words, new Locator.GetByTextOptions().setExact(true)).first().click();
        String went =
            way == 0 ? say("benchsetup.ways.still") : line.get(way > 0 ? "plus" : "minus").asText();
        look.getByRole(
                AriaRole.RADIOGROUP, new Locator.GetByRoleOptions().setName(words).setExact(true))
            .getByRole(AriaRole.RADIO, new Locator.GetByRoleOptions().setName(went).setExact(true))
            .click();
        asDrawn = false;
      }
    }
    Story.button(page, say(asDrawn ? "benchsetup.ways.asDrawn" : "benchsetup.ways.seen")).click();
  }

  /** Leads a rig to where it, its description and the wish are one; the changes it took. */
  static List<String> led(Page page, long model, TrueRig rig) {
    List<String> changes = new ArrayList<>();
    while (!looked(page, model, rig)) {
      JsonNode standing = standing(model);
      JsonNode told = standing.get("told");
      PlaywrightAssertions.assertThat(page.locator("[data-ways=MENDING]")).isVisible();
      for (JsonNode change : told.get("changes")) {
        PlaywrightAssertions.assertThat(page.getByText(change.get("words").asText())).isVisible();
        rig.make(change.get("change"));
        changes.add(change.at("/change/part").asText());
      }
      Story.button(page, say("benchsetup.ways.done")).click();
      after(page, model, standing);
    }
    return changes;
  }

  /** Looks until nothing is looked at; whether all is as it must be then. */
  static boolean looked(Page page, long model, TrueRig rig) {
    JsonNode standing = standing(model);
    for (int i = 0; i < ENDLESS; i++) {
      JsonNode told = standing.get("told");
      String stage = told.get("stage").asText();
      PlaywrightAssertions.assertThat(page.locator("[data-ways='" + stage + "']")).isVisible();
      if (!stage.equals("LOOKING")) {
        return stage.equals("AGREED");
      }
      answer(page, told, rig);
      standing = after(page, model, standing);
    }
    throw new AssertionError("no end of looks");
  }

  /** Where it stands once the page has its answer. */
  static JsonNode after(Page page, long model, JsonNode before) {
    JsonNode now = before;
    for (int i = 0; i < 600 && now.get("version").equals(before.get("version")); i++) {
      page.waitForTimeout(150);
      now = standing(model);
    }
    String look = now.at("/told/next/look/id").asText();
    if (!look.isEmpty()) {
      String seen = "[data-look='" + look + "'][data-seen='" + now.get("seen").asInt() + "']";
      PlaywrightAssertions.assertThat(page.locator(seen)).isVisible();
    }
    return now;
  }
}
