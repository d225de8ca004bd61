package hightally.core.signal;

import hightally.core.airframe.Surface;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;

/** What differs between two setups in millimetres at the trailing edges. */
public final class Movements {
  private static final double NOTHING_MM = 0.05;

  private Movements() {}

  /**
   * One surface in one place of the sticks.
   *
   * @param phase name of the phase
   * @param where at rest, or which stick is at which end
   */
  public record MovementLine(
      String surface, String phase, Said where, double beforeMm, double afterMm) {}

  /**
   * All lines that differ, trims as they stand in each setup. Phases and surfaces only one of them
   * has are left out.
   */
  public static List<MovementLine> differences(Setup before, Setup after) {
    SignalPath one = SignalPath.of(before);
    SignalPath two = SignalPath.of(after);
    List<MovementLine> lines = new ArrayList<>();
    for (int i = 0; i < before.phases().size(); i++) {
      String id = before.phases().get(i).id();
      List<String> there = after.phases().stream().map(phase -> phase.id()).toList();
      if (there.contains(id)) {
        phase(lines, one, i, two, there.indexOf(id));
      }
    }
    return lines;
  }

  private static void phase(
      List<MovementLine> lines, SignalPath one, int phaseOne, SignalPath two, int phaseTwo) {
    Moment oldRest = Moment.centred(one.setup().trims());
    Moment newRest = Moment.centred(two.setup().trims());
    compare(
        lines,
        one,
        two,
        Said.of("place.rest"),
        one.evaluate(oldRest, phaseOne),
        two.evaluate(newRest, phaseTwo),
        one.setup().phases().get(phaseOne).name());
    for (Control control : Control.values()) {
      for (int stick : new int[] {1, -1}) {
        compare(
            lines,
            one,
            two,
            Said.of("place.stick", "control", control, "plus", stick > 0),
            one.evaluate(oldRest.with(control, stick), phaseOne),
            two.evaluate(newRest.with(control, stick), phaseTwo),
            one.setup().phases().get(phaseOne).name());
      }
    }
  }

  private static void compare(
      List<MovementLine> lines,
      SignalPath one,
      SignalPath two,
      Said where,
      Positions before,
      Positions after,
      String phase) {
    List<String> there = two.setup().surfaces().stream().map(Surface::id).toList();
    for (int i = 0; i < one.setup().surfaces().size(); i++) {
      Surface surface = one.setup().surfaces().get(i);
      int other = there.indexOf(surface.id());
      if (other >= 0) {
        double was = before.travelMm()[i];
        double is = after.travelMm()[other];
        if (Math.abs(is - was) > NOTHING_MM) {
          lines.add(new MovementLine(surface.name(), phase, where, was, is));
        }
      }
    }
  }
}
