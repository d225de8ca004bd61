package hightally.core.words;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.quantity.Clicks;
import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Turns;
import hightally.core.quantity.Unit;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WordsTest {
  private static final Words PLAIN = Words.of(Wording.PLAIN);
  private static final Words INCHES =
      Words.of(new Wording(Locale.ENGLISH, Wording.Length.INCHES, true));

  private static String alone(Words words, Object value) {
    return words.say(Said.list(List.of(value)));
  }

  @ParameterizedTest
  @CsvSource({
    "0,0 turn out",
    "1,⅙ turn out",
    "3,½ turn out",
    "6,1 turn out",
    "9,1½ turns out",
    "-9,1½ turns in",
    "14,2⅓ turns out",
    "-5,⅚ turn in",
    "24,4 turns out"
  })
  void turnsReadAsFractionsAndSayWhichWay(long sixths, String text) {
    assertThat(alone(PLAIN, new Turns(sixths))).isEqualTo(text);
  }

  @ParameterizedTest
  @CsvSource({
    "ROLL,-1,1 click left",
    "PITCH,3,3 clicks nose up",
    "PITCH,-14,14 clicks nose down",
    "YAW,2,2 clicks nose right",
    "YAW,0,0 clicks"
  })
  void clicksSayWhichWayAndNeverASign(Control control, int count, String text) {
    assertThat(alone(PLAIN, new Clicks(control, count))).isEqualTo(text);
  }

  @Test
  void numbersAreInTheReadersUnitsWithATrueMinusAndHisMark() {
    assertThat(alone(PLAIN, Quantity.mm(-2.54))).isEqualTo("−2.5 mm");
    assertThat(alone(PLAIN, Quantity.mm(-0.04))).as("no minus nothing").isEqualTo("0.0 mm");
    assertThat(alone(INCHES, Quantity.mm(25.4))).isEqualTo("1,000 in");
    assertThat(alone(INCHES, Quantity.degrees(-3.25, 1))).isEqualTo("−3,3°");
    assertThat(alone(INCHES, 0.5)).isEqualTo("0,5");
    assertThat(alone(INCHES, Unit.MILLIMETRES)).isEqualTo("in");
    assertThat(alone(PLAIN, new Quantity(1, Unit.CLICKS, -1))).isEqualTo("1 click");
    assertThat(alone(PLAIN, new Quantity(-12.5, Unit.CLICKS, -1))).isEqualTo("−12.5 clicks");
  }

  @Test
  void listsEndWithAWordAndNothingIsLeftOut() {
    assertThat(PLAIN.say(Said.list(List.of("a", "b", "c")))).isEqualTo("a, b and c");
    assertThat(PLAIN.say(Said.all(Said.NOTHING, Said.text("One."), Said.text("Two."))))
        .isEqualTo("One. Two.");
    assertThat(Said.all(Said.NOTHING, Said.NOTHING)).isEqualTo(Said.NOTHING);
  }

  @Test
  void aLanguageThatIsNotThereIsToldInEnglish() {
    Words unknown = Words.of(new Wording(Locale.JAPANESE, Wording.Length.MILLIMETRES, false));
    assertThat(Words.speaks(Locale.JAPANESE)).isFalse();
    assertThat(unknown.say(Said.of("place.rest"))).isEqualTo("at rest");
  }
}
