package hightally.app.archive;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import hightally.app.platform.BackgroundWork;
import hightally.app.platform.BackgroundWork.Job;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/**
 * Archives in the background: how far they are, what came of them, stopped, and at no one's cost.
 */
class ArchiveWorksTest extends ArchiveCalls {
  private static final String WORKS = "/api/archive/works/";
  private static final long MINUTE = 60_000;

  @Autowired private BackgroundWork pool;

  private final CountDownLatch held = new CountDownLatch(1);

  @AfterEach
  void letGo() {
    held.countDown();
  }

  private JsonNode ended(JsonNode begun) throws Exception {
    JsonNode now = begun;
    while (now.get("end").isNull()) {
      pool.await(List.of(pool.begin("behind it", job -> {})), MINUTE);
      Answer answer = get(WORKS + begun.get("id").asLong());
      assertThat(answer.status()).as(answer.body()).isEqualTo(200);
      now = answer.json();
      assertThat(now.get("part").asDouble()).isBetween(0.0, 1.0);
    }
    return now;
  }

  private JsonNode begun(String task, byte[] archive) throws Exception {
    return json.readTree(sent(WORKS + task, archive).getContentAsString());
  }

  private Job block() {
    return pool.beginAsked(
        "in the way",
        job -> {
          try {
            held.await();
          } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
          }
        });
  }

  @Test
  void whatIsWrittenInTheBackgroundIsTheWholeArchive() throws Exception {
    JsonNode saved = ended(post(WORKS + "save", Map.of()).json());
    assertThat(saved.get("end").asText()).isEqualTo("DONE");
    assertThat(saved.get("part").asDouble()).isEqualTo(1);
    byte[] file =
        http.perform(MockMvcRequestBuilders.get(WORKS + saved.get("id").asLong() + "/file"))
            .andReturn()
            .getResponse()
            .getContentAsByteArray();
    Map<String, byte[]> one = entries(file);
    Map<String, byte[]> other = entries(written());
    one.remove(ArchiveWriter.ABOUT);
    other.remove(ArchiveWriter.ABOUT);
    assertThat(one.keySet()).isEqualTo(other.keySet());
    one.forEach((name, content) -> assertThat(content).as(name).isEqualTo(other.get(name)));
  }

  @Test
  void whatItHoldsAndWhatIsBroughtIsToldWithTheEnd() throws Exception {
    byte[] archive = written();
    JsonNode looked = ended(begun("look", archive));
    assertThat(looked.get("contents"))
        .isEqualTo(json.readTree(sent("/api/archive/look", archive).getContentAsString()));
    String number = looked.at("/contents/models/0/number").asText();
    JsonNode brought =
        ended(begun("bring?chosen=" + number + "&beside=" + number, archive)).get("brought");
    assertThat(brought).hasSize(1);
    assertThat(get("/api/aircraft/" + brought.at("/0/id").asLong()).status()).isEqualTo(200);
    // The same without "beside" is refused as ever, to whoever asks how far it is.
    JsonNode again = begun("bring?chosen=" + number, archive);
    pool.await(List.of(pool.begin("behind it", job -> {})), MINUTE);
    assertThat(get(WORKS + again.get("id").asLong()).status()).isEqualTo(409);
    assertThat(get(WORKS + again.get("id").asLong() + "/file").status()).isEqualTo(404);
  }

  @Test
  void onesThatAreNoArchivesAreRefusedInTheirOwnWords() throws Exception {
    JsonNode begun = begun("look", "no archive".getBytes());
    pool.await(List.of(pool.begin("behind it", job -> {})), MINUTE);
    Answer refused = get(WORKS + begun.get("id").asLong());
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.json().at("/violations/0/field").asText()).isEqualTo("archive");
    assertThat(get(WORKS + "987654").status()).isEqualTo(404);
  }

  @Test
  void stoppedNothingIsWrittenAndNothingBrought() throws Exception {
    byte[] archive = written();
    JsonNode held = json.readTree(sent("/api/archive/look", archive).getContentAsString());
    String number = held.at("/models/0/number").asText();
    long models = get("/api/aircraft").json().get("total").asLong();
    Job before = block();
    List<JsonNode> begun =
        List.of(
            post(WORKS + "save", Map.of()).json(),
            begun("look", archive),
            begun("bring?chosen=" + number + "&beside=" + number, archive));
    for (JsonNode one : begun) {
      assertThat(one.get("end").isNull()).isTrue();
      Answer told =
          send(HttpMethod.DELETE, WORKS + one.get("id").asLong(), MediaType.APPLICATION_JSON, "");
      assertThat(told.status()).as(told.body()).isEqualTo(200);
    }
    this.held.countDown();
    pool.await(List.of(before), MINUTE);
    for (JsonNode one : begun) {
      assertThat(ended(one).get("end").asText()).isEqualTo("STOPPED");
      assertThat(get(WORKS + one.get("id").asLong() + "/file").status()).isEqualTo(404);
    }
    assertThat(get("/api/aircraft").json().get("total").asLong()).isEqualTo(models);
  }

  @Test
  void whoeverWaitsForAnArchiveHoldsNothingOthersNeed() throws Exception {
    block();
    List<CompletableFuture<Integer>> waiting = new ArrayList<>();
    // More than there are connections to the data.
    for (int i = 0; i < 14; i++) {
      waiting.add(
          CompletableFuture.supplyAsync(
              () -> {
                try {
                  return get("/api/archive").status();
                } catch (Exception e) {
                  throw new IllegalStateException(e);
                }
              },
              task -> new Thread(task).start()));
    }
    assertThat(get("/api/aircraft").status()).isEqualTo(200);
    assertThat(waiting).noneMatch(CompletableFuture::isDone);
    held.countDown();
    for (CompletableFuture<Integer> one : waiting) {
      assertThat(one.get()).isEqualTo(200);
    }
  }
}
