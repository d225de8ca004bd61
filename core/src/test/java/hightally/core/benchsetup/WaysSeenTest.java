package hightally.core.benchsetup;

import static hightally.core.English.say;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hightally.core.DemoModels;
import hightally.core.Rigs;
import hightally.core.airframe.PartChange;
import hightally.core.airframe.PartChange.PartKind;
import hightally.core.edit.Edit;
import hightally.core.edit.Edits;
import hightally.core.edit.Figure;
import hightally.core.probe.Look;
import hightally.core.probe.LookAnswer;
import hightally.core.probe.LookAnswer.Sight;
import hightally.core.probe.ProbeStage;
import hightally.core.probe.RigDifference;
import hightally.core.probe.RigPart;
import hightally.core.probe.SimulatedRig;
import hightally.core.quantity.InvalidInputException;
import hightally.core.setup.Setup;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Looks kept as answers of a set-up, at models that are put together otherwise than described. */
class WaysSeenTest {
  private static final int ENDLESS = 90;
  private static final Setup PLAIN = Rigs.plain();

  private final List<BenchLook> rows = new ArrayList<>();
  private final List<PartNoted> parts = new ArrayList<>();
  private Instant at = Instant.parse("2026-05-01T10:00:00Z");
  private Setup now = PLAIN;

  private void add(StepAnswer answer) {
    at = at.plusSeconds(10);
    rows.add(new BenchLook(answer, now, at));
  }

  private WaysSeen seen() {
    return WaysSeen.of(now, rows, parts);
  }

  private WaysSeen.WaysLeft left() {
    return seen().left(Instant.MIN);
  }

  private Look next() {
    return seen().told().next().look();
  }

  /** Leads a rig to where it agrees; every step of the way grounds, or is open, until then. */
  private void lead(SimulatedRig rig) {
    for (int round = 0; round < ENDLESS; round++) {
      WaysSeen seen = seen();
      ProbeStage stage = seen.told().stage();
      if (stage == ProbeStage.AGREED) {
        assertThat(left()).isEqualTo(new WaysSeen.WaysLeft(List.of(), false));
        return;
      }
      if (!rows.isEmpty()) {
        assertThat(left().open()).as("either is said").isEqualTo(left().wrong().isEmpty());
      }
      if (stage == ProbeStage.MENDING) {
        assertThat(left().wrong()).hasSize(1);
        WaysSeen.WaysMended mended = seen.mended().orElseThrow();
        seen.told().changes().forEach(one -> rig.mend(one.change()));
        now = mended.setup();
        mended.words().forEach(this::add);
      } else {
        assertThat(seen.mended()).isEmpty();
        add(seen.kept(rig.look(seen.told().next().look())));
      }
    }
    throw new AssertionError("no end for " + now.name());
  }

  @Test
  void everyRigIsLedHomeByWhatIsKeptOfItsLooks() {
    List<Setup> kinds = DemoModels.all();
    for (int i = 0; i < 12; i++) {
      Random random = new Random(700 + i);
      rows.clear();
      now = kinds.get(i % kinds.size());
      List<RigDifference> hidden = hidden(now, i % 4, random);
      SimulatedRig rig = new SimulatedRig(now, hidden);
      lead(rig);
      assertThat(rig.awayFrom(now)).as("%s with %s", now.name(), hidden).isEmpty();
      assertThat(WaysSeen.log(rows))
          .hasSameSizeAs(rows)
          .allSatisfy(one -> assertThat(say(one)).isNotEmpty());
    }
  }

  private static List<RigDifference> hidden(Setup setup, int count, Random random) {
    List<RigDifference> all = new ArrayList<>();
    for (Look look : hightally.core.probe.Probe.of(setup).looks()) {
      if (look.kind() == hightally.core.probe.LookKind.NUDGE) {
        all.add(new RigDifference(RigPart.CHANNEL_SIGN, look.subject(), ""));
      }
    }
    setup.servos().forEach(one -> all.add(new RigDifference(RigPart.SERVO_SENSE, one.id(), "")));
    setup.surfaces().forEach(one -> all.add(new RigDifference(RigPart.HORN_SIDE, one.id(), "")));
    List<RigDifference> hidden = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      hidden.add(all.remove(random.nextInt(all.size())));
    }
    return hidden;
  }

  @Test
  void nothingIsSaidBeforeAnythingWasSeen() {
    assertThat(left()).isEqualTo(new WaysSeen.WaysLeft(List.of(), false));
    assertThat(seen().verdict()).isEmpty();
    assertThat(seen().back()).isEmpty();
    add(new StepAnswer(WaysSeen.STEP, "", List.of()));
    assertThat(left().open()).as("the step was only passed").isFalse();
  }

  @Test
  void whatIsSeenWrongGroundsUntilItIsSeenRightOrCheckedAsAWhole() {
    Look look = next();
    List<Sight> seen = new ArrayList<>();
    look.picture().forEach(one -> seen.add(new Sight(one.surface(), -one.way())));
    seen.removeIf(one -> PLAIN.surface(one.surface()).isEmpty());
    add(seen().kept(new LookAnswer(look.id(), seen)));
    assertThat(left().wrong()).hasSize(1);
    assertThat(left().open()).isFalse();
    assertThat(say(WaysSeen.log(rows).get(0))).contains("not as drawn");
    assertThat(seen().left(at)).isEqualTo(new WaysSeen.WaysLeft(List.of(), false));
    assertThat(seen().left(at.minusSeconds(1)).wrong()).hasSize(1);
    add(seen().back().orElseThrow());
    assertThat(seen().answers()).isEmpty();
    assertThat(left()).as("begun").isEqualTo(new WaysSeen.WaysLeft(List.of(), true));
    assertThat(say(WaysSeen.log(rows).get(1))).contains("taken back");
    lead(new SimulatedRig(now, List.of()));
  }

  @Test
  void allBeginsAgainWhenThePilotSaysSo() {
    lead(new SimulatedRig(now, List.of()));
    assertThat(seen().verdict().orElseThrow().agrees()).isTrue();
    add(WaysSeen.again());
    assertThat(seen().answers()).isEmpty();
    assertThat(seen().changed()).isFalse();
    assertThat(left().open()).isTrue();
  }

  /** The one that may have changed is asked again, whatever its picture is. */
  @Test
  void aChangedPartIsLookedAtAgainAndTheRestIsNot() {
    now = DemoModels.all().get(0);
    lead(new SimulatedRig(now, List.of()));
    List<LookAnswer> before = seen().answers();
    int all = before.size();
    now = now.change().name("Another name").done();
    assertThat(seen().answers()).hasSize(all);
    String rudder = "rudder";
    String servo = now.surface(rudder).orElseThrow().rod().driverId();
    int channel = now.servo(servo).orElseThrow().channel();
    boolean turned = now.servo(servo).orElseThrow().pullsOnIncrease();
    boolean reversed = now.channel(channel).orElseThrow().reversed();
    now =
        Edits.made(
            now,
            List.of(
                Edit.flag(Figure.PULLS_ON_INCREASE, servo, !turned),
                Edit.flag(Figure.REVERSED, Integer.toString(channel), !reversed)));
    assertThat(seen().changed()).as("both told, and all is drawn as before").isTrue();
    assertThat(seen().answers()).isNotEmpty().hasSizeLessThan(all).isSubsetOf(before);
    assertThat(before)
        .allSatisfy(
            one ->
                assertThat(seen().answers().contains(one))
                    .as(one.look())
                    .isEqualTo(one.seen().contains(new Sight(rudder, 0))));
    assertThat(left().open()).isTrue();
  }

  /** What it can have changed is asked again, and grounds even a model that was checked since. */
  @ParameterizedTest
  @EnumSource(PartKind.class)
  void aPartThatWasChangedIsLookedAtAgain(PartKind kind) {
    now = DemoModels.all().get(0);
    lead(new SimulatedRig(now, List.of()));
    List<LookAnswer> before = seen().answers();
    Instant checked = at.plusSeconds(5);
    parts.add(new PartNoted(new PartChange(kind, "Rudder servo", ""), at.plusSeconds(10)));
    boolean turns =
        List.of(
                PartKind.SERVO,
                PartKind.HORN,
                PartKind.LEAD,
                PartKind.RECEIVER,
                PartKind.TRANSMITTER,
                PartKind.STABILISER,
                PartKind.REPAIR)
            .contains(kind);
    assertThat(seen().changed()).isEqualTo(turns);
    assertThat(seen().left(checked).open()).isEqualTo(turns);
    assertThat(seen().answers()).isSubsetOf(before).isNotEmpty();
    for (LookAnswer one : before) {
      boolean moved = !one.seen().contains(new Sight("rudder", 0));
      assertThat(seen().answers().contains(one)).isEqualTo(!turns || !moved);
    }
    parts.set(0, new PartNoted(new PartChange(kind, "what fell off", ""), at.plusSeconds(10)));
    assertThat(seen().answers()).as("of none by name").hasSize(turns ? 0 : before.size());
    at = at.plusSeconds(20);
    lead(new SimulatedRig(now, List.of()));
  }

  @Test
  void aSurfaceOnceSeenWrongByItselfGoesOnGrounding() {
    add(new StepAnswer("direction/left/roll", "wrong", List.of()));
    add(new StepAnswer("direction/gone/roll", "wrong", List.of()));
    add(new StepAnswer("direction/right/gone-lever", "wrong", List.of()));
    add(new StepAnswer("direction/right/pitch", "wrong", List.of()));
    add(new StepAnswer("direction/right/pitch", "right", List.of()));
    assertThat(left().wrong().stream().map(one -> say(one)))
        .hasSize(2)
        .anyMatch(one -> one.contains("direction for roll"))
        .anyMatch(one -> one.contains("gone-lever"));
    assertThat(seen().left(at).wrong()).isEmpty();
    lead(new SimulatedRig(now, List.of()));
  }

  @Test
  void anAnswerToWhatIsNotThereIsRefusedByItsField() {
    WaysSeen seen = seen();
    Look look = next();
    assertThatThrownBy(() -> seen.check("answer", new LookAnswer("stick/none", List.of())))
        .isInstanceOf(InvalidInputException.class)
        .hasMessageContaining("answer.look");
    Sight sight = new Sight("left", 1);
    assertThatThrownBy(() -> seen.check("answer", new LookAnswer(look.id(), List.of(sight, sight))))
        .isInstanceOf(InvalidInputException.class)
        .hasMessageContaining("answer.seen[1].surface");
    seen.check("answer", new LookAnswer(look.id(), List.of(sight)));
  }
}
