package hightally.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static hightally.e2e.Catalogue.like;
import static hightally.e2e.Catalogue.say;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * One story from flight to metal: interrupted, asked about, explained, and back to what flew well.
 */
class SettledStoriesTest extends Story {
  private static final int FOREVER_CLICKS = 9;

  private static long biplane() {
    return Models.planted(app, 1, setup -> {});
  }

  /** Flies it so many times and looks at the log. */
  private static void log(Page page, long model, int times, int pitch) {
    Models.flown(app, model, IntStream.generate(() -> pitch).limit(times).toArray());
    page.navigate(app.address() + "models/" + model + "/fly");
  }

  /** The second page moves the order on: the first is told, and a revision is held back. */
  @Test
  void anOrderInterruptedByASecondPage() {
    long model = biplane();
    Page page = open("models/" + model + "/fly");
    log(page, model, 3, 12);
    page.navigate(app.address() + "models/" + model + "/adjust");
    button(page, say("adjustment.planView.startAtBench")).click();
    assertThat(page.locator("[data-step=SAFETY]")).isVisible();
    Page second = browser.page(1280, 800, ColorScheme.LIGHT);
    second.navigate(app.address() + "models/" + model + "/adjust");
    button(second, say("adjustment.workOrderView.next")).click();
    assertThat(second.locator("[data-step=TRIMS_IN]")).isVisible();
    // One step further: where both press the same the second is simply there already.
    button(second, say("adjustment.workOrderView.next")).click();
    assertThat(second.locator("[data-step=TRIMS_IN]")).hasCount(0);
    button(page, say("adjustment.workOrderView.next")).click();
    assertThat(page.getByText(like("refused.workOrderMoved"))).isVisible();
    second.navigate(app.address() + "models/" + model + "/rig");
    second.getByLabel(say("field.Linkage.hornRadiusMm")).fill("16.5");
    second.getByLabel(say("aircraft.draftBar.reason")).fill("Another hole");
    button(second, say("aircraft.draftBar.save", "number", 2)).click();
    assertThat(second.getByText(like("refused.openWorkOrder"))).isVisible();
    second.close();
    page.reload();
    Locator done = page.locator("button", withText(like("adjustment.workOrderView.saveRevision")));
    workUntil(page, done);
    done.click();
    assertThat(page.getByText(like("adjustment.notLookedAt"))).isVisible();
    lookAtEverySurface(page);
    done.click();
    page.waitForURL("**/rig");
    assertThat(page.locator("[data-next=MAKE_READY]")).isVisible();
    page.close();
  }

  @Test
  void aWrongSignIsAskedAboutAndCorrected() {
    long model = biplane();
    Page page = open("models/" + model + "/fly");
    log(page, model, 2, FOREVER_CLICKS);
    log(page, model, 1, -FOREVER_CLICKS);
    Locator pitch = page.locator("[data-series='flight PITCH']");
    assertThat(pitch.locator("[data-state=OPPOSITE]")).isVisible();
    assertThat(page.locator("[data-next=ANSWER_SIGN]")).isVisible();
    pitch.getByText(say("flightlog.signAsked.wrong")).click();
    trimTo(page, "pitch", FOREVER_CLICKS);
    button(page, say("flightlog.flightEntryPage.save")).click();
    page.waitForURL("**/fly");
    assertThat(pitch.locator("[data-state=SETTLED]")).isVisible();
    assertThat(page.locator("[data-next=ADJUST]")).isVisible();
    // Left out and deleted, with the way back at hand.
    page.getByRole(AriaRole.BUTTON, named(say("flightlog.flightActions.leaveItOut")))
        .first()
        .click();
    page.getByLabel(say("flightlog.flightActions.reason")).fill("A gust");
    page.getByRole(AriaRole.DIALOG)
        .getByText(say("flightlog.flightActions.leaveItOut"))
        .last()
        .click();
    assertThat(pitch.locator("[data-state=NOT_YET]")).isVisible();
    button(page, say("flightlog.flightActions.countAgain")).click();
    assertThat(pitch.locator("[data-state=SETTLED]")).isVisible();
    assertThat(button(page, say("flightlog.flightActions.countAgain"))).hasCount(0);
    page.getByRole(AriaRole.BUTTON, named(say("flightlog.flightActions.delete"))).first().click();
    button(page, say("flightlog.flightActions.deleteIt")).click();
    assertThat(pitch.locator("[data-state=NOT_YET]")).isVisible();
    button(page, say("flightlog.flightsPage.restore")).click();
    assertThat(pitch.locator("[data-state=SETTLED]")).isVisible();
    assertThat(browser.errors()).isEmpty();
    page.close();
  }

  /** The clicks move more than they are typed to: two measurements name it, consent mends it. */
  @Test
  void aWrongClickStepIsFoundAndCorrected() {
    long model = biplane();
    Page page = open("models/" + model + "/fly");
    log(page, model, 3, 3);
    page.navigate(app.address() + "models/" + model + "/adjust");
    for (int i = 0; i < 2; i++) {
      Locator asked = page.locator("[data-measure=GAUGE]");
      assertThat(asked).isVisible();
      String words = asked.locator("p").first().innerText();
      double expected = Double.parseDouble(words.replaceAll("(?s).*?([0-9.]+) mm by the.*", "$1"));
      asked
          .getByLabel(say("adjustment.calibrationCard.edgeWent", "lengthSign", "mm"))
          .fill("%.1f".formatted(1.5 * expected));
      button(page, say("adjustment.calibrationCard.noteIt")).click();
      assertThat(page.getByText(words)).hasCount(0);
    }
    assertThat(page.locator("[data-named=CLICK_STEP]")).containsText("The click step");
    button(page, say("adjustment.calibrationCard.correctTheDescription")).click();
    assertThat(page.locator("[data-named]")).hasCount(0);
    // Three clicks are more than half a turn now: worth turning.
    assertThat(page.locator("[data-worth] [data-control=PITCH]"))
        .containsText(like("adjustment.worthTurning"));
    page.navigate(app.address() + "models/" + model + "/revisions");
    assertThat(page.locator("[data-revision='2']"))
        .containsText(like("aircraft.revisionsPage.corrected"));
    assertThat(browser.errors()).isEmpty();
    page.close();
  }

  /** What the gauge showed drives what follows, and nothing closes over an edge from its mark. */
  @ParameterizedTest
  @CsvSource({"1280,800", "390,844"})
  void aGaugeThatShowsTheOtherWayTurnsWhatFollows(int width, int height) {
    long model = biplane();
    browser.errors().clear();
    Page page = browser.page(width, height, ColorScheme.LIGHT);
    log(page, model, 3, 12);
    page.navigate(app.address() + "models/" + model + "/adjust");
    button(page, say("adjustment.planView.startAtBench")).click();
    Locator gauge = page.locator("[data-gauge=elevator]");
    workUntil(page, gauge);
    String expected = gauge.locator("strong").first().innerText();
    String other = expected.contains("down") ? "up" : "down";
    gauge
        .getByLabel(say("adjustment.gaugePanel.itWent", "lengthSign", "mm"))
        .fill(expected.replaceAll("(?s)[^0-9]*([0-9.]+).*", "$1"));
    gauge.getByLabel(other).check();
    button(page, say("adjustment.gaugePanel.compare")).click();
    assertThat(gauge).containsText(say("adjustment.gaugePanel.theyDisagree"));
    button(page, say("adjustment.gaugePanel.goByMark")).click();
    assertThat(gauge).containsText(like("adjustment.gaugePanel.comparison"));
    // Zeroing took it the other way, so its mark lies on the way the arithmetic named.
    String mark = other.equals("up") ? "down" : "up";
    workUntil(page, page.locator("[data-step=TURN]"));
    assertThat(page.locator("[data-step=TURN]"))
        .containsText(like("adjustment.turnToMark", "way", mark));
    // Off its mark all the same: it is noted, and the order does not close in silence.
    workUntil(page, page.locator("[data-mark=elevator]"));
    Locator at = page.locator("[data-mark=elevator]");
    at.getByLabel(mark).check();
    at.getByLabel(say("adjustment.markPanel.offBy", "lengthSign", "mm")).fill("6");
    button(page, say("adjustment.markPanel.noteOff")).click();
    assertThat(page.locator("[data-marked]")).isVisible();
    Locator done = page.locator("button", withText(like("adjustment.workOrderView.saveRevision")));
    workUntil(page, done);
    lookAtEverySurface(page);
    assertThat(page.locator("[data-not-as-planned]")).containsText("Elevator");
    assertThat(done).isDisabled();
    page.getByLabel(say("adjustment.workOrderView.reasonForClosing"))
        .fill("The horn is to be glued anew");
    done.click();
    page.waitForURL("**/rig");
    assertThat(browser.errors()).isEmpty();
    page.close();
  }

  /** As told, half and twice as far: the clevis is turned back against the way the edge went. */
  @ParameterizedTest
  @CsvSource({"1,1280,800", "0.5,390,844", "2,1280,800", "1,390,844"})
  void aGaugeThatShowsMoreOrLessTurnsBackWhatItShowed(double times, int width, int height) {
    long model = biplane();
    browser.errors().clear();
    Page page = browser.page(width, height, ColorScheme.LIGHT);
    log(page, model, 3, 12);
    page.navigate(app.address() + "models/" + model + "/adjust");
    button(page, say("adjustment.planView.startAtBench")).click();
    Locator gauge = page.locator("[data-gauge=elevator]");
    workUntil(page, gauge);
    String expected = gauge.locator("strong").first().innerText();
    double mm = Double.parseDouble(expected.replaceAll("(?s)[^0-9]*([0-9.]+).*", "$1"));
    String went = expected.contains("down") ? "down" : "up";
    gauge
        .getByLabel(say("adjustment.gaugePanel.itWent", "lengthSign", "mm"))
        .fill("%.1f".formatted(times * mm));
    gauge.getByLabel(went).check();
    button(page, say("adjustment.gaugePanel.compare")).click();
    boolean agrees = times == 1;
    assertThat(gauge)
        .containsText(
            agrees
                ? say("adjustment.gaugePanel.theyAgree")
                : say("adjustment.gaugePanel.theyDisagree"));
    if (!agrees) {
      assertThat(button(page, say("adjustment.workOrderView.next"))).isDisabled();
      button(page, say("adjustment.gaugePanel.goByMark")).click();
      assertThat(gauge).containsText(like("adjustment.gaugePanel.comparison"));
    }
    workUntil(page, page.locator("[data-step=TURN]"));
    String back = went.equals("up") ? "down" : "up";
    Locator turn = page.locator("[data-step=TURN]");
    if (agrees) {
      // As planned, no word of where the edge went.
      assertThat(turn).containsText("turns");
      assertThat(turn).not().containsText(like("adjustment.turnToMark"));
    } else {
      assertThat(turn).containsText(like("adjustment.turnToMark", "way", back));
    }
    assertThat(browser.errors()).isEmpty();
    page.close();
  }

  @Test
  void backToWhatFlewWellIsOneStep() {
    long model = biplane();
    Page page = open("models/" + model + "/fly");
    log(page, model, 3, 12);
    page.navigate(app.address() + "models/" + model + "/revisions");
    button(page, say("flightlog.flightActions.mark")).click();
    assertThat(page.locator("[data-revision='1'] strong"))
        .containsText(say("aircraft.revisionsPage.flewWell"));
    page.navigate(app.address() + "models/" + model + "/adjust");
    button(page, say("adjustment.planView.startAtBench")).click();
    Locator done = page.locator("button", withText(like("adjustment.workOrderView.saveRevision")));
    workUntil(page, done);
    lookAtEverySurface(page);
    done.click();
    page.waitForURL("**/rig");
    page.navigate(app.address() + "models/" + model + "/revisions");
    button(page, say("model.goBack.goBack")).click();
    assertThat(page.locator("[data-rods-back] li").first()).containsText("Elevator:");
    button(page, say("model.goBack.do", "revision", 1)).click();
    assertThat(page.locator("[data-revision='3']"))
        .containsText(like("aircraft.revisionsPage.broughtBack"));
    page.navigate(app.address() + "models/" + model + "/check");
    assertThat(page.getByLabel(Story.trimField("pitch"))).hasValue("12");
    assertThat(browser.errors()).isEmpty();
    page.close();
  }
}
