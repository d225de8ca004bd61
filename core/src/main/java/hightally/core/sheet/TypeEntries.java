package hightally.core.sheet;

import hightally.core.airframe.SurfaceRole;
import hightally.core.channel.EntrySection;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.util.List;

/** Wing and tail type by name, as transmitters ask for them first: counted by channels. */
final class TypeEntries {
  private final List<SurfaceRole> roles;
  private final EntryWriter writer;

  TypeEntries(Setup setup, EntryWriter writer) {
    this.writer = writer;
    roles =
        setup.channels().stream()
            .flatMap(one -> setup.surface(one.carries()).stream())
            .map(one -> one.role())
            .toList();
  }

  void add() {
    long elevons = count(SurfaceRole.ELEVON);
    long ailerons = count(SurfaceRole.AILERON) + count(SurfaceRole.FLAPERON);
    Said wing =
        Said.of(
            "entry.wing",
            "kind",
            elevons > 0 ? "elevons" : "ailerons",
            "elevons",
            (int) elevons,
            "ailerons",
            (int) ailerons,
            "flaps",
            (int) count(SurfaceRole.FLAP),
            "spoilers",
            (int) count(SurfaceRole.SPOILER));
    long vTail = count(SurfaceRole.V_TAIL);
    long elevators = count(SurfaceRole.ELEVATOR);
    Said tail =
        Said.of(
            "entry.tail",
            "kind",
            vTail > 0 ? "vTail" : elevators > 0 ? "elevators" : "none",
            "elevators",
            (int) elevators,
            "rudders",
            (int) count(SurfaceRole.RUDDER));
    type("wing-type", Said.of("program.wingType"), wing);
    type("tail-type", Said.of("program.tailType"), tail);
  }

  private void type(String key, Said what, Said value) {
    writer.add(EntrySection.DIRECTION, key, Said.of("program.transmitter"), what, value, "");
  }

  private long count(SurfaceRole role) {
    return roles.stream().filter(one -> one == role).count();
  }
}
