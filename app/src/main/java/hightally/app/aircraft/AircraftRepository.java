package hightally.app.aircraft;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface AircraftRepository extends JpaRepository<AircraftEntity, Long> {
  Page<AircraftEntity> findByPlaceAndNameContainingIgnoreCaseOrderByAttentionAscIdAsc(
      Place place, String part, Pageable page);

  List<AircraftEntity> findByPlaceNotOrderByPlaceSinceDesc(Place place);

  /** Says how soon a model wants its pilot; nothing else of it changes. */
  @Modifying
  @Query(
      "update AircraftEntity set attention = :attention where id = :id and attention <> :attention")
  void attend(long id, short attention);

  Optional<AircraftEntity> findByRequestKey(String requestKey);

  @Lock(LockModeType.PESSIMISTIC_WRITE)
  Optional<AircraftEntity> findLockedById(long id);
}
