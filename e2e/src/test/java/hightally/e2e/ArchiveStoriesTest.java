package hightally.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static hightally.e2e.Catalogue.say;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/** Everything kept in one file and brought into another hangar, and beside itself into its own. */
class ArchiveStoriesTest extends Story {
  private static Path saved(Page page) {
    Download file =
        page.waitForDownload(() -> button(page, say("transfer.archiveCard.save")).click());
    Path kept = folder.resolve(file.suggestedFilename());
    file.saveAs(kept);
    return kept;
  }

  /** Every model by its name, with all the interface for programs tells of it but numbers. */
  private static Map<String, JsonNode> told(RunningApp from) {
    Map<String, JsonNode> models = new TreeMap<>();
    for (JsonNode one : Models.call(from, "GET", "api/aircraft?size=50", null).get("items")) {
      String at = "api/aircraft/" + one.get("id").asLong();
      ObjectNode all = (ObjectNode) Models.call(from, "GET", at, null);
      all.set("flights", Models.call(from, "GET", at + "/flights?size=100", null));
      all.set("revisions", Models.call(from, "GET", at + "/revisions?size=100", null));
      all.set("settling", Models.call(from, "GET", at + "/settling", null));
      models.put(one.get("name").asText(), without(all));
    }
    return models;
  }

  private static JsonNode without(JsonNode node) {
    if (node instanceof ObjectNode object) {
      List<String> numbers = new ArrayList<>();
      object
          .fieldNames()
          .forEachRemaining(
              name -> {
                boolean number = object.get(name).isNumber();
                if (number && (name.equals("id") || name.endsWith("Id") || isFlight(name))) {
                  numbers.add(name);
                }
              });
      object.remove(numbers);
    }
    node.forEach(ArchiveStoriesTest::without);
    return node;
  }

  private static boolean isFlight(String name) {
    return name.equals("flight") || name.equals("checkRun");
  }

  @Test
  void outOfOneHangarIntoAnEmptyOneEqualModelByModel() {
    Page page = open("bring-in");
    Path archive = saved(page);
    try (RunningApp empty = RunningApp.startEmpty(folder.resolve("empty"))) {
      Page other = browser.page(1280, 800, ColorScheme.LIGHT);
      other.navigate(empty.address() + "bring-in");
      other.locator("input[accept*=zip]").setInputFiles(archive);
      assertThat(other.locator("[data-in-archive]")).hasCount(4);
      button(other, say("transfer.archiveCard.bring", "chosen", 4, "withPractice", "other"))
          .click();
      assertThat(other.getByText(say("transfer.archiveCard.inHangar"))).isVisible();
      assertThat(told(empty)).isEqualTo(told(app));
      other.close();
    }
    // Into its own: each is known, and stays as it is until it is wanted beside itself.
    page.locator("input[accept*=zip]").setInputFiles(archive);
    assertThat(page.getByText(say("transfer.archiveCard.alreadyThere")).first()).isVisible();
    assertThat(
            button(page, say("transfer.archiveCard.bring", "chosen", 0, "withPractice", "other")))
        .isDisabled();
    Browser.choose(
        page.getByLabel(say("transfer.archiveCard.asked", "name", "Larkmere")), "beside");
    button(page, say("transfer.archiveCard.bring", "chosen", 1, "withPractice", "other")).click();
    page.getByRole(AriaRole.LINK, named("Larkmere, from the archive")).click();
    assertThat(page.getByText("Larkmere, from the archive").first()).isVisible();
    // What the program keeps by itself can be looked into as well.
    page.navigate(app.address() + "bring-in");
    page.locator("[data-backup]")
        .first()
        .getByRole(AriaRole.BUTTON)
        .click(new com.microsoft.playwright.Locator.ClickOptions().setTimeout(60_000));
    assertThat(page.locator("[data-in-archive=Quillon]")).isVisible();
    assertThat(browser.errors()).isEmpty();
  }
}
