package hightally.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

/** Flights out to a spreadsheet and in from one. */
class FlightStoriesTest extends Story {
  @Test
  void flightsGoOutAndComeInAsCsv() throws Exception {
    Page page = open("models/1/fly");
    Download download =
        page.waitForDownload(
            () -> page.getByRole(AriaRole.LINK, containing("Flights as CSV")).click());
    String text = Files.readString(download.path());
    assertThat(text).startsWith("flight,flown_on,wind,air");
    Path file = Files.createTempFile("flights", ".csv");
    String row = "x;2026-09-27;CALM;SMOOTH;Long Meadow;Pack 1;113,5;;;%s;%s;1;0;50;SURE\n";
    Files.writeString(
        file,
        text.lines().findFirst().orElseThrow().replace(',', ';')
            + "\n"
            + row.formatted("flight", "2")
            + row.formatted("nowhere", "2")
            + row.formatted("flight", "2,5"),
        StandardCharsets.UTF_8);
    page.locator("input[type=file]").setInputFiles(file);
    assertThat(page.locator("[data-imported='1']")).isVisible();
    assertThat(page.locator("[data-imported='1']")).containsText("phase is nowhere");
    assertThat(page.locator("[data-imported='1']")).containsText("whole clicks");
    assertThat(page.getByText("balance 113.5 mm")).isVisible();
    Files.delete(file);
    assertThat(browser.errors()).isEmpty();
  }
}
