package hightally.app.platform;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Publishes the field catalogue, so that page and API refuse the same values. */
@RestController
class FieldController {
  @GetMapping("/api/fields")
  List<FieldCatalogue.Field> fields() {
    return FieldCatalogue.all();
  }
}
