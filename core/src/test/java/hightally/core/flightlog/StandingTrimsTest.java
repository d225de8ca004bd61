package hightally.core.flightlog;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.Rigs;
import hightally.core.program.NoseNote;
import hightally.core.program.Phase;
import hightally.core.program.PhaseRole;
import hightally.core.program.Trims;
import hightally.core.setup.Setup;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

class StandingTrimsTest {
  private static Phase phase(String id, boolean ownPitch, int pitch) {
    return new Phase(
        id,
        id,
        "",
        PhaseRole.OTHER,
        "",
        0,
        List.of(),
        List.of(),
        false,
        ownPitch,
        false,
        new Trims(0, pitch, 0),
        NoseNote.NOT_FLOWN);
  }

  private static final Setup SETUP =
      Rigs.plain()
          .change()
          .phases(List.of(phase("speed", true, -5), phase("cruise", false, 0)))
          .trims(new Trims(1, 3, 0))
          .done();

  private static LoggedFlight flight(int number, int pitch, PhaseReading... others) {
    FlightReport report =
        FlightReport.on(LocalDate.of(2026, 5, number))
            .change()
            .cgMm(90.0)
            .trims(new Trims(0, pitch, 0))
            .phases(List.of(others))
            .done();
    return new LoggedFlight(number, 1, report);
  }

  private static int pitch(String phase, LoggedFlight... holding) {
    return StandingTrims.of(SETUP, List.of(holding), 1).phases().stream()
        .filter(one -> one.phase().equals(phase))
        .findFirst()
        .orElseThrow()
        .trims()
        .pitch();
  }

  @Test
  void theNewestFlightInAPhaseDecidesElseTheSetup() {
    assertThat(pitch("cruise")).isEqualTo(3);
    assertThat(pitch("speed")).isEqualTo(-5);
    PhaseReading speed =
        new PhaseReading("speed", new Trims(0, -8, 0), 50, PhaseReading.Sure.SURE, false);
    LoggedFlight both = flight(1, 6, speed);
    LoggedFlight later = flight(2, 7);
    assertThat(pitch("cruise", later, both)).isEqualTo(7);
    assertThat(pitch("speed", later, both)).isEqualTo(-8);
  }

  @Test
  void aClickIsWorthItsStepAndThatInPulse() {
    StandingTrims stands = StandingTrims.of(SETUP, List.of(), 1);
    assertThat(stands.percentPerClick()).isEqualTo(0.5);
    assertThat(stands.microsecondsPerClick()).isCloseTo(2.5, within(1e-12));
  }

  @Test
  void aSharedTrimIsOneEntryAndWhatSetsItEndsWhatWasFlown() {
    PhaseReading speed =
        new PhaseReading("speed", new Trims(7, -8, 0), 50, PhaseReading.Sure.SURE, false);
    LoggedFlight both = flight(1, 6, speed);
    StandingTrims stands = StandingTrims.of(SETUP, List.of(both), 1);
    assertThat(stands.of("speed")).isEqualTo(new Trims(0, -8, 0));
    assertThat(stands.of("cruise")).isEqualTo(new Trims(0, 6, 0));
    assertThat(StandingTrims.of(SETUP, List.of(both), 2).of("cruise"))
        .isEqualTo(new Trims(1, 3, 0));
    assertThat(StandingTrims.of(SETUP, List.of(both), 2).of("gone")).isEqualTo(Trims.ZERO);
  }

  @Test
  void whatIsLeftOutOrSimulatedDoesNotStand() {
    LoggedFlight real = flight(1, 6);
    FlightReport later = flight(2, 9).report();
    LoggedFlight odd = new LoggedFlight(2, 1, later, "a gust", false, List.of());
    LoggedFlight practised = new LoggedFlight(3, 1, later, "", true, List.of());
    assertThat(StandingTrims.of(SETUP, List.of(practised, odd, real), 1).of("cruise").pitch())
        .isEqualTo(6);
  }
}
