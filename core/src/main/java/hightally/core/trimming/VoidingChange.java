package hightally.core.trimming;

import hightally.core.airframe.Pack;
import hightally.core.airframe.PartChange.PartKind;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What has moved on a model since a flight, and which trim tests that voids. */
public enum VoidingChange {
  BALANCE,
  /** A pack of another mass or in another place. */
  PACK,
  THRUST,
  PROPELLER,
  MOTOR,
  ACROSS,
  DIFFERENTIAL,
  RUDDER_TO_ELEVATOR,
  RUDDER_TO_AILERON,
  LOW_THROTTLE_TO_ELEVATOR,
  BRAKE_TO_ELEVATOR,
  AILERON_TO_RUDDER,
  SERVO,
  REPAIR;

  private static final double SAME = 1e-6;
  private static final Map<VoidingChange, Set<TrimTest>> VOIDS = voids();

  private static Map<VoidingChange, Set<TrimTest>> voids() {
    Set<TrimTest> pitch =
        EnumSet.of(
            TrimTest.LEVEL_TRIM,
            TrimTest.THROTTLE_CHANGE,
            TrimTest.INVERTED_45,
            TrimTest.DIVE,
            TrimTest.VERTICAL_DOWN,
            TrimTest.KNIFE_EDGE);
    Set<TrimTest> thrust =
        EnumSet.of(
            TrimTest.LEVEL_TRIM,
            TrimTest.THROTTLE_CHANGE,
            TrimTest.VERTICAL_UP,
            TrimTest.KNIFE_EDGE,
            TrimTest.VERTICAL_DOWN);
    Map<VoidingChange, Set<TrimTest>> voids = new EnumMap<>(VoidingChange.class);
    voids.put(BALANCE, pitch);
    voids.put(PACK, pitch);
    voids.put(THRUST, thrust);
    voids.put(PROPELLER, thrust);
    voids.put(MOTOR, thrust);
    voids.put(ACROSS, EnumSet.of(TrimTest.LEVEL_TRIM, TrimTest.INVERTED_LEVEL, TrimTest.ROLL_AXIS));
    voids.put(DIFFERENTIAL, EnumSet.of(TrimTest.ROLL_AXIS, TrimTest.KNIFE_EDGE));
    // A mix: its own test, and those that come after it through the same surface.
    voids.put(
        RUDDER_TO_ELEVATOR,
        EnumSet.of(TrimTest.KNIFE_EDGE, TrimTest.VERTICAL_DOWN, TrimTest.BRAKES));
    voids.put(RUDDER_TO_AILERON, EnumSet.of(TrimTest.KNIFE_EDGE));
    voids.put(LOW_THROTTLE_TO_ELEVATOR, EnumSet.of(TrimTest.VERTICAL_DOWN, TrimTest.BRAKES));
    voids.put(BRAKE_TO_ELEVATOR, EnumSet.of(TrimTest.BRAKES));
    voids.put(AILERON_TO_RUDDER, EnumSet.of(TrimTest.CIRCLING));
    voids.put(SERVO, EnumSet.allOf(TrimTest.class));
    voids.put(REPAIR, EnumSet.allOf(TrimTest.class));
    return voids;
  }

  /** Whether it voids a test. */
  public boolean voids(TrimTest test) {
    return VOIDS.get(this).contains(test);
  }

  /** What the change of a part moves; nothing where the tests do not hang on it. */
  static List<VoidingChange> of(PartKind kind) {
    return switch (kind) {
      case SERVO -> List.of(SERVO);
      case REPAIR -> List.of(REPAIR);
      case PROPELLER -> List.of(PROPELLER);
      case MOTOR -> List.of(MOTOR);
      case PACK -> List.of(PACK);
      case ARM, ROD, RECEIVER, TRANSMITTER, STABILISER -> List.of();
    };
  }

  /**
   * What differs between two states as far as a test is concerned.
   *
   * @param changed parts that were changed in between
   */
  static List<VoidingChange> between(
      FlownState then, FlownState now, TestCase test, List<PartKind> changed) {
    List<VoidingChange> moved = new ArrayList<>();
    double same = now.setup().house().sameCgMm();
    if (Math.abs(then.cgMm() - now.cgMm()) > same) {
      moved.add(BALANCE);
    }
    if (otherPack(then, now)) {
      moved.add(PACK);
    }
    if (metal(then, now, TrimLever.DOWN_THRUST) || metal(then, now, TrimLever.RIGHT_THRUST)) {
      moved.add(THRUST);
    }
    if (metal(then, now, TrimLever.LATERAL)) {
      moved.add(ACROSS);
    }
    for (TrimLever lever : TrimLever.values()) {
      if (lever.inProgram() && differs(lever, then, now, test)) {
        moved.add(valueOf(lever.name()));
      }
    }
    changed.forEach(kind -> moved.addAll(of(kind)));
    return moved.stream().distinct().toList();
  }

  private static boolean metal(FlownState then, FlownState now, TrimLever lever) {
    return Math.abs(then.metal().getOrDefault(lever, 0.0) - now.metal().getOrDefault(lever, 0.0))
        > SAME;
  }

  private static boolean differs(TrimLever lever, FlownState then, FlownState now, TestCase test) {
    List<TestCase> parts =
        TestCase.of(now.setup()).stream()
            .filter(one -> one.test().levers().contains(lever))
            .filter(one -> !one.test().equals(test.test()) || one.equals(test))
            .filter(one -> TrimLeverValues.known(lever, then.setup(), one))
            .toList();
    return parts.stream()
        .anyMatch(
            one ->
                Math.abs(
                        TrimLeverValues.value(lever, then.setup(), one)
                            - TrimLeverValues.value(lever, now.setup(), one))
                    > SAME);
  }

  /** Another pack than then, of another mass or in another place. */
  private static boolean otherPack(FlownState then, FlownState now) {
    if (then.pack().isEmpty() || now.pack().isEmpty() || then.pack().equals(now.pack())) {
      return false;
    }
    Pack one = pack(then);
    Pack other = pack(now);
    return one == null
        || other == null
        || Math.abs(one.massGrams() - other.massGrams()) > SAME
        || Math.abs(one.stationMm() - other.stationMm()) > SAME;
  }

  private static Pack pack(FlownState of) {
    return of.setup().balance().packs().stream()
        .filter(one -> one.name().equals(of.pack()))
        .findFirst()
        .orElse(null);
  }
}
