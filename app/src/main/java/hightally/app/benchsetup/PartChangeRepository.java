package hightally.app.benchsetup;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface PartChangeRepository extends JpaRepository<PartChangeEntity, Long> {
  List<PartChangeEntity> findByAircraftIdOrderByIdDesc(long aircraftId);

  Optional<PartChangeEntity> findByAircraftIdAndRequestKey(long aircraftId, String requestKey);
}
