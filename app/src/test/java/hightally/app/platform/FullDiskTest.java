package hightally.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.app.HighTally;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.Map;
import org.h2.store.fs.FilePath;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;

/** A disk that fills up and is emptied again, under a running program. */
class FullDiskTest {
  private static final ObjectMapper JSON = new ObjectMapper();
  @TempDir private Path folder;
  private ConfigurableApplicationContext app;

  @AfterEach
  void stop() {
    FillingDisk.full = false;
    if (app != null) {
      app.close();
    }
  }

  @Test
  void nothingAcknowledgedIsLostAndItGoesOnOnceThereIsRoom() throws Exception {
    FilePath.register(new FillingDisk());
    start();
    int saved = revision();
    assertThat(save(saved, "while there is room")).isEqualTo(201);
    FillingDisk.full = true;
    int refused = save(saved + 1, "on a full disk");
    assertThat(refused).as("told, not pretended").isEqualTo(503);
    assertThat(save(saved + 1, "on a full disk, again")).isEqualTo(503);
    FillingDisk.full = false;
    assertThat(revision()).isEqualTo(saved + 1);
    assertThat(save(saved + 1, "room again")).isEqualTo(201);
    app.close();
    start();
    assertThat(revision()).isEqualTo(saved + 2);
  }

  private void start() {
    String url =
        "jdbc:h2:file:filling:" + folder + "/high-tally;WRITE_DELAY=0;DB_CLOSE_ON_EXIT=FALSE";
    app =
        new SpringApplicationBuilder(HighTally.class)
            .run(
                "--spring.datasource.url=" + url,
                "--high-tally.demo=true",
                "--high-tally.data=" + folder,
                "--server.port=0");
  }

  private int revision() throws Exception {
    return JSON.readTree(send("GET", "api/aircraft/1", null).body()).at("/newest/number").asInt();
  }

  private int save(int basedOn, String reason) throws Exception {
    JsonNode kinds = JSON.readTree(send("GET", "api/kinds", null).body());
    ObjectNode setup = kinds.get(0).deepCopy();
    setup.put("notes", reason.repeat(40));
    Map<String, Object> body = Map.of("basedOn", basedOn, "reason", reason, "setup", setup);
    HttpResponse<String> answer =
        send("POST", "api/aircraft/1/revisions", JSON.writeValueAsString(body));
    if (answer.statusCode() == 503) {
      assertThat(answer.body()).contains("perhaps the disk is full").doesNotContain("Exception");
    }
    return answer.statusCode();
  }

  private HttpResponse<String> send(String method, String path, String body) throws Exception {
    String port = app.getEnvironment().getProperty("local.server.port");
    HttpRequest.Builder request =
        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/" + path));
    if (body == null) {
      request.GET();
    } else {
      request
          .method(method, HttpRequest.BodyPublishers.ofString(body))
          .header("Content-Type", "application/json");
    }
    return HttpClient.newHttpClient().send(request.build(), HttpResponse.BodyHandlers.ofString());
  }
}
