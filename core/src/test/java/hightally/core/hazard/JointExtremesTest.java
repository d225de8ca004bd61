package hightally.core.hazard;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.hazard.CommandRegion.Limit;
import hightally.core.plain.RandomPrograms;
import hightally.core.program.Power;
import hightally.core.setup.Setup;
import hightally.core.signal.AxisBox;
import hightally.core.signal.AxisPlaces;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import hightally.core.signal.StillCommand;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.TreeSet;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.LongRange;

/** Where two commands can be together, against trying many places. */
class JointExtremesTest {
  private static final int PLACES = 400;
  private static final double FINE = 0.05;

  /** Two commands of a random program in one of its states, and where their axes can go. */
  private static final class Pair {
    final Setup setup;
    final SignalPath path;
    final Moment state;
    final AxisBox stretch;
    final StillCommand one;
    final StillCommand two;
    final List<Integer> axes;

    Pair(long seed) {
      Random random = new Random(seed);
      setup = RandomPrograms.of(seed);
      path = SignalPath.of(setup);
      SwitchStates states = new SwitchStates(path);
      int[] cells =
          states.lines().stream().mapToInt(one -> random.nextInt(one.cells().length)).toArray();
      state = states.moment(cells);
      stretch = states.stretch(Arrays.stream(cells).mapToLong(cell -> 1L << cell).toArray());
      int targets = setup.surfaces().size();
      int first = random.nextInt(targets);
      int second = random.nextInt(targets);
      int phase = path.phase(state);
      one = path.program().still(first, state, phase);
      two = path.program().still(second, state, phase);
      TreeSet<Integer> on = new TreeSet<>(path.program().hangs(first).axes());
      on.addAll(path.program().hangs(second).axes());
      axes = List.copyOf(on);
    }

    JointExtremes extremes() {
      return new JointExtremes(one, two, state);
    }

    Moment anywhere(Random random) {
      Moment at = state;
      for (int axis : axes) {
        double from = stretch.from()[axis];
        double to = stretch.to()[axis];
        int kind = random.nextInt(4);
        double part = kind == 0 ? 0 : kind == 1 ? 1 : random.nextDouble();
        at = AxisPlaces.at(at, axis, from + part * (to - from));
      }
      return at;
    }
  }

  @Property(tries = 200, seed = "20261126")
  void nothingThatIsTriedIsFurtherThanWhatIsFound(
      @ForAll @LongRange(min = 0, max = 100_000) long seed) {
    Pair pair = new Pair(seed);
    Random random = new Random(seed);
    double a = random.nextDouble() * 2 - 1;
    double b = random.nextDouble() * 2 - 1;
    Limit most = new Limit(a, b, -1000);
    Limit cut =
        new Limit(
            random.nextDouble() * 2 - 1, random.nextDouble() * 2 - 1, random.nextInt(80) - 50);
    CommandRegion region = CommandRegion.of(most, Double.POSITIVE_INFINITY, most, cut);
    JointExtremes extremes = pair.extremes();
    JointExtremes.Found found = extremes.most(region, pair.axes, pair.stretch);
    assertThat(extremes.parts()).isPositive();
    if (extremes.undecided()) {
      // Three sticks with expo at once can need more parts than are looked at: it says so.
      return;
    }
    if (found != null) {
      double one = pair.one.applyAsDouble(found.at());
      double two = pair.two.applyAsDouble(found.at());
      assertThat(found.size()).isCloseTo(a * one + b * two, within(1e-6));
      assertThat(cut.beyond(one, two)).isGreaterThanOrEqualTo(-1e-6);
      for (int axis : pair.axes) {
        assertThat(AxisPlaces.of(found.at(), axis))
            .isBetween(pair.stretch.from()[axis] - 1e-9, pair.stretch.to()[axis] + 1e-9);
      }
    }
    for (int i = 0; i < PLACES; i++) {
      Moment at = pair.anywhere(random);
      double one = pair.one.applyAsDouble(at);
      double two = pair.two.applyAsDouble(at);
      // A motor's command is cut off at full power, and what it would be beyond is not looked at.
      boolean full = Math.abs(one) >= 100 || Math.abs(two) >= 100;
      if (cut.beyond(one, two) > FINE && !full) {
        assertThat(found).as(() -> "nothing found, but at " + at).isNotNull();
        assertThat(a * one + b * two).isLessThanOrEqualTo(found.size() + FINE);
      }
    }
  }

  @Property(tries = 100, seed = "20261126")
  void cornersOfEveryStraightPartLieInTheRegionAndReachAsFarAsAnythingTried(
      @ForAll @LongRange(min = 0, max = 100_000) long seed) {
    Pair pair = new Pair(seed);
    Random random = new Random(seed);
    Limit apart = new Limit(-1, 1, random.nextInt(40) - 10);
    CommandRegion region = CommandRegion.of(apart, Double.POSITIVE_INFINITY, apart);
    List<Moment> corners = new ArrayList<>();
    JointExtremes extremes = pair.extremes();
    extremes.each(region, pair.axes, pair.stretch, corners::add);
    if (extremes.undecided()) {
      return;
    }
    double furthest = Double.NEGATIVE_INFINITY;
    for (Moment at : corners) {
      double one = pair.one.applyAsDouble(at);
      double two = pair.two.applyAsDouble(at);
      furthest = Math.max(furthest, two - one);
    }
    for (int i = 0; i < PLACES; i++) {
      Moment at = pair.anywhere(random);
      double one = pair.one.applyAsDouble(at);
      double two = pair.two.applyAsDouble(at);
      boolean full = Math.abs(one) >= 100 || Math.abs(two) >= 100;
      if (two - one > apart.least() + FINE && !full) {
        assertThat(two - one).isLessThanOrEqualTo(furthest + FINE);
      }
    }
  }

  @Example
  void enoughEndsTheSearchAndWhatChangesIsMovedAlong() {
    Pair pair = new Pair(7);
    Limit up = Limit.above(-1000);
    JointExtremes.Found any =
        pair.extremes().most(CommandRegion.of(up, -999, up), pair.axes, pair.stretch);
    assertThat(any).isNotNull();
    Moment after = pair.state.with(hightally.core.quantity.Control.YAW, 0.5);
    JointExtremes change = new JointExtremes(pair.one, pair.two, pair.state, after, 2, 0.5);
    Moment there = change.moved(pair.state.with(hightally.core.quantity.Control.ROLL, 0.25));
    assertThat(there.yaw()).isEqualTo(0.5);
    assertThat(there.roll()).isEqualTo(0.25);
    assertThat(pair.extremes().moved(pair.state)).isSameAs(pair.state);
  }

  /** What counts as running, starting, jumping and turning, straight from the powers. */
  @Property(tries = 400, seed = "20261126")
  void regionsOfPowerAreWhatTheirNamesSay(
      @ForAll @DoubleRange(min = -100, max = 100) double was,
      @ForAll @DoubleRange(min = -100, max = 100) double is,
      @ForAll boolean twoWay,
      @ForAll @DoubleRange(min = 0.05, max = 0.5) double jump) {
    Power plain = Power.PLAIN;
    Power power =
        new Power(
            "",
            twoWay,
            plain.curves(),
            "",
            twoWay ? 0 : -100,
            "",
            true,
            List.of(),
            true,
            List.of(),
            List.of(),
            List.of(),
            0);
    PowerRegions regions = new PowerRegions(power, jump);
    double before = power.power(was);
    double after = power.power(is);
    near(regions.running(), was, is, before - 0.005);
    near(regions.startingHeld(), was, is, after - 0.005);
    near(regions.rising(), was, is, after - before - jump);
    double turned = twoWay && was * is < 0 ? Math.min(before, after) - 0.005 : -1;
    near(regions.turning(), was, is, turned);
    near(regions.starting(), twoWay ? 0 : -100, is, after - 0.005);
    near(regions.starting(), was, is, before > 1e-4 ? -1 : after - 0.005);
    assertThat(regions.running()).allMatch(one -> one.enough() >= 100);
  }

  private static void near(List<CommandRegion> regions, double was, double is, double beyond) {
    if (Math.abs(beyond) > 1e-6) {
      assertThat(regions.stream().anyMatch(one -> one.holds(was, is)))
          .as(was + " to " + is + ": " + beyond)
          .isEqualTo(beyond > 0);
    }
  }
}
