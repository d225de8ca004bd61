package hightally.core.trimming;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hightally.core.airframe.Side;
import hightally.core.quantity.InvalidInputException;
import hightally.core.trimming.TrimAdvice.TrimFacts;
import java.util.HashSet;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What each outcome asks for: bolts 40 mm apart, 2000 g, a pack of 400 g, a chord of 200 mm. */
class TrimAdviceTest {
  private static final TrimFacts FACTS = new TrimFacts(40, 2000, 400, 200);

  private static TrimAdvice advice(String test, TrimOutcome outcome, int strength) {
    return TrimAdvice.of(TrimTest.named(test).orElseThrow(), outcome, strength, FACTS);
  }

  @ParameterizedTest
  @CsvSource({
    "throttleChange, CLIMBS_AT_ONCE, DOWN_THRUST, 0.5, 1, 2",
    "throttleChange, SINKS_AT_ONCE, DOWN_THRUST, -0.5, -1, -2",
    "throttleChange, CLIMBS_WITH_SPEED, BALANCE, 1, 2, 4",
    "throttleChange, SINKS_WITH_SPEED, BALANCE, -1, -2, -4",
    "inverted45, CLIMBS, BALANCE, -1, -2, -4",
    "inverted45, DROPS_FAST, BALANCE, 1, 2, 4",
    "dive, PULLS_OUT, BALANCE, 1, 2, 4",
    "dive, TUCKS, BALANCE, -1, -2, -4",
    "invertedLevel, LEFT_RISES, LATERAL, -0.1, -0.2, -0.4",
    "invertedLevel, RIGHT_RISES, LATERAL, 0.1, 0.2, 0.4",
    "verticalUp, DRIFTS_LEFT, RIGHT_THRUST, 0.5, 1, 2",
    "verticalUp, DRIFTS_RIGHT, RIGHT_THRUST, -0.5, -1, -2",
    "verticalUp, TO_CANOPY, DOWN_THRUST, 0.5, 1, 2",
    "verticalUp, TO_BELLY, DOWN_THRUST, -0.5, -1, -2",
    "rollAxis, AWAY_FROM_THE_ROLL, DIFFERENTIAL, 5, 10, 20",
    "rollAxis, TOWARDS_THE_ROLL, DIFFERENTIAL, -5, -10, -20",
    "knifeEdge, TO_BELLY, RUDDER_TO_ELEVATOR, 2, 4, 8",
    "knifeEdge, TO_CANOPY, RUDDER_TO_ELEVATOR, -2, -4, -8",
    "knifeEdge, ROLLS_WITH_RUDDER, RUDDER_TO_AILERON, -2, -4, -8",
    "knifeEdge, ROLLS_AGAINST_RUDDER, RUDDER_TO_AILERON, 2, 4, 8",
    "verticalDown, TO_CANOPY, LOW_THROTTLE_TO_ELEVATOR, -1, -2, -4",
    "verticalDown, TO_BELLY, LOW_THROTTLE_TO_ELEVATOR, 1, 2, 4",
    "brakes, NOSE_UP, BRAKE_TO_ELEVATOR, -5, -10, -20",
    "brakes, NOSE_DOWN, BRAKE_TO_ELEVATOR, 5, 10, 20",
    "circling, NOSE_SWINGS_OUT, AILERON_TO_RUDDER, 10, 20, 40",
    "circling, NOSE_SWINGS_IN, AILERON_TO_RUDDER, -10, -20, -40"
  })
  void everyOutcomeMovesItsLeverItsWay(
      String test,
      TrimOutcome outcome,
      TrimLever lever,
      double slight,
      double clear,
      double strong) {
    double[] wanted = {slight, clear, strong};
    for (int strength = 1; strength <= 3; strength++) {
      TrimAdvice advice = advice(test, outcome, strength);
      assertThat(advice.lever()).isEqualTo(lever);
      assertThat(advice.change()).isEqualTo(wanted[strength - 1]);
    }
  }

  @Test
  void aChangeComesInTheModelsOwnUnits() {
    TrimAdvice thrust = advice("verticalUp", TrimOutcome.DRIFTS_RIGHT, 3);
    // 40 · tan 2° = 1.397 mm.
    assertThat(thrust.washerMm()).isCloseTo(-1.3968, within(1e-4));
    assertThat(thrust.balanceShiftMm()).isNaN();
    TrimAdvice balance = advice("dive", TrimOutcome.PULLS_OUT, 2);
    // 2 % of 200 mm, with a fifth of the mass five times as far.
    assertThat(balance.balanceShiftMm()).isCloseTo(4, within(1e-9));
    assertThat(balance.batteryShiftMm()).isCloseTo(20, within(1e-9));
    assertThat(balance.washerMm()).isNaN();
    TrimAdvice across = advice("invertedLevel", TrimOutcome.LEFT_RISES, 2);
    assertThat(across.ballastGrams()).isCloseTo(4, within(1e-9));
    assertThat(across.side()).isEqualTo(Side.LEFT);
    assertThat(advice("invertedLevel", TrimOutcome.RIGHT_RISES, 1).side()).isEqualTo(Side.RIGHT);
    TrimAdvice mix = advice("brakes", TrimOutcome.NOSE_UP, 1);
    assertThat(mix.ballastGrams()).isNaN();
    assertThat(mix.side()).isNull();
  }

  @Test
  void everyTestHasANameAndShowsOnlyItsOwnOutcomes() {
    Set<TrimOutcome> shown = new HashSet<>();
    for (TrimTest test : TrimTest.values()) {
      assertThat(TrimTest.named(test.id())).contains(test);
      shown.addAll(test.seen());
      assertThat(test.seen()).containsAll(test.outcomes());
      for (TrimOutcome outcome : TrimOutcome.values()) {
        if (!test.outcomes().contains(outcome)) {
          assertThatThrownBy(() -> TrimAdvice.of(test, outcome, 1, FACTS))
              .isInstanceOf(InvalidInputException.class);
        }
      }
    }
    assertThat(shown).containsExactlyInAnyOrder(TrimOutcome.values());
    assertThat(TrimTest.named("loop")).isEmpty();
    for (int strength : new int[] {0, 4}) {
      assertThatThrownBy(() -> advice("dive", TrimOutcome.TUCKS, strength))
          .isInstanceOf(InvalidInputException.class);
    }
  }
}
