package hightally.core.adjustment;

import hightally.core.adjustment.WorkStep.Kind;
import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Shares;
import hightally.core.airframe.Surface;
import hightally.core.linkage.RodEnd;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * The order of work at the bench that never loses a mark: each surface is marked with the trim in,
 * then adjusted with the trim at zero; before the next one is marked the trim goes back in.
 */
final class WorkOrder {
  private static final Said PROPELLER = Said.of("adjustment.motorSafe");

  private final Setup setup;
  private final Trims trims;
  private final Trims staying;
  private final List<RodAlternative> means;
  private final FlownTrims flown;
  private final List<WorkStep> steps = new ArrayList<>();

  private WorkOrder(Setup setup, FlownTrims flown, Trims trims, Trims staying) {
    this.setup = setup;
    this.flown = flown;
    means = flown.means();
    this.staying = staying;
    this.trims = trims;
  }

  static List<WorkStep> steps(
      Setup setup,
      FlownTrims flown,
      Trims trims,
      Trims staying,
      List<PlannedRod> rods,
      List<PhaseOutcome> phases) {
    WorkOrder order = new WorkOrder(setup, flown, trims, staying);
    order.begin();
    List<PlannedRod> todo = rods.stream().filter(order::toDo).toList();
    for (int i = 0; i < todo.size(); i++) {
      order.surface(todo.get(i), i == 0);
    }
    order.transmitter(phases);
    order.finish(phases);
    return List.copyOf(order.steps);
  }

  private void begin() {
    boolean motor = !setup.airframe().motors().isEmpty();
    whole(
        Kind.SAFETY,
        motor ? Said.of("adjustment.makeMotorHarmless") : Said.of("adjustment.modelOnTable"),
        Said.of("adjustment.switchOn"),
        motor ? PROPELLER : Said.NOTHING);
    whole(
        Kind.TRIMS_IN,
        Said.of("adjustment.trims", "orZero", orZero(trims.told(control -> true))),
        Said.of(
            "adjustment.trimsOfFlight",
            "staying",
            (staying.allZero()
                ? Said.NOTHING
                : Said.of("adjustment.staysOnTrims", "words", staying.told(control -> true)))),
        Said.NOTHING);
  }

  private boolean toDo(PlannedRod rod) {
    return rod.toDo()
        || flown.gauged(rod.surface()).isPresent()
        || means.stream().anyMatch(one -> one.surface().equals(rod.surface()));
  }

  private void surface(PlannedRod rod, boolean first) {
    Surface surface = setup.surface(rod.surface()).orElseThrow();
    if (!first) {
      add(
          Kind.TRIM_BACK,
          Said.of("adjustment.putTrimBack", "moving", moving(surface)),
          Said.of("adjustment.asInFlight"),
          Said.NOTHING,
          surface);
    }
    mark(rod, surface);
    means.stream()
        .filter(one -> one.surface().equals(surface.id()))
        .forEach(one -> prepare(one, surface));
    turn(rod, surface);
    check(rod, surface);
  }

  private void mark(PlannedRod rod, Surface surface) {
    add(
        Kind.MARK,
        Said.of("adjustment.mark", "surface", surface.name()),
        Said.of("adjustment.gaugeTouches"),
        Said.NOTHING,
        surface);
    double moves = rod.zeroingMm();
    add(
        Kind.ZERO,
        Said.of("adjustment.trimZero", "controls", controls(surface)),
        Said.of(
            "adjustment.edgeMovesAway",
            "way",
            surface.goes(moves),
            "mm",
            Quantity.mm(moves).size()),
        Said.NOTHING,
        surface);
  }

  /** The arm a tooth over, or another end, before anything is turned. */
  private void prepare(RodAlternative one, Surface surface) {
    if (one.teeth() != 0) {
      add(
          Kind.SEAT,
          Said.of(
              "adjustment.armOver",
              "surface",
              surface.name(),
              "teeth",
              Math.abs(one.teeth()),
              "way",
              one.teeth() > 0 ? RodDirection.LENGTHEN : RodDirection.SHORTEN),
          Said.of("adjustment.refitArm"),
          Said.NOTHING,
          surface);
    } else {
      add(
          Kind.FIT,
          Said.of("adjustment.fitEnd", "surface", surface.name(), "end", one.end().kind()),
          Said.of("adjustment.sameLengthFirst", "pitch", Quantity.mm(one.end().pitchMm(), 2)),
          Said.NOTHING,
          surface);
    }
  }

  /**
   * Where the gauge is believed against the description, the edge says which way to turn: what
   * turns the other way there may be anything between the stick and the horn.
   */
  private void turnToMark(PlannedRod rod, Surface surface, double mm) {
    RodEnd end = surface.rod().end();
    add(
        Kind.TURN,
        Said.of(
            "adjustment.turnToMark",
            "surface",
            surface.name(),
            "way",
            surface.goes(mm),
            "mm",
            Quantity.mm(mm).size()),
        Said.of(
            "adjustment.watchFirstHalf",
            "turn",
            RodWords.turn(end, rod.steps()),
            "steps",
            rod.steps() != 0,
            "way",
            surface.goes(mm)),
        Said.of("adjustment.keeperWarning"),
        surface);
  }

  private void turn(PlannedRod rod, Surface surface) {
    if (flown.gauged(surface.id()).isPresent()) {
      turnToMark(rod, surface, flown.gauged(surface.id()).get().mm());
      return;
    }
    RodEnd end = surface.rod().end();
    boolean slave = surface.rod().driver() == DriverKind.SURFACE;
    add(
        Kind.TURN,
        Said.of(
            "adjustment.turnTitle",
            "surface",
            surface.name(),
            "turn",
            RodWords.turn(end, rod.steps())),
        Said.of(
            "adjustment.refitPin", "rotation", RodWords.rotation(end, rod.steps()), "slave", slave),
        Said.of("adjustment.keeperWarning"),
        surface);
  }

  private void check(PlannedRod rod, Surface surface) {
    add(
        Kind.CHECK,
        Said.of("adjustment.backMark"),
        Said.of(
            "adjustment.atMarkWithin",
            "surface",
            surface.name(),
            "mm",
            Quantity.mm(Math.max(0.1, Math.abs(rod.errorMm()))).size()),
        Said.NOTHING,
        surface);
  }

  /** Clicks of the other phases, and of the reference where whole steps leave some. */
  private void transmitter(List<PhaseOutcome> phases) {
    List<Said> words = new ArrayList<>();
    for (PhaseOutcome phase : phases) {
      if (!phase.reference() || !phase.after().allZero()) {
        words.add(
            Said.of(
                "adjustment.trimsOfPhase",
                "phase",
                phase.name(),
                "trims",
                orZero(phase.after().told(control -> true))));
      }
    }
    if (!words.isEmpty()) {
      whole(
          Kind.TRIMS_IN,
          Said.of("adjustment.trimsEveryPhase"),
          Said.all(Said.all(words.toArray(Said[]::new)), Said.of("adjustment.clicksAfterwards")),
          Said.NOTHING);
    }
  }

  private void finish(List<PhaseOutcome> phases) {
    boolean zero =
        phases.stream().filter(PhaseOutcome::reference).allMatch(one -> one.after().allZero());
    whole(
        Kind.VERIFY,
        zero ? Said.of("adjustment.trimsZero") : Said.of("adjustment.trimsPlanned"),
        Said.of("adjustment.keepersAndDirections"),
        Said.of("adjustment.checkAfterwards"));
  }

  private Said moving(Surface surface) {
    Shares shares = command(surface).shares();
    return orZero(trims.told(control -> shares.of(control) != 0));
  }

  private Said controls(Surface surface) {
    Shares shares = command(surface).shares();
    return Said.list(
        Arrays.stream(Control.values())
            .filter(control -> shares.of(control) != 0 && trims.of(control) != 0)
            .toList());
  }

  private static Said orZero(Said words) {
    return words.isEmpty() ? Said.of("adjustment.allZero") : words;
  }

  /**
   * The surface whose command the channel behind this one carries: its shares are the ones that
   * act.
   */
  private Surface command(Surface surface) {
    Surface first = surface;
    while (first.rod().driver() == DriverKind.SURFACE) {
      first = setup.surface(first.rod().driverId()).orElseThrow();
    }
    Optional<Surface> carried =
        setup
            .servo(first.rod().driverId())
            .flatMap(servo -> setup.channel(servo.channel()))
            .flatMap(channel -> setup.surface(channel.carries()));
    return carried.orElse(first);
  }

  private void whole(Kind kind, Said title, Said detail, Said caution) {
    steps.add(new WorkStep(kind, title, detail, caution, ""));
  }

  private void add(Kind kind, Said title, Said detail, Said caution, Surface surface) {
    steps.add(new WorkStep(kind, title, detail, caution, surface.id()));
  }
}
