package hightally.core.plain;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.LeverShare;
import hightally.core.airframe.Motor;
import hightally.core.airframe.Servo;
import hightally.core.airframe.Surface;
import hightally.core.channel.Between;
import hightally.core.channel.Channel;
import hightally.core.channel.SubTrimMode;
import hightally.core.channel.Transmitter;
import hightally.core.channel.TransmitterInput;
import hightally.core.linkage.Linkage;
import hightally.core.program.Condition;
import hightally.core.program.CurvePoint;
import hightally.core.program.FeelSet;
import hightally.core.program.Mix;
import hightally.core.program.MixTarget;
import hightally.core.program.Phase;
import hightally.core.program.Power;
import hightally.core.program.Response;
import hightally.core.program.ThrottleCurve;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.ToDoubleFunction;

/**
 * A second way from stick to surface, written from {@code docs/computation.md} alone and as plainly
 * as it can be: nothing is prepared, everything is asked again each time. It reads the setup's
 * records and uses none of the product's arithmetic.
 */
public final class PlainModel {
  private final Setup setup;
  private final Set<String> apart;
  private final ToDoubleFunction<String> besides;
  private final Set<String> waiting;

  public PlainModel(Setup setup) {
    this(setup, Set.of(), Set.of(), target -> 0);
  }

  /**
   * The same while some conditions that must hold for a while have not held long enough.
   *
   * @param waiting their ids
   */
  public PlainModel(Setup setup, Set<String> waiting) {
    this(setup, waiting, Set.of(), target -> 0);
  }

  /**
   * The same while mixes with a fade of their own come in or go.
   *
   * @param apart their ids: they are not asked
   * @param besides what they add to a surface instead, percent
   */
  public PlainModel(
      Setup setup, Set<String> waiting, Set<String> apart, ToDoubleFunction<String> besides) {
    this.setup = setup;
    this.waiting = Set.copyOf(waiting);
    this.apart = Set.copyOf(apart);
    this.besides = besides;
  }

  /** One thing that adds to a command, in the order the tally lists them. */
  public record Part(String kind, double percent) {}

  // Conditions and phases.

  /** Whether a condition is true; an empty id always is. */
  public boolean isTrue(String id, Moment moment, int phase) {
    if (id.isEmpty()) {
      return true;
    }
    Condition one = condition(id);
    if (waiting.contains(id)) {
      return false;
    }
    return switch (one.kind()) {
      case SWITCH_AT -> position(one.subject(), moment) == (int) one.limit();
      case ABOVE -> looked(one.subject(), moment) > one.limit() / 100;
      case BELOW -> looked(one.subject(), moment) < one.limit() / 100;
      case PHASE -> phase >= 0 && setup.phases().get(phase).id().equals(one.subject());
      case TELEMETRY_ABOVE -> measured(one.subject(), moment) > one.limit();
      case TELEMETRY_BELOW -> measured(one.subject(), moment) < one.limit();
      case TIMER_ABOVE -> seconds(one.subject(), moment) > one.limit();
      case AND -> one.members().stream().allMatch(member -> isTrue(member, moment, phase));
      case OR -> one.members().stream().anyMatch(member -> isTrue(member, moment, phase));
      case NOT -> !isTrue(one.members().get(0), moment, phase);
    };
  }

  private Condition condition(String id) {
    for (Condition one : setup.conditions()) {
      if (one.id().equals(id)) {
        return one;
      }
    }
    throw new IllegalArgumentException(id);
  }

  private int position(String input, Moment moment) {
    int positions = setup.transmitter().inputs().get(indexOf(input)).positions();
    return (int) Math.round(place(input, moment) * (positions - 1)) + 1;
  }

  private int indexOf(String input) {
    List<TransmitterInput> inputs = setup.transmitter().inputs();
    for (int i = 0; i < inputs.size(); i++) {
      if (inputs.get(i).id().equals(input)) {
        return i;
      }
    }
    return -1;
  }

  private double place(String input, Moment moment) {
    int index = indexOf(input);
    return index < moment.inputs().size() ? moment.inputs().get(index) : 0;
  }

  private double looked(String subject, Moment moment) {
    return switch (subject) {
      case "roll" -> moment.roll();
      case "pitch" -> moment.pitch();
      case "yaw" -> moment.yaw();
      case "throttle" -> moment.throttle();
      default -> place(subject, moment);
    };
  }

  private static double measured(String subject, Moment moment) {
    return subject.equals("link") ? moment.readings().linkPercent() : moment.readings().voltage();
  }

  private double seconds(String timer, Moment moment) {
    for (int i = 0; i < setup.power().timers().size(); i++) {
      if (setup.power().timers().get(i).id().equals(timer)) {
        List<Double> shown = moment.readings().timerSeconds();
        return i < shown.size() ? shown.get(i) : 0;
      }
    }
    throw new IllegalArgumentException(timer);
  }

  /** The first phase whose condition is true; the last where none is. */
  public int phase(Moment moment) {
    for (int i = 0; i < setup.phases().size() - 1; i++) {
      if (isTrue(setup.phases().get(i).when(), moment, -1)) {
        return i;
      }
    }
    return setup.phases().size() - 1;
  }

  private boolean acts(String when, List<String> phases, Moment moment, int phase) {
    boolean inPhase = phases.isEmpty() || phases.contains(setup.phases().get(phase).id());
    return inPhase && isTrue(when, moment, phase);
  }

  // Sticks.

  /** Expo and rate: {@code y = rate · f(|s|)} with the sign of s. */
  static double respond(Response response, double stick) {
    double rate =
        (stick >= 0 ? response.ratePositivePercent() : response.rateNegativePercent()) / 100;
    double e = (stick >= 0 ? response.expoPositivePercent() : response.expoNegativePercent()) / 100;
    double s = Math.abs(stick);
    double f =
        switch (response.shape()) {
          case CUBIC -> (1 - e) * s + e * s * s * s;
          case SQUARE -> (1 - e) * s + e * s * s;
          case EXPONENTIAL -> {
            double k = steepness(1 - e);
            yield Math.abs(k) < 1e-9 ? s : (Math.exp(k * s) - 1) / (Math.exp(k) - 1);
          }
        };
    return Math.signum(stick) * rate * f;
  }

  /** k with {@code k/(exp(k)-1)} as wanted: it falls as k grows. */
  private static double steepness(double slope) {
    double low = -50;
    double high = 50;
    for (int i = 0; i < 200; i++) {
      double k = (low + high) / 2;
      double here = Math.abs(k) < 1e-12 ? 1 : k / (Math.exp(k) - 1);
      if (here > slope) {
        low = k;
      } else {
        high = k;
      }
    }
    return (low + high) / 2;
  }

  private Response feel(Control control, Moment moment, int phase) {
    for (FeelSet set : setup.feelSets()) {
      boolean decides =
          switch (control) {
            case ROLL -> set.hasRoll();
            case PITCH -> set.hasPitch();
            case YAW -> set.hasYaw();
          };
      if (decides && acts(set.when(), set.phases(), moment, phase)) {
        return of(set.feel(), control);
      }
    }
    return of(setup.feel(), control);
  }

  private static Response of(hightally.core.program.Feel feel, Control control) {
    return switch (control) {
      case ROLL -> feel.roll();
      case PITCH -> feel.pitch();
      case YAW -> feel.yaw();
    };
  }

  private static double stick(Control control, Moment moment) {
    return switch (control) {
      case ROLL -> moment.roll();
      case PITCH -> moment.pitch();
      case YAW -> moment.yaw();
    };
  }

  private double response(Control control, Moment moment, int phase) {
    return 100 * respond(feel(control, moment, phase), stick(control, moment));
  }

  // Commands.

  /** The clicks in effect: a phase's own, or those common to all. */
  public Trims trims(Moment moment, int phase) {
    Phase now = setup.phases().get(phase);
    return new Trims(
        now.ownRoll() ? now.trims().roll() : moment.trims().roll(),
        now.ownPitch() ? now.trims().pitch() : moment.trims().pitch(),
        now.ownYaw() ? now.trims().yaw() : moment.trims().yaw());
  }

  /** Whether cut or arming hold the motors. */
  public boolean held(Moment moment, int phase) {
    Power power = setup.power();
    boolean cut =
        moment.throttleCut()
            || !power.cutWhen().isEmpty() && isTrue(power.cutWhen(), moment, phase);
    return cut || !isTrue(power.armWhen(), moment, phase);
  }

  /** What it is a model of. */
  public Setup setup() {
    return setup;
  }

  /** What adds to a surface's command in a phase. */
  public List<Part> parts(Surface surface, Moment moment, int phase) {
    List<Part> parts = new ArrayList<>();
    Phase now = setup.phases().get(phase);
    for (Control control : Control.values()) {
      double share = share(surface, control);
      if (share == 0) {
        continue;
      }
      double full = share * response(control, moment, phase);
      parts.add(new Part("RESPONSE", full));
      double d =
          now.differential().stream()
                  .filter(one -> one.surface().equals(surface.id()))
                  .mapToDouble(one -> one.percent())
                  .sum()
              / 100;
      boolean less = control == Control.ROLL && (d > 0 && full < 0 || d < 0 && full > 0);
      if (less) {
        parts.add(new Part("DIFFERENTIAL", -Math.abs(d) * full));
      }
    }
    for (LeverShare lever : surface.shares().levers()) {
      parts.add(new Part("LEVER", 100 * lever.share() * place(lever.input(), moment)));
    }
    double preset =
        now.presets().stream()
            .filter(one -> one.surface().equals(surface.id()))
            .mapToDouble(one -> one.percent())
            .sum();
    parts.add(new Part("PRESET", preset));
    parts.addAll(mixed(surface.id(), moment, phase));
    Trims trims = trims(moment, phase);
    for (Control control : Control.values()) {
      double share = share(surface, control);
      if (share != 0) {
        int clicks =
            switch (control) {
              case ROLL -> trims.roll();
              case PITCH -> trims.pitch();
              case YAW -> trims.yaw();
            };
        parts.add(new Part("TRIM", share * clicks * setup.transmitter().clickStepPercent()));
      }
    }
    return parts;
  }

  private static double share(Surface surface, Control control) {
    return switch (control) {
      case ROLL -> surface.shares().roll();
      case PITCH -> surface.shares().pitch();
      case YAW -> surface.shares().yaw();
    };
  }

  private List<Part> mixed(String target, Moment moment, int phase) {
    List<Part> parts = new ArrayList<>();
    for (Mix mix : setup.mixes()) {
      boolean moves = mix.targets().stream().anyMatch(one -> one.target().equals(target));
      if (moves && !apart.contains(mix.id()) && acts(mix.when(), mix.phases(), moment, phase)) {
        double value = value(mix, target, source(mix, moment, phase));
        if (value != 0) {
          parts.add(new Part("MIX", value));
        }
      }
    }
    if (besides.applyAsDouble(target) != 0) {
      parts.add(new Part("MIX", besides.applyAsDouble(target)));
    }
    return parts;
  }

  /** What a mix adds to a target for a value of its source, percent. */
  static double value(Mix mix, String target, double source) {
    double factor = 0;
    for (MixTarget one : mix.targets()) {
      boolean meant = one.target().equals(target);
      factor += meant ? source < 0 ? one.factorMinus() : one.factor() : 0;
    }
    return factor * value(mix, source);
  }

  /** The most a mix adds to any of its targets where it acts, this way or that, percent. */
  public double adds(Mix mix, Moment moment, int phase) {
    return mix.targets().stream()
        .mapToDouble(one -> Math.abs(value(mix, one.target(), source(mix, moment, phase))))
        .max()
        .orElse(0);
  }

  /** Whether a mix's condition is true and its phase is on. */
  boolean on(Mix mix, Moment moment, int phase) {
    return acts(mix.when(), mix.phases(), moment, phase);
  }

  /** The value a mix is made from, percent. */
  double source(Mix mix, Moment moment, int phase) {
    return switch (mix.source()) {
      case STICK -> 100 * stick(control(mix.subject()), moment);
      case RESPONSE -> response(control(mix.subject()), moment, phase);
      case INPUT -> 100 * place(mix.subject(), moment);
      case THROTTLE -> 200 * moment.throttle() - 100;
      case POWER ->
          held(moment, phase) ? 0 : 100 * power(curve(phase, 200 * throttle(moment) - 100));
      case SURFACE -> command(surface(mix.subject()), moment, phase);
      case CONSTANT -> 100;
    };
  }

  private static Control control(String word) {
    return switch (word) {
      case "roll" -> Control.ROLL;
      case "pitch" -> Control.PITCH;
      case "yaw" -> Control.YAW;
      default -> throw new IllegalArgumentException(word);
    };
  }

  private Surface surface(String id) {
    return setup.surfaces().stream().filter(one -> one.id().equals(id)).findFirst().orElseThrow();
  }

  private static double value(Mix mix, double x) {
    if (!mix.curve().isEmpty()) {
      return onCurve(mix.curve(), x);
    }
    double start = mix.startPercent();
    if (x > start) {
      return mix.weightPlusPercent() / 100 * (x - start);
    }
    return x < -start ? mix.weightMinusPercent() / 100 * (x + start) : 0;
  }

  /** Points joined by straight lines, level outside. */
  static double onCurve(List<CurvePoint> points, double x) {
    CurvePoint before = points.get(0);
    if (x <= before.x()) {
      return before.y();
    }
    for (CurvePoint point : points) {
      if (x <= point.x()) {
        return before.y() + (point.y() - before.y()) * (x - before.x()) / (point.x() - before.x());
      }
      before = point;
    }
    return before.y();
  }

  /** A surface's command, percent, before the output stage. */
  public double command(Surface surface, Moment moment, int phase) {
    return parts(surface, moment, phase).stream().mapToDouble(Part::percent).sum();
  }

  // Motors.

  private double throttle(Moment moment) {
    String lever = setup.power().throttleInput();
    return lever.isEmpty() ? moment.throttle() : place(lever, moment);
  }

  private double curve(int phase, double x) {
    String id = setup.phases().get(phase).id();
    for (ThrottleCurve one : setup.power().curves()) {
      if (one.phases().contains(id)) {
        return onCurve(one.points(), x);
      }
    }
    for (ThrottleCurve one : setup.power().curves()) {
      if (one.phases().isEmpty()) {
        return onCurve(one.points(), x);
      }
    }
    return x;
  }

  /** What a motor is told, percent. */
  public double motor(Motor motor, Moment moment, int phase) {
    if (held(moment, phase)) {
      return setup.power().cutPercent();
    }
    return Math.max(-100, Math.min(100, unlimited(motor, moment, phase)));
  }

  /** What it is asked to do, neither held nor cut off at full power, percent. */
  double unlimited(Motor motor, Moment moment, int phase) {
    double asked = curve(phase, 200 * throttle(moment) - 100);
    for (Part part : mixed(motor.id(), moment, phase)) {
      asked += part.percent();
    }
    return asked;
  }

  /**
   * Whether the second wire of a motor's controller turns it round: its pulse beyond the centre.
   */
  public boolean turnedRound(Motor motor, Moment moment) {
    if (motor.reverserChannel() < 0) {
      return false;
    }
    Channel channel =
        setup.channels().stream()
            .filter(one -> one.number() == motor.reverserChannel())
            .findFirst()
            .orElseThrow();
    double pulse = pulse(channel, 200 * place(channel.carries(), moment) - 100);
    return pulse > setup.transmitter().centreMicroseconds();
  }

  /** How fast a command tells a motor to turn, 0 to 1. */
  public double power(double command) {
    double part = setup.power().twoWay() ? Math.abs(command) / 100 : (command + 100) / 200;
    return Math.max(0, Math.min(1, part));
  }

  // Output stage, servo, linkage.

  /** The pulse of a channel for a command, µs. */
  public double pulse(Channel channel, double command) {
    Transmitter radio = setup.transmitter();
    double limit = radio.commandLimitPercent();
    double pulse = freePulse(channel, Math.max(-limit, Math.min(limit, command)));
    double centre = radio.centreMicroseconds();
    for (Between one : setup.wiring().between()) {
      if (!one.bypassed() && one.channels().contains(channel.number())) {
        double reach = radio.microsecondsPer100() * one.travelLimitPercent() / 100;
        pulse = Math.max(centre - reach, Math.min(centre + reach, pulse));
      }
    }
    if (channel.limitLowPercent() > 0) {
      pulse =
          Math.max(pulse, centre - radio.microsecondsPer100() * channel.limitLowPercent() / 100);
    }
    if (channel.limitHighPercent() > 0) {
      pulse =
          Math.min(pulse, centre + radio.microsecondsPer100() * channel.limitHighPercent() / 100);
    }
    return Math.max(radio.shortestMicroseconds(), Math.min(radio.longestMicroseconds(), pulse));
  }

  /** The pulse of a motor's channel at its controller, behind a reverser in its lead, µs. */
  public double pulse(Motor motor, double command) {
    Channel channel =
        setup.channels().stream()
            .filter(one -> one.number() == motor.channel())
            .findFirst()
            .orElseThrow();
    boolean reverser =
        setup.wiring().leads().stream()
            .anyMatch(lead -> lead.device().equals(motor.id()) && lead.reverser());
    double pulse = pulse(channel, command);
    return reverser ? 3000 - pulse : pulse;
  }

  /** The same if nothing limited it. */
  public double freePulse(Channel channel, double command) {
    Transmitter radio = setup.transmitter();
    double v = channel.reversed() ? -command : command;
    double full = radio.microsecondsPer100();
    double sub = channel.subTrimMicroseconds();
    double high = full * channel.endpointHighPercent() / 100;
    double low = full * channel.endpointLowPercent() / 100;
    boolean fixed = radio.subTrimMode() == SubTrimMode.FIXED_ENDS;
    double side = v >= 0 ? (fixed ? high - sub : high) : (fixed ? low + sub : low);
    return radio.centreMicroseconds() + sub + v / 100 * side;
  }

  /** The channel behind a surface, through however many slave rods. */
  public Channel channelBehind(Surface surface) {
    int number = servoBehind(surface).channel();
    return setup.channels().stream()
        .filter(one -> one.number() == number)
        .findFirst()
        .orElseThrow();
  }

  private Servo servoBehind(Surface surface) {
    if (surface.rod().driver() == DriverKind.SURFACE) {
      return servoBehind(surface(surface.rod().driverId()));
    }
    return setup.servos().stream()
        .filter(one -> one.id().equals(surface.rod().driverId()))
        .findFirst()
        .orElseThrow();
  }

  /** Where a surface stands, degrees, for the pulse of the channel behind it. */
  public double degrees(Surface surface, double pulse) {
    return degreesAt(surface, arm(surface, pulse));
  }

  /** Where a surface stands at a moment in a phase, mm. */
  public double travel(Surface surface, Moment moment, int phase) {
    Channel channel = channelBehind(surface);
    double command = command(surface(channel.carries()), moment, phase);
    return surface.chordMm() * Math.sin(Math.toRadians(degrees(surface, pulse(channel, command))));
  }

  /** The arm angle of the servo behind a surface for a pulse, degrees. */
  public double arm(Surface surface, double pulse) {
    Servo servo = servoBehind(surface);
    boolean reverser =
        setup.wiring().leads().stream()
            .anyMatch(lead -> lead.device().equals(servo.id()) && lead.reverser());
    double come = reverser ? 3000 - pulse : pulse;
    double arm =
        (come - servo.centrePulseMicroseconds())
                * servo.degreesPerMicrosecond()
                * (servo.pullsOnIncrease() ? -1 : 1)
            + servo.armOffsetDegrees();
    return Math.max(-servo.maxAngleDegrees(), Math.min(servo.maxAngleDegrees(), arm));
  }

  /** What turns a surface's rod, degrees: the servo's arm, or the surface that drives it. */
  public double driver(Surface surface, double arm) {
    return surface.rod().driver() == DriverKind.SURFACE
        ? degreesAt(surface(surface.rod().driverId()), arm)
        : arm;
  }

  /** Where a surface stands, degrees, for the arm angle of the servo behind it. */
  public double degreesAt(Surface surface, double arm) {
    return new PlainFourBar(surface.rod().linkage(), surface.rod().adjustedMm())
        .held(driver(surface, arm));
  }

  /** The four-bar of the description, asked angle by angle. */
  public record PlainFourBar(Linkage linkage, double longerBy) {
    /** The surface's angle; where the rod cannot reach, that of the last arm angle it could. */
    public double held(double arm) {
      double angle = angle(arm);
      if (!Double.isNaN(angle) && reachesUpTo(arm)) {
        return angle;
      }
      double good = 0;
      double bad = arm;
      double step = Math.signum(arm) * 0.25;
      for (double at = step; Math.abs(at) < Math.abs(arm); at += step) {
        if (Double.isNaN(angle(at))) {
          bad = at;
          break;
        }
        good = at;
      }
      for (int i = 0; i < 60; i++) {
        double middle = (good + bad) / 2;
        if (Double.isNaN(angle(middle))) {
          bad = middle;
        } else {
          good = middle;
        }
      }
      return angle(good);
    }

    private boolean reachesUpTo(double arm) {
      double step = Math.signum(arm) * 0.25;
      for (double at = step; Math.abs(at) < Math.abs(arm); at += step) {
        if (Double.isNaN(angle(at))) {
          return false;
        }
      }
      return true;
    }

    /** NaN where the rod cannot reach. */
    public double angle(double theta) {
      double a = linkage.armRadiusMm();
      double h = linkage.hornRadiusMm();
      double neutral = linkage.rodLengthMm();
      double leanA = Math.toRadians(linkage.armLeanDegrees());
      double leanH = Math.toRadians(linkage.hornLeanDegrees());
      double sigma = linkage.opposite() ? -1 : 1;
      double sx = -a * Math.sin(leanA);
      double sy = -a * Math.cos(leanA);
      double t = Math.toRadians(theta);
      double ax = sx + a * Math.sin(leanA + t);
      double ay = sy + a * Math.cos(leanA + t);
      double hx = neutral - h * Math.sin(leanH);
      double hy = -h * sigma * Math.cos(leanH);
      double[] rest = both(-hx, -hy, h, neutral, sigma, leanH);
      int branch = Math.abs(turned(rest[0])) <= Math.abs(turned(rest[1])) ? 0 : 1;
      double psi = turned(both(ax - hx, ay - hy, h, neutral + longerBy, sigma, leanH)[branch]);
      return Math.toDegrees(linkage.pushRaises() ? psi : -psi);
    }

    private static double turned(double angle) {
      return Math.atan2(Math.sin(angle), Math.cos(angle));
    }

    private static double[] both(
        double px, double py, double h, double length, double sigma, double lean) {
      double distance = Math.hypot(px, py);
      double cos = (distance * distance + h * h - length * length) / (2 * h * distance);
      double opening = Math.abs(cos) > 1 ? Double.NaN : Math.acos(cos);
      double towards = Math.atan2(px, sigma * py);
      return new double[] {towards + opening - lean, towards - opening - lean};
    }
  }
}
