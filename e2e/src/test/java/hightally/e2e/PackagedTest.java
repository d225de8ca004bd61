package hightally.e2e;

import static hightally.e2e.Catalogue.like;
import static hightally.e2e.Catalogue.say;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.io.BufferedReader;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * The packaged folder, on a machine without Java, Node.js or Maven on its path; then a newer one
 * beside it, which goes on with its data.
 */
class PackagedTest {
  private static final Path ROOT = RunningApp.root();
  private static final Path PARTS = ROOT.resolve("app/src/package");
  private static final String JAR = ROOT.resolve("app/target/high-tally-boot.jar").toString();
  private static final String READY = "High Tally is ready at ";

  @TempDir private Path folder;

  /** What a folder's start says, line by line, and the pages it has had opened. */
  private static final class Started implements AutoCloseable {
    private final Process process;
    private final BufferedReader said;
    private final List<String> lines = new ArrayList<>();

    Started(Path home, Path tools, String... arguments) throws IOException {
      List<String> command = new ArrayList<>(List.of(home.resolve("high-tally").toString()));
      command.addAll(List.of(arguments));
      ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
      builder.environment().clear();
      builder.environment().put("PATH", tools.toString());
      process = builder.start();
      said = process.inputReader();
    }

    String until(String start) throws IOException {
      for (String line = said.readLine(); line != null; line = said.readLine()) {
        lines.add(line);
        if (line.contains(start)) {
          return line.substring(line.indexOf(start) + start.length()).strip();
        }
      }
      throw new AssertionError(lines);
    }

    /** As with Ctrl+C. */
    @Override
    public void close() {
      process.destroy();
      try {
        if (!process.waitFor(1, TimeUnit.MINUTES)) {
          process.destroyForcibly();
        }
      } catch (InterruptedException e) {
        throw new IllegalStateException(e);
      }
    }
  }

  /** A path with what any system has and a browser that writes down what it is asked to open. */
  private Path tools() throws IOException {
    Path tools = Files.createDirectories(folder.resolve("tools"));
    for (String one : List.of("sh", "cat", "dirname", "pwd")) {
      Path real = Path.of("/usr/bin", one);
      Files.createSymbolicLink(
          tools.resolve(one), Files.exists(real) ? real : Path.of("/bin", one));
    }
    Path browser = tools.resolve("xdg-open");
    Files.writeString(browser, "#!/bin/sh\necho \"$1\" >>\"" + folder.resolve("opened") + "\"\n");
    assertThat(browser.toFile().setExecutable(true)).isTrue();
    return tools;
  }

  private Path packaged(String version) throws Exception {
    Process process =
        new ProcessBuilder(PARTS.resolve("package").toString(), version, JAR, folder.toString())
            .redirectErrorStream(true)
            .start();
    List<String> said = process.inputReader().lines().toList();
    assertThat(process.waitFor()).as(String.join("\n", said)).isZero();
    return Path.of(said.get(said.size() - 1));
  }

  private List<String> opened(int count) throws Exception {
    Path file = folder.resolve("opened");
    while (!Files.exists(file) || Files.readAllLines(file).size() < count) {
      Thread.sleep(50);
    }
    return Files.readAllLines(file);
  }

  private static Path copied(Path from, String name) throws Exception {
    Path to = from.resolveSibling(name);
    // Other times of change, as after a download: then the archive of classes is only not used.
    assertThat(new ProcessBuilder("cp", "-r", from.toString(), to.toString()).start().waitFor())
        .isZero();
    return to;
  }

  @Test
  void startedUsedAndItsDataTakenOverByANewerOne() throws Exception {
    Browser browser = Browser.shared();
    Path tools = tools();
    Path first = packaged("0.1.0");
    Path newer = copied(first, "the newer one");
    Files.writeString(newer.resolve("version.txt"), "0.2.0\n");
    try (Started running = new Started(first, tools, "--port", "0")) {
      String page = running.until(READY);
      assertThat(opened(1)).containsExactly(page);
      try (Started again = new Started(first, tools, "--port", "0")) {
        assertThat(again.until(READY)).as("a second start shows the first").isEqualTo(page);
        assertThat(again.process.waitFor()).isZero();
      }
      assertThat(opened(2)).containsExactly(page, page);
      Page shown = browser.page(1280, 800, ColorScheme.LIGHT);
      shown.navigate(page + "bring-in");
      shown.locator("input[accept*=json]").setInputFiles(ROOT.resolve(PathTest.DEMO_FILE));
      shown
          .getByRole(AriaRole.BUTTON, Story.containing(say("transfer.bringInPage.add")))
          .first()
          .click();
      shown.locator("[data-next=MAKE_READY]").waitFor();
      // The newer one does not copy what is being written.
      try (Started early = new Started(newer, tools, "--take-over", "yes")) {
        early.until(say("start.cannot", "why", "").strip());
        assertThat(early.process.waitFor()).isEqualTo(1);
        assertThat(String.join("\n", early.lines)).containsPattern(like("earlier.inUse"));
      }
    }
    try (Started running = new Started(newer, tools, "--port", "0")) {
      String question = running.until(say("earlier.asks", "page", "").strip());
      assertThat(opened(3).get(2)).isEqualTo(question);
      Page page = browser.page(1280, 800, ColorScheme.LIGHT);
      page.navigate(question);
      Story.button(page, say("earlier.yes")).click();
      page.navigate(running.until(READY));
      page.getByText("Quillon").first().waitFor();
    }
    assertThat(newer.resolve("data/backups")).isDirectoryContaining("glob:**/upgrade-from-*.zip");
    browser.closePages();
    try (Started old = new Started(first, tools, "--port", "0", "--no-browser")) {
      assertThat(old.until(READY)).as("the earlier one is as it was").isNotEmpty();
    }
  }
}
