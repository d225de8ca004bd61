package hightally.core.adjustment;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.Rigs;
import hightally.core.log.TrimSeries;
import hightally.core.log.TrimSeries.State;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.util.List;
import org.junit.jupiter.api.Test;

class RodsProposalTest {
  private static final Setup RIG = Rigs.programmed(1);

  private static TrimSeries series(String phase, Control control, State state) {
    return new TrimSeries(phase, control, state, 0, Said.NOTHING, List.of());
  }

  private static final List<TrimSeries> SERIES =
      List.of(
          series("flight", Control.ROLL, State.SETTLED),
          series("flight", Control.PITCH, State.NOT_YET),
          series("flight", Control.YAW, State.SETTLED),
          series("thermal", Control.ROLL, State.SUSPICIOUS),
          series("thermal", Control.PITCH, State.NOT_YET));

  @Test
  void thePhaseFlownMostAndWhatHasSettledThere() {
    RodsProposal proposal =
        RodsProposal.of(RIG, SERIES, List.of("flight", "thermal"), "flight", "");
    assertThat(proposal)
        .isEqualTo(new RodsProposal("flight", List.of(Control.ROLL, Control.YAW), 2, 3));
  }

  @Test
  void whatThePilotPicksAndAllWhereNothingHasSettled() {
    RodsProposal proposal =
        RodsProposal.of(RIG, SERIES, List.of("flight", "thermal"), "flight", "thermal");
    assertThat(proposal).isEqualTo(new RodsProposal("thermal", List.of(Control.values()), 0, 2));
  }

  @Test
  void aPhaseThatWasNotFlownIsNeverTheReference() {
    assertThat(RodsProposal.of(RIG, SERIES, List.of("flight"), "thermal", "thermal").reference())
        .isEqualTo("flight");
    assertThat(RodsProposal.of(RIG, List.of(), List.of("thermal"), "", "").reference())
        .isEqualTo(RIG.basePhase().id());
  }
}
