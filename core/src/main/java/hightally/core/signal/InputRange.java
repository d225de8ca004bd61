package hightally.core.signal;

import hightally.core.channel.InputKind;
import hightally.core.channel.TransmitterInput;
import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.program.FlightTimer;
import hightally.core.quantity.Control;
import hightally.core.setup.ConditionLimits;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;

/**
 * Something that can stand in several places, cut where conditions hold it against a limit: a
 * stick, a lever, a switch; or a fact that is one way or another by itself.
 *
 * <p>A condition is true beyond its limit, not at it. So the limit itself belongs to the side on
 * which it changes nothing; where something looks at it from both sides it is a place of its own.
 *
 * @param kind what it is
 * @param index which one: of the controls, the inputs, the timers, the conditions
 * @param subject id of what is moved or changes
 * @param cells from one end to the other
 * @param restingCell the one it is in when nothing was touched
 */
public record InputRange(
    Kind kind, int index, String subject, InputStretch[] cells, int restingCell) {
  /** So far beside a limit it is passed. */
  public static final double JUST = 1e-6;

  private static final double LONGEST_SECONDS = 100_000;

  /** What stands in several places. */
  public enum Kind {
    STICK,
    THROTTLE,
    LEVER,
    SWITCH,
    LINK,
    VOLTAGE,
    TIMER,
    /** A condition that must hold for a while: it counts, or does not yet. */
    WAITING;

    /** Whether it goes from one place to another through all between. */
    public boolean slides() {
      return this == STICK || this == THROTTLE || this == LEVER;
    }
  }

  /** Everything in a setup that switches something. */
  public static List<InputRange> of(Setup setup) {
    List<InputRange> lines = new ArrayList<>();
    for (Control control : Control.values()) {
      sliding(setup, Kind.STICK, control.ordinal(), control.word(), -1, lines);
    }
    sliding(setup, Kind.THROTTLE, 0, "throttle", 0, lines);
    Set<String> heard = heard(setup);
    for (int i = 0; i < setup.transmitter().inputs().size(); i++) {
      TransmitterInput input = setup.transmitter().inputs().get(i);
      if (input.kind() == InputKind.LEVER) {
        sliding(setup, Kind.LEVER, i, input.id(), 0, lines);
      } else if (heard.contains(input.id())) {
        int last = input.positions() - 1;
        InputStretch[] positions =
            IntStream.rangeClosed(0, last)
                .mapToObj(at -> InputStretch.point((double) at / last))
                .toArray(InputStretch[]::new);
        lines.add(new InputRange(Kind.SWITCH, i, input.id(), positions, 0));
      }
    }
    facts(setup, lines);
    return lines;
  }

  /** Levers and switches something listens to. */
  private static Set<String> heard(Setup setup) {
    Set<String> heard = new HashSet<>();
    setup.conditions().forEach(one -> heard.add(one.subject()));
    setup.mixes().forEach(mix -> heard.add(mix.subject()));
    heard.add(setup.power().throttleInput());
    setup.airframe().motors().stream()
        .flatMap(one -> setup.channel(one.reverserChannel()).stream())
        .forEach(channel -> heard.add(channel.carries()));
    setup.surfaces().stream()
        .flatMap(one -> one.shares().levers().stream())
        .forEach(lever -> heard.add(lever.input()));
    return heard;
  }

  private static void sliding(
      Setup setup, Kind kind, int index, String subject, double least, List<InputRange> lines) {
    InputStretch[] cells = cut(conditionsOn(setup, subject, true), least, 1, 0, Condition::place);
    if (cells.length > 1) {
      lines.add(new InputRange(kind, index, subject, cells, resting(cells, 0)));
    }
  }

  private static void facts(Setup setup, List<InputRange> lines) {
    measured(setup, Kind.LINK, "link", Readings.NORMAL.linkPercent(), lines);
    measured(setup, Kind.VOLTAGE, "voltage", Readings.NORMAL.voltage(), lines);
    for (int i = 0; i < setup.power().timers().size(); i++) {
      FlightTimer timer = setup.power().timers().get(i);
      double start = timer.countsDown() ? timer.startSeconds() : 0;
      double most = timer.countsDown() ? timer.startSeconds() : LONGEST_SECONDS;
      List<Condition> asking =
          setup.conditions().stream()
              .filter(one -> one.kind() == ConditionKind.TIMER_ABOVE)
              .filter(one -> one.subject().equals(timer.id()))
              .toList();
      fact(Kind.TIMER, i, timer.id(), start, cut(asking, 0, most, start, Condition::limit), lines);
    }
    for (int i = 0; i < setup.conditions().size(); i++) {
      Condition one = setup.conditions().get(i);
      if (one.heldSeconds() > 0) {
        lines.add(
            new InputRange(
                Kind.WAITING,
                i,
                one.id(),
                new InputStretch[] {InputStretch.point(0), InputStretch.point(1)},
                0));
      }
    }
  }

  private static void measured(
      Setup setup, Kind kind, String subject, double usual, List<InputRange> lines) {
    double most = ConditionLimits.of(setup, ConditionKind.TELEMETRY_BELOW, subject).most();
    List<Condition> asking = conditionsOn(setup, subject, false);
    fact(kind, 0, subject, usual, cut(asking, 0, most, usual, Condition::limit), lines);
  }

  private static void fact(
      Kind kind,
      int index,
      String subject,
      double rest,
      InputStretch[] cells,
      List<InputRange> lines) {
    if (cells.length > 1) {
      InputStretch[] near =
          Arrays.stream(cells).map(cell -> near(cell, rest)).toArray(InputStretch[]::new);
      lines.add(new InputRange(kind, index, subject, near, resting(cells, rest)));
    }
  }

  /** A fact is told just beyond its limit, as a pilot would meet it, and rounded. */
  private static InputStretch near(InputStretch cell, double rest) {
    if (cell.from() <= rest && rest <= cell.to()) {
      return cell;
    }
    double middle = (cell.from() + cell.to()) / 2;
    double at =
        cell.from() > rest
            ? Math.min(middle, Math.floor(cell.from()) + 1)
            : Math.max(middle, Math.ceil(cell.to()) - 1);
    return new InputStretch(cell.from(), cell.to(), at);
  }

  private static int resting(InputStretch[] cells, double rest) {
    for (int i = 0; i < cells.length; i++) {
      if (rest >= cells[i].from() && rest <= cells[i].to()) {
        return i;
      }
    }
    return 0;
  }

  private static List<Condition> conditionsOn(Setup setup, String subject, boolean moved) {
    return setup.conditions().stream()
        .filter(one -> one.subject().equals(subject))
        .filter(
            one ->
                moved
                    ? one.kind() == ConditionKind.ABOVE || one.kind() == ConditionKind.BELOW
                    : one.kind() == ConditionKind.TELEMETRY_ABOVE
                        || one.kind() == ConditionKind.TELEMETRY_BELOW)
        .toList();
  }

  /** The stretches between limits, each with the limits that belong to it. */
  private static InputStretch[] cut(
      List<Condition> asking,
      double least,
      double most,
      double rest,
      ToDoubleFunction<Condition> place) {
    TreeSet<Double> limits = new TreeSet<>();
    asking.forEach(one -> limits.add(place.applyAsDouble(one)));
    List<InputStretch> cells = new ArrayList<>();
    double from = least;
    boolean open = false;
    double just = JUST * (most - least);
    for (double limit : limits) {
      boolean above = looks(asking, limit, place, true);
      boolean below = looks(asking, limit, place, false);
      if (limit < least || limit > most) {
        continue;
      }
      double end = below ? limit - just : limit;
      if (end >= from) {
        cells.add(cell(from, end, rest));
      }
      if (above && below) {
        cells.add(InputStretch.point(limit));
      }
      from = above ? limit + just : limit;
      open = true;
    }
    if (!open || from <= most) {
      cells.add(cell(Math.min(from, most), most, rest));
    }
    return cells.toArray(InputStretch[]::new);
  }

  private static boolean looks(
      List<Condition> asking, double limit, ToDoubleFunction<Condition> place, boolean above) {
    return asking.stream()
        .filter(one -> place.applyAsDouble(one) == limit)
        .map(Condition::kind)
        .anyMatch(
            kind ->
                above
                    == (kind == ConditionKind.ABOVE
                        || kind == ConditionKind.TELEMETRY_ABOVE
                        || kind == ConditionKind.TIMER_ABOVE));
  }

  private static InputStretch cell(double from, double to, double rest) {
    return new InputStretch(from, to, rest >= from && rest <= to ? rest : (from + to) / 2);
  }

  /** The cells one change can lead to: across one limit where it slides, any where it jumps. */
  public int[] from(int cell) {
    return IntStream.range(0, cells.length)
        .filter(to -> to != cell && (!kind.slides() || next(cell, to)))
        .toArray();
  }

  private boolean next(int cell, int to) {
    int least = Math.min(cell, to);
    int most = Math.max(cell, to);
    return most - least == 1 || most - least == 2 && cells[least + 1].isPoint();
  }

  /** The axis it lies on; -1 for a fact. */
  public int axis() {
    return switch (kind) {
      case STICK -> index;
      case THROTTLE -> AxisPlaces.THROTTLE;
      case LEVER, SWITCH -> AxisPlaces.THROTTLE + 1 + index;
      default -> -1;
    };
  }
}
