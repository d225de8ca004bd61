package hightally.core.simulator;

import hightally.core.airframe.Panel;
import hightally.core.airframe.PanelRole;
import hightally.core.balance.MeanChord;
import hightally.core.setup.Setup;
import hightally.core.simulator.FlyingShape.Role;
import hightally.core.simulator.FlyingShape.Section;
import hightally.core.trimming.ModelKind;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What flies of a description, as it is proposed from its geometry: its class and what each panel
 * does. Both may be put right by the pilot.
 *
 * @param kind its class
 * @param roles of the panels that fly, by id; those of wheels and their legs are not in it
 */
public record FlightTraits(Class kind, Map<String, Role> roles) {
  private static final double STEEP = Math.toRadians(60);
  private static final double AEROBATIC_THROW = 20;

  public FlightTraits {
    roles = Map.copyOf(roles);
  }

  /** Classes of models; what a class has in common stands in for what no description says. */
  public enum Class {
    AEROBATIC(0.25, 1.8, Section.SYMMETRIC, 0, false),
    SPORT(0.55, 1, Section.CAMBERED, 1.5, false),
    GLIDER(0.55, 0.8, Section.CAMBERED, 1.5, true),
    FLYING_WING(0.25, 1, Section.REFLEXED, 0, false);

    private final double lift;
    private final double thrust;
    private final Section section;
    private final double incidence;
    private final boolean folding;

    Class(double lift, double thrust, Section section, double incidence, boolean folding) {
      this.lift = lift;
      this.thrust = thrust;
      this.section = section;
      this.incidence = incidence;
      this.folding = folding;
    }

    /** Lift coefficient at the speed it is tested at. */
    double lift() {
      return lift;
    }

    /** Static thrust of all motors together, in weights. */
    double thrust() {
      return thrust;
    }

    /** Section of its wing. */
    Section section() {
      return section;
    }

    /** Incidence of its wing, degrees. */
    double incidence() {
      return incidence;
    }

    /** Whether its propeller folds away when it stands. */
    boolean folding() {
      return folding;
    }
  }

  /** What is proposed for a setup. */
  public static FlightTraits proposed(Setup setup) {
    return new FlightTraits(kind(setup), roles(setup.airframe().panels()));
  }

  private static Class kind(Setup setup) {
    return switch (ModelKind.of(setup)) {
      case WING -> Class.FLYING_WING;
      case GLIDER -> Class.GLIDER;
      case POWERED -> lively(setup) ? Class.AEROBATIC : Class.SPORT;
    };
  }

  /** Whether any set of rates throws the elevator as only aerobatics needs it. */
  private static boolean lively(Setup setup) {
    return setup.surfaces().stream()
        .filter(one -> one.shares().pitch() != 0)
        .anyMatch(one -> StickThrow.most(setup, one.id()) >= AEROBATIC_THROW);
  }

  private static Map<String, Role> roles(List<Panel> all) {
    Map<String, Role> roles = new LinkedHashMap<>();
    List<Panel> lying = new ArrayList<>();
    for (Panel one : all) {
      if (one.role() != PanelRole.CARRIER) {
        if (steep(one)) {
          roles.put(one.id(), Role.FIN);
        } else {
          lying.add(one);
        }
      }
    }
    Optional<Panel> largest =
        lying.stream().max(Comparator.comparingDouble(one -> pairArea(lying, one)));
    for (Panel one : lying) {
      roles.put(one.id(), role(one, largest.orElseThrow(), lying));
    }
    return roles;
  }

  private static boolean steep(Panel one) {
    double across = Math.abs(one.tip().rightMm() - one.root().rightMm());
    double up = Math.abs(one.tip().upMm() - one.root().upMm());
    return Math.atan2(up, across) > STEEP;
  }

  private static double pairArea(List<Panel> all, Panel one) {
    double area = area(one);
    for (Panel other : all) {
      area += other.id().equals(one.pair()) ? area(other) : 0;
    }
    return area;
  }

  private static double area(Panel one) {
    return MeanChord.of(List.of(one)).areaMm2();
  }

  /** Of the rest the largest pair and what overlaps it fore and aft is the wing. */
  private static Role role(Panel one, Panel largest, List<Panel> all) {
    boolean over = front(one) < rear(largest) && rear(one) > front(largest);
    if (over || one.id().equals(largest.pair())) {
      return Role.WING;
    }
    return front(one) >= rear(largest) ? Role.TAIL : Role.CANARD;
  }

  private static double front(Panel one) {
    return Math.min(one.root().aftMm(), one.tip().aftMm());
  }

  private static double rear(Panel one) {
    return Math.max(
        one.root().aftMm() + one.root().chordMm(), one.tip().aftMm() + one.tip().chordMm());
  }

  /** The same with another class. */
  public FlightTraits as(Class changed) {
    return new FlightTraits(changed, roles);
  }
}
