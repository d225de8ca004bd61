package hightally.app.words;

import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Naming;
import hightally.core.quantity.Said;
import hightally.core.words.Wording;
import hightally.core.words.Words;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Enumeration;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * The words for whoever is being answered: what a request says of its reader, else what the program
 * is set to.
 *
 * <p>{@code Accept-Language} picks a message file, {@code Length-Unit: in} inches, {@code
 * Decimal-Mark: comma} the comma.
 */
@Component
public class ReaderWords implements Naming {
  static final String LENGTH_UNIT = "Length-Unit";
  static final String DECIMAL_MARK = "Decimal-Mark";

  private final Wording standard;
  private final Map<Wording, Words> words = new ConcurrentHashMap<>();

  ReaderWords(WordsProperties properties) {
    standard = properties.wording();
  }

  /** What is said, in the reader's words. */
  public String say(Said said) {
    return words.computeIfAbsent(wording(), Words::of).say(said);
  }

  /** What an input is refused with. */
  public String say(InvalidInputException refused) {
    return say(refused.said());
  }

  @Override
  public String of(Said what, int longest) {
    String name = say(what);
    return name.length() <= longest ? name : name.substring(0, longest).strip();
  }

  private Wording wording() {
    if (!(RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes now)) {
      return standard;
    }
    HttpServletRequest request = now.getRequest();
    return new Wording(language(request), length(request.getHeader(LENGTH_UNIT)), comma(request));
  }

  private Locale language(HttpServletRequest request) {
    if (request.getHeader("Accept-Language") == null) {
      return standard.language();
    }
    for (Enumeration<Locale> wanted = request.getLocales(); wanted.hasMoreElements(); ) {
      Locale one = wanted.nextElement();
      if (Words.speaks(one)) {
        return one;
      }
    }
    return standard.language();
  }

  private Wording.Length length(String wanted) {
    if (wanted == null) {
      return standard.length();
    }
    return wanted.equals("in") ? Wording.Length.INCHES : Wording.Length.MILLIMETRES;
  }

  private boolean comma(HttpServletRequest request) {
    String wanted = request.getHeader(DECIMAL_MARK);
    return wanted == null ? standard.commaDecimals() : wanted.equals("comma");
  }
}
