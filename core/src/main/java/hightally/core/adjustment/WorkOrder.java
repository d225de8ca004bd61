package hightally.core.adjustment;

import hightally.core.adjustment.WorkStep.Kind;
import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Shares;
import hightally.core.airframe.Surface;
import hightally.core.linkage.RodEnd;
import hightally.core.phase.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.Words;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * The order of work at the bench that never loses a mark: each surface is marked with the trim in,
 * then adjusted with the trim at zero; before the next one is marked the trim goes back in.
 */
final class WorkOrder {
  private static final String PROPELLER =
      "Take the propeller off or pull the motor leads apart, and keep the throttle cut on. The maker's"
          + " manual outranks this list.";

  private final Setup setup;
  private final Trims trims;
  private final Trims staying;
  private final List<WorkStep> steps = new ArrayList<>();

  private WorkOrder(Setup setup, Trims trims, Trims staying) {
    this.setup = setup;
    this.staying = staying;
    this.trims = trims;
  }

  static List<WorkStep> steps(
      Setup setup, Trims trims, Trims staying, List<PlannedRod> rods, List<PhaseOutcome> phases) {
    WorkOrder order = new WorkOrder(setup, trims, staying);
    order.begin();
    List<PlannedRod> todo = rods.stream().filter(PlannedRod::toDo).toList();
    for (int i = 0; i < todo.size(); i++) {
      order.surface(todo.get(i), i == 0);
    }
    order.transmitter(phases);
    order.finish(phases);
    return List.copyOf(order.steps);
  }

  private void begin() {
    whole(
        Kind.SAFETY,
        "Make the motor harmless",
        "Transmitter on first, then the model. Set the model on a flat table and do not move it until"
            + " the last step.",
        PROPELLER);
    whole(
        Kind.TRIMS_IN,
        "Trims in: " + orZero(trims.words(control -> true)),
        "The transmitter must show the trims of the flight. Set them if it does not."
            + (staying.allZero()
                ? ""
                : " What is not going into the rods stays in throughout: "
                    + staying.words(control -> true)
                    + "."),
        "");
  }

  private void surface(PlannedRod rod, boolean first) {
    Surface surface = setup.surface(rod.surface()).orElseThrow();
    if (!first) {
      add(
          Kind.TRIM_BACK,
          "Put the trim back: " + moving(surface),
          "So that this surface stands where it flew while it is marked.",
          "",
          surface);
    }
    mark(rod, surface);
    turn(rod, surface);
    check(rod, surface);
  }

  private void mark(PlannedRod rod, Surface surface) {
    add(
        Kind.MARK,
        "Mark the " + lower(surface.name()),
        "Set the gauge so that it just touches the trailing edge where you measure. This surface has"
            + " its own mark: foam and balsa are never the same left and right.",
        "",
        surface);
    double moves = rod.todayMm() - rod.targetMm();
    add(
        Kind.ZERO,
        "Trim to zero: " + controls(surface),
        "The trailing edge should move away from the mark, "
            + surface.directionWord(moves)
            + " by about "
            + Words.millimetres(moves)
            + ".",
        "",
        surface);
  }

  private void turn(PlannedRod rod, Surface surface) {
    RodEnd end = surface.rod().end();
    boolean slave = surface.rod().driver() == DriverKind.SURFACE;
    add(
        Kind.TURN,
        surface.name() + ": " + RodWords.turn(end, rod.steps()),
        RodWords.rotation(end, rod.steps())
            + (slave ? " This is the slave rod." : "")
            + " Pin back in, keeper over the clevis.",
        "A rod that is not closed and kept comes off in the air.",
        surface);
  }

  private void check(PlannedRod rod, Surface surface) {
    add(
        Kind.CHECK,
        "Back at the mark?",
        "The "
            + lower(surface.name())
            + " should stand at its mark again, within "
            + Words.millimetres(Math.max(0.1, Math.abs(rod.errorMm())))
            + ". If it moved the other way, turn back and look at the direction again.",
        "",
        surface);
  }

  /** Clicks of the other phases, and of the reference where whole steps leave some. */
  private void transmitter(List<PhaseOutcome> phases) {
    List<String> words = new ArrayList<>();
    for (PhaseOutcome phase : phases) {
      if (!phase.reference() || !phase.after().allZero()) {
        words.add(phase.name() + ": " + orZero(phase.after().words(control -> true)) + ".");
      }
    }
    if (!words.isEmpty()) {
      whole(
          Kind.TRIMS_IN,
          "Trims of every phase",
          String.join(" ", words)
              + " With these clicks every phase flies as it was trimmed. The entry sheet lists them.",
          "");
    }
  }

  private void finish(List<PhaseOutcome> phases) {
    boolean zero =
        phases.stream().filter(PhaseOutcome::reference).allMatch(one -> one.after().allZero());
    whole(
        Kind.VERIFY,
        zero ? "All trims at zero, marks met" : "Trims as planned, marks met",
        "Every keeper on. Move each stick and check the directions from behind. A surface may look"
            + " crooked at zero trim and be right: never straighten it by eye.",
        "Before the next flight: full control check, and only then the propeller.");
  }

  private String moving(Surface surface) {
    Shares shares = command(surface).shares();
    return orZero(trims.words(control -> shares.of(control) != 0));
  }

  private String controls(Surface surface) {
    Shares shares = command(surface).shares();
    List<String> names = new ArrayList<>();
    for (Control control : Control.values()) {
      if (shares.of(control) != 0 && trims.of(control) != 0) {
        names.add(control.word());
      }
    }
    return String.join(" and ", names);
  }

  private static String orZero(String words) {
    return words.isEmpty() ? "all at zero" : words;
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

  private void whole(Kind kind, String title, String detail, String caution) {
    steps.add(new WorkStep(kind, title, detail, caution, ""));
  }

  private void add(Kind kind, String title, String detail, String caution, Surface surface) {
    steps.add(new WorkStep(kind, title, detail, caution, surface.id()));
  }

  private static String lower(String name) {
    return name.substring(0, 1).toLowerCase(Locale.ROOT) + name.substring(1);
  }
}
