package hightally.app.aircraft;

import hightally.app.platform.JsonList;
import hightally.core.flightlog.TrimsStillValid;
import jakarta.persistence.Converter;

/** Whose trims a revision parts, as one column. */
@Converter
class PartedTrims extends JsonList<TrimsStillValid.Parted> {
  PartedTrims() {
    super(TrimsStillValid.Parted.class);
  }
}
