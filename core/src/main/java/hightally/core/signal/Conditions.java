package hightally.core.signal;

import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.program.FlightTimer;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The conditions of a setup, ready to be asked about a moment. A moment has no past: how long
 * something has been so is not asked here but on the bench, which keeps time.
 */
public final class Conditions {
  private static final double ON_POSITION = 0.25;

  private final Setup setup;
  private final Condition[] all;
  private final int[][] of;
  private final int[] inputs;
  private final int[] timers;
  private final int[] phases;
  private final int[] phaseWhen;
  private final boolean asksForPhases;
  private final Map<String, Integer> byId = new HashMap<>();

  Conditions(Setup setup) {
    this.setup = setup;
    all = setup.conditions().toArray(Condition[]::new);
    for (int i = 0; i < all.length; i++) {
      byId.put(all[i].id(), i);
    }
    of =
        Arrays.stream(all)
            .map(one -> one.members().stream().mapToInt(byId::get).toArray())
            .toArray(int[][]::new);
    inputs = indexes(one -> setup.transmitter().inputIndex(one));
    List<String> timerIds = setup.power().timers().stream().map(FlightTimer::id).toList();
    timers = indexes(timerIds::indexOf);
    List<String> phaseIds = setup.phases().stream().map(phase -> phase.id()).toList();
    phases = indexes(phaseIds::indexOf);
    phaseWhen = setup.phases().stream().mapToInt(phase -> index(phase.when())).toArray();
    asksForPhases = Arrays.stream(all).anyMatch(one -> one.kind() == ConditionKind.PHASE);
  }

  private int[] indexes(java.util.function.ToIntFunction<String> of) {
    return Arrays.stream(all).mapToInt(one -> of.applyAsInt(one.subject())).toArray();
  }

  /** Index of a condition; -1 for an empty id, which is always true. */
  public int index(String id) {
    return id.isEmpty() ? -1 : byId.get(id);
  }

  /** How many there are. */
  public int count() {
    return all.length;
  }

  /** How many phases they choose from. */
  int phases() {
    return phaseWhen.length;
  }

  /** One of them. */
  public Condition at(int index) {
    return all[index];
  }

  /** Whether a condition is true at a moment in a phase; -1 asks for the one that always is. */
  public boolean isTrue(int index, Moment moment, int phase) {
    if (index < 0) {
      return true;
    }
    List<Boolean> known = moment.readings().truths();
    if (index < known.size()) {
      return known.get(index);
    }
    return of(index, moment, phase, null);
  }

  /**
   * Whether a condition is true if its members are as given.
   *
   * @param members truths by index; null where they are asked of the moment
   */
  public boolean of(int index, Moment moment, int phase, Boolean[] members) {
    Condition one = all[index];
    return switch (one.kind()) {
      case SWITCH_AT -> switchAt(index, moment);
      case ABOVE -> value(index, moment) > one.place();
      case BELOW -> value(index, moment) < one.place();
      case PHASE -> phases[index] == phase;
      case TELEMETRY_ABOVE -> measured(one, moment) > one.limit();
      case TELEMETRY_BELOW -> measured(one, moment) < one.limit();
      case TIMER_ABOVE -> moment.readings().timer(timers[index]) > one.limit();
      case AND -> one.finished() && count(index, moment, phase, members) == of[index].length;
      case OR -> one.finished() && count(index, moment, phase, members) > 0;
      case NOT -> one.finished() && count(index, moment, phase, members) == 0;
    };
  }

  private int count(int index, Moment moment, int phase, Boolean[] truths) {
    int count = 0;
    for (int member : of[index]) {
      count += truths == null ? isTrue(member, moment, phase) ? 1 : 0 : truths[member] ? 1 : 0;
    }
    return count;
  }

  /** Whether a condition depends on which phase is on. */
  public boolean asksForPhase(int index) {
    return all[index].kind() == ConditionKind.PHASE
        || Arrays.stream(of[index]).anyMatch(this::asksForPhase);
  }

  /**
   * A moment whose truths are known, as another phase sees it: what asks for a phase is true in its
   * own only. One whose truths are not known stays as it is.
   */
  public Moment asIn(int phase, Moment moment) {
    List<Boolean> now = moment.readings().truths();
    if (now.isEmpty() || !asksForPhases) {
      return moment;
    }
    Moment bare = moment.with(moment.readings().withTruths(List.of()));
    Boolean[] truths = new Boolean[now.size()];
    for (int i = 0; i < truths.length; i++) {
      asIn(phase, i, bare, now, truths);
    }
    return moment.with(moment.readings().withTruths(List.of(truths)));
  }

  private void asIn(int phase, int one, Moment bare, List<Boolean> now, Boolean[] truths) {
    if (truths[one] == null) {
      for (int member : of[one]) {
        asIn(phase, member, bare, now, truths);
      }
      truths[one] = asksForPhase(one) ? of(one, bare, phase, truths) : now.get(one);
    }
  }

  /** Indexes of the conditions one is made of. */
  public int[] members(int index) {
    return of[index].clone();
  }

  private boolean switchAt(int index, Moment moment) {
    int positions = setup.transmitter().inputs().get(inputs[index]).positions();
    double place = moment.input(inputs[index]) * Math.max(1, positions - 1);
    return Math.abs(place - (all[index].limit() - 1)) < ON_POSITION;
  }

  private double value(int index, Moment moment) {
    if (inputs[index] >= 0) {
      return moment.input(inputs[index]);
    }
    String subject = all[index].subject();
    return subject.equals("throttle") ? moment.throttle() : moment.of(Control.named(subject));
  }

  private static double measured(Condition one, Moment moment) {
    return one.subject().equals("link")
        ? moment.readings().linkPercent()
        : moment.readings().voltage();
  }

  /** The phase that is on at a moment: the first whose condition is true. */
  public int phase(Moment moment) {
    int last = phaseWhen.length - 1;
    for (int i = 0; i < last; i++) {
      if (isTrue(phaseWhen[i], moment, -1)) {
        return i;
      }
    }
    return last;
  }

  /** Whether something limited to phases and a condition is on. */
  boolean active(int condition, boolean[] inPhase, Moment moment, int phase) {
    return inPhase[phase] && isTrue(condition, moment, phase);
  }

  /** Which phases a list of ids names; an empty list names all. */
  static boolean[] inPhases(Setup setup, List<String> ids) {
    boolean[] in = new boolean[setup.phases().size()];
    for (int i = 0; i < in.length; i++) {
      in[i] = ids.isEmpty() || ids.contains(setup.phases().get(i).id());
    }
    return in;
  }
}
