package hightally.app.school;

import hightally.app.platform.JsonList;
import jakarta.persistence.Converter;

/** Everything that happened in a practice, as one column. */
@Converter
class SchoolEvents extends JsonList<SchoolEvent> {
  SchoolEvents() {
    super(SchoolEvent.class);
  }
}
