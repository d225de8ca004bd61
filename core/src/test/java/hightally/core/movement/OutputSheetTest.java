package hightally.core.movement;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hightally.core.Rigs;
import hightally.core.channel.Channel;
import hightally.core.movement.OutputSheet.OutputFigure;
import hightally.core.movement.OutputSheet.OutputWish;
import hightally.core.plain.PlainModel;
import hightally.core.plain.RandomPrograms;
import hightally.core.quantity.InvalidInputException;
import hightally.core.setup.Setup;
import hightally.core.signal.SignalPath;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/** Endpoints, limits and sub-trims by the surface's own sides, worked out the plain way. */
class OutputSheetTest {
  private static Setup set(
      Setup setup, OutputFigure figure, boolean plus, double value, boolean pair) {
    return OutputSheet.set(new OutputWish(setup, "left", figure, plus, value, pair));
  }

  private static OutputSheet.Row row(Setup setup, int index) {
    return OutputSheet.of(setup, "left").rows().get(index);
  }

  /** Where the surface goes for a pulse, by the plain way. */
  private static double degrees(Setup setup, String surface, double pulse) {
    return new PlainModel(setup).degrees(setup.surface(surface).orElseThrow(), pulse);
  }

  @Property(tries = 30)
  void theSideCalledUpIsTheOneThatGoesUp(@ForAll long seed) {
    Setup setup = RandomPrograms.of(seed);
    for (OutputSheet.Row row : OutputSheet.of(setup, "left").rows()) {
      boolean up = degrees(setup, row.surface(), 1700) > degrees(setup, row.surface(), 1300);
      assertThat(row.highIsPlus()).isEqualTo(up);
      Channel channel = setup.channel(row.channel()).orElseThrow();
      assertThat(row.plusEndpoint())
          .isEqualTo(up ? channel.endpointHighPercent() : channel.endpointLowPercent());
    }
  }

  @Property(tries = 30)
  void aSubTrimRaisesOrLowersAsItSays(@ForAll long seed, @ForAll boolean plus) {
    Setup setup = RandomPrograms.of(seed);
    Setup none = set(setup, OutputFigure.SUB_TRIM, plus, 0, false);
    Setup some = set(setup, OutputFigure.SUB_TRIM, plus, 60, false);
    PlainModel before = new PlainModel(none);
    PlainModel after = new PlainModel(some);
    double was = degrees(none, "left", before.pulse(none.channels().get(0), 0));
    double is = degrees(some, "left", after.pulse(some.channels().get(0), 0));
    assertThat(is > was).isEqualTo(plus);
    assertThat(row(some, 0).subTrimMicroseconds()).isEqualTo(60);
    assertThat(row(some, 0).subTrimPlus()).isEqualTo(plus);
    assertThat(row(some, 0).channelSubTrim())
        .isEqualTo(some.channels().get(0).subTrimMicroseconds());
  }

  /** The pulse never passes the limit, and is as before short of it; by hand: 500 µs · 60 %. */
  @Property(tries = 30)
  void aLimitOfTravelHoldsWhateverIsAsked(@ForAll long seed) {
    Setup setup = RandomPrograms.of(seed);
    Setup limited = set(setup, OutputFigure.LIMIT, true, 60, false);
    SignalPath path = SignalPath.of(limited);
    PlainModel free = new PlainModel(setup);
    boolean high = row(limited, 0).highIsPlus();
    for (double command = -150; command <= 150; command += 7.5) {
      double before = free.pulse(setup.channels().get(0), command);
      double edge = high ? Math.min(before, 1800) : Math.max(before, 1200);
      assertThat(path.output(0).pulse(command)).isCloseTo(edge, within(1e-9));
    }
  }

  @Test
  void aPairGetsTheSameOnTheSameSideThoughOneServoIsMirrored() {
    Setup setup = Rigs.plain();
    Setup both = set(setup, OutputFigure.ENDPOINT, true, 80, true);
    // The rods are alike, the right servo is mirrored: up is the high side of one, the low of one.
    assertThat(row(both, 0).highIsPlus()).isNotEqualTo(row(both, 1).highIsPlus());
    assertThat(List.of(row(both, 0), row(both, 1)))
        .allSatisfy(
            one -> {
              assertThat(one.plusEndpoint()).isEqualTo(80);
              assertThat(one.minusEndpoint()).isEqualTo(100);
            });
    assertThat(OutputSheet.of(both, "left").alike()).isTrue();
    Setup one = set(both, OutputFigure.ENDPOINT, false, 70, false);
    assertThat(row(one, 1)).isEqualTo(row(both, 1));
    assertThat(OutputSheet.of(one, "left").alike()).isFalse();
    assertThat(row(one, 0).shares()).containsExactly("slave");
  }

  @Test
  void whatATransmitterCannotHoldIsRefused() {
    assertThatThrownBy(() -> set(Rigs.plain(), OutputFigure.ENDPOINT, true, 230, false))
        .isInstanceOf(InvalidInputException.class)
        .hasMessageContaining("endpoint");
    assertThatThrownBy(() -> set(Rigs.plain(), OutputFigure.SUB_TRIM, true, -5, false))
        .isInstanceOf(InvalidInputException.class)
        .hasMessageContaining("value");
  }
}
