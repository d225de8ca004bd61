package hightally.app.coach;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface MetalJobRepository extends JpaRepository<MetalJobEntity, Long> {
  List<MetalJobEntity> findByAircraftIdOrderById(long aircraftId);

  Optional<MetalJobEntity> findByAircraftIdAndRequestKey(long aircraftId, String requestKey);
}
