package hightally.e2e;

import static hightally.e2e.Catalogue.like;
import static hightally.e2e.Catalogue.say;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A start that fails says why in one sentence, and leaves nothing running. */
class StartTest {
  @TempDir private Path folder;

  @Test
  void dataInUseAndAPortThatIsTaken() throws Exception {
    Path data = folder.resolve("data");
    try (RunningApp running = RunningApp.start(data);
        ServerSocket taken = new ServerSocket(0, 1, InetAddress.getByName("127.0.0.1"))) {
      assertThat(running.address()).isNotEmpty();
      said("--high-tally.data=" + data, "--server.port=0").containsPattern(like("start.inUse"));
      said("--high-tally.data=" + folder.resolve("other"), "--server.port=" + taken.getLocalPort())
          .contains("Port " + taken.getLocalPort() + " is in use");
    }
  }

  /** Or a browser would go on with the page of an older High Tally for weeks. */
  @Test
  void thePageIsAskedForAnewAndKnownByWhatIsInIt() throws Exception {
    try (RunningApp running = RunningApp.start(folder.resolve("asked"))) {
      for (String path : List.of("", "index.html", "models/1/fly", "settings")) {
        HttpResponse<Void> page = asked(running, path, "");
        assertThat(page.headers().firstValue("Cache-Control")).hasValue("no-cache");
        // Every build has the same time of change: it would pass for the same page.
        assertThat(page.headers().firstValue("Last-Modified")).isEmpty();
        String known = page.headers().firstValue("ETag").orElseThrow();
        assertThat(asked(running, path, known).statusCode()).isEqualTo(304);
        assertThat(asked(running, path, "\"of-another\"").statusCode()).isEqualTo(200);
      }
      HttpResponse<Void> answer = asked(running, "api/aircraft", "");
      assertThat(answer.headers().firstValue("Cache-Control")).hasValue("private, no-cache");
    }
  }

  private static HttpResponse<Void> asked(RunningApp app, String path, String known)
      throws Exception {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(app.address() + path))
            .header("If-None-Match", known)
            .build();
    return HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.discarding());
  }

  @Test
  void dataThatIsDamagedAndAFolderThatCannotBeWritten() throws Exception {
    Path data = Files.createDirectories(folder.resolve("damaged"));
    Files.write(data.resolve("high-tally.mv.db"), "not a database".repeat(2000).getBytes());
    said("--high-tally.data=" + data, "--server.port=0").containsPattern(like("start.notOurs"));
    Path file = Files.writeString(folder.resolve("a-file"), "no folder");
    said("--high-tally.data=" + file.resolve("in-it"), "--server.port=0")
        .containsPattern(like("start.notWritable"));
  }

  /** The way back brings everything up to the last archive, and says what is missing. */
  @Test
  void aChangedDataFileIsRefusedAndTheArchiveBringsItBack() throws Exception {
    Path data = folder.resolve("changed");
    try (RunningApp running = RunningApp.start(data)) {
      Path kept = Files.createDirectories(data.resolve("backups")).resolve("daily-2026-05-01.zip");
      HttpClient.newHttpClient()
          .send(
              HttpRequest.newBuilder(URI.create(running.address() + "api/archive")).build(),
              HttpResponse.BodyHandlers.ofFile(kept));
    }
    Path file = data.resolve("high-tally.mv.db");
    byte[] whole = Files.readAllBytes(file);
    whole[whole.length / 2] ^= 1;
    Files.write(file, whole);
    said("--high-tally.data=" + data, "--server.port=0").containsPattern(like("start.fileChanged"));
    assertThat(Files.readAllBytes(file)).isEqualTo(whole);
    RunningApp.Ended offered =
        RunningApp.startAndEnd("--high-tally.data=" + data, "--high-tally.restore=ask");
    assertThat(offered.said()).containsPattern(like("restore.archive"));
    assertThat(offered.code()).isZero();
    RunningApp.Ended restored =
        RunningApp.startAndEnd(
            "--high-tally.data=" + data,
            "--server.port=0",
            "--high-tally.restore=archive",
            "--high-tally.exit-when-ready=true");
    assertThat(restored.said()).containsPattern(like("restore.done")).contains("models");
    assertThat(restored.code()).isZero();
    try (RunningApp running = RunningApp.start(data)) {
      HttpRequest hangar =
          HttpRequest.newBuilder(URI.create(running.address() + "api/aircraft")).build();
      assertThat(
              HttpClient.newHttpClient().send(hangar, HttpResponse.BodyHandlers.ofString()).body())
          .contains("Quillon", "Larkmere")
          .contains("\"unreadable\":[]");
    }
  }

  @Test
  void aBrowserThatDoesNotStartLeavesNoServerRunning() {
    RunningApp running = RunningApp.start(folder.resolve("left"));
    assertThat(RunningApp.anyLeft()).isTrue();
    assertThatThrownBy(
            () ->
                Story.beside(
                    running,
                    () -> {
                      throw new IllegalStateException("no browser here");
                    }))
        .hasMessage("no browser here");
    assertThat(RunningApp.anyLeft()).isFalse();
  }

  private static org.assertj.core.api.AbstractStringAssert<?> said(String... arguments) {
    RunningApp.Ended ended = RunningApp.startAndEnd(arguments);
    assertThat(ended.code()).isEqualTo(1);
    assertThat(ended.said().strip().lines()).as(ended.said()).hasSize(1);
    return assertThat(ended.said()).startsWith(say("start.cannot", "why", ""));
  }
}
