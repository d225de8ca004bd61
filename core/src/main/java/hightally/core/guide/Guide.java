package hightally.core.guide;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.LeverShare;
import hightally.core.airframe.Servo;
import hightally.core.airframe.Surface;
import hightally.core.channel.Lead;
import hightally.core.guide.GuideStep.Choice;
import hightally.core.guide.GuideStep.Figure;
import hightally.core.phase.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.Words;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SheetMaker;
import hightally.core.signal.SignalPath;
import hightally.core.signal.SurfaceSheet;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/**
 * The steps of setting a model up on the bench, in the order in which nothing has to be done twice:
 * made harmless, powered, then per surface seated, level, right way round, measured.
 */
public final class Guide {
  static final String RIGHT = "right";
  static final String WRONG = "wrong";
  static final int CLICKS = 10;

  private final Setup setup;
  private final SignalPath path;
  private final List<SurfaceSheet> sheets;
  private final List<GuideStep> steps = new ArrayList<>();

  private Guide(Setup setup) {
    this.setup = setup;
    path = SignalPath.of(setup);
    sheets = SheetMaker.of(path);
  }

  /** All steps for a setup. */
  public static List<GuideStep> steps(Setup setup) {
    Guide guide = new Guide(setup);
    guide.begin();
    for (Surface surface : guide.path.surfacesInDrivingOrder()) {
      guide.surface(surface);
    }
    guide.finish();
    return List.copyOf(guide.steps);
  }

  /**
   * Whether an answer given on one setup still says something on a later one. How a surface was
   * seen to go does not once what decides its direction has been changed: it is asked again.
   */
  public static boolean holds(GuideAnswer answer, Setup then, Setup now) {
    return Stream.concat(steps(then).stream(), steps(now).stream())
        .filter(step -> step.id().equals(answer.step()) && step.kind() == StepKind.DIRECTION)
        .map(GuideStep::surface)
        .allMatch(surface -> Directed.of(then, surface).equals(Directed.of(now, surface)));
  }

  /** What decides which way a surface goes. */
  private record Directed(List<Object> facts) {
    static Directed of(Setup setup, String id) {
      List<Object> facts = new ArrayList<>();
      setup
          .surface(id)
          .ifPresent(
              surface -> {
                facts.add(surface.rod().driverId());
                facts.add(surface.rod().linkage().pushRaises());
                facts.add(surface.rod().linkage().opposite());
                setup
                    .servo(surface.rod().driverId())
                    .ifPresent(servo -> servo(setup, servo, facts));
              });
      return new Directed(facts);
    }

    private static void servo(Setup setup, Servo servo, List<Object> facts) {
      facts.add(servo.pullsOnIncrease());
      facts.add(servo.channel());
      facts.add(setup.wiring().lead(servo.id()).map(Lead::reverser).orElse(false));
      setup.channels().stream()
          .filter(one -> one.number() == servo.channel())
          .forEach(
              channel -> {
                facts.add(channel.reversed());
                setup.surface(channel.carries()).ifPresent(one -> facts.add(one.shares()));
              });
    }
  }

  private void begin() {
    if (setup.airframe().motors().isEmpty()) {
      steps.add(
          GuideStep.choose(
              StepKind.HARMLESS,
              "",
              "",
              "Nothing can start",
              "This model has no motor on its map. Confirm that none is fitted.",
              "",
              new Choice("no-motor", "No motor is fitted")));
    } else {
      steps.add(
          GuideStep.choose(
              StepKind.HARMLESS,
              "",
              "",
              "Make the motor harmless",
              "How was the motor made harmless? It is written down with this session.",
              "A motor can start at any moment while the radio is on. Never work within reach of a"
                  + " propeller; hold the model.",
              new Choice("propeller-off", "Propeller taken off"),
              new Choice("leads-apart", "Motor leads apart"),
              new Choice("cut-proven", "Throttle cut set and proven, model held")));
    }
    steps.add(
        GuideStep.tell(
            StepKind.POWER,
            "Transmitter first, then the model",
            "Switch the transmitter on, then the model; off in the other order. "
                + Words.capital(StickWords.throttle(setup.transmitter().stickMode()))
                + " all the way back. All trims and all sub-trims to zero. Stand behind the model.",
            setup.airframe().motors().isEmpty()
                ? ""
                : "Lithium batteries stay attended; unplug at once if anything hums or gets warm."));
  }

  private void surface(Surface surface) {
    if (surface.rod().driver() == DriverKind.SERVO) {
      seat(surface);
    }
    flush(surface);
    if (surface.rod().driver() == DriverKind.SERVO) {
      directions(surface);
    }
    travel(surface);
    once(surface);
  }

  private void seat(Surface surface) {
    String servo = setup.servo(surface.rod().driverId()).orElseThrow().name();
    steps.add(
        GuideStep.measure(
            StepKind.SEAT,
            surface.id(),
            servo + ": seat the arm",
            "With trims and sub-trim at zero, see how far the arm stands off square to its rod. Plus:"
                + " it leans towards the surface; minus: away from it.",
            new Figure("Off square", "°", 0, false)));
  }

  private void flush(Surface surface) {
    String slave =
        surface.rod().driver() == DriverKind.SURFACE
            ? " What drives it is already level; leave that alone."
            : "";
    steps.add(
        GuideStep.measure(
            StepKind.FLUSH,
            surface.id(),
            surface.name() + ": level by the rod",
            "How far does the trailing edge stand off the fixed part? Plus "
                + surface.directionWord(1)
                + ", minus "
                + surface.directionWord(-1)
                + ". The answer is in turns of the rod's end."
                + slave,
            new Figure("Off level", "mm", 0, false)));
  }

  private void directions(Surface surface) {
    Surface carried = carried(surface);
    for (Control control : Control.values()) {
      if (carried.shares().of(control) != 0) {
        double travel = moved(surface, Moment.centred(Trims.ZERO).with(control, 1));
        String stick = StickWords.to(setup.transmitter().stickMode(), control, 1);
        direction(surface, control.word(), Words.capital(stick), travel);
      }
    }
    for (LeverShare lever : carried.shares().levers()) {
      int index = setup.transmitter().inputIndex(lever.input());
      double travel = moved(surface, Moment.centred(Trims.ZERO).withInput(index, 1));
      String name = setup.transmitter().inputs().get(index).name();
      direction(surface, lever.input(), Words.capital(name) + " to its far end", travel);
    }
  }

  private void direction(Surface surface, String command, String what, double travel) {
    steps.add(
        GuideStep.choose(
            StepKind.DIRECTION,
            surface.id(),
            command,
            surface.name() + ": which way, on " + command.replace('-', ' '),
            what
                + ": the trailing edge must go "
                + surface.directionWord(travel)
                + ". From behind the model, what did it do?",
            "",
            new Choice(RIGHT, "Went " + surface.directionWord(travel)),
            new Choice(WRONG, "Went " + surface.directionWord(-travel))));
  }

  private Surface carried(Surface surface) {
    int channel = path.channelBehind(path.indexOf(surface.id()));
    return setup.surface(setup.channels().get(channel).carries()).orElseThrow();
  }

  private double moved(Surface surface, Moment moment) {
    int index = path.indexOf(surface.id());
    double rest = path.evaluateBase(Moment.centred(Trims.ZERO)).travelMm()[index];
    return path.evaluateBase(moment).travelMm()[index] - rest;
  }

  private void travel(Surface surface) {
    Throws found = Throws.of(path, path.indexOf(surface.id()));
    if (found.none()) {
      return;
    }
    steps.add(
        GuideStep.measure(
            StepKind.TRAVEL,
            surface.id(),
            surface.name() + ": travel with the ruler",
            "Ruler square on the neutral chord, "
                + String.format(Locale.ROOT, "%.0f mm", surface.chordMm())
                + " behind the hinge line. "
                + found.where(setup.transmitter().stickMode())
                + ". Type how far it went each way.",
            new Figure("Full " + surface.directionWord(1), "mm", found.plusMm(), true),
            new Figure("Full " + surface.directionWord(-1), "mm", found.minusMm(), true)));
  }

  /** What no maker's figure gives, asked once for each surface. */
  private void once(Surface surface) {
    SurfaceSheet sheet = sheets.get(path.indexOf(surface.id()));
    sheet.controls().stream()
        .max(java.util.Comparator.comparingDouble(one -> Math.abs(one.mmPerClick())))
        .ifPresent(
            control ->
                steps.add(
                    GuideStep.measure(
                        StepKind.CLICKS,
                        surface.id(),
                        surface.name() + ": what ten clicks move",
                        "Ten clicks of "
                            + control.control().word()
                            + " trim, measure how far the trailing edge moves, and take them out"
                            + " again.",
                        new Figure(
                            "Ten clicks", "mm", CLICKS * Math.abs(control.mmPerClick()), true))));
    steps.add(
        GuideStep.measure(
            StepKind.TURN,
            surface.id(),
            surface.name() + ": what one turn moves",
            "One whole turn of the rod's end (1 mm for a sliding stopper), measure, and turn it back.",
            new Figure("One turn", "mm", Math.abs(sheet.mmPerTurn()), true)));
  }

  private void finish() {
    if (Reflex.applies(setup)) {
      for (Surface surface : Reflex.elevons(setup)) {
        steps.add(
            GuideStep.measure(
                StepKind.REFLEX,
                surface.id(),
                surface.name() + ": reflex",
                "A flying wing starts with its trailing edges a little up, the same on both sides; for"
                    + " the first flight rather a little too much. Measure on the lower surface: the"
                    + " camber of the upper one reads two to three times as much.",
                new Figure("Up at rest", "mm", 0, false)));
      }
    }
    steps.add(
        GuideStep.tell(
            StepKind.FINISH,
            "Keepers on, then everything once more",
            "Keepers over the clevises. All directions once more from behind. Motor off the list last:"
                + " leads together and propeller on only at the field, with the model held.",
            "The maker's manual, local rules and an experienced pilot have the last word."));
  }
}
