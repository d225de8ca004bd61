package hightally.core.edit;

import hightally.core.airframe.Motor;
import hightally.core.airframe.Servo;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Text;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import java.util.List;

/**
 * A surface or motor under another name, with all that was called after it: its servo and its
 * channel. What is written on a lead stays, it is written there.
 */
public final class Renamed {
  private Renamed() {}

  /**
   * What is asked.
   *
   * @param part id of the surface or motor
   */
  public record NameWish(Setup setup, @Text(max = 40) String part, @Text(max = 60) String name) {}

  /** The setup with it. */
  public static Setup of(NameWish wish) {
    Validation.check(wish);
    Setup setup = wish.setup();
    String name = wish.name().trim();
    if (setup.surface(wish.part()).isPresent()) {
      return Validation.check(surface(setup, setup.surface(wish.part()).get(), name));
    }
    Motor motor =
        setup.airframe().motors().stream()
            .filter(one -> one.id().equals(wish.part()))
            .findFirst()
            .orElseThrow(
                () ->
                    InvalidInputException.of(
                        "part", wish.part(), Said.of("demand.surfaceOrMotor")));
    List<Motor> motors =
        setup.airframe().motors().stream()
            .map(one -> one.id().equals(motor.id()) ? one.named(name) : one)
            .toList();
    return Validation.check(
        setup
            .change()
            .airframe(setup.airframe().withMotors(motors))
            .channels(channels(setup, one -> one.number() == motor.channel(), motor.name(), name))
            .done());
  }

  private static Setup surface(Setup setup, Surface surface, String name) {
    List<Servo> servos =
        setup.servos().stream()
            .map(
                one ->
                    one.id().equals(surface.rod().driverId())
                        ? one.named(PartNames.calledAfter(one.name(), surface.name(), name))
                        : one)
            .toList();
    return setup
        .change()
        .surfaces(
            setup.surfaces().stream()
                .map(one -> one.id().equals(surface.id()) ? one.named(name) : one)
                .toList())
        .servos(servos)
        .channels(channels(setup, one -> one.carries().equals(surface.id()), surface.name(), name))
        .done();
  }

  private static List<Channel> channels(
      Setup setup, java.util.function.Predicate<Channel> its, String old, String name) {
    return setup.channels().stream()
        .map(one -> its.test(one) ? one.named(PartNames.calledAfter(one.name(), old, name)) : one)
        .toList();
  }
}
