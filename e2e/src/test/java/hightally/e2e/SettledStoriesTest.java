package hightally.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
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

  private static void log(Page page, long model, int pitch) {
    page.navigate(app.address() + "models/" + model + "/fly/new");
    trimTo(page, "Pitch", pitch);
    describeTheDay(page);
    button(page, "Save the flight").click();
    page.waitForURL("**/fly");
  }

  private static void log(Page page, long model, int times, int pitch) {
    for (int i = 0; i < times; i++) {
      log(page, model, pitch);
    }
  }

  /** The second page moves the order on: the first is told, and a revision is held back. */
  @Test
  void anOrderInterruptedByASecondPage() {
    long model = biplane();
    Page page = open("models/" + model + "/fly");
    log(page, model, 3, 12);
    page.navigate(app.address() + "models/" + model + "/adjust");
    button(page, "Start at the bench").click();
    assertThat(page.locator("[data-step=SAFETY]")).isVisible();
    Page second = browser.page(1280, 800, ColorScheme.LIGHT);
    second.navigate(app.address() + "models/" + model + "/adjust");
    button(second, "Next").click();
    assertThat(second.locator("[data-step=TRIMS_IN]")).isVisible();
    // One step further: where both press the same the second is simply there already.
    button(second, "Next").click();
    assertThat(second.locator("[data-step=TRIMS_IN]")).hasCount(0);
    button(page, "Next").click();
    assertThat(page.getByText("continued in another tab")).isVisible();
    second.navigate(app.address() + "models/" + model + "/rig");
    second.getByLabel("Horn radius").fill("16.5");
    second.getByLabel("Reason for this change").fill("Another hole");
    button(second, "Save as revision 2").click();
    assertThat(second.getByText("A work order for this model is open")).isVisible();
    second.close();
    page.reload();
    Locator done = page.locator("button", withText("Done: save revision"));
    workUntil(page, done);
    done.click();
    assertThat(page.getByText("Not checked yet")).isVisible();
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
    log(page, model, -FOREVER_CLICKS);
    Locator pitch = page.locator("[data-series='flight PITCH']");
    assertThat(pitch.locator("[data-state=OPPOSITE]")).isVisible();
    assertThat(page.locator("[data-next=ANSWER_SIGN]")).isVisible();
    pitch.getByText("Wrong sign: correct it").click();
    trimTo(page, "Pitch", FOREVER_CLICKS);
    button(page, "Save the flight").click();
    page.waitForURL("**/fly");
    assertThat(pitch.locator("[data-state=SETTLED]")).isVisible();
    assertThat(page.locator("[data-next=ADJUST]")).isVisible();
    // Left out and deleted, with the way back at hand.
    page.getByRole(AriaRole.BUTTON, named("Leave it out")).first().click();
    page.getByLabel("Reason").fill("A gust");
    page.getByRole(AriaRole.DIALOG).getByText("Leave it out").last().click();
    assertThat(pitch.locator("[data-state=NOT_YET]")).isVisible();
    button(page, "Count it again").click();
    assertThat(pitch.locator("[data-state=SETTLED]")).isVisible();
    assertThat(button(page, "Count it again")).hasCount(0);
    page.getByRole(AriaRole.BUTTON, named("Delete")).first().click();
    button(page, "Delete it").click();
    assertThat(pitch.locator("[data-state=NOT_YET]")).isVisible();
    button(page, "Bring it back").click();
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
      asked.getByLabel("The trailing edge went, mm").fill("%.1f".formatted(1.5 * expected));
      button(page, "Note it").click();
      assertThat(page.getByText(words)).hasCount(0);
    }
    assertThat(page.locator("[data-named=CLICK_STEP]")).containsText("The click step");
    button(page, "Correct the description").click();
    assertThat(page.locator("[data-named]")).hasCount(0);
    // Three clicks are more than half a turn now: worth turning.
    assertThat(page.locator("[data-worth] [data-control=PITCH]"))
        .containsText("go into the pushrods");
    page.navigate(app.address() + "models/" + model + "/revisions");
    assertThat(page.locator("[data-revision='2']")).containsText("description corrected");
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
    button(page, "Start at the bench").click();
    Locator gauge = page.locator("[data-gauge=elevator]");
    workUntil(page, gauge);
    String expected = gauge.locator("strong").first().innerText();
    String other = expected.contains("down") ? "up" : "down";
    gauge.getByLabel("It went, mm").fill(expected.replaceAll("(?s)[^0-9]*([0-9.]+).*", "$1"));
    gauge.getByLabel(other).check();
    button(page, "Compare").click();
    assertThat(gauge).containsText("they disagree");
    button(page, "The reading is correct: go by the mark").click();
    assertThat(gauge).containsText("until the edge is at its mark");
    // Zeroing took it the other way, so its mark lies on the way the arithmetic named.
    String mark = other.equals("up") ? "down" : "up";
    workUntil(page, page.locator("[data-step=TURN]"));
    assertThat(page.locator("[data-step=TURN]")).containsText("has gone " + mark);
    // Off its mark all the same: it is noted, and the order does not close in silence.
    workUntil(page, page.locator("[data-mark=elevator]"));
    Locator at = page.locator("[data-mark=elevator]");
    at.getByLabel(mark).check();
    at.getByLabel("Off its mark, mm").fill("6");
    button(page, "Off the mark: note it").click();
    assertThat(page.locator("[data-marked]")).isVisible();
    Locator done = page.locator("button", withText("Done: save revision"));
    workUntil(page, done);
    lookAtEverySurface(page);
    assertThat(page.locator("[data-not-as-planned]")).containsText("Elevator");
    assertThat(done).isDisabled();
    page.getByLabel("Reason for closing it like this").fill("The horn is to be glued anew");
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
    button(page, "Start at the bench").click();
    Locator gauge = page.locator("[data-gauge=elevator]");
    workUntil(page, gauge);
    String expected = gauge.locator("strong").first().innerText();
    double mm = Double.parseDouble(expected.replaceAll("(?s)[^0-9]*([0-9.]+).*", "$1"));
    String went = expected.contains("down") ? "down" : "up";
    gauge.getByLabel("It went, mm").fill("%.1f".formatted(times * mm));
    gauge.getByLabel(went).check();
    button(page, "Compare").click();
    boolean agrees = times == 1;
    assertThat(gauge).containsText(agrees ? "they agree" : "they disagree");
    if (!agrees) {
      assertThat(button(page, "Next")).isDisabled();
      button(page, "The reading is correct: go by the mark").click();
      assertThat(gauge).containsText("until the edge is at its mark");
    }
    workUntil(page, page.locator("[data-step=TURN]"));
    String back = went.equals("up") ? "down" : "up";
    Locator turn = page.locator("[data-step=TURN]");
    if (agrees) {
      // As planned, no word of where the edge went.
      assertThat(turn).containsText("turns");
      assertThat(turn).not().containsText("has gone");
    } else {
      assertThat(turn).containsText("has gone " + back);
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
    button(page, "Flew well").click();
    assertThat(page.locator("[data-revision='1'] strong")).containsText("flew well");
    page.navigate(app.address() + "models/" + model + "/adjust");
    button(page, "Start at the bench").click();
    Locator done = page.locator("button", withText("Done: save revision"));
    workUntil(page, done);
    lookAtEverySurface(page);
    done.click();
    page.waitForURL("**/rig");
    page.navigate(app.address() + "models/" + model + "/revisions");
    button(page, "Go back").click();
    assertThat(page.locator("[data-rods-back] li").first()).containsText("Elevator:");
    button(page, "Go back to revision 1").click();
    assertThat(page.locator("[data-revision='3']")).containsText("back to an earlier one");
    page.navigate(app.address() + "models/" + model + "/check");
    assertThat(page.getByLabel("Pitch trim, clicks")).hasValue("12");
    assertThat(browser.errors()).isEmpty();
    page.close();
  }
}
