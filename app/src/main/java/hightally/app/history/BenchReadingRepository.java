package hightally.app.history;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface BenchReadingRepository extends JpaRepository<BenchReadingEntity, Long> {
  List<BenchReadingEntity> findByAircraftIdOrderById(long aircraftId);

  Optional<BenchReadingEntity> findByAircraftIdAndRequestKey(long aircraftId, String requestKey);
}
