package hightally.app.adjustment;

import hightally.app.platform.JsonList;
import hightally.core.adjustment.MarkSeen;
import jakarta.persistence.Converter;

/** What came of turning, as one column. */
@Converter
class Marks extends JsonList<MarkSeen> {
  Marks() {
    super(MarkSeen.class);
  }
}
