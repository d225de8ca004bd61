package hightally.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static hightally.e2e.Catalogue.begins;
import static hightally.e2e.Catalogue.like;
import static hightally.e2e.Catalogue.say;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** Programming a model: phases, mixes, feel, hazards, and what to type in. */
class ProgramStoriesTest extends Story {
  /** A new electric glider, its motor on the stick; landing takes the stick for the brakes. */
  @Test
  void brakesOnTheThrottleStickStopTheMotor() {
    Page page = open("new");
    page.getByRole(AriaRole.RADIO, containing("V-tail, flaps")).click();
    page.getByLabel(say("program.feelSetsCard.name")).fill("Wheatear");
    page.getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions().setName(begins("hangar.newModelPage.create")))
        .click();
    page.getByRole(AriaRole.LINK, named(say("program.programPages.program"))).click();
    page.getByRole(AriaRole.LINK, named(say("program.programPages.flightPhases"))).click();
    page.getByLabel(say("program.addPhase.name")).fill("Landing");
    Locator add = page.locator("section", withText(say("program.addPhase.title")));
    Browser.choose(add.getByLabel(say("program.addPhase.switch")), "front-right-switch");
    Browser.choose(add.getByLabel(say("program.addPhase.position")), "3");
    button(page, say("program.addPhase.add")).click();
    assertThat(page.locator("[data-phases] thead"))
        .containsText(say("condition.switchAt", "subject", "front right switch", "position", 3));

    page.getByRole(AriaRole.LINK, named(say("program.programPages.powerAndTimers"))).click();
    button(page, say("program.powerPage.phaseCurve")).click();
    Locator curves = page.locator("section", withText(say("program.powerPage.throttleCurve")));
    assertThat(curves).hasCount(2);
    Locator curve = curves.last();
    curve.getByLabel(say("program.curveEditor.pointValue", "i", 2)).fill("0");
    curve.getByLabel(say("program.curveEditor.pointValue", "i", 2)).blur();

    // Only now is the stick free to brake: before, it is said and refused.
    page.getByRole(AriaRole.LINK, named(say("program.programPages.mixes"))).click();
    button(page, say("edit.brakesThrottleStick")).click();
    assertThat(page.getByText(like("edit.stickDrivesMotor"))).isVisible();
    Browser.choose(page.getByLabel(say("program.gallery.actsIn")), "landing");
    button(page, say("program.gallery.add")).click();
    assertThat(page.getByRole(AriaRole.HEADING, named(say("edit.brakesThrottleStick"))))
        .isVisible();

    page.getByText(say("bench.stickPads.throttleCut", "throttleCut", "true")).click();
    page.getByLabel(say("bench.stickPads.holdSticks")).check();
    page.locator("[data-stick=left]").focus();
    for (int i = 0; i < 4; i++) {
      page.keyboard().press("ArrowUp");
    }
    assertThat(page.getByText(like("bench.motorNote.commanded"))).isVisible();
    page.getByLabel(
            say("bench.inputPads.position", "name", "front right switch", "i", "", "brings", 3))
        .click();
    assertThat(page.locator("[data-phase=landing]")).isVisible();
    assertThat(page.getByText(say("bench.motorNote.motorStopped"))).isVisible();
    page.locator("[data-travel=flap-left]").click();
    Locator brakes = page.locator("tr", withText(say("edit.brakesThrottleStick")));
    assertThat(brakes.locator("td").first()).containsText("−");
    assertThat(browser.errors()).isEmpty();
  }

  @Test
  void aMotorJumpIsFoundAndMended() {
    Page page = open("models/4/program/phases");
    assertThat(page.getByLabel(say("program.fade")).first()).hasValue("2");
    page.getByRole(AriaRole.LINK, named(say("program.programPages.switchCheck"))).click();
    assertThat(page.locator("[data-outcome='0']")).isVisible();
    page.getByRole(AriaRole.LINK, named(say("program.programPages.flightPhases"))).click();
    page.getByLabel(say("program.fade")).last().fill("0");
    page.getByRole(AriaRole.LINK, named(say("program.programPages.switchCheck"))).click();
    Locator jump = page.locator("[data-hazard=MOTOR_STARTS]").first();
    assertThat(jump).containsText("to Flight");
    jump.getByRole(AriaRole.BUTTON).getByText(say("program.hazardsPage.showBench")).click();
    assertThat(page.locator("[data-phase=flight]")).isVisible();
    button(page, say("aircraft.draftBar.undo")).click();
    assertThat(page.locator("[data-outcome='0']")).isVisible();
    assertThat(browser.errors()).isEmpty();
  }

  @Test
  void aLadderOfThreePositionsChangesTheThrowWithTheSwitch() {
    Page page = open("models/3/program/feel");
    button(page, say("program.feelSetsCard.threeRates")).click();
    assertThat(page.getByText(say("edit.reducedSoft")).first()).isVisible();
    page.locator("[data-stick=right]").focus();
    page.getByLabel(say("bench.stickPads.holdSticks")).check();
    page.locator("[data-stick=right]").focus();
    for (int i = 0; i < 10; i++) {
      page.keyboard().press("ArrowRight");
    }
    Locator roll = page.locator("tr", withText(say("field.Moment.roll"))).locator("td").first();
    page.getByLabel(
            say("bench.inputPads.position", "name", "front left switch", "i", "", "brings", 2))
        .click();
    String soft = settled(roll);
    page.getByLabel(
            say("bench.inputPads.position", "name", "front left switch", "i", "", "brings", 3))
        .click();
    assertThat(roll).not().hasText(soft);
    page.getByLabel(
            say("bench.inputPads.position", "name", "front left switch", "i", "", "brings", 2))
        .click();
    assertThat(roll).hasText(soft);
    assertThat(browser.errors()).isEmpty();
  }

  @Test
  void oneRateAndOneMixGiveAnEntrySheetOfExactlyThoseValues() {
    Page page = open("models/2/program/entry");
    button(page, say("program.entryPage.tickAll")).click();
    assertThat(page.locator("[data-open='0']")).isVisible();
    page.getByRole(AriaRole.LINK, named(say("program.programPages.surfaceBySurface"))).click();
    assertThat(
            page.getByRole(
                AriaRole.HEADING,
                named(
                    say(
                        "bench.scenesPage.atThe",
                        "lengthSign",
                        "Roll,",
                        "marked",
                        "left aileron"))))
        .isVisible();
    page.getByLabel(say("field.Response.ratePositivePercent")).first().fill("90");
    page.getByRole(AriaRole.LINK, named(say("program.programPages.mixes"))).click();
    page.getByLabel(say("field.Mix.weightPlusPercent")).first().fill("31");
    // It opens on what has changed since it was typed in.
    page.getByRole(AriaRole.LINK, named(say("program.programPages.entrySheet"))).click();
    Locator entries = page.locator("[data-entry]");
    assertThat(entries).hasCount(2);
    assertThat(entries.first()).containsText("85 %");
    assertThat(entries.first()).containsText("right 90 %, left 85 %");
    assertThat(entries.last()).containsText("31 %");
    entries.last().getByRole(AriaRole.CHECKBOX).first().click();
    assertThat(entries).hasCount(1);
    page.reload();
    assertThat(entries).hasCount(1);
    // What was ticked is made: from what to what, with the way back.
    page.navigate(app.address() + "models/2/revisions");
    Locator made = page.locator("[data-made=TRANSMITTER]");
    assertThat(made).hasCount(1);
    assertThat(made).containsText("31 %");
    made.getByRole(AriaRole.BUTTON).click();
    assertThat(made).hasCount(2);
    assertThat(browser.errors()).isEmpty();
  }

  @Test
  void aSceneShowsWhatAChangeDoesAndWords() {
    Page page = open("models/2/program/feel");
    button(page, say("program.twitchyAroundCentre")).click();
    assertThat(page.locator("[data-advice]")).containsText("expo 30 % to 40 %");
    button(page, say("program.feelPage.makeStep")).click();
    page.getByRole(AriaRole.LINK, named(say("bench.checkPages.check"))).click();
    page.getByRole(AriaRole.LINK, named(say("bench.checkPages.scenes"))).click();
    button(page, say("bench.scenesPage.everythingOnce")).click();
    Browser.choose(page.getByLabel(say("bench.scenesPage.compareWith")), "1");
    button(page, say("bench.scenesPage.compare")).click();
    assertThat(page.getByText("Left aileron +").or(page.getByText("Left aileron −")).first())
        .isVisible();
    assertThat(page.locator("[data-marks]:not([data-marks='0'])").first()).isVisible();
    button(page, say("bench.scenesPage.record")).click();
    page.getByLabel(
            say("bench.inputPads.position", "name", "front right switch", "i", "", "brings", 3))
        .click();
    assertThat(page.locator("[data-phase=landing]")).isVisible();
    button(page, say("bench.scenesPage.stopRecording")).click();
    assertThat(page.locator("[data-scene='2']")).isVisible();
    page.getByLabel(
            say("bench.inputPads.position", "name", "front right switch", "i", "", "brings", 1))
        .click();
    assertThat(page.locator("[data-phase=landing]")).hasCount(0);
    button(page, say("bench.scenesPage.play")).click();
    assertThat(page.locator("[data-phase=landing]")).isVisible();
    assertThat(browser.errors()).isEmpty();
  }

  @Test
  void removingAPhaseSaysWhatHangsOnIt() {
    Page page = open("models/2/program/phases");
    button(page, say("program.mixesPage.remove", "mix", "Speed")).click();
    assertThat(page.locator("[data-uses]"))
        .containsText(say("edit.phaseTakes", "what", "Rates “Speed, small throws”"));
    button(page, say("program.removeDialog.confirm")).click();
    assertThat(page.locator("[data-phases] thead")).not().containsText(say("edit.speed"));
    button(page, say("aircraft.draftBar.undo")).click();
    assertThat(page.locator("[data-phases] thead")).containsText(say("edit.speed"));
    assertThat(browser.errors()).isEmpty();
  }

  /**
   * Endpoints as up and down, a pair at once; a limit, a sub-trim; and the rudder no switch moves.
   */
  @Test
  void outputsByWhereTheSurfaceGoes() {
    Page page = open("models/1/program");
    Locator output =
        page.locator("section", withText(say("aircraft.outputCard.output", "rows", "channel 1")));
    assertThat(output.getByText(say("aircraft.outputCard.together"))).isVisible();
    output.getByLabel(say("aircraft.outputCard.endpoint", "words", "up")).fill("90");
    output.getByLabel(say("aircraft.outputCard.endpoint", "words", "up")).blur();
    assertThat(page.getByLabel(say("aircraft.draftBar.reason"))).isVisible();
    output.getByLabel(say("aircraft.outputCard.limit", "words", "up")).fill("110");
    output.getByLabel(say("aircraft.outputCard.limit", "words", "up")).blur();
    output.getByText(say("aircraft.outputCard.together")).click();
    Locator right = output.getByLabel("Right aileron, endpoint down");
    right.fill("80");
    right.blur();
    assertThat(output.getByLabel("Left aileron, endpoint up")).hasValue("90");
    assertThat(right).hasValue("80");
    output.getByLabel(say("aircraft.outputCard.steady")).check();
    page.getByLabel(say("aircraft.draftBar.reason")).fill("Outputs");
    button(page, begins("aircraft.draftBar.save")).click();
    assertThat(page.getByLabel(say("aircraft.draftBar.reason"))).hasCount(0);
    var channels = Models.setup(app, 1).get("channels");
    var left = channels.get(0);
    var other = channels.get(4);
    // The right servo is mirrored: its up is the other side of its channel.
    boolean high = left.get("endpointHighPercent").asDouble() == 90;
    String up = high ? "High" : "Low";
    String down = high ? "Low" : "High";
    assertThat(left.get("endpoint" + up + "Percent").asDouble()).isEqualTo(90);
    assertThat(left.get("limit" + up + "Percent").asDouble()).isEqualTo(110);
    assertThat(left.get("endpoint" + down + "Percent").asDouble()).isEqualTo(100);
    assertThat(left.get("steady").asBoolean()).isTrue();
    boolean mirrored = other.get("endpoint" + down + "Percent").asDouble() == 90;
    String hisUp = mirrored ? down : up;
    String hisDown = mirrored ? up : down;
    assertThat(other.get("endpoint" + hisUp + "Percent").asDouble()).isEqualTo(90);
    assertThat(other.get("limit" + hisUp + "Percent").asDouble()).isEqualTo(110);
    assertThat(other.get("endpoint" + hisDown + "Percent").asDouble()).isEqualTo(80);
    assertThat(browser.errors()).isEmpty();
  }
}
