package hightally.core.probe;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.DemoModels;
import hightally.core.Rigs;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

class ProbeWordsTest {
  private static final int PROGRAMS = 40;

  /** Every look of every model, with and without sub-trim, and every change can be said. */
  @Test
  void everyLookAndEveryChangeIsSaid() {
    Set<LookKind> looked = EnumSet.noneOf(LookKind.class);
    Set<RigPart> differs = EnumSet.noneOf(RigPart.class);
    for (Setup setup : models()) {
      ProbeWords words = new ProbeWords(setup);
      for (Look look : Probe.of(setup).looks()) {
        looked.add(look.kind());
        assertThat(say(words.title(look))).isNotBlank();
        assertThat(say(words.instruction(look))).isNotBlank();
        say(words.caution(look));
        assertThat(look.picture())
            .allSatisfy(drawn -> assertThat(say(words.line(look, drawn))).isNotBlank());
      }
      for (RigDifference one : Differences.of(setup)) {
        differs.add(one.part());
        assertThat(say(words.change(one))).isNotBlank();
        assertThat(say(words.note(one))).isNotBlank();
      }
    }
    assertThat(looked).containsExactlyInAnyOrder(LookKind.values());
    assertThat(differs).containsExactlyInAnyOrder(RigPart.values());
  }

  /** While anything else is to be looked at, no motor is touched. */
  @Test
  void motorsComeLast() {
    for (Setup setup : DemoModels.all()) {
      Probe probe = Probe.of(setup);
      List<LookAnswer> answers = new ArrayList<>();
      ProbeStanding standing = probe.standing(answers);
      boolean motor = false;
      while (standing.stage() == ProbeStage.LOOKING) {
        Look look = standing.next();
        assertThat(motor && look.kind() != LookKind.MOTOR).as(look.id()).isFalse();
        motor |= look.kind() == LookKind.MOTOR;
        answers.add(
            new LookAnswer(
                look.id(),
                look.picture().stream()
                    .filter(Look.Drawn::told)
                    .map(one -> new LookAnswer.Sight(one.surface(), one.way()))
                    .toList()));
        standing = probe.standing(answers);
      }
      assertThat(standing.stage()).isEqualTo(ProbeStage.AGREED);
      assertThat(motor).isEqualTo(!setup.airframe().motors().isEmpty());
    }
  }

  private static List<Setup> models() {
    List<Setup> models = new ArrayList<>(DemoModels.all());
    DemoModels.all().stream().map(ProbeProofTest::withoutSubTrim).forEach(models::add);
    for (int seed = 0; seed < PROGRAMS; seed++) {
      models.add(Rigs.programmed(seed));
    }
    return models;
  }

  /** Every way drawn in a look is what a rig as described shows, by a plain second way. */
  @Test
  void everyWayDrawnIsWhatTheModelDoes() {
    int drawn = 0;
    for (Setup setup : DemoModels.all()) {
      SimulatedRig rig = new SimulatedRig(setup, List.of());
      for (Look look : Probe.of(setup).looks()) {
        LookAnswer seen = rig.look(look);
        for (Look.Drawn one : look.picture()) {
          for (LookAnswer.Sight sight : seen.seen()) {
            if (one.told() && sight.surface().equals(one.surface())) {
              assertThat(sight.way())
                  .as("%s, %s, %s", setup.name(), look.id(), one.surface())
                  .isEqualTo(one.way());
              drawn++;
            }
          }
        }
      }
    }
    assertThat(drawn).isGreaterThan(500);
  }
}
