package hightally.app.adjustment;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface AdjustmentRepository extends JpaRepository<AdjustmentEntity, Long> {
  List<AdjustmentEntity> findByAircraftIdAndStateOrderById(
      long aircraftId, AdjustmentEntity.State state);

  List<AdjustmentEntity> findByAircraftIdAndFlightIdAndState(
      long aircraftId, long flightId, AdjustmentEntity.State state);

  Optional<AdjustmentEntity> findFirstByAircraftIdAndState(
      long aircraftId, AdjustmentEntity.State state);
}
