package hightally.core.quantity;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;

class ValidationTest {
  record Inner(@Within(min = 1, max = 3, unit = Unit.MILLIMETRES) double size) {}

  record Outer(@Text(max = 5) String name, List<Inner> parts, @Within(min = 0, max = 1) Double part)
      implements SelfChecked {
    @Override
    public void check(String path, java.util.function.Consumer<Violation> found) {
      found.accept(
          Violation.of(path + "self", "asked", Said.text("asked only when the rest is in order")));
    }
  }

  @Test
  void everyViolationIsFoundWithItsPathValueAndRange() {
    Outer outer = new Outer("  ", List.of(new Inner(2), new Inner(Double.NaN)), null);
    assertThat(Validation.violations(outer))
        .extracting(violation -> say(violation.sentence()))
        .containsExactly(
            "name is “  ”; it must be a text of 1 to 5 characters.",
            "parts[1].size is NaN; it must be 1 to 3 mm.",
            "part is missing; it must be given.");
    assertThatThrownBy(() -> Validation.check(outer))
        .isInstanceOfSatisfying(
            InvalidInputException.class,
            e -> assertThat(say(e.said())).contains("parts[1].size is NaN; it must be 1 to 3 mm."));
  }

  @Test
  void aRecordIsAskedForItselfOnlyWhenItsPartsAreInOrder() {
    assertThat(Validation.violations(new Outer("ok", List.of(), 0.5)))
        .extracting(Violation::field)
        .containsExactly("self");
  }
}
