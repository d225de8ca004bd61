package hightally.app.platform;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import hightally.core.quantity.Said;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import org.springframework.web.util.HtmlUtils;

/**
 * A question that must be answered before the program can start, on a page of its own at the
 * address the program will have: a pilot who starts it by a click sees no terminal.
 */
public final class AskedInBrowser {
  private static final int OK = 200;
  private static final int NOT_HERE = 404;

  /** An answer has a token and a number. */
  private static final int LONGEST = 200;

  private final Said question;
  private final List<Said> answers;
  private final String token = UUID.randomUUID().toString();
  private final CompletableFuture<Integer> chosen = new CompletableFuture<>();

  /**
   * One of them.
   *
   * @param answers what can be chosen, the usual one first
   */
  public AskedInBrowser(Said question, List<Said> answers) {
    this.question = question;
    this.answers = List.copyOf(answers);
  }

  /**
   * Asks until it is answered.
   *
   * @param port where the page is
   * @param ready told the address
   * @return which answer, from 0
   */
  public int ask(int port, Consumer<String> ready) throws IOException {
    InetAddress here = InetAddress.getByName("127.0.0.1");
    HttpServer server = HttpServer.create(new InetSocketAddress(here, port), 0);
    try {
      server.createContext("/", this::answer);
      server.start();
      ready.accept("http://127.0.0.1:" + server.getAddress().getPort() + "/");
      return chosen.join();
    } finally {
      server.stop(1);
    }
  }

  private void answer(HttpExchange exchange) throws IOException {
    int choice = exchange.getRequestMethod().equals("POST") ? choice(exchange) : -1;
    boolean home = exchange.getRequestURI().getPath().equals("/");
    send(exchange, home ? OK : NOT_HERE, choice < 0 ? asked() : going());
    if (choice >= 0) {
      chosen.complete(choice);
    }
  }

  /** Only what this page itself sends is an answer. */
  private int choice(HttpExchange exchange) throws IOException {
    byte[] body = exchange.getRequestBody().readNBytes(LONGEST);
    String said = new String(body, StandardCharsets.US_ASCII);
    for (int i = 0; i < answers.size(); i++) {
      if (said.equals("token=" + token + "&answer=" + i)) {
        return i;
      }
    }
    return -1;
  }

  private static void send(HttpExchange exchange, int status, String page) throws IOException {
    byte[] bytes = page.getBytes(StandardCharsets.UTF_8);
    exchange.getResponseHeaders().set("Content-Type", "text/html; charset=utf-8");
    exchange.getResponseHeaders().set("Cache-Control", "no-store");
    exchange.sendResponseHeaders(status, bytes.length);
    exchange.getResponseBody().write(bytes);
    exchange.close();
  }

  private String asked() {
    StringBuilder body = new StringBuilder();
    for (String line : StartWords.say(question).split("\n")) {
      body.append("<p>").append(HtmlUtils.htmlEscape(line)).append("</p>");
    }
    body.append("<form method=\"post\" action=\"/\">");
    body.append("<input type=\"hidden\" name=\"token\" value=\"").append(token).append("\">");
    for (int i = 0; i < answers.size(); i++) {
      body.append("<button name=\"answer\" value=\"").append(i).append("\">");
      body.append(HtmlUtils.htmlEscape(StartWords.say(answers.get(i)))).append("</button> ");
    }
    return page("", body.append("</form>").toString());
  }

  /** The same address is the program's in a moment. */
  private static String going() {
    String said = HtmlUtils.htmlEscape(StartWords.say(Said.of("earlier.starting")));
    return page("<meta http-equiv=\"refresh\" content=\"3;url=/\">", "<p>" + said + "</p>");
  }

  private static String page(String head, String body) {
    return "<!doctype html><html lang=\"en\"><head><meta charset=\"utf-8\">"
        + "<meta name=\"viewport\" content=\"width=device-width\"><title>High Tally</title>"
        + head
        + "<style>body{font:1.1rem/1.5 system-ui,sans-serif;max-width:38rem;margin:4rem auto;"
        + "padding:0 1rem;color:#1c2430;background:#f6f7f9}button{font:inherit;padding:.6rem 1rem;"
        + "margin:.5rem .5rem 0 0}@media(prefers-color-scheme:dark){body{color:#e8ebf0;"
        + "background:#14181f}}</style></head><body><h1>High Tally</h1>"
        + body
        + "</body></html>";
  }
}
