package hightally.app.flight;

import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface FlightRepository extends JpaRepository<FlightEntity, Long> {
  Page<FlightEntity> findByAircraftIdOrderByFlownOnDescIdDesc(long aircraftId, Pageable page);

  long countByAircraftId(long aircraftId);

  long countByAircraftIdAndRevisionNumberGreaterThanEqual(long aircraftId, int revisionNumber);

  Optional<FlightEntity>
      findFirstByAircraftIdAndRevisionNumberGreaterThanEqualOrderByFlownOnDescIdDesc(
          long aircraftId, int revisionNumber);

  Optional<FlightEntity>
      findFirstByAircraftIdAndRevisionNumberGreaterThanEqualOrderByFlownOnAscIdAsc(
          long aircraftId, int revisionNumber);

  /** Flights that name a phase, newest first; the readings are kept as one column of JSON. */
  @Query(
      "select f from FlightEntity f where f.aircraftId = :aircraftId"
          + " and f.revisionNumber >= :since and cast(f.phases as string) like :named"
          + " order by f.flownOn desc, f.id desc")
  List<FlightEntity> flownIn(long aircraftId, int since, String named, Limit limit);

  Optional<FlightEntity> findByAircraftIdAndRequestKey(long aircraftId, String requestKey);
}
