package hightally.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Prints how long it takes from a stick's movement to the redrawn surface, over 300 movements in
 * the browser: median and 95th percentile in milliseconds and in frames of this browser.
 */
public final class StickLatency {
  private static final Locator.WaitForOptions DRAWN =
      new Locator.WaitForOptions().setState(WaitForSelectorState.ATTACHED);

  /**
   * One movement: a pointer event on the right stick, then the time at which the elevator's
   * trailing edge has been drawn elsewhere, taken after the frame that shows it.
   */
  private static final String MEASURE =
      """
      async (count) => {
        const pad = document.querySelector('[data-stick=right]');
        const edge = document.querySelector('[data-edge=elevator]');
        const box = pad.getBoundingClientRect();
        const send = (type, y) => pad.dispatchEvent(new PointerEvent(type, {
          bubbles: true, pointerId: 1, clientX: box.left + box.width / 2,
          clientY: box.top + box.height / 2 + y }));
        const frame = () => new Promise((done) => requestAnimationFrame(done));
        pad.setPointerCapture = () => {};
        pad.hasPointerCapture = () => true;
        send('pointerdown', 0);
        const times = [];
        for (let i = 0; i < count; i++) {
          await frame();
          const drawn = new Promise((done) => {
            const watch = new MutationObserver(() => { watch.disconnect(); done(); });
            watch.observe(edge, { attributes: true, attributeFilter: ['y1'] });
          });
          const start = performance.now();
          send('pointermove', i % 2 === 0 ? 20 + (i % 17) : -20 - (i % 13));
          await drawn;
          await frame();
          times.push(performance.now() - start);
        }
        send('pointerup', 0);
        const frames = [];
        let last = await frame();
        for (let i = 0; i < 120; i++) { const now = await frame(); frames.push(now - last); last = now; }
        frames.sort((a, b) => a - b);
        return { times, frame: frames[60] };
      }
      """;

  private StickLatency() {}

  /** Measures and prints. */
  static void measure(RunningApp app, int movements) {
    try (Browser browser = new Browser()) {
      Page page = browser.page(1280, 800, ColorScheme.LIGHT);
      page.navigate(app.address() + "models/1/check");
      page.locator("[data-edge=elevator]").first().waitFor(DRAWN);
      page.evaluate(MEASURE, movements);
      print((Map<?, ?>) page.evaluate(MEASURE, movements));
    }
  }

  private static void print(Map<?, ?> measured) {
    double[] times =
        ((List<?>) measured.get("times"))
            .stream().mapToDouble(time -> ((Number) time).doubleValue()).sorted().toArray();
    double frame = ((Number) measured.get("frame")).doubleValue();
    double median = times[times.length / 2];
    double high = times[(int) Math.ceil(times.length * 0.95) - 1];
    System.out.printf(
        Locale.ROOT,
        "Stick to redrawn surface, %d movements: median %.1f ms (%.1f frames), 95th percentile %.1f ms"
            + " (%.1f frames); a frame is %.1f ms%n",
        Arrays.stream(times).count(),
        median,
        median / frame,
        high,
        high / frame,
        frame);
  }
}
