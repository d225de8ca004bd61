package hightally.app.flightlog;

import hightally.app.platform.KeptRows;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface FlightRepository extends JpaRepository<FlightEntity, Long> {
  Page<FlightEntity> findByAircraftIdOrderByFlownOnDescIdDesc(long aircraftId, Pageable page);

  /** Number and version of each, newest first. */
  @Query(
      "select new hightally.app.platform.KeptRows$Row(f.id, f.version, 0) from FlightEntity f"
          + " where f.aircraftId = :aircraftId order by f.flownOn desc, f.id desc")
  List<KeptRows.Row> rows(long aircraftId, Limit limit);

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

  /** Of rows that are there, those noted after a moment. */
  @Query(
      "select min(f.id) from FlightEntity f where f.aircraftId = :aircraftId and f.createdAt > :at")
  Long firstNotedAfter(long aircraftId, Instant at);

  /** Brings a deleted flight back. */
  @Modifying(clearAutomatically = true, flushAutomatically = true)
  @Query(
      value =
          "update flight set deleted_at = null, version = version + 1"
              + " where id = :id and aircraft_id = :aircraftId and deleted_at is not null",
      nativeQuery = true)
  int bringBack(long aircraftId, long id);

  List<FlightEntity> findByAircraftIdAndFlownOnOrderById(long aircraftId, LocalDate flownOn);

  List<FlightEntity> findByAircraftIdAndFlownOnAndCreatedAtAfterOrderById(
      long aircraftId, LocalDate flownOn, Instant since);

  Optional<FlightEntity> findByAircraftIdAndRequestKey(long aircraftId, String requestKey);
}
