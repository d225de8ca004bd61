package hightally.app.aircraft;

import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface RevisionRepository extends JpaRepository<RevisionEntity, Long> {
  Page<RevisionEntity> findByAircraftIdOrderByNumberDesc(long aircraftId, Pageable page);

  Optional<RevisionEntity> findByAircraftIdAndNumber(long aircraftId, int number);

  List<RevisionEntity> findByAircraftIdAndNumberIn(long aircraftId, List<Integer> numbers);

  boolean existsByAircraftIdAndNumberGreaterThanAndCorrectsTrue(long aircraftId, int number);

  @Query(
      "select r from RevisionEntity r where r.aircraftId = :aircraftId"
          + " and r.trimsHoldSince = r.number and r.number > :after order by r.number")
  List<RevisionEntity> partings(long aircraftId, int after);

  /** Of models from before this was kept. */
  List<RevisionEntity> findByTrimsHoldSinceIsNullOrderByAircraftIdAscNumberAsc(Pageable page);
}
