package hightally.app.aircraft;

import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;

interface RevisionRepository extends JpaRepository<RevisionEntity, Long> {
  Page<RevisionEntity> findByAircraftIdOrderByNumberDesc(long aircraftId, Pageable page);

  Optional<RevisionEntity> findByAircraftIdAndNumber(long aircraftId, int number);

  List<RevisionEntity> findByAircraftIdAndNumberIn(long aircraftId, List<Integer> numbers);

  List<RevisionEntity> findByAircraftIdOrderByNumber(long aircraftId);

  /** Of models from before this was kept. */
  List<RevisionEntity> findByTrimsHoldSinceIsNullOrderByAircraftIdAscNumberAsc(Pageable page);
}
