package hightally.app.school;

import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Every practice. */
interface SchoolRepository extends JpaRepository<SchoolEntity, Long> {
  List<SchoolEntity> findAllByOrderByIdDesc(Limit limit);

  List<SchoolEntity> findByPassedTrue();

  @Query("select one.id from SchoolEntity one order by one.id desc")
  List<Long> ids(Limit limit);

  @Query("select one.id from SchoolEntity one where one.passed")
  List<Long> passedIds();

  Optional<SchoolEntity> findByRequestKey(String requestKey);
}
