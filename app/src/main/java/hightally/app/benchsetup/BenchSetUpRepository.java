package hightally.app.benchsetup;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface BenchSetUpRepository extends JpaRepository<BenchSetUpEntity, Long> {
  Optional<BenchSetUpEntity> findFirstByAircraftIdAndState(
      long aircraftId, BenchSetUpEntity.State state);
}
