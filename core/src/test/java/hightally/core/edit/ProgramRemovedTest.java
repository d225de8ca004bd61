package hightally.core.edit;

import static hightally.core.English.say;
import static hightally.core.English.saying;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hightally.core.Rigs;
import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.program.Mix;
import hightally.core.program.MixSource;
import hightally.core.program.Phase;
import hightally.core.quantity.InvalidInputException;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class ProgramRemovedTest {
  /** One mix acts in the phase only, one in both, a condition looks at the phase. */
  private static Setup used() {
    Setup setup = Rigs.programmed(7);
    String base = setup.basePhase().id();
    Mix only = Rigs.mix("only", MixSource.STICK, "yaw", "left", 5, List.of());
    Mix both = Rigs.mix("both", MixSource.STICK, "yaw", "right", 5, List.of());
    List<Condition> conditions = new ArrayList<>(setup.conditions());
    conditions.add(
        new Condition("in", "In thermal", ConditionKind.PHASE, "thermal", 0, List.of(), 0));
    conditions.add(
        new Condition("not-in", "Elsewhere", ConditionKind.NOT, "", 0, List.of("in"), 0));
    return setup
        .change()
        .conditions(conditions)
        .mixes(
            List.of(
                only.acting("", List.of("thermal")),
                both.acting("", List.of("thermal", base)),
                Rigs.mix("free", MixSource.STICK, "yaw", "left", 2, List.of())))
        .done();
  }

  @Test
  void whatActsElsewhereStaysAndTheRestGoesNamed() {
    ProgramRemoved.Removal removal =
        ProgramRemoved.of(new ProgramRemoved.RemovalAsked(used(), "thermal"));
    assertThat(removal.setup().phases()).extracting(Phase::id).doesNotContain("thermal");
    assertThat(removal.setup().mixes()).extracting(Mix::id).containsExactly("both", "free");
    assertThat(removal.setup().conditions()).extracting(Condition::id).containsExactly("three");
    assertThat(say(removal.notes()))
        .contains(
            "Mix “only” acts only in this phase, so it is removed too.",
            "Mix “both” stays in its other phases.",
            "Condition “Elsewhere” is built from it, so it is removed too.");
  }

  @Test
  void aConditionTakesThePhaseItSwitchesWithIt() {
    ProgramRemoved.Removal removal =
        ProgramRemoved.of(new ProgramRemoved.RemovalAsked(used(), "three"));
    assertThat(removal.setup().phases()).hasSize(1);
    assertThat(removal.setup().conditions()).isEmpty();
    assertThat(say(removal.notes()))
        .contains("It switches phase “Thermal”, so that is removed too.");
  }

  @Test
  void theLastPhaseStays() {
    Setup setup = used();
    assertThatThrownBy(
            () -> ProgramRemoved.of(new ProgramRemoved.RemovalAsked(setup, setup.basePhase().id())))
        .isInstanceOf(InvalidInputException.class)
        .satisfies(saying("not the phase that is on when no other is"));
  }
}
