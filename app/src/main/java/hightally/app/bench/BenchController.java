package hightally.app.bench;

import hightally.core.audit.Finding;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SurfaceSheet;
import hightally.core.simulator.BenchHands;
import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/**
 * The bench for scripts: one setup, one moment. The page uses the WebSocket at the same address.
 */
@RestController
class BenchController {
  /** A setup, a moment, and the id of the surface to explain. */
  record MomentAsked(Setup setup, Moment moment, String selected) {}

  /** Sheets of every surface, findings, and where everything stands at the moment. */
  record MomentShown(List<SurfaceSheet> sheets, List<Finding> findings, BenchAnswer.Frame frame) {}

  @PostMapping("/api/bench/moment")
  @Operation(summary = "Where every channel and surface stands at one moment; stores nothing")
  MomentShown moment(@RequestBody MomentAsked asked) {
    BenchSession session = new BenchSession();
    List<SurfaceSheet> sheets = session.load(asked.setup());
    return new MomentShown(
        sheets,
        session.findings(),
        session.show(0, new BenchHands(asked.moment(), false), 0, asked.selected()));
  }
}
