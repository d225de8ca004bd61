package hightally.core.simulator;

import hightally.core.airframe.Panel;
import hightally.core.balance.NeutralPoint;
import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.simulator.FlyingShape.Role;
import hightally.core.trimming.FlownState;
import java.util.ArrayList;
import java.util.List;

/** Whether a model can fly at all, and why not. */
public final class Flyable {
  private static final double NO_EFFECT = 0.5;

  private Flyable() {}

  /** Why it cannot fly; empty where it can. */
  public static List<Said> against(FlownState snapshot, FlightTraits traits) {
    List<Said> reasons = new ArrayList<>();
    Setup setup = snapshot.setup();
    List<Panel> wing = panels(setup, traits, Role.WING);
    if (wing.isEmpty()) {
      return List.of(Said.of("air.noWing"));
    }
    boolean weighs = setup.balance().emptyMassGrams() > 1;
    if (!weighs) {
      reasons.add(Said.of("air.noMass"));
    }
    FlyingModel model = FlyingModel.of(snapshot, setup, traits, List.of());
    stability(snapshot, traits, wing).ifPresent(reasons::add);
    boolean powered = !model.glides();
    if (powered && !pulls(model)) {
      reasons.add(Said.of("air.noThrust"));
    }
    for (Control control : List.of(Control.ROLL, Control.PITCH)) {
      if (!works(model, control)) {
        reasons.add(Said.of("air.noEffect", "control", control));
      }
    }
    if (reasons.isEmpty() && TestFlight.trimmed(model, setup.basePhase()).isEmpty()) {
      reasons.add(Said.of("air.noTrim"));
    }
    return List.copyOf(reasons);
  }

  private static java.util.Optional<Said> stability(
      FlownState snapshot, FlightTraits traits, List<Panel> wing) {
    Setup setup = snapshot.setup();
    List<Panel> behind = panels(setup, traits, Role.TAIL);
    List<Panel> tail = behind.isEmpty() ? panels(setup, traits, Role.CANARD) : behind;
    double neutral = NeutralPoint.of(wing, tail, 1).aftMm() - setup.balance().datumAftMm();
    return snapshot.cgMm() < neutral
        ? java.util.Optional.empty()
        : java.util.Optional.of(
            Said.of(
                "air.unstable",
                "cg",
                Quantity.mm(snapshot.cgMm(), 0),
                "neutral",
                Quantity.mm(neutral, 0)));
  }

  private static List<Panel> panels(Setup setup, FlightTraits traits, Role role) {
    return setup.airframe().panels().stream()
        .filter(one -> traits.roles().get(one.id()) == role)
        .toList();
  }

  private static boolean pulls(FlyingModel model) {
    var rest = TestFlight.rest(model, model.setup().basePhase());
    int phase = model.setup().phases().size() - 1;
    return model.cockpit().path().motorPower(Throttle.at(model.setup(), rest, 1), phase) > 0;
  }

  /** Whether a full stick turns it noticeably at test speed, rad/s². */
  private static boolean works(FlyingModel model, Control control) {
    var rest = TestFlight.rest(model, model.setup().basePhase());
    int phase = model.setup().phases().size() - 1;
    double[] flaps = new double[model.cockpit().flaps()];
    double[] power = new double[model.cockpit().motors()];
    double[] turning = new double[2];
    for (int k = 0; k < 2; k++) {
      model.cockpit().stand(rest.with(control, 2 * k - 1), phase, rest.trims(), flaps, power);
      java.util.Arrays.fill(power, 0);
      Aerodynamics.Loads loads =
          model
              .forces()
              .held(flaps, power)
              .loads(
                  new Aerodynamics.Motion(
                      model.testSpeed(),
                      0,
                      0.05 * model.testSpeed(),
                      0,
                      0,
                      0,
                      FlyingModel.DENSITY));
      turning[k] =
          control == Control.ROLL ? loads.l() / model.inertia()[0] : loads.m() / model.inertia()[1];
    }
    return turning[1] - turning[0] > NO_EFFECT;
  }
}
