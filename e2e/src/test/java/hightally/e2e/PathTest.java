package hightally.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static hightally.e2e.Catalogue.begins;
import static hightally.e2e.Catalogue.like;
import static hightally.e2e.Catalogue.say;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

/** The pilot's way through the page, in a real browser, on the packaged application. */
class PathTest extends Story {
  static final String DEMO_FILE = "app/src/main/resources/demo/quillon.json";

  /**
   * From the hangar to a revision with its trims at zero. Worked out by hand for the elevator:
   *
   * <p>One click is 0.5 %. Channel 2 is not reversed; its high endpoint is 96 % of 500 µs, so ten
   * clicks are 5 % = 24 µs. The servo turns 0.09° a µs: 2.16°. The arm's hole, 13 mm out and
   * leaning 2°, moves the rod 13·cos 2°·sin 2.16° = 0.490 mm; the horn's hole, 18 mm from the hinge
   * and leaning 3°, turns the surface by about 0.490 / (18·cos 3°) rad = 1.56°; at 62 mm chord that
   * is 1.69 mm.
   *
   * <p>Fourteen clicks are 33.6 µs or 3.024°, 0.685 mm of rod. An M2.5 clevis has 0.45 mm a turn:
   * 1.52 turns, so three half turns. The servo pulls on a longer pulse and the horn is on the other
   * side, so up is a shorter rod: 1½ turns in, 0.675 mm, 0.675 / 17.98 rad = 2.15°, 2.3 mm up.
   */
  @Test
  void fromTheHangarToARevisionWithTrimsAtZero() {
    browser.errors().clear();
    Page page = browser.page(1280, 800, ColorScheme.LIGHT);
    page.navigate(app.address());
    assertThat(page.getByText(begins("log.trimsWaitAdjustment")))
        .containsText("roll " + Story.clicks(Story.Control.ROLL, -9));
    page.getByRole(AriaRole.LINK, named("Quillon")).first().click();
    anyButton(page, "Elevator").first().click();
    assertThat(page.getByText(say("aircraft.rigPanel.linkage", "surface", "Elevator"))).isVisible();

    page.getByRole(AriaRole.LINK, named(say("aircraft.loopNav.check"))).click();
    // The bench opens with the trims that stand in the transmitter: 14 up.
    for (int i = 0; i < 4; i++) {
      anyButton(page, say("ui.stepper.oneLess", "label", "Pitch trim")).click();
    }
    Locator trim =
        page.locator("tr", new Page.LocatorOptions().setHasText(say("field.Trims.pitch")));
    assertThat(trim.locator("td").nth(2)).hasText("+1.71");
    assertThat(trim.locator("td").nth(0)).hasText("+5.0");
    theTallySumsToWhereTheSurfaceStands(page);

    page.setViewportSize(390, 844);
    page.getByRole(AriaRole.LINK, named(say("aircraft.loopNav.fly"))).click();
    page.getByRole(AriaRole.LINK, named(say("adjustment.adjustPage.logAFlight"))).click();
    Story.trimTo(page, "roll", -9);
    Story.trimTo(page, "pitch", 14);
    Story.trimTo(page, "yaw", 6);
    assertThat(page.getByText(Story.clicks(Story.Control.PITCH, 14)).first()).isVisible();
    page.getByLabel(say("field.FlightReport.remarks")).fill("Hands off in calm air");
    Story.describeTheDay(page);
    anyButton(page, say("flightlog.flightEntryPage.save")).click();
    assertThat(page.getByText("Hands off in calm air")).isVisible();

    page.setViewportSize(1280, 800);
    page.locator("nav[aria-label='The loop'] a[href$='/adjust']").click();
    assertThat(page.locator("[data-rod=elevator]"))
        .containsText("Elevator: 1½ turns in. The trailing edge goes up by 2.3 mm.");
    assertThat(page.locator("[data-rod=upper-aileron-left]"))
        .containsText("leave the slave pushrod");
    anyButton(page, say("adjustment.planView.startAtBench")).click();
    followTheWorkOrder(page);

    assertThat(page.locator("[data-next=CONFIRM]")).hasText(say("log.adjusted"));
    page.getByRole(AriaRole.LINK, named(say("aircraft.loopNav.revision", "number", 4))).click();
    assertThat(
            page.getByText(
                like(
                    "log.trimsMoved",
                    "trims",
                    "roll "
                        + Story.clicks(Story.Control.ROLL, -9)
                        + ", pitch "
                        + Story.clicks(Story.Control.PITCH, 14))))
        .isVisible();
    page.getByRole(AriaRole.LINK, named(say("aircraft.loopNav.check"))).click();
    assertThat(page.getByLabel(Story.trimField("pitch"))).hasValue("0");
    assertThat(browser.errors()).isEmpty();
  }

  private static void followTheWorkOrder(Page page) {
    Locator step = page.locator("[data-step]");
    assertThat(step).hasText(say("adjustment.makeMotorHarmless"));
    assertThat(page.getByText(like("adjustment.motorSafe"))).isVisible();
    boolean trimPutBack = false;
    boolean elevatorTurned = false;
    while (!"VERIFY".equals(step.getAttribute("data-step"))) {
      trimPutBack |=
          step.innerText().equals(say("adjustment.putTrimBack", "moving", "roll 9 clicks left"));
      elevatorTurned |= step.innerText().equals("Elevator: 1½ turns in");
      if ("CHECK".equals(step.getAttribute("data-step"))) {
        anyButton(page, say("adjustment.markPanel.atTheMark")).click();
        assertThat(page.locator("[data-marked]")).isVisible();
      }
      String before =
          page.getByText(like("adjustment.workOrderView.progress"))
              .first()
              .innerText()
              .split(",")[0];
      anyButton(page, say("adjustment.workOrderView.next")).click();
      page.waitForCondition(
          () ->
              !page.getByText(like("adjustment.workOrderView.progress"))
                  .first()
                  .innerText()
                  .startsWith(before + ","));
    }
    lookAtEverySurface(page);
    assertThat(trimPutBack).as("the pair's second side is marked with the trim back in").isTrue();
    assertThat(elevatorTurned).isTrue();
    anyButton(page, say("adjustment.workOrderView.saveRevision", "number", 4)).click();
  }

  private static void theTallySumsToWhereTheSurfaceStands(Page page) {
    Locator rows = page.locator("tbody tr:not([aria-hidden])");
    double sum = 0;
    for (int i = 0; i < rows.count(); i++) {
      sum += number(rows.nth(i).locator("td").nth(2).innerText());
    }
    double total = number(page.locator("[data-tally-total] td").nth(2).innerText());
    assertThat(total).isCloseTo(sum, within(0.005 * (rows.count() + 1)));
    assertThat(Math.abs(total)).isGreaterThan(1);
  }

  @Test
  void aWrongValueIsRefusedAtItsFieldAndADraftSurvivesAReload() {
    Page page = browser.page(1280, 800, ColorScheme.LIGHT);
    page.navigate(app.address() + "models/1/rig");
    Locator horn = page.getByLabel(say("field.Linkage.hornRadiusMm"));
    horn.fill("0");
    assertThat(
            page.getByText(
                say("ui.range.isRefused", "typed", 0, "message", "Horn radius: 1 to 150 mm")))
        .isVisible();
    assertThat(page.getByText(like("aircraft.draftBar.unsaved"))).hasCount(0);
    horn.fill("16.5");
    assertThat(page.getByText(say("aircraft.draftBar.unsaved", "past", 1))).isVisible();
    page.reload();
    assertThat(page.getByLabel(say("field.Linkage.hornRadiusMm"))).hasValue("16.5");
    anyButton(page, say("aircraft.draftBar.undo")).click();
    assertThat(page.getByLabel(say("field.Linkage.hornRadiusMm"))).hasValue("15");
    anyButton(page, say("aircraft.draftBar.redo")).click();
    assertThat(page.getByLabel(say("field.Linkage.hornRadiusMm"))).hasValue("16.5");
    anyButton(page, say("aircraft.draftBar.undo")).click();
  }

  @Test
  void aSetupIsSavedAsAFileAndReadBack() throws Exception {
    Page page = browser.page(1280, 800, ColorScheme.DARK);
    page.navigate(app.address() + "models/1/revisions");
    Path saved = folder.resolve("quillon.json");
    page.waitForDownload(
            () ->
                page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions()
                            .setName(like("aircraft.revisionsPage.saveFile")))
                    .first()
                    .click())
        .saveAs(saved);
    Path broken = folder.resolve("broken.json");
    String text = Files.readString(saved);
    Files.writeString(broken, text.replace("\"stickMode\" : 2", "\"stickMode\" : 7"));
    page.navigate(app.address() + "bring-in");
    page.locator("input[accept*=json]").setInputFiles(broken);
    assertThat(
            page.getByText(
                say(
                    "aircraft.draftBar.refused",
                    "field",
                    "transmitter.stickMode",
                    "value",
                    7,
                    "requirement",
                    "1 to 4")))
        .isVisible();
    Files.writeString(saved, text.replace("\"name\" : \"Quillon\"", "\"name\" : \"Second one\""));
    page.locator("input[accept*=json]").setInputFiles(saved);
    anyButton(page, say("transfer.bringInPage.add")).click();
    assertThat(page.locator("[data-next=MAKE_READY]")).isVisible();
    assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Second one")))
        .isVisible();
  }

  @Test
  void theSecondOfTwoTabsIsToldAndKeepsItsText() {
    Page first = browser.page(1280, 800, ColorScheme.LIGHT);
    first.navigate(app.address() + "bring-in");
    first.locator("input[accept*=json]").setInputFiles(RunningApp.root().resolve(DEMO_FILE));
    anyButton(first, say("transfer.bringInPage.add")).click();
    assertThat(first.locator("[data-next=MAKE_READY]")).isVisible();
    Page second = browser.page(1280, 800, ColorScheme.LIGHT);
    second.navigate(first.url());
    edit(first, "16", "A longer horn");
    edit(second, "17", "A longer horn still");
    anyButton(first, say("aircraft.draftBar.save", "number", 2)).click();
    assertThat(first.getByText(say("aircraft.draftBar.saved", "saved", 2))).isVisible();
    anyButton(second, say("aircraft.draftBar.save", "number", 2)).click();
    assertThat(second.getByText(like("refused.olderRevision", "saved", 2))).isVisible();
    assertThat(second.getByLabel(say("field.Linkage.hornRadiusMm"))).hasValue("17");
    assertThat(second.getByLabel(say("aircraft.draftBar.reason"))).hasValue("A longer horn still");
    second.reload();
    assertThat(second.getByLabel(say("field.Linkage.hornRadiusMm"))).hasValue("17");
    anyButton(second, say("aircraft.draftBar.discardAndStart", "number", 2)).click();
    assertThat(second.getByLabel(say("field.Linkage.hornRadiusMm"))).hasValue("16");
  }

  private static void edit(Page page, String horn, String reason) {
    page.getByLabel(say("field.Linkage.hornRadiusMm")).fill(horn);
    page.getByLabel(say("aircraft.draftBar.reason")).fill(reason);
  }

  @Test
  void theKeyboardAloneMovesASurfaceAndFindsItsTally() {
    Page page = browser.page(1280, 800, ColorScheme.LIGHT);
    page.navigate(app.address() + "models/1/check");
    Locator rudder = page.locator("[data-travel=rudder]");
    assertThat(rudder).isVisible();
    page.locator("[data-stick=left]").focus();
    times(10, () -> page.keyboard().press("ArrowRight"));
    assertThat(rudder).containsText("▶");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Rudder:")).focus();
    page.keyboard().press("Enter");
    assertThat(page.getByText(like("bench.tallyPanel.tallyNow", "surface", "Rudder"))).isVisible();
    assertThat(
            page.locator("tr", new Page.LocatorOptions().setHasText(say("field.Moment.yaw")))
                .locator("td")
                .first())
        .hasText("+90.0");
    page.locator("[data-stick=left]").focus();
    page.keyboard().press("Home");
    assertThat(
            page.locator("tr", new Page.LocatorOptions().setHasText(say("field.Moment.yaw")))
                .locator("td")
                .first())
        .hasText("0.0");
    page.keyboard().press("?");
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText(like("ui.shortcuts.nextStep"));
  }

  @Test
  void aNewModelStartsFromAKind() {
    Page page = browser.page(1280, 800, ColorScheme.LIGHT);
    page.navigate(app.address());
    page.getByRole(AriaRole.LINK, named(say("hangar.newModelPage.newModel"))).click();
    page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("V-tail, flaps")).click();
    page.getByLabel(say("hangar.newModelPage.modelName")).fill("Wend");
    anyButton(page, say("hangar.newModelPage.create")).click();
    assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Wend")))
        .isVisible();
    assertThat(page.getByText(say("bench.findingsCard.nothingFound"))).isVisible();
    anyButton(page, "Left V-tail").first().click();
    assertThat(page.getByText(say("aircraft.rigPanel.linkage", "surface", "Left V-tail")))
        .isVisible();
  }

  @Test
  void aFindingIsMendedWithOneClickAndUndoneWithOne() {
    Page page = browser.page(1280, 800, ColorScheme.LIGHT);
    page.navigate(app.address() + "models/3/rig");
    assertThat(page.getByText(say("bench.findingsCard.findings", "count", 3))).isVisible();
    Locator subTrim = page.locator("[data-finding=large-sub-trim]");
    assertThat(subTrim)
        .containsText(say("audit.subTrimS", "surface", "Right elevon", "size", "64 µs"));
    anyButton(page, say("audit.subTrimMend")).click();
    assertThat(subTrim).hasCount(0);
    assertThat(page.getByText(say("aircraft.draftBar.unsaved", "past", 1))).isVisible();
    anyButton(page, say("aircraft.draftBar.undo")).click();
    assertThat(subTrim).isVisible();
  }

  @Test
  void aThrowTargetBecomesHolesAndEndpoints() {
    Page page = browser.page(1280, 800, ColorScheme.LIGHT);
    page.navigate(app.address() + "models/2/rig");
    anyButton(page, "Left aileron").first().click();
    page.getByLabel(say("aircraft.throwsCard.wantedUp", "up", "up", "unit", "mm")).fill("14");
    page.getByLabel(say("aircraft.throwsCard.wantedDown", "down", "down", "unit", "mm")).fill("8");
    Locator choices = page.locator("[data-choices] tbody tr");
    assertThat(choices.first()).containsText("N·cm");
    assertThat(anyButton(page, say("aircraft.measuredCard.takeIt")).first()).isEnabled();
    String arm = choices.first().locator("td").first().innerText().replace(" mm", "");
    anyButton(page, say("aircraft.measuredCard.takeIt")).first().click();
    assertThat(page.getByLabel(say("field.Linkage.armRadiusMm"))).hasValue(arm);
    page.getByRole(AriaRole.LINK, named(say("aircraft.loopNav.program"))).click();
    assertThat(page.getByText("mm down to ").or(page.getByText("mm up to "))).isVisible();
    assertThat(page.getByText(say("aircraft.draftBar.unsaved", "past", 1))).isVisible();
  }

  private static double number(String text) {
    return Double.parseDouble(text.replace('−', '-'));
  }

  private static void times(int count, Runnable action) {
    for (int i = 0; i < count; i++) {
      action.run();
    }
  }

  private static Locator anyButton(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
  }
}
