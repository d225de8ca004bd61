package hightally.core.signal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.Rigs;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

class CommandSpansTest {
  private static final double HAIR = 1e-4;

  /** Nothing tried at random gets out of the bounds; what says it is reached is. */
  @Property(tries = 150)
  void noCommandLeavesItsSpan(@ForAll long seed) {
    Setup setup = Rigs.programmed(seed);
    SignalPath path = SignalPath.of(setup);
    CommandSpans spans = new CommandSpans(path);
    Random random = new Random(seed);
    for (double place : new double[] {0, 1}) {
      Moment state =
          new Moment(0, 0, 0, 0, false, Trims.ZERO, List.of(0.0, place), Readings.NORMAL);
      AxisBox stretch = AxisBox.whole(setup.transmitter().inputs().size());
      int last = stretch.from().length - 1;
      stretch.from()[last] = place;
      stretch.to()[last] = place;
      Spans found = spans.of(state, stretch);
      for (int i = 0; i < 200; i++) {
        Moment moment = state.withInput(0, random.nextDouble());
        moment = moment.withThrottle(random.nextDouble(), false);
        for (Control control : Control.values()) {
          moment = moment.with(control, 2 * random.nextDouble() - 1);
        }
        double[] commands = path.program().commands(moment, found.phase());
        for (int s = 0; s < setup.surfaces().size(); s++) {
          assertThat(commands[s]).isBetween(found.low(s) - HAIR, found.high(s) + HAIR);
        }
      }
      for (int s = 0; s < setup.surfaces().size(); s++) {
        if (found.reached(s)) {
          for (boolean highest : new boolean[] {false, true}) {
            double[] there = path.program().commands(found.end(s, highest), found.phase());
            double end = highest ? found.high(s) : found.low(s);
            assertThat(there[s]).isCloseTo(end, within(HAIR));
          }
        }
      }
    }
  }
}
