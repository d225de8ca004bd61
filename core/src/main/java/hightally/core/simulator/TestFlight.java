package hightally.core.simulator;

import hightally.core.program.Phase;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.simulator.ScriptedPilot.Hand;
import hightally.core.trimming.Brakes;
import hightally.core.trimming.FlightForm;
import hightally.core.trimming.TestCase;
import hightally.core.trimming.TestResult.Turn;
import hightally.core.trimming.TrimTest;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;

/**
 * A trim test flown by the simulated model and the scripted pilot: it starts trimmed hands off in
 * level flight (a glider in its glide) at test speed, faults and all.
 */
public final class TestFlight {
  /** Tests that can be flown here; the others ask for a pilot's own eyes. */
  public static final Set<TrimTest> FLOWN =
      Arrays.stream(TrimTest.values())
          .filter(one -> manoeuvre(one).isPresent())
          .collect(Collectors.toUnmodifiableSet());

  private static final double HEIGHT = 150;
  private static final double PULL = 60;
  private static final double HALF_ROLL = 180;
  private static final double PERCENT = 100;
  private static final double DIVE_WISH = 15;
  private static final double FARTHEST_TURN = 60;

  private final FlyingModel model;
  private final TestCase test;
  private final int phase;
  private final TrimState trim;
  private final Moment rest;
  private final Gusts gusts;
  private final Wish wish;
  private final List<Measured> found = new ArrayList<>();
  private final List<List<FlightSample>> flown = new ArrayList<>();
  private boolean broken;

  /** What a pilot wants an inverted 45° climb to do in two seconds. */
  public enum Wish {
    /** Degrees it should drop. */
    PRECISE(10),
    SPORT(40),
    HOVER(0);

    private final double drop;

    Wish(double drop) {
      this.drop = drop;
    }
  }

  /** One measured value, with its severity and what a pilot calls it. */
  public record Measured(TestMeasure what, double value, Turn turn) {
    /** How strong it is, with the sign of the way the lever must go. */
    public int severity() {
      return what.severity(value);
    }
  }

  /**
   * A test flight.
   *
   * @param measured what it showed
   * @param parts the path of each of its parts: once, or to the right and to the left
   * @param broken whether it left what can be reckoned with
   */
  public record Flown(
      TestCase test, List<Measured> measured, List<List<FlightSample>> parts, boolean broken) {
    /** The value of one measure, the mean of both ways; empty where it was not measured. */
    public Optional<Double> value(TestMeasure what) {
      List<Measured> all = measured.stream().filter(one -> one.what() == what).toList();
      return all.isEmpty()
          ? Optional.empty()
          : Optional.of(all.stream().mapToDouble(Measured::value).average().orElseThrow());
    }
  }

  private TestFlight(FlyingModel model, TestCase test, TrimState trim, Gusts gusts, Wish wish) {
    this.model = model;
    this.test = test;
    this.trim = trim;
    this.gusts = gusts;
    this.wish = wish;
    Setup setup = model.setup();
    Phase flownIn = test.phase(setup);
    phase = setup.phases().indexOf(flownIn);
    Moment still = rest(model, flownIn);
    rest = model.glides() ? still : Throttle.at(setup, still, trim.throttle());
  }

  /** Sticks and levers of level flight in a phase: brakes in, a glider's motor cut. */
  static Moment rest(FlyingModel model, Phase phase) {
    double throttle =
        FlightForm.of(model.setup()).stream()
            .filter(one -> one.phase().equals(phase.id()) && !one.throttleAsked())
            .mapToDouble(one -> one.throttlePercent() / PERCENT)
            .findFirst()
            .orElse(0);
    int index = model.setup().phases().indexOf(phase);
    Moment still = Moment.centred(Trims.ZERO).withThrottle(throttle, true);
    return Throttle.armed(model.cockpit().path(), still, index);
  }

  /** Level flight, or the glide, of a model in a phase; empty where there is none. */
  public static Optional<TrimState> trimmed(FlyingModel model, Phase phase) {
    int index = model.setup().phases().indexOf(phase);
    return new TrimState.Search(
            model, rest(model, phase), index, model.testSpeed(), 0, model.glides())
        .find();
  }

  /**
   * Flies a test.
   *
   * @param trim straight flight of the model in the test's phase
   */
  public static Flown fly(
      FlyingModel model, TestCase test, TrimState trim, Gusts gusts, Wish wish) {
    TestFlight flight = new TestFlight(model, test, trim, gusts, wish);
    flight.fly();
    return new Flown(test, List.copyOf(flight.found), List.copyOf(flight.flown), flight.broken);
  }

  private void fly() {
    manoeuvre(test.test())
        .orElseThrow(() -> new IllegalArgumentException(test.told()))
        .accept(this);
  }

  private static Optional<Consumer<TestFlight>> manoeuvre(TrimTest test) {
    return Optional.ofNullable(
        switch (test) {
          case LEVEL_TRIM -> TestFlight::level;
          case THROTTLE_CHANGE -> TestFlight::throttleChange;
          case INVERTED_45 -> TestFlight::inverted45;
          case DIVE -> TestFlight::dive;
          case INVERTED_LEVEL -> TestFlight::invertedLevel;
          case VERTICAL_UP -> TestFlight::verticalUp;
          case ROLL_AXIS -> flight -> flight.bothWays(flight::rollAxis);
          case KNIFE_EDGE -> flight -> flight.bothWays(flight::knifeEdge);
          case VERTICAL_DOWN -> TestFlight::verticalDown;
          case BRAKES -> TestFlight::brakes;
          case CIRCLING -> flight -> flight.bothWays(flight::circling);
          case STALL, LAUNCH, SPEED, FEEL -> null;
        });
  }

  private interface Way {
    void fly(ScriptedPilot pilot, int side);
  }

  private void bothWays(Way way) {
    for (int side : new int[] {1, -1}) {
      ScriptedPilot pilot = begin();
      way.fly(pilot, side);
      end(pilot);
    }
  }

  private ScriptedPilot begin() {
    TrimInterpolation clicks = new TrimInterpolation(model.cockpit(), trim.clicks());
    double[] beyond = clicks.beyond(rest, phase);
    FlightIntegration flight =
        new FlightIntegration(model, FlightState.of(trim, HEIGHT), beyond, gusts);
    flight.settle(rest, phase, clicks.whole());
    ScriptedPilot pilot = new ScriptedPilot(flight, rest, phase, clicks.whole());
    pilot.lineFromPath();
    return pilot;
  }

  private void end(ScriptedPilot pilot) {
    flown.add(List.copyOf(pilot.samples()));
    broken |= pilot.broken();
  }

  private void measured(TestMeasure what, double value, int side) {
    Turn turn = side == 0 ? Turn.BOTH : side > 0 ? Turn.RIGHT : Turn.LEFT;
    found.add(new Measured(what, value, turn));
  }

  /** As it is trimmed now, in whole clicks: what four seconds hands off come to. */
  private void level() {
    FlightIntegration flight =
        new FlightIntegration(
            model, FlightState.of(trim, HEIGHT), new double[model.cockpit().flaps()], gusts);
    Trims now = model.setup().phases().get(phase).effective(model.setup().trims());
    flight.settle(rest, phase, now);
    ScriptedPilot pilot = new ScriptedPilot(flight, rest, phase, now);
    double before = climb(pilot);
    pilot.fly(4, Hand.FREE, Hand.FREE, Hand.FREE);
    measured(TestMeasure.LEVEL_PATH, climb(pilot) - before, 0);
    measured(TestMeasure.LEVEL_BANK, bank(pilot), 0);
    end(pilot);
  }

  private void throttleChange() {
    ScriptedPilot pilot = begin();
    pilot.fly(0.5, Hand.HOLD, Hand.FREE, Hand.FREE);
    pilot.fullPower();
    double nose = nose(pilot);
    pilot.fly(0.5, Hand.HOLD, Hand.FREE, Hand.FREE);
    measured(TestMeasure.NOSE_AT_ONCE, nose(pilot) - nose, 0);
    pilot.fly(1, Hand.HOLD, Hand.FREE, Hand.FREE);
    double path = climb(pilot);
    pilot.fly(2.5, Hand.HOLD, Hand.FREE, Hand.FREE);
    measured(TestMeasure.PATH_WITH_SPEED, climb(pilot) - path, 0);
    end(pilot);
  }

  private void inverted45() {
    ScriptedPilot pilot = begin();
    pilot.fullPower();
    pilot.pitch(45, PULL);
    pilot.roll(180, HALF_ROLL);
    pilot.fly(1.5, Hand.HOLD, Hand.HOLD, Hand.HOLD);
    double path = elevation(pilot);
    double drop = 0;
    double seconds = 2;
    while (seconds > 0 && drop < FARTHEST_TURN && !pilot.broken()) {
      pilot.step(Hand.HOLD, Hand.FREE, Hand.FREE);
      seconds -= FlightIntegration.STEP_SECONDS;
      drop = path - elevation(pilot);
    }
    double flownFor = 2 - Math.max(0, seconds);
    measured(TestMeasure.INVERTED_DROP, drop * 2 / flownFor - wish.drop, 0);
    end(pilot);
  }

  private void dive() {
    ScriptedPilot pilot = begin();
    pilot.pitch(-35 - climb(pilot), PULL);
    pilot.fly(1, Hand.HOLD, Hand.HOLD, Hand.HOLD);
    double path = climb(pilot);
    pilot.fly(2, Hand.HOLD, Hand.FREE, Hand.FREE);
    measured(TestMeasure.DIVE_PATH, climb(pilot) - path - DIVE_WISH, 0);
    end(pilot);
  }

  private void invertedLevel() {
    ScriptedPilot pilot = begin();
    pilot.roll(180, HALF_ROLL);
    pilot.fly(1, Hand.HOLD, Hand.HOLD, Hand.HOLD);
    double before = rightRises(pilot);
    pilot.fly(3, Hand.FREE, Hand.HOLD, Hand.FREE);
    measured(TestMeasure.INVERTED_BANK, rightRises(pilot) - before, 0);
    end(pilot);
  }

  private void verticalUp() {
    ScriptedPilot pilot = begin();
    pilot.fullPower();
    pilot.pitch(90, PULL);
    pilot.fly(1, Hand.HOLD, Hand.HOLD, Hand.HOLD);
    pilot.fly(2, Hand.FREE, Hand.FREE, Hand.FREE);
    measured(TestMeasure.VERTICAL_SIDE, -leans(pilot, pilot.right()), 0);
    measured(TestMeasure.VERTICAL_CANOPY, leans(pilot, pilot.canopy()), 0);
    end(pilot);
  }

  private void verticalDown() {
    ScriptedPilot pilot = begin();
    pilot.idle();
    pilot.pitch(-90 - climb(pilot), PULL);
    pilot.fly(1, Hand.HOLD, Hand.HOLD, Hand.HOLD);
    pilot.fly(1.5, Hand.FREE, Hand.FREE, Hand.FREE);
    measured(TestMeasure.DOWN_BELLY, -leans(pilot, pilot.canopy()), 0);
    end(pilot);
  }

  /** Two rolls with a full stick on a 45° climb; without a motor, on the glide. */
  private void rollAxis(ScriptedPilot pilot, int side) {
    if (!model.glides()) {
      pilot.fullPower();
      pilot.pitch(45, PULL);
      pilot.fly(0.5, Hand.HOLD, Hand.HOLD, Hand.HOLD);
    }
    double turned = 0;
    double slip = 0;
    int steps = 0;
    int most = (int) (4 / FlightIntegration.STEP_SECONDS);
    while (turned < 4 * Math.PI && steps < most && !pilot.broken()) {
      pilot.step(new Hand.At(side), Hand.FREE, Hand.FREE);
      turned += Math.abs(pilot.flight().state().rates()[0]) * FlightIntegration.STEP_SECONDS;
      slip += side * slip(pilot);
      steps++;
    }
    measured(TestMeasure.ROLL_SLIP, slip / Math.max(1, steps), side);
  }

  private void knifeEdge(ScriptedPilot pilot, int side) {
    pilot.fullPower();
    pilot.roll(side * 90, HALF_ROLL);
    pilot.fly(1.2, Hand.HOLD, Hand.HOLD, Hand.HOLD);
    double rudder = pilot.stick(Control.YAW);
    double pitch = 0;
    double roll = 0;
    int steps = (int) Math.round(0.5 / FlightIntegration.STEP_SECONDS);
    for (int i = 0; i < steps; i++) {
      pilot.step(Hand.FREE, Hand.FREE, new Hand.At(rudder));
      double[] rates = pilot.flight().state().rates();
      pitch += Math.toDegrees(rates[1]) / steps;
      roll += Math.toDegrees(rates[0]) / steps;
    }
    measured(TestMeasure.KNIFE_BELLY, -pitch, side);
    measured(TestMeasure.KNIFE_ROLL, -roll * Math.signum(rudder), side);
  }

  private void brakes() {
    ScriptedPilot pilot = begin();
    pilot.fly(0.5, Hand.HOLD, Hand.FREE, Hand.FREE);
    brake(pilot, model, Integer.parseInt(test.part()) / PERCENT);
    double nose = nose(pilot);
    pilot.fly(1.5, Hand.HOLD, Hand.FREE, Hand.FREE);
    measured(TestMeasure.BRAKE_NOSE, nose - nose(pilot), 0);
    end(pilot);
  }

  /** Brakes out to a part of them, 0 to 1, on whatever lever or stick they lie. */
  static void brake(ScriptedPilot pilot, FlyingModel model, double part) {
    var brakes = Brakes.of(model.setup()).orElseThrow();
    double place = Brakes.place(brakes, part);
    int input = model.setup().transmitter().inputIndex(brakes.subject());
    if (input < 0) {
      pilot.throttle((place + PERCENT) / (2 * PERCENT));
    } else {
      pilot.input(input, place / PERCENT);
    }
  }

  private void circling(ScriptedPilot pilot, int side) {
    double slip = 0;
    int steps = (int) Math.round(1.5 / FlightIntegration.STEP_SECONDS);
    for (int i = 0; i < steps; i++) {
      pilot.step(new Hand.At(side * 0.5), Hand.FREE, Hand.FREE);
      slip += side * slip(pilot) / steps;
    }
    measured(TestMeasure.CIRCLING_SLIP, slip, side);
  }

  /** Degrees the path climbs. */
  static double climb(ScriptedPilot pilot) {
    double[] v = Vectors.unit(pilot.flight().state().velocity());
    return Math.toDegrees(Math.asin(Math.max(-1, Math.min(1, -v[2]))));
  }

  /** Degrees of the path above the way it began, round as far as it goes. */
  private static double elevation(ScriptedPilot pilot) {
    double[] v = pilot.flight().state().velocity();
    return Math.toDegrees(Math.atan2(-v[2], v[0]));
  }

  private static double nose(ScriptedPilot pilot) {
    double[] ahead = pilot.flight().state().toWorld(new double[] {1, 0, 0});
    return Math.toDegrees(Math.asin(Math.max(-1, Math.min(1, -ahead[2]))));
  }

  static double bank(ScriptedPilot pilot) {
    FlightState state = pilot.flight().state();
    double right = state.toWorld(new double[] {0, 1, 0})[2];
    double down = state.toWorld(new double[] {0, 0, 1})[2];
    return Math.toDegrees(Math.atan2(right, down));
  }

  /** Degrees the right wing points up. */
  private static double rightRises(ScriptedPilot pilot) {
    double[] right = pilot.flight().state().toWorld(new double[] {0, 1, 0});
    return -Math.toDegrees(Math.asin(Math.max(-1, Math.min(1, right[2]))));
  }

  /** Degrees the path leans to a direction it should be square to. */
  private static double leans(ScriptedPilot pilot, double[] to) {
    double[] v = Vectors.unit(pilot.flight().state().velocity());
    return Math.toDegrees(Math.asin(Math.max(-1, Math.min(1, Vectors.dot(v, to)))));
  }

  private static double slip(ScriptedPilot pilot) {
    double[] air = pilot.flight().airVelocity();
    return Math.toDegrees(Math.asin(Math.max(-1, Math.min(1, Vectors.unit(air)[1]))));
  }
}
