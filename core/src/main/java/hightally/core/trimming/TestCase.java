package hightally.core.trimming;

import hightally.core.program.Mix;
import hightally.core.program.Phase;
import hightally.core.program.PhaseRole;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;

/**
 * A trim test of one model: which, and which part of it.
 *
 * @param test which
 * @param part a phase's id, or a brake setting in percent; empty where the test has no parts
 */
public record TestCase(TrimTest test, String part) {
  /** Brake settings that are flown, percent. */
  static final List<String> BRAKE_SETTINGS = List.of("33", "67", "100");

  /** The tests of a model, in the order in which they are flown. */
  public static List<TestCase> of(Setup setup) {
    List<TestCase> cases = new ArrayList<>();
    for (TrimTest test : TrimTest.values()) {
      cases.addAll(of(test, setup));
    }
    return cases;
  }

  private static List<TestCase> of(TrimTest test, Setup setup) {
    ModelKind kind = ModelKind.of(setup);
    boolean motor = !setup.airframe().motors().isEmpty();
    boolean aerobatic = kind == ModelKind.POWERED;
    boolean rolls = setup.surfaces().stream().anyMatch(one -> one.shares().roll() != 0);
    boolean yaws = setup.surfaces().stream().anyMatch(one -> one.shares().yaw() != 0);
    return switch (test) {
      case LEVEL_TRIM -> parts(test, setup, phase -> phase.role() != PhaseRole.GROUND);
      case THROTTLE_CHANGE -> once(test, motor);
      case INVERTED_45 -> once(test, aerobatic);
      case DIVE -> once(test, !aerobatic);
      case INVERTED_LEVEL -> once(test, rolls && kind != ModelKind.GLIDER);
      case VERTICAL_UP, VERTICAL_DOWN -> once(test, aerobatic && motor);
      case ROLL_AXIS -> once(test, rolls && kind != ModelKind.GLIDER);
      case KNIFE_EDGE -> once(test, aerobatic && yaws);
      case BRAKES ->
          Brakes.of(setup).isPresent()
              ? BRAKE_SETTINGS.stream().map(one -> new TestCase(test, one)).toList()
              : List.of();
      case CIRCLING ->
          kind == ModelKind.GLIDER && rolls && yaws
              ? parts(test, setup, phase -> phase.role() == PhaseRole.THERMAL)
              : List.of();
      case STALL -> once(test, kind == ModelKind.GLIDER);
      case LAUNCH -> parts(test, setup, phase -> phase.role() == PhaseRole.LAUNCH);
      case SPEED -> parts(test, setup, phase -> phase.role() == PhaseRole.SPEED);
      case FEEL -> once(test, true);
    };
  }

  private static List<TestCase> once(TrimTest test, boolean applies) {
    return applies ? List.of(new TestCase(test, "")) : List.of();
  }

  private static List<TestCase> parts(TrimTest test, Setup setup, Predicate<Phase> which) {
    List<TestCase> cases = new ArrayList<>();
    for (Phase phase : setup.phases()) {
      if (which.test(phase)) {
        // The phase that is on when no other is comes first: the others are judged against it.
        cases.add(0, new TestCase(test, phase.id()));
      }
    }
    return cases;
  }

  /** Its name for programs. */
  public String told() {
    return part.isEmpty() ? test.name() : test.name() + " " + part;
  }

  /** All their names. */
  public static String told(List<TestCase> tests) {
    return String.join(", ", tests.stream().map(TestCase::told).toList());
  }

  /** The phase it is flown in. */
  public Phase phase(Setup setup) {
    return setup.phase(part).orElseGet(() -> brakePhase(setup));
  }

  private Phase brakePhase(Setup setup) {
    if (test != TrimTest.BRAKES) {
      return setup.basePhase();
    }
    List<String> acting = Brakes.of(setup).map(Mix::phases).orElse(List.of());
    return acting.isEmpty()
        ? setup.basePhase()
        : setup.phase(acting.get(0)).orElse(setup.basePhase());
  }
}
