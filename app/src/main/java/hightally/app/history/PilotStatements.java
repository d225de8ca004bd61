package hightally.app.history;

import hightally.app.aircraft.Hangar;
import hightally.core.flightlog.Diagnosis.Observation;
import hightally.core.flightlog.Diagnosis.Seen;
import hightally.core.flightlog.MarkedSettled;
import hightally.core.flightlog.TrimSeries;
import hightally.core.flightlog.TrimSeries.TrimPoint;
import hightally.core.history.BenchReading;
import hightally.core.quantity.Control;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a pilot says of his model besides what he flies and turns. */
@Service
class PilotStatements {
  /** A reading this many times off was read in another unit, or at another place. */
  private static final double SENSIBLE = 4;

  private final MarkedSettledRepository words;
  private final BenchReadingRepository readings;
  private final Hangar hangar;
  private final AircraftHistories stories;
  private final Clock clock;

  PilotStatements(
      MarkedSettledRepository words,
      BenchReadingRepository readings,
      Hangar hangar,
      AircraftHistories stories,
      Clock clock) {
    this.words = words;
    this.readings = readings;
    this.hangar = hangar;
    this.stories = stories;
    this.clock = clock;
  }

  @Transactional
  void settled(long aircraftId, String phase, Control control, String because) {
    hangar.alone(aircraftId);
    TrimSeries series =
        stories
            .standing(aircraftId)
            .of(phase, control)
            .orElseThrow(
                () -> InvalidInputException.of("phase", phase, Said.of("demand.phaseOfModel")));
    long newest =
        series.points().stream()
            .filter(TrimPoint::counts)
            .mapToLong(TrimPoint::flight)
            .reduce((first, second) -> second)
            .orElseThrow(
                () -> InvalidInputException.of("phase", phase, Said.of("demand.flightThatCounts")));
    MarkedSettled word = Validation.check(new MarkedSettled(phase, control, newest, because));
    words.save(new MarkedSettledEntity(aircraftId, word, clock.instant()));
  }

  @Transactional
  void takenBack(long aircraftId, String phase, Control control) {
    words.deleteByAircraftIdAndPhaseAndControl(aircraftId, phase, control);
  }

  @Transactional(readOnly = true)
  Optional<BenchReading> measuredBy(long aircraftId, String requestKey) {
    return readings
        .findByAircraftIdAndRequestKey(aircraftId, requestKey)
        .map(BenchReadingEntity::read);
  }

  @Transactional
  BenchReading measured(
      long aircraftId,
      String surface,
      Seen kind,
      Control control,
      double amount,
      double mm,
      String requestKey) {
    int revision = hangar.newestHeader(aircraftId).number();
    Setup setup = hangar.newest(aircraftId).setup();
    BenchReading reading =
        Validation.check(
            new BenchReading(surface, kind, control, amount, mm, revision, LocalDate.now(clock)));
    Observation seen = reading.against(setup);
    double expected = Math.abs(seen.predicted());
    if (mm > SENSIBLE * Math.max(1, expected) || SENSIBLE * mm < expected) {
      throw InvalidInputException.of(
          "mm", mm, Said.of("demand.mmNotCm", "expected", Quantity.mm(expected)));
    }
    return readings
        .saveAndFlush(new BenchReadingEntity(aircraftId, reading, clock.instant(), requestKey))
        .read();
  }
}
