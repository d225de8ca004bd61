package hightally.app.adjustment;

import hightally.app.aircraft.Hangar;
import hightally.app.aircraft.Revision;
import hightally.app.flight.Flight;
import hightally.app.flight.FlightLog;
import hightally.app.platform.ConflictException;
import hightally.app.platform.NotFoundException;
import hightally.core.adjustment.AdjustmentPlan;
import hightally.core.adjustment.AdjustmentPlanner;
import hightally.core.quantity.InvalidInputException;
import java.time.Clock;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Moving trims into metal: a plan from a flight, a work order to follow, a new revision at its end.
 *
 * <p>A plan is not stored: it follows from the revision and the clicks taken over when the work was
 * begun, neither of which can change under an open work order.
 */
@Service
public class Adjustments {
  private final AdjustmentRepository adjustments;
  private final Hangar hangar;
  private final FlightLog flights;
  private final Clock clock;

  Adjustments(AdjustmentRepository adjustments, Hangar hangar, FlightLog flights, Clock clock) {
    this.adjustments = adjustments;
    this.hangar = hangar;
    this.flights = flights;
    this.clock = clock;
  }

  /** What the trims of a flight would mean for the rods. */
  @Transactional(readOnly = true)
  public AdjustmentPlan preview(long aircraftId, long flightId) {
    Flight flight = flights.flight(aircraftId, flightId);
    Revision newest = hangar.newest(aircraftId);
    if (flight.revisionNumber() != newest.number()) {
      throw new ConflictException(
          "This flight was on revision "
              + flight.revisionNumber()
              + ", but the model is at revision "
              + newest.number()
              + ". Fly it as it is now, and adjust from that flight.");
    }
    return AdjustmentPlanner.plan(newest.setup(), flight.report().trims());
  }

  /** The work order that is open for an aircraft. */
  @Transactional(readOnly = true)
  public Optional<OpenAdjustment> open(long aircraftId) {
    return entity(aircraftId).map(this::read);
  }

  /** Begins a work order from a flight. */
  @Transactional
  public OpenAdjustment begin(long aircraftId, long flightId) {
    if (entity(aircraftId).isPresent()) {
      throw new ConflictException("An adjustment of this model is open already: finish it first.");
    }
    preview(aircraftId, flightId);
    Flight flight = flights.flight(aircraftId, flightId);
    return read(adjustments.save(new AdjustmentEntity(flight, clock.instant())));
  }

  /** Keeps the step the pilot is at, so that the work can be left and taken up again. */
  @Transactional
  public OpenAdjustment moveTo(long aircraftId, int step, int version) {
    AdjustmentEntity found = current(aircraftId, version);
    int last = read(found).plan().steps().size() - 1;
    if (step < 0 || step > last) {
      throw InvalidInputException.of("step", step, "0 to " + last);
    }
    found.moveTo(step);
    return read(adjustments.saveAndFlush(found));
  }

  /** Closes the work order with a new revision: rods changed, trims at zero. */
  @Transactional
  public Revision close(long aircraftId, int version) {
    AdjustmentEntity found = current(aircraftId, version);
    OpenAdjustment open = read(found);
    if (open.step() != open.plan().steps().size() - 1) {
      throw InvalidInputException.of("step", open.step(), "the last one before closing");
    }
    Flight flight = flights.flight(aircraftId, found.flightId());
    String reason =
        "Trims of the flight on "
            + flight.report().flownOn()
            + " moved into the rods: "
            + found.trims().words(control -> true);
    Revision made =
        hangar.revise(aircraftId, found.revisionNumber(), open.plan().after(), reason, found.id());
    found.close(made.number(), clock.instant());
    return made;
  }

  /** Gives the work order up; the setup stays as it was. */
  @Transactional
  public void abandon(long aircraftId, int version) {
    current(aircraftId, version).abandon(clock.instant());
  }

  private AdjustmentEntity current(long aircraftId, int version) {
    AdjustmentEntity found =
        entity(aircraftId)
            .orElseThrow(() -> new NotFoundException("open adjustment of aircraft", aircraftId));
    if (found.version() != version) {
      throw new ConflictException(
          "This work order was moved on from another page. Reload to see where it stands.");
    }
    return found;
  }

  private Optional<AdjustmentEntity> entity(long aircraftId) {
    return adjustments.findFirstByAircraftIdAndState(aircraftId, AdjustmentEntity.State.OPEN);
  }

  private OpenAdjustment read(AdjustmentEntity entity) {
    AdjustmentPlan plan =
        AdjustmentPlanner.plan(
            hangar.revision(entity.aircraftId(), entity.revisionNumber()).setup(), entity.trims());
    return new OpenAdjustment(
        entity.id(),
        entity.flightId(),
        entity.revisionNumber(),
        entity.step(),
        entity.version(),
        plan);
  }
}
