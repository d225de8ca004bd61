package hightally.app.school;

import hightally.app.platform.JsonList;
import jakarta.persistence.Converter;

/** What a practice was begun with, as one column: a list of one. */
@Converter
class SchoolBriefs extends JsonList<SchoolBrief> {
  SchoolBriefs() {
    super(SchoolBrief.class);
  }
}
