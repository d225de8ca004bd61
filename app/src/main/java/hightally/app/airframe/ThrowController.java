package hightally.app.airframe;

import hightally.core.audit.ThrowSearch;
import hightally.core.quantity.Text;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** From wanted throws to holes, seating and endpoints; stores nothing. */
@RestController
class ThrowController {
  @PostMapping("/api/throws/search")
  @Operation(summary = "The best holes, seatings and endpoints for wanted throws, cheapest first")
  List<ThrowSearch.ThrowAnswer> search(@RequestBody ThrowSearch.ThrowQuestion question) {
    return ThrowSearch.answers(Validation.check(question));
  }

  /** A setup and the id of one of its surfaces. */
  record StartAsked(Setup setup, @Text(max = 40) String surface) {}

  @PostMapping("/api/throws/start")
  @Operation(summary = "What is known of a surface's wishes and holes, to begin a search with")
  ThrowSearch.ThrowStart start(@RequestBody StartAsked asked) {
    return ThrowSearch.start(Validation.check(asked.setup()), asked.surface());
  }
}
