package hightally.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static hightally.e2e.Catalogue.like;
import static hightally.e2e.Catalogue.say;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** A model that moves otherwise than it is described, met by the guide at the bench. */
class BenchSetUpStoriesTest extends Story {
  private static final int DESK = 1280;
  private static final int PHONE = 390;

  /** The guide begun; a model without a motor is not asked how it was made harmless. */
  private static Page begun(long model, String harmless) {
    Page page = open("models/" + model + "/rig/set-up");
    button(page, say("benchsetup.setUpPage.begin")).click();
    if (!harmless.isEmpty()) {
      assertThat(button(page, say("benchsetup.guidedStep.next"))).isDisabled();
      pick(page, harmless);
    }
    assertThat(button(page, say("benchsetup.guidedStep.next"))).isEnabled();
    return page;
  }

  /** Picks an answer and waits until it is taken. */
  private static void pick(Page page, String answer) {
    button(page, answer).click();
    assertThat(page.locator("form [aria-pressed=true]")).hasText(answer);
  }

  private static void to(Page page, String step) {
    Locator all = page.getByText(say("benchsetup.guidedStep.allSteps"));
    if (!page.locator("ol button").first().isVisible()) {
      all.click();
    }
    page.locator("ol")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(step))
        .first()
        .click();
    assertThat(page.locator("[data-guide]")).hasText(step);
  }

  private static JsonNode node(ObjectNode setup, String list, String id) {
    for (JsonNode one : setup.get(list)) {
      if (one.get("id").asText().equals(id)) {
        return one;
      }
    }
    throw new IllegalArgumentException(id);
  }

  /** A model, and its rig that is not what the description says. */
  private record Case(long model, TrueRig rig) {}

  /** The rigs of one fault or two that sticks alone do not tell, each at the desk and by phone. */
  static Stream<Arguments> rigs() {
    return Stream.of(DESK, PHONE)
        .flatMap(
            width ->
                Stream.of(
                        "nose wheel", "ailerons", "v-tail", "elevon and rudder", "y-lead", "flaps")
                    .map(name -> Arguments.of(name, width)));
  }

  private static Case of(String name, int width) {
    return switch (name) {
      case "nose wheel" -> {
        long model = planted(1, name + width, BenchSetUpStoriesTest::withNoseWheel);
        ObjectNode setup = Models.setup(app, model);
        String wheel =
            node(setup, "surfaces", surface(setup, "NOSE_WHEEL")).at("/rod/driverId").asText();
        yield new Case(model, rig(model).turned(wheel));
      }
      case "ailerons" -> {
        long model = planted(4, name + width, setup -> {});
        TrueRig rig = rig(model).exchanged("servo-aileron-left", "servo-aileron-right");
        yield new Case(model, rig.reversed(1).reversed(5));
      }
      case "v-tail" -> {
        long model = planted(2, name + width, setup -> {});
        TrueRig rig = rig(model).exchanged("servo-v-tail-left", "servo-v-tail-right");
        yield new Case(model, rig.turned("servo-v-tail-left"));
      }
      case "elevon and rudder" -> {
        long model = planted(3, name + width, BenchSetUpStoriesTest::withRudder);
        ObjectNode setup = Models.setup(app, model);
        String rudder =
            node(setup, "surfaces", surface(setup, "RUDDER")).at("/rod/driverId").asText();
        yield new Case(model, rig(model).exchanged("servo-elevon-left", rudder));
      }
      case "y-lead" -> {
        long model = planted(4, name + width, BenchSetUpStoriesTest::aileronsOnAYLead);
        yield new Case(model, rig(model).horn("aileron-right"));
      }
      default -> {
        long model = planted(4, name + width, BenchSetUpStoriesTest::flapsOnOneServo);
        yield new Case(model, rig(model).horn("flap-right"));
      }
    };
  }

  private static long planted(long demo, String name, Consumer<ObjectNode> planting) {
    return Models.planted(app, demo, setup -> planting.accept(setup.put("name", "Rig " + name)));
  }

  private static TrueRig rig(long model) {
    return new TrueRig(app, Models.setup(app, model));
  }

  private static String surface(ObjectNode setup, String role) {
    for (JsonNode one : setup.get("surfaces")) {
      if (one.get("role").asText().equals(role)) {
        return one.get("id").asText();
      }
    }
    throw new IllegalArgumentException(role);
  }

  /** The kind with a steered wheel ahead of its balance point. */
  private static void withNoseWheel(ObjectNode setup) {
    String name = setup.get("name").asText();
    for (JsonNode kind : Models.call(app, "GET", "api/kinds", null)) {
      if (kind.toString().contains("NOSE_WHEEL")) {
        setup.setAll((ObjectNode) kind);
      }
    }
    setup.put("name", name);
  }

  private static void withRudder(ObjectNode setup) {
    ObjectNode wish = setup.objectNode();
    wish.put("kind", "SURFACE").put("name", "Rudder").put("rightName", "").put("role", "RUDDER");
    wish.put("panel", "OTHER").put("side", "CENTRE").put("mirrored", false);
    for (JsonNode panel : setup.at("/airframe/panels")) {
      if (panel.get("role").asText().equals("FIN")) {
        wish.put("at", panel.get("id").asText());
      }
    }
    ObjectNode asked = setup.objectNode();
    asked.set("setup", setup.deepCopy());
    asked.set("wish", wish);
    setup.setAll((ObjectNode) Models.call(app, "POST", "api/edits/parts", asked).get("setup"));
  }

  private static void aileronsOnAYLead(ObjectNode setup) {
    ((ObjectNode) node(setup, "servos", "servo-aileron-right")).put("channel", 1);
    for (JsonNode lead : setup.at("/wiring/leads")) {
      if (lead.get("device").asText().contains("aileron")) {
        ((ObjectNode) lead).put("socket", 1).put("splitter", "Y");
      }
    }
  }

  private static void flapsOnOneServo(ObjectNode setup) {
    ((ObjectNode) node(setup, "surfaces", "flap-right").get("rod"))
        .put("driverId", "servo-flap-left");
    without(setup.get("servos"), "id", "servo-flap-right");
    without(setup.at("/wiring/leads"), "device", "servo-flap-right");
    without(setup.get("channels"), "number", "8");
  }

  private static void without(JsonNode list, String by, String id) {
    Iterator<JsonNode> all = list.iterator();
    while (all.hasNext()) {
      if (all.next().get(by).asText().equals(id)) {
        all.remove();
      }
    }
  }

  /** Sticks alone do not tell these: each is led home, and goes as it is described in the end. */
  @ParameterizedTest
  @MethodSource("rigs")
  void aRigOtherThanDescribedIsLedHome(String name, int width) {
    Case one = of(name, width);
    boolean motor = !Models.setup(app, one.model()).at("/airframe/motors").isEmpty();
    Page page = begun(one.model(), motor ? "Propeller taken off" : "");
    page.setViewportSize(width, 800);
    to(page, say("guide.ways"));
    if (name.equals("nose wheel")) {
      // A nose wheel is told by its front: never one sign for it and a tail wheel.
      assertThat(Looks.standing(one.model()).toString()).contains("with its front");
    }
    List<JsonNode> sticks = sticks(Looks.standing(one.model()).at("/told/next/look"));
    assertThat(Looks.led(page, one.model(), one.rig())).isNotEmpty();
    assertThat(button(page, say("benchsetup.guidedStep.next"))).isEnabled();
    TrueRig described = rig(one.model());
    for (JsonNode look : sticks) {
      assertThat(one.rig().seen(look)).as(look.get("id").asText()).isEqualTo(described.seen(look));
    }
    assertThat(browser.errors()).isEmpty();
  }

  /** Every stick held over, from where a look begins. */
  private static List<JsonNode> sticks(JsonNode look) {
    List<JsonNode> all = new ArrayList<>();
    for (String stick : List.of("roll", "pitch", "yaw")) {
      ObjectNode held = ((ObjectNode) look).deepCopy().put("id", stick).put("kind", "STICK");
      held.set("there", ((ObjectNode) look.get("rest")).deepCopy().put(stick, 1));
      held.putNull("back");
      all.add(held);
    }
    return all;
  }

  /** What was seen is there when the page is left and opened again; the last is taken back. */
  @Test
  void theLooksAreLeftInTheMiddleAndTakenUpAgain() {
    long model = planted(1, "left", setup -> {});
    TrueRig rig = rig(model).turned("servo-rudder");
    Page page = begun(model, "Propeller taken off");
    to(page, say("guide.ways"));
    JsonNode first = Looks.standing(model);
    Looks.answer(page, first.get("told"), rig);
    JsonNode second = Looks.after(page, model, first);
    page.close();
    Page later = open("models/" + model + "/rig/set-up");
    assertThat(later.locator("[data-seen='1']")).isVisible();
    // Another tab goes on meanwhile: this one says so, and shows where it stands.
    Page tab = browser.page(1280, 800, ColorScheme.LIGHT);
    tab.navigate(app.address() + "models/" + model + "/rig/set-up");
    Looks.answer(tab, second.get("told"), rig);
    Looks.after(tab, model, second);
    button(later, say("benchsetup.ways.asDrawn")).click();
    assertThat(later.getByText(say("refused.setUpMoved"))).isVisible();
    assertThat(later.locator("[data-seen='2']")).isVisible();
    button(later, say("benchsetup.ways.back")).click();
    assertThat(later.locator("[data-seen='1']")).isVisible();
    assertThat(Looks.led(later, model, rig)).containsExactly("CHANNEL_SIGN");
    assertThat(browser.errors().stream().filter(one -> !one.contains("409"))).isEmpty();
  }

  @Test
  void noMotorIsTouchedBeforeThePropellerIsOff() {
    Page page = begun(4, "Motor unplugged");
    to(page, "The propeller comes off now");
    assertThat(page.getByText(like("guide.firstPropellerOff"))).isVisible();
    button(page, say("benchsetup.guidedStep.next")).click();
    assertThat(page.locator("[data-guide]")).hasText(say("guide.keepersAndRecheck"));
    button(page, say("benchsetup.guidedStep.back")).click();
    pick(page, "Propeller off, model held");
    button(page, say("benchsetup.guidedStep.next")).click();
    assertThat(page.locator("[data-guide]"))
        .hasText(say("guide.motorTouch", "motor", "Left motor"));
    pick(page, "It starts gently and stops with the throttle closed");
    button(page, say("benchsetup.guidedStep.next")).click();
    pick(page, "It turns the other way");
    assertThat(page.locator("[data-verdict=differs]")).containsText(like("guide.swapTwoLeads"));
    assertThat(browser.errors()).isEmpty();
  }
}
