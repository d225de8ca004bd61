package hightally.app.transfer;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.core.airframe.PanelRole;
import hightally.core.airframe.SurfaceRole;
import hightally.core.program.PhaseRole;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Roles and pairs for documents from before there were any, taken once from the names and ids that
 * pilots gave, and where those say nothing from what a surface does. Nothing else in the program
 * reads names; what was taken is shown and can be changed.
 */
final class RolesFromNames {
  /** The longer words first: a flaperon is no flap. */
  private static final Map<String, SurfaceRole> SURFACES = new LinkedHashMap<>();

  private static final Map<String, PanelRole> PANELS = new LinkedHashMap<>();
  private static final Map<String, PhaseRole> PHASES = new LinkedHashMap<>();

  static {
    SURFACES.put("flaperon", SurfaceRole.FLAPERON);
    SURFACES.put("elevon", SurfaceRole.ELEVON);
    SURFACES.put("v-tail", SurfaceRole.V_TAIL);
    SURFACES.put("canard", SurfaceRole.CANARD);
    SURFACES.put("flap", SurfaceRole.FLAP);
    SURFACES.put("aileron", SurfaceRole.AILERON);
    SURFACES.put("spoiler", SurfaceRole.SPOILER);
    SURFACES.put("elevator", SurfaceRole.ELEVATOR);
    SURFACES.put("tailplane", SurfaceRole.ELEVATOR);
    SURFACES.put("rudder", SurfaceRole.RUDDER);
    PANELS.put("v-tail", PanelRole.V_TAIL);
    PANELS.put("canard", PanelRole.CANARD);
    PANELS.put("winglet", PanelRole.FIN);
    PANELS.put("wing", PanelRole.WING);
    PANELS.put("tailplane", PanelRole.TAIL);
    PANELS.put("stabil", PanelRole.TAIL);
    PANELS.put("fin", PanelRole.FIN);
    PANELS.put("leg", PanelRole.CARRIER);
    PANELS.put("nozzle", PanelRole.CARRIER);
    PHASES.put("launch", PhaseRole.LAUNCH);
    PHASES.put("thermal", PhaseRole.THERMAL);
    PHASES.put("slow", PhaseRole.THERMAL);
    PHASES.put("speed", PhaseRole.SPEED);
    PHASES.put("land", PhaseRole.LANDING);
    PHASES.put("full flap", PhaseRole.LANDING);
    PHASES.put("ground", PhaseRole.GROUND);
    PHASES.put("taxi", PhaseRole.GROUND);
    PHASES.put("backwards", PhaseRole.REVERSE);
    PHASES.put("reverse", PhaseRole.REVERSE);
    PHASES.put("cruise", PhaseRole.CRUISE);
  }

  /** The one role of steered wheels before version 10. */
  static final String WHEEL = "WHEEL";

  private RolesFromNames() {}

  static void ofSurfaces(List<ObjectNode> surfaces) {
    for (ObjectNode one : surfaces) {
      JsonNode part = one.remove("part");
      String told = part == null ? "" : part.asText();
      // What was one kind of wheel until version 10 is told apart there.
      one.put("role", told.equals(WHEEL) ? WHEEL : role(one, told).name());
      one.put("pair", pair(one, surfaces));
    }
    surfaces.forEach(one -> unpairUnlessMutual(one, surfaces, true));
  }

  private static SurfaceRole role(ObjectNode surface, String part) {
    return switch (part) {
      case "SPOILER" -> SurfaceRole.SPOILER;
      case "SWINGING_WING" -> SurfaceRole.SWINGING_WING;
      case "NOZZLE" -> SurfaceRole.NOZZLE;
      default -> named(surface, SURFACES, does(surface));
    };
  }

  /** What a surface whose name says nothing does, by its shares. */
  private static SurfaceRole does(ObjectNode surface) {
    JsonNode shares = surface.path("shares");
    boolean roll = shares.path("roll").asDouble() != 0;
    boolean pitch = shares.path("pitch").asDouble() != 0;
    boolean yaw = shares.path("yaw").asDouble() != 0;
    if (surface.path("sideways").asBoolean()) {
      return yaw ? SurfaceRole.RUDDER : SurfaceRole.OTHER;
    }
    if (pitch && yaw) {
      return SurfaceRole.V_TAIL;
    }
    if (pitch) {
      return roll ? SurfaceRole.ELEVON : SurfaceRole.ELEVATOR;
    }
    return roll ? SurfaceRole.AILERON : SurfaceRole.OTHER;
  }

  static void ofPanels(List<ObjectNode> panels) {
    for (ObjectNode one : panels) {
      one.put("role", named(one, PANELS, PanelRole.OTHER).name());
      one.put("pair", pair(one, panels));
    }
    panels.forEach(one -> unpairUnlessMutual(one, panels, false));
  }

  static void ofPhases(List<ObjectNode> phases) {
    for (ObjectNode one : phases) {
      one.put("role", named(one, PHASES, PhaseRole.OTHER).name());
    }
  }

  private static <T> T named(ObjectNode one, Map<String, T> words, T fallback) {
    String name = one.path("name").asText().toLowerCase(Locale.ROOT);
    String id = one.path("id").asText();
    for (Map.Entry<String, T> word : words.entrySet()) {
      if (name.contains(word.getKey()) || id.contains(word.getKey())) {
        return word.getValue();
      }
    }
    return fallback;
  }

  /** The id with left for right, where there is such a thing. */
  private static String pair(ObjectNode one, List<ObjectNode> all) {
    String id = one.path("id").asText();
    String other = id.contains("left") ? id.replace("left", "right") : id.replace("right", "left");
    boolean there =
        !other.equals(id) && all.stream().anyMatch(each -> each.path("id").asText().equals(other));
    return there ? other : "";
  }

  private static void unpairUnlessMutual(ObjectNode one, List<ObjectNode> all, boolean sides) {
    String other = one.path("pair").asText();
    boolean mutual =
        all.stream()
            .filter(each -> each.path("id").asText().equals(other))
            .anyMatch(
                each ->
                    each.path("pair").asText().equals(one.path("id").asText())
                        && (!sides || across(one, each)));
    if (!mutual) {
      one.put("pair", "");
    }
  }

  private static boolean across(ObjectNode one, ObjectNode other) {
    String side = one.path("side").asText();
    String opposite = other.path("side").asText();
    return side.equals("LEFT") && opposite.equals("RIGHT")
        || side.equals("RIGHT") && opposite.equals("LEFT");
  }
}
