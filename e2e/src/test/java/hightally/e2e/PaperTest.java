package hightally.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.LoadState;
import java.awt.image.BufferedImage;
import java.io.IOException;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every sheet printed from the dark theme: its pages counted, and its pixels black on white. */
class PaperTest extends Story {
  private static final float DOTS = 72;

  /** Lighter than this is paper, darker is ink: soft words and lines lie between. */
  private static final int LIGHT = 250;

  private static final int DARK = 60;

  @ParameterizedTest
  @CsvSource({
    "models/2/program/sheet, [data-setup-sheet], 1",
    "models/2/program/entry, [data-entry], 2",
    "models/1/program/entry, [data-entry], 1",
    "models/1/rig/map/wiring, h2, 2",
    "models/2/fly/card, h2, 1",
    "models/1/adjust/sheet, h2, 2"
  })
  void blackOnWhite(String path, String shows, int most) throws IOException {
    Page page = browser.page(1280, 800, ColorScheme.DARK);
    page.navigate(app.address() + path);
    assertThat(page.locator(shows).first()).isVisible();
    page.waitForLoadState(LoadState.NETWORKIDLE);
    assertThat(page.locator("html")).hasAttribute("data-theme", "dark");
    byte[] pdf = page.pdf(new Page.PdfOptions().setFormat("A4").setPrintBackground(true));
    page.close();
    try (PDDocument document = Loader.loadPDF(pdf)) {
      assertThat(document.getNumberOfPages()).as(path).isLessThanOrEqualTo(most);
      BufferedImage image = new PDFRenderer(document).renderImageWithDPI(0, DOTS);
      int paper = 0;
      int ink = 0;
      int all = image.getWidth() * image.getHeight();
      for (int x = 0; x < image.getWidth(); x++) {
        for (int y = 0; y < image.getHeight(); y++) {
          int grey = grey(image.getRGB(x, y));
          paper += grey >= LIGHT ? 1 : 0;
          ink += grey <= DARK ? 1 : 0;
        }
      }
      assertThat(paper).as("white of " + path).isGreaterThan(3 * all / 4);
      assertThat(ink).as("black of " + path).isBetween(all / 2000, all / 8);
    }
  }

  private static int grey(int rgb) {
    return ((rgb >> 16 & 255) + (rgb >> 8 & 255) + (rgb & 255)) / 3;
  }
}
