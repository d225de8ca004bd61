package hightally.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.ApiTest;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.http.HttpMethod;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.client.standard.StandardWebSocketClient;
import org.springframework.web.socket.handler.TextWebSocketHandler;

/**
 * Mutated requests over the whole API and the WebSocket: whatever is sent is answered as a fault of
 * what was sent, and never in names of the program's own code. 500 in every run; more by hand with
 * {@code -Dfuzz.requests=10000 -Dfuzz.seed=7}.
 */
class FuzzTest extends ApiTest {
  private static final int REQUESTS = Integer.getInteger("fuzz.requests", 500);
  private static final long SEED = Long.getLong("fuzz.seed", 1);
  private static final Pattern CODE =
      Pattern.compile(
          "\\b(?:java|javax|jakarta|org|com|hightally)\\.[a-z]\\w*\\.[\\w.$]+|\\w+Exception\\b|`[\\w.$]+`");
  private static final List<String> TYPES =
      List.of("*/*", "", "text/plain", "application/xml", "nonsense", "application/json;charset=x");

  @LocalServerPort private int port;
  private final Random random = new Random(SEED);

  private record Known(HttpMethod method, String path, JsonNode body, String type) {}

  @Test
  void noRequestBringsAFaultOrAClassName() throws Exception {
    List<Known> operations = operations();
    Map<Integer, Integer> statuses = new java.util.TreeMap<>();
    for (int i = 0; i < REQUESTS; i++) {
      Known one = operations.get(i % operations.size());
      String body = one.body() == null ? "" : mutated(one.body());
      String path = path(one.path());
      String type = random.nextInt(12) == 0 ? TYPES.get(random.nextInt(TYPES.size())) : one.type();
      MockHttpServletResponse answer = sent(one.method(), path, type, body);
      String text = answer.getContentAsString(StandardCharsets.UTF_8);
      String what = one.method() + " " + path + " (" + type + ") " + shortened(body) + "\n" + text;
      assertThat(answer.getStatus()).as(what).isLessThan(500);
      if (answer.getStatus() >= 400) {
        assertThat(CODE.matcher(text).find()).as(what).isFalse();
      }
      statuses.merge(answer.getStatus(), 1, Integer::sum);
    }
    System.out.println("Mutated requests by status: " + statuses);
    assertThat(statuses).as("some get through, most do not").containsKeys(200, 422, 404, 415);
  }

  @Test
  void noFrameBringsAFaultOrAClassName() throws Exception {
    BlockingQueue<String> answers = new LinkedBlockingQueue<>();
    TextWebSocketHandler handler =
        new TextWebSocketHandler() {
          @Override
          protected void handleTextMessage(WebSocketSession from, TextMessage message) {
            answers.add(message.getPayload());
          }
        };
    URI address = URI.create("ws://localhost:" + port + "/api/bench");
    WebSocketSession session =
        new StandardWebSocketClient().execute(handler, null, address).get(10, TimeUnit.SECONDS);
    session.setTextMessageSizeLimit(2_000_000);
    Map<String, JsonNode> parts = ApiBodies.parts(biplane(), json);
    for (int i = 0; i < REQUESTS; i++) {
      ObjectNode frame = JsonNodeFactory.instance.objectNode().put("number", i);
      switch (i % 5) {
        case 0 -> frame.put("type", "switch-on");
        case 1 -> frame.put("type", "load").set("setup", parts.get("Setup"));
        default ->
            frame
                .put("type", "move")
                .put("selected", "elevator")
                .put("atMilliseconds", 10.0 * i)
                .put("linkLost", i % 7 == 0)
                .set("moment", parts.get("Moment"));
      }
      String sent = i % 10 == 0 ? frame.toString() : mutated(frame);
      session.sendMessage(new TextMessage(sent));
      String answer = answers.poll(20, TimeUnit.SECONDS);
      assertThat(answer).as(shortened(sent)).isNotNull().doesNotContain("at fault");
      JsonNode read = json.readTree(answer);
      if (read.get("type").asText().equals("refused")) {
        assertThat(CODE.matcher(answer).find()).as(shortened(sent) + "\n" + answer).isFalse();
      }
    }
    session.close();
  }

  private MockHttpServletResponse sent(HttpMethod method, String path, String type, String body)
      throws Exception {
    MockHttpServletRequestBuilder request =
        MockMvcRequestBuilders.request(method, URI.create(path))
            .content(body.getBytes(StandardCharsets.UTF_8));
    if (!type.isEmpty()) {
      request.header("Content-Type", type);
    }
    return http.perform(request).andReturn().getResponse();
  }

  /** Every operation of the published description, with a body it calls legal. */
  private List<Known> operations() throws Exception {
    JsonNode api = get("/api/openapi").json();
    ApiBodies bodies = new ApiBodies(api, ApiBodies.parts(biplane(), json), random);
    List<Known> found = new ArrayList<>();
    api.get("paths")
        .properties()
        .forEach(
            path ->
                path.getValue()
                    .properties()
                    .forEach(one -> found.add(known(bodies, path.getKey(), one))));
    return found;
  }

  private Known known(ApiBodies bodies, String path, Map.Entry<String, JsonNode> operation) {
    HttpMethod method = HttpMethod.valueOf(operation.getKey().toUpperCase(java.util.Locale.ROOT));
    StringBuilder query = new StringBuilder();
    for (JsonNode parameter : operation.getValue().path("parameters")) {
      if (parameter.get("in").asText().equals("query")) {
        query.append(query.isEmpty() ? '?' : '&').append(parameter.get("name").asText());
        query.append('=').append(random.nextInt(4));
      }
    }
    var contents = operation.getValue().at("/requestBody/content").properties().iterator();
    if (!contents.hasNext()) {
      return new Known(method, path + query, null, "");
    }
    var content = contents.next();
    JsonNode example = content.getValue().path("example");
    JsonNode body = example.isObject() ? example : bodies.of(content.getValue().get("schema"));
    return new Known(method, path + query, body, content.getKey());
  }

  private String path(String template) {
    String path = template;
    while (path.contains("{")) {
      String value =
          switch (random.nextInt(12)) {
            case 0 -> "0";
            case 1 -> "-1";
            case 2 -> "99999999999999999999";
            case 3 -> "one";
            case 4 -> "%00";
            default -> "" + (1 + random.nextInt(3));
          };
      path = path.replaceFirst("\\{\\w+}", value);
    }
    return path;
  }

  private String mutated(JsonNode body) {
    int how = random.nextInt(10);
    if (how == 0) {
      return body.toString();
    }
    if (how == 1) {
      String text = body.toString();
      return text.substring(0, random.nextInt(text.length() + 1));
    }
    if (how == 2) {
      String text = body.toString();
      int at = random.nextInt(text.length() + 1);
      return text.substring(0, at) + (char) (32 + random.nextInt(95)) + text.substring(at);
    }
    JsonNode copy = body.deepCopy();
    List<Consumer<JsonNode>> places = new ArrayList<>();
    collect(copy, places);
    for (int times = 1 + random.nextInt(2); times > 0 && !places.isEmpty(); times--) {
      places.get(random.nextInt(places.size())).accept(strange());
    }
    return copy.toString();
  }

  /** Everywhere a value can be put in place of what stands there. */
  private void collect(JsonNode node, List<Consumer<JsonNode>> places) {
    if (node instanceof ObjectNode object) {
      List<String> names = new ArrayList<>();
      object.fieldNames().forEachRemaining(names::add);
      for (String name : names) {
        places.add(value -> put(object, name, value));
        collect(object.get(name), places);
      }
    } else if (node instanceof ArrayNode array) {
      places.add(array::add);
      for (int i = 0; i < array.size(); i++) {
        int at = i;
        places.add(value -> array.set(Math.min(at, array.size() - 1), value));
        collect(array.get(i), places);
      }
    }
  }

  private void put(ObjectNode object, String name, JsonNode value) {
    if (random.nextInt(6) == 0) {
      object.remove(name);
    } else if (random.nextInt(12) == 0) {
      object.set("unheard-of", value);
    } else {
      object.set(name, value);
    }
  }

  private JsonNode strange() {
    JsonNodeFactory nodes = JsonNodeFactory.instance;
    return switch (random.nextInt(16)) {
      case 0 -> nodes.nullNode();
      case 1 -> nodes.textNode("");
      case 2 -> nodes.textNode("x".repeat(3000));
      case 3 -> nodes.textNode("\u0000\ud83d\ude00 %s '; drop");
      case 4 -> nodes.numberNode(-1);
      case 5 -> nodes.numberNode(0);
      case 6 -> nodes.numberNode(1e300);
      case 7 -> nodes.numberNode(Long.MAX_VALUE);
      case 8 -> nodes.numberNode(0.5);
      case 9 -> nodes.booleanNode(true);
      case 10 -> nodes.arrayNode();
      case 11 -> nodes.arrayNode().addNull();
      case 12 -> nodes.objectNode();
      case 13 -> nodes.numberNode(new java.math.BigInteger("9".repeat(400)));
      case 14 -> nodes.textNode("gone");
      default -> nodes.numberNode(random.nextInt(200) - 100);
    };
  }

  private static String shortened(String text) {
    return text.length() < 1500 ? text : text.substring(0, 1500) + " …";
  }
}
