package hightally.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static hightally.e2e.Catalogue.like;
import static hightally.e2e.Catalogue.say;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** From the field to the rods and back on a phone; flights out to a spreadsheet and in from one. */
class FlightStoriesTest extends Story {
  private static final int CLICKS = 20;

  /** For a biplane and for elevons, where one surface carries two trims. */
  @ParameterizedTest
  @CsvSource({"1,elevator", "3,elevon-left"})
  void threeFlightsSettleGoIntoTheRodsAndTheNextFlightConfirms(int model, String surface) {
    browser.errors().clear();
    Page page = browser.page(390, 844, ColorScheme.LIGHT);
    Models.flown(app, model, CLICKS, CLICKS);
    page.navigate(app.address() + "models/" + model + "/fly/new");
    trimTo(page, "pitch", CLICKS);
    describeTheDay(page);
    button(page, say("flightlog.flightEntryPage.save")).click();
    page.waitForURL("**/fly");
    Locator pitch = page.locator("[data-series$=PITCH]").first();
    assertThat(pitch.locator("[data-state=SETTLED]")).isVisible();

    page.navigate(app.address() + "models/" + model + "/adjust");
    button(page, say("adjustment.planView.startAtBench")).click();
    Locator gauge = page.locator("[data-gauge='" + surface + "']");
    workUntil(page, gauge);
    // Next to nothing where the arithmetic says millimetres: the pilot looks again, a misreading.
    gauge.getByLabel(say("adjustment.gaugePanel.itWent", "lengthSign", "mm")).fill("0,1");
    gauge.getByLabel("down").check();
    button(page, say("adjustment.gaugePanel.compare")).click();
    assertThat(gauge).containsText(say("adjustment.gaugePanel.theyDisagree"));
    assertThat(gauge).containsText(like("adjustment.gaugeLoose"));
    assertThat(button(page, say("adjustment.workOrderView.next"))).isDisabled();
    assertThat(page.locator("[data-next=SETTLE_READING]")).isVisible();
    button(page, say("adjustment.gaugePanel.leaveOut")).click();
    assertThat(gauge).containsText(like("adjustment.gaugePanel.comparison"));
    Locator done = page.locator("button", withText(like("adjustment.workOrderView.saveRevision")));
    workUntil(page, done);
    lookAtEverySurface(page);
    done.click();
    page.waitForURL("**/rig");

    // The new entry starts from what stands in the transmitter: what the steps were to leave.
    page.navigate(app.address() + "models/" + model + "/fly/new");
    describeTheDay(page);
    button(page, say("flightlog.flightEntryPage.save")).click();
    page.waitForURL("**/fly");
    page.navigate(app.address() + "models/" + model + "/adjust");
    assertThat(page.locator("[data-confirmation]")).containsText(like("adjustment.confirmed"));
    page.navigate(app.address() + "models/" + model + "/revisions");
    assertThat(page.locator("[data-differences]").first())
        .containsText(say("field.Rod.adjustedMm"));
    assertThat(browser.errors()).isEmpty();
    page.close();
  }

  @Test
  void aFieldCardIsTypedInAsTheTransmitterShowsItAndAnOrderGivenUpIsTurnedBack() {
    browser.errors().clear();
    Page page = browser.page(390, 844, ColorScheme.LIGHT);
    page.navigate(app.address() + "models/4/fly/new");
    page.getByRole(AriaRole.TAB, named(say("flightlog.flightEntryPage.fromCard"))).click();
    Browser.choose(page.getByLabel(say("flightlog.cardTable.transmitterShows")), "PERCENT");
    Locator cells = page.locator("[data-card-table] input[inputmode=text]");
    cells.nth(1).fill("8");
    cells.nth(4).fill("-1,5");
    cells.nth(5).fill("900");
    assertThat(cells.nth(5)).hasAttribute("aria-invalid", "true");
    cells.nth(5).fill("0");
    Browser.choose(page.getByLabel(say("flightlog.cardTable.transmitterShows")), "CLICKS");
    assertThat(cells.nth(1)).hasValue("16");
    assertThat(cells.nth(4)).hasValue("-3");
    describeTheDay(page);
    button(page, say("flightlog.flightEntryPage.save")).click();
    page.waitForURL("**/fly");
    assertThat(page.getByText(clicks(Control.PITCH, 16)).first()).isVisible();
    assertThat(page.getByText("pitch 3 clicks nose down").first()).isVisible();

    Models.flown(app, 4, 16, 16, 16);
    page.navigate(app.address() + "models/4/adjust");
    button(page, say("adjustment.planView.startAtBench")).click();
    workUntil(page, page.locator("[data-step=CHECK]"));
    button(page, say("adjustment.giveUp.cancel")).click();
    assertThat(page.locator("[data-undo] li")).hasCount(1);
    button(page, say("adjustment.giveUp.turnedBackCancel")).click();
    assertThat(button(page, say("adjustment.planView.startAtBench"))).isVisible();
    assertThat(browser.errors())
        .as("only the trim beyond the range")
        .singleElement()
        .asString()
        .contains("422");
    page.close();
  }

  @Test
  void flightsGoOutAndComeInAsCsv() throws Exception {
    Page page = open("models/1/fly");
    Download download =
        page.waitForDownload(
            () ->
                page.getByRole(AriaRole.LINK, containing(say("flightlog.csvCard.export"))).click());
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
    assertThat(page.locator("[data-imported='1']")).containsText(say("demand.wholeClicks"));
    assertThat(page.getByText("balance 113.5 mm")).isVisible();
    Files.delete(file);
    assertThat(browser.errors()).isEmpty();
  }
}
