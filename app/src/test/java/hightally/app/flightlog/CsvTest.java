package hightally.app.flightlog;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import hightally.app.ApiTest;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
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
                    .contentType(MediaType.parseMediaType("text/csv"))
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
            + "yaw_clicks,throttle_percent,sure,turns_differ\r\n"
            + "a,2026-09-05,CALM,SMOOTH,Long Meadow,Pack 1,83.5,Level,\"Said \"\"hm\"\", twice\","
            + "cruise,3,-4,0,50,SURE,yes\r\n"
            + "a,2026-09-05,CALM,SMOOTH,Long Meadow,Pack 1,83.5,Level,,speed,3,-9,0,50,FAIRLY,\r\n";
    JsonNode taken = imported(at, text.getBytes(StandardCharsets.UTF_8));
    assertThat(taken.get("taken").asInt()).isEqualTo(1);
    String out = get(at + "/flights.csv").body();
    String other = glider();
    imported(other, out.getBytes(StandardCharsets.UTF_8));
    JsonNode one = get(at + "/flights").json().at("/items/0/report");
    assertThat(get(other + "/flights").json().at("/items/0/report")).isEqualTo(one);
    assertThat(one.at("/phases/0/trims/pitch").asInt()).isEqualTo(-9);
    assertThat(one.get("turnsDiffer").asBoolean()).isTrue();
    assertThat(one.at("/phases/0/turnsDiffer").asBoolean()).isFalse();
    assertThat(one.at("/remarks").asText()).isEqualTo("Said \"hm\", twice");
  }

  /** Each column, derived from the report, is told in the public document. */
  @Test
  void everyColumnIsToldInTheDocuments() throws Exception {
    String told = Files.readString(Path.of("../docs/file-format.md"));
    assertThat(CsvLog.COLUMNS)
        .hasSizeGreaterThan(15)
        .allMatch(one -> told.contains("`" + one + "`"));
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
    JsonNode report = get(at + "/flights").json().at("/items/0/report");
    assertThat(report.get("cgMm").asDouble()).isEqualTo(83.5);
    assertThat(report.get("remarks").asText()).isEqualTo("b\u00f6ig");
  }

  /** A quote that is never closed costs the rows behind it, not those before it, and is said. */
  @Test
  void aBrokenQuoteSpoilsOnlyWhatItSwallows() throws Exception {
    String at = glider();
    String text =
        "flown_on,roll_clicks,pitch_clicks,yaw_clicks,remarks\n"
            + "2026-09-05,1,2,0,fine\n"
            + "2026-09-06,\"1,2,0,swallowed\n"
            + "2026-09-07,1,2,0,too\n";
    JsonNode found = imported(at, text.getBytes(StandardCharsets.UTF_8));
    assertThat(found.get("taken").asInt()).isEqualTo(1);
    assertThat(found.at("/problems/0/reason").asText()).contains("roll_clicks");
  }

  @Test
  void trimsOfAPhaseRemovedSinceAreLeftOutAndSaid() throws Exception {
    String at = glider();
    String text =
        "flight,flown_on,phase,roll_clicks,pitch_clicks,yaw_clicks\n"
            + "a,2026-09-05,cruise,6,-8,0\n"
            + "a,2026-09-05,speed,6,-9,0\n"
            + "b,2026-09-06,cruise,6,-8,0\n"
            + "b,2026-09-06,speed,6,-9,0\n"
            + "c,2026-09-07,cruise,6,-8,0\n"
            + "c,2026-09-07,speed,6,-9,0\n";
    assertThat(imported(at, text.getBytes(StandardCharsets.UTF_8)).get("taken").asInt())
        .isEqualTo(3);
    JsonNode flight = get(at + "/flights").json().at("/items/0");
    JsonNode setup = get(at).json().at("/newest/setup");
    JsonNode without =
        post("/api/edits/removal", Map.of("setup", setup, "id", "speed")).json().get("setup");
    Map<String, Object> revision =
        Map.of("basedOn", 1, "reason", "No speed phase", "setup", without);
    assertThat(post(at + "/revisions", revision).status()).isEqualTo(201);
    Answer plan = get(at + "/flights/" + flight.get("id") + "/adjustment");
    assertThat(plan.status()).as(plan.body()).isEqualTo(200);
    Answer gone = get(at + "/flights/" + flight.get("id") + "/adjustment?reference=speed");
    assertThat(gone.status()).isEqualTo(422);
    assertThat(gone.body()).contains("reference is speed").contains("cruise");
  }

  /** Brought in again, nothing comes twice; the same day flown twice alike is two flights. */
  @Test
  void broughtInAgainNothingComesTwice() throws Exception {
    String at = glider();
    byte[] text =
        ("flown_on,roll_clicks,pitch_clicks,yaw_clicks\n"
                + "2026-09-05,1,2,0\n"
                + "2026-09-05,1,2,0\n"
                + "2026-09-06,1,2,0\n")
            .getBytes(StandardCharsets.UTF_8);
    assertThat(imported(at, text).get("taken").asInt()).isEqualTo(3);
    JsonNode again = imported(at, text);
    assertThat(again.get("taken").asInt()).isZero();
    assertThat(again.get("there").asInt()).isEqualTo(3);
    assertThat(again.get("rows").findValuesAsText("became")).containsOnly("THERE_ALREADY");
    byte[] out = get(at + "/flights.csv").body().getBytes(StandardCharsets.UTF_8);
    assertThat(imported(at, out).get("there").asInt()).isEqualTo(3);
    String changed = new String(out, StandardCharsets.UTF_8).replace(",1,2,0,", ",1,5,0,");
    JsonNode differs = imported(at, changed.getBytes(StandardCharsets.UTF_8));
    assertThat(differs.get("rows").findValuesAsText("became")).containsOnly("DIFFERS");
    assertThat(get(at + "/flights").json().get("total").asInt()).isEqualTo(3);
  }

  @Test
  void whatASpreadsheetWouldRunIsQuotedAndReadBack() throws Exception {
    String at = glider();
    String text =
        "flown_on,roll_clicks,pitch_clicks,yaw_clicks,remarks,cg_mm\n"
            + "2026-09-05,-1,2,0,=1+2,\"83,5\"\n";
    assertThat(imported(at, text.getBytes(StandardCharsets.UTF_16)).get("taken").asInt())
        .isEqualTo(1);
    String out = get(at + "/flights.csv").body();
    assertThat(out).contains(",'=1+2,").contains(",-1,2,0,");
    String other = glider();
    imported(other, out.getBytes(StandardCharsets.UTF_8));
    JsonNode read = get(other + "/flights").json().at("/items/0/report");
    assertThat(read.get("remarks").asText()).isEqualTo("=1+2");
    assertThat(read.get("cgMm").asDouble()).isEqualTo(83.5);
  }

  /** A phase nobody read keeps what stands; two readings of one phase are one too many. */
  @Test
  void aPhaseWithoutAReadingKeepsWhatStands() throws Exception {
    String at = glider();
    String text =
        "flight,flown_on,phase,roll_clicks,pitch_clicks,yaw_clicks\n"
            + "a,2026-09-05,cruise,6,-8,0\n"
            + "b,2026-09-06,speed,6,-9,0\n"
            + "b,2026-09-06,speed,6,-7,0\n";
    JsonNode found = imported(at, text.getBytes(StandardCharsets.UTF_8));
    assertThat(found.get("taken").asInt()).isEqualTo(2);
    assertThat(found.at("/problems/0/row").asInt()).isEqualTo(4);
    JsonNode newest = get(at + "/flights").json().at("/items/0/report");
    assertThat(newest.at("/trims/pitch").asInt()).isEqualTo(-8);
    assertThat(newest.get("sure").asText()).isEqualTo("NOT");
    JsonNode cruise = null;
    for (JsonNode one : get(at + "/settling").json().get("series")) {
      boolean pitch = one.get("control").asText().equals("PITCH");
      cruise = pitch && one.get("phase").asText().equals("cruise") ? one : cruise;
    }
    assertThat(cruise.get("agreeing").asInt()).isEqualTo(1);
    assertThat(cruise.get("clicks").asInt()).isEqualTo(-8);
  }
}
