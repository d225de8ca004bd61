package hightally.core.flightlog;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.English;
import hightally.core.program.Trims;
import hightally.core.quantity.Said;
import hightally.core.words.FieldNames;
import java.lang.reflect.RecordComponent;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is noted of a flight as a whole is known from the report itself. */
class FlightDayTest {
  private static final PhaseReading BASE =
      new PhaseReading("base", new Trims(1, -2, 3), 40, PhaseReading.Sure.SURE, true);

  private static final FlightReport REPORT =
      new FlightReport(
          LocalDate.of(2026, 9, 5),
          FlightReport.Wind.LIGHT,
          FlightReport.Air.BUMPY,
          "meadow",
          "pack A",
          118.5,
          "seen",
          "wanted",
          new Trims(1, -2, 3),
          40,
          PhaseReading.Sure.SURE,
          true,
          List.of());

  @Test
  void everyComponentIsOfTheDayOrOfAPhase() {
    assertThat(FlightDay.FIELDS)
        .extracting(RecordComponent::getName)
        .containsExactly("flownOn", "wind", "air", "field", "battery", "cgMm", "remarks", "goal");
    for (RecordComponent one : FlightReport.class.getRecordComponents()) {
      boolean ofPhase =
          List.of("trims", "throttlePercent", "sure", "turnsDiffer", "phases")
              .contains(one.getName());
      assertThat(FlightDay.has(one)).as(one.getName()).isNotEqualTo(ofPhase);
    }
  }

  @Test
  void aReportIsMadeOfItsFieldsAndItsReading() {
    assertThat(FlightDay.report(one -> FlightDay.value(REPORT, one), BASE, List.of()))
        .isEqualTo(REPORT);
    assertThat(REPORT.withTrims(new Trims(9, 9, 9)).readings("base").get(0).trims())
        .isEqualTo(new Trims(9, 9, 9));
    assertThat(REPORT.withTrims(REPORT.trims())).isEqualTo(REPORT);
  }

  @Test
  void everyFieldHasANameAndEveryChoiceItsWords() {
    for (RecordComponent one : FlightDay.FIELDS) {
      assertThat(English.say(FieldNames.label(one))).doesNotContain("field.");
      if (one.getType().isEnum()) {
        for (Object value : one.getType().getEnumConstants()) {
          String key = one.getType().getSimpleName() + "." + value;
          assertThat(English.say(Said.of(key))).isNotEqualTo(key);
        }
      }
    }
  }
}
