package hightally.core.setup;

import hightally.core.airframe.Contact;
import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Motor;
import hightally.core.airframe.Panel;
import hightally.core.airframe.Rod;
import hightally.core.airframe.Servo;
import hightally.core.airframe.Side;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.channel.InputKind;
import hightally.core.channel.Lead;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
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
    unique("channels", "carries", setup.channels(), SetupReferences::carriedOnce);
    unique("airframe.panels", "id", setup.airframe().panels(), panel -> panel.id());
    unique("airframe.motors", "id", setup.airframe().motors(), Motor::id);
    unique("wiring.leads", "device", setup.wiring().leads(), Lead::device);
    channels();
    servos();
    motors();
    surfaces();
    pairs();
    leads();
    known("contacts", "first", setup.contacts(), Contact::first);
    known("contacts", "second", setup.contacts(), Contact::second);
    new ProgramReferences(setup, path, found).check();
    known("notebook.goals", "surface", setup.notebook().goals(), ThrowGoal::surface);
    trims();
  }

  /** Several channels may carry the throttle, one for each motor; all else has one. */
  private static Object carriedOnce(Channel channel) {
    return channel.carriesThrottle() ? channel.number() : channel.carries();
  }

  private <T> void known(String list, String field, List<T> items, Function<T, String> surface) {
    for (int i = 0; i < items.size(); i++) {
      String id = surface.apply(items.get(i));
      if (setup.surface(id).isEmpty()) {
        report(list + "[" + i + "]." + field, id, Said.of("demand.surfacesId"));
      }
    }
  }

  private <T> void unique(String list, String field, List<T> items, Function<T, Object> key) {
    Set<Object> seen = new HashSet<>();
    for (int i = 0; i < items.size(); i++) {
      Object value = key.apply(items.get(i));
      if (!seen.add(value)) {
        report(
            list + "[" + i + "]." + field, value, Said.of("demand.differentWithin", "list", list));
      }
    }
  }

  private void channels() {
    for (int i = 0; i < setup.channels().size(); i++) {
      Channel channel = setup.channels().get(i);
      boolean known =
          channel.carriesThrottle()
              || setup.surface(channel.carries()).isPresent()
              || setup.transmitter().inputIndex(channel.carries()) >= 0;
      if (!known) {
        report("channels[" + i + "].carries", channel.carries(), Said.of("demand.curveSource"));
      }
      if (channel.steady() && setup.surface(channel.carries()).isEmpty()) {
        report("channels[" + i + "].steady", "true", Said.of("demand.steadyCarriesSurface"));
      }
    }
  }

  private void servos() {
    for (int i = 0; i < setup.servos().size(); i++) {
      int number = setup.servos().get(i).channel();
      if (setup.channel(number).flatMap(one -> setup.surface(one.carries())).isEmpty()) {
        report("servos[" + i + "].channel", number, Said.of("demand.channelCarriesSurface"));
      }
    }
  }

  private void motors() {
    for (int i = 0; i < setup.airframe().motors().size(); i++) {
      int number = setup.airframe().motors().get(i).channel();
      if (setup.channel(number).filter(Channel::carriesThrottle).isEmpty()) {
        report(
            "airframe.motors[" + i + "].channel", number, Said.of("demand.channelCarriesThrottle"));
      }
      Motor motor = setup.airframe().motors().get(i);
      if (motor.hasReverser() && !carriesSwitch(motor.reverserChannel())) {
        report(
            "airframe.motors[" + i + "].reverserChannel",
            motor.reverserChannel(),
            Said.of("demand.reverserCarriesSwitch"));
      }
    }
  }

  private boolean carriesSwitch(int number) {
    return setup
        .channel(number)
        .map(one -> setup.transmitter().inputIndex(one.carries()))
        .filter(index -> index >= 0)
        .filter(index -> setup.transmitter().inputs().get(index).kind() == InputKind.SWITCH)
        .isPresent();
  }

  private void leads() {
    for (int i = 0; i < setup.wiring().leads().size(); i++) {
      String device = setup.wiring().leads().get(i).device();
      if (setup.device(device).isEmpty()) {
        report("wiring.leads[" + i + "].device", device, Said.of("demand.channelSubject"));
      }
    }
  }

  private void levers(Surface surface, String at) {
    for (int i = 0; i < surface.shares().levers().size(); i++) {
      String input = surface.shares().levers().get(i).input();
      if (setup.transmitter().inputIndex(input) < 0) {
        report(at + ".shares.levers[" + i + "].input", input, Said.of("demand.idLeverSwitch"));
      }
    }
  }

  private void surfaces() {
    for (int i = 0; i < setup.surfaces().size(); i++) {
      Surface surface = setup.surfaces().get(i);
      String at = "surfaces[" + i + "]";
      place(surface, at);
      driver(surface, at);
      levers(surface, at);
    }
  }

  /** What mirrors something is there, says the same back and, of surfaces, is across. */
  private void pairs() {
    for (int i = 0; i < setup.surfaces().size(); i++) {
      Surface one = setup.surfaces().get(i);
      boolean across =
          setup
              .surface(one.pair())
              .filter(other -> other.pair().equals(one.id()))
              .filter(other -> one.side() != Side.CENTRE && other.side() == one.side().other())
              .isPresent();
      if (!one.pair().isEmpty() && !across) {
        report("surfaces[" + i + "].pair", one.pair(), Said.of("demand.pairedSurface"));
      }
    }
    List<Panel> panels = setup.airframe().panels();
    for (int i = 0; i < panels.size(); i++) {
      Panel one = panels.get(i);
      boolean mutual =
          panels.stream()
              .anyMatch(
                  other ->
                      other != one
                          && other.id().equals(one.pair())
                          && other.pair().equals(one.id()));
      if (!one.pair().isEmpty() && !mutual) {
        report("airframe.panels[" + i + "].pair", one.pair(), Said.of("demand.pairedPanel"));
      }
    }
  }

  private void place(Surface surface, String at) {
    String panel = surface.place().panel();
    if (setup.airframe().panels().stream().noneMatch(other -> other.id().equals(panel))) {
      report(at + ".place.panel", panel, Said.of("demand.idPanelAirframe"));
    }
    if (surface.place().from() >= surface.place().to()) {
      report(at + ".place.to", surface.place().to(), Said.of("demand.beyondInnerEnd"));
    }
  }

  private void driver(Surface surface, String at) {
    Rod rod = surface.rod();
    if (rod.driver() == DriverKind.SERVO && setup.servo(rod.driverId()).isEmpty()) {
      report(at + ".rod.driverId", rod.driverId(), Said.of("demand.servosId"));
    } else if (rod.driver() == DriverKind.SURFACE && !endsAtServo(surface)) {
      report(at + ".rod.driverId", rod.driverId(), Said.of("demand.servoMoves"));
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
        String field = "trims." + control.word();
        report(field, clicks, Said.of("demand.clicksInRange", "range", -range, "range2", range));
      }
    }
  }

  private void report(String field, Object value, Said requirement) {
    found.accept(Violation.of(path + field, value, requirement));
  }
}
