package hightally.app.program;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.core.channel.InputKind;
import hightally.core.channel.TransmitterInput;
import hightally.core.program.Trims;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import hightally.core.sheet.EntrySheet;
import hightally.core.signal.Moment;
import hightally.core.signal.Readings;
import hightally.core.signal.SignalPath;
import hightally.core.simulator.BenchHands;
import hightally.core.simulator.BenchMoment;
import hightally.core.simulator.BenchRun;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/**
 * Random changes to every field of the demo models and the kinds: where the pulse of a channel, a
 * timer or an alarm comes out otherwise anywhere, the sheet says that something is to be typed.
 */
class SheetCompleteTest {
  private static final int CHANGES = 2000;
  private static final int MOMENTS = 200;
  private static final int FLICKS = 40;
  private static final double SCENE_SECONDS = 60;
  private static final double DIFFERS_MICROSECONDS = 0.05;
  private static final ObjectMapper JSON = new ObjectMapper();

  /** What is no part of the transmitter's program: never typed into it. */
  private static final List<String> NOT_TYPED =
      List.of(
          "wiring", "airframe", "formatVersion", "name", "notes", "notebook", "house", "balance");

  private final Random random = new Random(27);

  private static List<Setup> models() throws IOException {
    List<Setup> found = new ArrayList<>();
    PathMatchingResourcePatternResolver files = new PathMatchingResourcePatternResolver();
    for (String where : List.of("classpath:demo/*.json", "classpath:kinds/*.json")) {
      for (Resource one : files.getResources(where)) {
        found.add(JSON.readValue(one.getContentAsByteArray(), Setup.class));
      }
    }
    return found;
  }

  /** A place in a document: what holds it, and under which name or number. */
  private record Leaf(JsonNode holder, String name, int index, String path) {
    JsonNode value() {
      return holder.isObject() ? holder.get(name) : holder.get(index);
    }

    void set(JsonNode changed) {
      if (holder instanceof ObjectNode object) {
        object.set(name, changed);
      } else {
        ((ArrayNode) holder).set(index, changed);
      }
    }
  }

  private static void leaves(JsonNode node, String path, List<Leaf> found) {
    if (node.isObject()) {
      node.fieldNames()
          .forEachRemaining(
              name -> {
                if (!path.isEmpty() || !NOT_TYPED.contains(name)) {
                  found.add(new Leaf(node, name, 0, path + "." + name));
                  leaves(node.get(name), path + "." + name, found);
                }
              });
    } else if (node.isArray()) {
      for (int i = 0; i < node.size(); i++) {
        found.add(new Leaf(node, "", i, path + "[]"));
        leaves(node.get(i), path + "[]", found);
      }
    }
  }

  /** The setup with one thing changed; null where the change makes no setup. */
  private Setup changed(Setup setup) {
    JsonNode document = JSON.valueToTree(setup);
    List<Leaf> leaves = new ArrayList<>();
    leaves(document, "", leaves);
    Leaf leaf = leaves.get(random.nextInt(leaves.size()));
    JsonNode is = leaf.value();
    if (is.isNumber()) {
      double[] ways = {is.asDouble() + 1, is.asDouble() * 1.3, -is.asDouble(), 0, 1, 0.5, 3};
      double way = ways[random.nextInt(ways.length)];
      leaf.set(
          is.isIntegralNumber()
              ? JSON.getNodeFactory().numberNode((int) way)
              : JSON.getNodeFactory().numberNode(way));
    } else if (is.isBoolean()) {
      leaf.set(JSON.getNodeFactory().booleanNode(!is.asBoolean()));
    } else if (is.isTextual()) {
      List<JsonNode> others =
          leaves.stream()
              .filter(one -> one.path().equals(leaf.path()) || one.name().equals(leaf.name()))
              .map(Leaf::value)
              .filter(JsonNode::isTextual)
              .toList();
      leaf.set(random.nextInt(4) == 0 ? JSON.getNodeFactory().textNode("") : pick(others));
    } else if (is.isArray() && !is.isEmpty()) {
      ArrayNode list = (ArrayNode) is;
      int at = random.nextInt(list.size());
      if (random.nextBoolean()) {
        list.remove(at);
      } else {
        JsonNode first = list.get(0);
        list.set(0, list.get(at));
        list.set(at, first);
      }
    }
    try {
      Setup made = JSON.treeToValue(document, Setup.class);
      SignalPath.of(made);
      boolean valid = Validation.violations(made).isEmpty();
      return valid && !made.equals(setup) ? made : null;
    } catch (JsonProcessingException | InvalidInputException e) {
      return null;
    }
  }

  private <T> T pick(List<T> of) {
    return of.get(random.nextInt(of.size()));
  }

  private Moment moment(Setup setup) {
    List<Double> inputs = new ArrayList<>();
    for (TransmitterInput one : setup.transmitter().inputs()) {
      inputs.add(
          one.kind() == InputKind.SWITCH
              ? random.nextInt(one.positions()) / (one.positions() - 1.0)
              : random.nextDouble());
    }
    List<Double> timers =
        setup.power().timers().stream().map(one -> 120.0 * random.nextInt(3)).toList();
    return new Moment(
        2 * random.nextDouble() - 1,
        2 * random.nextDouble() - 1,
        2 * random.nextDouble() - 1,
        random.nextDouble(),
        random.nextInt(4) == 0,
        Trims.ZERO,
        inputs,
        new Readings(random.nextInt(100), 8 + 6 * random.nextDouble(), timers, List.of()));
  }

  /** The same hands on another setup's switches and levers, whatever their order. */
  private static Moment trimmed(Setup before, Setup setup, Moment moment) {
    List<Double> inputs = new ArrayList<>();
    List<TransmitterInput> all = setup.transmitter().inputs();
    for (int i = 0; i < all.size(); i++) {
      int same = before.transmitter().inputIndex(all.get(i).id());
      inputs.add(moment.input(same < 0 ? i : same));
    }
    return new Moment(
        moment.roll(),
        moment.pitch(),
        moment.yaw(),
        moment.throttle(),
        moment.throttleCut(),
        setup.trims(),
        inputs,
        moment.readings());
  }

  /** Every pulse by its channel's number. */
  private static Map<Integer, Double> pulses(Setup setup, double[] pulses) {
    Map<Integer, Double> found = new HashMap<>();
    for (int i = 0; i < pulses.length; i++) {
      found.put(setup.channels().get(i).number(), pulses[i]);
    }
    return found;
  }

  private static boolean differ(Map<Integer, Double> one, Map<Integer, Double> other) {
    return !one.keySet().equals(other.keySet())
        || one.keySet().stream()
            .anyMatch(key -> Math.abs(one.get(key) - other.get(key)) > DIFFERS_MICROSECONDS);
  }

  private boolean differsSomewhere(Setup before, Setup after) {
    SignalPath one = SignalPath.of(before);
    SignalPath two = SignalPath.of(after);
    for (int i = 0; i < MOMENTS; i++) {
      Moment moment = moment(before);
      Map<Integer, Double> was =
          pulses(before, one.evaluate(trimmed(before, before, moment)).pulseMicroseconds());
      Map<Integer, Double> is =
          pulses(after, two.evaluate(trimmed(before, after, moment)).pulseMicroseconds());
      if (differ(was, is)) {
        return true;
      }
    }
    return random.nextInt(4) == 0 && differsInTime(before, after);
  }

  private boolean differsInTime(Setup before, Setup after) {
    BenchRun one = new BenchRun(SignalPath.of(before));
    BenchRun two = new BenchRun(SignalPath.of(after));
    double left = SCENE_SECONDS;
    for (int i = 0; i < FLICKS; i++) {
      Moment moment = moment(before).with(new Readings(90, 11, List.of(), List.of()));
      boolean lost = random.nextInt(10) == 0;
      double seconds = Math.min(left, random.nextInt(3) * random.nextDouble());
      left -= seconds;
      BenchMoment was = one.step(new BenchHands(trimmed(before, before, moment), lost), seconds);
      BenchMoment is = two.step(new BenchHands(trimmed(before, after, moment), lost), seconds);
      boolean told =
          !was.timerSeconds().equals(is.timerSeconds())
              || was.alarms().size() != is.alarms().size()
              || was.spoken().size() != is.spoken().size();
      if (told
          || differ(
              pulses(before, was.positions().pulseMicroseconds()),
              pulses(after, is.positions().pulseMicroseconds()))) {
        return true;
      }
    }
    return false;
  }

  @Test
  void whatMovesDifferentlyIsOnTheSheetOfChanges() throws IOException {
    List<Setup> models = models();
    int tried = 0;
    int different = 0;
    while (tried < CHANGES) {
      Setup before = pick(models);
      Setup after = changed(before);
      if (after == null) {
        continue;
      }
      tried++;
      if (differsSomewhere(before, after)) {
        different++;
        assertThat(EntrySheet.changes(before, after))
            .as(() -> "nothing to type though it moves differently: " + difference(before, after))
            .isNotEmpty();
      }
    }
    assertThat(different).as("changes that do something").isGreaterThan(CHANGES / 4);
  }

  private static String difference(Setup before, Setup after) {
    String[] was = text(before);
    String[] is = text(after);
    StringBuilder found = new StringBuilder(before.name());
    for (int i = 0; i < Math.min(was.length, is.length); i++) {
      if (!was[i].equals(is[i])) {
        found.append("\n").append(was[i].trim()).append(" -> ").append(is[i].trim());
        for (int back = i; back > Math.max(0, i - 12); back--) {
          found.append("\n   ").append(was[back]);
        }
        break;
      }
    }
    return found.toString();
  }

  private static String[] text(Setup setup) {
    return JSON.valueToTree(setup).toPrettyString().split("\n");
  }

  /** A longer horn types nothing. */
  @Test
  void whatIsOnTheModelIsNotTyped() throws IOException {
    for (Setup one : models()) {
      JsonNode document = JSON.valueToTree(one);
      document
          .get("surfaces")
          .forEach(
              surface -> {
                ObjectNode linkage = (ObjectNode) surface.get("rod").get("linkage");
                linkage.put("hornRadiusMm", linkage.get("hornRadiusMm").asDouble() + 1);
              });
      Setup longer = JSON.treeToValue(document, Setup.class);
      assertThat(EntrySheet.changes(one, longer)).as(one.name()).isEmpty();
    }
  }

  /** Every trim stands once, where it is owned. */
  @Test
  void everyTrimStandsOnceWhereItIsOwned() throws IOException {
    for (Setup one : models()) {
      long owned =
          Arrays.stream(hightally.core.quantity.Control.values())
              .mapToLong(
                  control -> {
                    long own = one.phases().stream().filter(phase -> phase.own(control)).count();
                    return own + (own < one.phases().size() ? 1 : 0);
                  })
              .sum();
      assertThat(
              EntrySheet.of(one).stream()
                  .filter(entry -> entry.what().code().equals("program.trimOf")))
          .as(one.name())
          .hasSize((int) owned);
    }
  }
}
