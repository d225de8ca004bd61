package hightally.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static hightally.e2e.Catalogue.begins;
import static hightally.e2e.Catalogue.like;
import static hightally.e2e.Catalogue.say;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/**
 * Whole setups typed from a brief, every edit counted: a button that changes something, a value
 * typed, a choice picked. Going from page to page is none.
 */
class MovementStoriesTest extends Story {
  private static final double RULER_MM = 0.1;

  private final ObjectMapper json = new ObjectMapper();
  private Page page;
  private int edits;

  private void begin(String kind, String name) {
    edits = 0;
    page = open("new");
    page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(kind)).first().click();
    page.getByLabel(say("hangar.newModelPage.modelName")).fill(name);
    page.getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions().setName(begins("hangar.newModelPage.create")))
        .click();
    page.waitForURL("**/rig");
    edits += 3;
    page.getByRole(AriaRole.LINK, named(say("program.programPages.program"))).click();
  }

  private void to(String tab) {
    page.getByRole(AriaRole.LINK, named(tab)).click();
  }

  private void press(Locator button) {
    button.click();
    edits++;
  }

  private void pick(Locator list, String value) {
    Browser.choose(list, value);
    edits++;
  }

  private void type(Locator field, String value) {
    field.fill(value);
    field.blur();
    edits++;
  }

  /** A movement: what was typed comes back once its percent is worked out. */
  private void move(Locator field, String value) {
    String shown = value.contains(".") ? value : value + ".0";
    boolean stands = field.inputValue().equals(shown);
    type(field, value);
    if (!stands) {
      assertThat(field).hasValue(shown);
    }
  }

  private Locator cell(String phase, String surface) {
    return page.locator("[data-cell='" + phase + "/" + surface + "'] input");
  }

  private Locator mix(String name) {
    return page.locator("section", new Page.LocatorOptions().setHas(heading(name)));
  }

  private Locator heading(String name) {
    return page.getByRole(
        AriaRole.HEADING, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  private Locator adds(String mix, String surface, String end) {
    return mix(mix).locator("[data-reach='" + surface + "'][data-end='" + end + "'] input");
  }

  private long save() {
    page.getByLabel(say("aircraft.draftBar.reason")).fill("Typed from the brief");
    button(page, begins("aircraft.draftBar.save")).click();
    assertThat(page.getByLabel(say("aircraft.draftBar.reason"))).hasCount(0);
    return Long.parseLong(page.url().replaceAll(".*/models/(\\d+)/.*", "$1"));
  }

  /** Where a surface stands on the bench, asked by itself. */
  private double stands(
      JsonNode setup, String surface, Map<String, Double> sticks, Map<String, Double> inputs) {
    ObjectNode moment = json.createObjectNode();
    for (String stick : List.of("roll", "pitch", "yaw", "throttle")) {
      moment.put(stick, sticks.getOrDefault(stick, 0.0));
    }
    moment.put("throttleCut", true);
    moment.putObject("trims").put("roll", 0).put("pitch", 0).put("yaw", 0);
    var list = moment.putArray("inputs");
    for (JsonNode input : setup.at("/transmitter/inputs")) {
      list.add(inputs.getOrDefault(input.get("id").asText(), 0.0));
    }
    ObjectNode readings = moment.putObject("readings");
    readings.put("linkPercent", 100).put("voltage", 12.6);
    readings.putArray("timerSeconds");
    readings.putArray("truths");
    ObjectNode body = json.createObjectNode();
    body.set("setup", setup);
    body.set("moment", moment);
    body.put("selected", surface);
    JsonNode travel =
        Models.call(app, "POST", "api/bench/moment", body).at("/frame/positions/travelMm");
    for (int i = 0; i < setup.get("surfaces").size(); i++) {
      if (setup.at("/surfaces/" + i + "/id").asText().equals(surface)) {
        return travel.get(i).asDouble();
      }
    }
    throw new IllegalArgumentException(surface);
  }

  private void noHazard(JsonNode setup) {
    ObjectNode body = json.createObjectNode();
    body.set("setup", setup);
    JsonNode found = Models.call(app, "POST", "api/program/hazards", body);
    Map<String, String> grave = new TreeMap<>();
    for (JsonNode one : found.get("hazards")) {
      boolean open = one.path("acceptedBecause").asText().isEmpty();
      if (open && one.get("kind").asText().startsWith("MOTOR")) {
        grave.put(one.get("kind").asText(), one.get("words").asText());
      }
    }
    assertThat(grave).isEmpty();
  }

  @Test
  void anElectricGliderWithBrakesOnTheThrottleStick() {
    begin("V-tail, flaps with two servos", "Wheatear");
    to("Flight phases");
    press(button(page, say("program.usualPhases.threePhases")));
    assertThat(cell("start", "flap-left")).isVisible();
    move(cell("start", "flap-left"), "2");
    move(cell("landing", "flap-left"), "3");
    // The stick must drive no motor where it brakes: that is arranged first.
    to("Power and timers");
    press(button(page, say("program.powerPage.phaseCurve")));
    Locator curves = page.locator("section", withText(say("program.powerPage.throttleCurve")));
    assertThat(curves).hasCount(2);
    type(curves.last().getByLabel(say("program.curveEditor.pointValue", "i", 2)), "0");
    to("Mixes");
    press(button(page, say("edit.brakesThrottleStick")));
    pick(page.getByLabel(say("program.gallery.actsIn")), "landing");
    press(button(page, say("program.gallery.add")));
    move(adds("Brakes on the throttle stick", "flap-left", "throttle closed"), "20");
    move(adds("Brakes on the throttle stick", "aileron-left", "throttle closed"), "4");
    press(button(page, say("edit.brakesElevator")));
    pick(page.getByLabel(say("program.gallery.actsIn")), "landing");
    press(button(page, say("program.gallery.add")));
    move(adds("Brakes to elevator", "v-tail-left", "throttle closed"), "2");
    to("Feel");
    move(page.locator("[data-rates='/roll'] input").first(), "9");
    Browser.choose(page.getByLabel(say("program.feelPage.control")), "PITCH");
    move(page.locator("[data-rates='/pitch'] input").first(), "6");
    to("Flight phases");
    page.getByLabel(say("program.fade")).first().waitFor();
    for (int i = 0; i < 3; i++) {
      type(page.getByLabel(say("program.fade")).nth(i), "2");
    }
    // Out of the landing with the stick forward the motor comes up over the fade: meant so.
    to("Switch check");
    Locator rises = page.locator("[data-hazard=MOTOR_RISES]");
    assertThat(rises).hasCount(1);
    rises.getByText(say("bench.accepting.title")).click();
    type(
        rises.getByLabel(like("bench.accepting.reasonAsked")),
        "Going round again: it fades in over 2 s");
    press(
        rises.getByRole(
            AriaRole.BUTTON,
            new Locator.GetByRoleOptions().setName(say("bench.accepting.accept")).setExact(true)));
    long model = save();
    System.out.println("Electric glider, brakes on the throttle stick: " + edits + " edits");
    JsonNode setup = Models.setup(app, model);
    Map<String, Double> none = Map.of();
    Map<String, Double> full = Map.of("throttle", 1.0);
    String lever = "front-left-switch";
    assertThat(stands(setup, "flap-left", none, none)).isCloseTo(-2, within(RULER_MM));
    assertThat(stands(setup, "flap-right", none, none)).isCloseTo(-2, within(RULER_MM));
    Map<String, Double> landing = Map.of(lever, 1.0);
    assertThat(stands(setup, "flap-left", full, landing)).isCloseTo(-3, within(RULER_MM));
    assertThat(stands(setup, "flap-left", none, landing)).isCloseTo(-23, within(RULER_MM));
    assertThat(stands(setup, "aileron-right", none, landing)).isCloseTo(4, within(RULER_MM));
    assertThat(stands(setup, "aileron-left", Map.of("roll", -1.0), Map.of(lever, 0.5)))
        .isCloseTo(9, within(RULER_MM));
    noHazard(setup);
    assertThat(edits).isLessThanOrEqualTo(25);
    assertThat(browser.errors()).isEmpty();
  }

  @Test
  void aThermalGliderWithFivePhasesSnapFlapAndBrakes() {
    begin("Glider, flaps, no motor", "Siskin");
    to("Flight phases");
    press(button(page, say("program.usualPhases.fivePhases")));
    String[][] presets = {
      {"speed", "1", "up"}, {"thermal-1", "2.5", "down"}, {"thermal-2", "4", "down"},
    };
    for (String[] preset : presets) {
      for (String surface : List.of("flap-left", "aileron-left")) {
        Locator way =
            page.locator("[data-cell='" + preset[0] + "/" + surface + "'] button").first();
        if (!way.innerText().equals(preset[2])) {
          press(way);
        }
        move(cell(preset[0], surface), preset[1]);
      }
    }
    move(cell("landing", "flap-left"), "3");
    page.getByRole(AriaRole.TAB, named(say("program.phaseTable.differential"))).click();
    for (String phase : List.of("speed", "thermal-1", "thermal-2", "landing")) {
      move(cell(phase, "aileron-left"), "4");
    }
    to("Feel");
    move(page.locator("[data-rates='/roll'] input").first(), "9");
    Browser.choose(page.getByLabel(say("program.feelPage.control")), "PITCH");
    move(page.locator("[data-rates='/pitch'] input").first(), "8");
    Browser.choose(page.getByLabel(say("program.feelPage.control")), "YAW");
    move(page.locator("[data-rates='/yaw'] input").first(), "18");
    to("Mixes");
    press(button(page, say("edit.elevatorFlap")));
    pick(page.getByLabel(say("program.gallery.preset")), "thermal-1");
    press(button(page, say("program.gallery.add")));
    press(button(page, say("edit.brakesThrottleStick")));
    pick(page.getByLabel(say("program.gallery.actsIn")), "landing");
    press(button(page, say("program.gallery.add")));
    move(adds("Brakes on the throttle stick", "flap-left", "throttle closed"), "20");
    move(adds("Brakes on the throttle stick", "aileron-left", "throttle closed"), "4");
    press(button(page, say("edit.brakesElevator")));
    pick(page.getByLabel(say("program.gallery.actsIn")), "landing");
    press(button(page, say("program.gallery.add")));
    move(adds("Brakes to elevator", "elevator", "throttle closed"), "2");
    long model = save();
    System.out.println("Thermal glider, five phases, snap flap, brakes: " + edits + " edits");
    JsonNode setup = Models.setup(app, model);
    Map<String, Double> none = Map.of();
    Map<String, Double> full = Map.of("throttle", 1.0);
    String first = "front-left-switch";
    String second = "front-right-switch";
    assertThat(stands(setup, "flap-left", none, none)).isCloseTo(1, within(RULER_MM));
    assertThat(stands(setup, "aileron-right", none, none)).isCloseTo(1, within(RULER_MM));
    Map<String, Double> thermal = Map.of(first, 1.0);
    assertThat(stands(setup, "flap-right", none, thermal)).isCloseTo(-2.5, within(RULER_MM));
    Map<String, Double> slow = Map.of(first, 1.0, second, 0.5);
    assertThat(stands(setup, "flap-left", none, slow)).isCloseTo(-4, within(RULER_MM));
    Map<String, Double> landing = Map.of(second, 1.0);
    assertThat(stands(setup, "flap-left", full, landing)).isCloseTo(-3, within(RULER_MM));
    assertThat(stands(setup, "flap-left", none, landing)).isCloseTo(-23, within(RULER_MM));
    // Snap flap: full up elevator in cruise brings the flaps to where thermal 1 has them.
    Map<String, Double> cruise = Map.of(first, 0.5);
    assertThat(stands(setup, "flap-left", Map.of("pitch", 1.0), cruise))
        .isCloseTo(-2.5, within(RULER_MM));
    noHazard(setup);
    assertThat(edits).isLessThanOrEqualTo(45);
    assertThat(browser.errors()).isEmpty();
  }

  @Test
  void aJetWithCanardsAndNozzles() {
    begin("Jet, canards and vectored thrust", "Sandgrouse");
    int kind = edits;
    to("Mixes");
    press(button(page, say("edit.elevatorCanards")));
    press(button(page, say("program.gallery.add")));
    // To each side and target a weight of its own: 30 and 35, 38 and 39 percent.
    Browser.choose(page.getByLabel(say("program.movementField.units")), "PERCENT");
    Locator moves = mix("Elevator to canards");
    String[][] weights = {
      {"left-canard", "full back stick", "30"},
      {"left-canard", "full forward stick", "35"},
      {"right-canard", "full back stick", "38"},
      {"right-canard", "full forward stick", "39"},
    };
    press(moves.getByRole(AriaRole.BUTTON).getByText(say("program.mixesPage.editSeparately")));
    for (String[] one : weights) {
      move(adds("Elevator to canards", one[0], one[1]), one[2]);
    }
    press(button(page, say("edit.aileronCanards")));
    press(button(page, say("program.gallery.add")));
    move(adds("Aileron to canards", "left-canard", "full right aileron stick"), "20");
    press(button(page, say("edit.elevatorNozzles")));
    press(button(page, say("program.gallery.add")));
    press(button(page, say("edit.rudderNozzles")));
    press(button(page, say("program.gallery.add")));
    Browser.choose(page.getByLabel(say("program.movementField.units")), "MILLIMETRES");
    to("Feel");
    move(page.locator("[data-rates='/roll'] input").first(), "12");
    long model = save();
    int typed = edits - kind;
    System.out.println("Jet, canards and nozzles: " + typed + " edits beyond its kind");
    JsonNode setup = Models.setup(app, model);
    JsonNode canards = setup.at("/mixes/0");
    for (String[] one : weights) {
      boolean back = one[1].contains("back");
      double rate =
          setup
              .at("/feel/pitch/" + (back ? "ratePositivePercent" : "rateNegativePercent"))
              .asDouble();
      double weight =
          rate / 100 * canards.get(back ? "weightPlusPercent" : "weightMinusPercent").asDouble();
      for (JsonNode target : canards.get("targets")) {
        if (target.get("target").asText().equals(one[0])) {
          double factor = target.get(back ? "factor" : "factorMinus").asDouble();
          assertThat(Math.abs(weight * factor))
              .as(one[0] + " " + one[1])
              .isCloseTo(Double.parseDouble(one[2]), within(0.06));
        }
      }
    }
    Map<String, Double> none = Map.of();
    assertThat(stands(setup, "aileron-right", Map.of("roll", 1.0), none))
        .isCloseTo(12, within(RULER_MM));
    assertThat(stands(setup, "nozzle-pitch", Map.of("pitch", 1.0), none)).isPositive();
    noHazard(setup);
    assertThat(typed).isLessThanOrEqualTo(20);
    assertThat(browser.errors()).isEmpty();
  }

  /** What a phase's column says is what the drawing beside it says, the phase faded in. */
  @Test
  void whatThePagesShowIsWhatTheBenchShows() {
    for (long model : List.of(2L, 3L)) {
      page = open("models/" + model + "/program/phases");
      page.getByRole(AriaRole.TAB, named(say("program.phaseTable.fullSticks"))).click();
      assertThat(page.locator("[data-full]").first()).isVisible();
      Locator heads = page.locator("[data-phases] thead button");
      for (int i = 0; i < heads.count(); i++) {
        Object phase = heads.nth(i).evaluate("one => one.closest('th').dataset.phaseOf");
        heads.nth(i).click();
        assertThat(page.locator("th.bg-inset[data-phase-of='" + phase + "']")).isVisible();
        compareWithDrawing();
      }
      compareWithDrawing();
    }
    assertThat(browser.errors()).isEmpty();
  }

  /** The column of the phase that is on, at rest, beside the figures of the drawing. */
  private void compareWithDrawing() {
    page.getByRole(AriaRole.TAB, named(say("program.phaseTable.presets"))).click();
    assertThat(page.locator("td.bg-inset[data-cell]").first())
        .containsText(say("program.phaseTable.total"));
    // A phase takes its time to fade in; then the two are the same.
    List<String> differ = differing();
    for (int tries = 0; tries < 300 && !differ.isEmpty(); tries++) {
      page.waitForTimeout(100);
      differ = differing();
    }
    assertThat(differ).isEmpty();
    page.getByRole(AriaRole.TAB, named(say("program.phaseTable.fullSticks"))).click();
  }

  private List<String> differing() {
    Locator stands = page.locator("td.bg-inset[data-cell]");
    List<String> differ = new ArrayList<>();
    for (int i = 0; i < stands.count(); i++) {
      String surface = stands.nth(i).getAttribute("data-cell").replaceAll(".*/", "");
      String drawn = page.locator("[data-travel='" + surface + "']").textContent();
      String figure = drawn.replaceAll("^.*?([▲▼▶◀]? ?\\d+\\.\\d mm)$", "$1").trim();
      String told = stands.nth(i).innerText();
      if (!told.contains("total " + figure)) {
        differ.add(surface + " is drawn at " + figure + ": " + told);
      }
    }
    return differ;
  }

  /** Drawing, tally and sticks at once, and no two labels of a drawing on one another. */
  @Test
  void theBenchIsInOneViewAndNoLabelsOverlap() {
    JsonNode kinds = Models.call(app, "GET", "api/kinds", null);
    page = open("");
    for (JsonNode kind : kinds) {
      ObjectNode body = json.createObjectNode().put("reason", "To be drawn");
      ObjectNode setup = kind.deepCopy();
      body.set("setup", setup.put("name", "Drawn"));
      long model = Models.call(app, "POST", "api/aircraft", body).get("id").asLong();
      noOverlap("models/" + model + "/program/feel", kind.at("/airframe/kind").asText());
    }
    for (long model = 1; model <= 4; model++) {
      noOverlap("models/" + model + "/program/phases", "demo " + model);
      noOverlap("models/" + model + "/check", "bench of demo " + model);
    }
  }

  private void noOverlap(String path, String what) {
    page.navigate(app.address() + path);
    assertThat(page.locator("[data-travel]").first()).isVisible();
    assertThat(page.locator("[data-tally-total]")).isVisible();
    Object overlaps =
        page.evaluate(
            "() => { const all = [...document.querySelectorAll('svg text')]"
                + ".map(t => [t.textContent, t.getBoundingClientRect()]);"
                + "return all.flatMap(([a, p], i) => all.slice(i + 1)"
                + ".filter(([, q]) => p.left < q.right - 0.5 && q.left < p.right - 0.5"
                + " && p.top + 2 < q.bottom - 2 && q.top + 2 < p.bottom - 2)"
                + ".map(([b]) => a + ' on ' + b)); }");
    assertThat((List<?>) overlaps).as(what).isEmpty();
    Object small =
        page.evaluate(
            "() => [...document.querySelectorAll('[data-travel]')].filter(t =>"
                + " parseFloat(getComputedStyle(t).fontSize)"
                + " * t.getScreenCTM().a < 12).map(t => t.textContent)");
    assertThat((List<?>) small).as(what).isEmpty();
    for (String part : List.of("[data-tally-total]", "[data-stick=left]", "[data-travel]")) {
      double bottom =
          ((Number)
                  page.evaluate(
                      "part => document.querySelector(part).getBoundingClientRect().bottom", part))
              .doubleValue();
      assertThat(bottom).as(what + ": " + part).isLessThanOrEqualTo(800);
    }
  }
}
