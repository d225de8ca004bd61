package hightally.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.quantity.Said;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class AskedInBrowserTest {
  private static final Pattern TOKEN = Pattern.compile("name=\"token\" value=\"([0-9a-f-]+)\"");

  private final CompletableFuture<String> page = new CompletableFuture<>();
  private final CompletableFuture<Integer> answer =
      CompletableFuture.supplyAsync(
          () -> {
            try {
              Said question = Said.of("earlier.question", "folder", "<a>", "version", "1");
              List<Said> answers = List.of(Said.of("earlier.yes"), Said.of("earlier.no"));
              return new AskedInBrowser(question, answers).ask(0, page::complete);
            } catch (java.io.IOException e) {
              throw new java.io.UncheckedIOException(e);
            }
          });

  private HttpResponse<String> sent(String path, String body) throws Exception {
    HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(page.get() + path));
    if (body != null) {
      request.POST(HttpRequest.BodyPublishers.ofString(body));
    }
    return HttpClient.newHttpClient().send(request.build(), HttpResponse.BodyHandlers.ofString());
  }

  private String token() throws Exception {
    Matcher found = TOKEN.matcher(sent("", null).body());
    assertThat(found.find()).isTrue();
    return found.group(1);
  }

  @Test
  void asksInWordsThatAreNoMarkup() throws Exception {
    assertThat(sent("", null).body())
        .contains("in &lt;a&gt;", "Go on with that data", "Start with an empty hangar");
    assertThat(sent("other", null).statusCode()).isEqualTo(404);
    sent("", "token=" + token() + "&answer=0");
  }

  @ParameterizedTest
  @CsvSource({"0", "1"})
  void theAnswerIsTheButtons(int which) throws Exception {
    sent("", "token=" + token() + "&answer=" + which);
    assertThat(answer.get()).isEqualTo(which);
  }

  /** Another page of the same browser can send here, but does not know what this one was told. */
  @ParameterizedTest
  @ValueSource(strings = {"", "answer=0", "token=0&answer=0", "token=T&answer=2", "token=T"})
  void whatThisPageDidNotSendIsNoAnswer(String body) throws Exception {
    assertThat(sent("", body.replace("T", token())).body()).contains("<form");
    assertThat(answer).isNotDone();
    sent("", "token=" + token() + "&answer=1");
    assertThat(answer.get()).isEqualTo(1);
  }
}
