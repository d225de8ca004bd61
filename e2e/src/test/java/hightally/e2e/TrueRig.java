package hightally.e2e;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** A model as it really is, whatever its description says: its surfaces go as its own setup has. */
final class TrueRig {
  /** An eye sees no less. */
  private static final double EYE_MM = 1.2;

  private final RunningApp app;
  private final ObjectNode setup;

  TrueRig(RunningApp app, ObjectNode setup) {
    this.app = app;
    this.setup = setup;
  }

  TrueRig exchanged(String one, String other) {
    ObjectNode first = node("servos", "id", one);
    ObjectNode second = node("servos", "id", other);
    int channel = first.get("channel").asInt();
    first.put("channel", second.get("channel").asInt());
    second.put("channel", channel);
    ObjectNode here = node("/wiring/leads", "device", one);
    ObjectNode there = node("/wiring/leads", "device", other);
    int socket = here.get("socket").asInt();
    here.put("socket", there.get("socket").asInt());
    there.put("socket", socket);
    return this;
  }

  TrueRig reversed(int channel) {
    return flip(node("channels", "number", Integer.toString(channel)), "reversed");
  }

  TrueRig turned(String servo) {
    return flip(node("servos", "id", servo), "pullsOnIncrease");
  }

  TrueRig horn(String surface) {
    return flip((ObjectNode) node("surfaces", "id", surface).at("/rod/linkage"), "pushRaises");
  }

  private TrueRig flip(ObjectNode of, String field) {
    of.put(field, !of.get(field).asBoolean());
    return this;
  }

  private ObjectNode node(String list, String by, String id) {
    JsonNode all = list.startsWith("/") ? setup.at(list) : setup.get(list);
    for (JsonNode one : all) {
      if (one.get(by).asText().equals(id)) {
        return (ObjectNode) one;
      }
    }
    throw new IllegalArgumentException(id);
  }

  /** Does at the model, or its transmitter, what is asked for. */
  void make(JsonNode change) {
    String subject = change.get("subject").asText();
    switch (change.get("part").asText()) {
      case "CHANNEL_SIGN" -> reversed(Integer.parseInt(subject));
      case "LEADS" -> exchanged(subject, change.get("other").asText());
      case "SERVO_SENSE" -> turned(subject);
      case "HORN_SIDE" -> horn(subject);
      default -> throw new IllegalArgumentException(change.toString());
    }
  }

  /** The way each surface is seen to go in a look. */
  Map<String, Integer> seen(JsonNode look) {
    List<Double> rest = travel(setup, look.get("rest"));
    Map<String, Integer> ways = new HashMap<>();
    List<Double> there;
    if (look.get("kind").asText().equals("NUDGE")) {
      ObjectNode clicked = setup.deepCopy();
      ObjectNode channel =
          new TrueRig(app, clicked).node("channels", "number", look.get("subject").asText());
      String field = "subTrimMicroseconds";
      channel.put(field, channel.get(field).asDouble() + look.get("microseconds").asDouble());
      there = travel(clicked, look.get("rest"));
    } else {
      there = travel(setup, look.get("there"));
    }
    List<Double> back = look.hasNonNull("back") ? travel(setup, look.get("back")) : rest;
    for (int i = 0; i < rest.size(); i++) {
      double mm = there.get(i) - rest.get(i);
      double other = back.get(i) - rest.get(i);
      double shown = mm * other > 0 ? mm : mm - other;
      ways.put(
          setup.get("surfaces").get(i).get("id").asText(),
          Math.abs(shown) < EYE_MM ? 0 : shown > 0 ? 1 : -1);
    }
    return ways;
  }

  private List<Double> travel(ObjectNode rig, JsonNode moment) {
    ObjectNode asked = rig.objectNode();
    asked.set("setup", rig);
    asked.set("moment", moment);
    asked.put("selected", rig.at("/surfaces/0/id").asText());
    List<Double> all = new ArrayList<>();
    Models.call(app, "POST", "api/bench/moment", asked)
        .at("/frame/positions/travelMm")
        .forEach(mm -> all.add(mm.asDouble()));
    return all;
  }
}
