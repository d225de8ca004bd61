package hightally.core.simulator;

import hightally.core.channel.InputKind;
import hightally.core.channel.TransmitterInput;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.Naming;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.Readings;
import hightally.core.simulator.Scene.SceneStep;
import java.util.ArrayList;
import java.util.List;

/**
 * A scene that shows all there is: each stick to its ends, each lever through, each switch through
 * with the sticks moved again in every position.
 */
public final class SceneTour {
  private static final double PART_SECONDS = 1.2;
  private static final int STEPS = 12;

  private final List<SceneStep> steps = new ArrayList<>();
  private Moment now;
  private double at;

  private SceneTour(Setup setup) {
    List<Double> rest = setup.transmitter().inputs().stream().map(input -> 0.0).toList();
    now = new Moment(0, 0, 0, 0, true, Trims.ZERO, rest, Readings.NORMAL);
  }

  /** The tour of a setup, the motor cut throughout. */
  public static Scene of(Setup setup, Naming naming) {
    SceneTour tour = new SceneTour(setup);
    tour.steps.add(new SceneStep(0, tour.now, false));
    tour.sweeps(PART_SECONDS);
    List<TransmitterInput> inputs = setup.transmitter().inputs();
    for (int i = 0; i < inputs.size(); i++) {
      tour.through(i, inputs.get(i));
    }
    return new Scene(
        Scene.FORMAT_VERSION,
        naming.of(Said.of("bench.everythingOnce"), 60),
        tour.steps,
        tour.at + PART_SECONDS);
  }

  private void sweeps(double seconds) {
    for (Control control : Control.values()) {
      for (int i = 1; i <= STEPS; i++) {
        to(now.with(control, Math.sin(2 * Math.PI * i / STEPS)), seconds / STEPS);
      }
      to(now.with(control, 0), seconds / STEPS);
    }
  }

  private void through(int input, TransmitterInput part) {
    boolean lever = part.kind() == InputKind.LEVER;
    int places = lever ? STEPS : part.positions() - 1;
    for (int i = 1; i <= places; i++) {
      to(now.withInput(input, (double) i / places), lever ? PART_SECONDS / STEPS : PART_SECONDS);
      if (!lever) {
        sweeps(PART_SECONDS / 2);
      }
    }
    to(now.withInput(input, 0), PART_SECONDS);
  }

  private void to(Moment moment, double seconds) {
    at += seconds;
    now = moment;
    steps.add(new SceneStep(at, now, false));
  }
}
