package hightally.app.adjustment;

import hightally.app.aircraft.RevisionHold;
import hightally.core.quantity.Said;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * While a work order is open its rods stand between two states: a revision saved meanwhile would
 * describe neither.
 */
@Component
class OpenOrders implements RevisionHold {
  private final AdjustmentRepository adjustments;

  OpenOrders(AdjustmentRepository adjustments) {
    this.adjustments = adjustments;
  }

  @Override
  public Optional<Said> why(long aircraftId) {
    return adjustments
        .findFirstByAircraftIdAndState(aircraftId, AdjustmentEntity.State.OPEN)
        .map(
            open ->
                Said.of(
                    "refused.openWorkOrder", "revision", String.valueOf(open.revisionNumber())));
  }
}
