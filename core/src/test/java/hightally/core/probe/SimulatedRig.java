package hightally.core.probe;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.plain.PlainModel;
import hightally.core.quantity.Control;
import hightally.core.setup.MeantWay;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;

/**
 * A rig as it really is, and a pilot who looks at it and answers truthfully, or now and then not.
 * It moves by the plain model of the tests: their own four-bar, output stage and program.
 */
public final class SimulatedRig {
  private static final double EYE_MM = 1.2;
  private static final int ENDLESS = 90;

  private Setup described;
  private Setup real;
  private final Set<String> still = new HashSet<>();
  private final Set<String> stillServos = new HashSet<>();
  private final Set<String> turnedMotors = new HashSet<>();
  private final int hidden;

  /** A rig that differs from its description. */
  public SimulatedRig(Setup described, List<RigDifference> differences) {
    this.described = described;
    real = described;
    hidden = differences.size();
    differences.forEach(this::make);
  }

  record End(ProbeStage stage, boolean home, String homeWhy, int answers, int bound, String log) {}

  private void make(RigDifference one) {
    switch (one.part()) {
      case SERVO_STILL -> turn(stillServos, one.subject());
      case SURFACE_STILL -> turn(still, one.subject());
      case MOTOR_SENSE -> turn(turnedMotors, one.subject());
      case SERVO_SENSE ->
          real =
              real.change()
                  .servos(
                      real.servos().stream()
                          .map(
                              servo ->
                                  servo.id().equals(one.subject())
                                      ? servo.seated(
                                          !servo.pullsOnIncrease(), servo.armOffsetDegrees())
                                      : servo)
                          .toList())
                  .done();
      default -> real = Differences.made(real, List.of(one));
    }
  }

  private static void turn(Set<String> set, String id) {
    if (!set.remove(id)) {
      set.add(id);
    }
  }

  /** Led by the probe until it ends. */
  End led(int wrongOneIn, Random random) {
    List<LookAnswer> answers = new ArrayList<>();
    Set<String> log = new LinkedHashSet<>();
    int asked = 0;
    int changed = 0;
    int allowed = -1;
    for (int round = 0; round < ENDLESS; round++) {
      Probe probe = Probe.of(described);
      if (allowed < 0) {
        allowed = usual(probe) + 3 * hidden;
      }
      ProbeStanding standing = probe.standing(answers);
      switch (standing.stage()) {
        case LOOKING -> {
          Look look = standing.next();
          LookAnswer answer = look(look);
          if (wrongOneIn > 0 && random.nextInt(wrongOneIn) == 0) {
            answer = wrong(answer, random);
          }
          answers.add(answer);
          log.add(round + " " + look.id());
          asked++;
        }
        case MENDING -> {
          List<LookAnswer> kept = probe.kept(answers, standing);
          changed += answers.size() - kept.size();
          answers = new ArrayList<>(kept);
          standing.mend().changes().forEach(this::mend);
          described = probe.after(standing.mend());
          log.add(round + " " + standing.mend());
        }
        case CONTRADICTED -> {
          log.add(round + " contrary " + standing.contrary());
          String again = standing.contrary().get(0);
          answers.removeIf(one -> one.look().equals(again));
          if (wrongOneIn == 0) {
            return new End(standing.stage(), false, "contrary", asked, allowed, log.toString());
          }
        }
        default -> {
          String why = away();
          return new End(
              standing.stage(),
              standing.stage() == ProbeStage.AGREED && why.isEmpty(),
              why,
              asked,
              allowed + changed,
              log.toString());
        }
      }
    }
    return new End(null, false, "endless", asked, allowed, log.toString());
  }

  /** What the probe first says is to be changed; nothing where it asks for nothing. */
  List<RigDifference> firstMend() {
    List<LookAnswer> answers = new ArrayList<>();
    Probe probe = Probe.of(described);
    ProbeStanding standing = probe.standing(answers);
    while (standing.stage() == ProbeStage.LOOKING) {
      answers.add(look(standing.next()));
      standing = probe.standing(answers);
    }
    return standing.stage() == ProbeStage.MENDING ? standing.mend().changes() : List.of();
  }

  /** Where it still differs from a description, or from what is meant; empty for nowhere. */
  public String awayFrom(Setup told) {
    described = told;
    return away();
  }

  /** Whether changes make it do what is described and meant. */
  boolean rightWith(List<RigDifference> changes) {
    Setup before = real;
    Set<String> surfaces = Set.copyOf(still);
    Set<String> servos = Set.copyOf(stillServos);
    Set<String> motors = Set.copyOf(turnedMotors);
    changes.forEach(this::mend);
    boolean right = away().isEmpty();
    real = before;
    put(still, surfaces);
    put(stillServos, servos);
    put(turnedMotors, motors);
    return right;
  }

  private static void put(Set<String> set, Set<String> all) {
    set.clear();
    set.addAll(all);
  }

  /** What is to be made to move is followed from the servo to the surface. */
  public void mend(RigDifference one) {
    if (one.part() == RigPart.SURFACE_STILL) {
      still.remove(one.subject());
    } else if (one.part() == RigPart.SERVO_STILL) {
      stillServos.remove(one.subject());
      still.removeIf(id -> servo(real.surface(id).orElseThrow()).equals(one.subject()));
    } else {
      make(one);
    }
  }

  private static LookAnswer wrong(LookAnswer answer, Random random) {
    List<LookAnswer.Sight> seen = new ArrayList<>(answer.seen());
    List<Integer> moving = new ArrayList<>();
    for (int i = 0; i < seen.size(); i++) {
      if (seen.get(i).way() != 0) {
        moving.add(i);
      }
    }
    if (!moving.isEmpty()) {
      int which = moving.get(random.nextInt(moving.size()));
      LookAnswer.Sight sight = seen.get(which);
      seen.set(which, new LookAnswer.Sight(sight.surface(), -sight.way()));
    }
    return new LookAnswer(answer.look(), seen);
  }

  /** Sticks, levers and switches used, motors, and one for each two that no hand tells apart. */
  private int usual(Probe probe) {
    Set<String> hands = new HashSet<>();
    for (Look look : probe.looks()) {
      boolean apart = look.kind() == LookKind.NUDGE || look.kind() == LookKind.UNPLUG;
      if (!apart && look.kind() != LookKind.PHASE) {
        hands.add(look.kind() + look.subject());
      }
    }
    Set<String> pairs = new HashSet<>();
    for (Surface one : described.surfaces()) {
      if (one.rod().driver() == DriverKind.SERVO) {
        described
            .pairOf(one)
            .ifPresent(
                other ->
                    pairs.add(
                        one.id().compareTo(other.id()) < 0
                            ? one.id() + other.id()
                            : other.id() + one.id()));
      }
    }
    return hands.size() + pairs.size();
  }

  private double travel(Setup setup, Surface surface, Moment moment) {
    PlainModel plain = new PlainModel(setup);
    return plain.travel(surface, moment, plain.phase(moment));
  }

  private boolean dead(Surface surface) {
    Surface at = surface;
    while (at.rod().driver() == DriverKind.SURFACE) {
      if (still.contains(at.id())) {
        return true;
      }
      at = real.surface(at.rod().driverId()).orElseThrow();
    }
    return still.contains(at.id()) || stillServos.contains(at.rod().driverId());
  }

  private String servo(Surface surface) {
    Surface at = surface;
    while (at.rod().driver() == DriverKind.SURFACE) {
      at = real.surface(at.rod().driverId()).orElseThrow();
    }
    return at.rod().driverId();
  }

  /** What is seen in a look. */
  public LookAnswer look(Look look) {
    List<LookAnswer.Sight> seen = new ArrayList<>();
    for (Surface surface : real.surfaces()) {
      int channel = real.servo(servo(surface)).orElseThrow().channel();
      boolean plugged = !look.unplugged().equals(Integer.toString(channel));
      double mm = dead(surface) || !plugged ? 0 : seen(look, surface);
      int way = Math.abs(mm) < EYE_MM ? 0 : mm > 0 ? 1 : -1;
      seen.add(new LookAnswer.Sight(surface.id(), way));
    }
    if (look.kind() == LookKind.MOTOR) {
      seen.add(
          new LookAnswer.Sight(look.subject(), turnedMotors.contains(look.subject()) ? -1 : 1));
    }
    return new LookAnswer(look.id(), seen);
  }

  private double seen(Look look, Surface surface) {
    if (look.kind() == LookKind.MOTOR) {
      return 0;
    }
    double rest = travel(real, surface, look.rest());
    if (look.kind() == LookKind.NUDGE) {
      List<Channel> channels =
          real.channels().stream()
              .map(
                  one ->
                      Integer.toString(one.number()).equals(look.subject())
                          ? one.with(
                              one.subTrimMicroseconds() + look.microseconds(),
                              one.endpointLowPercent(),
                              one.endpointHighPercent())
                          : one)
              .toList();
      return travel(real.change().channels(channels).done(), surface, look.rest()) - rest;
    }
    double there = travel(real, surface, look.there()) - rest;
    if (look.back() == null) {
      return there;
    }
    double back = travel(real, surface, look.back()) - rest;
    double largest = Math.max(Math.abs(there), Math.abs(back));
    return Math.abs(there - back) < 0.25 * largest
        ? Math.copySign(largest, there)
        : Math.copySign(largest, there - back);
  }

  /** What of the rig is not as described or as meant; empty where it is. */
  private String away() {
    if (!turnedMotors.isEmpty()) {
      return "motor";
    }
    for (Surface surface : real.surfaces()) {
      if (dead(surface)) {
        return "still";
      }
    }
    SignalPath path = SignalPath.of(described);
    for (int phase = 0; phase < described.phases().size(); phase++) {
      Moment rest = path.rest(phase);
      List<Moment> moments = new ArrayList<>();
      for (Control control : Control.values()) {
        moments.add(rest.with(control, 1));
        moments.add(rest.with(control, -1));
      }
      for (int i = 0; i < described.transmitter().inputs().size(); i++) {
        moments.add(rest.withInput(i, 1));
        moments.add(rest.withInput(i, 0.5));
        moments.add(rest.withInput(i, 0));
      }
      for (Moment moment : moments) {
        for (Surface surface : described.surfaces()) {
          double told = travel(described, surface, moment) - travel(described, surface, rest);
          Surface really = real.surface(surface.id()).orElseThrow();
          double is = travel(real, really, moment) - travel(real, really, rest);
          if (Math.abs(told) > 2 && told * is <= 0 || Math.abs(told) < 0.5 && Math.abs(is) > 2) {
            return "direction " + surface.id() + " " + told + " " + is;
          }
          if (Math.abs(Math.abs(told) - Math.abs(is)) > Math.max(3, 0.3 * Math.abs(told))) {
            return "size " + surface.id() + " " + told + " " + is;
          }
        }
      }
      for (Control control : Control.values()) {
        for (Surface surface : real.surfaces()) {
          int meant = MeantWay.of(described, surface, control);
          double is =
              travel(real, surface, rest.with(control, 1))
                  - travel(real, surface, rest.with(control, -1));
          if (Math.abs(is) > 2 && meant * is < 0) {
            return "meant " + surface.id() + " " + control;
          }
        }
      }
    }
    for (Surface surface : real.surfaces()) {
      int one = real.servo(servo(surface)).orElseThrow().channel();
      if (one != described.servo(servo(surface)).orElseThrow().channel()) {
        return "leads";
      }
    }
    return "";
  }
}
