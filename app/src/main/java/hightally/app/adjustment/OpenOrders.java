package hightally.app.adjustment;

import hightally.app.aircraft.RevisionHold;
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
  public Optional<String> why(long aircraftId) {
    return adjustments
        .findFirstByAircraftIdAndState(aircraftId, AdjustmentEntity.State.OPEN)
        .map(
            open ->
                "A work order for the rods of this model is open, on revision "
                    + open.revisionNumber()
                    + ". Finish it or give it up under Adjust, then save: what you changed is still"
                    + " on this page.");
  }
}
