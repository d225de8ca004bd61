package hightally.app.guide;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface PartChangeRepository extends JpaRepository<PartChangeEntity, Long> {
  List<PartChangeEntity> findByAircraftIdOrderByIdDesc(long aircraftId);
}
