package hightally.app.device;

import hightally.app.platform.NotFoundException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Base64;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The devices that were let in. Each is known again by a long random word that only its browser
 * holds, at the address it was let in from, for a month.
 */
@Service
class Devices {
  static final Duration KNOWN_FOR = Duration.ofDays(30);
  private static final int WORD_BYTES = 32;

  /**
   * A device that was let in.
   *
   * @param lastSeen when it last asked for something; null where it has not since the program was
   *     started
   */
  record Device(
      long id, String name, String address, Instant letInAt, Instant until, Instant lastSeen) {}

  /** The word a device is known by from now on. */
  record LetIn(Device device, String word) {}

  private final DeviceRepository devices;
  private final OpenSockets sockets;
  private final Clock clock;
  private final SecureRandom random = new SecureRandom();
  private final Map<Long, Instant> seen = new ConcurrentHashMap<>();

  Devices(DeviceRepository devices, OpenSockets sockets, Clock clock) {
    this.devices = devices;
    this.sockets = sockets;
    this.clock = clock;
  }

  @Transactional
  LetIn letIn(String name, String address) {
    byte[] bytes = new byte[WORD_BYTES];
    random.nextBytes(bytes);
    String word = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    DeviceEntity entity =
        devices.saveAndFlush(new DeviceEntity(name, digest(word), address, clock.instant()));
    return new LetIn(read(entity), word);
  }

  /** Which device holds this word and asks from this address. */
  Optional<Device> knownBy(String word, String address) {
    Optional<DeviceEntity> found =
        devices
            .findByTokenHash(digest(word))
            .filter(one -> one.address().equals(address))
            .filter(one -> clock.instant().isBefore(one.letInAt().plus(KNOWN_FOR)));
    found.ifPresent(one -> seen.put(one.id(), clock.instant()));
    return found.map(this::read);
  }

  List<Device> all() {
    return devices.findAllByOrderByIdDesc().stream().map(this::read).toList();
  }

  /** Sends a device away: it is known no longer, and what it has open is closed. */
  @Transactional
  void sendAway(long id) {
    DeviceEntity entity =
        devices.findById(id).orElseThrow(() -> new NotFoundException("missing.device", id));
    devices.delete(entity);
    devices.flush();
    seen.remove(id);
    sockets.close(id);
  }

  private Device read(DeviceEntity entity) {
    return new Device(
        entity.id(),
        entity.name(),
        entity.address(),
        entity.letInAt(),
        entity.letInAt().plus(KNOWN_FOR),
        seen.get(entity.id()));
  }

  private static String digest(String word) {
    try {
      byte[] hash =
          MessageDigest.getInstance("SHA-256").digest(word.getBytes(StandardCharsets.UTF_8));
      return HexFormat.of().formatHex(hash);
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("Every Java has SHA-256", e);
    }
  }
}
