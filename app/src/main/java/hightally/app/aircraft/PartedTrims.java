package hightally.app.aircraft;

import hightally.app.platform.JsonList;
import hightally.core.log.TrimsHold;
import jakarta.persistence.Converter;

/** Whose trims a revision parts, as one column. */
@Converter
class PartedTrims extends JsonList<TrimsHold.Parted> {
  PartedTrims() {
    super(TrimsHold.Parted.class);
  }
}
