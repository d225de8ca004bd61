package hightally.app.trimming;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface ModelChangeRepository extends JpaRepository<ModelChangeEntity, Long> {
  List<ModelChangeEntity> findByAircraftIdOrderById(long aircraftId);

  Optional<ModelChangeEntity> findByAircraftIdAndRequestKey(long aircraftId, String requestKey);
}
