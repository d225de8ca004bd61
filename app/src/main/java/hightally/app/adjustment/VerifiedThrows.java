package hightally.app.adjustment;

import hightally.app.platform.JsonList;
import hightally.core.benchsetup.BenchVerification.Verified;
import jakarta.persistence.Converter;

/** Throws measured at the end of a work order, as one column. */
@Converter
class VerifiedThrows extends JsonList<Verified> {
  VerifiedThrows() {
    super(Verified.class);
  }
}
