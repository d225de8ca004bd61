package hightally.app.story;

import hightally.core.quantity.Control;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface SettledWordRepository extends JpaRepository<SettledWordEntity, Long> {
  List<SettledWordEntity> findByAircraftIdOrderById(long aircraftId);

  void deleteByAircraftIdAndPhaseAndControl(long aircraftId, String phase, Control control);
}
