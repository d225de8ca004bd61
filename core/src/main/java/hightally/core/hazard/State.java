package hightally.core.hazard;

import hightally.core.signal.Moment;
import hightally.core.signal.Program;
import hightally.core.signal.SignalPath;

/**
 * One state and what has been decided in it.
 *
 * @param number its number
 * @param at which cell of each line it is in
 * @param moment a moment of it
 * @param decision phase, rates, mixes that act, whether the motors are held
 */
record State(int number, int[] at, Moment moment, Program.Decision decision) {
  static State of(SignalPath path, States states, int number) {
    Moment moment = states.moment(number);
    Program.Decision decision = path.program().decided(moment, path.phase(moment));
    return new State(number, states.at(number), moment, decision);
  }

  int phase() {
    return decision.phase();
  }
}
