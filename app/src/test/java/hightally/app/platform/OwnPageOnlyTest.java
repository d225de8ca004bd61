package hightally.app.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hightally.app.Pilot;
import java.net.URI;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import org.springframework.web.socket.WebSocketHttpHeaders;
import org.springframework.web.socket.client.standard.StandardWebSocketClient;
import org.springframework.web.socket.handler.TextWebSocketHandler;

/** Only this program's page may write, or read. */
class OwnPageOnlyTest extends Pilot {
  @LocalServerPort private int port;

  @ParameterizedTest
  @CsvSource({
    "Host,          evil.example",
    "Host,          evil.example:8080",
    "Host,          127.0.0.1.evil.example",
    "Host,          192.168.0.7:8080",
    "Host,          [::2]:80",
    "Origin,        http://evil.example",
    "Origin,        http://localhost:9999",
    "Origin,        https://localhost",
    "Origin,        null",
    "Sec-Fetch-Site, cross-site"
  })
  void aForeignPageOrNameIsRefusedEverywhereAndNothingIsWritten(String header, String value)
      throws Exception {
    String at = newModel();
    Map<String, Object> flight = Map.of("revisionNumber", 1, "report", report(1, 0, 0));
    byte[] body = json.writeValueAsBytes(flight);
    for (String path : List.of("/", "/api/aircraft", "/assets/none.js", "/api/openapi", "/error")) {
      MockHttpServletResponse answer =
          http.perform(MockMvcRequestBuilders.get(path).header(header, value))
              .andReturn()
              .getResponse();
      assertThat(answer.getStatus()).as(path).isEqualTo(403);
      assertThat(answer.getContentAsString()).contains("\"title\":\"Refused\"");
      assertThat(answer.getHeader("Content-Security-Policy")).contains("default-src 'self'");
    }
    MockHttpServletResponse written =
        http.perform(
                MockMvcRequestBuilders.post(at + "/flights")
                    .header(header, value)
                    .contentType("application/json")
                    .content(body))
            .andReturn()
            .getResponse();
    assertThat(written.getStatus()).isEqualTo(403);
    assertThat(get(at + "/flights").json().get("total").asInt()).isZero();
  }

  @ParameterizedTest
  @CsvSource({"localhost:8080", "127.0.0.1:8080", "[::1]:8080", "LOCALHOST"})
  void thisMachineUnderEachOfItsNamesIsAnswered(String host) throws Exception {
    MockHttpServletResponse answer =
        http.perform(
                MockMvcRequestBuilders.get("/api/aircraft")
                    .header("Host", host)
                    .header("Origin", "http://" + host))
            .andReturn()
            .getResponse();
    assertThat(answer.getStatus()).isEqualTo(200);
    assertThat(answer.getHeader("Content-Security-Policy"))
        .contains("default-src 'self'")
        .contains("frame-ancestors 'none'");
    assertThat(answer.getHeader("X-Frame-Options")).isEqualTo("DENY");
    assertThat(answer.getHeader("X-Content-Type-Options")).isEqualTo("nosniff");
    assertThat(answer.getHeader("Referrer-Policy")).isEqualTo("no-referrer");
    assertThat(answer.getHeader("Cross-Origin-Opener-Policy")).isEqualTo("same-origin");
    assertThat(answer.getHeader("Cross-Origin-Resource-Policy")).isEqualTo("same-origin");
    assertThat(answer.getHeader("Cache-Control")).isEqualTo("private, no-cache");
  }

  @Test
  void aLinkFromElsewhereMayBeFollowed() throws Exception {
    int status =
        http.perform(
                MockMvcRequestBuilders.get("/api/aircraft")
                    .header("Sec-Fetch-Site", "cross-site")
                    .header("Sec-Fetch-Mode", "navigate"))
            .andReturn()
            .getResponse()
            .getStatus();
    assertThat(status).isEqualTo(200);
  }

  @ParameterizedTest
  @CsvSource({
    "/flights,      application/octet-stream",
    "/flights,      text/plain",
    "/flights,      ",
    "/flights,      */*",
    "/flights,      no type",
    "/flights.csv,  application/octet-stream",
    "/flights.csv,  text/plain",
    "/flights.csv,  ",
    "/flights.csv,  multipart/form-data",
    "/flights.csv,  application/x-www-form-urlencoded",
    "/revisions,    application/xml"
  })
  void whatDoesNotSayWhatItBringsIsNotWritten(String path, String type) throws Exception {
    String at = newModel();
    String csv = "flown_on,roll_clicks,pitch_clicks,yaw_clicks\n2026-09-05,1,2,3\n";
    var request = MockMvcRequestBuilders.post(at + path).content(csv);
    if (type != null) {
      request.header("Content-Type", type);
    }
    MockHttpServletResponse answer = http.perform(request).andReturn().getResponse();
    assertThat(answer.getStatus()).isEqualTo(415);
    assertThat(get(at + "/flights").json().get("total").asInt()).isZero();
    assertThat(get(at + "/revisions").json().get("total").asInt()).isEqualTo(1);
  }

  @Test
  void theBenchIsOpenToThisPageOnly() throws Exception {
    connect("http://localhost:" + port);
    assertThatThrownBy(() -> connect("http://evil.example")).hasStackTraceContaining("403");
    assertThatThrownBy(() -> connect("http://localhost:1")).hasStackTraceContaining("403");
  }

  private void connect(String origin) throws Exception {
    WebSocketHttpHeaders headers = new WebSocketHttpHeaders();
    headers.setOrigin(origin);
    URI address = URI.create("ws://localhost:" + port + "/api/bench");
    new StandardWebSocketClient()
        .execute(new TextWebSocketHandler(), headers, address)
        .get(10, TimeUnit.SECONDS)
        .close();
  }
}
