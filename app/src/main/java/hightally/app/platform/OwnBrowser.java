package hightally.app.platform;

import java.io.IOException;
import java.util.List;
import java.util.Locale;

/** Opens a page in the browser of this machine, where it has one. */
public final class OwnBrowser {
  private OwnBrowser() {}

  /**
   * Opens it, or does nothing: its address is printed as well.
   *
   * @param page its address
   */
  public static void open(String page) {
    try {
      new ProcessBuilder(command(System.getProperty("os.name").toLowerCase(Locale.ROOT), page))
          .redirectOutput(ProcessBuilder.Redirect.DISCARD)
          .redirectError(ProcessBuilder.Redirect.DISCARD)
          .start();
    } catch (IOException e) {
      // No browser, or none that is known by that name.
    }
  }

  /** The program of each system that hands a page to its browser. */
  static List<String> command(String system, String page) {
    if (system.startsWith("mac")) {
      return List.of("open", page);
    }
    return system.startsWith("windows")
        ? List.of("rundll32", "url.dll,FileProtocolHandler", page)
        : List.of("xdg-open", page);
  }
}
