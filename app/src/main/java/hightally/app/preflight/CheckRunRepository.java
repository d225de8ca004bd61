package hightally.app.preflight;

import hightally.app.platform.KeptRows;
import hightally.core.preflight.CheckKind;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface CheckRunRepository extends JpaRepository<CheckRunEntity, Long> {
  /** Number and version of each, newest first. */
  @Query(
      "select new hightally.app.platform.KeptRows$Row(c.id, c.version, 0)"
          + " from CheckRunEntity c where c.aircraftId = :aircraftId"
          + " order by c.createdAt desc, c.id desc")
  List<KeptRows.Row> rows(long aircraftId, Limit limit);

  Optional<CheckRunEntity> findFirstByAircraftIdAndState(long aircraftId, CheckRun.Stage state);

  Optional<CheckRunEntity> findFirstByAircraftIdAndKindAndStateOrderByCreatedAtDescIdDesc(
      long aircraftId, CheckKind kind, CheckRun.Stage state);

  Optional<CheckRunEntity> findByAircraftIdAndRequestKey(long aircraftId, String requestKey);
}
