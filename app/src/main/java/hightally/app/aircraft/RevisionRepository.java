package hightally.app.aircraft;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface RevisionRepository extends JpaRepository<RevisionEntity, Long> {
  List<RevisionEntity> findByAircraftIdOrderByNumberDesc(long aircraftId);

  Optional<RevisionEntity> findByAircraftIdAndNumber(long aircraftId, int number);
}
