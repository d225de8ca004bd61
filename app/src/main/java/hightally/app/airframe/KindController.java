package hightally.app.airframe;

import hightally.core.setup.Setup;
import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Kinds of airframe over HTTP, each as the setup a new model begins with. */
@RestController
class KindController {
  private final Kinds kinds;

  KindController(Kinds kinds) {
    this.kinds = kinds;
  }

  @GetMapping("/api/kinds")
  @Operation(summary = "The kinds of airframe a model can start from, each as a whole setup")
  List<Setup> kinds() {
    return kinds.all();
  }
}
