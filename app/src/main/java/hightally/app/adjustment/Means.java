package hightally.app.adjustment;

import hightally.app.platform.JsonList;
import hightally.core.adjustment.RodAlternative;
import jakarta.persistence.Converter;

/** Other ways than turning the end that is there, as one column. */
@Converter
class Means extends JsonList<RodAlternative> {
  Means() {
    super(RodAlternative.class);
  }
}
