package hightally.core.history;

import hightally.core.adjustment.AdjustmentPlan;
import hightally.core.adjustment.AdjustmentPlanner;
import hightally.core.adjustment.FlownTrims;
import hightally.core.adjustment.MarkSeen;
import hightally.core.adjustment.PlannedRod;
import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Surface;
import hightally.core.flightlog.Diagnosis.Suspect;
import hightally.core.flightlog.FlightReport;
import hightally.core.flightlog.FlightReport.Wind;
import hightally.core.flightlog.LoggedFlight;
import hightally.core.flightlog.MarkedSettled;
import hightally.core.flightlog.PhaseReading;
import hightally.core.flightlog.SeriesBreak;
import hightally.core.flightlog.TrimSeries;
import hightally.core.flightlog.TrimsStillValid;
import hightally.core.history.History.GaugeSeen;
import hightally.core.history.History.Order;
import hightally.core.history.History.Origin;
import hightally.core.history.History.Step;
import hightally.core.preflight.Clearance;
import hightally.core.program.Phase;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;

/**
 * A pilot who knows nothing and does what the standing of his model tells him, and only that. All
 * that he may be told to do stands here beside the aircraft he does it to: in one piece, so that it
 * can be read against what the standing can say.
 */
final class SeasonPilot {
  /** What is wrong with his model or his notes. */
  enum Fault {
    NOTHING,
    WIND,
    GUSTS,
    WRONG_SIGN,
    THREAD,
    CLICK,
    LINKAGE,
    BALANCE,
    SLIP
  }

  /** What came of a season. */
  static final class Outcome {
    int orders;
    int empty;
    int worse;
    int corrections;
    int falsified;
    boolean named;
    boolean slipCalled;
    boolean signAsked;
    double furthest;
    String story = "";
  }

  private static final LocalDate FIRST = LocalDate.of(2026, 4, 1);
  private static final double GAUGE_SD = 0.15;

  private final TrueModel model;
  private final Random random;
  private final Fault fault;
  private final Outcome outcome = new Outcome();
  private final List<Setup> setups = new ArrayList<>();
  private final List<Step> steps = new ArrayList<>();
  private final List<LoggedFlight> flights = new ArrayList<>();
  private final List<MarkedSettled> said = new ArrayList<>();
  private final List<Order> orders = new ArrayList<>();
  private final List<History.Change> changes = new ArrayList<>();
  private final List<BenchReading> readings = new ArrayList<>();
  private String slipping = "";
  private double slipMm;
  private String broken = "";
  private int day;

  SeasonPilot(Setup design, Fault fault, long seed) {
    this.fault = fault;
    random = new Random(seed * 31 + fault.ordinal());
    model = new TrueModel(design);
    setups.add(design);
    steps.add(new Step(1, FIRST, Origin.EDITED, List.of(), false, false));
    model.wants(Control.ROLL, wish(0.5, 1.3));
    model.wants(Control.PITCH, wish(0.6, 1.8));
    model.wants(Control.YAW, wish(0.5, 1.6));
    for (Phase phase : design.phases()) {
      if (phase.ownPitch()) {
        model.wantsPitch(phase.id(), wish(0.2, 0.8));
      }
    }
    List<Surface> servoed =
        design.surfaces().stream()
            .filter(
                one ->
                    one.rod().driver() == DriverKind.SERVO
                        && (one.shares().roll() != 0
                            || one.shares().pitch() != 0
                            || one.shares().yaw() != 0))
            .toList();
    Surface some = servoed.get(random.nextInt(servoed.size()));
    switch (fault) {
      case THREAD -> model.thread(some.rod().end().pitchMm(), random.nextBoolean() ? 1.25 : 0.8);
      case CLICK -> model.click(random.nextBoolean() ? 1.4 + 0.4 * random.nextDouble() : 0.6);
      case LINKAGE -> {
        broken = some.id();
        double factor = random.nextBoolean() ? 1.06 : 0.94;
        if (random.nextBoolean()) {
          model.arm(broken, factor);
        } else {
          model.horn(broken, factor);
        }
      }
      case SLIP -> {
        slipping = some.id();
        slipMm = (random.nextBoolean() ? 1 : -1) * (0.1 + 0.08 * random.nextDouble());
      }
      default -> {}
    }
  }

  private double wish(double least, double most) {
    double size = least + (most - least) * random.nextDouble();
    return random.nextBoolean() ? size : -size;
  }

  private Setup setup() {
    return setups.get(setups.size() - 1);
  }

  private History history() {
    return new History(
        setup(),
        steps,
        flights,
        said,
        orders,
        Optional.empty(),
        changes,
        readings,
        Clearance.CLEAR,
        number -> setups.get(number - 1));
  }

  Outcome fly(int count) {
    for (int flight = 1; flight <= count; flight++) {
      day += 3;
      if (fault == Fault.BALANCE && flight == 6) {
        model.wants(Control.PITCH, wish(0.8, 1.5));
      }
      if (!slipping.isEmpty() && flight >= 4) {
        model.slip(slipping, slipMm);
      }
      log(flight);
      act();
      if (flight > count - 3) {
        measure();
      }
    }
    return outcome;
  }

  /** How far the reference phase is from trimmed at zero, beyond half a step of the ends. */
  private void measure() {
    String base = setup().basePhase().id();
    double[] needs = model.needs(base);
    for (Control control : Control.values()) {
      double step = model.stepClicks(control);
      if (step > 0) {
        double over = Math.abs(needs[control.ordinal()]) - Math.max(step / 2, 1.5);
        outcome.furthest = Math.max(outcome.furthest, over);
      }
    }
  }

  private int noise(double sometimes) {
    return random.nextDouble() < sometimes ? (random.nextBoolean() ? 1 : -1) : 0;
  }

  private void log(int number) {
    boolean windy = fault == Fault.WIND && random.nextInt(3) == 0;
    boolean gust = fault == Fault.GUSTS && random.nextInt(4) == 0;
    Trims common = null;
    List<PhaseReading> read = new ArrayList<>();
    for (int i = setup().phases().size() - 1; i >= 0; i--) {
      Phase phase = setup().phases().get(i);
      Trims noted = TrueModel.near(model.needs(phase.id()));
      for (Control control : Control.values()) {
        int off = noise(0.25);
        if (windy || gust) {
          off += random.nextInt(9) - 4;
        }
        noted = noted.with(control, noted.of(control) + off);
        if (model.stepClicks(control) == 0) {
          noted = noted.with(control, 0);
        }
      }
      common = common == null ? noted : common;
      noted = phase.withTrims(noted).effective(common);
      read.add(new PhaseReading(phase.id(), noted, 50, PhaseReading.Sure.SURE, false));
    }
    if (fault == Fault.WRONG_SIGN && number == 8) {
      PhaseReading base = read.get(0);
      Trims t = base.trims();
      read.set(0, base.withTrims(new Trims(-t.roll(), -t.pitch(), t.yaw())));
    }
    PhaseReading base = read.remove(0);
    flights.add(
        new LoggedFlight(
            number,
            steps.size(),
            FlightReport.on(FIRST.plusDays(day))
                .change()
                .wind(windy ? Wind.FRESH : Wind.CALM)
                .battery("A")
                .cgMm(100.0)
                .trims(base.trims())
                .phases(read)
                .done()));
  }

  private void act() {
    for (int round = 0; round < 12; round++) {
      ModelStanding standing = ModelStanding.of(history());
      switch (standing.next()) {
        case ANSWER_SIGN -> answer(standing);
        case FIND_SLIP -> tighten();
        case CORRECT -> correct(standing.learned());
        case MEASURE -> measure(standing.learned().next());
        case ADJUST -> adjust();
        case LOOK -> look(standing);
        default -> {
          return;
        }
      }
    }
    throw new AssertionError("goes round in circles:" + outcome.story);
  }

  private void answer(ModelStanding standing) {
    outcome.signAsked = true;
    TrimSeries asked =
        standing.series().stream().filter(one -> one.asked() != 0).findFirst().orElseThrow();
    LoggedFlight flight =
        flights.stream().filter(one -> one.flight() == asked.asked()).findFirst().orElseThrow();
    int needs = (int) Math.rint(model.needs(asked.phase())[asked.control().ordinal()]);
    int noted =
        flight
            .reading(asked.phase(), setup().basePhase().id())
            .orElseThrow()
            .trims()
            .of(asked.control());
    int at = flights.indexOf(flight);
    if (Math.abs(-noted - needs) < Math.abs(noted - needs)) {
      FlightReport report = flight.report();
      flights.set(
          at,
          new LoggedFlight(
              flight.flight(),
              flight.revision(),
              FlightReport.on(report.flownOn())
                  .change()
                  .wind(report.wind())
                  .air(report.air())
                  .battery("A")
                  .cgMm(100.0)
                  .trims(report.trims().with(asked.control(), -noted))
                  .phases(report.phases())
                  .done()));
    } else {
      List<LoggedFlight.SignConfirmed> confirmed = new ArrayList<>(flight.signsConfirmed());
      confirmed.add(new LoggedFlight.SignConfirmed(asked.phase(), asked.control()));
      flights.set(
          at,
          new LoggedFlight(
              flight.flight(), flight.revision(), flight.report(), "", false, confirmed));
    }
  }

  private void tighten() {
    outcome.slipCalled = true;
    outcome.story += " slip";
    slipping = "";
    changes.add(
        new History.Change(
            new SeriesBreak(
                steps.size(),
                FIRST.plusDays(day + 1),
                List.of(Control.values()),
                Said.text("stopper tightened")),
            List.of(),
            "",
            false));
    day += 1;
  }

  private void look(ModelStanding standing) {
    standing.series().stream()
        .filter(one -> one.state() == TrimSeries.State.TOO_LARGE)
        .forEach(
            one ->
                said.add(
                    new MarkedSettled(
                        one.phase(),
                        one.control(),
                        flights.get(flights.size() - 1).flight(),
                        "looked at everything")));
  }

  private void correct(Calibration learned) {
    Calibration.Named named = learned.named();
    outcome.corrections++;
    Suspect first = learned.explanations().get(0);
    outcome.story += " " + named.cause() + " " + named.subject() + " " + named.factor();
    boolean right =
        switch (named.cause()) {
          case CLICK_STEP -> fault == Fault.CLICK;
          case THREAD -> fault == Fault.THREAD;
          case ARM, HORN -> fault == Fault.LINKAGE && named.subject().equals(broken);
          case NOTHING -> false;
        };
    outcome.named |= right;
    outcome.falsified += right ? 0 : 1;
    Setup after = Correction.applied(setup(), first);
    add(after, Origin.CORRECTED);
  }

  private void add(Setup after, Origin origin) {
    steps.add(
        new Step(
            steps.size() + 1,
            FIRST.plusDays(day),
            origin,
            TrimsStillValid.parted(setup(), after),
            origin == Origin.ADJUSTED,
            false));
    setups.add(after);
  }

  private double gauged(double mm) {
    return Math.rint((mm + GAUGE_SD * random.nextGaussian()) * 10) / 10;
  }

  private void measure(Calibration.Proposal asked) {
    outcome.story += " measure " + asked.kind() + " " + asked.surface();
    String base = setup().basePhase().id();
    double rest = model.mm(asked.surface(), base, Trims.ZERO);
    double moved =
        switch (asked.kind()) {
          case GAUGE ->
              model.mm(
                  asked.surface(),
                  base,
                  Trims.ZERO.with(asked.control(), (int) Math.round(asked.amount())));
          case TURNS -> {
            model.turn(asked.surface(), asked.amount() * 2);
            double there = model.mm(asked.surface(), base, Trims.ZERO);
            model.turn(asked.surface(), -asked.amount() * 2);
            yield there;
          }
          default -> model.mm(asked.surface(), asked.control(), asked.amount());
        };
    readings.add(
        new BenchReading(
            asked.surface(),
            asked.kind(),
            asked.control(),
            asked.amount(),
            Math.abs(gauged(moved - rest)),
            steps.size(),
            FIRST.plusDays(day)));
  }

  private void adjust() {
    PlannedTrims planned = ModelStanding.planned(history(), PlanOptions.PROPOSED);
    FlownTrims flown = planned.flown().orElseThrow();
    AdjustmentPlan plan = AdjustmentPlanner.plan(setup(), flown);
    List<PlannedRod> todo = plan.rods().stream().filter(PlannedRod::toDo).toList();
    outcome.orders++;
    outcome.empty += todo.isEmpty() ? 1 : 0;
    String phase = planned.reference();
    double[] before = model.needs(phase);
    Trims in =
        flown.phases().stream()
            .filter(one -> one.phase().equals(phase))
            .findFirst()
            .orElseThrow()
            .trims();
    Trims zeroed = in.only(one -> !flown.controls().contains(one));
    List<GaugeSeen> gauges = new ArrayList<>();
    List<MarkSeen> marks = new ArrayList<>();
    Map<String, Double> marked = new HashMap<>();
    todo.forEach(rod -> marked.put(rod.surface(), model.mm(rod.surface(), phase, in)));
    for (PlannedRod rod : todo) {
      double at = model.mm(rod.surface(), phase, zeroed);
      double read = gauged(marked.get(rod.surface()) - at);
      if (read * rod.trimMm() > 0) {
        gauges.add(new GaugeSeen(rod.surface(), read));
      }
      model.turn(rod.surface(), rod.steps());
      long steps = rod.steps();
      int more = better(rod.surface(), phase, zeroed, marked.get(rod.surface()));
      while (more != 0) {
        model.turn(rod.surface(), more);
        steps += more;
        more = better(rod.surface(), phase, zeroed, marked.get(rod.surface()));
      }
      double off = gauged(model.mm(rod.surface(), phase, zeroed) - marked.get(rod.surface()));
      marks.add(new MarkSeen(rod.surface(), steps, Math.abs(off) <= 0.1 ? 0 : off));
    }
    AdjustmentPlan done = AdjustmentPlanner.plan(setup(), flown.withMade(marks));
    int on = steps.size();
    add(done.after(), Origin.ADJUSTED);
    orders.add(new Order(orders.size() + 1, on, steps.size(), flown, gauges, marks, List.of()));
    double[] after = model.needs(phase);
    outcome.story += " @" + flights.size() + flown.controls();
    for (Control control : Control.values()) {
      double lost = Math.abs(after[control.ordinal()]) - Math.abs(before[control.ordinal()]);
      if (lost > 1) {
        outcome.worse++;
        outcome.story += " worse " + control + " by " + lost;
      }
    }
  }

  /** The step that brings the edge nearer to its mark; 0 where none does. */
  private int better(String surface, String phase, Trims zeroed, double mark) {
    double now = Math.abs(model.mm(surface, phase, zeroed) - mark);
    for (int step : new int[] {1, -1}) {
      model.turn(surface, step);
      double then = Math.abs(model.mm(surface, phase, zeroed) - mark);
      model.turn(surface, -step);
      if (then < 0.6 * now) {
        return step;
      }
    }
    return 0;
  }
}
