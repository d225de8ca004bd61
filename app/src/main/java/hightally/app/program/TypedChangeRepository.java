package hightally.app.program;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** What was changed in transmitters. */
interface TypedChangeRepository extends JpaRepository<TypedChangeEntity, Long> {
  List<TypedChangeEntity> findByAircraftIdOrderByIdDesc(long aircraftId);

  Optional<TypedChangeEntity> findFirstByAircraftIdAndTransmitterAndKeyOrderByIdDesc(
      long aircraftId, String transmitter, String key);
}
