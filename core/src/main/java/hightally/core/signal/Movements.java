package hightally.core.signal;

import hightally.core.airframe.Surface;
import hightally.core.channel.InputKind;
import hightally.core.channel.TransmitterInput;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;

/** What differs between two setups in millimetres at the trailing edges. */
public final class Movements {
  private static final double NOTHING_MM = 0.05;

  private Movements() {}

  /**
   * One surface in one place of the sticks.
   *
   * @param phase name of the phase
   * @param where at rest, or which stick, lever or switch is at which end
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
    Moment oldRest = one.rest(phaseOne).withTrims(one.setup().trims());
    Moment newRest = two.rest(phaseTwo).withTrims(two.setup().trims());
    compare(
        lines,
        one,
        two,
        Said.of("place.rest"),
        one.evaluate(oldRest, phaseOne),
        two.evaluate(newRest, phaseTwo),
        one.setup().phases().get(phaseOne).name());
    for (Place place : places(one.setup(), two.setup())) {
      compare(
          lines,
          one,
          two,
          place.words,
          one.evaluate(place.before.apply(oldRest), phaseOne),
          two.evaluate(place.after.apply(newRest), phaseTwo),
          one.setup().phases().get(phaseOne).name());
    }
  }

  /** Something moved to an end, in the one setup and in the other. */
  private record Place(Said words, UnaryOperator<Moment> before, UnaryOperator<Moment> after) {}

  /** Every end of every stick, of the throttle, of every lever and switch both have. */
  private static List<Place> places(Setup before, Setup after) {
    List<Place> places = new ArrayList<>();
    for (Control control : Control.values()) {
      for (int stick : new int[] {1, -1}) {
        UnaryOperator<Moment> moved = rest -> rest.with(control, stick);
        Said words = Said.of("place.stick", "control", control, "plus", stick > 0);
        places.add(new Place(words, moved, moved));
      }
    }
    for (int end : new int[] {0, 1}) {
      UnaryOperator<Moment> moved = rest -> rest.withThrottle(end, false);
      places.add(new Place(Said.of("place.throttle", "full", end > 0), moved, moved));
    }
    List<TransmitterInput> inputs = before.transmitter().inputs();
    for (int i = 0; i < inputs.size(); i++) {
      int was = i;
      int is = after.transmitter().inputIndex(inputs.get(i).id());
      boolean lever = inputs.get(i).kind() == InputKind.LEVER;
      int last = lever ? 1 : inputs.get(i).positions() - 1;
      for (int at = lever ? 1 : 0; is >= 0 && at <= last; at++) {
        double to = (double) at / last;
        Said words =
            Said.of(
                "place.input", "name", inputs.get(i).name(), "lever", lever, "position", at + 1);
        places.add(
            new Place(words, rest -> rest.withInput(was, to), rest -> rest.withInput(is, to)));
      }
    }
    return places;
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
