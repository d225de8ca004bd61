package hightally.app.benchsetup;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface BenchAnswerRepository extends JpaRepository<BenchAnswerEntity, Long> {
  List<BenchAnswerEntity> findByBenchSetUpIdOrderById(long benchSetUpId);

  List<BenchAnswerEntity> findByAircraftIdOrderByIdDesc(long aircraftId);
}
