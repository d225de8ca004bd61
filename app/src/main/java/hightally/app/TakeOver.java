package hightally.app;

import hightally.app.datafile.EarlierFolder;
import hightally.app.platform.AskedInBrowser;
import hightally.app.platform.HighTallyProperties;
import hightally.app.platform.OwnBrowser;
import hightally.app.platform.StartWords;
import hightally.core.quantity.Said;
import java.io.IOException;
import java.net.BindException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;

/** The first start of a newer version: it goes on with the data of the earlier, if it shall. */
final class TakeOver {
  private static final String ASK = "ask";

  private final String[] args;

  TakeOver(String[] args) {
    this.args = args.clone();
  }

  /** Asks, and copies the data; why that cannot be, nothing where all is well. */
  Said into(Path data) throws IOException {
    String home = HighTally.option(args, "--high-tally.home=", "");
    String wanted = HighTally.option(args, "--high-tally.take-over=", ASK);
    if (home.isEmpty() || wanted.equals("no")) {
      return Said.NOTHING;
    }
    EarlierFolder earlier = EarlierFolder.beside(Path.of(home), data).orElse(null);
    if (earlier == null) {
      return Said.NOTHING;
    }
    try {
      if (wanted.equals(ASK) && !asked(earlier)) {
        return Said.NOTHING;
      }
    } catch (BindException e) {
      return Said.of("start.portTaken", "port", String.valueOf(port()));
    }
    Said trouble = earlier.trouble();
    if (trouble.isEmpty()) {
      trouble = earlier.copyTo(data, Clock.systemDefaultZone());
    }
    if (trouble.isEmpty()) {
      System.setProperty(HighTallyProperties.TAKEN_OVER, earlier.version());
      say(Said.of("earlier.done", "folder", earlier.folder().toString()));
    }
    return trouble;
  }

  private int port() {
    return Integer.parseInt(HighTally.option(args, "--server.port=", "8080"));
  }

  private boolean asked(EarlierFolder earlier) throws IOException {
    String folder = earlier.folder().toString();
    Said question = Said.of("earlier.question", "folder", folder, "version", earlier.version());
    List<Said> answers = List.of(Said.of("earlier.yes"), Said.of("earlier.no"));
    return new AskedInBrowser(question, answers).ask(port(), this::open) == 0;
  }

  private void open(String page) {
    say(Said.of("earlier.asks", "page", page));
    if (Boolean.parseBoolean(HighTally.option(args, "--high-tally.browser=", ""))) {
      OwnBrowser.open(page);
    }
  }

  private static void say(Said said) {
    System.out.println(StartWords.say(said));
  }
}
