package hightally.core.signal;

/**
 * What a term of a command takes its value from, in percent: one class for each source, in {@link
 * Signals}. Evaluation, tally and bounds know no other way to ask.
 */
abstract class Signal {
  private int index = -1;

  /**
   * Its place among the values a {@link Evaluation} begins with; -1 where it is worked out when
   * asked.
   */
  final int index() {
    return index;
  }

  final void at(int place) {
    index = place;
  }

  /** The one axis it depends on while the switches stand still; {@link Axis#NONE} for none. */
  abstract int axis();

  /** The surface or motor whose finished command it is; -1 for all that are none. */
  int command() {
    return -1;
  }

  /** Its value at a moment. */
  double of(Evaluation run) {
    return along(run.place(axis()), run.standing());
  }

  /** Its value with its axis at a place; what lies along no axis answers {@link #of} alone. */
  double along(double place, Decisions standing) {
    throw new IllegalStateException("It lies along no axis");
  }

  /** Adds the places where it may bend. */
  void bends(Decisions standing, Kinks kinks) {}

  /** Adds the places where it comes to a value, the bends being in already. */
  void reaches(double value, Decisions standing, Kinks kinks) {}
}
