package hightally.e2e;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.TestExecutionExceptionHandler;

/**
 * What a story that fails leaves: a picture of every page that is open, what was done there
 * (Playwright's trace), and what the application said. Where it is stands with the failure.
 */
final class Evidence implements TestExecutionExceptionHandler {
  private static final Path FAILED = RunningApp.root().resolve("e2e/target/failed");

  /** Tells where to look; it has no trace of its own. */
  private static final class Left extends RuntimeException {
    private static final long serialVersionUID = 1;

    private Left(Path folder) {
      super("pictures, traces and logs are in " + folder, null, false, false);
    }
  }

  @Override
  public void handleTestExecutionException(ExtensionContext test, Throwable failure)
      throws Throwable {
    Path folder =
        FAILED.resolve(
            test.getRequiredTestClass().getSimpleName()
                + "."
                + test.getDisplayName().replaceAll("[^\\w,-]+", ""));
    try {
      Files.createDirectories(folder);
      RunningApp.keep(folder);
      Browser.shared().keep(folder);
    } catch (IOException | RuntimeException e) {
      failure.addSuppressed(e);
    }
    failure.addSuppressed(new Left(folder));
    throw failure;
  }
}
