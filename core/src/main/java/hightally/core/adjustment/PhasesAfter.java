package hightally.core.adjustment;

import hightally.core.adjustment.PhaseOutcome.SurfaceError;
import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.channel.SubTrimMode;
import hightally.core.channel.Transmitter;
import hightally.core.flightlog.PhaseReading;
import hightally.core.program.Phase;
import hightally.core.program.Preset;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;

/** Every phase with new rods: its clicks, what is left, the throws, and the setup that results. */
final class PhasesAfter {
  private static final double NOTHING_MM = 0.05;
  private static final double ROUNDING = 1e-6;

  private final SignalPath before;
  private final SignalPath rods;
  private final SignalPath after;
  private final Setup setup;
  private final List<PhaseReading> readings;
  private final int reference;
  private final List<Integer> servos = new ArrayList<>();
  private final List<double[]> exact = new ArrayList<>();
  private final List<Trims> clicks = new ArrayList<>();
  private final Trims common;
  private final Setup afterTurned;

  /** Percent each surface's command lacks in each phase, trims at zero, with the new rods. */
  private final List<double[]> needed = new ArrayList<>();

  /**
   * All of it.
   *
   * @param stands the setup with its rods as the surfaces stand
   * @param turned the same with its rods by the steps made
   * @param mostFlownFirst ids of the phases: the first that shares a trim decides it
   */
  PhasesAfter(
      SignalPath before,
      Setup stands,
      Setup turned,
      List<PhaseReading> readings,
      int reference,
      boolean presetsTakeUp,
      List<String> mostFlownFirst) {
    this.before = before;
    this.readings = readings;
    this.reference = reference;
    setup = before.setup();
    rods = SignalPath.of(stands);
    for (int i = 0; i < setup.surfaces().size(); i++) {
      if (setup.surfaces().get(i).rod().driver() == DriverKind.SERVO
          && before.carriedBehind(i) >= 0) {
        servos.add(i);
      }
    }
    for (int phase = 0; phase < readings.size(); phase++) {
      exact.add(exact(phase, Trims.ZERO, one -> true));
    }
    Trims common = presetsTakeUp ? Trims.ZERO : common(mostFlownFirst);
    for (int phase = 0; phase < readings.size(); phase++) {
      clicks.add(presetsTakeUp ? Trims.ZERO : clicks(phase, common));
    }
    this.common = common;
    after = presetsTakeUp ? SignalPath.of(withPresets(stands)) : rods;
    afterTurned = presetsTakeUp ? withPresets(turned) : turned;
  }

  /**
   * The entry that phases share: the reference decides it where it shares the trim itself, else the
   * phase flown most of those that do. Where no phase does, it stays what it was.
   */
  private Trims common(List<String> mostFlownFirst) {
    Trims decided = setup.trims();
    List<String> order = new ArrayList<>(mostFlownFirst);
    String first = setup.phases().get(reference).id();
    order.remove(first);
    order.add(0, first);
    for (Control control : Control.values()) {
      for (String id : order) {
        Phase phase = setup.phase(id).orElse(null);
        if (phase != null && !phase.own(control)) {
          Trims whole = ClickFit.whole(exact.get(setup.phases().indexOf(phase)));
          decided = decided.with(control, whole.of(control));
          break;
        }
      }
    }
    return decided;
  }

  /** The clicks of a phase: the shared ones as they are, its own ones fitted beside them. */
  private Trims clicks(int phase, Trims decided) {
    Phase one = setup.phases().get(phase);
    Trims own =
        ClickFit.whole(exact(phase, one.withTrims(Trims.ZERO).effective(decided), one::own));
    return one.withTrims(own).effective(decided);
  }

  /** The clicks of a phase before they are rounded; roll, pitch, yaw. */
  double[] exactOf(int phase) {
    return exact.get(phase);
  }

  /** Presets take up what clicks would have to do, to a tenth of a percent, in every phase. */
  private Setup withPresets(Setup turned) {
    List<Phase> phases = new ArrayList<>();
    double click = setup.transmitter().clickStepPercent();
    for (int phase = 0; phase < readings.size(); phase++) {
      Phase one = turned.phases().get(phase);
      List<Preset> presets = new ArrayList<>(one.presets());
      for (int i : servos) {
        Surface carried = setup.surfaces().get(before.carriedBehind(i));
        boolean own = carried.id().equals(setup.surfaces().get(i).id());
        double lacking = needed.get(phase)[i];
        for (Control control : Control.values()) {
          lacking -= click * carried.shares().of(control) * clicks.get(phase).of(control);
        }
        double add = Math.rint(lacking * 10) / 10;
        if (own && add != 0 && Double.isFinite(add)) {
          double standing = one.presetPercent(carried.id());
          presets.removeIf(preset -> preset.surface().equals(carried.id()));
          presets.add(new Preset(carried.id(), standing + add));
        }
      }
      phases.add(one.withPresets(presets));
    }
    return turned.change().phases(phases).done();
  }

  /** The clicks that bring every surface back, by least squares over the rods at servos. */
  private double[] exact(int phase, Trims fixed, Predicate<Control> free) {
    Moment rest = readings.get(phase).rest();
    Trims flown = readings.get(phase).trims();
    double[] stood = before.evaluateTrimmed(rest, phase, flown).surfaceDegrees();
    double[] neutral = before.evaluateTrimmed(rest, phase, Trims.ZERO).commandPercent();
    double[] trimmed = before.evaluateTrimmed(rest, phase, flown).armDegrees();
    double step = setup.transmitter().clickStepPercent();
    ClickFit fit = new ClickFit(step);
    double[] lacking = new double[stood.length];
    if (needed.size() == phase) {
      needed.add(lacking);
    }
    for (int i : servos) {
      int channel = before.channelBehind(i);
      double near = trimmed[before.servoIndexBehind(i)];
      double command =
          ClickFit.command(
              rods.bar(i), before.output(channel), rods.servoBehind(i), stood[i], near);
      lacking[i] = command - neutral[channel];
      double[] shares = setup.surfaces().get(before.carriedBehind(i)).shares().ofControls();
      double left = lacking[i];
      for (Control control : Control.values()) {
        if (!free.test(control)) {
          left -= step * shares[control.ordinal()] * fixed.of(control);
          shares[control.ordinal()] = 0;
        }
      }
      fit.servo(shares, left);
    }
    return fit.exact();
  }

  List<PhaseOutcome> outcomes() {
    List<PhaseOutcome> found = new ArrayList<>();
    for (int phase = 0; phase < readings.size(); phase++) {
      Moment rest = readings.get(phase).rest();
      Trims flown = readings.get(phase).trims();
      double[] stood = before.evaluateTrimmed(rest, phase, flown).travelMm();
      double[] stands = after.evaluateTrimmed(rest, phase, clicks.get(phase)).travelMm();
      List<SurfaceError> errors = new ArrayList<>();
      for (int i = 0; i < stood.length; i++) {
        Surface surface = setup.surfaces().get(i);
        errors.add(new SurfaceError(surface.id(), surface.name(), stands[i] - stood[i]));
      }
      double[] clicksExact = exact.get(phase);
      found.add(
          new PhaseOutcome(
              setup.phases().get(phase).id(),
              setup.phases().get(phase).name(),
              phase == reference,
              flown,
              clicks.get(phase),
              List.of(clicksExact[0], clicksExact[1], clicksExact[2]),
              errors));
    }
    return found;
  }

  /** Full travels of every surface at a servo that change visibly, and what restores them. */
  List<ThrowChange> throwChanges() {
    List<ThrowChange> found = new ArrayList<>();
    for (int i : servos) {
      double plus = travel(before, i, 100);
      double minus = travel(before, i, -100);
      double plusNow = travel(after, i, 100);
      double minusNow = travel(after, i, -100);
      if (Math.abs(plus - plusNow) > NOTHING_MM || Math.abs(minus - minusNow) > NOTHING_MM) {
        Surface surface = setup.surfaces().get(i);
        Channel channel = setup.channels().get(before.channelBehind(i));
        double high = endpoint(i, channel, channel.reversed() ? -100 : 100);
        double low = endpoint(i, channel, channel.reversed() ? 100 : -100);
        found.add(
            new ThrowChange(
                surface.id(),
                surface.name(),
                plus,
                plusNow,
                minus,
                minusNow,
                channel.number(),
                Double.isFinite(low) ? low : null,
                Double.isFinite(high) ? high : null));
      }
    }
    return found;
  }

  private static double[] commands(SignalPath path, int surface, double command) {
    double[] all = new double[path.setup().channels().size()];
    all[path.channelBehind(surface)] = command;
    return all;
  }

  private static double travel(SignalPath path, int surface, double command) {
    return path.ofCommands(commands(path, surface, command)).travelMm()[surface];
  }

  /**
   * The endpoint with which a full command brings the old angle with the new rod; NaN where the
   * linkage, the servo's stop or the transmitter's limits are in the way.
   */
  private double endpoint(int surface, Channel channel, double command) {
    double[] commands = commands(before, surface, command);
    double angle = before.ofCommands(commands).surfaceDegrees()[surface];
    double near = before.ofCommands(commands).armDegrees()[before.servoIndexBehind(surface)];
    double arm = rods.bar(surface).armFor(angle, near);
    double pulse = rods.servoBehind(surface).pulseFor(arm);
    double subTrim = channel.subTrimMicroseconds();
    double offset = pulse - setup.transmitter().centreMicroseconds() - subTrim;
    boolean high = channel.reversed() ? command < 0 : command > 0;
    double fixed =
        setup.transmitter().subTrimMode() == SubTrimMode.FIXED_ENDS
            ? (high ? subTrim : -subTrim)
            : 0;
    double reach = (high ? offset : -offset) + fixed;
    double endpoint = 100 * reach / setup.transmitter().microsecondsPer100();
    boolean brings = Math.abs(rods.bar(surface).surfaceAngle(arm) - angle) < ROUNDING;
    return brings && reachable(surface, arm, pulse, endpoint) ? endpoint : Double.NaN;
  }

  private boolean reachable(int surface, double arm, double pulse, double endpoint) {
    Transmitter limits = setup.transmitter();
    return Math.abs(rods.servoBehind(surface).armDegrees(pulse) - arm) < ROUNDING
        && pulse >= limits.shortestMicroseconds()
        && pulse <= limits.longestMicroseconds()
        && endpoint >= 0
        && endpoint <= limits.endpointLimitPercent();
  }

  /** Rods turned, clicks as they come out: common ones from the reference, own ones per phase. */
  Setup after() {
    return with(afterTurned, clicks, common);
  }

  /** As it was flown: the clicks of every phase where the transmitter had them. */
  Setup flown() {
    List<Trims> trims = readings.stream().map(PhaseReading::trims).toList();
    Trims shared = setup.trims();
    for (Control control : Control.values()) {
      for (int i = readings.size() - 1; i >= 0; i--) {
        if (!setup.phases().get(i).own(control)) {
          shared = shared.with(control, trims.get(i).of(control));
          break;
        }
      }
    }
    return with(setup, trims, shared);
  }

  private static Setup with(Setup into, List<Trims> trims, Trims shared) {
    List<Phase> phases = new ArrayList<>();
    for (int i = 0; i < into.phases().size(); i++) {
      Phase phase = into.phases().get(i);
      Trims now = trims.get(i);
      Trims standing = phase.trims();
      phases.add(
          phase.withTrims(
              new Trims(
                  phase.ownRoll() ? now.roll() : standing.roll(),
                  phase.ownPitch() ? now.pitch() : standing.pitch(),
                  phase.ownYaw() ? now.yaw() : standing.yaw())));
    }
    return into.change().phases(phases).trims(shared).done();
  }
}
