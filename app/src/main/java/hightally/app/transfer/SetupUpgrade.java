package hightally.app.transfer;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.core.airframe.BalanceSheet;
import hightally.core.airframe.Motor;
import hightally.core.airframe.SurfaceRole;
import hightally.core.program.NoseNote;
import hightally.core.program.Power;
import hightally.core.program.Trims;
import hightally.core.quantity.HouseValues;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.StreamSupport;

/**
 * Brings an older document up to the newest version: what the older one did not say gets the value
 * under which everything moves as before. What is malformed is left as it is, for the reader to
 * name.
 */
final class SetupUpgrade {
  private static final double USUAL_ENDPOINT_LIMIT = 150;
  private static final double USUAL_SUB_TRIM_LIMIT = 200;
  private static final double USUAL_CHANNELS = 16;
  private static final double UNKNOWN_MASS_GRAMS = 1000;
  private static final double USUAL_BOLT_SPACING_MM = 25;
  private static final double USUAL_LEAD_MM = 250;

  private final ObjectMapper mapper;
  private final ObjectNode setup;

  private SetupUpgrade(ObjectMapper mapper, ObjectNode setup) {
    this.mapper = mapper;
    this.setup = setup;
  }

  /** The document in the newest form; a newer one comes back as it is. */
  static JsonNode of(ObjectMapper mapper, JsonNode tree) {
    int version = tree.path("formatVersion").asInt();
    JsonNode second = version == 1 ? new SetupUpgrade(mapper, tree.deepCopy()).upgraded() : tree;
    JsonNode third =
        second.path("formatVersion").asInt() == 2
            ? new SetupUpgrade(mapper, second.deepCopy()).withProgram()
            : second;
    JsonNode fourth =
        third.path("formatVersion").asInt() == 3
            ? new SetupUpgrade(mapper, third.deepCopy()).withWords()
            : third;
    JsonNode fifth =
        fourth.path("formatVersion").asInt() == 4
            ? new SetupUpgrade(mapper, fourth.deepCopy()).withRoles()
            : fourth;
    JsonNode sixth =
        fifth.path("formatVersion").asInt() == 5
            ? new SetupUpgrade(mapper, fifth.deepCopy()).withFades()
            : fifth;
    JsonNode seventh =
        sixth.path("formatVersion").asInt() == 6
            ? new SetupUpgrade(mapper, sixth.deepCopy()).withMovements()
            : sixth;
    JsonNode eighth =
        seventh.path("formatVersion").asInt() == 7
            ? new SetupUpgrade(mapper, seventh.deepCopy()).withLimits()
            : seventh;
    JsonNode ninth =
        eighth.path("formatVersion").asInt() == 8
            ? new SetupUpgrade(mapper, eighth.deepCopy()).withMoments()
            : eighth;
    return ninth.path("formatVersion").asInt() == 9
        ? new SetupUpgrade(mapper, ninth.deepCopy()).withWheels()
        : ninth;
  }

  /**
   * Version 10 knows nose and tail wheels as two: one ahead of the balance point is a nose wheel,
   * which the pilot is asked to look at once.
   */
  private JsonNode withWheels() {
    setup.put("formatVersion", 10);
    for (ObjectNode surface : each("surfaces")) {
      if (surface.path("role").asText().equals(RolesFromNames.WHEEL)) {
        boolean ahead = aheadOfBalance(surface.path("place").path("panel").asText());
        SurfaceRole role = ahead ? SurfaceRole.NOSE_WHEEL : SurfaceRole.TAIL_WHEEL;
        surface.put("role", role.name());
        if (ahead && setup.get("notebook") instanceof ObjectNode notebook) {
          notebook.put("rolesFromNames", true);
        }
      }
    }
    return setup;
  }

  /** Whether a panel begins ahead of where the model is to balance. */
  private boolean aheadOfBalance(String id) {
    JsonNode balance = setup.path("balance");
    double at = balance.path("datumAftMm").asDouble() + balance.path("targetMm").asDouble();
    for (ObjectNode panel : each(setup.path("airframe").path("panels"))) {
      if (panel.path("id").asText().equals(id)) {
        return panel.path("root").path("aftMm").asDouble() < at;
      }
    }
    return false;
  }

  /** Version 9 knows where a movement was typed. */
  private JsonNode withMoments() {
    setup.put("formatVersion", 9);
    for (ObjectNode typed : each(setup.path("notebook").path("typed"))) {
      typed.putNull("stood");
    }
    return setup;
  }

  /**
   * Version 8 knows a channel's own limits of travel, channels no switch may move, and a wire that
   * turns a motor round.
   */
  private JsonNode withLimits() {
    setup.put("formatVersion", 8);
    for (ObjectNode channel : each("channels")) {
      channel.put("limitLowPercent", 0).put("limitHighPercent", 0).put("steady", false);
    }
    for (ObjectNode motor : each(setup.path("airframe").path("motors"))) {
      motor.put("reverserChannel", Motor.NO_REVERSER);
    }
    return setup;
  }

  /**
   * Version 7 knows movements typed in millimetres, targets of a mix that differ from side to side,
   * and what sets a timer back.
   */
  private JsonNode withMovements() {
    setup.put("formatVersion", 7);
    for (ObjectNode mix : each("mixes")) {
      for (ObjectNode target : each(mix.path("targets"))) {
        target.set("factorMinus", target.path("factor"));
      }
    }
    for (ObjectNode timer : each(setup.path("power").path("timers"))) {
      timer.put("resetWhen", "");
    }
    if (setup.get("notebook") instanceof ObjectNode notebook) {
      notebook.putArray("typed");
    }
    return setup;
  }

  /**
   * Version 6 knows mixes that fade, what the nose was seen to do, a controller's taught stop and
   * jumps; a condition holds sticks and levers against percent.
   */
  private JsonNode withFades() {
    setup.put("formatVersion", 6);
    each("mixes").forEach(mix -> mix.put("fadeSeconds", 0));
    each("phases").forEach(phase -> phase.put("nose", NoseNote.NOT_FLOWN.name()));
    for (ObjectNode condition : each("conditions")) {
      String kind = condition.path("kind").asText();
      if ((kind.equals("ABOVE") || kind.equals("BELOW")) && condition.path("limit").isNumber()) {
        condition.put("limit", asPercent(condition.path("limit").asDouble()));
      }
    }
    if (setup.get("power") instanceof ObjectNode power) {
      power.put("stopMicroseconds", 0);
    }
    if (setup.get("house") instanceof ObjectNode house) {
      house.put("surfaceJumpMm", HouseValues.STANDARD.surfaceJumpMm());
    }
    return setup;
  }

  /** Without what rounding adds; beyond the end it was never reached and still is not. */
  private static double asPercent(double part) {
    double percent = Math.rint(part * 1e8) / 1e6;
    return Math.max(-100, Math.min(100, percent));
  }

  /** Version 5 says what panels, surfaces and phases are, and what is whose pair. */
  private JsonNode withRoles() {
    setup.put("formatVersion", 5);
    RolesFromNames.ofSurfaces(each("surfaces"));
    RolesFromNames.ofPanels(each(setup.path("airframe").path("panels")));
    RolesFromNames.ofPhases(each("phases"));
    if (setup.get("notebook") instanceof ObjectNode notebook) {
      notebook.put("rolesFromNames", true);
    }
    return setup;
  }

  /** Version 4 knows slowed channels, a transmitter's own words, and when a trim has settled. */
  private JsonNode withWords() {
    setup.put("formatVersion", 4);
    each("channels").forEach(channel -> channel.put("slowedSeconds", 0));
    if (setup.get("transmitter") instanceof ObjectNode transmitter) {
      transmitter.putArray("words");
    }
    if (setup.get("house") instanceof ObjectNode house) {
      HouseValues standard = HouseValues.STANDARD;
      house.put("settledFlights", standard.settledFlights());
      house.put("settledClicks", standard.settledClicks());
      house.put("sameCgMm", standard.sameCgMm());
      house.put("suspiciousMm", standard.suspiciousMm());
      house.put("leaveClicks", standard.leaveClicks());
      house.put("confirmClicks", standard.confirmClicks());
    }
    return setup;
  }

  /** Version 3 knows phases, mixes and power: one phase with the presets, no mix, a plain motor. */
  private JsonNode withProgram() {
    setup.put("formatVersion", 3);
    JsonNode presets = setup.remove("presets");
    setup.putArray("conditions");
    ObjectNode phase = setup.putArray("phases").addObject();
    phase.put("id", "flight").put("name", "Flight").put("goal", "").put("when", "");
    phase.put("fadeSeconds", 0).set("presets", presets);
    phase.putArray("differential");
    phase.put("ownRoll", false).put("ownPitch", false).put("ownYaw", false);
    phase.set("trims", mapper.valueToTree(Trims.ZERO));
    if (setup.get("house") instanceof ObjectNode house) {
      house.put("powerJumpPercent", HouseValues.STANDARD.powerJumpPercent());
      house.put("softFadeSeconds", HouseValues.STANDARD.softFadeSeconds());
    }
    setup.putArray("feelSets");
    setup.putArray("mixes");
    setup.set("power", mapper.valueToTree(Power.PLAIN));
    return setup;
  }

  private JsonNode upgraded() {
    setup.put("formatVersion", 2);
    motors();
    transmitter();
    servos();
    setup.set("wiring", wiring());
    each("surfaces").forEach(this::surface);
    setup.putArray("contacts");
    setup.putArray("presets");
    setup.set("balance", balance());
    setup.set("house", mapper.valueToTree(HouseValues.STANDARD));
    ObjectNode notebook = setup.putObject("notebook");
    List.of("goals", "sources", "accepted").forEach(notebook::putArray);
    return setup;
  }

  private void motors() {
    if (setup.get("airframe") instanceof ObjectNode airframe) {
      JsonNode diameter = airframe.remove("propellerDiameterMm");
      ArrayNode motors = airframe.putArray("motors");
      for (ObjectNode channel : each("channels")) {
        if (channel.path("carries").asText().equals("throttle")) {
          ObjectNode motor = motors.addObject().put("id", "motor").put("name", "Motor");
          motor.set("channel", channel.get("number"));
          motor.put("aftMm", 0).put("rightMm", 0);
          motor.set("propellerDiameterMm", diameter);
        }
      }
    }
  }

  private void transmitter() {
    if (setup.get("transmitter") instanceof ObjectNode transmitter) {
      transmitter.put("firstChannel", 1);
      transmitter.put("channelCount", (int) largest(USUAL_CHANNELS, "number"));
      ArrayNode order = transmitter.putArray("channelOrder");
      List.of("ROLL", "PITCH", "THROTTLE", "YAW").forEach(order::add);
      transmitter.put(
          "subTrimLimitMicroseconds", largest(USUAL_SUB_TRIM_LIMIT, "subTrimMicroseconds"));
      transmitter.put(
          "endpointLimitPercent",
          largest(USUAL_ENDPOINT_LIMIT, "endpointLowPercent", "endpointHighPercent"));
      transmitter.putArray("inputs");
    }
  }

  /** The largest of some fields over all channels, at least {@code least}. */
  private double largest(double least, String... fields) {
    double largest = least;
    for (ObjectNode channel : each("channels")) {
      for (String field : fields) {
        largest = Math.max(largest, Math.abs(channel.path(field).asDouble()));
      }
    }
    return largest;
  }

  private void servos() {
    for (ObjectNode servo : each("servos")) {
      servo.putObject("seating").put("teeth", 25).put("arms", 4);
      servo.putArray("armHolesMm");
      servo.put("leadMm", USUAL_LEAD_MM);
    }
  }

  private ObjectNode wiring() {
    ObjectNode wiring = mapper.createObjectNode();
    ObjectNode receiver = wiring.putObject("receiver").put("name", "Receiver");
    ArrayNode sockets = receiver.putArray("sockets");
    for (ObjectNode channel : each("channels")) {
      ObjectNode socket = sockets.addObject();
      socket.set("number", channel.get("number"));
      socket.set("channel", channel.get("number"));
      socket.put("output", "SERVO");
    }
    receiver.put("anyChannel", false).put("failsafe", "EVERY_CHANNEL").put("failsafeChannel", 0);
    ArrayNode leads = wiring.putArray("leads");
    List<ObjectNode> servos = each("servos");
    for (ObjectNode servo : servos) {
      JsonNode channel = servo.path("channel");
      long sharing = servos.stream().filter(one -> one.path("channel").equals(channel)).count();
      lead(leads, servo.get("id"), channel, sharing == 1 ? "" : "y-" + channel.asText());
    }
    for (JsonNode motor : setup.path("airframe").path("motors")) {
      lead(leads, motor.get("id"), motor.get("channel"), "");
    }
    wiring.putArray("between");
    return wiring;
  }

  private static void lead(ArrayNode leads, JsonNode device, JsonNode socket, String splitter) {
    ObjectNode lead = leads.addObject();
    lead.set("device", device);
    lead.set("socket", socket);
    lead.put("splitter", splitter).put("extensionMm", 0).put("reverser", false).put("label", "");
  }

  private void surface(ObjectNode surface) {
    if (surface.get("shares") instanceof ObjectNode shares) {
      shares.putArray("levers");
    }
    surface.put("part", "HINGED");
    surface.putArray("hornHolesMm");
  }

  /** Nothing is known of it: a point to begin with, a third behind the first panel's nose. */
  private JsonNode balance() {
    JsonNode root = setup.path("airframe").path("panels").path(0).path("root");
    double point = Math.rint(root.path("aftMm").asDouble() + root.path("chordMm").asDouble() / 3);
    return mapper.valueToTree(
        new BalanceSheet(
            "Nose",
            0,
            point,
            point,
            point,
            UNKNOWN_MASS_GRAMS,
            new ArrayList<>(),
            USUAL_BOLT_SPACING_MM));
  }

  private List<ObjectNode> each(String list) {
    return each(setup.path(list));
  }

  private static List<ObjectNode> each(JsonNode list) {
    return StreamSupport.stream(list.spliterator(), false)
        .filter(ObjectNode.class::isInstance)
        .map(ObjectNode.class::cast)
        .toList();
  }
}
