package hightally.core.hazard;

import hightally.core.signal.Moment;
import hightally.core.signal.Program;
import hightally.core.signal.SignalPath;

/**
 * One state and what has been decided in it.
 *
 * @param at which cell of each line it is in
 * @param moment a moment of it
 * @param decision phase, rates, mixes that act, whether the motors are held
 */
record SwitchState(int[] at, Moment moment, Program.Decision decision) {
  /**
   * The state in which what is not told rests where it can.
   *
   * @param cells in one of which every line is, a bit each
   */
  static SwitchState of(SignalPath path, SwitchStates states, long[] cells) {
    int[] at = states.filled(cells);
    Moment moment = states.moment(at);
    return new SwitchState(at, moment, path.program().decided(moment, path.phase(moment)));
  }

  int phase() {
    return decision.phase();
  }
}
