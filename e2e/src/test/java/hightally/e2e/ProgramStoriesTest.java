package hightally.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Programming a model: phases, mixes, feel, hazards, and what to type in. */
class ProgramStoriesTest extends Story {
  /** A new electric glider, its motor on the stick; landing takes the stick for the brakes. */
  @Test
  void brakesOnTheThrottleStickStopTheMotor() {
    Page page = open("new");
    page.getByRole(AriaRole.RADIO, containing("V-tail, flaps")).click();
    page.getByLabel("Name").fill("Wheatear");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Create")))
        .click();
    page.getByRole(AriaRole.LINK, named("Program")).click();
    page.getByRole(AriaRole.LINK, named("Flight phases")).click();
    page.getByLabel("Name of the phase").fill("Landing");
    Locator add = page.locator("section", withText("Add a flight phase"));
    Browser.choose(add.getByLabel("Switch"), "front-right-switch");
    Browser.choose(add.getByLabel("Position"), "3");
    button(page, "Add the phase").click();
    assertThat(page.locator("[data-phases] thead"))
        .containsText("front right switch at position 3");

    page.getByRole(AriaRole.LINK, named("Power and timers")).click();
    button(page, "A curve for some phases").click();
    Locator curves = page.locator("section", withText("Throttle curve"));
    assertThat(curves).hasCount(2);
    Locator curve = curves.last();
    curve.getByLabel("Point 2, value percent").fill("0");
    curve.getByLabel("Point 2, value percent").blur();

    // Only now is the stick free to brake: before, it is said and refused.
    page.getByRole(AriaRole.LINK, named("Mixes")).click();
    button(page, "Brakes on the throttle stick").click();
    assertThat(page.getByText("The throttle stick drives the motor in")).isVisible();
    Browser.choose(page.getByLabel("Acts in"), "landing");
    button(page, "Add this mix").click();
    assertThat(page.getByRole(AriaRole.HEADING, named("Brakes on the throttle stick"))).isVisible();

    page.getByText("Throttle cut on").click();
    page.getByLabel("Hold the sticks where I leave them").check();
    page.locator("[data-stick=left]").focus();
    for (int i = 0; i < 4; i++) {
      page.keyboard().press("ArrowUp");
    }
    assertThat(page.getByText("Motor commanded to run")).isVisible();
    page.getByLabel("front right switch, position 3").click();
    assertThat(page.locator("[data-phase=landing]")).isVisible();
    assertThat(page.getByText("Motor stopped")).isVisible();
    page.locator("[data-travel=flap-left]").click();
    Locator brakes = page.locator("tr", withText("Brakes on the throttle stick"));
    assertThat(brakes.locator("td").first()).containsText("−");
    assertThat(browser.errors()).isEmpty();
  }

  @Test
  void aMotorJumpIsFoundAndMended() {
    Page page = open("models/4/program/phases");
    assertThat(page.getByLabel("Fade").first()).hasValue("2");
    page.getByRole(AriaRole.LINK, named("Switch check")).click();
    assertThat(page.locator("[data-outcome='0']")).isVisible();
    page.getByRole(AriaRole.LINK, named("Flight phases")).click();
    page.getByLabel("Fade").last().fill("0");
    page.getByRole(AriaRole.LINK, named("Switch check")).click();
    Locator jump = page.locator("[data-hazard=MOTOR_STARTS]").first();
    assertThat(jump).containsText("to Flight");
    jump.getByRole(AriaRole.BUTTON).getByText("Show it on the bench").click();
    assertThat(page.locator("[data-phase=flight]")).isVisible();
    button(page, "Undo").click();
    assertThat(page.locator("[data-outcome='0']")).isVisible();
    assertThat(browser.errors()).isEmpty();
  }

  @Test
  void aLadderOfThreePositionsChangesTheThrowWithTheSwitch() {
    Page page = open("models/3/program/feel");
    button(page, "Three rates on a switch").click();
    assertThat(page.getByText("Reduced and soft").first()).isVisible();
    page.locator("[data-stick=right]").focus();
    page.getByLabel("Hold the sticks where I leave them").check();
    page.locator("[data-stick=right]").focus();
    for (int i = 0; i < 10; i++) {
      page.keyboard().press("ArrowRight");
    }
    Locator roll = page.locator("tr", withText("Roll stick")).locator("td").first();
    page.getByLabel("front left switch, position 2").click();
    String soft = settled(roll);
    page.getByLabel("front left switch, position 3").click();
    assertThat(roll).not().hasText(soft);
    page.getByLabel("front left switch, position 2").click();
    assertThat(roll).hasText(soft);
    assertThat(browser.errors()).isEmpty();
  }

  @Test
  void oneRateAndOneMixGiveAnEntrySheetOfExactlyThoseValues() {
    Page page = open("models/2/program/entry");
    button(page, "Tick all as entered").click();
    assertThat(page.locator("[data-open='0']")).isVisible();
    page.getByRole(AriaRole.LINK, named("Surface by surface")).click();
    assertThat(page.getByRole(AriaRole.HEADING, named("Roll, at the left aileron"))).isVisible();
    page.getByLabel("Rate, plus side").first().fill("90");
    page.getByRole(AriaRole.LINK, named("Mixes")).click();
    page.getByLabel("Weight, plus side").first().fill("31");
    // It opens on what has changed since it was typed in.
    page.getByRole(AriaRole.LINK, named("Entry sheet")).click();
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
    button(page, "Twitchy around the centre").click();
    assertThat(page.locator("[data-advice]")).containsText("expo 30 % to 40 %");
    button(page, "Make this step").click();
    page.getByRole(AriaRole.LINK, named("Check")).click();
    page.getByRole(AriaRole.LINK, named("Scenes")).click();
    button(page, "Every control once").click();
    Browser.choose(page.getByLabel("Compare with"), "1");
    button(page, "Compare").click();
    assertThat(page.getByText("Left aileron +").or(page.getByText("Left aileron −")).first())
        .isVisible();
    assertThat(page.locator("[data-marks]:not([data-marks='0'])").first()).isVisible();
    button(page, "Record").click();
    page.getByLabel("front right switch, position 3").click();
    assertThat(page.locator("[data-phase=landing]")).isVisible();
    button(page, "Stop recording").click();
    assertThat(page.locator("[data-scene='2']")).isVisible();
    page.getByLabel("front right switch, position 1").click();
    assertThat(page.locator("[data-phase=landing]")).hasCount(0);
    button(page, "Play").click();
    assertThat(page.locator("[data-phase=landing]")).isVisible();
    assertThat(browser.errors()).isEmpty();
  }

  @Test
  void removingAPhaseSaysWhatHangsOnIt() {
    Page page = open("models/2/program/phases");
    button(page, "Remove Speed").click();
    assertThat(page.locator("[data-uses]"))
        .containsText("Rates “Speed, small throws” acts only in this phase, so it is removed too.");
    button(page, "Remove it and make these changes").click();
    assertThat(page.locator("[data-phases] thead")).not().containsText("Speed");
    button(page, "Undo").click();
    assertThat(page.locator("[data-phases] thead")).containsText("Speed");
    assertThat(browser.errors()).isEmpty();
  }

  /**
   * Endpoints as up and down, a pair at once; a limit, a sub-trim; and the rudder no switch moves.
   */
  @Test
  void outputsByWhereTheSurfaceGoes() {
    Page page = open("models/1/program");
    Locator output = page.locator("section", withText("Output: channel 1"));
    assertThat(output.getByText("both sides together")).isVisible();
    output.getByLabel("Endpoint up").fill("90");
    output.getByLabel("Endpoint up").blur();
    assertThat(page.getByLabel("Reason for this change")).isVisible();
    output.getByLabel("Limit of travel up").fill("110");
    output.getByLabel("Limit of travel up").blur();
    output.getByText("both sides together").click();
    Locator right = output.getByLabel("Right aileron, endpoint down");
    right.fill("80");
    right.blur();
    assertThat(output.getByLabel("Left aileron, endpoint up")).hasValue("90");
    assertThat(right).hasValue("80");
    output.getByLabel("No switch may move it").check();
    page.getByLabel("Reason for this change").fill("Outputs");
    button(page, Pattern.compile("^Save as revision")).click();
    assertThat(page.getByLabel("Reason for this change")).hasCount(0);
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
