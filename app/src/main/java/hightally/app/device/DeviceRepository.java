package hightally.app.device;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface DeviceRepository extends JpaRepository<DeviceEntity, Long> {
  Optional<DeviceEntity> findByTokenHash(String tokenHash);

  List<DeviceEntity> findAllByOrderByIdDesc();
}
