package hightally.app.school;

import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

/** Every practice. */
interface SchoolRepository extends JpaRepository<SchoolEntity, Long> {
  List<SchoolEntity> findAllByOrderByIdDesc(Limit limit);

  List<SchoolEntity> findByPassedTrue();

  Optional<SchoolEntity> findByRequestKey(String requestKey);
}
