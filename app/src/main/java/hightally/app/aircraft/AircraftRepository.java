package hightally.app.aircraft;

import jakarta.persistence.LockModeType;
import java.util.Optional;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;

interface AircraftRepository extends JpaRepository<AircraftEntity, Long> {
  Page<AircraftEntity> findByNameContainingIgnoreCaseOrderById(String part, Pageable page);

  Optional<AircraftEntity> findByRequestKey(String requestKey);

  @Lock(LockModeType.PESSIMISTIC_WRITE)
  Optional<AircraftEntity> findLockedById(long id);
}
