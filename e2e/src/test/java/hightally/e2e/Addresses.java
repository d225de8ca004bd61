package hightally.e2e;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Every address of the page, from the demo models, for the tests that look at all of them. */
final class Addresses {
  private static final List<String> PAGES =
      List.of(
          "",
          "new",
          "bring-in",
          "school",
          "settings",
          "let-in",
          "nowhere",
          "models/1/rig",
          "models/1/rig/airframe",
          "models/1/rig/map",
          "models/1/rig/map/wiring",
          "models/1/rig/set-up",
          "models/1/rig/balance",
          "models/1/rig/changes",
          "models/1/program",
          "models/2/program/feel",
          "models/2/program/phases",
          "models/2/program/mixes",
          "models/2/program/power",
          "models/2/program/switches",
          "models/4/program/hazards",
          "models/1/program/entry",
          "models/2/program/sheet",
          "models/1/check",
          "models/1/check/scenes",
          "models/1/fly",
          "models/1/fly/new",
          "models/1/fly/coach",
          "models/1/fly/card",
          "models/1/fly/checks",
          "models/1/fly/wishes",
          "models/1/fly/1",
          "models/1/adjust",
          "models/2/fly/new",
          "models/2/fly/card",
          "models/2/adjust",
          "models/1/adjust/sheet",
          "models/1/revisions");

  /** A dialog by the page it is on and the button that opens it. */
  static final Map<String, String> DIALOGS =
      Map.of(
          "", "hangar.shell.allPages",
          "settings", "hangar.shell.keyboardShortcuts",
          "models/1/revisions", "aircraft.wholeModel.deleteIt",
          "models/1/fly", "flightlog.flightActions.leaveItOut",
          "models/1/program", "simulator.tryInSimulator.trySimulator",
          "models/2/revisions", "model.goBack.goBack");

  private Addresses() {}

  /** All of them; a lesson and a check are begun for those that need one. */
  static List<String> all(RunningApp app) {
    List<String> begun = begun(app);
    List<String> all = new ArrayList<>(PAGES);
    all.addAll(begun);
    return all;
  }

  /** Those that are only there, or say more, once something was begun. */
  private static List<String> begun(RunningApp app) {
    JsonNode lesson = object().put("lesson", "AEROBATIC").put("seed", 5);
    long practice = Models.call(app, "POST", "api/school/lessons", lesson).get("id").asLong();
    JsonNode check = object().put("kind", "RANGE").put("pack", "");
    long run = Models.call(app, "POST", "api/aircraft/2/checks", check).get("id").asLong();
    long turned = turned(app);
    long setUp = Models.planted(app, 2, setup -> setup.put("name", "Godwit"));
    String bench = "api/aircraft/" + setUp + "/bench-set-up";
    JsonNode first = Models.call(app, "POST", bench, object().put("school", "ROD_FIRST"));
    ObjectNode ways = object().put("version", first.get("version").asInt()).put("step", "ways");
    ObjectNode safe = ways.putArray("answers").addObject().put("step", "harmless");
    safe.put("choice", "propeller-off").putArray("values");
    Models.call(app, "PUT", bench, ways);
    long aside = Models.planted(app, 1, setup -> setup.put("name", "Siskin"));
    Models.call(app, "PUT", "api/aircraft/" + aside + "/place", object().put("place", "DELETED"));
    return List.of(
        "school/" + practice,
        "school/" + practice + "/hands-off",
        "models/2/fly/checks/" + run,
        "models/" + turned + "/adjust",
        "models/" + turned + "/adjust/sheet",
        "models/" + setUp + "/rig/set-up");
  }

  /** A model with a work order begun. */
  static long turned(RunningApp app) {
    long model = Models.planted(app, 1, setup -> setup.put("name", "Dunlin"));
    String at = "api/aircraft/" + model;
    Models.flown(app, model, 12, 12, 12);
    JsonNode flights = Models.call(app, "GET", at + "/flights", null);
    ObjectNode order = object().put("reference", "").put("presetsTakeUp", false);
    order.set("flightId", flights.at("/items/0/id"));
    order.putArray("controls").add("PITCH");
    Models.call(app, "POST", at + "/adjustment", order);
    return model;
  }

  private static ObjectNode object() {
    return JsonNodeFactory.instance.objectNode();
  }
}
