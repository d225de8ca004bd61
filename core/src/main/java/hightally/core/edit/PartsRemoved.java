package hightally.core.edit;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Motor;
import hightally.core.airframe.Panel;
import hightally.core.airframe.Servo;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.channel.Lead;
import hightally.core.channel.Wiring;
import hightally.core.program.Mix;
import hightally.core.program.Phase;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.setup.Device;
import hightally.core.setup.Notebook;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** Removes a part with all that only served it; what others still need is refused, saying where. */
public final class PartsRemoved {
  private PartsRemoved() {}

  /**
   * The setup without a part.
   *
   * @param id of a surface, motor, panel, or of the input a simple channel follows
   */
  public static Setup of(Setup setup, String id) {
    Validation.check(setup);
    Setup without;
    if (setup.surface(id).isPresent()) {
      without = withoutSurface(setup, id);
    } else if (setup.airframe().motors().stream().anyMatch(motor -> motor.id().equals(id))) {
      without = withoutMotor(setup, id);
    } else if (setup.airframe().panels().stream().anyMatch(panel -> panel.id().equals(id))) {
      without = withoutPanel(setup, id);
    } else if (setup.device(id).isPresent() && setup.servo(id).isEmpty()) {
      without =
          setup
              .change()
              .channels(kept(setup.channels(), channel -> !channel.carries().equals(id)))
              .airframe(setup.airframe().withMotors(turnedByNone(setup, id)))
              .done();
    } else {
      throw InvalidInputException.of("id", id, Said.of("demand.removable"));
    }
    return Validation.check(tidied(without));
  }

  /** The motors, none turned round by the channel that goes. */
  private static List<Motor> turnedByNone(Setup setup, String input) {
    return setup.airframe().motors().stream()
        .map(
            motor ->
                setup
                        .channel(motor.reverserChannel())
                        .filter(one -> one.carries().equals(input))
                        .isPresent()
                    ? motor.reversedOn(Motor.NO_REVERSER)
                    : motor)
        .toList();
  }

  private static Setup withoutSurface(Setup setup, String id) {
    String driven =
        setup.surfaces().stream()
            .filter(one -> one.rod().driver() == DriverKind.SURFACE)
            .filter(one -> one.rod().driverId().equals(id))
            .map(Surface::name)
            .collect(Collectors.joining(", "));
    if (!driven.isEmpty()) {
      throw InvalidInputException.of("id", id, Said.of("demand.drivesNone", "driven", driven));
    }
    mixesUsing(setup, id);
    if (setup.surfaces().size() == 1) {
      throw InvalidInputException.of("id", id, Said.of("demand.oneLeft"));
    }
    List<Surface> left =
        kept(setup.surfaces(), one -> !one.id().equals(id)).stream()
            .map(one -> one.pair().equals(id) ? one.inPairWith("") : one)
            .toList();
    Set<String> needed = left.stream().map(one -> one.rod().driverId()).collect(Collectors.toSet());
    List<Servo> servos = kept(setup.servos(), servo -> needed.contains(servo.id()));
    return setup
        .change()
        .surfaces(left)
        .servos(servos)
        .channels(channels(setup, servos, left, id))
        .contacts(
            kept(setup.contacts(), one -> !one.first().equals(id) && !one.second().equals(id)))
        .phases(setup.phases().stream().map(phase -> without(phase, id)).toList())
        .notebook(
            new Notebook(
                kept(setup.notebook().goals(), one -> !one.surface().equals(id)),
                setup.notebook().sources(),
                kept(setup.notebook().accepted(), one -> !one.subject().equals(id)),
                setup.notebook().rolesFromNames(),
                kept(setup.notebook().typed(), one -> !one.surface().equals(id))))
        .done();
  }

  /**
   * Channels no servo listens to any more go; one that carried the surface carries the next on it.
   */
  private static List<Channel> channels(
      Setup setup, List<Servo> servos, List<Surface> surfaces, String gone) {
    List<Channel> left = new ArrayList<>();
    for (Channel channel : setup.channels()) {
      if (setup.surface(channel.carries()).isEmpty()) {
        left.add(channel);
        continue;
      }
      servos.stream()
          .filter(servo -> servo.channel() == channel.number())
          .flatMap(
              servo -> surfaces.stream().filter(one -> one.rod().driverId().equals(servo.id())))
          .findFirst()
          .ifPresent(
              next -> left.add(channel.carries().equals(gone) ? carrying(channel, next) : channel));
    }
    return left;
  }

  private static Channel carrying(Channel channel, Surface surface) {
    return channel.carrying(surface.id()).named(surface.name());
  }

  private static void mixesUsing(Setup setup, String id) {
    String names =
        setup.mixes().stream()
            .filter(
                mix ->
                    mix.subject().equals(id)
                        || mix.targets().stream().anyMatch(one -> one.target().equals(id)))
            .map(Mix::name)
            .collect(Collectors.joining(", "));
    if (!names.isEmpty()) {
      throw InvalidInputException.of("id", id, Said.of("demand.unusedByMix", "names", names));
    }
  }

  private static Setup withoutMotor(Setup setup, String id) {
    mixesUsing(setup, id);
    List<Motor> motors = kept(setup.airframe().motors(), one -> !one.id().equals(id));
    Set<Integer> used = motors.stream().map(Motor::channel).collect(Collectors.toSet());
    return setup
        .change()
        .airframe(setup.airframe().withMotors(motors))
        .channels(
            kept(setup.channels(), one -> !one.carriesThrottle() || used.contains(one.number())))
        .done();
  }

  private static Setup withoutPanel(Setup setup, String id) {
    String carried =
        setup.surfaces().stream()
            .filter(one -> one.place().panel().equals(id))
            .map(Surface::name)
            .collect(Collectors.joining(", "));
    if (!carried.isEmpty()) {
      throw InvalidInputException.of("id", id, Said.of("demand.emptyPanel", "carried", carried));
    }
    List<Panel> panels =
        kept(setup.airframe().panels(), one -> !one.id().equals(id)).stream()
            .map(one -> one.pair().equals(id) ? one.inPairWith("") : one)
            .toList();
    return setup.change().airframe(setup.airframe().withPanels(panels)).done();
  }

  /** Leads whose device has gone go with it, and failsafe settings of channels that have. */
  private static Setup tidied(Setup setup) {
    Set<String> devices = Device.of(setup).stream().map(Device::id).collect(Collectors.toSet());
    Wiring wiring = setup.wiring();
    List<Lead> leads = kept(wiring.leads(), lead -> devices.contains(lead.device()));
    return setup
        .change()
        .wiring(new Wiring(wiring.receiver(), leads, wiring.between()))
        .done()
        .withoutLostFailsafe();
  }

  private static Phase without(Phase phase, String surface) {
    return phase
        .withPresets(kept(phase.presets(), one -> !one.surface().equals(surface)))
        .withDifferential(kept(phase.differential(), one -> !one.surface().equals(surface)));
  }

  private static <T> List<T> kept(List<T> list, java.util.function.Predicate<T> keep) {
    return list.stream().filter(keep).toList();
  }
}
