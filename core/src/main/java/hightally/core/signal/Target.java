package hightally.core.signal;

import java.util.ArrayList;
import java.util.List;

/** A surface or a motor made ready: what adds to its command, phase by phase. */
final class Target {
  private final Term[][] terms;
  private final Straight[] straight;
  private final Term[][] others;
  private final boolean motor;

  /** The terms that act always and in proportion: most there are, so told apart for speed. */
  private record Straight(int[] signals, double[] factors) {
    static Straight of(List<Term> terms) {
      List<Term> plain = terms.stream().filter(Straight::is).toList();
      return new Straight(
          plain.stream().mapToInt(one -> one.signal().index()).toArray(),
          plain.stream().mapToDouble(Term::factor).toArray());
    }

    static boolean is(Term term) {
      return term.isPlain() && term.signal().index() >= 0;
    }
  }

  Target(List<List<Term>> perPhase, boolean motor) {
    terms = perPhase.stream().map(list -> list.toArray(Term[]::new)).toArray(Term[][]::new);
    straight = perPhase.stream().map(Straight::of).toArray(Straight[]::new);
    others =
        perPhase.stream()
            .map(list -> list.stream().filter(one -> !Straight.is(one)).toArray(Term[]::new))
            .toArray(Term[][]::new);
    this.motor = motor;
  }

  boolean isMotor() {
    return motor;
  }

  /** All that may add to it in a phase, in the order in which the tally lists it. */
  Term[] terms(int phase) {
    return terms[phase];
  }

  /** The sum of what acts, percent. */
  double sum(Evaluation run) {
    int phase = run.standing().phase();
    double sum = 0;
    Straight plain = straight[phase];
    for (int i = 0; i < plain.factors.length; i++) {
      sum += plain.factors[i] * run.known(plain.signals[i]);
    }
    for (Term term : others[phase]) {
      if (term.acts(run.standing())) {
        sum += term.value(run);
      }
    }
    return sum;
  }

  /** What flows into it from finished commands. */
  List<Integer> needs() {
    List<Integer> needed = new ArrayList<>();
    for (Term[] phase : terms) {
      for (Term term : phase) {
        if (term.signal().command() >= 0) {
          needed.add(term.signal().command());
        }
      }
    }
    return needed;
  }
}
