package hightally.app.flight;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface FlightRepository extends JpaRepository<FlightEntity, Long> {
  List<FlightEntity> findByAircraftIdOrderByFlownOnDescIdDesc(long aircraftId);
}
