package hightally.core.signal;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * How far the commands go along one axis alone. What that depends on is little, so it is worked out
 * once and looked up afterwards.
 */
final class AxisParts {
  private final Program program;
  private final int axis;
  private final long mixes;
  private final boolean always;
  private final boolean heard;
  private final AxisSpan nothing;
  private final Map<Key, AxisSpan> known = new HashMap<>();

  /** What the parts along an axis depend on. */
  private record Key(int phase, int feel, long mixes, boolean held, double from, double to) {}

  AxisParts(Program program, int axis) {
    this.program = program;
    this.axis = axis;
    nothing = new AxisSpan(program.size(), 0);
    long onAxis = 0;
    boolean plain = Axis.isStick(axis);
    boolean cut = false;
    for (int target = 0; target < program.size(); target++) {
      for (int phase = 0; phase < program.conditions().phases(); phase++) {
        for (Term term : program.target(target).terms(phase)) {
          if (term.signal().axis() == axis) {
            onAxis |= term.mix() < 0 ? 0 : 1L << term.mix();
            plain |= term.mix() < 0;
            cut |= !Axis.isStick(axis);
          }
        }
      }
    }
    mixes = onAxis;
    always = plain;
    heard = cut;
  }

  /** The spans of every target along this axis. */
  AxisSpan of(Decisions standing, AxisBox stretch) {
    if (!always && (standing.acting() & mixes) == 0) {
      return nothing;
    }
    Key key =
        new Key(
            standing.phase(),
            Axis.isStick(axis) ? standing.feel().sets()[axis] : Integer.MIN_VALUE,
            standing.acting() & mixes,
            standing.held() && heard,
            stretch.from()[axis],
            stretch.to()[axis]);
    return known.computeIfAbsent(key, one -> worked(one, standing));
  }

  private AxisSpan worked(Key key, Decisions standing) {
    AxisSpan span = new AxisSpan(program.size(), Math.max(0, key.from()));
    Kinks kinks = new Kinks(key.from(), key.to());
    List<List<Term>> moved = new ArrayList<>();
    for (int target = 0; target < program.size(); target++) {
      moved.add(along(target, standing));
      moved.get(target).forEach(term -> term.kinks(standing, kinks));
    }
    double[] at = kinks.sorted();
    for (int target = 0; target < program.size(); target++) {
      List<Term> terms = moved.get(target);
      if (!terms.isEmpty()) {
        span.find(target, place -> sum(terms, place, standing), at);
      }
    }
    return span;
  }

  private List<Term> along(int target, Decisions standing) {
    List<Term> terms = new ArrayList<>();
    for (Term term : program.target(target).terms(standing.phase())) {
      if (term.signal().axis() == axis && term.acts(standing)) {
        terms.add(term);
      }
    }
    return terms;
  }

  private static double sum(List<Term> terms, double place, Decisions standing) {
    double sum = 0;
    for (Term term : terms) {
      sum += term.along(place, standing);
    }
    return sum;
  }
}
