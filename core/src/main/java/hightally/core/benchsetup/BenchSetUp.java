package hightally.core.benchsetup;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Surface;
import hightally.core.benchsetup.BenchStep.Choice;
import hightally.core.benchsetup.BenchStep.Figure;
import hightally.core.channel.Lead;
import hightally.core.channel.StickWords;
import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import hightally.core.setup.ElevonOnly;
import hightally.core.setup.MeantWay;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SheetMaker;
import hightally.core.signal.SignalPath;
import hightally.core.signal.SurfaceSheet;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/**
 * The steps of setting a model up on the bench, in the order in which nothing has to be done twice:
 * made harmless, powered, every surface seen to go the right way, then each seated, level,
 * measured.
 */
public final class BenchSetUp {
  static final String RIGHT = "right";
  static final String WRONG = "wrong";
  static final int CLICKS = 10;

  private static final int MOST_CLICKS = 50;
  private static final int MOST_TURNS = 3;

  /** A movement of which half, the nearest wrong answer, lies further off than a ruler errs. */
  static final double TOLD_MM = 3;

  private final Setup setup;
  private final SignalPath path;
  private final List<SurfaceSheet> sheets;
  private final List<BenchStep> steps = new ArrayList<>();

  /** Servos whose arm was seated at another of their surfaces. */
  private final Set<String> seated = new HashSet<>();

  private BenchSetUp(Setup setup) {
    this.setup = setup;
    path = SignalPath.of(setup);
    sheets = SheetMaker.of(path);
  }

  /** All steps for a setup. */
  public static List<BenchStep> steps(Setup setup) {
    BenchSetUp guide = new BenchSetUp(setup);
    guide.begin();
    for (Surface surface : guide.path.surfacesInDrivingOrder()) {
      guide.surface(surface);
    }
    guide.finish();
    return List.copyOf(guide.steps);
  }

  /**
   * Whether an answer given on one setup still says something on a later one. How a motor was seen
   * to turn does not once its channel, its controller or its failsafe has been changed: it is asked
   * again.
   */
  public static boolean holds(StepAnswer answer, Setup then, Setup now) {
    return Stream.concat(steps(then).stream(), steps(now).stream())
        .filter(step -> step.id().equals(answer.step()))
        .allMatch(step -> Directed.of(then, step).equals(Directed.of(now, step)));
  }

  /** What decides which way a motor goes. */
  private record Directed(List<Object> facts) {
    static Directed of(Setup setup, BenchStep step) {
      List<Object> facts = new ArrayList<>();
      switch (step.kind()) {
        case MOTOR_STOP, MOTOR_TOUCH, MOTOR_WAY, MOTOR_REVERSE -> motor(setup, step, facts);
        case FAILSAFE -> {
          motor(setup, step, facts);
          facts.add(setup.power().failsafe());
        }
        default -> {}
      }
      return new Directed(facts);
    }

    private static void motor(Setup setup, BenchStep step, List<Object> facts) {
      facts.add(setup.power().twoWay());
      facts.add(setup.power().stopMicroseconds());
      facts.add(setup.power().curves());
      facts.add(setup.wiring().lead(step.command()).map(Lead::reverser).orElse(false));
      setup.airframe().motors().stream()
          .filter(one -> one.id().equals(step.command()))
          .forEach(
              one ->
                  setup.channels().stream()
                      .filter(channel -> channel.number() == one.channel())
                      .forEach(facts::add));
    }
  }

  private void begin() {
    if (!setup.airframe().motors().isEmpty()) {
      steps.add(
          BenchStep.choose(
              StepKind.HARMLESS,
              "",
              "",
              Said.of("guide.makeMotorHarmless"),
              Said.of("guide.motorSafeAsked"),
              Said.of("guide.motorStartsCaution"),
              new Choice("propeller-off", Said.of("guide.propellerTakenOff")),
              new Choice("leads-apart", Said.of("guide.motorLeadsApart")),
              new Choice("cut-proven", Said.of("guide.cutTested"))));
    }
    steps.add(
        BenchStep.tell(
            StepKind.POWER,
            Said.of("guide.transmitterFirst"),
            Said.of(
                "guide.switchOrder",
                "throttle",
                StickWords.throttle(setup.transmitter().stickMode())),
            setup.airframe().motors().isEmpty() ? Said.NOTHING : Said.of("guide.batteryCaution")));
    if (!setup.surfaces().isEmpty()) {
      steps.add(
          BenchStep.tell(
              StepKind.WAYS, Said.of("guide.ways"), Said.of("guide.waysHow"), Said.NOTHING));
    }
  }

  private void surface(Surface surface) {
    String driver = surface.rod().driverId();
    if (surface.rod().driver() == DriverKind.SERVO && seated.add(driver)) {
      seat(surface);
    }
    flush(surface);
    travel(surface);
    once(surface);
  }

  private void seat(Surface surface) {
    String servo = setup.servo(surface.rod().driverId()).orElseThrow().name();
    steps.add(
        BenchStep.measure(
            StepKind.SEAT,
            surface.id(),
            Said.of("guide.seatArm", "servo", servo),
            Said.of("guide.armLeanAsked"),
            new Figure(Said.of("guide.offSquare"), Unit.DEGREES, 0, false)));
  }

  private void flush(Surface surface) {
    Said slave =
        surface.rod().driver() == DriverKind.SURFACE ? Said.of("guide.driverLevel") : Said.NOTHING;
    steps.add(
        BenchStep.measure(
            StepKind.FLUSH,
            surface.id(),
            Said.of("guide.levelRod", "surface", surface.name()),
            Said.of(
                "guide.edgeApart",
                "way",
                surface.goes(1),
                "way2",
                surface.goes(-1),
                "slave",
                slave),
            new Figure(Said.of("guide.offLevel"), Unit.MILLIMETRES, 0, false)));
  }

  /**
   * Which way a surface must go for a stick: what its role says, whatever the description does; as
   * described only where the role says nothing.
   */
  static double meant(SignalPath path, Surface surface, Control control) {
    int meant = MeantWay.of(path.setup(), surface, control);
    return meant != 0 ? meant : described(path, surface, control);
  }

  /** Which way, and how far, a surface goes for a stick as it is described, mm. */
  private static double described(SignalPath path, Surface surface, Control control) {
    int index = path.indexOf(surface.id());
    Moment rest = rest(path);
    return path.evaluateBase(rest.with(control, 1)).travelMm()[index]
        - path.evaluateBase(rest).travelMm()[index];
  }

  /** Where the model rests on the bench. */
  static Moment rest(SignalPath path) {
    return path.rest(path.basePhase());
  }

  private void travel(Surface surface) {
    ThrowsFromRest found = ThrowsFromRest.of(path, path.indexOf(surface.id()));
    if (found.none()) {
      return;
    }
    steps.add(
        BenchStep.measure(
            StepKind.TRAVEL,
            surface.id(),
            Said.of("guide.travelRuler", "surface", surface.name()),
            Said.of(
                "guide.rulerHow",
                "chordMm",
                Quantity.mm(surface.chordMm(), 0),
                "where",
                found.where(setup.transmitter().stickMode())),
            new Figure(
                Said.of("guide.full", "way", surface.goes(1)),
                Unit.MILLIMETRES,
                found.plusMm(),
                true),
            new Figure(
                Said.of("guide.full", "way", surface.goes(-1)),
                Unit.MILLIMETRES,
                found.minusMm(),
                true)));
  }

  /** What no maker's figure gives, asked once for each surface. */
  private void once(Surface surface) {
    SurfaceSheet sheet = sheets.get(path.indexOf(surface.id()));
    sheet.controls().stream()
        .max(java.util.Comparator.comparingDouble(one -> Math.abs(one.mmPerClick())))
        .ifPresent(
            control -> {
              double each = Math.abs(control.mmPerClick());
              int most = Math.min(MOST_CLICKS, setup.transmitter().trimRangeClicks());
              int clicks = CLICKS * enough(CLICKS * each, Math.max(1, most / CLICKS));
              steps.add(
                  BenchStep.measure(
                      StepKind.CLICKS,
                      surface.id(),
                      Said.of("guide.clicksAsked", "surface", surface.name(), "count", clicks),
                      Said.of("guide.clicksHow", "control", control.control(), "count", clicks),
                      new Figure(
                          Said.of("guide.tenClicks", "count", clicks),
                          Unit.MILLIMETRES,
                          clicks * each,
                          true)));
            });
    double each = Math.abs(sheet.mmPerTurn());
    int turns = enough(each, MOST_TURNS);
    steps.add(
        BenchStep.measure(
            StepKind.TURN,
            surface.id(),
            Said.of("guide.turnAsked", "surface", surface.name(), "count", turns),
            Said.of("guide.turnEnd", "count", turns, "step", Quantity.mm(turns, 0)),
            new Figure(
                Said.of("guide.oneTurn", "count", turns), Unit.MILLIMETRES, turns * each, true)));
  }

  /** How often a movement is made until a ruler tells it from half of it, at most so often. */
  private static int enough(double mm, int most) {
    int times = 1;
    while (times < most && times * mm < TOLD_MM) {
      times++;
    }
    return times;
  }

  private void finish() {
    if (ElevonOnly.applies(setup)) {
      for (Surface surface : ElevonOnly.elevons(setup)) {
        steps.add(
            BenchStep.measure(
                StepKind.REFLEX,
                surface.id(),
                Said.of("guide.reflex", "surface", surface.name()),
                Said.of("guide.wingStart"),
                new Figure(Said.of("guide.upRest"), Unit.MILLIMETRES, 0, false)));
      }
    }
    steps.addAll(new MotorSteps(setup, path).steps());
    steps.add(
        BenchStep.tell(
            StepKind.FINISH,
            Said.of("guide.keepersAndRecheck"),
            Said.of("guide.keepersOn"),
            Said.of("guide.lastWord")));
  }
}
