package hightally.core.setup;

import hightally.core.channel.InputKind;
import hightally.core.channel.TransmitterInput;
import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.program.FlightTimer;
import hightally.core.program.Phase;
import hightally.core.quantity.Control;
import hightally.core.quantity.Unit;
import java.util.ArrayList;
import java.util.List;

/** What a condition can look at in a setup, in which unit it is held against, and how far. */
public final class ConditionLimits {
  private static final String THROTTLE = "throttle";
  private static final String LINK = "link";
  private static final String VOLTAGE = "voltage";
  private static final double PERCENT = 100;
  private static final double MOST_VOLTS = 100;
  private static final double MOST_SECONDS = 36_000;
  private static final double OFF_THE_STOP = 10;
  private static final double HALF = 50;
  private static final double LOW_CELLS = 10.5;
  private static final double MINUTES = 300;

  private ConditionLimits() {}

  /**
   * What a limit may be.
   *
   * @param least the least there is
   * @param most the most there is
   * @param start where a new one begins
   */
  public record Range(double least, double most, Unit unit, double start) {
    /** Whether a limit lies within it. */
    public boolean holds(double limit) {
      return limit >= least && limit <= most;
    }
  }

  /** What a kind of condition can look at, the usual one first; none where it looks at none. */
  public static List<String> subjects(Setup setup, ConditionKind kind) {
    return switch (kind) {
      case SWITCH_AT ->
          setup.transmitter().inputs().stream()
              .filter(one -> one.kind() == InputKind.SWITCH)
              .map(TransmitterInput::id)
              .toList();
      case ABOVE, BELOW -> {
        List<String> axes = new ArrayList<>(List.of(THROTTLE));
        for (Control control : Control.values()) {
          axes.add(control.word());
        }
        setup.transmitter().inputs().forEach(one -> axes.add(one.id()));
        yield axes;
      }
      case PHASE -> setup.phases().stream().map(Phase::id).toList();
      case TELEMETRY_ABOVE, TELEMETRY_BELOW -> List.of(LINK, VOLTAGE);
      case TIMER_ABOVE -> setup.power().timers().stream().map(FlightTimer::id).toList();
      case AND, OR, NOT -> List.of();
    };
  }

  /** The range of a condition's limit. */
  public static Range of(Setup setup, ConditionKind kind, String subject) {
    return switch (kind) {
      case SWITCH_AT -> new Range(1, positions(setup, subject), Unit.NONE, 1);
      case ABOVE, BELOW ->
          isStick(subject)
              ? new Range(-PERCENT, PERCENT, Unit.PERCENT, HALF)
              : new Range(0, PERCENT, Unit.PERCENT, OFF_THE_STOP);
      case TELEMETRY_ABOVE, TELEMETRY_BELOW ->
          subject.equals(VOLTAGE)
              ? new Range(0, MOST_VOLTS, Unit.VOLTS, LOW_CELLS)
              : new Range(0, PERCENT, Unit.PERCENT, HALF);
      case TIMER_ABOVE -> new Range(0, MOST_SECONDS, Unit.SECONDS, MINUTES);
      case PHASE, AND, OR, NOT -> new Range(0, 0, Unit.NONE, 0);
    };
  }

  /** A condition that looks at something else; what no longer fits is gone. */
  public static Condition looking(
      Setup setup, Condition before, ConditionKind kind, String wanted) {
    List<String> subjects = subjects(setup, kind);
    String subject = subjects.contains(wanted) ? wanted : subjects.isEmpty() ? "" : subjects.get(0);
    Range range = of(setup, kind, subject);
    boolean same = range.unit() == of(setup, before.kind(), before.subject()).unit();
    double limit = same && range.holds(before.limit()) ? before.limit() : range.start();
    List<String> members =
        switch (kind) {
          case AND, OR -> before.members();
          case NOT -> before.members().stream().limit(1).toList();
          default -> List.of();
        };
    return new Condition(
        before.id(), before.name(), kind, subject, limit, members, before.heldSeconds());
  }

  private static int positions(Setup setup, String input) {
    int index = setup.transmitter().inputIndex(input);
    return index < 0 ? 1 : Math.max(2, setup.transmitter().inputs().get(index).positions());
  }

  private static boolean isStick(String subject) {
    for (Control control : Control.values()) {
      if (control.word().equals(subject)) {
        return true;
      }
    }
    return false;
  }
}
