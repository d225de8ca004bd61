package hightally.core.edit;

import static hightally.core.English.saying;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hightally.core.DemoModels;
import hightally.core.English;
import hightally.core.Rigs;
import hightally.core.edit.FeelStart.FeelWish;
import hightally.core.edit.FeelStart.Style;
import hightally.core.edit.PhaseAdded.PhaseWish;
import hightally.core.program.Condition;
import hightally.core.program.CurvePoint;
import hightally.core.program.FeelSet;
import hightally.core.program.Mix;
import hightally.core.program.MixSource;
import hightally.core.program.Phase;
import hightally.core.program.PhaseRole;
import hightally.core.program.Response;
import hightally.core.program.Trims;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Mixes' sources, curves, phases, ways of rates, and pairs. */
class ProgramEditsTest {
  private static final Setup RIG = Rigs.programmed(5);
  private static final List<CurvePoint> PLAIN =
      List.of(new CurvePoint(-100, -100), new CurvePoint(100, 100));

  @ParameterizedTest
  @CsvSource(
      textBlock =
          """
          STICK, roll
          RESPONSE, roll
          INPUT, lever
          SURFACE, slave
          THROTTLE, ''
          POWER, ''
          CONSTANT, ''
          """)
  void anotherSourceBeginsWithTheFirstThereIs(MixSource source, String subject) {
    Setup edited = ProgramEdits.sourced(RIG, "d", source);
    for (Mix mix : edited.mixes()) {
      Mix before =
          RIG.mixes().stream().filter(one -> one.id().equals(mix.id())).findFirst().orElseThrow();
      assertThat(mix).isEqualTo(mix.id().equals("d") ? before.from(source, subject) : before);
    }
    assertThatThrownBy(() -> ProgramEdits.sourced(RIG, "x", source)).satisfies(saying("x"));
  }

  /** Gaps 20, 100 and 80 wide: 30 is in the middle of the widest, and halfway from 10 to 41. */
  @Test
  void aCurveGetsAPointOnItsLine() {
    List<CurvePoint> points =
        List.of(
            new CurvePoint(-100, 0),
            new CurvePoint(-80, 10),
            new CurvePoint(20, 41),
            new CurvePoint(100, 0));
    List<CurvePoint> more = ProgramEdits.withPoint(points);
    List<CurvePoint> expected = new ArrayList<>(points);
    expected.add(2, new CurvePoint(-30, 26));
    assertThat(more).isEqualTo(expected);
    assertThat(ProgramEdits.withPoint(PLAIN))
        .containsExactly(
            new CurvePoint(-100, -100), new CurvePoint(0, 0), new CurvePoint(100, 100));
  }

  @Test
  void aFullOrWrongCurveIsRefused() {
    List<CurvePoint> points = PLAIN;
    for (int i = 2; i < 17; i++) {
      points = ProgramEdits.withPoint(points);
    }
    List<CurvePoint> full = points;
    assertThat(full).hasSize(17);
    assertThatThrownBy(() -> ProgramEdits.withPoint(full)).satisfies(saying("points"));
    assertThatThrownBy(() -> ProgramEdits.withPoint(List.of(new CurvePoint(0, 0))))
        .satisfies(saying("points"));
  }

  @Test
  void aPhaseBeginsWithWhatItComesFrom() {
    Setup added =
        PhaseAdded.of(
            new PhaseWish(RIG, "Thermal", PhaseRole.SPEED, "thermal", "switch", 2), English.NAMES);
    Phase first = added.phases().get(0);
    Phase from = RIG.phases().get(0);
    assertThat(first.id()).isEqualTo("thermal-2");
    assertThat(first.role()).isEqualTo(PhaseRole.SPEED);
    assertThat(first.presets()).isEqualTo(from.presets());
    assertThat(first.differential()).isEqualTo(from.differential());
    assertThat(first.fadeSeconds()).isEqualTo(0.5);
    assertThat(first.effective(RIG.trims())).isEqualTo(new Trims(0, 7, 0));
    assertThat(added.phases().subList(1, 3)).isEqualTo(RIG.phases());
    Condition when = added.conditions().get(1);
    assertThat(first.when()).isEqualTo(when.id());
    assertThat(when.subject()).isEqualTo("switch");
    assertThat(when.limit()).isEqualTo(2);
  }

  @Test
  void aConditionThatIsThereIsUsedAgain() {
    Setup added =
        PhaseAdded.of(
            new PhaseWish(RIG, "×", PhaseRole.OTHER, "flight", "switch", 3), English.NAMES);
    assertThat(added.conditions()).isEqualTo(RIG.conditions());
    assertThat(added.phases().get(0).id()).isEqualTo("phase");
    assertThat(added.phases().get(0).when()).isEqualTo("three");
    PhaseWish wrong = new PhaseWish(RIG, "X", PhaseRole.OTHER, "nowhere", "switch", 3);
    assertThatThrownBy(() -> PhaseAdded.of(wrong, English.NAMES)).satisfies(saying("nowhere"));
  }

  @Test
  void theLadderHasThreePositionsOfOneSwitch() {
    Setup ladder = FeelStart.of(new FeelWish(RIG, Style.LADDER, "switch"), English.NAMES);
    assertThat(ladder.feelSets())
        .extracting(FeelSet::id)
        .containsExactly("full-linear", "reduced-soft");
    assertThat(ladder.feelSets().get(1).when()).isEqualTo("three");
    assertThat(ladder.conditions()).hasSize(2);
    assertThat(ladder.conditions().get(1).limit()).isEqualTo(1);
    assertThat(ladder.feel().roll()).isEqualTo(Response.even(100, 45));
    assertThat(ladder.feelSets().get(1).feel().pitch()).isEqualTo(Response.even(55, 40));
    Setup again = FeelStart.of(new FeelWish(ladder, Style.LADDER, "switch"), English.NAMES);
    assertThat(again).isEqualTo(ladder);
    assertThatThrownBy(() -> FeelStart.of(new FeelWish(RIG, Style.LADDER, "lever"), English.NAMES))
        .satisfies(saying("lever"));
    assertThatThrownBy(() -> FeelStart.of(new FeelWish(RIG, Style.LADDER, "none"), English.NAMES))
        .satisfies(saying("none"));
  }

  @Test
  void everyPhaseButTheLastGetsWhatItIsFor() {
    Setup larkmere = DemoModels.read("larkmere");
    Setup each = FeelStart.of(new FeelWish(larkmere, Style.PER_PHASE, ""), English.NAMES);
    assertThat(each.feelSets()).hasSize(larkmere.phases().size() - 1);
    for (int i = 0; i < each.feelSets().size(); i++) {
      FeelSet set = each.feelSets().get(i);
      Phase phase = larkmere.phases().get(i);
      assertThat(set.phases()).containsExactly(phase.id());
      Response roll =
          switch (phase.role()) {
            case SPEED -> Response.even(65, 25);
            case LANDING, THERMAL -> Response.even(100, 35);
            default -> larkmere.feel().roll();
          };
      assertThat(set.feel().roll()).isEqualTo(roll);
    }
    assertThatThrownBy(
            () -> FeelStart.of(new FeelWish(Rigs.plain(), Style.PER_PHASE, ""), English.NAMES))
        .satisfies(saying("way"));
    Setup soft = FeelStart.of(new FeelWish(each, Style.ONE_SOFT, ""), English.NAMES);
    assertThat(soft.feelSets()).isEmpty();
    assertThat(soft.feel().yaw()).isEqualTo(Response.even(100, 40));
  }

  @Test
  void aNewPairPartsTheOldOnes() {
    Setup quillon = DemoModels.read("quillon");
    Setup crossed = Pairing.of(quillon, "aileron-left", "upper-aileron-right");
    assertThat(pair(crossed, "aileron-left")).isEqualTo("upper-aileron-right");
    assertThat(pair(crossed, "upper-aileron-right")).isEqualTo("aileron-left");
    assertThat(pair(crossed, "aileron-right")).isEmpty();
    assertThat(pair(crossed, "upper-aileron-left")).isEmpty();
    Setup none = Pairing.of(quillon, "aileron-left", "");
    assertThat(pair(none, "aileron-left")).isEmpty();
    assertThat(pair(none, "aileron-right")).isEmpty();
    assertThat(pair(none, "upper-aileron-left")).isEqualTo("upper-aileron-right");
    assertThatThrownBy(() -> Pairing.of(quillon, "nobody", "")).satisfies(saying("nobody"));
    assertThatThrownBy(() -> Pairing.of(quillon, "elevator", "nobody")).satisfies(saying("pair"));
  }

  @Test
  void panelsArePairedTheSameWay() {
    Setup quillon = DemoModels.read("quillon");
    Setup crossed = Pairing.of(quillon, "lower-wing-left", "upper-wing-right");
    assertThat(crossed.airframe().panels())
        .filteredOn(one -> one.id().endsWith("wing-left") || one.id().endsWith("wing-right"))
        .extracting(one -> one.id() + " " + one.pair())
        .containsExactlyInAnyOrder(
            "lower-wing-left upper-wing-right",
            "upper-wing-right lower-wing-left",
            "lower-wing-right ",
            "upper-wing-left ");
  }

  private static String pair(Setup setup, String id) {
    return setup.surface(id).orElseThrow().pair();
  }
}
