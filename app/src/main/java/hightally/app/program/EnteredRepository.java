package hightally.app.program;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** What was typed into transmitters. */
interface EnteredRepository extends JpaRepository<EnteredEntity, Long> {
  List<EnteredEntity> findByAircraftIdAndTransmitter(long aircraftId, String transmitter);

  Optional<EnteredEntity> findByAircraftIdAndTransmitterAndKey(
      long aircraftId, String transmitter, String key);

  boolean existsByAircraftId(long aircraftId);
}
