package hightally.core.preflight;

import hightally.core.airframe.Pack;
import hightally.core.airframe.Surface;
import hightally.core.benchsetup.MeasuredThrows;
import hightally.core.channel.Between;
import hightally.core.channel.BetweenKind;
import hightally.core.channel.InputKind;
import hightally.core.channel.StickWords;
import hightally.core.channel.TransmitterInput;
import hightally.core.preflight.CheckStep.Concern;
import hightally.core.program.Phase;
import hightally.core.program.StartPosition;
import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.sheet.ConditionWords;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import hightally.core.trimming.Purpose;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The steps of every check, made from a model: what is to be seen comes from its bench. */
public final class CheckSteps {
  private static final double SEEN_MM = 0.5;
  private static final int QUARTERS = 4;
  private static final int LEAST_PACES = 30;
  private static final int MOST_PACES = 40;

  private final Setup setup;
  private final SignalPath path;
  private final Purpose wishes;
  private final boolean motors;
  private final List<CheckStep> steps = new ArrayList<>();

  private CheckSteps(Setup setup, Purpose wishes) {
    this.setup = setup;
    this.wishes = wishes;
    path = SignalPath.of(setup);
    motors = !setup.airframe().motors().isEmpty();
  }

  /**
   * The steps of a check.
   *
   * @param pack the pack's name; empty where none was chosen
   */
  public static List<CheckStep> of(CheckKind kind, Setup setup, Purpose wishes, String pack) {
    CheckSteps made = new CheckSteps(setup, wishes);
    Runnable all =
        switch (kind) {
          case FLIGHT -> () -> made.flight(pack);
          case FULL -> () -> made.full(pack);
          case RANGE -> made::range;
          case PUPIL -> made::pupil;
        };
    all.run();
    return List.copyOf(made.steps);
  }

  private void counted(String id, String title, int quarter, boolean running, Said caution) {
    Said words = Said.of("check.quarter", "quarter", quarter, "running", running);
    Said name = Said.of("CheckTitle." + title, "motor", motors);
    steps.add(new CheckStep(id, name, words, List.of(), caution, true, Concern.MODEL));
  }

  private void add(String id, List<Said> lines, Said caution, Concern concern) {
    Said words = Said.of("CheckStep." + id, "motor", motors);
    steps.add(
        new CheckStep(id, Said.of("CheckTitle." + id), words, lines, caution, false, concern));
  }

  private static Said propeller() {
    return Said.of("CheckCaution.propeller");
  }

  private void flight(String pack) {
    add("parts", parts(), Said.NOTHING, Concern.DAY);
    pack(pack);
    add("on", startPositions(), motors ? propeller() : Said.NOTHING, Concern.DAY);
    directions();
    stabilisers();
    if (motors) {
      add("cut", List.of(), propeller(), Concern.MODEL);
    }
    add(
        "weather",
        List.of(
            Said.of("check.wind", "most", Quantity.plain(wishes.limits().windMetresPerSecond(), 0)),
            wishes.limits().field().isBlank()
                ? Said.of("check.field")
                : Said.text(wishes.limits().field())),
        Said.NOTHING,
        Concern.DAY);
    add("pilot", List.of(), Said.of("CheckCaution.rules"), Concern.DAY);
  }

  private void full(String pack) {
    if (motors) {
      add("harmless", List.of(), propeller(), Concern.DAY);
    }
    pack(pack);
    directions();
    stabilisers();
    add("throws", throwLines(), Said.NOTHING, Concern.MODEL);
    add("failsafe", failsafe(), motors ? propeller() : Said.NOTHING, Concern.MODEL);
    if (motors) {
      add("cut", List.of(), propeller(), Concern.MODEL);
    }
  }

  private List<Said> parts() {
    List<Said> lines = new ArrayList<>();
    lines.add(Said.of("check.keepers", "count", setup.surfaces().size()));
    lines.add(Said.of("check.hatch"));
    if (motors) {
      lines.add(Said.of("check.propeller", "count", setup.airframe().motors().size()));
    }
    return lines;
  }

  private void pack(String name) {
    Optional<Pack> pack =
        setup.balance().packs().stream().filter(one -> one.name().equals(name)).findFirst();
    List<Said> lines = new ArrayList<>();
    if (pack.isPresent()) {
      double cg = pack.get().cgMm();
      boolean inside = cg >= setup.balance().foremostMm() && cg <= setup.balance().aftmostMm();
      lines.add(
          Said.of(
              "check.packBalances",
              "pack",
              name,
              "cg",
              Quantity.mm(cg, 0),
              "datum",
              setup.balance().datum(),
              "inside",
              inside));
    } else {
      lines.add(
          Said.of(
              "check.balances",
              "from",
              Quantity.mm(setup.balance().foremostMm(), 0),
              "to",
              Quantity.mm(setup.balance().aftmostMm(), 0),
              "datum",
              setup.balance().datum()));
    }
    add("pack", lines, Said.of("CheckCaution.battery"), Concern.BALANCE);
  }

  /** Where every switch and lever stands when the transmitter is switched on. */
  private List<Said> startPositions() {
    List<Said> lines = new ArrayList<>();
    for (StartPosition one : setup.power().startPositions()) {
      TransmitterInput input =
          setup.transmitter().inputs().get(setup.transmitter().inputIndex(one.input()));
      lines.add(
          Said.of("hazard.position", "input", input.name(), "position", (long) one.position()));
    }
    for (TransmitterInput input : setup.transmitter().inputs()) {
      boolean moves =
          setup.mixes().stream().anyMatch(mix -> mix.subject().equals(input.id()))
              || setup.power().throttleInput().equals(input.id());
      if (input.kind() == InputKind.LEVER && moves) {
        lines.add(Said.of("check.leverBack", "input", input.name()));
      }
    }
    if (motors && setup.power().throttleInput().isEmpty()) {
      lines.add(
          Said.of(
              "check.throttleBack", "stick", StickWords.throttle(setup.transmitter().stickMode())));
    }
    return lines;
  }

  /**
   * From behind: each stick, each lever that moves a surface, with what must be seen; in every
   * phase in which it is not what was seen in the one that is on when no other is.
   */
  private void directions() {
    int base = setup.phases().size() - 1;
    for (int i = base; i >= 0; i--) {
      for (Control control : Control.values()) {
        List<Said> lines = seen(i, control);
        if (!lines.isEmpty() && (i == base || !lines.equals(seen(base, control)))) {
          move(
              i,
              control.word(),
              Said.of("control", "control", control),
              StickWords.to(setup.transmitter().stickMode(), control, 1),
              lines);
        }
      }
      for (int input = 0; input < setup.transmitter().inputs().size(); input++) {
        TransmitterInput lever = setup.transmitter().inputs().get(input);
        List<Said> lines =
            lever.kind() == InputKind.LEVER && !lever.id().equals(setup.power().throttleInput())
                ? levered(i, input)
                : List.of();
        if (!lines.isEmpty() && (i == base || !lines.equals(levered(base, input)))) {
          move(
              i,
              lever.id(),
              Said.text(lever.name()),
              Said.of("guide.farEnd", "name", lever.name()),
              lines);
        }
      }
    }
  }

  private void move(int index, String id, Said on, Said stick, List<Said> lines) {
    Phase phase = setup.phases().get(index);
    boolean several = setup.phases().size() > 1;
    Said way = phase.when().isEmpty() ? Said.NOTHING : ConditionWords.of(setup, phase.when());
    Said words =
        Said.of(
            "check.move", "stick", stick, "several", several, "phase", phase.name(), "way", way);
    steps.add(
        new CheckStep(
            "move-" + phase.id() + "-" + id,
            Said.of("check.moveTitle", "control", on, "phase", phase.name(), "several", several),
            words,
            lines,
            Said.NOTHING,
            false,
            Concern.MODEL));
  }

  /** What a lever moves from its rest to its far end. */
  private List<Said> levered(int phase, int input) {
    Moment rest = path.rest(phase).withTrims(setup.trims());
    return lines(phase, rest, rest.withInput(input, 1));
  }

  /** How far every surface goes with what moves it most, both ways, to be compared with a ruler. */
  private List<Said> throwLines() {
    List<Said> lines = new ArrayList<>();
    for (Surface surface : setup.surfaces()) {
      MeasuredThrows.Ends ends = MeasuredThrows.ends(path, path.indexOf(surface.id()));
      if (ends.plusMm() >= SEEN_MM || ends.minusMm() >= SEEN_MM) {
        lines.add(
            Said.of(
                "check.throws",
                "surface",
                surface.name(),
                "up",
                surface.goes(1),
                "plus",
                Quantity.mm(ends.plusMm(), 0),
                "down",
                surface.goes(-1),
                "minus",
                Quantity.mm(ends.minusMm(), 0),
                "where",
                ends.where()));
      }
    }
    return lines;
  }

  /** What each surface of a control does with the stick to its plus end, from the trimmed rest. */
  private List<Said> seen(int phase, Control control) {
    Moment rest = path.rest(phase).withTrims(setup.trims());
    return lines(phase, rest, rest.with(control, 1));
  }

  private List<Said> lines(int phase, Moment from, Moment to) {
    double[] still = path.evaluate(from, phase).travelMm();
    double[] moved = path.evaluate(to, phase).travelMm();
    List<Said> lines = new ArrayList<>();
    for (int i = 0; i < still.length; i++) {
      Surface surface = setup.surfaces().get(i);
      double mm = moved[i] - still[i];
      if (Math.abs(mm) >= SEEN_MM) {
        lines.add(
            Said.of(
                "check.goes",
                "surface",
                surface.name(),
                "way",
                surface.goes(mm > 0 ? 1 : -1),
                "mm",
                Quantity.mm(Math.abs(mm), 0)));
      }
    }
    return lines;
  }

  private void stabilisers() {
    for (Between one : setup.wiring().between()) {
      if (one.kind() == BetweenKind.STABILISER && !one.bypassed()) {
        add("tilt", tilts(), Said.NOTHING, Concern.MODEL);
        return;
      }
    }
  }

  private List<Said> tilts() {
    List<Said> lines = new ArrayList<>();
    for (Control control : Control.values()) {
      if (!seen(setup.phases().size() - 1, control).isEmpty()) {
        lines.add(Said.of("CheckTilt." + control.name()));
      }
    }
    return lines;
  }

  private List<Said> failsafe() {
    List<Said> lines = new ArrayList<>();
    if (motors) {
      lines.add(Said.of("check.failsafeMotor"));
    }
    lines.add(Said.of("check.failsafeSurfaces"));
    return lines;
  }

  private void range() {
    add("reduced", List.of(), motors ? Said.of("CheckCaution.holding") : Said.NOTHING, Concern.DAY);
    add(
        "paces",
        List.of(Said.of("check.paces", "least", LEAST_PACES, "most", MOST_PACES)),
        Said.NOTHING,
        Concern.DAY);
    for (int quarter = 1; quarter <= QUARTERS; quarter++) {
      counted("quarter-" + quarter, "quarter", quarter, false, Said.NOTHING);
    }
    for (int quarter = 1; quarter <= QUARTERS && motors; quarter++) {
      counted("running-" + quarter, "running", quarter, true, propeller());
    }
    add("whole", List.of(), Said.NOTHING, Concern.DAY);
  }

  private void pupil() {
    Said pupil = Said.of("check.pupilHolds", "motor", motors);
    add("holds", List.of(Said.of("check.teacherHolds"), pupil), Said.NOTHING, Concern.DAY);
    for (Control control : Control.values()) {
      List<Said> lines = seen(setup.phases().size() - 1, control);
      if (!lines.isEmpty()) {
        add("pupil-" + control.word(), lines, Said.NOTHING, Concern.DAY);
      }
    }
    if (motors) {
      add("pupil-throttle", List.of(), propeller(), Concern.DAY);
    }
    add("taking-back", List.of(), Said.of("CheckCaution.instructor"), Concern.DAY);
  }
}
