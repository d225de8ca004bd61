package hightally.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static hightally.e2e.Catalogue.like;
import static hightally.e2e.Catalogue.say;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** What clears a model and what holds it, wherever it is shown. */
class ClearanceStoriesTest extends Story {
  private static final int SWITCHES = 8;

  private static void to(Page page, String step) {
    if (!page.locator("ol button").first().isVisible()) {
      page.getByText(say("benchsetup.guidedStep.allSteps")).click();
    }
    page.locator("ol")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(step))
        .first()
        .click();
    assertThat(page.locator("[data-guide]")).hasText(step);
  }

  private static void pick(Page page, String answer) {
    button(page, answer).click();
    assertThat(page.locator("form [aria-pressed=true]")).hasText(answer);
  }

  private static Locator card(Page page, long model) {
    Locator itself = page.locator("a[href='/models/" + model + "/rig']");
    return page.locator("article", new Page.LocatorOptions().setHas(itself));
  }

  /** Begins a set-up, looks at the model as it is, and closes it. */
  private static Page looked(long model, TrueRig rig, boolean mended) {
    Page page = open("models/" + model + "/rig/set-up");
    button(page, say("benchsetup.setUpPage.begin")).click();
    pick(page, "Propeller taken off");
    to(page, say("guide.ways"));
    if (mended) {
      Looks.led(page, model, rig);
    } else {
      Looks.looked(page, model, rig);
    }
    to(page, "Fit the clevis keepers, then recheck everything");
    for (int i = 0; i < 12 && !button(page, say("benchsetup.guidedStep.close")).isVisible(); i++) {
      button(page, say("benchsetup.guidedStep.next")).click();
    }
    button(page, say("benchsetup.guidedStep.close")).click();
    assertThat(button(page, say("benchsetup.setUpPage.begin"))).isVisible();
    return page;
  }

  @Test
  void aWrongDirectionHoldsTheModelUntilItIsSeenRight() {
    long model = Models.planted(app, 1, setup -> {});
    TrueRig rig = new TrueRig(app, Models.setup(app, model)).turned("servo-rudder");
    Page page = looked(model, rig, false);
    page.navigate(app.address());
    assertThat(card(page, model).locator("[data-verdict=GROUNDED]"))
        .containsText(say("ready.waysWrong"));
    assertThat(card(page, model).getByRole(AriaRole.LINK, in("Log a flight"))).hasCount(0);
    for (String place : java.util.List.of("check", "fly/new", "fly/checks", "rig")) {
      page.navigate(app.address() + "models/" + model + "/" + place);
      assertThat(page.getByLabel(say("model.grounded.grounded"), exactly()).first()).isVisible();
    }
    page.navigate(app.address() + "models/" + model + "/fly/new");
    assertThat(page.locator("[data-grounded]").first()).containsText(say("ready.waysWrong"));
    // Seen right in the next set-up, it holds no more; what is missing is told instead.
    page = looked(model, rig, true);
    page.navigate(app.address());
    assertThat(card(page, model).locator("[data-verdict=NOT_YET]")).isVisible();
    assertThat(card(page, model).locator("[data-verdict=GROUNDED]")).hasCount(0);
    page.navigate(app.address() + "models/" + model + "/fly/new");
    assertThat(page.locator("[data-verdict=GROUNDED]")).hasCount(0);
    assertThat(browser.errors()).isEmpty();
  }

  private static Page.GetByLabelOptions exactly() {
    return new Page.GetByLabelOptions().setExact(true);
  }

  private static Locator.GetByRoleOptions in(String name) {
    return new Locator.GetByRoleOptions().setName(name);
  }

  @Test
  void aNewModelLeadsToWhatIsMissingBeforeItsFirstFlight() {
    long model = Models.planted(app, 1, setup -> setup.put("name", "Fernhollow"));
    Page page = open("");
    Locator card = card(page, model);
    assertThat(card.locator("[data-verdict=NOT_YET] li").first()).isVisible();
    assertThat(card.getByRole(AriaRole.LINK, in("Log a flight"))).hasCount(0);
    page.navigate(app.address() + "models/" + model + "/fly");
    assertThat(page.locator("[data-verdict=NOT_YET]").first())
        .containsText(like("model.grounded.before"));
    assertThat(page.getByText(say("flightlog.flightsPage.logTheFirstFlight"))).hasCount(0);
    // A flight that was flown all the same is never refused.
    page.getByText(say("model.logLink.flownAnyway")).click();
    assertThat(button(page, say("flightlog.flightEntryPage.save"))).isVisible();
    assertThat(browser.errors()).isEmpty();
  }

  /** Eight switches of three positions, a phase on each, an elevator that hangs on all of them. */
  private static void large(ObjectNode setup) {
    ArrayNode inputs = (ArrayNode) setup.at("/transmitter/inputs");
    ArrayNode conditions = setup.putArray("conditions");
    ArrayNode mixes = setup.putArray("mixes");
    ObjectNode base = ((ObjectNode) setup.at("/phases/" + (setup.get("phases").size() - 1)));
    ArrayNode phases = setup.putArray("phases");
    setup.putArray("feelSets");
    while (inputs.size() > 2) {
      inputs.remove(2);
    }
    for (int i = 1; i <= SWITCHES; i++) {
      String id = "switch-" + i;
      inputs.addObject().put("id", id).put("name", id).put("kind", "SWITCH").put("positions", 3);
      condition(conditions, id + "-middle", id, 2);
      condition(conditions, id + "-far", id, 3);
      ObjectNode phase = base.deepCopy();
      phase.put("id", "phase-" + i).put("name", "Phase " + i);
      phase.put("when", i == SWITCHES ? "" : id + "-far");
      phases.add(phase);
      for (String surface : java.util.List.of("elevator", "rudder")) {
        ObjectNode mix = mixes.addObject();
        mix.put("id", surface + "-" + i).put("name", surface + i).put("reason", "");
        mix.put("source", "CONSTANT").put("subject", "");
        mix.put("weightPlusPercent", 1 + i).put("weightMinusPercent", 1 + i);
        mix.put("startPercent", 0).putArray("curve");
        mix.putArray("targets")
            .addObject()
            .put("target", surface)
            .put("factor", 1)
            .put("factorMinus", 1);
        mix.put("when", id + "-middle").put("fadeSeconds", 0).putArray("phases");
      }
    }
    ObjectNode power = (ObjectNode) setup.get("power");
    power.put("throttleInput", "").put("cutWhen", "switch-1-middle").put("armWhen", "");
    power.putArray("startPositions");
    power.putArray("timers");
    for (JsonNode curve : power.get("curves")) {
      ((ObjectNode) curve).putArray("phases");
    }
  }

  private static void condition(ArrayNode all, String id, String of, int position) {
    ObjectNode one = all.addObject();
    one.put("id", id).put("name", id).put("kind", "SWITCH_AT").put("subject", of);
    one.put("limit", position).put("heldSeconds", 0).putArray("members");
  }

  @Test
  void theLargestProgramComesToAnAnswerWhileItsPageGoesOn() {
    long model = Models.planted(app, 1, ClearanceStoriesTest::large);
    Page page = open("models/" + model + "/program/hazards");
    // How far it is, or already what came of it: never nothing.
    assertThat(page.locator("[role=progressbar], progress, [data-end]").first()).isVisible();
    Locator stick = page.getByRole(AriaRole.APPLICATION).first();
    stick.focus();
    stick.press("ArrowRight");
    assertThat(page.locator("[data-end=WHOLE]")).isVisible();
    page.navigate(app.address());
    assertThat(card(page, model).getByLabel(say("model.grounded.beingChecked"))).hasCount(0);
    assertThat(card(page, model).locator("[data-verdict]").first()).isVisible();
    assertThat(browser.errors()).isEmpty();
  }
}
