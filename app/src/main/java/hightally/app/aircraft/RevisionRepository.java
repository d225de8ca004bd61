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

  List<RevisionEntity> findByAircraftIdOrderByNumber(long aircraftId);

  /** Models with revisions from before this was kept. */
  @Query(
      "select distinct one.aircraftId from RevisionEntity one where one.trimsHoldSince is null"
          + " order by one.aircraftId")
  List<Long> aircraftWithOlderOnes();

  List<RevisionEntity> findByAircraftIdAndTrimsHoldSinceIsNullOrderByNumberAsc(long aircraftId);
}
