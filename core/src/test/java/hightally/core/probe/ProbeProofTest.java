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

/** Rigs put together otherwise than described, led home by what is seen of them. */
class ProbeProofTest {
  private static final int RIGS = Integer.getInteger("rigs", 60);

  @Test
  void everyRigEndsAsDescribedAndAsMeant() {
    List<Setup> kinds = DemoModels.all();
    TreeMap<String, Integer> ends = new TreeMap<>();
    List<String> wrong = new ArrayList<>();
    int worst = Integer.MIN_VALUE;
    long slowest = 0;
    for (int i = 0; i < RIGS; i++) {
      Random random = new Random(i);
      Setup described = kinds.get(i % kinds.size());
      int count = random.nextInt(4);
      List<Difference> hidden =
          i % 5 == 4 ? unsettled(described, random) : hidden(described, count, random);
      SimulatedRig rig = new SimulatedRig(described, hidden);
      long before = System.nanoTime();
      SimulatedRig.End end = rig.led(Integer.getInteger("wrongOneIn", 0), random);
      slowest = Math.max(slowest, System.nanoTime() - before);
      String what = i + " " + described.name() + " " + hidden + " " + end;
      ends.merge(end.stage() + " " + end.homeWhy(), 1, Integer::sum);
      if (!end.home()) {
        wrong.add(what);
      }
      int over = end.answers() - end.bound();
      worst = Math.max(worst, over);
      if (over > 0) {
        System.out.println("over by " + over + " " + what);
      }
    }
    System.out.println(ends + " worst over " + worst + " slowest ms " + slowest / 1_000_000);
    assertThat(wrong).isEmpty();
  }

  private static List<Difference> hidden(Setup setup, int count, Random random) {
    List<Difference> all = new ArrayList<>(Differences.of(setup));
    List<RigPart> parts = new ArrayList<>(List.of(RigPart.values()));
    List<Difference> hidden = new ArrayList<>();
    if (count == 3 && random.nextInt(2) == 0) {
      compensated(setup, all, random, hidden);
    }
    while (hidden.size() < count) {
      RigPart part = parts.get(random.nextInt(parts.size()));
      List<Difference> of = all.stream().filter(one -> one.part() == part).toList();
      if (!of.isEmpty()) {
        Difference one = of.get(random.nextInt(of.size()));
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
      Setup setup, List<Difference> all, Random random, List<Difference> hidden) {
    List<Difference> leads = all.stream().filter(one -> one.part() == RigPart.LEADS).toList();
    if (!leads.isEmpty()) {
      Difference one = leads.get(random.nextInt(leads.size()));
      boolean servos = random.nextBoolean();
      hidden.add(one);
      for (String servo : List.of(one.subject(), one.other())) {
        hidden.add(
            servos
                ? Difference.of(RigPart.SERVO_SENSE, servo)
                : Difference.of(
                    RigPart.CHANNEL_SIGN,
                    Integer.toString(setup.servo(servo).orElseThrow().channel())));
      }
    }
  }

  /** A model just wired: every servo turns one way or the other, as it happens. */
  private static List<Difference> unsettled(Setup setup, Random random) {
    List<Difference> hidden = new ArrayList<>(Differences.of(setup));
    hidden.removeIf(one -> one.part() != RigPart.SERVO_SENSE || random.nextBoolean());
    List<Difference> leads =
        Differences.of(setup).stream().filter(one -> one.part() == RigPart.LEADS).toList();
    if (random.nextInt(3) == 0 && !leads.isEmpty()) {
      hidden.add(leads.get(random.nextInt(leads.size())));
    }
    return hidden;
  }
}
