package hightally.core.signal;

import hightally.core.program.Trims;

/** One evaluation under way: a moment, what has been decided at it, and what is worked out yet. */
final class Evaluation {
  private final Moment moment;
  private final Decisions standing;
  private final Trims trims;
  private final double[] commands;
  private final double[] known;

  Evaluation(Moment moment, Decisions standing, Trims trims, Signals signals, int commands) {
    this.moment = moment;
    this.standing = standing;
    this.trims = trims;
    this.commands = new double[commands];
    known = signals.values(this);
  }

  Decisions standing() {
    return standing;
  }

  Trims trims() {
    return trims;
  }

  double place(int axis) {
    return Axis.place(moment, axis);
  }

  /** The value of a signal that is worked out at the beginning. */
  double known(int index) {
    return known[index];
  }

  /** A signal's value. */
  double value(Signal signal) {
    int index = signal.index();
    return index >= 0 ? known[index] : signal.of(this);
  }

  double command(int target) {
    return commands[target];
  }

  void put(int target, double command) {
    commands[target] = command;
  }

  double[] commands() {
    return commands;
  }
}
