package hightally.app.adjustment;

import hightally.app.platform.JsonList;
import hightally.core.adjustment.RodMeans;
import jakarta.persistence.Converter;

/** Other ways than turning the end that is there, as one column. */
@Converter
class Means extends JsonList<RodMeans> {
  Means() {
    super(RodMeans.class);
  }
}
