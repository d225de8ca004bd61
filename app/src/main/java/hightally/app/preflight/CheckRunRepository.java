package hightally.app.preflight;

import hightally.core.preflight.CheckKind;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

interface CheckRunRepository extends JpaRepository<CheckRunEntity, Long> {
  List<CheckRunEntity> findByAircraftIdOrderByCreatedAtDescIdDesc(long aircraftId, Limit limit);

  Optional<CheckRunEntity> findFirstByAircraftIdAndState(long aircraftId, CheckRun.Stage state);

  Optional<CheckRunEntity> findFirstByAircraftIdAndKindAndStateOrderByCreatedAtDescIdDesc(
      long aircraftId, CheckKind kind, CheckRun.Stage state);

  Optional<CheckRunEntity> findByAircraftIdAndRequestKey(long aircraftId, String requestKey);
}
