package hightally.core.words;

import com.ibm.icu.text.MessageFormat;
import com.ibm.icu.text.MessagePattern;
import com.ibm.icu.util.ULocale;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** The message file of one language, {@code hightally/words/messages_LANGUAGE.properties}. */
final class Messages {
  /** What stands around a message in the made-up language. */
  static final String OPEN = "⟦";

  static final String CLOSE = "⟧";

  private static final Map<String, Optional<Messages>> LOADED = new ConcurrentHashMap<>();

  private final ULocale locale;
  private final Properties patterns;
  private final Map<String, MessageFormat> formats = new ConcurrentHashMap<>();
  private final Map<String, MessageFormat> betweenMarks = new ConcurrentHashMap<>();

  private Messages(String language, Properties patterns) {
    locale = new ULocale(language);
    this.patterns = patterns;
  }

  /** The file of a language; the English one where it is not there. */
  static Messages of(Locale language) {
    return LOADED
        .computeIfAbsent(language.getLanguage(), Messages::load)
        .orElseGet(() -> LOADED.computeIfAbsent("en", Messages::load).orElseThrow());
  }

  /** Whether there is a file of a language. */
  static boolean known(Locale language) {
    return LOADED.computeIfAbsent(language.getLanguage(), Messages::load).isPresent();
  }

  private static Optional<Messages> load(String language) {
    String name = "/hightally/words/messages_" + language + ".properties";
    try (InputStream in = Messages.class.getResourceAsStream(name)) {
      if (in == null) {
        return Optional.empty();
      }
      Properties patterns = new Properties();
      patterns.load(new InputStreamReader(in, StandardCharsets.UTF_8));
      return Optional.of(new Messages(language, patterns));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The text under a key; the key itself where there is none, so that the lack is seen. */
  String pattern(String key) {
    return patterns.getProperty(key, key);
  }

  boolean has(String key) {
    return patterns.containsKey(key);
  }

  Set<String> keys() {
    return patterns.stringPropertyNames();
  }

  String filled(String key, Map<String, Object> values) {
    return filled(formats.computeIfAbsent(key, one -> format(pattern(one))), values);
  }

  /**
   * In the made-up language the marks end before what fills a place and go on after it, so that
   * words put there from no catalogue stand unmarked too.
   */
  String filledBetweenMarks(String key, Map<String, Object> values) {
    return filled(betweenMarks.computeIfAbsent(key, one -> format(opened(pattern(one)))), values);
  }

  private static String opened(String pattern) {
    MessagePattern parsed = new MessagePattern(pattern);
    StringBuilder opened = new StringBuilder(pattern);
    for (int i = parsed.countParts() - 1; i >= 0; i--) {
      MessagePattern.Part part = parsed.getPart(i);
      boolean plain = part.getArgType() == MessagePattern.ArgType.NONE;
      if (plain && part.getType() == MessagePattern.Part.Type.ARG_LIMIT) {
        opened.insert(part.getLimit(), OPEN);
      } else if (plain && part.getType() == MessagePattern.Part.Type.ARG_START) {
        opened.insert(part.getIndex(), CLOSE);
      }
    }
    return opened.toString();
  }

  private MessageFormat format(String pattern) {
    return new MessageFormat(pattern, locale);
  }

  private static String filled(MessageFormat format, Map<String, Object> values) {
    // A format is not safe for two threads at once.
    return ((MessageFormat) format.clone()).format(values);
  }
}
