package hightally.core.channel;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.quantity.Control;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Which thumb does what: the four modes as pilots number them. */
class StickWordsTest {
  @ParameterizedTest
  @CsvSource({
    "1, right, left, left, right",
    "2, right, right, left, left",
    "3, left, left, right, right",
    "4, left, right, right, left"
  })
  void everyModeHasItsThumbs(int mode, String roll, String pitch, String yaw, String throttle) {
    assertThat(say(StickWords.to(mode, Control.ROLL, 1))).isEqualTo(roll + " stick to the right");
    assertThat(say(StickWords.to(mode, Control.ROLL, -1))).isEqualTo(roll + " stick to the left");
    assertThat(say(StickWords.to(mode, Control.YAW, 1))).isEqualTo(yaw + " stick to the right");
    assertThat(say(StickWords.to(mode, Control.PITCH, 1))).isEqualTo(pitch + " stick towards you");
    assertThat(say(StickWords.to(mode, Control.PITCH, -1)))
        .isEqualTo(pitch + " stick away from you");
    assertThat(say(StickWords.throttle(mode))).isEqualTo(throttle + " stick");
  }
}
