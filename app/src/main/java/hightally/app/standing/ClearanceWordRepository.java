package hightally.app.standing;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface ClearanceWordRepository extends JpaRepository<ClearanceWordEntity, Long> {
  Optional<ClearanceWordEntity> findFirstByAircraftIdOrderByIdDesc(long aircraftId);

  void deleteByAircraftId(long aircraftId);
}
