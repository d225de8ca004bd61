package hightally.app.device;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

/** A device that was let in. */
@Entity
@Table(name = "device")
class DeviceEntity {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private String name;
  private String tokenHash;
  private String address;
  private Instant letInAt;

  protected DeviceEntity() {}

  DeviceEntity(String name, String tokenHash, String address, Instant letInAt) {
    this.name = name;
    this.tokenHash = tokenHash;
    this.address = address;
    this.letInAt = letInAt;
  }

  long id() {
    return id;
  }

  String name() {
    return name;
  }

  String address() {
    return address;
  }

  Instant letInAt() {
    return letInAt;
  }
}
