package hightally.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import hightally.app.words.ReaderWords;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Writer;
import java.net.URI;
import java.net.URISyntaxException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Properties;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.mockito.Mockito;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import org.springframework.web.socket.WebSocketSession;

/**
 * Every route answers in its reader's words: with a made-up message file nothing of the core's
 * English comes out, with inches and a comma no millimetre and no point.
 */
class ReadersWordsTest extends EveryRoute {
  private static final String FILE = "/hightally/words/messages_%s.properties";
  private static final Pattern PLACE = Pattern.compile("\\{(\\w+)(?:\\}|, (?:plural|select))");

  /** How often each is asked; more by hand: {@code -Dtries=6}. */
  private static final int TRIES = Integer.getInteger("tries", 3);

  /** What stands in a response besides words: figures of times and the reader's own texts. */
  private static final Pattern INSTANT = Pattern.compile("\\d{4}-\\d\\d-\\d\\d(T[\\d:.]+Z?)?");

  /** What pilots write about their own models stays as they wrote it. */
  private static final Set<String> WRITTEN = Set.of("reason", "lastReason", "note", "windNote");

  @Autowired private ReaderWords words;

  private HttpHeaders reader = new HttpHeaders();

  /** A language in which every message is a letter no English one has, and its values. */
  @BeforeAll
  static void madeUpLanguage() throws IOException, URISyntaxException {
    Properties made = new Properties();
    english()
        .forEach(
            (key, pattern) -> {
              StringBuilder text = new StringBuilder("ж");
              Matcher place = PLACE.matcher(pattern.toString());
              Set<String> once = new LinkedHashSet<>();
              while (place.find()) {
                if (place.group().endsWith("}") && once.add(place.group(1))) {
                  text.append(" {").append(place.group(1)).append('}');
                }
              }
              made.put(key, key.toString().startsWith("unit.") ? "#ж" : text.toString());
            });
    made.put("date", "dd.MM.yyyy");
    made.put("names.mid", "as it is");
    Path root = Path.of(ReadersWordsTest.class.getResource("/").toURI());
    Path file = root.resolve(FILE.formatted("qq").substring(1));
    Files.createDirectories(file.getParent());
    try (Writer out = Files.newBufferedWriter(file, StandardCharsets.UTF_8)) {
      made.store(out, null);
    }
  }

  private static Properties english() throws IOException {
    Properties english = new Properties();
    try (InputStream in = ReadersWordsTest.class.getResourceAsStream(FILE.formatted("en"))) {
      english.load(new InputStreamReader(in, StandardCharsets.UTF_8));
    }
    return english;
  }

  /** What the English file says outside its places, in pieces of two words and more. */
  private static Set<String> phrases() throws IOException {
    Set<String> phrases = new TreeSet<>();
    for (Object pattern : english().values()) {
      for (String piece : pattern.toString().split("\\{[^{}]*(\\{[^{}]*\\})*[^{}]*\\}")) {
        String plain = piece.strip().replaceAll("^[,.:; ]+|[,.:; ]+$", "");
        if (plain.matches("[A-Za-z].*[a-z] [a-z].*") && plain.length() > 9) {
          phrases.add(plain);
        }
      }
    }
    assertThat(phrases).hasSizeGreaterThan(300);
    return phrases;
  }

  @Override
  protected Answer send(HttpMethod method, String path, MediaType type, String body)
      throws Exception {
    MockHttpServletResponse response =
        http.perform(
                MockMvcRequestBuilders.request(method, path)
                    .headers(reader)
                    .contentType(type)
                    .content(body.getBytes(StandardCharsets.UTF_8)))
            .andReturn()
            .getResponse();
    String text = response.getContentAsString(StandardCharsets.UTF_8);
    JsonNode tree = text.startsWith("{") || text.startsWith("[") ? json.readTree(text) : null;
    return new Answer(response.getStatus(), text, tree);
  }

  private interface Look {
    void at(String route, List<String> texts);
  }

  /** All texts of all answers, those a request sent and got back left out. */
  private void everywhere(Look look) throws Exception {
    JsonNode api = get("/api/openapi").json();
    ApiBodies bodies = new ApiBodies(api, ApiBodies.parts(biplane(), json), new Random(11));
    Set<String> sent = new TreeSet<>();
    for (String name : List.of("quillon", "larkmere", "skerrow", "brindle")) {
      texts(json.readTree(resource("demo/" + name + ".json")), sent, Set.of());
    }
    List<String> told = new ArrayList<>();
    each(
        (path, method, operation) -> {
          boolean documents =
              path.contains("kinds") || path.endsWith("log") || path.contains("file");
          for (int i = 0; i < TRIES && !documents; i++) {
            Answer answer = tried(bodies, path, method, operation);
            if (answer.json() != null) {
              Set<String> texts = new TreeSet<>();
              texts(answer.json(), texts, path.startsWith("/api/aircraft") ? WRITTEN : Set.of());
              texts.removeAll(sent);
              told.addAll(texts);
              look.at(method + " " + path, texts.stream().map(one -> without(one, sent)).toList());
            }
          }
        });
    assertThat(told).hasSizeGreaterThan(2000);
  }

  /** A text without the names of the setups that were sent. */
  private static String without(String text, Set<String> sent) {
    String left = text;
    for (String one : sent) {
      left = one.contains(" ") ? left.replace(one, "…") : left;
    }
    return left;
  }

  private static void texts(JsonNode node, Set<String> found, Set<String> written) {
    if (node.isTextual()) {
      found.add(node.asText());
    }
    node.properties().stream()
        .filter(one -> !written.contains(one.getKey()))
        .forEach(one -> texts(one.getValue(), found, written));
    if (node.isArray()) {
      node.forEach(one -> texts(one, found, written));
    }
  }

  @Test
  void aSecondMessageFileLeavesNothingOfTheCoresEnglish() throws Exception {
    reader.set(HttpHeaders.ACCEPT_LANGUAGE, "qq");
    Set<String> phrases = phrases();
    Set<String> letters = new TreeSet<>();
    everywhere(
        (route, texts) ->
            texts.forEach(
                text -> {
                  if (text.contains("ж")) {
                    letters.add(text);
                  }
                  for (String phrase : phrases) {
                    assertThat(text).as(route).doesNotContain(phrase);
                  }
                }));
    assertThat(letters).as("told in the made-up language").hasSizeGreaterThan(150);
  }

  @Test
  void inchesAndACommaLeaveNoMillimetreAndNoPoint() throws Exception {
    reader.set("Length-Unit", "in");
    reader.set("Decimal-Mark", "comma");
    Set<String> inches = new TreeSet<>();
    everywhere(
        (route, texts) ->
            texts.forEach(
                text -> {
                  String words = INSTANT.matcher(text).replaceAll("");
                  if (words.matches(".*\\d in\\b.*")) {
                    inches.add(words);
                  }
                  // What is no sentence is data: an id, a key, a value kept as it was said.
                  if (!words.startsWith("{\"say\"")) {
                    assertThat(words).as(route).doesNotContainPattern("\\d mm\\b");
                    assertThat(words).as(route).doesNotContainPattern("\\d\\.\\d");
                  }
                }));
    assertThat(inches).hasSizeGreaterThan(20);
  }

  @Test
  void theBenchSpeaksAsTheBrowserThatOpenedIt() throws Exception {
    reader.set(HttpHeaders.ACCEPT_LANGUAGE, "qq, en;q=0.5");
    Said rest = Said.of("place.rest");
    assertThat(words.forReader(reader, () -> words.say(rest))).isEqualTo("ж");
    assertThat(words.say(rest)).isEqualTo("at rest");
  }

  @Test
  void aBrowserThatCannotSetHeadersSaysItInTheAddress() throws Exception {
    WebSocketSession bench = Mockito.mock(WebSocketSession.class);
    Mockito.when(bench.getHandshakeHeaders()).thenReturn(new HttpHeaders());
    Mockito.when(bench.getUri())
        .thenReturn(URI.create("ws://localhost/api/bench?Length-Unit=in&Decimal-Mark=comma"));
    Said length = Said.of("demand.mostCharactersDocument", "least", Quantity.mm(12.7));
    assertThat(words.forReader(bench, () -> words.say(length))).contains("0,500 in");
    Mockito.when(bench.getUri()).thenReturn(null);
    assertThat(words.forReader(bench, () -> words.say(length))).contains("12.7 mm");
  }
}
