package hightally.app.adjustment;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface AdjustmentRepository extends JpaRepository<AdjustmentEntity, Long> {
  Optional<AdjustmentEntity> findFirstByAircraftIdAndResultRevision(
      long aircraftId, Integer resultRevision);

  Optional<AdjustmentEntity> findFirstByAircraftIdAndState(
      long aircraftId, AdjustmentEntity.State state);
}
