package hightally.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.DemoModels;
import hightally.core.English;
import hightally.core.setup.Setup;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What the positions of the demo glider's switches are called, by hand from its description. */
class SwitchWordsTest {
  private static List<String> words(Setup setup, String input) {
    return ProgramSheet.of(setup).switches().stream()
        .filter(one -> one.input().equals(input))
        .map(one -> English.say(one.brings()))
        .toList();
  }

  @Test
  void aPositionIsCalledByWhatItBringsOrThatItIsForAllElse() {
    Setup glider = DemoModels.read("larkmere");
    List<String> front = words(glider, "front-left-switch");
    assertThat(front.get(0)).contains("Speed");
    assertThat(front.get(1)).isEqualTo("normal: Cruise");
    assertThat(front.get(2)).contains("Thermal 1");
    List<String> second = words(glider, "front-right-switch");
    assertThat(second.get(2)).contains("Landing");
  }

  @Test
  void aSwitchNothingListensToSaysNothing() {
    Setup plain = DemoModels.read("quillon");
    Setup bare =
        plain
            .change()
            .conditions(List.of())
            .feelSets(List.of())
            .power(hightally.core.program.Power.PLAIN)
            .mixes(List.of())
            .done();
    assertThat(ProgramSheet.of(bare).switches())
        .allMatch(one -> English.say(one.brings()).isEmpty());
  }
}
