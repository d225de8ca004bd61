package hightally.app.trimming;

import hightally.app.aircraft.Lineage;
import hightally.app.flightlog.FlightLog;
import hightally.app.history.ChangeSource;
import hightally.core.flightlog.SeriesBreak;
import hightally.core.history.History;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Component;

/** Washers and weight across part the trims; a balance point is noted with every flight. */
@Component
class ModelChangeBreaks implements ChangeSource {
  private final ModelChangeRepository jobs;
  private final FlightLog flights;
  private final Lineage lineage;

  ModelChangeBreaks(ModelChangeRepository jobs, FlightLog flights, Lineage lineage) {
    this.jobs = jobs;
    this.flights = flights;
    this.lineage = lineage;
  }

  @Override
  public List<History.Change> of(long aircraftId) {
    return jobs.findByAircraftIdOrderById(aircraftId).stream()
        .map(ModelChangeEntity::read)
        .filter(one -> one.state() == ModelChange.State.DONE)
        .map(one -> change(aircraftId, one))
        .toList();
  }

  private History.Change change(long aircraftId, ModelChange job) {
    SeriesBreak parting =
        new SeriesBreak(
            revision(aircraftId, job.closedAt()),
            null,
            flights.firstNotedAfter(aircraftId, job.closedAt()),
            List.of(),
            controls(job),
            Said.of("coach.moved", "lever", job.lever()));
    return new History.Change(parting, List.of(), "", false);
  }

  /** The revision a model was at. */
  private int revision(long aircraftId, Instant at) {
    return lineage.all(aircraftId).stream()
        .filter(one -> !one.revision().createdAt().isAfter(at))
        .mapToInt(one -> one.revision().number())
        .max()
        .orElse(1);
  }

  private static List<Control> controls(ModelChange job) {
    return switch (job.lever()) {
      case DOWN_THRUST -> List.of(Control.PITCH);
      case RIGHT_THRUST -> List.of(Control.YAW);
      case LATERAL -> List.of(Control.ROLL);
      default -> List.of();
    };
  }
}
