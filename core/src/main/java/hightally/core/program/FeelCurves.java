package hightally.core.program;

import hightally.core.phase.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.response.Feel;
import hightally.core.response.FeelSet;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;

/** Every feel a control can have, drawn together: stick against millimetres of the surface. */
public final class FeelCurves {
  private static final int PLACES = 20;

  private FeelCurves() {}

  /**
   * What is asked; the surface is the one the control moves most.
   *
   * @param control whose stick
   */
  public record CurvesAsked(Setup setup, Control control) {}

  /**
   * All of a control's feels.
   *
   * @param surface id of the surface they are drawn at; empty if the control moves none
   * @param sticks stick places, -1 to 1
   * @param curves the plain feel first, then the sets in their order
   */
  public record Together(String surface, List<Double> sticks, List<FeelLine> curves) {}

  /**
   * One feel.
   *
   * @param set id of its set; empty for the plain one
   * @param when when it is on, in words
   * @param mm travel from rest at each stick place
   */
  public record FeelLine(String set, Said name, Said when, List<Double> mm) {}

  /** The curves of a control. */
  public static Together of(CurvesAsked asked) {
    Setup setup = Validation.check(asked.setup());
    Control control = asked.control();
    List<Double> sticks = new ArrayList<>();
    for (int i = -PLACES; i <= PLACES; i++) {
      sticks.add((double) i / PLACES);
    }
    int surface = most(setup, control);
    if (surface < 0) {
      return new Together("", sticks, List.of());
    }
    List<FeelLine> lines = new ArrayList<>();
    lines.add(
        line(
            setup,
            "",
            Said.of("program.otherwise"),
            Said.of("program.whereNoSetDecides"),
            setup.feel(),
            surface,
            asked));
    for (FeelSet set : setup.feelSets()) {
      if (set.has(control)) {
        Said when = ProgramEntries.active(setup, set.when(), set.phases());
        lines.add(line(setup, set.id(), Said.text(set.name()), when, set.feel(), surface, asked));
      }
    }
    return new Together(setup.surfaces().get(surface).id(), sticks, lines);
  }

  private static int most(Setup setup, Control control) {
    int found = -1;
    double most = 0;
    for (int i = 0; i < setup.surfaces().size(); i++) {
      double share = Math.abs(setup.surfaces().get(i).shares().of(control));
      if (share > most) {
        most = share;
        found = i;
      }
    }
    return found;
  }

  private static FeelLine line(
      Setup setup, String set, Said name, Said when, Feel feel, int surface, CurvesAsked asked) {
    SignalPath path = SignalPath.of(setup.change().feel(feel).feelSets(List.of()).done());
    int base = setup.phases().size() - 1;
    Moment rest = Moment.centred(Trims.ZERO);
    double at = path.evaluate(rest, base).travelMm()[surface];
    List<Double> mm = new ArrayList<>();
    for (int i = -PLACES; i <= PLACES; i++) {
      Moment moved = rest.with(asked.control(), (double) i / PLACES);
      mm.add(path.evaluate(moved, base).travelMm()[surface] - at);
    }
    return new FeelLine(set, name, when, mm);
  }
}
