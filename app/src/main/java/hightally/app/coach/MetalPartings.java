package hightally.app.coach;

import hightally.app.flight.TrimParting;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import java.util.List;
import org.springframework.stereotype.Component;

/** Washers and weight across part the trims; a balance point is noted with every flight. */
@Component
class MetalPartings implements TrimParting {
  private final MetalJobRepository jobs;

  MetalPartings(MetalJobRepository jobs) {
    this.jobs = jobs;
  }

  @Override
  public List<Parted> of(long aircraftId) {
    return jobs.findByAircraftIdOrderById(aircraftId).stream()
        .map(MetalJobEntity::read)
        .filter(one -> one.state() == MetalJob.State.DONE)
        .filter(one -> !controls(one).isEmpty())
        .map(
            one ->
                new Parted(
                    one.closedAt(), controls(one), Said.of("coach.moved", "lever", one.lever())))
        .toList();
  }

  private static List<Control> controls(MetalJob job) {
    return switch (job.lever()) {
      case DOWN_THRUST -> List.of(Control.PITCH);
      case RIGHT_THRUST -> List.of(Control.YAW);
      case LATERAL -> List.of(Control.ROLL);
      default -> List.of();
    };
  }
}
