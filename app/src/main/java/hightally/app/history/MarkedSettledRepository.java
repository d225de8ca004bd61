package hightally.app.history;

import hightally.core.quantity.Control;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface MarkedSettledRepository extends JpaRepository<MarkedSettledEntity, Long> {
  List<MarkedSettledEntity> findByAircraftIdOrderById(long aircraftId);

  void deleteByAircraftIdAndPhaseAndControl(long aircraftId, String phase, Control control);
}
