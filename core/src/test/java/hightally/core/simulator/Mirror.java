package hightally.core.simulator;

import hightally.core.simulator.FlyingShape.AirPanel;
import hightally.core.simulator.FlyingShape.End;
import hightally.core.simulator.FlyingShape.Propeller;
import hightally.core.simulator.FlyingShape.Role;
import hightally.core.simulator.FlyingShape.Spot;

/** A shape with right and left exchanged. */
final class Mirror {
  private Mirror() {}

  static FlyingShape of(FlyingShape shape) {
    return new FlyingShape(
        spot(shape.cg()),
        shape.panels().stream().map(Mirror::panel).toList(),
        shape.flaps(),
        shape.fuselage(),
        shape.propellers().stream()
            .map(
                one ->
                    new Propeller(
                        spot(one.at()),
                        one.diameterMm(),
                        one.staticThrust(),
                        one.pitchSpeed(),
                        one.downThrustDegrees(),
                        -one.rightThrustDegrees(),
                        -one.turns()))
            .toList());
  }

  private static AirPanel panel(AirPanel one) {
    double sign = one.role() == Role.FIN ? -1 : 1;
    return new AirPanel(
        one.id(), one.role(), one.section(), end(one.root(), sign), end(one.tip(), sign));
  }

  private static End end(End one, double sign) {
    return new End(spot(one.at()), one.chordMm(), sign * one.incidenceDegrees());
  }

  private static Spot spot(Spot one) {
    return new Spot(one.aftMm(), -one.rightMm(), one.upMm());
  }

  /** A fin's normal is to the right on both: its flaps turn round. */
  static double[] flaps(FlyingShape shape, double[] degrees) {
    double[] turned = degrees.clone();
    for (int i = 0; i < turned.length; i++) {
      String panel = shape.flaps().get(i).panel();
      boolean fin =
          shape.panels().stream().anyMatch(one -> one.id().equals(panel) && one.role() == Role.FIN);
      turned[i] = fin ? -turned[i] : turned[i];
    }
    return turned;
  }
}
