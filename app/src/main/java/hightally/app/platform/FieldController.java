package hightally.app.platform;

import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Publishes the field catalogue, so that page and API refuse the same values. */
@RestController
class FieldController {
  @GetMapping("/api/fields")
  @Operation(summary = "Label, unit and range of every field a pilot can type")
  List<FieldCatalogue.Field> fields() {
    return FieldCatalogue.all();
  }
}
