package hightally.core.trimming;

import hightally.core.airframe.Pack;
import hightally.core.airframe.PartChange.PartKind;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** What has moved on a model since a flight; each trim test says by which it is voided. */
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

  /** Whether it voids a test. */
  public boolean voids(TrimTest test) {
    return test.voidedBy().contains(this);
  }

  /** What the change of a part moves; nothing where the tests do not hang on it. */
  static List<VoidingChange> of(PartKind kind) {
    return switch (kind) {
      case SERVO -> List.of(SERVO);
      case REPAIR -> List.of(REPAIR);
      case PROPELLER -> List.of(PROPELLER);
      case MOTOR -> List.of(MOTOR);
      case PACK -> List.of(PACK);
      case ARM, ROD, HORN, LEAD, RECEIVER, TRANSMITTER, STABILISER -> List.of();
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
    if (atModel(then, now, TrimLever.DOWN_THRUST) || atModel(then, now, TrimLever.RIGHT_THRUST)) {
      moved.add(THRUST);
    }
    if (atModel(then, now, TrimLever.LATERAL)) {
      moved.add(ACROSS);
    }
    if (then.setup() != now.setup()) {
      moved.addAll(inProgram(then, now, test));
    }
    changed.forEach(kind -> moved.addAll(of(kind)));
    return moved.stream().distinct().toList();
  }

  private static boolean atModel(FlownState then, FlownState now, TrimLever lever) {
    return Math.abs(
            then.atModel().getOrDefault(lever, 0.0) - now.atModel().getOrDefault(lever, 0.0))
        > SAME;
  }

  private static List<VoidingChange> inProgram(FlownState then, FlownState now, TestCase test) {
    List<TestCase> concerned =
        TestCase.of(now.setup()).stream()
            .filter(one -> one.test() != test.test() || one.equals(test))
            .toList();
    return Stream.of(TrimLever.values())
        .filter(TrimLever::inProgram)
        .filter(lever -> concerned.stream().anyMatch(one -> differs(lever, then, now, one)))
        .map(TrimLever::moved)
        .toList();
  }

  private static boolean differs(TrimLever lever, FlownState then, FlownState now, TestCase test) {
    return test.test().levers().contains(lever)
        && TrimLeverValues.known(lever, then.setup(), test)
        && Math.abs(
                TrimLeverValues.value(lever, then.setup(), test)
                    - TrimLeverValues.value(lever, now.setup(), test))
            > SAME;
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
