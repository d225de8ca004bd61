package hightally.core.trimming;

import hightally.core.program.Mix;
import hightally.core.program.Phase;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;

/**
 * A trim test of one model: which, and which part of it.
 *
 * @param test which
 * @param part a phase's id, or a brake setting in percent; empty where the test has no parts
 */
public record TestCase(TrimTest test, String part) {
  /** The tests of a model, in the order in which they are flown. */
  public static List<TestCase> of(Setup setup) {
    List<TestCase> cases = new ArrayList<>();
    for (TrimTest test : TrimTest.values()) {
      test.parts().of(setup).forEach(part -> cases.add(new TestCase(test, part)));
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
