package hightally.core.simulator;

import hightally.core.airframe.Motor;
import hightally.core.airframe.Pack;
import hightally.core.airframe.Panel;
import hightally.core.airframe.Station;
import hightally.core.airframe.Surface;
import hightally.core.airframe.SurfaceRole;
import hightally.core.setup.Setup;
import hightally.core.signal.SignalPath;
import hightally.core.simulator.FlyingShape.AirPanel;
import hightally.core.simulator.FlyingShape.Body;
import hightally.core.simulator.FlyingShape.BodyStation;
import hightally.core.simulator.FlyingShape.End;
import hightally.core.simulator.FlyingShape.Flap;
import hightally.core.simulator.FlyingShape.Propeller;
import hightally.core.simulator.FlyingShape.Role;
import hightally.core.simulator.FlyingShape.Section;
import hightally.core.simulator.FlyingShape.Spot;
import hightally.core.trimming.FlownState;
import hightally.core.trimming.TrimLever;
import hightally.core.trimming.TrimLeverValues;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;

/**
 * A described model made to fly: geometry from its description, surfaces from its program, what has
 * been done at the model, hidden faults on top; what no description says is that of its class. A
 * stand-in, no real aircraft.
 */
public final class FlyingModel {
  static final double GRAVITY = 9.80665;
  static final double DENSITY = 1.225;
  private static final double MM = 1000;
  private static final double GRAMS = 1000;
  private static final double PERCENT = 100;
  private static final double PITCH_SPEEDS = 1.8;
  private static final double CROSS_SECTION_DRAG = 0.3;
  private static final double MOTOR_DRAG = 0.015;
  private static final double ROLL_GYRATION = 0.25;
  private static final double PITCH_GYRATION = 0.38;
  private static final double YAW_GYRATION = 0.39;

  private final FlownState snapshot;
  private final FlightTraits traits;
  private final List<HiddenFault> faults;
  private final FlyingShape shape;
  private final Aerodynamics forces;
  private final Cockpit cockpit;
  private final double mass;
  private final double[] inertia;
  private final double testSpeed;

  private FlyingModel(
      FlownState snapshot, Setup design, FlightTraits traits, List<HiddenFault> faults) {
    this.snapshot = snapshot;
    this.traits = traits;
    this.faults = List.copyOf(faults);
    mass = mass(snapshot);
    double area = wingArea() / MM / MM;
    testSpeed =
        Math.sqrt(2 * mass * GRAVITY / (DENSITY * Math.max(area, 1e-6) * traits.kind().lift()));
    List<Surface> flying = flying();
    shape = shape(flying, area);
    forces = Aerodynamics.of(shape);
    inertia = gyration();
    Setup real = ActualSetup.of(snapshot.setup(), design, faults);
    cockpit = new Cockpit(SignalPath.of(real), flying, shape, faults);
  }

  /**
   * A model that can be flown.
   *
   * @param snapshot the setup it is flown with, its balance point and what was done at the model
   * @param design the setup its faults were hidden in
   */
  public static FlyingModel of(
      FlownState snapshot, Setup design, FlightTraits traits, List<HiddenFault> faults) {
    return new FlyingModel(snapshot, design, traits, faults);
  }

  /** The same for a model without faults. */
  public static FlyingModel of(FlownState snapshot) {
    Setup setup = snapshot.setup();
    return of(snapshot, setup, FlightTraits.proposed(setup), List.of());
  }

  /** What is flown of a setup as it is balanced with its first pack. */
  public static FlownState asBuilt(Setup setup) {
    List<Pack> packs = setup.balance().packs();
    return packs.isEmpty()
        ? new FlownState(setup, "", setup.balance().targetMm(), Map.of())
        : new FlownState(setup, packs.get(0).name(), packs.get(0).cgMm(), Map.of());
  }

  private static double mass(FlownState snapshot) {
    Setup setup = snapshot.setup();
    double pack =
        setup.balance().packs().stream()
            .filter(one -> one.name().equals(snapshot.pack()))
            .mapToDouble(Pack::massGrams)
            .findFirst()
            .orElse(0);
    return (setup.balance().emptyMassGrams() + pack) / GRAMS;
  }

  private double wingArea() {
    return panels().stream()
        .filter(one -> traits.roles().get(one.id()) == Role.WING)
        .mapToDouble(one -> Surfaces.areaMm2(panel(one)))
        .sum();
  }

  private List<Panel> panels() {
    return snapshot.setup().airframe().panels().stream()
        .filter(one -> traits.roles().containsKey(one.id()))
        .toList();
  }

  private List<Surface> flying() {
    return snapshot.setup().surfaces().stream()
        .filter(one -> traits.roles().containsKey(one.place().panel()))
        .filter(one -> one.role() != SurfaceRole.SWINGING_WING)
        .toList();
  }

  private FlyingShape shape(List<Surface> flying, double area) {
    Setup setup = snapshot.setup();
    List<Flap> flaps =
        flying.stream()
            .map(
                one ->
                    new Flap(
                        one.place().panel(), one.place().from(), one.place().to(), one.chordMm()))
            .toList();
    List<BodyStation> stations =
        setup.airframe().fuselage().stream()
            .map(
                one -> new BodyStation(one.aftMm(), one.halfWidthMm(), one.bottomMm(), one.topMm()))
            .sorted(Comparator.comparingDouble(BodyStation::aftMm))
            .toList();
    double largest =
        stations.stream()
            .mapToDouble(one -> Math.PI / 2 * one.halfWidthMm() * (one.topMm() - one.bottomMm()))
            .max()
            .orElse(0);
    boolean drags = !setup.airframe().motors().isEmpty() && !traits.kind().folding();
    double drag = CROSS_SECTION_DRAG * largest / MM / MM + (drags ? MOTOR_DRAG * area : 0);
    return new FlyingShape(
        balance(),
        panels().stream().map(this::panel).toList(),
        flaps,
        new Body(stations, drag),
        propellers());
  }

  /** The balance point: as balanced, with what hides in it. */
  private Spot balance() {
    Setup setup = snapshot.setup();
    double chord = TrimLeverValues.chordMm(setup);
    double hidden = HiddenFault.sum(faults, HiddenFault.Kind.BALANCE, "") * chord / PERCENT;
    double across =
        snapshot.atModel().getOrDefault(TrimLever.LATERAL, 0.0)
            + HiddenFault.sum(faults, HiddenFault.Kind.TIP_MASS, "");
    double tip =
        panels().stream()
            .mapToDouble(one -> Math.max(one.root().rightMm(), one.tip().rightMm()))
            .max()
            .orElse(0);
    return new Spot(
        setup.balance().datumAftMm() + snapshot.cgMm() + hidden, tip * across / PERCENT, 0);
  }

  private AirPanel panel(Panel one) {
    Role role = traits.roles().get(one.id());
    boolean wing = role == Role.WING;
    double incidence = wing ? traits.kind().incidence() : 0;
    if (role == Role.TAIL || role == Role.CANARD) {
      incidence += HiddenFault.sum(faults, HiddenFault.Kind.TAIL_INCIDENCE, "");
    }
    double warp = HiddenFault.sum(faults, HiddenFault.Kind.WARP, one.id());
    return new AirPanel(
        one.id(),
        role,
        wing ? traits.kind().section() : Section.SYMMETRIC,
        end(one.root(), incidence),
        end(one.tip(), incidence + warp));
  }

  private static End end(Station one, double incidence) {
    Spot at = new Spot(one.aftMm(), one.rightMm(), one.upMm());
    return new End(at, one.chordMm(), incidence);
  }

  private List<Propeller> propellers() {
    List<Motor> motors = snapshot.setup().airframe().motors();
    double thrust = traits.kind().thrust() * mass * GRAVITY / Math.max(1, motors.size());
    double down = angle(TrimLever.DOWN_THRUST, HiddenFault.Kind.DOWN_THRUST);
    double right = angle(TrimLever.RIGHT_THRUST, HiddenFault.Kind.RIGHT_THRUST);
    List<Propeller> propellers = new ArrayList<>();
    for (Motor one : motors) {
      propellers.add(
          new Propeller(
              new Spot(one.aftMm(), one.rightMm(), 0),
              one.propellerDiameterMm(),
              thrust,
              pitchSpeed(),
              down,
              right,
              1));
    }
    return propellers;
  }

  private double angle(TrimLever lever, HiddenFault.Kind kind) {
    return snapshot.atModel().getOrDefault(lever, 0.0) + HiddenFault.sum(faults, kind, "");
  }

  /** Class values of airframe design: gyration radii of span and length. */
  private double[] gyration() {
    double left = Double.POSITIVE_INFINITY;
    double right = Double.NEGATIVE_INFINITY;
    double front = Double.POSITIVE_INFINITY;
    double rear = Double.NEGATIVE_INFINITY;
    for (AirPanel one : shape.panels()) {
      for (End end : List.of(one.root(), one.tip())) {
        left = Math.min(left, end.at().rightMm());
        right = Math.max(right, end.at().rightMm());
        front = Math.min(front, end.at().aftMm());
        rear = Math.max(rear, end.at().aftMm() + end.chordMm());
      }
    }
    for (BodyStation one : shape.fuselage().stations()) {
      front = Math.min(front, one.aftMm());
      rear = Math.max(rear, one.aftMm());
    }
    double b = (right - left) / MM;
    double l = (rear - front) / MM;
    return new double[] {
      mass * Math.pow(ROLL_GYRATION * b / 2, 2),
      mass * Math.pow(PITCH_GYRATION * l / 2, 2),
      mass * Math.pow(YAW_GYRATION * (b + l) / 4, 2)
    };
  }

  /** Its setup as described. */
  public Setup setup() {
    return snapshot.setup();
  }

  /** What it flies as. */
  public FlightTraits traits() {
    return traits;
  }

  /** What the air acts on. */
  public FlyingShape shape() {
    return shape;
  }

  /** The air's forces on it. */
  public Aerodynamics forces() {
    return forces;
  }

  /** Sticks to surfaces and motors. */
  Cockpit cockpit() {
    return cockpit;
  }

  /** Kg, ready to fly. */
  public double mass() {
    return mass;
  }

  /** Moments of inertia about x, y and z, kg m². */
  double[] inertia() {
    return inertia;
  }

  /** The speed it is tested at, m/s. */
  public double testSpeed() {
    return testSpeed;
  }

  /** The speed at which full revolutions pull no more, m/s. */
  public double pitchSpeed() {
    return PITCH_SPEEDS * testSpeed;
  }

  /** Whether it is flown in a glide. */
  public boolean glides() {
    return traits.kind() == FlightTraits.Class.GLIDER || shape.propellers().isEmpty();
  }
}
