package hightally.core.log;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.phase.Trims;
import hightally.core.quantity.Said;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class LoopStateTest {
  private static LoopState state(
      int surfaces, boolean fromAdjustment, int flights, Trims latest, boolean open) {
    return LoopState.of(
        new LoopFacts(
            surfaces, 4, fromAdjustment, flights, Optional.ofNullable(latest), List.of(), open, 0));
  }

  @Test
  void whatGroundsAModelComesBeforeItsTrimsAndBehindAnOpenAdjustment() {
    List<Said> grounds = List.of(Said.text("Motor runs at rest"), Said.text("no lead"));
    Optional<Trims> latest = Optional.of(new Trims(0, 0, 9));
    LoopState state = LoopState.of(new LoopFacts(3, 4, true, 1, latest, grounds, false, 0));
    assertThat(state.stage()).isEqualTo(LoopStage.CHECK);
    assertThat(state.waits()).isTrue();
    assertThat(say(state.waiting()))
        .isEqualTo("Not to be flown yet, 2 things open: motor runs at rest");
    assertThat(LoopState.of(new LoopFacts(3, 4, true, 1, latest, grounds, true, 0)).stage())
        .isEqualTo(LoopStage.ADJUST);
  }

  @Test
  void aModelWithoutSurfacesWaitsForItsRig() {
    assertThat(state(0, false, 0, null, false))
        .isEqualTo(new LoopState(LoopStage.RIG, Said.of("log.noSurfaceDescribedYet"), true));
  }

  @Test
  void anOpenAdjustmentComesBeforeEverythingElse() {
    LoopState state = state(3, true, 2, new Trims(1, 0, 0), true);
    assertThat(state.stage()).isEqualTo(LoopStage.ADJUST);
    assertThat(say(state.waiting())).isEqualTo("An adjustment is begun and not finished.");
  }

  @Test
  void trimsThatAreNotZeroWaitInWordsWithoutTheOnesThatAre() {
    LoopState state = state(3, false, 2, new Trims(0, -1, 3), false);
    assertThat(state.waits()).isTrue();
    assertThat(say(state.waiting()))
        .isEqualTo(
            "Trims wait for an adjustment: pitch 1 click nose down, yaw 3 clicks nose right.");
  }

  @Test
  void trimsAtZeroWaitForNothing() {
    LoopState once = state(3, true, 1, Trims.ZERO, false);
    assertThat(once.waits()).isFalse();
    assertThat(say(once.waiting())).isEqualTo("Trims at zero after the last flight.");
    assertThat(say(state(3, true, 2, Trims.ZERO, false).waiting())).contains("after its flights");
  }

  @Test
  void anUnflownRevisionIsCheckedOrConfirmed() {
    assertThat(state(3, false, 0, null, false).stage()).isEqualTo(LoopStage.CHECK);
    LoopState adjusted = state(3, true, 0, null, false);
    assertThat(adjusted.stage()).isEqualTo(LoopStage.FLY);
    assertThat(say(adjusted.waiting())).contains("the next flight confirms it");
  }
}
