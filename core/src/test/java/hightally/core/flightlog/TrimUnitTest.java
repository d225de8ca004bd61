package hightally.core.flightlog;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.Rigs;
import hightally.core.channel.Transmitter;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The test transmitter: half a percent a click, 500 µs for 100 %, so 2.5 µs a click. */
class TrimUnitTest {
  private static final Transmitter TRANSMITTER = Rigs.plain().transmitter();

  @ParameterizedTest
  @CsvSource({
    "CLICKS, 7, 7",
    "CLICKS, -60, -60",
    "PERCENT, 7, 3.5",
    "PERCENT, -1, -0.5",
    "MICROSECONDS, 7, 17.5",
    "MICROSECONDS, -60, -150"
  })
  void clicksReadAsTheTransmitterShowsThem(TrimUnit unit, int clicks, double shown) {
    assertThat(unit.shown(TRANSMITTER, clicks)).isCloseTo(shown, within(1e-9));
    assertThat(unit.clicks(TRANSMITTER, shown)).isEqualTo(clicks);
  }

  /** 4.1 µs is nearer to two clicks, 5 µs, than to one; a third of a percent is one click. */
  @Test
  void whatLiesBetweenIsTheNearestClick() {
    assertThat(TrimUnit.MICROSECONDS.clicks(TRANSMITTER, 4.1)).isEqualTo(2);
    assertThat(TrimUnit.PERCENT.clicks(TRANSMITTER, -0.33)).isEqualTo(-1);
    assertThat(TrimUnit.CLICKS.clicks(TRANSMITTER, 2.4)).isEqualTo(2);
  }

  @ParameterizedTest
  @EnumSource(TrimUnit.class)
  void everyClickComesBack(TrimUnit unit) {
    for (int clicks = -60; clicks <= 60; clicks++) {
      assertThat(unit.clicks(TRANSMITTER, unit.shown(TRANSMITTER, clicks))).isEqualTo(clicks);
    }
  }
}
