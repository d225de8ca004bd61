package hightally.e2e;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
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
    List<String> all = new ArrayList<>(PAGES);
    all.addAll(begun(app));
    return all;
  }

  /** Those that are only there once something was begun. */
  private static List<String> begun(RunningApp app) {
    JsonNode lesson =
        JsonNodeFactory.instance.objectNode().put("lesson", "AEROBATIC").put("seed", 5);
    long practice = Models.call(app, "POST", "api/school/lessons", lesson).get("id").asLong();
    JsonNode check = JsonNodeFactory.instance.objectNode().put("kind", "RANGE").put("pack", "");
    long run = Models.call(app, "POST", "api/aircraft/2/checks", check).get("id").asLong();
    return List.of(
        "school/" + practice, "school/" + practice + "/hands-off", "models/2/fly/checks/" + run);
  }
}
