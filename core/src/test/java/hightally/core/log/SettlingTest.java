package hightally.core.log;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.Rigs;
import hightally.core.log.FlightReport.Air;
import hightally.core.log.FlightReport.Wind;
import hightally.core.log.PhaseReading.Sure;
import hightally.core.log.Settling.FlownOnce;
import hightally.core.log.Settling.SeriesBreak;
import hightally.core.log.TrimSeries.State;
import hightally.core.phase.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class SettlingTest {
  private static final Setup SETUP = Rigs.plain();

  private static FlownOnce flight(
      int day, int pitch, double cg, Air air, String pack, double throttle) {
    FlightReport report =
        new FlightReport(
            LocalDate.of(2026, 5, day),
            Wind.CALM,
            air,
            "",
            pack,
            cg,
            "",
            "",
            new Trims(0, pitch, 0),
            throttle,
            Sure.SURE,
            false,
            List.of());
    return new FlownOnce(day, 1, report);
  }

  private static FlownOnce calm(int day, int pitch) {
    return flight(day, pitch, 90, Air.SMOOTH, "A", 50);
  }

  private static TrimSeries pitch(List<SeriesBreak> breaks, FlownOnce... flights) {
    return Settling.of(SETUP, List.of(flights), breaks).stream()
        .filter(one -> one.control() == Control.PITCH)
        .findFirst()
        .orElseThrow();
  }

  @Test
  void threeAgreeingCalmFlightsSettleATrim() {
    TrimSeries two = pitch(List.of(), calm(1, 6), calm(2, 7));
    assertThat(two.state()).isEqualTo(State.NOT_YET);
    assertThat(say(two.words())).isEqualTo("One more calm flight.");
    TrimSeries three = pitch(List.of(), calm(1, 6), calm(2, 7), calm(3, 6));
    assertThat(three.state()).isEqualTo(State.SETTLED);
    assertThat(three.clicks()).isEqualTo(6);
    TrimSeries apart = pitch(List.of(), calm(1, 2), calm(2, 7), calm(3, 5));
    assertThat(say(apart.words())).contains("differ by 5 clicks");
  }

  @Test
  void whatBrokeTheSeriesIsSaidAtTheFlight() {
    TrimSeries moved =
        pitch(
            List.of(),
            flight(1, 6, 84, Air.SMOOTH, "A", 50),
            flight(2, 6, 90, Air.ROUGH, "A", 50),
            flight(3, 6, 90, Air.SMOOTH, "B", 50),
            calm(4, 6));
    assertThat(moved.points())
        .extracting(point -> say(point.why()))
        .containsExactly(
            "the balance point has moved 6 mm since", "the air was not smooth", "another pack", "");
    assertThat(moved.state()).isEqualTo(State.NOT_YET);
    SeriesBreak propeller =
        new SeriesBreak(
            1, LocalDate.of(2026, 5, 3), List.of(Control.PITCH), Said.text("a new part"));
    TrimSeries voided = pitch(List.of(propeller), calm(1, 6), calm(2, 6), calm(3, 6));
    assertThat(voided.points())
        .extracting(TrimSeries.TrimPoint::counts)
        .containsExactly(false, false, true);
  }

  @Test
  void aTrimThatGrowsOrFitsOneThrottleOrIsLargeIsSuspicious() {
    assertThat(say(pitch(List.of(), calm(1, 1), calm(2, 4), calm(3, 8)).words())).contains("slips");
    TrimSeries throttle =
        pitch(
            List.of(),
            flight(1, 1, 90, Air.SMOOTH, "A", 30),
            flight(2, 8, 90, Air.SMOOTH, "A", 90),
            flight(3, 1, 90, Air.SMOOTH, "A", 30));
    assertThat(say(throttle.words())).contains("thrust line");
    List<FlownOnce> large = new ArrayList<>(List.of(calm(1, 55), calm(2, 55), calm(3, 55)));
    assertThat(pitch(List.of(), large.toArray(FlownOnce[]::new)).state())
        .isEqualTo(State.SUSPICIOUS);
  }
}
