package hightally.app.calculation;

import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import hightally.core.simulator.Aerodynamics;
import hightally.core.simulator.FlyingShape;
import hightally.core.simulator.FlyingShape.AirPanel;
import hightally.core.simulator.FlyingShape.Body;
import hightally.core.simulator.FlyingShape.BodyStation;
import hightally.core.simulator.FlyingShape.End;
import hightally.core.simulator.FlyingShape.Flap;
import hightally.core.simulator.FlyingShape.Propeller;
import hightally.core.simulator.FlyingShape.Role;
import hightally.core.simulator.FlyingShape.Section;
import hightally.core.simulator.FlyingShape.Spot;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;

/** Kind {@code airForces}: what the air does to a shape at one moment. */
final class AirCalculations {
  private static final double STANDARD_DENSITY = 1.225;
  private static final double FASTEST = 500;
  private static final double FASTEST_TURN = 200;
  private static final int MOST = 100;

  private AirCalculations() {}

  /** A place: mm aft of the nose, right of the middle, up. */
  record SpotGiven(Double aft, Double right, Double up) {}

  /** One end of a panel: its leading edge, chord in mm, incidence in degrees. */
  record EndGiven(Double aft, Double right, Double up, Double chord, Double incidence) {}

  /** A panel; its section is symmetric unless said so. */
  record PanelGiven(String id, Role role, Section section, EndGiven root, EndGiven tip) {}

  /** A surface on a panel: parts of its length, chord in mm, angle in degrees. */
  record SurfaceGiven(String panel, Double from, Double to, Double chord, Double angle) {}

  /** A cross section: mm. */
  record StationGiven(Double aft, Double halfWidth, Double bottom, Double top) {}

  /** The fuselage; its drag area in m². */
  record FuselageGiven(List<StationGiven> stations, Double dragArea) {}

  /** A propeller: mm, N, m/s, degrees, share of full revolutions. */
  record PropellerGiven(
      Double aft,
      Double right,
      Double up,
      Double diameter,
      Double staticThrust,
      Double pitchSpeed,
      Double downThrust,
      Double rightThrust,
      Integer turns,
      Double power) {}

  /** Velocity over ground and wind (where it blows to), m/s, body axes; rates in rad/s. */
  record AirGiven(
      SpotGiven cg,
      List<PanelGiven> panels,
      List<SurfaceGiven> surfaces,
      FuselageGiven fuselage,
      List<PropellerGiven> propellers,
      List<Double> velocity,
      List<Double> wind,
      List<Double> rates,
      Double density) {}

  /** Force in N, moment in Nm about the balance point, body axes, without weight. */
  record AirFound(List<Double> force, List<Double> moment) {}

  static AirFound of(AirGiven given) {
    SpotGiven cg = Given.need("cg", given.cg());
    List<SurfaceGiven> surfaces = Given.or(given.surfaces(), List.of());
    List<PropellerGiven> propellers = Given.or(given.propellers(), List.of());
    FlyingShape shape =
        Given.checked(
            "",
            new FlyingShape(
                spot("cg", cg.aft(), cg.right(), cg.up()),
                each("panels", given.panels(), AirCalculations::panel),
                each("surfaces", surfaces, AirCalculations::flap),
                fuselage(given.fuselage()),
                each("propellers", propellers, AirCalculations::propeller)));
    double[] angles = new double[surfaces.size()];
    for (int i = 0; i < angles.length; i++) {
      Double angle = Given.or(surfaces.get(i).angle(), 0.0);
      angles[i] = Given.number("surfaces[" + i + "].angle", angle, -90, 90, Unit.DEGREES);
    }
    double[] power = new double[propellers.size()];
    for (int i = 0; i < power.length; i++) {
      Double share = Given.or(propellers.get(i).power(), 0.0);
      power[i] = Given.number("propellers[" + i + "].power", share, 0, 1, Unit.NONE);
    }
    Aerodynamics.Loads found = Aerodynamics.of(shape).held(angles, power).loads(motion(given));
    return new AirFound(
        List.of(found.x(), found.y(), found.z()), List.of(found.l(), found.m(), found.n()));
  }

  private static Aerodynamics.Motion motion(AirGiven given) {
    double[] velocity = three("velocity", given.velocity(), FASTEST);
    double[] wind = three("wind", Given.or(given.wind(), List.of(0.0, 0.0, 0.0)), FASTEST);
    double[] rates = three("rates", Given.or(given.rates(), List.of(0.0, 0.0, 0.0)), FASTEST_TURN);
    return new Aerodynamics.Motion(
        velocity[0] - wind[0],
        velocity[1] - wind[1],
        velocity[2] - wind[2],
        rates[0],
        rates[1],
        rates[2],
        Given.number("density", Given.or(given.density(), STANDARD_DENSITY), 0.1, 2, Unit.NONE));
  }

  private static double[] three(String field, List<Double> given, double most) {
    double[] numbers = Given.numbers(field, given, -most, most, Unit.NONE);
    if (numbers.length != 3) {
      throw InvalidInputException.of(field, numbers.length, Said.of("demand.threeNumbers"));
    }
    return numbers;
  }

  private static <G, F> List<F> each(String field, List<G> given, BiFunction<String, G, F> made) {
    List<G> all = Given.need(field, given);
    if (all.size() > MOST) {
      throw InvalidInputException.of(
          field,
          Said.of("given.values", "count", all.size()),
          Said.of("demand.mostValues", "most", MOST));
    }
    List<F> found = new ArrayList<>();
    for (int i = 0; i < all.size(); i++) {
      String path = field + "[" + i + "]";
      found.add(made.apply(path, Given.need(path, all.get(i))));
    }
    return found;
  }

  private static Spot spot(String path, Double aft, Double right, Double up) {
    Spot spot = new Spot(Given.need(path + ".aft", aft), Given.or(right, 0.0), Given.or(up, 0.0));
    return Given.checked(path + ".", spot);
  }

  private static AirPanel panel(String path, PanelGiven one) {
    return new AirPanel(
        Given.need(path + ".id", one.id()),
        Given.need(path + ".role", one.role()),
        Given.or(one.section(), Section.SYMMETRIC),
        end(path + ".root", one.root()),
        end(path + ".tip", one.tip()));
  }

  private static End end(String path, EndGiven given) {
    EndGiven one = Given.need(path, given);
    return Given.checked(
        path + ".",
        new End(
            spot(path, one.aft(), one.right(), one.up()),
            Given.need(path + ".chord", one.chord()),
            Given.or(one.incidence(), 0.0)));
  }

  private static Flap flap(String path, SurfaceGiven one) {
    return Given.checked(
        path + ".",
        new Flap(
            Given.need(path + ".panel", one.panel()),
            Given.need(path + ".from", one.from()),
            Given.need(path + ".to", one.to()),
            Given.need(path + ".chord", one.chord())));
  }

  private static Body fuselage(FuselageGiven given) {
    if (given == null) {
      return Body.NONE;
    }
    return Given.checked(
        "fuselage.",
        new Body(
            each(
                "fuselage.stations",
                Given.or(given.stations(), List.of()),
                (path, one) -> {
                  return Given.checked(
                      path + ".",
                      new BodyStation(
                          Given.need(path + ".aft", one.aft()),
                          Given.need(path + ".halfWidth", one.halfWidth()),
                          Given.need(path + ".bottom", one.bottom()),
                          Given.need(path + ".top", one.top())));
                }),
            Given.or(given.dragArea(), 0.0)));
  }

  private static Propeller propeller(String path, PropellerGiven one) {
    return Given.checked(
        path + ".",
        new Propeller(
            spot(path, one.aft(), one.right(), one.up()),
            Given.or(one.diameter(), 0.0),
            Given.need(path + ".staticThrust", one.staticThrust()),
            Given.need(path + ".pitchSpeed", one.pitchSpeed()),
            Given.or(one.downThrust(), 0.0),
            Given.or(one.rightThrust(), 0.0),
            Given.or(one.turns(), 1)));
  }
}
