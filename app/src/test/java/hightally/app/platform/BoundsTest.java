package hightally.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.ApiTest;
import java.io.ByteArrayInputStream;
import java.io.InputStream;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.client.standard.StandardWebSocketClient;
import org.springframework.web.socket.handler.TextWebSocketHandler;

/** How much a request may bring, how little of it comes back, and what is said to nonsense. */
class BoundsTest extends ApiTest {
  @LocalServerPort private int port;

  private HttpResponse<String> sent(String path, HttpRequest.BodyPublisher body) throws Exception {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
            .header("Content-Type", "application/json")
            .POST(body)
            .build();
    return HttpClient.newBuilder()
        .version(HttpClient.Version.HTTP_1_1)
        .build()
        .send(request, HttpResponse.BodyHandlers.ofString());
  }

  /** Told by what it says of itself, before it is read. */
  @Test
  void aRequestThatSaysItIsTooLargeIsNotRead() throws Exception {
    String head =
        "POST /api/aircraft HTTP/1.1\r\nHost: 127.0.0.1:"
            + port
            + "\r\nContent-Type: application/json\r\nContent-Length: 20000000\r\n\r\n{";
    String answer = raw(head);
    assertThat(answer).startsWith("HTTP/1.1 413").contains("8,000,000 bytes");
    assertThat(answer.toLowerCase(java.util.Locale.ROOT)).contains("connection: close");
  }

  /** One that says nothing is cut off. */
  @ParameterizedTest
  @CsvSource({"/api/aircraft, 8000001", "/api/devices/let-in, 4001"})
  void aRequestThatDoesNotSayItIsCutOff(String path, int bytes) throws Exception {
    byte[] body = ("{\"reason\": \"" + "x".repeat(bytes)).getBytes(StandardCharsets.UTF_8);
    HttpResponse<String> answer =
        sent(
            path,
            HttpRequest.BodyPublishers.ofInputStream(
                () -> (InputStream) new ByteArrayInputStream(body)));
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(413);
    assertThat(answer.body()).contains("bytes that are taken here").doesNotContain("xxx");
  }

  @Test
  void whatIsSentIsNotSentBack() throws Exception {
    ObjectNode setup = biplane();
    setup.put("name", "n".repeat(900_000));
    ((ObjectNode) setup.at("/surfaces/0")).put("chordMm", "c".repeat(90_000));
    setup.put("u".repeat(90_000), 1);
    for (Object one :
        List.of(
            Map.of("reason", "r", "setup", setup),
            Map.of("reason", "r".repeat(90_000), "setup", biplane()),
            Map.of("z".repeat(90_000), 1))) {
      Answer answer = post("/api/aircraft", one);
      assertThat(answer.status()).isEqualTo(422);
      assertThat(answer.body().length()).isLessThan(2_500);
    }
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "GET /api/air<craft HTTP/1.1",
        "GET /../../etc HTTP/1.1",
        "NONSENSE",
        "GET / HTTP/9.9"
      })
  void whatTheContainerRefusesIsSaidPlainly(String line) throws Exception {
    String answer = raw(line + "\r\nHost: 127.0.0.1:" + port + "\r\n\r\n");
    assertThat(answer).matches("(?s)HTTP/1.1 [45]0\\d.*");
    assertThat(answer).doesNotContain("Tomcat", "Apache", "<html", "Exception", "java.");
  }

  private String raw(String request) throws Exception {
    try (Socket socket = new Socket("127.0.0.1", port)) {
      socket.setSoTimeout(10_000);
      socket.getOutputStream().write(request.getBytes(StandardCharsets.ISO_8859_1));
      socket.getOutputStream().flush();
      socket.shutdownOutput();
      return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    }
  }

  @ParameterizedTest
  @CsvSource({"1899-12-31, 422", "1900-01-01, 201", "2101-01-01, 422"})
  void aFlightIsOnADayOfThisAge(String day, int status) throws Exception {
    long id = get("/api/aircraft").json().at("/items/0/id").asLong();
    ObjectNode flight =
        (ObjectNode) get("/api/aircraft/" + id + "/flights").json().at("/items/0/report");
    flight.put("flownOn", day);
    int revision = get("/api/aircraft/" + id).json().at("/newest/number").asInt();
    Map<String, Object> noted = Map.of("revisionNumber", revision, "report", flight);
    Answer answer = post("/api/aircraft/" + id + "/flights", noted);
    assertThat(answer.status()).as(answer.body()).isEqualTo(status);
    if (status == 422) {
      assertThat(answer.body()).contains("flownOn").containsAnyOf("1900", "not after");
    } else {
      String at = "/api/aircraft/" + id + "/flights/" + answer.json().get("id").asLong();
      send(HttpMethod.DELETE, at + "?version=0", MediaType.APPLICATION_JSON, "");
    }
  }

  /** A draft with the first brakes can fly what the saved model cannot: that is an answer. */
  @Test
  void theFirstBrakesAreAnAnswer() throws Exception {
    int found = 0;
    for (var one : get("/api/aircraft?size=50").json().get("items")) {
      JsonNode draft = get("/api/aircraft/" + one.get("id").asLong()).json().at("/newest/setup");
      ObjectNode saved = draft.deepCopy();
      saved.putArray("mixes");
      Answer answer =
          post("/api/air/fly-this", Map.of("draft", draft, "saved", saved, "manoeuvre", "BRAKES"));
      assertThat(answer.status()).as(answer.body()).isEqualTo(200);
      if (answer.json().get("others").toString().contains("BRAKES")) {
        assertThat(answer.json().get("against")).hasSize(1);
        assertThat(answer.json().get("draft")).isEmpty();
        found++;
      }
    }
    assertThat(found).isPositive();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "/api/bench | null",
        "/api/bench | []",
        "/api/air/live | null",
        "/api/air/live | {\"begin\": 999999, \"phase\": \"\", \"seconds\": 0, \"trims\":"
            + " {\"roll\": 0, \"pitch\": 0, \"yaw\": 0}, \"held\": false}",
        "/api/air/live | {\"begin\": 0, \"phase\": \"\", \"seconds\": 0, \"trims\": {\"roll\":"
            + " 0, \"pitch\": 0, \"yaw\": 0}, \"held\": false}"
      })
  void aMistakeOverAWebSocketIsAnsweredWithASentence(String path, String message) throws Exception {
    BlockingQueue<String> answers = new LinkedBlockingQueue<>();
    TextWebSocketHandler handler =
        new TextWebSocketHandler() {
          @Override
          protected void handleTextMessage(WebSocketSession from, TextMessage told) {
            answers.add(told.getPayload());
          }
        };
    try (WebSocketSession session =
        new StandardWebSocketClient()
            .execute(handler, null, URI.create("ws://127.0.0.1:" + port + path))
            .get(10, TimeUnit.SECONDS)) {
      session.sendMessage(new TextMessage(message));
      String answer = answers.poll(10, TimeUnit.SECONDS);
      assertThat(answer).contains("violations").doesNotContain("at fault");
    }
  }
}
