package hightally.core.hazard;

import hightally.core.channel.InputKind;
import hightally.core.channel.TransmitterInput;
import hightally.core.program.Condition;
import hightally.core.program.FlightTimer;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.AxisBox;
import hightally.core.signal.AxisPlaces;
import hightally.core.signal.Conditions;
import hightally.core.signal.InputRange;
import hightally.core.signal.InputStretch;
import hightally.core.signal.Moment;
import hightally.core.signal.Readings;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;

/**
 * Every way things can stand: all positions of the switches something listens to, every stretch of
 * sticks, throttle and levers between the limits conditions hold them against, telemetry and timers
 * either way, and conditions that must hold for a while counting or not yet. In one state nothing
 * switches; what only moves something goes from end to end within it.
 */
final class SwitchStates {
  /** As many stretches as one set of bits can hold. */
  private static final int MOST_CELLS = Long.SIZE - 2;

  private final Setup setup;
  private final Conditions conditions;
  private final List<InputRange> lines;
  private final boolean waiting;

  /** What each line's cells lead to. */
  private final int[][][] reached;

  SwitchStates(SignalPath path) {
    setup = path.setup();
    conditions = path.program().conditions();
    lines = InputRange.of(setup);
    reached =
        lines.stream()
            .map(
                line ->
                    IntStream.range(0, line.cells().length)
                        .mapToObj(line::from)
                        .toArray(int[][]::new))
            .toArray(int[][][]::new);
    waiting = lines.stream().anyMatch(one -> one.kind() == InputRange.Kind.WAITING);
  }

  /** Whether one change of a line can lead from one of its cells to another. */
  boolean leads(int which, int cell, int to) {
    return Arrays.stream(reached[which][cell]).anyMatch(one -> one == to);
  }

  List<InputRange> lines() {
    return lines;
  }

  /** How many states there are; the largest number there is where they are more than that. */
  long count() {
    long count = 1;
    for (InputRange line : lines) {
      int cells = line.cells().length;
      count = count > Long.MAX_VALUE / cells ? Long.MAX_VALUE : count * cells;
    }
    return count;
  }

  /** Whether some stick or lever is cut into more stretches than are looked at. */
  boolean tooFine() {
    return lines.stream().anyMatch(one -> one.cells().length > MOST_CELLS);
  }

  /** Every line in the cell it rests in. */
  int[] resting() {
    return lines.stream().mapToInt(InputRange::restingCell).toArray();
  }

  /** One cell of some for every line, a bit each: the one it rests in, or the first. */
  int[] filled(long[] cells) {
    int[] filled = new int[cells.length];
    for (int i = 0; i < filled.length; i++) {
      int rest = lines.get(i).restingCell();
      boolean rests = (cells[i] >> rest & 1) != 0;
      filled[i] = rests ? rest : Long.numberOfTrailingZeros(cells[i]);
    }
    return filled;
  }

  /** Whether something moves along an axis: a switch, too, can be one. */
  boolean moves(SignalPath path, int axis) {
    int targets = setup.surfaces().size() + setup.airframe().motors().size();
    boolean hung =
        IntStream.range(0, targets)
            .anyMatch(target -> path.program().hangs(target).axes().contains(axis));
    int input = axis - AxisPlaces.THROTTLE - 1;
    String id = input < 0 ? "" : setup.transmitter().inputs().get(input).id();
    return hung
        || input < 0
        || setup.power().throttleInput().equals(id)
        || setup.channels().stream().anyMatch(one -> one.carries().equals(id));
  }

  /**
   * A moment of a state: what does not switch at rest, trims as they stand, the bench's own cut let
   * go.
   */
  Moment moment(int[] at) {
    Moment moment = bare(at);
    return waiting ? moment.with(moment.readings().withTruths(truths(moment, at))) : moment;
  }

  /** The same without what is true while some conditions have not held long enough. */
  Moment bare(int[] at) {
    Double[] inputs = new Double[setup.transmitter().inputs().size()];
    Arrays.fill(inputs, 0.0);
    double[] sticks = new double[AxisPlaces.THROTTLE + 1];
    double link = Readings.NORMAL.linkPercent();
    double voltage = Readings.NORMAL.voltage();
    Double[] timers = new Double[setup.power().timers().size()];
    for (int i = 0; i < timers.length; i++) {
      boolean down = setup.power().timers().get(i).countsDown();
      timers[i] = down ? setup.power().timers().get(i).startSeconds() : 0;
    }
    for (int i = 0; i < at.length; i++) {
      InputRange line = lines.get(i);
      double place = line.cells()[at[i]].at();
      switch (line.kind()) {
        case STICK -> sticks[line.index()] = place;
        case THROTTLE -> sticks[AxisPlaces.THROTTLE] = place;
        case LEVER, SWITCH -> inputs[line.index()] = place;
        case LINK -> link = place;
        case VOLTAGE -> voltage = place;
        case TIMER -> timers[line.index()] = place;
        case WAITING -> {}
      }
    }
    return new Moment(
        sticks[0],
        sticks[1],
        sticks[2],
        sticks[AxisPlaces.THROTTLE],
        false,
        setup.trims(),
        List.of(inputs),
        new Readings(link, voltage, List.of(timers), List.of()));
  }

  /** What is true while some conditions have not held long enough yet. */
  private List<Boolean> truths(Moment moment, int[] at) {
    Boolean[] truths = new Boolean[conditions.count()];
    boolean[] notYet = new boolean[truths.length];
    for (int i = 0; i < at.length; i++) {
      if (lines.get(i).kind() == InputRange.Kind.WAITING) {
        notYet[lines.get(i).index()] = at[i] == 1;
      }
    }
    // No phase's condition asks for a phase, so the phase can be found first.
    for (int pass = 0; pass < 2; pass++) {
      int phase = pass == 0 ? -1 : conditions.phase(known(moment, truths));
      Arrays.fill(truths, null);
      for (int i = 0; i < truths.length; i++) {
        decide(i, moment, phase, notYet, truths);
      }
    }
    return List.of(truths);
  }

  private static Moment known(Moment moment, Boolean[] truths) {
    return moment.with(moment.readings().withTruths(List.of(truths)));
  }

  private void decide(int one, Moment moment, int phase, boolean[] notYet, Boolean[] truths) {
    if (truths[one] == null) {
      for (int member : conditions.members(one)) {
        decide(member, moment, phase, notYet, truths);
      }
      truths[one] = !notYet[one] && conditions.of(one, moment, phase, truths);
    }
  }

  /** How far sticks, throttle and levers can go while every line is in one of some cells. */
  AxisBox stretch(long[] cells) {
    AxisBox whole = AxisBox.whole(setup.transmitter().inputs().size());
    int firstInput = AxisPlaces.THROTTLE + 1;
    for (int i = 0; i < setup.transmitter().inputs().size(); i++) {
      if (setup.transmitter().inputs().get(i).kind() == InputKind.SWITCH) {
        whole.to()[firstInput + i] = 0;
      }
    }
    for (int i = 0; i < cells.length; i++) {
      InputStretch[] all = lines.get(i).cells();
      int axis = lines.get(i).axis();
      if (axis >= 0) {
        whole.from()[axis] = all[Long.numberOfTrailingZeros(cells[i])].from();
        whole.to()[axis] = all[Long.SIZE - 1 - Long.numberOfLeadingZeros(cells[i])].to();
      }
    }
    return whole;
  }

  /** The lines that lie on some of the axes. */
  BitSet linesOn(IntPredicate axes) {
    BitSet found = new BitSet();
    IntStream.range(0, lines.size())
        .filter(i -> lines.get(i).axis() >= 0 && axes.test(lines.get(i).axis()))
        .forEach(found::set);
    return found;
  }

  /** Where levers and switches stand and what else is so, in words; those at rest are left out. */
  List<Said> words(Moment moment) {
    List<Said> words = new ArrayList<>();
    for (int i = 0; i < setup.transmitter().inputs().size(); i++) {
      Said word = word(moment, i);
      if (!word.isEmpty()) {
        words.add(word);
      }
    }
    for (InputRange line : lines) {
      Said fact = fact(line, moment);
      if (!fact.isEmpty()) {
        words.add(fact);
      }
    }
    return words;
  }

  /** Where one of them stands; nothing for a lever at rest or a switch nothing listens to. */
  Said word(Moment moment, int input) {
    double place = moment.input(input);
    TransmitterInput part = setup.transmitter().inputs().get(input);
    if (part.kind() == InputKind.SWITCH) {
      boolean heard =
          lines.stream()
              .anyMatch(line -> line.kind() == InputRange.Kind.SWITCH && line.index() == input);
      long position = Math.round(place * (part.positions() - 1)) + 1;
      return heard
          ? Said.of("hazard.position", "input", part.name(), "position", position)
          : Said.NOTHING;
    }
    return place > 0
        ? Said.of("hazard.lever", "input", part.name(), "at", Quantity.percent(100 * place))
        : Said.NOTHING;
  }

  /** What is measured or counted, where it is not as usual; nothing for all else. */
  Said fact(InputRange line, Moment moment) {
    Readings readings = moment.readings();
    Readings usual = Readings.NORMAL;
    return switch (line.kind()) {
      case LINK ->
          readings.linkPercent() == usual.linkPercent()
              ? Said.NOTHING
              : Said.of("hazard.link", "at", Quantity.percent(readings.linkPercent()));
      case VOLTAGE ->
          readings.voltage() == usual.voltage()
              ? Said.NOTHING
              : Said.of("hazard.voltage", "at", volts(readings.voltage()));
      case TIMER ->
          readings.timerSeconds().get(line.index()) == begin(line)
              ? Said.NOTHING
              : Said.of(
                  "hazard.timer",
                  "timer",
                  setup.power().timers().get(line.index()).name(),
                  "at",
                  Quantity.seconds(readings.timerSeconds().get(line.index()), 0));
      default -> Said.NOTHING;
    };
  }

  private double begin(InputRange line) {
    FlightTimer timer = setup.power().timers().get(line.index());
    return timer.countsDown() ? timer.startSeconds() : 0;
  }

  private static Quantity volts(double volts) {
    return new Quantity(volts, hightally.core.quantity.Unit.VOLTS, 1);
  }

  /** What a change of one line is called. */
  Said change(InputRange line, Moment after, int cell) {
    return switch (line.kind()) {
      case LEVER, SWITCH -> {
        Said there = word(after, line.index());
        yield there.isEmpty()
            ? Said.of("hazard.backRest", "name", name(line))
            : Said.of("hazard.then", "there", there);
      }
      case STICK, THROTTLE ->
          Said.of(
              "hazard.across",
              "name",
              name(line),
              "at",
              Quantity.percent(100 * limit(line, after)));
      case LINK, VOLTAGE, TIMER -> {
        Said fact = fact(line, after);
        yield fact.isEmpty()
            ? Said.of("hazard.usualAgain", "name", name(line))
            : Said.of("hazard.then", "there", fact);
      }
      case WAITING -> Said.of(cell == 0 ? "hazard.counts" : "hazard.waits", "name", name(line));
    };
  }

  private double limit(InputRange line, Moment after) {
    int axis = line.axis();
    return axis < AxisPlaces.THROTTLE
        ? after.of(hightally.core.quantity.Control.values()[axis])
        : after.throttle();
  }

  /** What moves or changes, by its name. */
  Said name(InputRange line) {
    return switch (line.kind()) {
      case STICK ->
          Said.of(
              "condition.stick", "control", hightally.core.quantity.Control.values()[line.index()]);
      case THROTTLE -> Said.of("condition.throttle");
      case LEVER, SWITCH -> Said.text(setup.transmitter().inputs().get(line.index()).name());
      case LINK, VOLTAGE -> Said.of("condition.measured", "subject", line.subject());
      case TIMER -> Said.text(setup.power().timers().get(line.index()).name());
      case WAITING -> Said.text(waited(line).name());
    };
  }

  private Condition waited(InputRange line) {
    return setup.conditions().get(line.index());
  }
}
