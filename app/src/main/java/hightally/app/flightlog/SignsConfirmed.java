package hightally.app.flightlog;

import hightally.app.platform.JsonList;
import hightally.core.flightlog.LoggedFlight.SignConfirmed;
import jakarta.persistence.Converter;

/** Trims whose sign was confirmed, as one column. */
@Converter
class SignsConfirmed extends JsonList<SignConfirmed> {
  SignsConfirmed() {
    super(SignConfirmed.class);
  }
}
