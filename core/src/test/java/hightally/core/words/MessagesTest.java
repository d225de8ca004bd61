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

  private static final Pattern NAMED =
      Pattern.compile("(field\\.)?([A-Z][A-Za-z]+)\\.(\\w+)(?:\\..*)?");

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

  /**
   * A word that is found by the name of an enum, of a record or of a part has that name in the
   * code: an enum that is told has one for each of its constants, and a field one that is there.
   */
  @Test
  void everyWordByNameIsOfSomethingAndNoConstantOfItsEnumLacksOne() throws IOException {
    StringBuilder all = new StringBuilder();
    for (Path root : List.of(SOURCE, Path.of("../app/src/main/java/hightally/app"))) {
      for (Path file : sources(root)) {
        all.append(Files.readString(file));
      }
    }
    String code = all.toString();
    Set<String> enums = new TreeSet<>();
    for (String key : plain.keys()) {
      Matcher named = NAMED.matcher(key);
      if (named.matches()) {
        String name = named.group(2);
        String part = named.group(3);
        if (named.group(1) == null
            && Pattern.compile("enum " + name + "\\b").matcher(code).find()) {
          enums.add(name);
          assertThat(constants(name, code)).as(key).contains(part);
        } else if (named.group(1) == null) {
          assertThat(code).as(key).contains("\"" + name + ".");
        } else {
          Pattern field =
              Pattern.compile("record " + name + "\\s*\\([^{]*\\b" + part + "\\b[^{]*\\{");
          assertThat(code).as(key).containsPattern(field);
        }
      }
    }
    assertThat(enums).hasSizeGreaterThan(20);
    for (String name : enums) {
      for (String constant : constants(name, code)) {
        assertThat(plain.has(name + "." + constant)).as("%s.%s", name, constant).isTrue();
      }
    }
    for (hightally.core.quantity.Unit unit : hightally.core.quantity.Unit.values()) {
      boolean plainNumber = unit == hightally.core.quantity.Unit.NONE;
      assertThat(plain.has("unit." + unit.name()) || plainNumber).as(unit.name()).isTrue();
    }
  }

  /** The constants of an enum, read where it is declared. */
  private static Set<String> constants(String name, String code) {
    Matcher declared = Pattern.compile("enum " + name + "\\b[^{]*\\{").matcher(code);
    assertThat(declared.results()).as("enums called %s", name).hasSize(1);
    declared.reset().find();
    String body =
        code.substring(declared.end(), Math.min(code.length(), declared.end() + 9000))
            .replaceAll("(?s)/\\*.*?\\*/", "")
            .replaceAll("//[^\\n]*", "");
    Set<String> constants = new TreeSet<>();
    int deep = 0;
    Matcher token = Pattern.compile("[({]|[)}]|;|\\b[A-Z][A-Z0-9_]*\\b").matcher(body);
    while (token.find()) {
      char first = token.group().charAt(0);
      if (first == '(' || first == '{') {
        deep++;
      } else if (first == ')' || first == '}') {
        deep--;
      } else if (deep == 0 && first != ';') {
        constants.add(token.group());
      }
      if (deep < 0 || (deep == 0 && first == ';')) {
        break;
      }
    }
    return constants;
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
