package hightally.core.audit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.Rigs;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.edit.Edit;
import hightally.core.edit.Edits;
import hightally.core.edit.Figure;
import hightally.core.plain.PlainModel;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;

/**
 * Random rigs with endpoints and sub-trims all over the place: what the rules measured is measured
 * again a plain second way, and every mend does what it says and no more.
 */
class MendedTest {
  private static final String[] DRIVEN = {"left", "right"};

  private static Setup rig(long seed) {
    Random random = new Random(seed);
    Setup rig = Rigs.random(seed);
    List<Channel> channels = new ArrayList<>();
    for (Channel one : rig.channels()) {
      channels.add(
          new Channel(
              one.number(),
              one.name(),
              one.carries(),
              random.nextBoolean(),
              random.nextInt(181) - 90,
              30 + random.nextInt(111),
              30 + random.nextInt(111),
              0));
    }
    return rig.change().channels(channels).done();
  }

  private static List<Finding> findings(Setup setup, String rule) {
    return Audit.of(SignalPath.of(setup)).stream().filter(one -> one.rule().equals(rule)).toList();
  }

  private static Setup mended(Setup setup, Finding finding) {
    return Edits.made(setup, finding.mends().get(0).edits());
  }

  private static double travel(Setup setup, String id, double roll) {
    Surface surface = setup.surface(id).orElseThrow();
    Moment moment = Moment.centred(Trims.ZERO).with(Control.ROLL, roll);
    return new PlainModel(setup).travel(surface, moment, 0);
  }

  /** From rest: up and down at full roll, both as positive sizes. */
  private static double[] throwsOf(Setup setup, String id) {
    double rest = travel(setup, id, 0);
    double one = travel(setup, id, 1) - rest;
    double other = travel(setup, id, -1) - rest;
    return new double[] {Math.max(0, Math.max(one, other)), -Math.min(0, Math.min(one, other))};
  }

  private static Channel channel(Setup setup, String id) {
    return new PlainModel(setup).channelBehind(setup.surface(id).orElseThrow());
  }

  @Property(tries = 150, seed = "20261126")
  void unevenThrowsAreMeasuredAndTheLargerSideIsMadeAsSmallAsTheOther(
      @ForAll @LongRange(min = 0, max = 100_000) long seed) {
    Setup rig = rig(seed);
    List<Finding> found = findings(rig, "uneven-travel");
    for (String id : DRIVEN) {
      double[] mm = throwsOf(rig, id);
      double apart = Math.abs(mm[0] - mm[1]);
      double limit = Math.max(rig.house().unevenMm(), 0.1 * Math.max(mm[0], mm[1]));
      assertThat(found.stream().filter(one -> one.surface().equals(id)).toList())
          .as(id + " " + mm[0] + " " + mm[1])
          .hasSize(apart > limit ? 1 : 0)
          .allSatisfy(
              one -> {
                assertThat(one.measured()).isCloseTo(apart, within(1e-6));
                assertThat(one.limit()).isCloseTo(limit, within(1e-6));
                double[] then = throwsOf(mended(rig, one), id);
                boolean up = mm[0] > mm[1];
                assertThat(then[up ? 1 : 0])
                    .as("the other side")
                    .isCloseTo(mm[up ? 1 : 0], within(0.01));
                assertThat(then[up ? 0 : 1]).as("the larger side").isLessThan(mm[up ? 0 : 1]);
                assertThat(Math.abs(then[0] - then[1])).isLessThan(0.6 * apart);
              });
    }
  }

  @Property(tries = 150, seed = "20261126")
  void aPairThatDiffersIsMeasuredAndTheLargerIsMadeAsSmallAsTheOther(
      @ForAll @LongRange(min = 0, max = 100_000) long seed) {
    Setup rig = rig(seed);
    double[] left = throwsOf(rig, "left");
    double[] right = throwsOf(rig, "right");
    List<Finding> found = findings(rig, "left-against-right");
    int expected = 0;
    for (int side = 0; side < 2; side++) {
      double apart = Math.abs(left[side] - right[side]);
      if (apart > rig.house().pairMm()) {
        expected++;
        String larger = left[side] > right[side] ? "left" : "right";
        int at = side;
        assertThat(found)
            .as(larger)
            .anySatisfy(
                one -> {
                  assertThat(one.surface()).isEqualTo(larger);
                  assertThat(one.measured()).isCloseTo(apart, within(1e-6));
                  Setup then = mended(rig, one);
                  double now = Math.abs(throwsOf(then, "left")[at] - throwsOf(then, "right")[at]);
                  assertThat(now).isLessThan(0.6 * apart);
                });
      }
    }
    assertThat(found).hasSize(expected);
  }

  @Property(tries = 150, seed = "20261126")
  void aLargeSubTrimGoesIntoTheRodsAndNothingMoves(
      @ForAll @LongRange(min = 0, max = 100_000) long seed) {
    Setup rig = rig(seed);
    for (Finding one : findings(rig, "large-sub-trim")) {
      double subTrim = channel(rig, one.surface()).subTrimMicroseconds();
      assertThat(one.measured()).isEqualTo(Math.abs(subTrim));
      Setup then = mended(rig, one);
      assertThat(channel(then, one.surface()).subTrimMicroseconds()).isZero();
      // Half a turn of an M2 thread at the shortest horn there is moves about a millimetre.
      assertThat(travel(then, one.surface(), 0))
          .isCloseTo(travel(rig, one.surface(), 0), within(0.8));
      assertThat(findings(then, "large-sub-trim"))
          .noneMatch(left -> left.surface().equals(one.surface()));
    }
    for (String id : DRIVEN) {
      boolean large =
          Math.abs(channel(rig, id).subTrimMicroseconds()) > rig.house().largeSubTrimMicroseconds();
      assertThat(findings(rig, "large-sub-trim").stream().anyMatch(o -> o.surface().equals(id)))
          .isEqualTo(large);
    }
  }

  @Property(tries = 150, seed = "20261126")
  void anEndpointThatIsCutOffIsSetToTheLargestThatIsNot(
      @ForAll @LongRange(min = 0, max = 100_000) long seed) {
    Setup rig = rig(seed);
    PlainModel plain = new PlainModel(rig);
    int expected = 0;
    for (String id : DRIVEN) {
      Channel channel = channel(rig, id);
      for (double way : new double[] {100, -100}) {
        double cut = Math.abs(plain.freePulse(channel, way) - plain.pulse(channel, way));
        expected += cut > rig.house().clippedMicroseconds() ? 1 : 0;
      }
    }
    List<Finding> found = findings(rig, "clipped-endpoint");
    assertThat(found).hasSize(expected);
    for (Finding one : found) {
      Edit edit = one.mends().get(0).edits().get(0);
      Setup then = mended(rig, one);
      Setup more =
          Edits.made(rig, List.of(Edit.of(edit.figure(), edit.subject(), edit.value() + 2)));
      assertThat(findings(then, "clipped-endpoint")).hasSize(expected - 1);
      assertThat(findings(more, "clipped-endpoint")).hasSize(expected);
    }
  }

  @Property(tries = 150, seed = "20261126")
  void smallEndpointsBecomeWholeOnAHoleFurtherInAndTheThrowsStayAboutTheSame(
      @ForAll @LongRange(min = 0, max = 100_000) long seed) {
    Setup rig = rig(seed);
    for (String id : DRIVEN) {
      Channel channel = channel(rig, id);
      double largest = Math.max(channel.endpointHighPercent(), channel.endpointLowPercent());
      List<Finding> found =
          findings(rig, "small-endpoint").stream().filter(o -> o.surface().equals(id)).toList();
      assertThat(found).hasSize(largest < rig.house().smallEndpointPercent() ? 1 : 0);
      double radius = rig.surface(id).orElseThrow().rod().linkage().armRadiusMm();
      for (Finding one : found) {
        assertThat(one.measured()).isEqualTo(largest);
        double hole = Math.round(radius * largest / 10) / 10.0;
        assertThat(one.mends()).hasSize(hole >= 4 ? 1 : 0);
        if (hole >= 4) {
          Setup then = mended(rig, one);
          Channel changed = channel(then, id);
          assertThat(Math.max(changed.endpointHighPercent(), changed.endpointLowPercent()))
              .isEqualTo(100);
          assertThat(changed.endpointHighPercent() / changed.endpointLowPercent())
              .isCloseTo(
                  channel.endpointHighPercent() / channel.endpointLowPercent(), within(0.05));
          assertThat(then.surface(id).orElseThrow().rod().linkage().armRadiusMm()).isEqualTo(hole);
        }
      }
    }
  }

  @Property(tries = 100, seed = "20261126")
  void whatStandsAgainstItsRoleIsMeasured(@ForAll @LongRange(min = 0, max = 100_000) long seed) {
    Setup rig = rig(seed);
    Setup turned = Edits.made(rig, List.of(Edit.of(Figure.SHARE_PITCH, "left", -0.5)));
    PlainModel plain = new PlainModel(turned);
    Moment rest = Moment.centred(Trims.ZERO);
    for (Surface surface : turned.surfaces()) {
      boolean wrong = false;
      for (Control control : List.of(Control.ROLL, Control.PITCH)) {
        double moved =
            plain.travel(surface, rest.with(control, 1), 0) - plain.travel(surface, rest, 0);
        boolean up = control == Control.PITCH || surface.id().equals("right");
        wrong |= Math.abs(moved) > 1.5 && moved > 0 != up;
      }
      boolean told =
          findings(turned, "against-its-role").stream()
              .anyMatch(one -> one.surface().equals(surface.id()));
      assertThat(told || !wrong).as(surface.id()).isTrue();
    }
  }
}
