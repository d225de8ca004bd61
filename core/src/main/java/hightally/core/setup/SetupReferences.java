package hightally.core.setup;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Rod;
import hightally.core.airframe.Servo;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.quantity.Control;
import hightally.core.quantity.Violation;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;

/** Checks that what a setup's parts say of one another is there, once, and without a loop. */
final class SetupReferences {
  private final Setup setup;
  private final String path;
  private final Consumer<Violation> found;

  SetupReferences(Setup setup, String path, Consumer<Violation> found) {
    this.setup = setup;
    this.path = path;
    this.found = found;
  }

  void check() {
    unique("surfaces", "id", setup.surfaces(), Surface::id);
    unique("servos", "id", setup.servos(), Servo::id);
    unique("channels", "number", setup.channels(), Channel::number);
    unique("channels", "carries", setup.channels(), Channel::carries);
    unique("airframe.panels", "id", setup.airframe().panels(), panel -> panel.id());
    channels();
    servos();
    surfaces();
    trims();
  }

  private <T> void unique(String list, String field, List<T> items, Function<T, Object> key) {
    Set<Object> seen = new HashSet<>();
    for (int i = 0; i < items.size(); i++) {
      Object value = key.apply(items.get(i));
      if (!seen.add(value)) {
        report(list + "[" + i + "]." + field, value, "different from the others in " + list);
      }
    }
  }

  private void channels() {
    for (int i = 0; i < setup.channels().size(); i++) {
      Channel channel = setup.channels().get(i);
      if (!channel.carriesThrottle() && setup.surface(channel.carries()).isEmpty()) {
        report("channels[" + i + "].carries", channel.carries(), "a surface's id, or throttle");
      }
    }
  }

  private void servos() {
    for (int i = 0; i < setup.servos().size(); i++) {
      int number = setup.servos().get(i).channel();
      if (setup.channel(number).filter(channel -> !channel.carriesThrottle()).isEmpty()) {
        report("servos[" + i + "].channel", number, "a channel that carries a surface");
      }
    }
  }

  private void surfaces() {
    for (int i = 0; i < setup.surfaces().size(); i++) {
      Surface surface = setup.surfaces().get(i);
      String at = "surfaces[" + i + "]";
      place(surface, at);
      driver(surface, at);
    }
  }

  private void place(Surface surface, String at) {
    String panel = surface.place().panel();
    if (setup.airframe().panels().stream().noneMatch(other -> other.id().equals(panel))) {
      report(at + ".place.panel", panel, "the id of a panel of the airframe");
    }
    if (surface.place().from() >= surface.place().to()) {
      report(at + ".place.to", surface.place().to(), "more than the inner end");
    }
  }

  private void driver(Surface surface, String at) {
    Rod rod = surface.rod();
    if (rod.driver() == DriverKind.SERVO && setup.servo(rod.driverId()).isEmpty()) {
      report(at + ".rod.driverId", rod.driverId(), "a servo's id");
    } else if (rod.driver() == DriverKind.SURFACE && !endsAtServo(surface)) {
      report(at + ".rod.driverId", rod.driverId(), "a surface that a servo moves in the end");
    }
  }

  /** Follows slave rods; more steps than there are surfaces means a loop. */
  private boolean endsAtServo(Surface start) {
    Surface surface = start;
    for (int steps = 0; steps <= setup.surfaces().size(); steps++) {
      if (surface.rod().driver() == DriverKind.SERVO) {
        return setup.servo(surface.rod().driverId()).isPresent();
      }
      surface = setup.surface(surface.rod().driverId()).orElse(null);
      if (surface == null) {
        return false;
      }
    }
    return false;
  }

  private void trims() {
    int range = setup.transmitter().trimRangeClicks();
    for (Control control : Control.values()) {
      int clicks = setup.trims().of(control);
      if (Math.abs(clicks) > range) {
        String field = "trims." + control.name().toLowerCase(java.util.Locale.ROOT);
        report(field, clicks, -range + " to " + range + " clicks, the transmitter's trim range");
      }
    }
  }

  private void report(String field, Object value, String requirement) {
    found.accept(new Violation(path + field, String.valueOf(value), requirement));
  }
}
