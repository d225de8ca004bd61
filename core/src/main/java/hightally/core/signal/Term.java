package hightally.core.signal;

import hightally.core.program.MixFunction;
import hightally.core.quantity.Copyable;
import hightally.core.quantity.Said;

/**
 * One thing that adds to a command: {@code factor · bend(signal)}. Evaluation sums these, the tally
 * lists them, and the bounds look how far each can go.
 *
 * @param bend a function of the signal, percent to percent; null where it is taken as it is
 * @param mix number of the mix it is a part of; -1 for all that act always
 * @param kind what kind of thing it is
 * @param label what the pilot knows it by
 */
@Copyable
record Term(
    Signal signal, MixFunction bend, double factor, int mix, Contribution kind, Said label) {
  /** A copy to change, part by part. */
  public TermCopy change() {
    return TermCopy.from(this);
  }

  private static final double[] NONE = {};

  /** Whether it acts always, in proportion to its signal. */
  boolean isPlain() {
    return mix < 0 && bend == null;
  }

  boolean acts(Decisions standing) {
    return mix < 0 || standing.acts(mix);
  }

  /** The same with another factor. */
  Term times(double changed) {
    return change().factor(changed).done();
  }

  /** What it adds at a moment, percent. */
  double value(Evaluation run) {
    return run.standing().weight(mix) * of(run.value(signal));
  }

  /** What it adds with its axis at a place, percent. */
  double along(double place, Decisions standing) {
    return of(signal.along(place, standing));
  }

  /** What it adds for a value of its signal, both percent. */
  double of(double x) {
    return factor * (bend == null ? x : bend.value(x));
  }

  /** Where its function may bend. */
  double[] bends() {
    return bend == null ? NONE : bend.kinks();
  }

  /** Adds the places along its axis where it may bend. */
  void kinks(Decisions standing, Kinks kinks) {
    signal.bends(standing, kinks);
    for (double bent : bends()) {
      signal.reaches(bent, standing, kinks);
    }
  }
}
