package hightally.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.node.TextNode;
import hightally.core.audit.Audit;
import hightally.core.balance.BalanceAdvice;
import hightally.core.benchsetup.BenchSetUp;
import hightally.core.edit.FeelStart;
import hightally.core.edit.MixGallery;
import hightally.core.edit.MixGallery.Recipe;
import hightally.core.hazard.HazardSearch;
import hightally.core.program.Mix;
import hightally.core.program.MixTarget;
import hightally.core.program.Trims;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.sheet.EntrySheet;
import hightally.core.sheet.FlickPreview;
import hightally.core.signal.Moment;
import hightally.core.signal.Readings;
import hightally.core.signal.SignalPath;
import hightally.core.wiring.ChannelPlan;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Ids and names decide nothing: with random words for all of them everything stays the same. */
class WithoutNamesTest {
  private static final ObjectMapper JSON = new ObjectMapper();
  private static final int MOMENTS = 200;

  /** Words the formats themselves use where an id could stand. */
  private static final Set<String> KEPT =
      Set.of("throttle", "roll", "pitch", "yaw", "link", "voltage", "");

  static List<Path> models() throws IOException {
    List<Path> models = new ArrayList<>();
    for (String folder : List.of("demo", "kinds")) {
      try (Stream<Path> all = Files.list(Path.of("../app/src/main/resources", folder))) {
        all.filter(one -> isSetup(one)).forEach(models::add);
      }
    }
    assertThat(models).hasSizeGreaterThan(18);
    return models;
  }

  private static boolean isSetup(Path file) {
    try {
      return JSON.readTree(file.toFile()).has("surfaces");
    } catch (IOException e) {
      return false;
    }
  }

  @ParameterizedTest
  @MethodSource("models")
  void randomWordsChangeNothing(Path file) throws IOException {
    JsonNode plain = JSON.readTree(file.toFile());
    Random random = new Random(file.getFileName().toString().length());
    Setup one = JSON.treeToValue(plain, Setup.class);
    Setup two = JSON.treeToValue(renamed(plain, random), Setup.class);
    assertThat(two.surfaces().get(0).id()).isNotEqualTo(one.surfaces().get(0).id());
    assertThat(facts(two)).isEqualTo(facts(one));
    moves(one, two, random);
  }

  /** All that is judged, found, built and advised, with every name left out. */
  private static List<Object> facts(Setup setup) {
    SignalPath path = SignalPath.of(setup);
    List<Object> facts = new ArrayList<>();
    Audit.of(path)
        .forEach(
            one -> {
              facts.add(List.of(one.rule(), one.severity(), one.measured(), one.limit()));
              facts.add(bare(one.title()));
              one.mends()
                  .forEach(
                      mend -> mend.edits().forEach(e -> facts.add(List.of(e.figure(), e.value()))));
            });
    HazardSearch.of(path)
        .hazards()
        .forEach(one -> facts.add(List.of(one.kind(), bare(one.words()), one.moments())));
    BenchSetUp.steps(setup)
        .forEach(
            one -> facts.add(List.of(one.kind(), bare(one.instruction()), one.figures().size())));
    FlickPreview.of(path, Moment.centred(Trims.ZERO))
        .forEach(one -> one.moves().forEach(move -> facts.add(List.of(move.mm()))));
    facts.add(ChannelPlan.of(setup).lines().stream().map(line -> line.socket()).toList());
    facts.add(twins(EntrySheet.of(setup)));
    BalanceAdvice.BalanceWish wish = BalanceAdvice.BalanceWish.of(setup);
    BalanceAdvice.of(new BalanceAdvice.BalanceQuestion(setup, wish))
        .packs()
        .forEach(one -> facts.add(bare(one.words())));
    recipes(setup, facts);
    return facts;
  }

  /** What is said without the texts that pilots typed. */
  private static Object bare(Object said) {
    if (said instanceof Said one) {
      List<Object> parts = new ArrayList<>(List.of(one.code()));
      one.with().values().forEach(value -> parts.add(bare(value)));
      return parts;
    }
    if (said instanceof List<?> list) {
      return list.stream().map(WithoutNamesTest::bare).toList();
    }
    return said instanceof String ? "a name" : said;
  }

  private static List<Integer> twins(List<EntrySheet.Entry> entries) {
    List<String> keys = entries.stream().map(EntrySheet.Entry::key).toList();
    return entries.stream().map(one -> keys.indexOf(one.twin())).toList();
  }

  private static void recipes(Setup setup, List<Object> facts) {
    List<String> parts = new ArrayList<>();
    setup.surfaces().forEach(one -> parts.add(one.id()));
    setup.airframe().motors().forEach(one -> parts.add(one.id()));
    String lever =
        setup.transmitter().inputs().stream()
            .filter(one -> one.positions() == 0)
            .map(one -> one.id())
            .findFirst()
            .orElse("");
    for (Recipe recipe : Recipe.values()) {
      try {
        MixGallery.RecipeAsked asked =
            new MixGallery.RecipeAsked(setup, recipe, 20, "", lever, List.of(), "");
        List<Mix> mixes = MixGallery.build(asked, English.NAMES).mixes();
        Mix mix = mixes.get(mixes.size() - 1);
        facts.add(List.of(recipe, mix.weightPlusPercent(), mix.curve()));
        for (MixTarget target : mix.targets()) {
          facts.add(List.of(parts.indexOf(target.target()), target.factor()));
        }
      } catch (InvalidInputException e) {
        facts.add(List.of(recipe, "not for this model"));
      }
    }
    if (setup.phases().size() > 1) {
      FeelStart.FeelWish wish = new FeelStart.FeelWish(setup, FeelStart.Style.PER_PHASE, "");
      FeelStart.of(wish, English.NAMES).feelSets().forEach(one -> facts.add(one.feel()));
    }
  }

  private static void moves(Setup one, Setup two, Random random) {
    SignalPath first = SignalPath.of(one);
    SignalPath second = SignalPath.of(two);
    for (int i = 0; i < MOMENTS; i++) {
      List<Double> inputs = new ArrayList<>();
      one.transmitter().inputs().forEach(input -> inputs.add(random.nextInt(5) / 4.0));
      Moment moment =
          new Moment(
              2 * random.nextDouble() - 1,
              2 * random.nextDouble() - 1,
              2 * random.nextDouble() - 1,
              random.nextDouble(),
              random.nextBoolean(),
              new Trims(random.nextInt(20), -random.nextInt(20), random.nextInt(20)),
              inputs,
              Readings.NORMAL);
      assertThat(second.evaluate(moment).travelMm())
          .containsExactly(first.evaluate(moment).travelMm(), within(1e-9));
    }
  }

  private static JsonNode renamed(JsonNode plain, Random random) {
    Map<String, String> ids = new HashMap<>();
    collect(plain, ids, random);
    return replaced(plain, ids, random);
  }

  private static void collect(JsonNode node, Map<String, String> ids, Random random) {
    JsonNode id = node.get("id");
    if (id != null && id.isTextual() && !KEPT.contains(id.asText())) {
      ids.computeIfAbsent(id.asText(), key -> word(random) + ids.size());
    }
    node.forEach(one -> collect(one, ids, random));
  }

  private static JsonNode replaced(JsonNode node, Map<String, String> ids, Random random) {
    if (node.isTextual()) {
      return TextNode.valueOf(ids.getOrDefault(node.asText(), node.asText()));
    }
    if (node.isArray()) {
      ArrayNode array = JSON.createArrayNode();
      node.forEach(one -> array.add(replaced(one, ids, random)));
      return array;
    }
    if (!node.isObject()) {
      return node;
    }
    ObjectNode object = JSON.createObjectNode();
    node.properties()
        .forEach(
            one -> {
              boolean named = Set.of("name", "kind", "goal", "notes").contains(one.getKey());
              boolean typed = named && one.getValue().isTextual() && !shouted(one.getValue());
              object.set(
                  one.getKey(),
                  typed ? TextNode.valueOf(word(random)) : replaced(one.getValue(), ids, random));
            });
    return object;
  }

  private static boolean shouted(JsonNode text) {
    return text.asText().matches("[A-Z_]+");
  }

  private static String word(Random random) {
    StringBuilder word = new StringBuilder("q");
    for (int i = 0; i < 5; i++) {
      word.append((char) ('a' + random.nextInt(26)));
    }
    return word.toString();
  }
}
