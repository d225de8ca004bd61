package hightally.core.adjustment;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.Rigs;
import hightally.core.adjustment.RodRemedy.Kind;
import hightally.core.airframe.Servo;
import hightally.core.program.Trims;
import hightally.core.setup.Setup;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * By hand: a click of pitch is 0.25 % at an elevon, 1.25 µs, 0.1125° of arm, as much of surface. 25
 * teeth and four arms seat in steps of 3.6°. A degree is 0.87 mm at 50 mm.
 */
class RodRemediesTest {
  private static List<RodRemedy> of(Setup setup, Trims trims) {
    return AdjustmentPlanner.plan(setup, trims).remedies();
  }

  private static Set<Kind> kinds(Setup setup, Trims trims) {
    return of(setup, trims).stream().map(RodRemedy::kind).collect(Collectors.toSet());
  }

  @ParameterizedTest
  @CsvSource({
    "0, ", // nothing to say
    "1, LEAVE",
    "-2, LEAVE",
    "3, ",
    "-20, ",
    "23, ", // 23: 2.59°
    "25, TOOTH",
    "-25, TOOTH", // 25: 2.81° of 3.6, more than three quarters
    "40, TOOTH", // 3.9 mm
    "43, TOOTH SYMPTOM",
    "-43, TOOTH SYMPTOM" // 4.2 mm
  })
  void whatAPitchTrimCallsFor(int pitch, String expected) {
    Set<String> wanted = expected == null ? Set.of() : Set.of(expected.split(" "));
    List<RodRemedy> found = of(Rigs.plain(), new Trims(0, pitch, 0));
    assertThat(found.stream().map(one -> one.kind().name()).collect(Collectors.toSet()))
        .isEqualTo(wanted);
    // Each elevon of its own, the slave none: its rod is not at a servo.
    assertThat(found).hasSize(2 * wanted.size());
    assertThat(found).extracting(RodRemedy::surface).doesNotContain("slave");
  }

  @Test
  void fewClicksMeansFewOnEveryControl() {
    assertThat(kinds(Rigs.plain(), new Trims(2, 2, 0))).containsExactly(Kind.LEAVE);
    assertThat(kinds(Rigs.plain(), new Trims(-3, 2, 0))).isEmpty();
    assertThat(kinds(Rigs.plain(), new Trims(2, -3, 0))).isEmpty();
  }

  @Test
  void howManyTeethAndWhatIsLeft() {
    // 30 clicks: 3.4°, one step, 0.2° left. 59: 6.6°, two steps (7.2°), 0.6° left.
    assertThat(say(of(Rigs.plain(), new Trims(0, 30, 0)).get(0).words()))
        .contains("turns the arm by 3.4°, and the arm can be set in steps of 3.6°")
        .contains("Move it 1 step further")
        .contains("only 0.2° are left");
    assertThat(of(Rigs.plain(), new Trims(0, -59, 0)))
        .filteredOn(one -> one.kind() == Kind.TOOTH)
        .allSatisfy(
            one ->
                assertThat(say(one.words())).contains("2 steps further").contains("only 0.6° are"));
  }

  @Test
  void howFarOffASymptomIs() {
    // 43 clicks: from 0.5° to 5.34°, 50 (sin 5.3375° - sin 0.5°) = 4.2 mm.
    assertThat(of(Rigs.plain(), new Trims(0, 43, 0)))
        .filteredOn(one -> one.kind() == Kind.SYMPTOM)
        .hasSize(2)
        .allSatisfy(one -> assertThat(say(one.words())).contains("is 4.2 mm out"));
    assertThat(say(of(Rigs.plain(), new Trims(0, -1, 0)).get(0).words())).contains("(0.1 mm)");
  }

  private static Setup offSquare(double degrees) {
    Setup setup = Rigs.plain();
    List<Servo> servos =
        setup.servos().stream()
            .map(
                one ->
                    new Servo(
                        one.id(),
                        one.name(),
                        one.channel(),
                        one.degreesPerMicrosecond(),
                        one.centrePulseMicroseconds(),
                        one.maxAngleDegrees(),
                        one.pullsOnIncrease(),
                        degrees,
                        one.torqueNewtonCentimetres(),
                        one.seating(),
                        one.armHolesMm(),
                        one.leadMm()))
            .toList();
    return setup.change().servos(servos).done();
  }

  @ParameterizedTest
  @CsvSource({"9.9, false", "10, true", "-10, true", "-9.9, false", "14, true"})
  void anArmFarFromSquareIsSeatedFirst(double degrees, boolean said) {
    List<RodRemedy> found = of(offSquare(degrees), new Trims(0, 8, 0));
    assertThat(found.stream().anyMatch(one -> one.kind() == Kind.SHARE)).isEqualTo(said);
    if (said) {
      assertThat(say(found.get(0).words()))
          .contains("is " + Math.round(Math.abs(degrees)) + "° away from 90°");
    }
  }
}
