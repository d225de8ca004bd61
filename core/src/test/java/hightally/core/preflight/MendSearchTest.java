package hightally.core.preflight;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.DemoModels;
import hightally.core.English;
import hightally.core.Rigs;
import hightally.core.airframe.Surface;
import hightally.core.audit.Audit;
import hightally.core.audit.Finding;
import hightally.core.channel.InputKind;
import hightally.core.edit.Edits;
import hightally.core.hazard.Hazard;
import hightally.core.hazard.HazardKind;
import hightally.core.hazard.HazardSearch;
import hightally.core.plain.RandomPrograms;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import hightally.core.words.Wording;
import hightally.core.words.Words;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** What is offered mends: applied, and everything asked anew by hand. */
class MendSearchTest {
  /** What a ruler does not show is not told. */
  private static final double TOLD_MM = 0.05;

  private static Setup random(long seed, int kind) {
    return switch (kind) {
      case 0 -> RandomPrograms.of(seed);
      case 1 -> Rigs.random(seed);
      case 2 -> Rigs.programmed(seed);
      default ->
          DemoModels.read(
              List.of("brindle", "larkmere", "quillon", "skerrow").get((int) (seed & 3)));
    };
  }

  @Property(tries = 50)
  void whatIsOfferedMendsAndBringsNothingElse(
      @ForAll long seed, @ForAll @IntRange(max = 2) int kind) {
    checked(random(seed, kind));
  }

  @Test
  void theDemoModelsMendToo() {
    for (int i = 0; i < 4; i++) {
      checked(random(i, 3));
    }
  }

  private static void checked(Setup setup) {
    Map<String, Double> rules = rules(setup);
    Set<String> hazards = hazards(setup);
    for (MendSearch.Offer offer : MendSearch.of(setup)) {
      String key = offer.id() + "/" + offer.subject();
      assertThat(rules.containsKey(key) || hazards.contains(key)).as(key).isTrue();
      assertThat(offer.hand().isEmpty()).isEqualTo(!offer.mends().isEmpty());
      for (MendSearch.TriedMend mend : offer.mends()) {
        Setup made = Edits.made(setup, mend.edits());
        Map<String, Double> now = rules(made);
        Set<String> then = hazards(made);
        assertThat(now).as(key).doesNotContainKey(key);
        assertThat(then).as(key).doesNotContain(key);
        assertThat(rules.keySet()).as("no rule is new").containsAll(now.keySet());
        now.forEach(
            (one, excess) -> assertThat(excess).isLessThanOrEqualTo(rules.get(one) + TOLD_MM));
        assertThat(hazards).as("no hazard is new").containsAll(then);
        told(setup, made, mend);
      }
    }
  }

  /** Every full travel that changed is told, with its millimetres. */
  private static void told(Setup setup, Setup made, MendSearch.TriedMend mend) {
    Map<String, double[]> was = travels(setup);
    Map<String, double[]> is = travels(made);
    Set<String> lines =
        mend.moves().stream()
            .map(one -> one.surface() + "/" + one.phase() + "/" + one.where())
            .collect(Collectors.toSet());
    int changed = 0;
    for (String place : was.keySet()) {
      double[] one = was.get(place);
      double[] other = is.get(place);
      for (int i = 0; i < one.length; i++) {
        if (Math.abs(one[i] - other[i]) > TOLD_MM) {
          Surface surface = setup.surfaces().get(i);
          assertThat(lines).contains(surface.name() + "/" + place);
          changed++;
        }
      }
    }
    assertThat(mend.moves()).hasSizeGreaterThanOrEqualTo(changed);
  }

  /** Every surface with every stick and lever at its end, phase by phase. */
  private static Map<String, double[]> travels(Setup setup) {
    SignalPath path = SignalPath.of(setup);
    Map<String, double[]> all = new HashMap<>();
    for (int p = 0; p < setup.phases().size(); p++) {
      Moment rest = path.rest(p).withTrims(setup.trims());
      String phase = setup.phases().get(p).name() + "/";
      for (Control control : Control.values()) {
        for (int stick : new int[] {1, -1}) {
          Said where = Said.of("place.stick", "control", control, "plus", stick > 0);
          all.put(phase + where, path.evaluate(rest.with(control, stick), p).travelMm());
        }
      }
      for (int i = 0; i < setup.transmitter().inputs().size(); i++) {
        var input = setup.transmitter().inputs().get(i);
        if (input.kind() == InputKind.LEVER) {
          Said where = Said.of("place.input", "name", input.name(), "lever", true, "position", 2);
          all.put(phase + where, path.evaluate(rest.withInput(i, 1), p).travelMm());
        }
      }
    }
    return all;
  }

  private static Map<String, Double> rules(Setup setup) {
    Map<String, Double> all = new HashMap<>();
    for (Finding one : Audit.of(SignalPath.of(setup))) {
      all.merge(
          one.rule() + "/" + one.surface(), Math.abs(one.measured() - one.limit()), Math::max);
    }
    return all;
  }

  private static Set<String> hazards(Setup setup) {
    return HazardSearch.of(SignalPath.of(setup)).hazards().stream()
        .map((Hazard one) -> one.kind() + "/" + one.subject())
        .collect(Collectors.toSet());
  }

  /** A pair that ends apart both ways takes several changes: they are offered as one. */
  @Test
  void severalChangesAreOfferedAtOnce() {
    int together = 0;
    int offered = 0;
    int faults = 0;
    for (long seed = 0; seed < 30; seed++) {
      for (MendSearch.Offer offer : MendSearch.of(Rigs.random(seed))) {
        faults++;
        offered += offer.mends().isEmpty() ? 0 : 1;
        for (MendSearch.TriedMend one : offer.mends()) {
          together += one.words().size() > 1 ? 1 : 0;
          if (one.words().size() > 1) {
            // Each change says what it is done to.
            assertThat(one.words())
                .extracting(English::say)
                .allMatch(words -> words.contains(": "));
          }
        }
      }
    }
    assertThat(together).isPositive();
    assertThat(offered).isGreaterThan(faults / 4);
  }

  /** Whatever no mend is offered for says what to do at the model. */
  @Test
  void everyRuleAndHazardHasWordsForTheHand() {
    Words words = Words.of(Wording.PLAIN);
    List<String> all = new ArrayList<>(Audit.rules());
    Arrays.stream(HazardKind.values()).map(Enum::name).forEach(all::add);
    assertThat(all)
        .hasSizeGreaterThan(30)
        .allSatisfy(one -> assertThat(words.has("hand." + one)).as(one).isTrue());
  }
}
