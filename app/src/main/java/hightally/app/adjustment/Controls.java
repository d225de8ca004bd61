package hightally.app.adjustment;

import hightally.app.platform.JsonList;
import hightally.core.quantity.Control;
import jakarta.persistence.Converter;

/** Controls whose trims go into the rods, as one column. */
@Converter
class Controls extends JsonList<Control> {
  Controls() {
    super(Control.class);
  }
}
