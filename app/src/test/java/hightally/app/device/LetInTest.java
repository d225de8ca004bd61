package hightally.app.device;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.JsonNode;
import hightally.app.ApiTest;
import jakarta.servlet.http.Cookie;
import java.net.Inet4Address;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.URI;
import java.time.Duration;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Primary;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.WebSocketHttpHeaders;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.client.standard.StandardWebSocketClient;
import org.springframework.web.socket.handler.TextWebSocketHandler;

/** Who is on the local network reads and writes nothing until this computer lets it in. */
@TestPropertySource(
    properties = {
      "high-tally.lan=true",
      "spring.datasource.url=jdbc:h2:mem:let-in;DB_CLOSE_DELAY=-1"
    })
class LetInTest extends ApiTest {
  @LocalServerPort private int port;
  @Autowired private Hands hands;
  private String phone;
  private static int phones;

  @BeforeEach
  void anotherPhone() {
    phone = "192.168.7." + ++phones; // Each its own patience.
  }

  @TestConfiguration
  static class OwnClock {
    @Bean
    @Primary
    Hands hands() {
      return new Hands();
    }
  }

  private MockHttpServletRequestBuilder from(String address, HttpMethod method, String path) {
    return MockMvcRequestBuilders.request(method, path)
        .header("Host", "localhost")
        .with(
            request -> {
              request.setRemoteAddr(address);
              return request;
            });
  }

  private MockHttpServletResponse asked(MockHttpServletRequestBuilder request) throws Exception {
    return http.perform(request).andReturn().getResponse();
  }

  private String code() throws Exception {
    return post("/api/devices/code", Map.of()).json().get("code").asText();
  }

  private MockHttpServletResponse knock(String address, String code) throws Exception {
    return asked(
        from(address, HttpMethod.POST, "/api/devices/let-in")
            .contentType("application/json")
            .content(json.writeValueAsString(Map.of("code", code, "name", "Phone"))));
  }

  private Cookie letIn(String address) throws Exception {
    MockHttpServletResponse done = knock(address, code());
    assertThat(done.getStatus()).isEqualTo(200);
    return done.getCookie(DeviceAccessFilter.COOKIE);
  }

  /** Everything a stranger could want to read or write, and that nothing came of it. */
  private void seesAndChangesNothing(String address, Cookie... cookies) throws Exception {
    int before = get("/api/aircraft?size=200").json().get("total").asInt();
    for (String path :
        List.of(
            "/api/aircraft",
            "/api/aircraft/1",
            "/api/archive",
            "/api/archive/backups",
            "/api/devices",
            "/api/fields",
            "/api/openapi",
            "/api/none")) {
      MockHttpServletRequestBuilder request = from(address, HttpMethod.GET, path);
      MockHttpServletResponse answer =
          asked(cookies.length == 0 ? request : request.cookie(cookies));
      assertThat(answer.getStatus()).as(path).isEqualTo(401);
      assertThat(answer.getContentAsString())
          .as(path)
          .contains("This device has no access")
          .doesNotContain("Quillon");
    }
    Map<HttpMethod, List<String>> writes =
        Map.of(
            HttpMethod.POST,
            List.of("/api/aircraft", "/api/devices/code", "/api/archive/look"),
            HttpMethod.DELETE,
            List.of("/api/devices/1"),
            HttpMethod.PUT,
            List.of("/api/aircraft/1/wishes"));
    String body = json.writeValueAsString(Map.of("reason", "New", "setup", biplane()));
    for (Map.Entry<HttpMethod, List<String>> one : writes.entrySet()) {
      for (String path : one.getValue()) {
        MockHttpServletRequestBuilder request =
            from(address, one.getKey(), path).contentType("application/json").content(body);
        MockHttpServletResponse answer =
            asked(cookies.length == 0 ? request : request.cookie(cookies));
        assertThat(answer.getStatus()).as(path).isEqualTo(401);
      }
    }
    assertThat(get("/api/aircraft?size=200").json().get("total").asInt()).isEqualTo(before);
  }

  @Test
  void withoutACodeNothingIsReadOrWritten() throws Exception {
    seesAndChangesNothing(phone);
    seesAndChangesNothing(phone, new Cookie(DeviceAccessFilter.COOKIE, "made-up"));
    assertThat(asked(from(phone, HttpMethod.GET, "/api/devices/here")).getContentAsString())
        .contains("\"host\":false", "\"device\":\"\"");
  }

  @Test
  void aWrongCodeAnOldOneAndAUsedOneAreRefused() throws Exception {
    code();
    assertThat(knock(phone, "22222222").getStatus()).isEqualTo(403);
    MockHttpServletResponse slowed = knock(phone, "22222223");
    assertThat(slowed.getStatus()).isEqualTo(429);
    assertThat(slowed.getHeader("Retry-After")).isEqualTo("1");
    hands.on(Duration.ofSeconds(2));
    String old = code();
    hands.on(Duration.ofMinutes(5));
    assertThat(knock(phone, old).getStatus()).isEqualTo(403);
    hands.on(Duration.ofSeconds(10));
    String used = code();
    assertThat(knock(phone, used).getStatus()).isEqualTo(200);
    MockHttpServletResponse again = knock(phone, used);
    assertThat(again.getStatus()).isEqualTo(403);
    assertThat(again.getCookies()).isEmpty();
    assertThat(again.getContentAsString()).contains("was used");
    seesAndChangesNothing(phone);
  }

  @Test
  void aDeviceThatWasLetInReadsAndWritesUntilItIsSentAway() throws Exception {
    MockHttpServletResponse done = knock(phone, code());
    assertThat(done.getHeader("Set-Cookie"))
        .contains("HttpOnly", "SameSite=Strict", "Path=/")
        .doesNotContain("Domain");
    Cookie cookie = done.getCookie(DeviceAccessFilter.COOKIE);
    assertThat(asked(from(phone, HttpMethod.GET, "/api/aircraft").cookie(cookie)).getStatus())
        .isEqualTo(200);
    String body = json.writeValueAsString(Map.of("reason", "New", "setup", biplane()));
    MockHttpServletResponse written =
        asked(
            from(phone, HttpMethod.POST, "/api/aircraft")
                .cookie(cookie)
                .contentType("application/json")
                .content(body));
    assertThat(written.getStatus()).isEqualTo(201);
    for (String path : List.of("/api/devices", "/api/archive", "/api/archive/backups")) {
      MockHttpServletResponse refused = asked(from(phone, HttpMethod.GET, path).cookie(cookie));
      assertThat(refused.getStatus()).as(path).isEqualTo(403);
      assertThat(refused.getContentAsString()).contains("the computer High Tally runs on");
    }
    assertThat(
            asked(
                    from(phone, HttpMethod.POST, "/api/devices/code")
                        .cookie(cookie)
                        .contentType("application/json")
                        .content("{}"))
                .getStatus())
        .isEqualTo(403);

    JsonNode known = device(phone);
    assertThat(known.get("name").asText()).isEqualTo("Phone");
    assertThat(known.get("lastSeen").asText()).isEqualTo(hands.instant().toString());
    send(HttpMethod.DELETE, "/api/devices/" + known.get("id"), MediaType.APPLICATION_JSON, "");
    seesAndChangesNothing(phone, cookie);
  }

  private JsonNode device(String address) throws Exception {
    for (JsonNode one : get("/api/devices").json().get("devices")) {
      if (one.get("address").asText().equals(address)) {
        return one;
      }
    }
    throw new AssertionError("no device at " + address);
  }

  @Test
  void aCookieTakenToAnotherAddressOrKeptForAMonthIsNoGood() throws Exception {
    Cookie cookie = letIn(phone);
    seesAndChangesNothing("192.168.7.250", cookie);
    hands.on(Duration.ofDays(30).minusMillis(1));
    assertThat(asked(from(phone, HttpMethod.GET, "/api/aircraft").cookie(cookie)).getStatus())
        .isEqualTo(200);
    hands.on(Duration.ofMillis(1));
    seesAndChangesNothing(phone, cookie);
  }

  @Test
  void aForeignHostOrOriginIsRefusedThoughTheCookieIsGood() throws Exception {
    Cookie cookie = letIn(phone);
    int before = get("/api/aircraft?size=200").json().get("total").asInt();
    Map<String, String> foreign =
        Map.of(
            "Host", "model.example",
            "Origin", "http://192.168.7.99:8080",
            "Sec-Fetch-Site", "cross-site");
    byte[] body = json.writeValueAsBytes(Map.of("reason", "New", "setup", biplane()));
    for (Map.Entry<String, String> one : foreign.entrySet()) {
      for (HttpMethod method : List.of(HttpMethod.GET, HttpMethod.POST)) {
        MockHttpServletRequestBuilder request =
            MockMvcRequestBuilders.request(method, "/api/aircraft")
                .header(one.getKey(), one.getValue())
                .contentType("application/json")
                .content(body)
                .cookie(cookie)
                .with(
                    sent -> {
                      sent.setRemoteAddr(phone);
                      return sent;
                    });
        MockHttpServletResponse answer = asked(request);
        assertThat(answer.getStatus()).as(one + " " + method).isEqualTo(403);
        assertThat(answer.getContentAsString()).contains("Refused").doesNotContain("Quillon");
      }
    }
    assertThat(get("/api/aircraft?size=200").json().get("total").asInt()).isEqualTo(before);
  }

  @Test
  void onTheNetworkItAnswersUnderItsAddressesInFiguresAndNoName() throws Exception {
    List<String> pages =
        json.convertValue(
            get("/api/devices").json().get("pages"),
            json.getTypeFactory().constructCollectionType(List.class, String.class));
    assertThat(pages).contains("http://" + ownAddress() + ":" + port + "/");
    for (String page : pages) {
      String host = URI.create(page).getAuthority();
      assertThat(status(host)).as(host).isEqualTo(200);
    }
    for (String host :
        List.of("8.8.8.8:8080", "rebound.example", "1.2.3", "999.1.1.1", "[::2]:80", "[fe80::x]")) {
      assertThat(status(host)).as(host).isEqualTo(403);
    }
  }

  private int status(String host) throws Exception {
    return asked(MockMvcRequestBuilders.get("/api/aircraft").header("Host", host)).getStatus();
  }

  private static String ownAddress() throws Exception {
    for (NetworkInterface one : Collections.list(NetworkInterface.getNetworkInterfaces())) {
      for (InetAddress address : Collections.list(one.getInetAddresses())) {
        if (address instanceof Inet4Address && !address.isLoopbackAddress()) {
          return address.getHostAddress();
        }
      }
    }
    throw new AssertionError("this test needs a machine with a network");
  }

  /** Over a real connection: refused without a cookie, and closed when the device is sent away. */
  @Test
  void theLiveBenchIsClosedToStrangersAndForWhoeverIsSentAway() throws Exception {
    assertThatThrownBy(() -> connect("", new CountDownLatch(1))).hasStackTraceContaining("401");
    Cookie cookie = letIn(ownAddress());
    CountDownLatch closed = new CountDownLatch(1);
    WebSocketSession bench = connect(DeviceAccessFilter.COOKIE + "=" + cookie.getValue(), closed);
    assertThat(bench.isOpen()).isTrue();
    send(
        HttpMethod.DELETE,
        "/api/devices/" + device(ownAddress()).get("id"),
        MediaType.APPLICATION_JSON,
        "");
    assertThat(closed.await(10, TimeUnit.SECONDS)).isTrue();
  }

  private WebSocketSession connect(String cookie, CountDownLatch closed) throws Exception {
    WebSocketHttpHeaders headers = new WebSocketHttpHeaders();
    headers.setOrigin("http://" + ownAddress() + ":" + port);
    headers.add("Cookie", cookie);
    TextWebSocketHandler handler =
        new TextWebSocketHandler() {
          @Override
          public void afterConnectionClosed(WebSocketSession session, CloseStatus status) {
            closed.countDown();
          }
        };
    URI address = URI.create("ws://" + ownAddress() + ":" + port + "/api/bench");
    return new StandardWebSocketClient()
        .execute(handler, headers, address)
        .get(10, TimeUnit.SECONDS);
  }
}
