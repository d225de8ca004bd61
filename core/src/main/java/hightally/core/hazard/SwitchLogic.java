package hightally.core.hazard;

import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.program.FeelSet;
import hightally.core.program.Mix;
import hightally.core.program.Power;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Conditions;
import hightally.core.signal.InputRange;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.LongStream;

/**
 * What is decided while only some of all that switches is known: a condition is true, false, or may
 * be either. So positions in which the same counts are looked at once, and what hangs on few
 * switches is searched over those alone.
 *
 * <p>What is known is a set of cells for every line, a bit each.
 *
 * <p>Long because every kind of condition is decided here, each with three answers.
 */
final class SwitchLogic {
  static final byte NO = 0;
  static final byte YES = 1;
  static final byte MAYBE = 2;

  private static final long COUNTS = 1;
  private static final long NOT_YET = 2;

  /** Of a set of rates that decides a control: not known which. */
  static final int UNDECIDED = -2;

  private final Setup setup;
  private final Conditions conditions;
  private final int[] lineOf;
  private final int[] waiting;
  private final long[] trueAt;
  private final int[] rest;
  private final int[] phaseWhen;
  private final int[] mixWhen;
  private final long[] mixPhases;
  private final int[] setWhen;
  private final long[] setPhases;
  private final int cutWhen;
  private final int armWhen;
  private final boolean asksForPhases;
  private final BitSet[] linesOf;
  private final BitSet phaseLines = new BitSet();
  private final int[][] alike;

  /**
   * What is asked of a state.
   *
   * @param phase what is alike in the phases, by phase: those with the same number are not told
   *     apart
   * @param mixes those of which it matters whether they act, a bit each
   * @param feel the controls whose rates matter, a bit each
   * @param held whether it matters if cut or arming hold the motors
   * @param lines those whose place matters by itself
   */
  record Watch(int[] phase, long mixes, int feel, boolean held, BitSet lines) {
    boolean tellsPhases() {
      return Arrays.stream(phase).distinct().count() > 1;
    }
  }

  /**
   * What is known of a state.
   *
   * @param truths of the conditions
   * @param phases those that may be on, a bit each
   */
  record Known(byte[] truths, byte[] raw, long phases) {
    boolean onePhase() {
      return Long.bitCount(phases) == 1;
    }

    int phase() {
      return Long.numberOfTrailingZeros(phases);
    }
  }

  SwitchLogic(SignalPath path, SwitchStates states) {
    setup = path.setup();
    conditions = path.program().conditions();
    int count = conditions.count();
    lineOf = new int[count];
    waiting = new int[count];
    trueAt = new long[count];
    rest = states.resting();
    Arrays.fill(lineOf, -1);
    Arrays.fill(waiting, -1);
    List<InputRange> lines = states.lines();
    for (int i = 0; i < count; i++) {
      Condition one = conditions.at(i);
      for (int line = 0; line < lines.size(); line++) {
        boolean waits = lines.get(line).kind() == InputRange.Kind.WAITING;
        if (waits && lines.get(line).index() == i) {
          waiting[i] = line;
        } else if (!waits && looksAt(one, lines.get(line))) {
          lineOf[i] = line;
        }
      }
      trueAt[i] = truths(i, states);
    }
    phaseWhen = setup.phases().stream().mapToInt(one -> conditions.index(one.when())).toArray();
    List<Mix> mixes = setup.mixes();
    mixWhen = mixes.stream().mapToInt(one -> conditions.index(one.when())).toArray();
    mixPhases = mixes.stream().mapToLong(one -> phases(one.phases())).toArray();
    List<FeelSet> sets = setup.feelSets();
    setWhen = sets.stream().mapToInt(one -> conditions.index(one.when())).toArray();
    setPhases = sets.stream().mapToLong(one -> phases(one.phases())).toArray();
    Power power = setup.power();
    cutWhen = conditions.index(power.cutWhen());
    armWhen = conditions.index(power.armWhen());
    asksForPhases = setup.conditions().stream().anyMatch(one -> one.kind() == ConditionKind.PHASE);
    for (int when : phaseWhen) {
      collect(when, phaseLines);
    }
    linesOf = new BitSet[count];
    for (int i = 0; i < count; i++) {
      linesOf[i] = new BitSet();
      collect(i, linesOf[i]);
    }
    alike = new int[lines.size()][];
    for (int line = 0; line < alike.length; line++) {
      alike[line] = classes(path, states, line);
    }
  }

  private static boolean looksAt(Condition one, InputRange line) {
    boolean switches = one.kind() == ConditionKind.SWITCH_AT;
    boolean beyond = one.kind() == ConditionKind.ABOVE || one.kind() == ConditionKind.BELOW;
    boolean measured =
        one.kind() == ConditionKind.TELEMETRY_ABOVE || one.kind() == ConditionKind.TELEMETRY_BELOW;
    boolean fits =
        switch (line.kind()) {
          case STICK, THROTTLE, LEVER -> beyond;
          case SWITCH -> switches || beyond;
          case LINK, VOLTAGE -> measured;
          case TIMER -> one.kind() == ConditionKind.TIMER_ABOVE;
          case WAITING -> false;
        };
    return fits && one.subject().equals(line.subject());
  }

  /** The cells in which a condition that looks at something by itself is true. */
  private long truths(int condition, SwitchStates states) {
    ConditionKind kind = conditions.at(condition).kind();
    if (conditions.at(condition).combines() || kind == ConditionKind.PHASE) {
      return 0;
    }
    int[] at = states.resting();
    int line = lineOf[condition];
    int cells = line < 0 ? 1 : states.lines().get(line).cells().length;
    long found = 0;
    for (int cell = 0; cell < cells; cell++) {
      if (line >= 0) {
        at[line] = cell;
      }
      found |= conditions.of(condition, states.bare(at), -1, null) ? 1L << cell : 0;
    }
    return found;
  }

  private long phases(List<String> ids) {
    long mask = 0;
    for (int i = 0; i < setup.phases().size(); i++) {
      mask |= ids.isEmpty() || ids.contains(setup.phases().get(i).id()) ? 1L << i : 0;
    }
    return mask;
  }

  private void collect(int condition, BitSet into) {
    if (condition < 0) {
      return;
    }
    if (lineOf[condition] >= 0) {
      into.set(lineOf[condition]);
    }
    if (waiting[condition] >= 0) {
      into.set(waiting[condition]);
    }
    if (conditions.at(condition).kind() == ConditionKind.PHASE) {
      into.or(phaseLines);
    }
    for (int member : conditions.members(condition)) {
      collect(member, into);
    }
  }

  /** Cells of a line that nothing tells apart: the first of each is looked at. */
  private int[] classes(SignalPath path, SwitchStates states, int line) {
    InputRange one = states.lines().get(line);
    int axis = one.axis();
    boolean moves = axis >= 0 && states.moves(path, axis);
    Map<Object, Integer> seen = new LinkedHashMap<>();
    int cells = one.cells().length;
    for (int i = 0; i < cells; i++) {
      int cell = (one.restingCell() + i) % cells;
      List<Object> told = new ArrayList<>();
      if (moves || one.kind() == InputRange.Kind.WAITING || one.kind().slides()) {
        told.add(cell);
      }
      for (int condition = 0; condition < lineOf.length; condition++) {
        if (lineOf[condition] == line) {
          told.add((trueAt[condition] & 1L << cell) != 0);
        }
      }
      seen.putIfAbsent(told, cell);
    }
    return seen.values().stream().mapToInt(Integer::intValue).toArray();
  }

  /** Every phase told apart. */
  int[] eachPhase() {
    return IntStream.range(0, phaseWhen.length).toArray();
  }

  /** No phase told apart from another. */
  int[] oneKind() {
    return new int[phaseWhen.length];
  }

  private static boolean alike(int[] kinds, long phases) {
    int first = kinds[Long.numberOfTrailingZeros(phases)];
    for (long left = phases; left != 0; left &= left - 1) {
      if (kinds[Long.numberOfTrailingZeros(left)] != first) {
        return false;
      }
    }
    return true;
  }

  /** One cell of each kind of a line, the one at rest first. */
  int[] cells(int line) {
    return alike[line];
  }

  /** What is known while every line is in one of some cells, a bit each. */
  Known known(long[] cells) {
    byte[] truths = new byte[lineOf.length];
    byte[] raw = new byte[lineOf.length];
    decide(cells, 0, truths, raw);
    long phases = phases(truths);
    if (asksForPhases) {
      decide(cells, phases, truths, raw);
    }
    return new Known(truths, raw, phases);
  }

  private void decide(long[] cells, long phases, byte[] truths, byte[] raw) {
    Arrays.fill(truths, (byte) -1);
    for (int i = 0; i < truths.length; i++) {
      decide(i, cells, phases, truths, raw);
    }
  }

  private byte decide(int one, long[] cells, long phases, byte[] truths, byte[] raw) {
    if (truths[one] < 0) {
      for (int member : conditions.members(one)) {
        decide(member, cells, phases, truths, raw);
      }
      raw[one] = raw(one, cells, phases, truths);
      truths[one] = raw[one];
      if (waiting[one] >= 0 && raw[one] != NO) {
        long waits = cells[waiting[one]];
        truths[one] = waits == COUNTS ? raw[one] : waits == NOT_YET ? NO : MAYBE;
      }
    }
    return truths[one];
  }

  private byte raw(int one, long[] cells, long phases, byte[] truths) {
    Condition condition = conditions.at(one);
    return switch (condition.kind()) {
      case PHASE -> {
        int phase = setup.phases().indexOf(setup.phase(condition.subject()).orElse(null));
        long bit = phase < 0 ? 0 : 1L << phase;
        yield (phases & bit) == 0 ? NO : phases == bit ? YES : MAYBE;
      }
      case AND -> members(one, truths, NO, YES);
      case OR -> members(one, truths, YES, NO);
      case NOT -> {
        if (!condition.finished()) {
          yield NO;
        }
        byte member = truths[conditions.members(one)[0]];
        yield member == MAYBE ? MAYBE : member == YES ? NO : YES;
      }
      default -> {
        long here = lineOf[one] < 0 ? 1 : cells[lineOf[one]];
        long so = here & trueAt[one];
        yield so == 0 ? NO : so == here ? YES : MAYBE;
      }
    };
  }

  /**
   * @param decides what one member that is so makes of the whole
   * @param otherwise what it is where none is
   */
  private byte members(int one, byte[] truths, byte decides, byte otherwise) {
    if (!conditions.at(one).finished()) {
      return NO;
    }
    boolean open = false;
    for (int member : conditions.members(one)) {
      if (truths[member] == decides) {
        return decides;
      }
      open |= truths[member] == MAYBE;
    }
    return open ? MAYBE : otherwise;
  }

  private long phases(byte[] truths) {
    long found = 0;
    for (int i = 0; i < phaseWhen.length - 1; i++) {
      byte on = truth(phaseWhen[i], truths);
      found |= on == NO ? 0 : 1L << i;
      if (on == YES) {
        return found;
      }
    }
    return found | 1L << phaseWhen.length - 1;
  }

  private static byte truth(int condition, byte[] truths) {
    return condition < 0 ? YES : truths[condition];
  }

  private static byte acts(int when, long phases, Known known) {
    byte on = truth(when, known.truths);
    long in = known.phases & phases;
    if (in == 0 || on == NO) {
      return NO;
    }
    return on == YES && in == known.phases ? YES : MAYBE;
  }

  /** Whether a mix acts. */
  byte mix(int mix, Known known) {
    return acts(mixWhen[mix], mixPhases[mix], known);
  }

  /** The mixes that surely act, or may, a bit each. */
  long mixes(Known known, byte how) {
    long found = 0;
    for (int i = 0; i < mixWhen.length; i++) {
      found |= mix(i, known) == how ? 1L << i : 0;
    }
    return found;
  }

  /** Whether the motors are held. */
  byte held(Known known) {
    byte cut = cutWhen < 0 ? NO : known.truths[cutWhen];
    byte armed = truth(armWhen, known.truths);
    if (cut == YES || armed == NO) {
      return YES;
    }
    return cut == NO && armed == YES ? NO : MAYBE;
  }

  private int deciding(Control control, Known known) {
    for (int i = 0; i < setWhen.length; i++) {
      if (setup.feelSets().get(i).has(control)) {
        byte on = acts(setWhen[i], setPhases[i], known);
        if (on != NO) {
          return on == YES ? i : UNDECIDED;
        }
      }
    }
    return -1;
  }

  /**
   * A line to be told next, and the cells it is parted into.
   *
   * @param parts sets of cells, the one it rests in first
   */
  record Split(int line, long[] parts) {}

  /** What is to be told next before all that is watched is decided; null where it is. */
  Split open(Watch watch, long[] cells, Known known) {
    for (int line = watch.lines.nextSetBit(0); line >= 0; line = watch.lines.nextSetBit(line + 1)) {
      if (Long.bitCount(cells[line]) > 1) {
        return each(line, cells[line]);
      }
    }
    if (!alike(watch.phase, known.phases)) {
      return ofPhase(cells, known);
    }
    if (watch.held && held(known) == MAYBE) {
      boolean cut = cutWhen >= 0 && known.truths[cutWhen] == MAYBE;
      return ofCondition(cut ? cutWhen : armWhen, cells, known);
    }
    for (Control control : Control.values()) {
      boolean asked = (watch.feel & 1 << control.ordinal()) != 0;
      if (asked && deciding(control, known) == UNDECIDED) {
        return ofFeel(control, cells, known);
      }
    }
    for (long left = watch.mixes; left != 0; left &= left - 1) {
      int mix = Long.numberOfTrailingZeros(left);
      if (mix(mix, known) == MAYBE) {
        return ofMix(mix, cells, known);
      }
    }
    return null;
  }

  /** A line told cell by cell. */
  private Split each(int line, long cells) {
    long[] parts =
        LongStream.iterate(cells, left -> left != 0, left -> left & left - 1)
            .map(Long::lowestOneBit)
            .toArray();
    long resting = 1L << rest[line];
    for (int i = 1; i < parts.length; i++) {
      if (parts[i] == resting) {
        parts[i] = parts[0];
        parts[0] = resting;
      }
    }
    return new Split(line, parts);
  }

  private Split parted(int line, long cells, long so) {
    long other = cells & ~so;
    boolean first = (so >> rest[line] & 1) != 0;
    return new Split(line, first ? new long[] {cells & so, other} : new long[] {other, cells & so});
  }

  /** What is to be told next before it is decided whether a mix acts. */
  Split ofMix(int mix, long[] cells, Known known) {
    return ofLimited(mixWhen[mix], cells, known);
  }

  private Split ofFeel(Control control, long[] cells, Known known) {
    for (int i = 0; i < setWhen.length; i++) {
      boolean has = setup.feelSets().get(i).has(control);
      if (has && acts(setWhen[i], setPhases[i], known) == MAYBE) {
        return ofLimited(setWhen[i], cells, known);
      }
    }
    throw new IllegalStateException("It is decided");
  }

  private Split ofLimited(int when, long[] cells, Known known) {
    return truth(when, known.truths) == MAYBE
        ? ofCondition(when, cells, known)
        : ofPhase(cells, known);
  }

  private Split ofPhase(long[] cells, Known known) {
    for (int when : phaseWhen) {
      if (truth(when, known.truths) == MAYBE) {
        return ofCondition(when, cells, known);
      }
    }
    throw new IllegalStateException("It is decided");
  }

  /** What is to be told next before a condition is decided that is not. */
  Split ofCondition(int one, long[] cells, Known known) {
    if (known.raw[one] != MAYBE) {
      return parted(waiting[one], cells[waiting[one]], COUNTS);
    }
    if (conditions.at(one).kind() == ConditionKind.PHASE) {
      return ofPhase(cells, known);
    }
    for (int member : conditions.members(one)) {
      if (known.truths[member] == MAYBE) {
        return ofCondition(member, cells, known);
      }
    }
    return parted(lineOf[one], cells[lineOf[one]], trueAt[one]);
  }

  /** Whether anything watched can hang on a line. */
  boolean hangs(Watch watch, int line) {
    BitSet all = (BitSet) watch.lines.clone();
    if (watch.tellsPhases()) {
      all.or(phaseLines);
    }
    if (watch.held) {
      add(cutWhen, all);
      add(armWhen, all);
    }
    for (Control control : Control.values()) {
      for (int i = 0; i < setWhen.length && (watch.feel & 1 << control.ordinal()) != 0; i++) {
        if (setup.feelSets().get(i).has(control)) {
          add(setWhen[i], all);
          limited(setPhases[i], all);
        }
      }
    }
    for (long left = watch.mixes; left != 0; left &= left - 1) {
      int mix = Long.numberOfTrailingZeros(left);
      add(mixWhen[mix], all);
      limited(mixPhases[mix], all);
    }
    return all.get(line);
  }

  private void limited(long phases, BitSet into) {
    if (Long.bitCount(phases) < phaseWhen.length) {
      into.or(phaseLines);
    }
  }

  private void add(int condition, BitSet into) {
    if (condition >= 0) {
      into.or(linesOf[condition]);
    }
  }

  /** Those of some mixes that can hang on a line. */
  long hanging(long mixes, int line) {
    long found = 0;
    for (long left = mixes; left != 0; left &= left - 1) {
      long one = Long.lowestOneBit(left);
      boolean hangs = hangs(new Watch(oneKind(), one, 0, false, new BitSet()), line);
      found |= hangs ? one : 0;
    }
    return found;
  }

  /** Whether the phase hangs on a line. */
  boolean phaseHangs(int line) {
    return phaseLines.get(line);
  }

  /** Whether what holds the motors hangs on a line. */
  boolean holdHangs(int line) {
    return hangs(new Watch(oneKind(), 0, 0, true, new BitSet()), line);
  }
}
