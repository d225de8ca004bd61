package hightally.app.adjustment;

import hightally.app.platform.JsonList;
import jakarta.persistence.Converter;

/** Gauge readings of a work order, as one column. */
@Converter
class Gauges extends JsonList<Gauge> {
  Gauges() {
    super(Gauge.class);
  }
}
