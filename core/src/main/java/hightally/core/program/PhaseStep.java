package hightally.core.program;

import hightally.core.airframe.Surface;
import hightally.core.phase.Phase;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Way;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;

/**
 * What flicking from one phase to another does at rest, before it is flicked: how far the camber
 * goes, how far the elevator goes with it, and therefore which way the model would pitch without.
 *
 * @param from id of the phase left
 * @param to id of the phase entered
 * @param camberMm mean movement of what rolls or only cambers, plus is up
 * @param elevatorMm mean movement of what pitches, plus is up; own trims of both phases are in
 * @param words the warning in words
 */
public record PhaseStep(String from, String to, double camberMm, double elevatorMm, Said words) {
  private static final double VISIBLE_MM = 0.3;

  /** Every change from one phase to another. */
  public static List<PhaseStep> of(SignalPath path) {
    Setup setup = path.setup();
    List<double[]> rest = new ArrayList<>();
    for (int i = 0; i < setup.phases().size(); i++) {
      Moment moment = Moment.centred(setup.trims()).withThrottle(1, true);
      rest.add(path.evaluate(moment, i).travelMm());
    }
    List<PhaseStep> steps = new ArrayList<>();
    for (int i = 0; i < rest.size(); i++) {
      for (int j = 0; j < rest.size(); j++) {
        if (i != j) {
          steps.add(step(setup, i, j, rest.get(i), rest.get(j)));
        }
      }
    }
    return steps;
  }

  private static PhaseStep step(Setup setup, int from, int to, double[] before, double[] after) {
    double camber = 0;
    double elevator = 0;
    int wings = 0;
    int tails = 0;
    for (int i = 0; i < before.length; i++) {
      Surface surface = setup.surfaces().get(i);
      if (surface.shares().pitch() != 0) {
        elevator += after[i] - before[i];
        tails++;
      } else if (!surface.sideways() && surface.shares().yaw() == 0) {
        camber += after[i] - before[i];
        wings++;
      }
    }
    camber = wings == 0 ? 0 : camber / wings;
    elevator = tails == 0 ? 0 : elevator / tails;
    Phase left = setup.phases().get(from);
    Phase entered = setup.phases().get(to);
    return new PhaseStep(
        left.id(), entered.id(), camber, elevator, words(entered, camber, elevator));
  }

  /** Camber down usually lifts the nose at first; what the elevator does against it is known. */
  private static Said words(Phase entered, double camber, double elevator) {
    if (Math.abs(camber) < VISIBLE_MM && Math.abs(elevator) < VISIBLE_MM) {
      return Said.of("program.nothingMovesRestNoChange", "entered", entered.name());
    }
    if (Math.abs(camber) < VISIBLE_MM) {
      return Said.of(
          "program.elevatorNoseGoes",
          "entered",
          entered.name(),
          "size",
          Quantity.mm(Math.abs(elevator)),
          "way",
          way(elevator));
    }
    Way nose = way(-camber);
    boolean against = Math.abs(elevator) >= VISIBLE_MM && camber > 0 == elevator > 0;
    boolean with = Math.abs(elevator) >= VISIBLE_MM && !against;
    Said elevatorWords =
        against
            ? Said.of(
                "program.elevatorGoesAgainst",
                "size",
                Quantity.mm(Math.abs(elevator)),
                "way",
                way(elevator))
            : with
                ? Said.of(
                    "program.elevatorGoesSameWayAgainst",
                    "size",
                    Quantity.mm(Math.abs(elevator)),
                    "way",
                    way(elevator))
                : Said.of("program.nothingCompensates");
    return Said.of(
        "program.camberTakeNose",
        "entered",
        entered.name(),
        "size",
        Quantity.mm(Math.abs(camber)),
        "way",
        way(camber),
        "nose",
        nose,
        "elevatorWords",
        elevatorWords);
  }

  private static Way way(double mm) {
    return mm > 0 ? Way.UP : Way.DOWN;
  }
}
