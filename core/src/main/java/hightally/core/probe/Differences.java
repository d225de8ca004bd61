package hightally.core.probe;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.LeverShare;
import hightally.core.airframe.Motor;
import hightally.core.airframe.Servo;
import hightally.core.airframe.Shares;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.channel.Lead;
import hightally.core.channel.Wiring;
import hightally.core.edit.Edit;
import hightally.core.edit.Edits;
import hightally.core.edit.Figure;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/** Everything of a rig that may be otherwise, and a description in which it is. */
public final class Differences {
  private Differences() {}

  /** All that one part of a rig may differ by. */
  public static List<RigDifference> of(Setup setup) {
    List<RigDifference> all = new ArrayList<>();
    List<Servo> moving = servos(setup);
    moving.forEach(servo -> all.add(RigDifference.of(RigPart.SERVO_SENSE, servo.id())));
    setup.surfaces().stream()
        .filter(surface -> !alone(setup, surface))
        .forEach(surface -> all.add(RigDifference.of(RigPart.HORN_SIDE, surface.id())));
    for (int i = 0; i < moving.size(); i++) {
      for (Servo other : moving.subList(i + 1, moving.size())) {
        if (moving.get(i).channel() != other.channel()) {
          all.add(new RigDifference(RigPart.LEADS, moving.get(i).id(), other.id()));
        }
      }
    }
    Set<Integer> used = moving.stream().map(Servo::channel).collect(Collectors.toSet());
    List<Channel> channels =
        setup.channels().stream().filter(one -> used.contains(one.number())).toList();
    channels.forEach(
        one -> all.add(RigDifference.of(RigPart.CHANNEL_SIGN, Integer.toString(one.number()))));
    for (Channel channel : channels) {
      setup.surface(channel.carries()).ifPresent(surface -> shares(surface, all));
    }
    moving.forEach(servo -> all.add(RigDifference.of(RigPart.SERVO_STILL, servo.id())));
    setup.surfaces().stream()
        .filter(surface -> !alone(setup, surface))
        .forEach(surface -> all.add(RigDifference.of(RigPart.SURFACE_STILL, surface.id())));
    for (Motor motor : setup.airframe().motors()) {
      all.add(RigDifference.of(RigPart.MOTOR_SENSE, motor.id()));
    }
    return all.stream().distinct().toList();
  }

  private static void shares(Surface surface, List<RigDifference> all) {
    for (Control control : Control.values()) {
      if (surface.shares().of(control) != 0) {
        all.add(new RigDifference(RigPart.SHARE_SIGN, surface.id(), control.word()));
      }
    }
    for (LeverShare lever : surface.shares().levers()) {
      if (lever.share() != 0) {
        all.add(new RigDifference(RigPart.SHARE_SIGN, surface.id(), lever.input()));
      }
    }
  }

  /** The servos that move a surface. */
  static List<Servo> servos(Setup setup) {
    Predicate<Servo> moves =
        servo ->
            setup.surfaces().stream()
                .anyMatch(
                    one ->
                        one.rod().driver() == DriverKind.SERVO
                            && one.rod().driverId().equals(servo.id()));
    return setup.servos().stream().filter(moves).toList();
  }

  /** Whether its servo moves nothing else: then a turned horn is a turned servo. */
  private static boolean alone(Setup setup, Surface surface) {
    return surface.rod().driver() == DriverKind.SERVO
        && setup.surfaces().stream()
            .filter(one -> !one.id().equals(surface.id()))
            .noneMatch(
                one ->
                    one.rod().driverId().equals(surface.rod().driverId())
                        || one.rod().driver() == DriverKind.SURFACE
                            && one.rod().driverId().equals(surface.id()));
  }

  /** A description with differences made in it; what no description says leaves it as it is. */
  public static Setup made(Setup setup, List<RigDifference> differences) {
    Setup made = setup;
    for (RigDifference one : differences) {
      made = made(made, one);
    }
    return made;
  }

  private static Setup made(Setup setup, RigDifference one) {
    return switch (one.part()) {
      case SERVO_SENSE -> withServo(setup, one.subject(), servo -> turned(setup, servo));
      case HORN_SIDE -> {
        boolean raises = surface(setup, one).rod().linkage().pushRaises();
        yield edited(setup, Figure.PUSH_RAISES, one, !raises);
      }
      case LEADS -> exchanged(setup, one.subject(), one.other());
      case CHANNEL_SIGN -> {
        int number = Integer.parseInt(one.subject());
        boolean reversed = setup.channel(number).orElseThrow().reversed();
        yield edited(setup, Figure.REVERSED, one, !reversed);
      }
      case SHARE_SIGN -> {
        Surface surface = surface(setup, one);
        yield setup.withSurface(surface.withShares(turned(surface.shares(), one.other())));
      }
      case SERVO_STILL, SURFACE_STILL, MOTOR_SENSE -> setup;
    };
  }

  private static Surface surface(Setup setup, RigDifference one) {
    return setup.surface(one.subject()).orElseThrow();
  }

  private static Setup edited(Setup setup, Figure figure, RigDifference one, boolean on) {
    return Edits.made(setup, List.of(Edit.flag(figure, one.subject(), on)));
  }

  /** Each servo on the other's channel, its lead in the other's socket. */
  private static Setup exchanged(Setup setup, String one, String other) {
    int first = setup.servo(one).orElseThrow().channel();
    int second = setup.servo(other).orElseThrow().channel();
    Setup half = withServo(setup, one, servo -> servo.onChannel(second));
    Setup mapped = withServo(half, other, servo -> servo.onChannel(first));
    Optional<Lead> lead = setup.wiring().lead(one);
    Optional<Lead> others = setup.wiring().lead(other);
    if (lead.isEmpty() || others.isEmpty()) {
      return mapped;
    }
    List<Lead> leads =
        setup.wiring().leads().stream()
            .map(
                each ->
                    each.equals(lead.get())
                        ? plugged(each, others.get())
                        : each.equals(others.get()) ? plugged(each, lead.get()) : each)
            .toList();
    return mapped
        .change()
        .wiring(new Wiring(setup.wiring().receiver(), leads, setup.wiring().between()))
        .done();
  }

  private static Lead plugged(Lead lead, Lead where) {
    return lead.change().socket(where.socket()).splitter(where.splitter()).done();
  }

  private static Shares turned(Shares shares, String of) {
    for (Control control : Control.values()) {
      if (control.word().equals(of)) {
        return shares.with(control, -shares.of(control));
      }
    }
    return shares
        .change()
        .levers(
            shares.levers().stream()
                .map(one -> one.input().equals(of) ? new LeverShare(of, -one.share()) : one)
                .toList())
        .done();
  }

  /** A servo turning the other way, its arm resting where it rested. */
  private static Servo turned(Setup setup, Servo servo) {
    double rest = SignalPath.of(setup).restTurned(servo.id());
    return servo.seated(!servo.pullsOnIncrease(), servo.armOffsetDegrees() + 2 * rest);
  }

  private static Setup withServo(Setup setup, String id, UnaryOperator<Servo> change) {
    return setup
        .change()
        .servos(
            setup.servos().stream()
                .map(one -> one.id().equals(id) ? change.apply(one) : one)
                .toList())
        .done();
  }
}
