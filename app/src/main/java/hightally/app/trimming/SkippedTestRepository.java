package hightally.app.trimming;

import hightally.core.trimming.TrimTest;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface SkippedTestRepository extends JpaRepository<SkippedTestEntity, Long> {
  List<SkippedTestEntity> findByAircraftIdOrderById(long aircraftId);

  Optional<SkippedTestEntity> findByAircraftIdAndTestAndPart(
      long aircraftId, TrimTest test, String part);
}
