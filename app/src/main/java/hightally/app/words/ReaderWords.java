package hightally.app.words;

import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Naming;
import hightally.core.quantity.Said;
import hightally.core.words.Wording;
import hightally.core.words.Words;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.http.HttpHeaders;
import org.springframework.http.server.ServletServerHttpRequest;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.util.UriComponentsBuilder;

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
  private static final String ASKED_FOR = ReaderWords.class.getName();

  private final Wording standard;
  private final ThreadLocal<Wording> reader = new ThreadLocal<>();
  private final Map<Wording, Words> words = new ConcurrentHashMap<>();

  ReaderWords(WordsProperties properties) {
    standard = properties.wording();
  }

  /** What is said, in the reader's words. */
  public String say(Said said) {
    return words.computeIfAbsent(wording(), Words::of).say(said);
  }

  /** The same where no request is under way yet. */
  public String say(Said said, HttpServletRequest request) {
    return words.computeIfAbsent(wording(request), Words::of).say(said);
  }

  /** What is said in the words the program is set to, whoever asks. */
  public String standard(Said said) {
    return words.computeIfAbsent(standard, Words::of).say(said);
  }

  /** Does something for a reader who is not asking by a request of his own. */
  public <T> T forReader(HttpHeaders headers, Callable<T> work) throws Exception {
    reader.set(wording(headers));
    try {
      return work.call();
    } finally {
      reader.remove();
    }
  }

  /**
   * Does something for a reader at the other end of a connection: a browser cannot set headers
   * where it opens one and says the same in the query.
   */
  public <T> T forReader(WebSocketSession session, Callable<T> work) throws Exception {
    HttpHeaders headers = new HttpHeaders();
    headers.addAll(session.getHandshakeHeaders());
    if (session.getUri() != null) {
      UriComponentsBuilder.fromUri(session.getUri())
          .build()
          .getQueryParams()
          .forEach((name, values) -> headers.put(name, values));
    }
    return forReader(headers, work);
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
    if (reader.get() != null) {
      return reader.get();
    }
    return RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes now
        ? wording(now.getRequest())
        : standard;
  }

  /** Worked out once a request: an answer says hundreds of things. */
  private Wording wording(HttpServletRequest request) {
    if (request.getAttribute(ASKED_FOR) instanceof Wording known) {
      return known;
    }
    Wording asked = wording(new ServletServerHttpRequest(request).getHeaders());
    request.setAttribute(ASKED_FOR, asked);
    return asked;
  }

  private Wording wording(HttpHeaders headers) {
    return new Wording(
        language(headers),
        length(headers.getFirst(LENGTH_UNIT)),
        comma(headers.getFirst(DECIMAL_MARK)));
  }

  private Locale language(HttpHeaders headers) {
    return headers.getAcceptLanguageAsLocales().stream()
        .filter(Words::speaks)
        .findFirst()
        .orElse(standard.language());
  }

  private Wording.Length length(String wanted) {
    if (wanted == null) {
      return standard.length();
    }
    return wanted.equals("in") ? Wording.Length.INCHES : Wording.Length.MILLIMETRES;
  }

  private boolean comma(String wanted) {
    return wanted == null ? standard.commaDecimals() : wanted.equals("comma");
  }
}
