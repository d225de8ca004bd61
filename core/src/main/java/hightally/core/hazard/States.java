package hightally.core.hazard;

import hightally.core.channel.InputKind;
import hightally.core.channel.TransmitterInput;
import hightally.core.condition.Condition;
import hightally.core.mix.Mix;
import hightally.core.mix.MixSource;
import hightally.core.phase.Trims;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.Readings;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;

/**
 * Every position of the levers and switches something listens to, levers at both ends and in the
 * middle. What nothing listens to stays at rest: it cannot change anything.
 */
final class States {
  private static final double[] LEVER_PLACES = {0, 0.5, 1};
  private static final double JUST = 1e-6;

  private final Setup setup;
  private final List<Integer> used;
  private final List<double[]> places = new ArrayList<>();

  States(Setup setup) {
    this.setup = setup;
    Set<Integer> found = new TreeSet<>();
    setup.surfaces().stream()
        .flatMap(surface -> surface.shares().levers().stream())
        .forEach(lever -> found.add(setup.transmitter().inputIndex(lever.input())));
    setup.conditions().forEach(one -> found.add(setup.transmitter().inputIndex(one.subject())));
    for (Mix mix : setup.mixes()) {
      if (mix.source() == MixSource.INPUT) {
        found.add(setup.transmitter().inputIndex(mix.subject()));
      }
    }
    found.add(setup.transmitter().inputIndex(setup.power().throttleInput()));
    found.remove(-1);
    used = List.copyOf(found);
    used.forEach(input -> places.add(placesOf(input)));
  }

  /** Both sides of every limit a condition holds a lever against, besides its ends and middle. */
  private double[] placesOf(int input) {
    TransmitterInput part = setup.transmitter().inputs().get(input);
    if (part.kind() == InputKind.SWITCH) {
      return IntStream.range(0, part.positions())
          .mapToDouble(i -> (double) i / (part.positions() - 1))
          .toArray();
    }
    TreeSet<Double> found = new TreeSet<>();
    for (double place : LEVER_PLACES) {
      found.add(place);
    }
    for (Condition one : setup.conditions()) {
      if (one.subject().equals(part.id())) {
        found.add(Math.max(0, Math.min(1, one.limit() - JUST)));
        found.add(Math.max(0, Math.min(1, one.limit() + JUST)));
      }
    }
    return found.stream().mapToDouble(Double::doubleValue).toArray();
  }

  List<Integer> used() {
    return used;
  }

  double[] places(int which) {
    return places.get(which);
  }

  /** How many states there are. */
  long count() {
    long count = 1;
    for (double[] each : places) {
      count *= each.length;
    }
    return count;
  }

  /** A state by its number, sticks centred, throttle closed, trims at zero, cut let go. */
  Moment moment(long number) {
    int[] at = at(number);
    List<Double> inputs = new ArrayList<>();
    for (int i = 0; i < setup.transmitter().inputs().size(); i++) {
      int which = used.indexOf(i);
      inputs.add(which < 0 ? 0.0 : places.get(which)[at[which]]);
    }
    return new Moment(0, 0, 0, 0, false, Trims.ZERO, inputs, Readings.NORMAL);
  }

  int[] at(long number) {
    int[] at = new int[used.size()];
    long left = number;
    for (int i = 0; i < at.length; i++) {
      at[i] = (int) (left % places.get(i).length);
      left /= places.get(i).length;
    }
    return at;
  }

  /** Where the levers and switches stand, in words; those at rest are left out. */
  List<String> words(Moment moment) {
    List<String> words = new ArrayList<>();
    for (int input : used) {
      double place = moment.input(input);
      TransmitterInput part = setup.transmitter().inputs().get(input);
      if (part.kind() == InputKind.SWITCH) {
        words.add(part.name() + " at position " + (Math.round(place * (part.positions() - 1)) + 1));
      } else if (place > 0) {
        words.add(part.name() + " at " + Math.round(100 * place) + " %");
      }
    }
    return words;
  }
}
