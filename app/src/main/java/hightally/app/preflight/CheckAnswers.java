package hightally.app.preflight;

import hightally.app.platform.JsonList;
import hightally.core.preflight.CheckAnswer;
import jakarta.persistence.Converter;

/** What was found at every step of a check, as one column. */
@Converter
public class CheckAnswers extends JsonList<CheckAnswer> {
  CheckAnswers() {
    super(CheckAnswer.class);
  }
}
