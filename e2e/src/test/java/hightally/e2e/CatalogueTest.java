package hightally.e2e;

import static hightally.e2e.Catalogue.begins;
import static hightally.e2e.Catalogue.like;
import static hightally.e2e.Catalogue.say;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What these stories look for they name by its key, and what the keys are made into. */
class CatalogueTest {
  /** Where something on a page is looked for, with the text it is looked for by. */
  private static final Pattern LOOKS =
      Pattern.compile(
          "(?:Text|Label|Title|Placeholder|named|containing|[bB]utton|setName)\\(\\s*(?:\\w+,\\s*)?"
              + "\"((?:[^\"\\\\]|\\\\.)+)\"");

  @Test
  void noStoryQuotesASentence() throws IOException {
    List<String> said = Catalogue.sentences();
    assertThat(said).hasSizeGreaterThan(500);
    List<String> quoted = new ArrayList<>();
    int looked = 0;
    Path stories = RunningApp.root().resolve("e2e/src/test/java/hightally/e2e");
    try (Stream<Path> files = Files.list(stories)) {
      for (Path file : files.toList()) {
        Matcher looks = LOOKS.matcher(Files.readString(file));
        while (looks.find()) {
          looked++;
          if (said.contains(looks.group(1))) {
            quoted.add(file.getFileName() + ": " + looks.group(1));
          }
        }
      }
    }
    assertThat(looked).isGreaterThan(50);
    assertThat(quoted).isEmpty();
  }

  @Test
  void placesAreFilledOrMayHoldAnything() {
    String key = "aircraft.draftBar.unsaved";
    String one = say(key, "past", 1);
    String three = say(key, "past", 3);
    assertThat(one).contains("1").isNotEqualTo(three);
    assertThat(three).contains("3");
    assertThat(like(key).matcher("There: " + three).find()).isTrue();
    String save = say("aircraft.draftBar.save", "number", 4);
    assertThat(begins("aircraft.draftBar.save").matcher(save).find()).isTrue();
    assertThat(begins("aircraft.draftBar.save").matcher("Then: " + save).find()).isFalse();
    assertThat(like(key, "past", 1).matcher(three).find()).isFalse();
    assertThatThrownBy(() -> say("no.such.key")).hasMessageContaining("no.such.key");
    assertThatThrownBy(() -> say(key)).hasMessageContaining(key);
    assertThatThrownBy(() -> like("school.first")).hasMessageContaining("school.first");
    assertThat(like("school.first", "kind_is", "BALANCE").pattern()).isNotEmpty();
    // A browser reads the pattern too: it knows no \\Q.
    assertThat(like("ui.range.isRefused").pattern()).doesNotContain("\\Q");
  }
}
