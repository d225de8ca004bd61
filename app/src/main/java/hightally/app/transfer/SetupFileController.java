package hightally.app.transfer;

import hightally.core.setup.Setup;
import io.swagger.v3.oas.annotations.Operation;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Reads a setup file and shows what is in it; stores nothing. */
@RestController
class SetupFileController {
  private final SetupDocuments documents;

  SetupFileController(SetupDocuments documents) {
    this.documents = documents;
  }

  @PostMapping(value = "/api/setup-files/read", consumes = "text/plain")
  @Operation(
      summary = "Reads a setup file (JSON or YAML); refuses it naming the place that is wrong")
  Setup read(@RequestBody String text) {
    return documents.read(text);
  }
}
