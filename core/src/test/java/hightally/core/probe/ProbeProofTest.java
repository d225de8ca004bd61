package hightally.core.probe;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.DemoModels;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/**
 * Rigs put together otherwise than described, led home by what is seen of them. More of them by
 * hand: {@code -Drigs=300 -Dminimal=400}.
 */
class ProbeProofTest {
  private static final int RIGS = Integer.getInteger("rigs", 40);
  private static final int MINIMAL = Integer.getInteger("minimal", 12);
  private static final int UNSETTLED = 5;
  private static final int SUB_TRIMLESS = 7;

  /** To the end on every rig, right, within so many answers. */
  @Test
  void everyRigEndsAsDescribedAndAsMeant() {
    TreeMap<Integer, Integer> answers = new TreeMap<>();
    TreeMap<Integer, Integer> spared = new TreeMap<>();
    List<String> wrong = new ArrayList<>();
    for (int i = 0; i < RIGS; i++) {
      Random random = new Random(i);
      Setup described = kind(i);
      List<RigDifference> hidden = hidden(i, described, random);
      SimulatedRig.End end = new SimulatedRig(described, hidden).led(0, random);
      answers.merge(end.answers(), 1, Integer::sum);
      spared.merge(end.bound() - end.answers(), 1, Integer::sum);
      if (!end.home() || end.answers() > end.bound()) {
        wrong.add(i + " " + described.name() + " " + hidden + " " + end);
      }
    }
    System.out.println(RIGS + " rigs, by answers " + answers + ", by answers spared " + spared);
    assertThat(wrong).isEmpty();
  }

  /** One answer in thirty wrong: right in the end, in nineteen of twenty. */
  @Test
  void aWrongAnswerNowAndThenIsLivedWith() {
    List<String> wrong = new ArrayList<>();
    for (int i = 0; i < RIGS; i++) {
      Random random = new Random(i);
      Setup described = kind(i);
      List<RigDifference> hidden = hidden(i, described, random);
      SimulatedRig.End end = new SimulatedRig(described, hidden).led(30, random);
      if (!end.home()) {
        wrong.add(i + " " + described.name() + " " + end);
      }
    }
    System.out.println(wrong.size() + " of " + RIGS + " wrong where answers are");
    assertThat(wrong).hasSizeLessThanOrEqualTo(RIGS / 20);
  }

  /** No fewer changes make a rig right: every set of fewer is tried on it. */
  @Test
  void noSmallerMendExists() {
    int proven = 0;
    int tried = 0;
    for (int i = 0; i < MINIMAL; i++) {
      Random random = new Random(1000 + i);
      Setup described = kind(i);
      SimulatedRig rig = new SimulatedRig(described, hidden(described, 1 + i % 3, random));
      List<RigDifference> mend = rig.firstMend();
      if (mend.size() > 1 && mend.size() < 4 && rig.rightWith(mend)) {
        List<RigDifference> all = Differences.of(described);
        for (RigDifference one : all) {
          assertThat(rig.rightWith(List.of(one))).as("%s for %s", one, mend).isFalse();
          tried++;
          for (int j = 0; j < all.size() && mend.size() == 3; j++) {
            List<RigDifference> two = List.of(one, all.get(j));
            assertThat(rig.rightWith(two)).as("%s for %s", two, mend).isFalse();
            tried++;
          }
        }
        proven++;
      }
    }
    System.out.println(
        proven + " mends of two and three changes, " + tried + " smaller ones tried");
    assertThat(proven).isPositive();
  }

  /** A demo model or kind; now and then its transmitter has no sub-trim to click. */
  private static Setup kind(int rig) {
    List<Setup> kinds = DemoModels.all();
    Setup kind = kinds.get(rig % kinds.size());
    return rig % SUB_TRIMLESS == 0 ? withoutSubTrim(kind) : kind;
  }

  /** The same model on a transmitter whose sub-trim moves nothing: leads are unplugged instead. */
  static Setup withoutSubTrim(Setup setup) {
    boolean used = setup.channels().stream().anyMatch(one -> one.subTrimMicroseconds() != 0);
    return used
        ? setup
        : setup
            .change()
            .transmitter(setup.transmitter().change().subTrimLimitMicroseconds(0).done())
            .done();
  }

  private static List<RigDifference> hidden(int rig, Setup described, Random random) {
    return rig % UNSETTLED == UNSETTLED - 1
        ? unsettled(described, random)
        : hidden(described, random.nextInt(4), random);
  }

  private static List<RigDifference> hidden(Setup setup, int count, Random random) {
    List<RigDifference> all = new ArrayList<>(Differences.of(setup));
    List<RigPart> parts = List.of(RigPart.values());
    List<RigDifference> hidden = new ArrayList<>();
    if (count == 3 && random.nextInt(2) == 0) {
      compensated(setup, all, random, hidden);
    }
    while (hidden.size() < count) {
      RigPart part = parts.get(random.nextInt(parts.size()));
      List<RigDifference> of = all.stream().filter(one -> one.part() == part).toList();
      if (!of.isEmpty()) {
        RigDifference one = of.get(random.nextInt(of.size()));
        if (!hidden.contains(one)) {
          hidden.add(one);
        }
      }
    }
    Collections.shuffle(hidden, random);
    return hidden;
  }

  /** Two leads exchanged and both turned round again: every stick looks right. */
  private static void compensated(
      Setup setup, List<RigDifference> all, Random random, List<RigDifference> hidden) {
    List<RigDifference> leads = all.stream().filter(one -> one.part() == RigPart.LEADS).toList();
    if (!leads.isEmpty()) {
      RigDifference one = leads.get(random.nextInt(leads.size()));
      boolean servos = random.nextBoolean();
      hidden.add(one);
      for (String servo : List.of(one.subject(), one.other())) {
        int channel = setup.servo(servo).orElseThrow().channel();
        hidden.add(
            servos
                ? RigDifference.of(RigPart.SERVO_SENSE, servo)
                : RigDifference.of(RigPart.CHANNEL_SIGN, Integer.toString(channel)));
      }
    }
  }

  /** A model just wired: every servo turns as it happens, now and then two leads exchanged. */
  private static List<RigDifference> unsettled(Setup setup, Random random) {
    List<RigDifference> hidden = new ArrayList<>(Differences.of(setup));
    hidden.removeIf(one -> one.part() != RigPart.SERVO_SENSE || random.nextBoolean());
    List<RigDifference> leads =
        Differences.of(setup).stream().filter(one -> one.part() == RigPart.LEADS).toList();
    if (random.nextInt(3) == 0 && !leads.isEmpty()) {
      hidden.add(leads.get(random.nextInt(leads.size())));
    }
    return hidden;
  }
}
