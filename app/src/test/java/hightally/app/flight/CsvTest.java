package hightally.app.flight;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import hightally.app.ApiTest;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

class CsvTest extends ApiTest {
  private String glider() throws Exception {
    JsonNode setup = json.readTree(resource("demo/larkmere.json"));
    Answer added = post("/api/aircraft", Map.of("reason", "For this test", "setup", setup));
    return "/api/aircraft/" + added.json().get("id").asLong();
  }

  private JsonNode imported(String at, byte[] bytes) throws Exception {
    MockHttpServletResponse response =
        http.perform(
                MockMvcRequestBuilders.post(at + "/flights.csv")
                    .contentType(MediaType.APPLICATION_OCTET_STREAM)
                    .content(bytes))
            .andReturn()
            .getResponse();
    return json.readTree(response.getContentAsString(StandardCharsets.UTF_8));
  }

  @Test
  void whatGoesOutComesInTheSame() throws Exception {
    String at = glider();
    String text =
        "flight,flown_on,wind,air,field,battery,cg_mm,goal,remarks,phase,roll_clicks,pitch_clicks,"
            + "yaw_clicks,throttle_percent,sure\r\n"
            + "a,2026-09-05,CALM,SMOOTH,Long Meadow,Pack 1,83.5,Level,\"Said \"\"hm\"\", twice\","
            + "cruise,3,-4,0,50,SURE\r\n"
            + "a,2026-09-05,CALM,SMOOTH,Long Meadow,Pack 1,83.5,Level,,speed,3,-9,0,50,FAIRLY\r\n";
    JsonNode taken = imported(at, text.getBytes(StandardCharsets.UTF_8));
    assertThat(taken.get("taken").asInt()).isEqualTo(1);
    String out = get(at + "/flights.csv").body();
    String other = glider();
    imported(other, out.getBytes(StandardCharsets.UTF_8));
    JsonNode one = get(at + "/flights").json().at("/0/report");
    assertThat(get(other + "/flights").json().at("/0/report")).isEqualTo(one);
    assertThat(one.at("/phases/0/trims/pitch").asInt()).isEqualTo(-9);
    assertThat(one.at("/remarks").asText()).isEqualTo("Said \"hm\", twice");
  }

  @Test
  void anotherEncodingADecimalCommaAndBadRowsAreSaid() throws Exception {
    String at = glider();
    String text =
        "flown_on;cg_mm;phase;roll_clicks;pitch_clicks;yaw_clicks;remarks\n"
            + "2026-09-05;83,5;cruise;3;-4;0;b\u00f6ig\n"
            + "2026-09-06;83,5;float;3;-4;0;\n"
            + "2026-09-07;83,5;cruise;3;1,5;0;\n"
            + "2026-09-08;83,5;cruise;300;1;0;\n";
    JsonNode found = imported(at, text.getBytes(Charset.forName("windows-1252")));
    assertThat(found.get("taken").asInt()).isEqualTo(1);
    assertThat(found.get("problems").findValuesAsText("reason"))
        .hasSize(3)
        .anySatisfy(one -> assertThat(one).contains("phase").contains("cruise"))
        .anySatisfy(one -> assertThat(one).contains("whole clicks"))
        .anySatisfy(one -> assertThat(one).contains("300"));
    JsonNode report = get(at + "/flights").json().at("/0/report");
    assertThat(report.get("cgMm").asDouble()).isEqualTo(83.5);
    assertThat(report.get("remarks").asText()).isEqualTo("b\u00f6ig");
  }
}
