package hightally.core.words;

import com.ibm.icu.text.MessageFormat;
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
  private static final Map<String, Optional<Messages>> LOADED = new ConcurrentHashMap<>();

  private final ULocale locale;
  private final Properties patterns;
  private final Map<String, MessageFormat> formats = new ConcurrentHashMap<>();

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
    MessageFormat format =
        formats.computeIfAbsent(key, one -> new MessageFormat(pattern(one), locale));
    // A format is not safe for two threads at once.
    return ((MessageFormat) format.clone()).format(values);
  }
}
