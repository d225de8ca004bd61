package hightally.core.adjustment;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.Rigs;
import hightally.core.flightlog.TrimSeries;
import hightally.core.flightlog.TrimSeries.State;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Three flights settle, one click confirms. */
class ConfirmationTest {
  private static Confirmation after(int flown, int flights) {
    PhaseOutcome planned =
        new PhaseOutcome(
            "cruise",
            "Cruise",
            true,
            new Trims(0, 12, 0),
            new Trims(0, 1, 0),
            List.of(0.0, 1.2, 0.0),
            List.of());
    TrimSeries since =
        new TrimSeries(
            "cruise",
            Control.PITCH,
            State.NOT_YET,
            flown,
            flights,
            Said.NOTHING,
            List.of(),
            0,
            "",
            List.of());
    return Confirmation.of(Rigs.plain(), planned, Control.PITCH, since);
  }

  @Test
  void withinAClickItIsConfirmed() {
    Confirmation found = after(2, 1);
    assertThat(found.done()).isTrue();
    assertThat(found.before()).isEqualTo(12);
    assertThat(found.predicted()).isEqualTo(1);
    assertThat(found.flown()).isEqualTo(2);
    assertThat(found.flights()).isEqualTo(1);
    assertThat(found.phaseName()).isEqualTo("Cruise");
    assertThat(after(0, 3).done()).isTrue();
    assertThat(say(found.words())).contains("2 clicks nose up, 1 click");
  }

  @Test
  void beyondThatOneFlightSaysNothingYet() {
    Confirmation found = after(4, 1);
    assertThat(found.done()).isFalse();
    assertThat(say(found.words())).contains("2 more calm flights");
    assertThat(say(after(-3, 2).words())).contains("one more calm flight");
  }

  @Test
  void settledElsewhereIsWeighed() {
    assertThat(say(after(4, 3).words())).contains("settled, but not where");
  }
}
