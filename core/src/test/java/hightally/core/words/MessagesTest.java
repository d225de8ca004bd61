package hightally.core.words;

import static org.assertj.core.api.Assertions.assertThat;

import com.ibm.icu.text.MessageFormat;
import com.ibm.icu.text.MessagePattern;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The message file and the code fit, and nowhere but here are sentences made. */
class MessagesTest {
  private static final Path SOURCE = Path.of("src/main/java/hightally/core");
  private static final Pattern CODE = Pattern.compile("Said\\.of\\(\\s*\"([^\"]+)\"([^;]*)");
  private static final Pattern KEY = Pattern.compile("\"([a-z]+\\.[A-Za-z0-9]+)\"");
  private static final Pattern NAME = Pattern.compile("\"([a-z]\\w*)\"\\s*,");
  private static final Pattern FORM =
      Pattern.compile("_(?:cap|mid|after|colon|is|and|or|way|bare)$");

  /** What is told by code put together from a name: of enums, units, clicks, fields and parts. */
  private static final Pattern BY_NAME =
      Pattern.compile(
          "([A-Z]\\w*|unit|clicks|turns|field|part|list|names|given|date|violation|hand)(\\..*)?");

  /**
   * Two words in one text, or a word with a space before or behind it to be joined to something.
   */
  private static final Pattern SENTENCE =
      Pattern.compile(
          "\"(?:[^\"\\n]*[a-z] [a-z][^\"\\n]*| [a-z]{2,}[^\"\\n]*|[^\"\\n]*[a-z]{2,} )\"");

  private final Words plain = Words.of(Wording.PLAIN);
  private final Messages messages = Messages.of(Locale.ENGLISH);

  private static List<Path> sources(Path root) throws IOException {
    try (Stream<Path> all = Files.walk(root)) {
      return all.filter(one -> one.toString().endsWith(".java")).toList();
    }
  }

  @Test
  void whatIsSaidHasAMessageWithThePlacesItFills() throws IOException {
    Set<String> codes = new TreeSet<>();
    for (Path root : List.of(SOURCE, Path.of("../app/src/main/java/hightally/app"))) {
      for (Path file : sources(root)) {
        Matcher said = CODE.matcher(Files.readString(file));
        while (said.find()) {
          String code = said.group(1);
          codes.add(code);
          if (!code.endsWith(".") && !code.equals("text")) {
            assertThat(plain.has(code)).as("%s in %s", code, file).isTrue();
            filled(code, said.group(2), file);
          }
        }
      }
    }
    assertThat(codes).hasSizeGreaterThan(400);
  }

  /** Of a key that stands twice the one is never said. */
  @Test
  void everyKeyStandsOnce() throws IOException {
    List<String> keys =
        Files.readAllLines(Path.of("src/main/resources/hightally/words/messages_en.properties"))
            .stream()
            .filter(line -> line.matches("[A-Za-z][^=]*=.*"))
            .map(line -> line.substring(0, line.indexOf('=')))
            .toList();
    assertThat(keys).hasSizeGreaterThan(1000).doesNotHaveDuplicates();
  }

  @Test
  void nothingIsSaidThatAPilotStumblesOver() throws IOException {
    List<String> not =
        Files.readAllLines(Path.of("src/test/resources/not-said.txt")).stream()
            .filter(line -> !line.startsWith("#"))
            .map(line -> line.toLowerCase(Locale.ROOT))
            .toList();
    assertThat(not).hasSizeGreaterThan(60);
    for (String file : List.of("messages_en", "page_en")) {
      for (String line :
          Files.readAllLines(
              Path.of("src/main/resources/hightally/words/" + file + ".properties"))) {
        String message = line.substring(line.indexOf('=') + 1).toLowerCase(Locale.ROOT);
        assertThat(not).as(line).noneMatch(message::contains);
      }
    }
  }

  /** A place no argument of the call has the name of would be left open in the sentence. */
  private void filled(String code, String call, Path file) {
    Set<String> given = new TreeSet<>();
    Matcher name = NAME.matcher(call);
    while (name.find()) {
      given.add(name.group(1));
    }
    for (String place : places(messages.pattern(code))) {
      assertThat(given).as("%s of %s in %s", place, code, file).contains(place);
    }
  }

  /** The names of the arguments a pattern asks for, without the form each is asked in. */
  private static Set<String> places(String message) {
    MessagePattern pattern = new MessagePattern(message);
    Set<String> places = new TreeSet<>();
    for (int i = 0; i < pattern.countParts(); i++) {
      if (pattern.getPart(i).getType() == MessagePattern.Part.Type.ARG_NAME) {
        places.add(FORM.matcher(pattern.getSubstring(pattern.getPart(i))).replaceFirst(""));
      }
    }
    return places;
  }

  @Test
  void everyMessageIsAPatternAndSaidSomewhere() throws IOException {
    Set<String> used = new TreeSet<>();
    for (Path root : List.of(SOURCE, Path.of("../app/src/main/java/hightally/app"))) {
      for (Path file : sources(root)) {
        Matcher key = KEY.matcher(Files.readString(file));
        while (key.find()) {
          used.add(key.group(1));
        }
      }
    }
    List<String> idle = new ArrayList<>();
    for (String key : plain.keys()) {
      new MessageFormat(messages.pattern(key), Locale.ENGLISH);
      boolean simple = !key.contains(".");
      if (!simple && !used.contains(key) && !BY_NAME.matcher(key).matches()) {
        idle.add(key);
      }
    }
    assertThat(idle).isEmpty();
  }

  /** What enums that are told are called. */
  @Test
  void everyEnumThatIsToldHasAWord() {
    for (Class<? extends Enum<?>> told :
        List.<Class<? extends Enum<?>>>of(
            hightally.core.quantity.Control.class,
            hightally.core.quantity.Way.class,
            hightally.core.channel.StickFunction.class,
            hightally.core.program.MixSource.class,
            hightally.core.program.Shape.class,
            hightally.core.airframe.SurfaceRole.class,
            hightally.core.airframe.PanelRole.class,
            hightally.core.program.NoseNote.class,
            hightally.core.program.PhaseRole.class)) {
      for (Enum<?> one : told.getEnumConstants()) {
        assertThat(plain.has(told.getSimpleName() + "." + one.name())).as(one.name()).isTrue();
      }
    }
    for (hightally.core.quantity.Unit unit : hightally.core.quantity.Unit.values()) {
      boolean plainNumber = unit == hightally.core.quantity.Unit.NONE;
      assertThat(plain.has("unit." + unit.name()) || plainNumber).as(unit.name()).isTrue();
    }
  }

  @Test
  void noSentenceStandsInTheCoreOutsideTheMessageFile() throws IOException {
    for (Path file : sources(SOURCE)) {
      String code =
          Files.readString(file)
              .replaceAll("(?s)/\\*.*?\\*/", "")
              .replaceAll("//[^\\n]*", "")
              // For programmers only: a broken promise of the code itself.
              .replaceAll("new IllegalStateException\\(\\s*\"[^\"]*\"", "");
      Matcher sentence = SENTENCE.matcher(code);
      assertThat(sentence.find()).as("%s: %s", file, code).isFalse();
    }
  }
}
