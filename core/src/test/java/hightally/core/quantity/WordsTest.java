package hightally.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hightally.core.phase.Trims;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WordsTest {
  @ParameterizedTest
  @CsvSource({"0,0", "1,⅙", "3,½", "6,1", "9,1½", "-9,1½", "14,2⅓", "-5,⅚", "24,4"})
  void turnsReadAsFractions(long sixths, String text) {
    assertThat(Words.turns(sixths)).isEqualTo(text);
  }

  @ParameterizedTest
  @CsvSource({"1,turn", "6,turn", "-6,turn", "9,turns", "-12,turns"})
  void moreThanOneTurnIsTurns(long sixths, String word) {
    assertThat(Words.turnWord(sixths)).isEqualTo(word);
  }

  @Test
  void clicksSayWhichWay() {
    assertThat(Words.clicks(Control.ROLL, -1)).isEqualTo("1 click left");
    assertThat(Words.clicks(Control.PITCH, 4)).isEqualTo("4 clicks up");
    assertThat(Words.clicks(Control.YAW, 0)).isEqualTo("0 clicks");
    assertThat(new Trims(-2, 0, 3).words(control -> control != Control.YAW))
        .isEqualTo("roll 2 clicks left");
  }

  record Inner(@Within(min = 1, max = 3, unit = "mm", label = "Size") double size) {}

  record Outer(
      @Text(label = "Name", max = 5) String name,
      List<Inner> parts,
      @Within(min = 0, max = 1, label = "Part") Double part)
      implements SelfChecked {
    @Override
    public void check(String path, java.util.function.Consumer<Violation> found) {
      found.accept(new Violation(path + "self", "asked", "asked only when the rest is in order"));
    }
  }

  @Test
  void everyViolationIsFoundWithItsPathValueAndRange() {
    Outer outer = new Outer("  ", List.of(new Inner(2), new Inner(Double.NaN)), null);
    assertThat(Validation.violations(outer))
        .containsExactly(
            new Violation("name", "\"  \"", "a text of 1 to 5 characters"),
            new Violation("parts[1].size", "NaN", "1 to 3 mm"),
            new Violation("part", "missing", "given"));
    assertThatThrownBy(() -> Validation.check(outer))
        .hasMessageContaining("parts[1].size is NaN; it must be 1 to 3 mm.");
  }

  @Test
  void aRecordIsAskedForItselfOnlyWhenItsPartsAreInOrder() {
    assertThat(Validation.violations(new Outer("ok", List.of(), 0.5)))
        .extracting(Violation::field)
        .containsExactly("self");
  }
}
