package hightally.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hightally.core.DemoModels;
import hightally.core.English;
import hightally.core.edit.Copies.Copied;
import hightally.core.edit.Copies.CopyWish;
import hightally.core.program.ConditionKind;
import hightally.core.program.Mix;
import hightally.core.program.MixSource;
import hightally.core.program.MixTarget;
import hightally.core.program.Phase;
import hightally.core.program.PhaseRole;
import hightally.core.program.Trims;
import hightally.core.quantity.InvalidInputException;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.List;
import org.junit.jupiter.api.Test;

class CopiesTest {
  private static final Setup GLIDER = DemoModels.read("larkmere");
  private static final Setup BIPLANE = DemoModels.read("quillon");

  private static Setup copied(Setup setup, Copied what, String from, String to) {
    return Copies.of(new CopyWish(setup, what, from, to), English.NAMES);
  }

  @Test
  void aPhaseTakesPresetsDifferentialAndTrimsAndKeepsItsOwnName() {
    Setup made = copied(GLIDER, Copied.PHASE, "thermal-2", "thermal-1");
    Phase from = made.phase("thermal-2").orElseThrow();
    Phase to = made.phase("thermal-1").orElseThrow();
    Phase was = GLIDER.phase("thermal-1").orElseThrow();
    assertThat(to.presets()).isEqualTo(from.presets()).isNotEqualTo(was.presets());
    assertThat(to.differential()).isEqualTo(from.differential());
    assertThat(to.trims()).isEqualTo(from.trims());
    assertThat(to.name()).isEqualTo(was.name());
    assertThat(to.when()).isEqualTo(was.when());
    assertThat(to.fadeSeconds()).isEqualTo(was.fadeSeconds());
  }

  @Test
  void aMixIsCopiedBesideItselfAndDoublesWhatItDoes() {
    Mix first = GLIDER.mixes().get(0);
    Setup made = copied(GLIDER, Copied.MIX, first.id(), "");
    Mix copy = made.mixes().get(made.mixes().size() - 1);
    assertThat(copy.id()).isNotEqualTo(first.id());
    assertThat(copy.targets()).isEqualTo(first.targets());
    assertThat(copy.curve()).isEqualTo(first.curve());
    assertThat(made.mixes()).hasSize(GLIDER.mixes().size() + 1);
  }

  @Test
  void aMirroredMixMovesTheOtherSide() {
    Mix half =
        GLIDER
            .mixes()
            .get(0)
            .from(MixSource.SURFACE, "aileron-left")
            .moving(List.of(new MixTarget("flap-left", 0.5, 0.5)));
    Setup one = GLIDER.change().mixes(List.of(half)).done();
    Setup made = copied(one, Copied.MIX_MIRRORED, half.id(), "");
    Mix copy = made.mixes().get(1);
    assertThat(copy.subject()).isEqualTo("aileron-right");
    assertThat(copy.targets()).containsExactly(new MixTarget("flap-right", 0.5, 0.5));
    Mix centred = half.from(MixSource.RESPONSE, "yaw").moving(List.of(MixTarget.even("m", 1)));
    assertThat(centred.targets()).hasSize(1);
    assertThatThrownBy(
            () ->
                copied(
                    BIPLANE
                        .change()
                        .mixes(
                            List.of(
                                half.from(MixSource.RESPONSE, "yaw")
                                    .moving(List.of(MixTarget.even("rudder", 0.1)))
                                    .acting("", List.of())))
                        .done(),
                    Copied.MIX_MIRRORED,
                    half.id(),
                    ""))
        .isInstanceOf(InvalidInputException.class);
  }

  @Test
  void aSetAndACurve() {
    String set = GLIDER.feelSets().get(0).id();
    Setup sets = copied(GLIDER, Copied.FEEL_SET, set, "");
    assertThat(sets.feelSets()).hasSize(GLIDER.feelSets().size() + 1);
    assertThat(sets.feelSets().get(sets.feelSets().size() - 1).feel())
        .isEqualTo(GLIDER.feelSets().get(0).feel());
    Setup curves = copied(GLIDER, Copied.THROTTLE_CURVE, "1", "thermal-1");
    assertThat(curves.power().curve("thermal-1").points())
        .isEqualTo(GLIDER.power().curves().get(0).points());
    assertThatThrownBy(() -> copied(GLIDER, Copied.THROTTLE_CURVE, "9", "thermal-1"))
        .isInstanceOf(InvalidInputException.class);
    assertThatThrownBy(() -> copied(GLIDER, Copied.PHASE, "thermal-1", "nowhere"))
        .isInstanceOf(InvalidInputException.class);
  }

  @Test
  void theUsualPhasesMoveNothingYet() {
    Setup start =
        PhasesStart.of(
            new PhasesStart.PhasesWish(
                BIPLANE, PhasesStart.Layout.START_CRUISE_LANDING, "front-left-switch", ""),
            English.NAMES);
    assertThat(start.phases().stream().map(Phase::role))
        .containsExactly(PhaseRole.LANDING, PhaseRole.LAUNCH, PhaseRole.CRUISE);
    SignalPath path = SignalPath.of(start);
    Moment rest = Moment.centred(Trims.ZERO);
    for (int i = 0; i < 3; i++) {
      assertThat(path.evaluate(rest, i).travelMm())
          .isEqualTo(SignalPath.of(BIPLANE).evaluate(rest).travelMm());
    }
    assertThatThrownBy(
            () ->
                PhasesStart.of(
                    new PhasesStart.PhasesWish(
                        BIPLANE,
                        PhasesStart.Layout.SPEED_CRUISE_THERMALS_LANDING,
                        "front-left-switch",
                        "front-left-switch"),
                    English.NAMES))
        .isInstanceOf(InvalidInputException.class);
  }

  @Test
  void aPositionOfASwitchIsOneConditionHoweverOftenItIsAskedFor() {
    var wish = new SwitchedOn.SwitchWish(BIPLANE, "front-left-switch", 2);
    Setup once = SwitchedOn.of(wish, English.NAMES);
    String id = SwitchedOn.existing(once, "front-left-switch", 2).orElseThrow();
    assertThat(once.conditions())
        .filteredOn(one -> one.id().equals(id))
        .singleElement()
        .satisfies(
            one -> {
              assertThat(one.kind()).isEqualTo(ConditionKind.SWITCH_AT);
              assertThat(one.limit()).isEqualTo(2);
            });
    Setup twice =
        SwitchedOn.of(new SwitchedOn.SwitchWish(once, "front-left-switch", 2), English.NAMES);
    assertThat(twice).isEqualTo(once);
    assertThatThrownBy(
            () ->
                SwitchedOn.of(
                    new SwitchedOn.SwitchWish(BIPLANE, "front-left-switch", 5), English.NAMES))
        .isInstanceOf(InvalidInputException.class);
  }
}
