package hightally.core.sheet;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.Rigs;
import hightally.core.airframe.Surface;
import hightally.core.plain.PlainModel;
import hightally.core.plain.RandomPrograms;
import hightally.core.program.NoseNote;
import hightally.core.program.Phase;
import hightally.core.program.Trims;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.List;
import java.util.Random;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/** What another phase would bring, against a plain second way, and what is said of the nose. */
class FlickPreviewTest {
  @Property(tries = 150)
  void everySurfaceThatWouldMoveIsToldWithTheSticksAsTheyStand(@ForAll long seed) {
    Setup setup = RandomPrograms.of(seed);
    PlainModel plain = new PlainModel(setup);
    Moment moment = RandomPrograms.moment(new Random(seed));
    int on = plain.phase(moment);
    List<FlickPreview> found = FlickPreview.of(SignalPath.of(setup), moment);
    assertThat(found).hasSize(setup.phases().size() - 1);
    for (FlickPreview one : found) {
      List<String> ids = setup.phases().stream().map(Phase::id).toList();
      int to = ids.indexOf(one.phase());
      assertThat(to).isNotEqualTo(on);
      for (Surface surface : setup.surfaces()) {
        double from = plain.travel(surface, moment, on);
        double then = plain.travel(surface, moment, to);
        List<FlickPreview.Move> moves =
            one.moves().stream().filter(move -> move.surface().equals(surface.id())).toList();
        if (Math.abs(Math.abs(then - from) - 0.1) > 1e-3) {
          assertThat(moves).hasSize(Math.abs(then - from) > 0.1 ? 1 : 0);
        }
        for (FlickPreview.Move move : moves) {
          assertThat(move.mm()).isCloseTo(then - from, within(1e-4));
          assertThat(move.toMm()).isCloseTo(then, within(1e-4));
        }
      }
    }
  }

  @Example
  void nothingIsClaimedOfTheNoseThatWasNotFlown() {
    Setup setup = Rigs.programmed(3);
    assertThat(words(setup)).contains("what the nose does was not noted yet");
    assertThat(words(noted(setup, NoseNote.UP_CLEARLY)))
        .contains("Thermal: ")
        .contains("the nose was seen to go up clearly")
        .doesNotContain("not noted");
    assertThat(words(noted(setup, NoseNote.LEVEL))).contains("seen to stay level");
  }

  private static String words(Setup setup) {
    return say(FlickPreview.of(SignalPath.of(setup), Moment.centred(Trims.ZERO)).get(0).words());
  }

  private static Setup noted(Setup setup, NoseNote nose) {
    Phase one = setup.phases().get(0);
    Phase noted =
        new Phase(
            one.id(),
            one.name(),
            one.goal(),
            one.role(),
            one.when(),
            one.fadeSeconds(),
            one.presets(),
            one.differential(),
            one.ownRoll(),
            one.ownPitch(),
            one.ownYaw(),
            one.trims(),
            nose);
    return setup.change().phases(List.of(noted, setup.basePhase())).done();
  }
}
