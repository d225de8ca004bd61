package hightally.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
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
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/**
 * Every millimetre on the program pages against the core's answer for the one moment it names: the
 * demo models, and models at random.
 */
class NumbersStoriesTest extends Story {
  /** Shown to a tenth. */
  private static final double SHOWN = 0.0501;

  private static final int RANDOM_MODELS = Integer.getInteger("models", 4);
  private static final long FIRST_SEED = 20_261_127;
  private static final Pattern TRAVEL = Pattern.compile("([▲▼▶◀]?) ?(\\d+\\.\\d) mm");

  private final ObjectMapper json = new ObjectMapper();
  private final Map<String, JsonNode> answers = new HashMap<>();
  private Page page;
  private JsonNode setup;
  private String what;
  private int compared;

  @Test
  void everyMillimetreIsTheBenchsOwn() {
    List<Long> models = new ArrayList<>(List.of(1L, 2L, 3L, 4L));
    JsonNode kinds = Models.call(app, "GET", "api/kinds", null);
    for (int i = 0; i < RANDOM_MODELS; i++) {
      models.add(RandomModels.stored(app, kinds.get(i % kinds.size()), FIRST_SEED + i));
    }
    page = open("");
    for (long model : models) {
      setup = Models.setup(app, model);
      answers.clear();
      phases(model);
      mixes(model);
      feel(model);
      surfaces(model);
    }
    System.out.println("Millimetres of the program pages compared: " + compared);
    assertThat(compared).isGreaterThan(60 * models.size());
    assertThat(browser.errors()).isEmpty();
  }

  private void go(long model, String tab) {
    what = setup.get("name").asText() + ", " + tab;
    String address = "models/" + model + "/program" + (tab.isEmpty() ? "" : "/" + tab);
    Locator link = page.locator("a[href='/" + address + "']");
    if (page.url().contains("/models/" + model + "/program/")) {
      link.first().click();
    } else {
      page.navigate(app.address() + address);
    }
  }

  private JsonNode asked(String script) {
    return json.valueToTree(page.evaluate(script));
  }

  private void phases(long model) {
    go(model, "phases");
    assertThat(page.locator("th[data-moment^='{']").first()).isVisible();
    JsonNode cells = cells();
    for (JsonNode cell : cells) {
      String[] at = cell.get("cell").asText().split("/");
      JsonNode moment = moment(cell.get("moment").asText());
      if (moment == null) {
        continue;
      }
      JsonNode surface = surface(at[1]);
      JsonNode answer = bench(moment, at[1]);
      List<Double> stands = travels(cell.get("text").asText().replaceAll("(?s).*total", ""), at[1]);
      shown(stands.get(0), travel(answer, at[1]));
      String pair = surface.get("pair").asText();
      boolean own = has(cells, at[0] + "/" + pair);
      if (!pair.isEmpty() && !own) {
        shown(stands.get(stands.size() - 1), travel(answer, pair));
      }
      double typed = cell.get("value").asDouble();
      double preset = line(answer, "PRESET", "");
      shown(Math.abs(preset) < SHOWN ? Math.abs(typed) : signed(typed, cell), preset, true);
    }
    tab("Full sticks", "[data-full]");
    for (JsonNode cell : cells()) {
      String[] at = cell.get("cell").asText().split("/");
      JsonNode moment = moment(cell.get("moment").asText());
      for (JsonNode full : cell.get("full")) {
        String control = full.get("control").asText().toLowerCase();
        List<Double> ends = travels(full.get("text").asText(), at[1]);
        shown(ends.get(0), travel(bench(with(moment, control, 1), at[1]), at[1]));
        shown(ends.get(1), travel(bench(with(moment, control, -1), at[1]), at[1]));
      }
    }
    tab("Differential", "[data-phases]");
    for (JsonNode cell : cells()) {
      String[] at = cell.get("cell").asText().split("/");
      JsonNode moment = moment(cell.get("moment").asText());
      if (moment != null && !cell.get("value").asText().isEmpty()) {
        double rest = travel(bench(moment, at[1]), at[1]);
        // Down is where it goes down, by its share, a mix or a linkage that is turned.
        double right = travel(bench(with(moment, "roll", 1), at[1]), at[1]) - rest;
        double left = travel(bench(with(moment, "roll", -1), at[1]), at[1]) - rest;
        shown(cell.get("value").asDouble(), Math.abs(Math.min(right, left)));
      }
    }
  }

  private void tab(String name, String shows) {
    page.getByRole(AriaRole.TAB, named(name)).click();
    assertThat(page.locator(shows).first()).isVisible();
  }

  private JsonNode cells() {
    return asked(
        "() => [...document.querySelectorAll('td[data-cell]')].map(td => ({"
            + " cell: td.dataset.cell, text: td.innerText,"
            + " moment: [...document.querySelectorAll('th[data-phase-of]')].find(th =>"
            + " td.dataset.cell.startsWith(th.dataset.phaseOf + '/')).dataset.moment,"
            + " value: td.querySelector('input')?.value ?? '',"
            + " way: td.querySelector('button')?.innerText ?? '',"
            + " full: [...td.querySelectorAll('[data-full]')].map(one =>"
            + " ({control: one.dataset.full, text: one.innerText})) }))");
  }

  private static boolean has(JsonNode cells, String cell) {
    for (JsonNode one : cells) {
      if (one.get("cell").asText().equals(cell)) {
        return true;
      }
    }
    return false;
  }

  private void mixes(long model) {
    if (setup.get("mixes").isEmpty()) {
      return;
    }
    go(model, "mixes");
    assertThat(page.locator("[data-tally-total]")).isVisible();
    assertThat(
            page.getByText(like("program.mixTargets.bench"))
                .or(page.getByText(like("program.mixTargets.inWith")))
                .or(page.getByText(like("program.mixTargets.neverActs")))
                .first())
        .isVisible();
    JsonNode ends =
        asked(
            "() => [...document.querySelectorAll('[data-reach]')].map(one => ({"
                + " surface: one.dataset.reach, mix: one.dataset.mix, moment: one.dataset.moment,"
                + " value: one.querySelector('input').value,"
                + " way: one.querySelector('button').innerText, text: one.innerText }))");
    for (JsonNode end : ends) {
      String surface = end.get("surface").asText();
      JsonNode answer = bench(moment(end.get("moment").asText()), surface);
      String stands = end.get("text").asText().replaceAll("(?s).*total", "");
      shown(travels(stands, surface).get(0), travel(answer, surface));
      double adds = line(answer, "MIX", mixName(end.get("mix").asText()));
      double typed = end.get("value").asDouble();
      shown(Math.abs(adds) < SHOWN ? Math.abs(typed) : signed(typed, end), adds, true);
    }
  }

  private String mixName(String id) {
    for (JsonNode mix : setup.get("mixes")) {
      if (mix.get("id").asText().equals(id)) {
        return mix.get("name").asText();
      }
    }
    throw new IllegalArgumentException(id);
  }

  private void feel(long model) {
    go(model, "feel");
    for (String control : List.of("roll", "pitch", "yaw")) {
      Browser.choose(page.getByLabel(say("program.feelPage.control")), control.toUpperCase());
      page.locator("[data-rates$='/" + control + "']").first().waitFor();
      JsonNode rows =
          asked(
              "() => [...document.querySelectorAll('[data-rates][data-moment]')].map(one => ({"
                  + " of: one.dataset.rates, surface: one.dataset.surface,"
                  + " sides: one.dataset.sides, moment: one.dataset.moment,"
                  + " values: [...one.querySelectorAll('[data-movement] input')]"
                  + ".map(each => each.value) }))");
      for (JsonNode row : rows) {
        JsonNode moment = moment(row.get("moment").asText());
        assertThat(row.get("of").asText()).endsWith("/" + control);
        if (moment != null) {
          String surface = row.get("surface").asText();
          double rest = travel(bench(moment, surface), surface);
          String sides = row.get("sides").asText();
          int first = sides.equals("minus") ? -1 : 1;
          JsonNode there = bench(with(moment, control, first), surface);
          shown(row.at("/values/0").asDouble(), Math.abs(travel(there, surface) - rest));
          if (sides.equals("both")) {
            JsonNode other = bench(with(moment, control, -1), surface);
            shown(row.at("/values/1").asDouble(), Math.abs(travel(other, surface) - rest));
          }
        }
      }
    }
  }

  /** Surface by surface: both ends of every stick, and the way of every lever. */
  private void surfaces(long model) {
    go(model, "");
    assertThat(page.locator("[data-here]").first()).isVisible();
    JsonNode told =
        asked(
            "() => [...document.querySelectorAll('[data-here], [data-lever]')].map(one => ({"
                + " surface: one.dataset.here ?? one.dataset.lever, text: one.innerText,"
                + " control: one.dataset.control ?? '', moment: one.dataset.moment,"
                + " back: one.dataset.back ?? '' }))");
    for (JsonNode one : told) {
      String surface = one.get("surface").asText();
      JsonNode moment = moment(one.get("moment").asText());
      List<Double> ends = inWords(one.get("text").asText());
      if (one.get("back").asText().isEmpty()) {
        String control = one.get("control").asText();
        shown(ends.get(0), travel(bench(with(moment, control, -1), surface), surface));
        shown(ends.get(1), travel(bench(with(moment, control, 1), surface), surface));
      } else {
        double back = travel(bench(moment(one.get("back").asText()), surface), surface);
        shown(ends.get(0), travel(bench(moment, surface), surface) - back);
      }
    }
  }

  /** `12.4 mm up`, or `neutral` for none. */
  private static List<Double> inWords(String text) {
    List<Double> found = new ArrayList<>();
    Matcher matcher =
        Pattern.compile("neutral|(\\d+\\.\\d) mm (up|down|right|left|aft|forward)").matcher(text);
    while (matcher.find()) {
      boolean none = matcher.group(1) == null;
      double size = none ? 0 : Double.parseDouble(matcher.group(1));
      found.add(none || List.of("up", "right", "aft").contains(matcher.group(2)) ? size : -size);
    }
    return found;
  }

  private JsonNode moment(String text) {
    return text.isEmpty() ? null : Models.read(text);
  }

  private static JsonNode with(JsonNode moment, String stick, double at) {
    return ((ObjectNode) moment.deepCopy()).put(stick, at);
  }

  private JsonNode surface(String id) {
    return setup.get("surfaces").get(index(id));
  }

  private int index(String id) {
    for (int i = 0; i < setup.get("surfaces").size(); i++) {
      if (setup.at("/surfaces/" + i + "/id").asText().equals(id)) {
        return i;
      }
    }
    throw new IllegalArgumentException(id);
  }

  private JsonNode bench(JsonNode moment, String surface) {
    return answers.computeIfAbsent(
        surface + moment,
        key -> {
          ObjectNode body = json.createObjectNode().put("selected", surface);
          body.set("setup", setup);
          body.set("moment", moment);
          return Models.call(app, "POST", "api/bench/moment", body).get("frame");
        });
  }

  private double travel(JsonNode answer, String surface) {
    return answer.at("/positions/travelMm/" + index(surface)).asDouble();
  }

  /** What one thing adds by the tally of the surface selected. */
  private double line(JsonNode answer, String contribution, String label) {
    double sum = 0;
    for (JsonNode line : answer.at("/tally/lines")) {
      boolean named = label.isEmpty() || line.get("label").asText().contains(label);
      sum +=
          named && line.get("contribution").asText().equals(contribution)
              ? line.get("mm").asDouble()
              : 0;
    }
    return sum;
  }

  /** With the sign its word says. */
  private static double signed(double size, JsonNode cell) {
    return List.of("down", "left", "forward").contains(cell.get("way").asText()) ? -size : size;
  }

  /** A swinging wing's plus is aft, drawn down; everything else's is up or right. */
  private List<Double> travels(String text, String surface) {
    boolean swings = surface(surface).get("role").asText().equals("SWINGING_WING");
    String minus = swings ? "▲" : "▼◀";
    List<Double> found = new ArrayList<>();
    Matcher matcher = TRAVEL.matcher(text);
    while (matcher.find()) {
      double size = Double.parseDouble(matcher.group(2));
      boolean down = !matcher.group(1).isEmpty() && minus.contains(matcher.group(1));
      found.add(down ? -size : size);
    }
    return found;
  }

  private void shown(double shown, double answered) {
    shown(shown, answered, false);
  }

  private void shown(double shown, double answered, boolean sizeOfNone) {
    double wanted = sizeOfNone && Math.abs(answered) < SHOWN ? Math.abs(answered) : answered;
    assertThat(shown).as(what).isCloseTo(wanted, within(SHOWN));
    compared++;
  }
}
