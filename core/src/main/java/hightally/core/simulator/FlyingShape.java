package hightally.core.simulator;

import hightally.core.quantity.Said;
import hightally.core.quantity.SelfChecked;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Violation;
import hightally.core.quantity.Within;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;

/**
 * What the air acts on. Places in mm, aft of the nose, right of the middle, up from the fuselage's
 * reference line; angles in degrees.
 *
 * @param cg the balance point
 * @param panels wings, tails and fins, each side its own
 * @param flaps what moves on them
 * @param fuselage its stations from nose to tail and its drag area
 * @param propellers every propeller
 */
public record FlyingShape(
    Spot cg, List<AirPanel> panels, List<Flap> flaps, Body fuselage, List<Propeller> propellers)
    implements SelfChecked {
  private static final int MOST_PANELS = 60;
  private static final int MOST_FLAPS = 100;

  public FlyingShape {
    panels = List.copyOf(panels);
    flaps = List.copyOf(flaps);
    propellers = List.copyOf(propellers);
  }

  /** What a panel does. */
  public enum Role {
    WING,
    TAIL,
    CANARD,
    FIN
  }

  /** The kind of its section. */
  public enum Section {
    SYMMETRIC(0, 0),
    CAMBERED(-2.5, -0.05),
    REFLEXED(-1, 0.015);

    private final double zeroLiftDegrees;
    private final double moment;

    Section(double zeroLiftDegrees, double moment) {
      this.zeroLiftDegrees = zeroLiftDegrees;
      this.moment = moment;
    }

    /** The angle at which it has no lift, rad. */
    double zeroLift() {
      return Math.toRadians(zeroLiftDegrees);
    }

    /** Moment coefficient about a quarter of the chord, plus nose up. */
    double moment() {
      return moment;
    }
  }

  /** A place. */
  public record Spot(
      @Within(min = -2000, max = 10_000, unit = Unit.MILLIMETRES) double aftMm,
      @Within(min = -10_000, max = 10_000, unit = Unit.MILLIMETRES) double rightMm,
      @Within(min = -5000, max = 5000, unit = Unit.MILLIMETRES) double upMm) {}

  /**
   * One end of a panel.
   *
   * @param at its leading edge
   * @param incidenceDegrees plus: leading edge towards the normal
   */
  public record End(
      Spot at,
      @Within(min = 1, max = 5000, unit = Unit.MILLIMETRES) double chordMm,
      @Within(min = -45, max = 45, unit = Unit.DEGREES) double incidenceDegrees) {}

  /** A flat panel between two ends. */
  public record AirPanel(@Text String id, Role role, Section section, End root, End tip)
      implements SelfChecked {
    double lengthMm() {
      return Math.hypot(acrossMm(), tip.at().upMm() - root.at().upMm());
    }

    double acrossMm() {
      return tip.at().rightMm() - root.at().rightMm();
    }

    /**
     * Square to the panel and to the fuselage: upwards; of a fin, and of what stands upright, to
     * the right. Body axes: right, down.
     */
    double[] normal() {
      double dy = acrossMm() / lengthMm();
      double dz = (root.at().upMm() - tip.at().upMm()) / lengthMm();
      boolean turned = role == Role.FIN || acrossMm() == 0 ? dz < 0 : dy < 0;
      return turned ? new double[] {-dz, dy} : new double[] {dz, -dy};
    }

    @Override
    public void check(String path, Consumer<Violation> found) {
      if (!(lengthMm() > 0)) {
        found.accept(Violation.of(path + "tip", lengthMm(), Said.of("demand.panelWithLength")));
      } else if (role != Role.FIN && acrossMm() == 0) {
        found.accept(Violation.of(path + "role", role, Said.of("demand.uprightIsFin")));
      }
    }
  }

  /**
   * A movable part of a panel's trailing edge.
   *
   * @param from inner end, as a part of the panel's length from its root
   * @param to outer end, likewise
   * @param chordMm hinge line to trailing edge
   */
  public record Flap(
      @Text String panel,
      @Within(min = 0, max = 1) double from,
      @Within(min = 0, max = 1) double to,
      @Within(min = 1, max = 5000, unit = Unit.MILLIMETRES) double chordMm)
      implements SelfChecked {
    @Override
    public void check(String path, Consumer<Violation> found) {
      if (!(to > from)) {
        found.accept(Violation.of(path + "to", to, Said.of("demand.aboveFrom")));
      }
    }
  }

  /** A cross section of the fuselage. */
  public record BodyStation(
      @Within(min = -2000, max = 10_000, unit = Unit.MILLIMETRES) double aftMm,
      @Within(min = 0, max = 2000, unit = Unit.MILLIMETRES) double halfWidthMm,
      @Within(min = -5000, max = 5000, unit = Unit.MILLIMETRES) double bottomMm,
      @Within(min = -5000, max = 5000, unit = Unit.MILLIMETRES) double topMm) {}

  /**
   * The fuselage.
   *
   * @param stations from nose to tail; none for a bare wing
   * @param dragArea m²
   */
  public record Body(List<BodyStation> stations, @Within(min = 0, max = 10) double dragArea)
      implements SelfChecked {
    /** None, without drag of its own. */
    public static final Body NONE = new Body(List.of(), 0);

    public Body {
      stations = List.copyOf(stations);
    }

    @Override
    public void check(String path, Consumer<Violation> found) {
      for (int i = 1; i < stations.size(); i++) {
        if (stations.get(i).aftMm() < stations.get(i - 1).aftMm()) {
          String field = path + "stations[" + i + "].aftMm";
          double aft = stations.get(i).aftMm();
          found.accept(Violation.of(field, aft, Said.of("demand.stationOrder")));
        }
      }
    }
  }

  /**
   * A propeller, or a jet where its diameter is 0: that has thrust and nothing else.
   *
   * @param staticThrust N at full revolutions, standing
   * @param pitchSpeed m/s at which full revolutions pull no more
   * @param turns 1 clockwise seen from behind, -1 the other way
   */
  public record Propeller(
      Spot at,
      @Within(min = 0, max = 3000, unit = Unit.MILLIMETRES) double diameterMm,
      @Within(min = 0, max = 5000) double staticThrust,
      @Within(min = 0.1, max = 500) double pitchSpeed,
      @Within(min = -45, max = 45, unit = Unit.DEGREES) double downThrustDegrees,
      @Within(min = -45, max = 45, unit = Unit.DEGREES) double rightThrustDegrees,
      @Within(min = -1, max = 1) int turns)
      implements SelfChecked {
    @Override
    public void check(String path, Consumer<Violation> found) {
      if (turns == 0) {
        found.accept(Violation.of(path + "turns", turns, Said.of("demand.plusOrMinusOne")));
      }
    }
  }

  @Override
  public void check(String path, Consumer<Violation> found) {
    if (panels.isEmpty() || panels.size() > MOST_PANELS) {
      found.accept(few(path + "panels", panels.size(), 1, MOST_PANELS));
    }
    if (flaps.size() > MOST_FLAPS) {
      found.accept(few(path + "surfaces", flaps.size(), 0, MOST_FLAPS));
    }
    Set<String> ids = new HashSet<>();
    for (int i = 0; i < panels.size(); i++) {
      if (!ids.add(panels.get(i).id())) {
        String field = path + "panels[" + i + "].id";
        found.accept(Violation.of(field, panels.get(i).id(), Said.of("demand.eachOnce")));
      }
    }
    for (int i = 0; i < flaps.size(); i++) {
      if (!ids.contains(flaps.get(i).panel())) {
        String field = path + "surfaces[" + i + "].panel";
        found.accept(Violation.of(field, flaps.get(i).panel(), Said.of("demand.idPanel")));
      }
    }
  }

  private static Violation few(String field, int count, int min, int max) {
    return Violation.of(field, count, Said.of("demand.countBetween", "min", min, "max", max));
  }
}
