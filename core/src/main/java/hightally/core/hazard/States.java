package hightally.core.hazard;

import hightally.core.channel.InputKind;
import hightally.core.channel.TransmitterInput;
import hightally.core.condition.Condition;
import hightally.core.mix.Mix;
import hightally.core.mix.SourceOf;
import hightally.core.phase.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.Readings;
import hightally.core.signal.Stretch;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;

/**
 * Every position of the switches something listens to, and for a lever every stretch between the
 * limits conditions hold it against. What nothing listens to stays at rest: it cannot change
 * anything. A lever that only moves something, and switches nothing, is one stretch from end to
 * end.
 */
final class States {
  /** More than this are not looked at: minutes, and a search must end. */
  static final long MOST = 1_000_000;

  private final Setup setup;
  private final List<Integer> used;
  private final List<Cell[]> cells = new ArrayList<>();
  private final List<List<Cell>> sticks = new ArrayList<>();

  /** A stretch in which nothing switches, and a place in it. */
  record Cell(double from, double to, double at) {}

  States(Setup setup) {
    this.setup = setup;
    Set<Integer> found = new TreeSet<>();
    setup.surfaces().stream()
        .flatMap(surface -> surface.shares().levers().stream())
        .forEach(lever -> found.add(setup.transmitter().inputIndex(lever.input())));
    setup.conditions().forEach(one -> found.add(setup.transmitter().inputIndex(one.subject())));
    for (Mix mix : setup.mixes()) {
      if (mix.source().of() == SourceOf.INPUT) {
        found.add(setup.transmitter().inputIndex(mix.subject()));
      }
    }
    found.add(setup.transmitter().inputIndex(setup.power().throttleInput()));
    found.remove(-1);
    used = List.copyOf(found);
    used.forEach(input -> cells.add(cellsOf(input)));
    for (Control control : Control.values()) {
      sticks.add(cells(control.word(), -1, 0));
    }
    sticks.add(cells("throttle", 0, 0));
  }

  private Cell[] cellsOf(int input) {
    TransmitterInput part = setup.transmitter().inputs().get(input);
    if (part.kind() == InputKind.SWITCH) {
      return IntStream.range(0, part.positions())
          .mapToDouble(i -> (double) i / (part.positions() - 1))
          .mapToObj(place -> new Cell(place, place, place))
          .toArray(Cell[]::new);
    }
    return cells(part.id(), 0, 0).toArray(Cell[]::new);
  }

  /** The stretches of a stick or lever; the one it rests in is entered at its rest. */
  private List<Cell> cells(String subject, double least, double rest) {
    TreeSet<Double> ends = new TreeSet<>(List.of(least, 1.0));
    for (Condition one : setup.conditions()) {
      if (one.subject().equals(subject) && one.place() > least && one.place() < 1) {
        ends.add(one.place());
      }
    }
    List<Cell> found = new ArrayList<>();
    double from = least;
    for (double to : ends.tailSet(least, false)) {
      boolean resting = rest >= from && rest < to;
      found.add(new Cell(from, to, resting ? rest : (from + to) / 2));
      from = to;
    }
    return found;
  }

  List<Integer> used() {
    return used;
  }

  Cell[] cells(int which) {
    return cells.get(which);
  }

  /** The stretches of roll, pitch, yaw and throttle: one each where no condition looks at them. */
  List<List<Cell>> sticks() {
    return sticks;
  }

  /** How many states there are; the largest number there is where they are more than that. */
  long count() {
    long count = 1;
    for (Cell[] each : cells) {
      count = count > Long.MAX_VALUE / each.length ? Long.MAX_VALUE : count * each.length;
    }
    return count;
  }

  /** A state by its number, sticks centred, throttle closed, trims at zero, cut let go. */
  Moment moment(long number) {
    int[] at = at(number);
    List<Double> inputs = new ArrayList<>();
    for (int i = 0; i < setup.transmitter().inputs().size(); i++) {
      int which = used.indexOf(i);
      inputs.add(which < 0 ? 0.0 : cells.get(which)[at[which]].at());
    }
    return new Moment(0, 0, 0, 0, false, Trims.ZERO, inputs, Readings.NORMAL);
  }

  /** How far the levers can go in a state while nothing switches. */
  Stretch stretch(long number) {
    Stretch whole = Stretch.whole(setup.transmitter().inputs().size());
    int first = whole.from().length - setup.transmitter().inputs().size();
    java.util.Arrays.fill(whole.to(), first, whole.to().length, 0);
    int[] at = at(number);
    for (int which = 0; which < at.length; which++) {
      Cell cell = cells.get(which)[at[which]];
      whole.from()[first + used.get(which)] = cell.from();
      whole.to()[first + used.get(which)] = cell.to();
    }
    return whole;
  }

  int[] at(long number) {
    int[] at = new int[used.size()];
    long left = number;
    for (int i = 0; i < at.length; i++) {
      at[i] = (int) (left % cells.get(i).length);
      left /= cells.get(i).length;
    }
    return at;
  }

  /** The number of the state with one lever or switch in another of its cells. */
  long number(long number, int which, int cell) {
    long step = 1;
    for (int i = 0; i < which; i++) {
      step *= cells.get(i).length;
    }
    long now = number / step % cells.get(which).length;
    return number + (cell - now) * step;
  }

  /** Where the levers and switches stand, in words; those at rest are left out. */
  List<Said> words(Moment moment) {
    return used.stream().map(input -> word(moment, input)).filter(one -> !one.isEmpty()).toList();
  }

  /** Where one of them stands; nothing for a lever at rest. */
  Said word(Moment moment, int input) {
    double place = moment.input(input);
    TransmitterInput part = setup.transmitter().inputs().get(input);
    if (part.kind() == InputKind.SWITCH) {
      long position = Math.round(place * (part.positions() - 1)) + 1;
      return Said.of("hazard.position", "input", part.name(), "position", position);
    }
    return place > 0
        ? Said.of("hazard.lever", "input", part.name(), "at", Quantity.percent(100 * place))
        : Said.NOTHING;
  }
}
