package hightally.app.words;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.ObjectMapper;
import hightally.core.program.ConditionKind;
import hightally.core.quantity.Clicks;
import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Turns;
import hightally.core.quantity.Unit;
import hightally.core.setup.Setup;
import hightally.core.sheet.EntrySheet;
import hightally.core.words.Wording;
import hightally.core.words.Words;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Properties;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What is kept is told as it was told before it was kept. */
class SaidDataTest {
  private static final Path EVER = Path.of("src/test/resources/words/codes-ever.txt");
  private static final Path RESOURCES = Path.of("src/main/resources");
  private final Words words = Words.of(Wording.PLAIN);

  private void comesBack(Said said) {
    String kept = SaidData.write(said);
    Said read = SaidData.read(kept);
    assertThat(words.say(read)).as(kept).isEqualTo(words.say(said)).doesNotContain("{");
    assertThat(SaidData.write(read)).isEqualTo(kept);
  }

  static Stream<Object> values() {
    return Stream.of(
        Quantity.mm(-3.25),
        new Quantity(12, Unit.MICROSECONDS, -1),
        new Clicks(Control.PITCH, -1),
        new Turns(-8),
        Unit.PERCENT,
        Control.YAW,
        LocalDate.of(2026, 9, 5),
        7,
        7L,
        2.5,
        true,
        "what a pilot typed",
        Said.of("place.rest"),
        List.of("one", Quantity.mm(2), Said.of("place.rest")));
  }

  /** Data of before keep codes of before: they are told, and compared, as those of today. */
  @Test
  void whatWasKeptUnderACodeOfBeforeIsToldUnderItsCodeOfToday() throws IOException {
    Properties messages = messages();
    assertThat(SaidData.RENAMED).hasSizeGreaterThan(300);
    SaidData.RENAMED.forEach(
        (old, now) -> {
          assertThat(messages).as("%s is used again", old).doesNotContainKey(old);
          assertThat(messages).as("%s is gone", now).containsKey(now);
        });
    String kept = "{\"say\":\"switch.otherwise\"}";
    assertThat(words.say(SaidData.read(kept))).isEqualTo("normal");
    assertThat(SaidData.today(kept)).isEqualTo(SaidData.write(Said.of("switch.normal")));
    assertThat(SaidData.today("as typed")).isEqualTo("as typed");
  }

  /**
   * Every code there ever was is told today, under its own name or the one it has now. The list
   * only grows: with {@code -Dpublish=true} by the codes of today.
   */
  @Test
  void noCodeThereEverWasIsForgotten() throws IOException {
    Set<String> today = new TreeSet<>();
    messages()
        .stringPropertyNames()
        .forEach(
            code -> {
              if (Character.isLowerCase(code.charAt(0)) && !code.startsWith("field.")) {
                today.add(code);
              }
            });
    Set<String> ever = new TreeSet<>(Files.readAllLines(EVER));
    if (Boolean.getBoolean("publish")) {
      ever.addAll(today);
      Files.write(EVER, ever);
    }
    assertThat(ever).containsAll(today);
    assertThat(ever)
        .allSatisfy(code -> assertThat(today).contains(SaidData.RENAMED.getProperty(code, code)));
  }

  private static Properties messages() throws IOException {
    Properties messages = new Properties();
    try (InputStream in =
        SaidDataTest.class.getResourceAsStream("/hightally/words/messages_en.properties")) {
      messages.load(new InputStreamReader(in, StandardCharsets.UTF_8));
    }
    return messages;
  }

  @ParameterizedTest
  @MethodSource("values")
  void everyKindOfValue(Object value) {
    comesBack(Said.of("entry.value", "value", value));
  }

  /** A message may ask for the form or the name of a choice, not only for its word. */
  @Test
  void aChoiceKeepsItsForms() {
    for (ConditionKind kind : List.of(ConditionKind.ABOVE, ConditionKind.BELOW)) {
      comesBack(
          Said.of(
              "condition.beyond",
              "subject",
              Said.of("condition.throttle"),
              "kind",
              kind,
              "limit",
              new Quantity(10, Unit.PERCENT, 0)));
    }
  }

  static Stream<Path> documents() throws IOException {
    return Stream.concat(
        Files.list(RESOURCES.resolve("demo")), Files.list(RESOURCES.resolve("kinds")));
  }

  @ParameterizedTest
  @MethodSource("documents")
  void everyValueOfEveryEntrySheet(Path document) throws IOException {
    Setup setup = new ObjectMapper().readValue(document.toFile(), Setup.class);
    assertThat(EntrySheet.of(setup)).isNotEmpty().allSatisfy(one -> comesBack(one.value()));
  }

  @Test
  void whatWasKeptBeforeThereWasDataIsAText() {
    assertThat(words.say(SaidData.read("12 µs"))).isEqualTo("12 µs");
    assertThat(words.say(SaidData.read("{not data"))).isEqualTo("{not data");
    assertThat(SaidData.read("")).isEqualTo(Said.NOTHING);
    assertThat(SaidData.write(Said.NOTHING)).isEmpty();
  }
}
