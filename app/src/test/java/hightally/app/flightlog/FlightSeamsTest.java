package hightally.app.flightlog;

import static hightally.app.Plain.saying;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import com.fasterxml.jackson.databind.ObjectMapper;
import hightally.app.aircraft.Hangar;
import hightally.app.aircraft.Revision;
import hightally.app.platform.ConflictException;
import hightally.app.platform.NotFoundException;
import hightally.app.platform.Page;
import hightally.core.flightlog.FlightObservations;
import hightally.core.flightlog.FlightReport;
import hightally.core.flightlog.PhaseReading;
import hightally.core.flightlog.PhaseReading.Sure;
import hightally.core.program.Trims;
import hightally.core.quantity.InvalidInputException;
import hightally.core.setup.Setup;
import java.io.InputStream;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.core.io.ClassPathResource;

/** Log and controller, each with what is below it stood in for. */
class FlightSeamsTest {
  private static final Instant NOW = Instant.parse("2026-09-05T10:00:00Z");
  private final FlightRepository stored = mock(FlightRepository.class);
  private final Hangar hangar = mock(Hangar.class);
  private final FlightLog log = new FlightLog(stored, hangar, Clock.fixed(NOW, ZoneOffset.UTC));
  private Setup glider;

  private static Flight flown(
      long id, long aircraft, int revision, int version, FlightReport report) {
    return new Flight(
        id, aircraft, revision, version, report, FlightObservations.NONE, FlightMarks.NONE, NOW);
  }

  @BeforeEach
  void model() throws Exception {
    try (InputStream in = new ClassPathResource("demo/larkmere.json").getInputStream()) {
      glider = new ObjectMapper().readValue(in, Setup.class);
    }
    Revision newest = new Revision(1, "First", false, false, 1, NOW, false, false, glider);
    when(hangar.revision(1, 1)).thenReturn(newest);
    when(hangar.newest(1)).thenReturn(newest);
    when(stored.saveAndFlush(any())).thenAnswer(call -> stub(call.getArgument(0)));
  }

  /** A stored flight as the database would give it back. */
  private static FlightEntity stub(FlightEntity given) {
    FlightEntity entity = mock(FlightEntity.class);
    when(entity.read()).thenReturn(flown(9, 1, 1, 0, report("2026-09-04", 3, List.of())));
    return given == null ? entity : entity;
  }

  private static FlightReport report(String day, int pitch, List<PhaseReading> phases) {
    return FlightReport.on(LocalDate.parse(day))
        .change()
        .field("Long Meadow")
        .battery("Pack one")
        .cgMm(82.0)
        .trims(new Trims(0, pitch, 0))
        .phases(phases)
        .done();
  }

  private static PhaseReading reading(String phase, int pitch) {
    return new PhaseReading(phase, new Trims(0, pitch, 0), 50, Sure.SURE, false);
  }

  @Test
  void aFlightBeyondTheTrimsFromTomorrowOrInNoPhaseOfThatRevisionIsNotStored() {
    int beyond = glider.transmitter().trimRangeClicks() + 1;
    assertThatThrownBy(() -> log.add(1, 1, report("2026-09-04", beyond, List.of())))
        .isInstanceOf(InvalidInputException.class)
        .satisfies(saying("trims.pitch"));
    assertThatThrownBy(() -> log.add(1, 1, report("2026-09-07", 0, List.of())))
        .satisfies(saying("flownOn is 2026-09-07; it must be not after 6 September 2026"));
    FlightReport nowhere = report("2026-09-04", 0, List.of(reading("hover", 0)));
    assertThatThrownBy(() -> log.add(1, 1, nowhere))
        .satisfies(saying("phases[0].phase is hover"))
        .satisfies(saying("landing"));
    verify(stored, never()).saveAndFlush(any());
  }

  @Test
  void aCorrectionOfWhatSomebodyElseCorrectedIsRefused() {
    FlightEntity found = stub(null);
    when(found.version()).thenReturn(2);
    when(stored.findById(9L)).thenReturn(Optional.of(found));
    FlightReport report = report("2026-09-04", 4, List.of());
    assertThatThrownBy(() -> log.correct(1, 9, 1, report)).isInstanceOf(ConflictException.class);
    verify(found, never()).correct(any());
    log.correct(1, 9, 2, report);
    verify(found).correct(report);
    assertThatThrownBy(() -> log.correct(2, 9, 2, report)).isInstanceOf(NotFoundException.class);
  }

  @Test
  void theControllerStoresOnceForAKeyAndAlwaysWithoutOne() {
    FlightLog under = mock(FlightLog.class);
    FlightController controller = new FlightController(under, mock(CheckSource.class));
    Flight noted = flown(9, 1, 1, 0, report("2026-09-04", 3, List.of()));
    FlightController.NewFlight asked = new FlightController.NewFlight(1, noted.report());
    when(under.notedBy(1, "key-of-today")).thenReturn(Optional.of(noted));
    assertThat(controller.add(1, "key-of-today", asked)).isEqualTo(noted);
    verify(under, never()).add(eq(1L), anyInt(), any(), any());
    when(under.add(1, 1, noted.report(), null)).thenReturn(noted);
    assertThat(controller.add(1, null, asked)).isEqualTo(noted);
    assertThatThrownBy(() -> controller.add(1, "no key!", asked))
        .isInstanceOf(InvalidInputException.class);
  }

  @Test
  void theControllerAsksForAPartOfTheLog() {
    FlightLog under = mock(FlightLog.class);
    Page<Flight> part = new Page<>(List.of(), 1000);
    when(under.flights(1, new Page.Asked(3, 20))).thenReturn(part);
    assertThat(new FlightController(under, mock(CheckSource.class)).flights(1, 3, 20))
        .isSameAs(part);
    assertThatThrownBy(
            () -> new FlightController(under, mock(CheckSource.class)).flights(1, 0, 500))
        .satisfies(saying("size is 500; it must be 1 to 200"));
  }
}
