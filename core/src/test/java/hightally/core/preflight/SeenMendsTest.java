package hightally.core.preflight;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.Rigs;
import hightally.core.audit.Audit;
import hightally.core.audit.Finding;
import hightally.core.benchsetup.AnswerComparison;
import hightally.core.benchsetup.BenchSetUp;
import hightally.core.benchsetup.BenchStep;
import hightally.core.benchsetup.CentringMethod;
import hightally.core.benchsetup.StepAnswer;
import hightally.core.edit.Edit;
import hightally.core.edit.Edits;
import hightally.core.edit.Figure;
import hightally.core.edit.Mend;
import hightally.core.hazard.HazardSearch;
import hightally.core.preflight.SeenMends.SeenMend;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.Movements;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/** What the bench set-up proposes is tried: everything asked anew by hand, with and without it. */
class SeenMendsTest {
  private static final double SAME = 0.05;
  private static final int OFFERED = 0;
  private static final int HELD_BACK = 1;

  /**
   * Every step answered, every figure and direction as it may come at a model put together by hand.
   */
  private static List<StepAnswer> answers(Setup setup, Random random) {
    List<StepAnswer> answers = new ArrayList<>();
    for (BenchStep step : BenchSetUp.steps(setup)) {
      String choice =
          step.choices().isEmpty()
              ? ""
              : step.choices().get(random.nextInt(step.choices().size())).id();
      List<Double> values =
          step.figures().stream()
              .map(one -> one.expected() * (0.85 + 0.3 * random.nextDouble()))
              .map(expected -> expected == 0 ? 6 * random.nextGaussian() : expected)
              .toList();
      answers.add(new StepAnswer(step.id(), choice, values));
    }
    return answers;
  }

  private static List<Mend> proposed(Setup setup, Random random, CentringMethod school) {
    return AnswerComparison.verdicts(setup, school, answers(setup, random)).stream()
        .flatMap(one -> one.mends().stream())
        .toList();
  }

  private static int[] checked(long seed, CentringMethod school) {
    Setup setup = Rigs.random(seed);
    List<Mend> mends = proposed(setup, new Random(seed), school);
    List<SeenMend> tried = SeenMends.of(setup, mends);
    int[] count = new int[2];
    assertThat(tried).hasSameSizeAs(mends);
    for (int i = 0; i < mends.size(); i++) {
      SeenMend one = tried.get(i);
      assertThat(one.edits()).isEqualTo(mends.get(i).edits());
      List<Edit> facts = mends.get(i).edits().stream().filter(SeenMendsTest::fact).toList();
      Setup is;
      Setup made;
      try {
        is = Edits.made(setup, facts);
        made = Edits.made(setup, mends.get(i).edits());
      } catch (InvalidInputException beyond) {
        assertThat(one.hand().isEmpty()).isFalse();
        continue;
      }
      boolean factsAlone = facts.size() == one.edits().size();
      boolean worse = worse(wrong(is), wrong(made));
      assertThat(one.hand().isEmpty()).as("%s %s", one.words(), one.brings()).isEqualTo(!worse);
      assertThat(one.moves()).isEqualTo(factsAlone ? List.of() : Movements.differences(is, made));
      if (worse) {
        assertThat(one.brings()).isNotEmpty();
      } else {
        assertThat(one.brings().isEmpty()).isEqualTo(!worse(wrong(setup), wrong(made)));
      }
      count[worse ? HELD_BACK : OFFERED]++;
    }
    return count;
  }

  /** What the figure is about, told apart here by its name alone. */
  private static boolean fact(Edit edit) {
    return switch (edit.figure()) {
      case ENDPOINT_HIGH, ENDPOINT_LOW, SUB_TRIM, REVERSED, FAILSAFE -> false;
      case SHARE_ROLL, SHARE_PITCH, SHARE_YAW -> false;
      case ARM_LEAN, HORN_LEAN, ARM_OFFSET, HORN_RADIUS, CLICK_STEP, THREAD_PITCH -> true;
      case PULLS_ON_INCREASE, PUSH_RAISES, STOP_PULSE -> true;
      default -> throw new AssertionError("not proposed by a set-up: " + edit);
    };
  }

  private static Map<String, Double> wrong(Setup setup) {
    Map<String, Double> all = new HashMap<>();
    SignalPath path = SignalPath.of(setup);
    for (Finding one : Audit.of(path)) {
      double excess = Math.abs(one.measured() - one.limit());
      all.merge(one.rule() + "/" + one.surface(), excess, Math::max);
    }
    HazardSearch.of(path)
        .hazards()
        .forEach(one -> all.merge(one.kind() + "/" + one.subject(), one.size(), Math::max));
    return all;
  }

  private static boolean worse(Map<String, Double> before, Map<String, Double> after) {
    return after.entrySet().stream()
        .anyMatch(
            one ->
                !before.containsKey(one.getKey())
                    || one.getValue() > before.get(one.getKey()) + SAME);
  }

  @Property(tries = 40)
  void whatIsOfferedMakesNothingWorseAndWhatIsHeldBackWould(@ForAll long seed) {
    checked(seed, CentringMethod.values()[(int) (seed & 1)]);
  }

  @Example
  void bothHappen() {
    int offered = 0;
    int heldBack = 0;
    for (long seed = 0; seed < 12; seed++) {
      int[] count = checked(seed, CentringMethod.SUB_TRIM_FIRST);
      offered += count[OFFERED];
      heldBack += count[HELD_BACK];
    }
    assertThat(offered).isGreaterThan(20);
    assertThat(heldBack).isPositive();
  }

  @Example
  void whatCannotBeSetIsNotOffered() {
    Setup setup = Rigs.random(1);
    int channel = setup.channels().get(0).number();
    Mend beyond = new Mend(Said.text("too far"), List.of(Edit.of(Figure.SUB_TRIM, channel, 4000)));
    SeenMend tried = SeenMends.of(setup, List.of(beyond)).get(0);
    assertThat(tried.hand().isEmpty()).isFalse();
    assertThat(tried.brings()).isNotEmpty();
  }
}
