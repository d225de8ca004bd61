package hightally.e2e;

import com.ibm.icu.text.MessageFormat;
import com.ibm.icu.text.MessagePattern;
import java.io.IOException;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Properties;
import java.util.regex.Pattern;

/**
 * What the page and the core say, by key: a test names what it looks for, and a sentence may change
 * without it. Places are given by name and value in turn.
 */
final class Catalogue {
  private static final Path FOLDER =
      RunningApp.root().resolve("core/src/main/resources/hightally/words");
  private static final Properties MESSAGES = read("page_en.properties", "messages_en.properties");

  private static final String ANYTHING = ".*?";

  private Catalogue() {}

  private static Properties read(String... files) {
    Properties all = new Properties();
    for (String file : files) {
      try (Reader reader = Files.newBufferedReader(FOLDER.resolve(file))) {
        all.load(reader);
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
    return all;
  }

  /** What is said without a place in it, in two words or more. */
  static List<String> sentences() {
    return MESSAGES.stringPropertyNames().stream()
        .map(Catalogue::pattern)
        .filter(one -> one.contains(" ") && !one.contains("{"))
        .toList();
  }

  /** A message whole, with every place filled. */
  static String say(String key, Object... places) {
    Map<String, Object> values = byName(places);
    String said = new MessageFormat(pattern(key), Locale.ENGLISH).format(values);
    if (said.contains("{")) {
      throw new IllegalArgumentException(key + " has places that are not filled: " + said);
    }
    return said;
  }

  /** Words at the beginning of a sentence. */
  static String capital(String words) {
    return Character.toUpperCase(words.charAt(0)) + words.substring(1);
  }

  /** A message anywhere in a text; a place that is not given may hold anything. */
  static Pattern like(String key, Object... places) {
    return Pattern.compile(asPattern(key, byName(places)));
  }

  /** The same at the beginning of a text. */
  static Pattern begins(String key, Object... places) {
    return Pattern.compile("^" + asPattern(key, byName(places)));
  }

  /** Which of a message's places may hold anything, the rest of it as it is written. */
  private static String asPattern(String key, Map<String, Object> values) {
    String text = pattern(key);
    MessagePattern parts = new MessagePattern(text);
    StringBuilder made = new StringBuilder();
    int from = 0;
    for (int i = 0; i < parts.countParts(); i++) {
      MessagePattern.Part part = parts.getPart(i);
      if (part.getType() != MessagePattern.Part.Type.ARG_START) {
        continue;
      }
      int end = parts.getLimitPartIndex(i);
      made.append(quoted(text.substring(from, part.getIndex())));
      from = parts.getPart(end).getLimit();
      String name = parts.getSubstring(parts.getPart(i + 1));
      String place = text.substring(part.getIndex(), from);
      made.append(
          values.containsKey(name)
              ? literally(new MessageFormat(place, Locale.ENGLISH).format(values))
                  .replaceAll("\\\\\\{\\w+\\\\\\}", ANYTHING)
              : ANYTHING);
      i = end;
    }
    made.append(quoted(text.substring(from)));
    if (made.toString().replace(ANYTHING, "").replaceAll("[^A-Za-z]", "").length() < 3) {
      throw new IllegalArgumentException(key + " is like anything: choose in what it says");
    }
    return made.toString();
  }

  private static String quoted(String text) {
    return literally(text.replace("''", "'"));
  }

  /** As a pattern that a browser reads too, which does not know Java's quotes. */
  private static String literally(String text) {
    return text.replaceAll("[.*+?^${}()|\\[\\]\\\\/]", "\\\\$0");
  }

  private static String pattern(String key) {
    String found = MESSAGES.getProperty(key);
    if (found == null) {
      throw new IllegalArgumentException("No message is called " + key);
    }
    return found.replaceAll("</?\\w+>", "");
  }

  private static Map<String, Object> byName(Object... places) {
    Map<String, Object> values = new HashMap<>();
    for (int i = 0; i < places.length; i += 2) {
      values.put((String) places[i], places[i + 1]);
    }
    return values;
  }
}
