package hightally.core.hazard;

import hightally.core.airframe.Motor;
import hightally.core.edit.Edit;
import hightally.core.edit.Figure;
import hightally.core.edit.Mend;
import hightally.core.program.FailsafeSetting;
import hightally.core.program.Power;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.MotorStops;
import hightally.core.signal.SignalPath;
import java.util.List;
import java.util.Set;

/**
 * Whether closed throttle, cut, arming and failsafe give the pulse at which a controller stops,
 * measured at its socket: sub-trim, endpoints, reversal and a reverser in its lead included.
 */
final class StopHazards implements HazardFinder {
  private static final double NEARLY_ALL = 0.9;
  private static final double HALF = 0.5;

  private final HazardSearch search;
  private final StateHazards surfaces;
  private final Setup setup;
  private final Power power;

  StopHazards(HazardSearch search, StateHazards surfaces) {
    this.surfaces = surfaces;
    this.search = search;
    setup = search.setup();
    power = setup.power();
  }

  @Override
  public Set<HazardKind> kinds() {
    return Set.of(HazardKind.CUT_DISAGREES, HazardKind.FAILSAFE_END);
  }

  @Override
  public void written() {
    for (Motor motor : setup.airframe().motors()) {
      MotorStops stops = new MotorStops(search.path(), motor);
      double stop = power.stopPercent();
      List<Edit> cut = List.of(Edit.of(Figure.CUT, "", stop));
      pulse(motor, stops, "stick", Said.of("hazard.stickBackGives"), stop, List.of());
      pulse(motor, stops, "cut", Said.of("hazard.throttleCutHolds"), power.cutPercent(), cut);
      failsafe(motor, stops);
    }
  }

  /** A failsafe that puts a surface about as far as anything does. */
  @Override
  public void afterwards() {
    SignalPath path = search.path();
    Moment rest = Moment.centred(setup.trims());
    double[] still = path.evaluate(rest).commandPercent();
    for (FailsafeSetting one : power.failsafe()) {
      for (int i = 0; i < setup.surfaces().size() && !one.holds(); i++) {
        int channel = path.channelBehind(i);
        int carried = path.carriedBehind(i);
        if (setup.channels().get(channel).number() == one.channel() && carried >= 0) {
          boolean up = one.percent() > still[channel];
          double mm = path.evaluate(rest).travelMm()[i];
          double end = LostTravel.realMm(path, i, surfaces.furthest(carried, up)) - mm;
          double there = thrown(path, rest, channel, one.percent())[i];
          boolean far = Math.abs(there - mm) >= NEARLY_ALL * Math.abs(end);
          if (far && Math.abs(there - mm) > setup.house().surfaceJumpMm()) {
            search.keep(
                HazardKind.FAILSAFE_END,
                setup.surfaces().get(i).id(),
                Math.abs(there),
                Said.of(
                    "hazard.failsafeThrows",
                    "channel",
                    one.channel(),
                    "surface",
                    setup.surfaces().get(i).name(),
                    "mm",
                    Quantity.mm(there)),
                List.of(),
                List.of(rest),
                List.of(
                    new Mend(
                        Said.of("hazard.failsafeCentre"),
                        List.of(Edit.of(Figure.FAILSAFE, one.channel(), 0)))),
                true);
          }
        }
      }
    }
  }

  private static double[] thrown(SignalPath path, Moment rest, int channel, double percent) {
    double[] commands = path.evaluate(rest).commandPercent().clone();
    commands[channel] = percent;
    return path.ofCommands(commands).travelMm();
  }

  private void failsafe(Motor motor, MotorStops stops) {
    if (!stops.failsafeReaches()) {
      keep(motor, "", Said.of("hazard.failsafeUnreached", "motor", motor.name()), List.of());
    } else if (stops.failsafe().isEmpty()) {
      keep(
          motor,
          "",
          Said.of("hazard.failsafeHoldsPower", "channel", motor.channel(), "motor", motor.name()),
          stopping(motor));
    } else {
      Said what = Said.of("hazard.failsafeHolds", "motor", motor.name());
      pulse(motor, stops, "failsafe", what, stops.failsafe().get(), stopping(motor));
    }
  }

  private List<Edit> stopping(Motor motor) {
    return List.of(Edit.of(Figure.FAILSAFE, motor.channel(), power.stopPercent()));
  }

  private void pulse(
      Motor motor, MotorStops stops, String which, Said what, double percent, List<Edit> edits) {
    if (!stops.stopsAt(percent)) {
      keep(
          motor,
          which,
          Said.of(
              "hazard.controllerRuns",
              "what",
              what,
              "motor",
              motor.name(),
              "pulse",
              Quantity.microseconds(stops.pulse(percent)),
              "stop",
              Quantity.microseconds(stops.stop())),
          stops.stopsAt(power.stopPercent()) ? edits : List.of());
    }
  }

  /** The throttle control at rest, nothing cut. */
  private Moment atRest() {
    return Moment.centred(setup.trims()).withThrottle(0, false);
  }

  /** The throttle control half open. */
  private Moment running() {
    int lever = setup.transmitter().inputIndex(power.throttleInput());
    return lever < 0 ? atRest().withThrottle(HALF, false) : atRest().withInput(lever, HALF);
  }

  private void keep(Motor motor, String which, Said words, List<Edit> edits) {
    String subject = which.isEmpty() ? motor.id() : motor.id() + " " + which;
    Quantity stop = Quantity.percent(power.stopPercent());
    List<Mend> mends =
        edits.isEmpty()
            ? List.of()
            : List.of(new Mend(Said.of("hazard.setTheStop", "stop", stop), edits));
    List<Moment> moments =
        switch (which) {
          case "stick" -> List.of(atRest());
          case "cut" -> List.of(atRest(), Moment.centred(setup.trims()));
          default -> List.of(running());
        };
    boolean lost = which.isEmpty() || which.equals("failsafe");
    search.keep(HazardKind.CUT_DISAGREES, subject, 1, words, List.of(), moments, mends, lost);
  }
}
