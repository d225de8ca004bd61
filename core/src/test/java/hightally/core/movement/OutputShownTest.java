package hightally.core.movement;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.DemoModels;
import hightally.core.Rigs;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.movement.OutputSheet.OutputFigure;
import hightally.core.movement.OutputSheet.OutputWish;
import hightally.core.plain.PlainModel;
import hightally.core.plain.RandomPrograms;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.List;
import java.util.TreeSet;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

/**
 * The output stage of a surface as it is shown, against what its channel does in the plain model.
 */
class OutputShownTest {
  private static final double LESS = 30;

  @Property(tries = 15)
  void everyFigureIsOfItsSide(@ForAll long seed, @ForAll @IntRange(max = 1) int kind) {
    checked(kind == 0 ? RandomPrograms.of(seed) : Rigs.random(seed));
  }

  @Example
  void soItIsWithEveryModelThatShips() {
    DemoModels.all().forEach(OutputShownTest::checked);
  }

  private static void checked(Setup setup) {
    for (Surface surface : setup.surfaces()) {
      List<OutputSheet.Row> rows = OutputSheet.of(setup, surface.id()).rows();
      assertThat(rows.get(0).surface()).isEqualTo(surface.id());
      for (OutputSheet.Row row : rows) {
        Surface named = setup.surface(row.surface()).orElseThrow();
        Channel channel = setup.channel(row.channel()).orElseThrow();
        assertThat(row.name()).isEqualTo(named.name());
        if (!named.id().equals(surface.id())) {
          assertThat(named.pair()).isEqualTo(surface.id());
        }
        row(setup, named, channel, row);
      }
    }
  }

  private static void row(Setup setup, Surface surface, Channel channel, OutputSheet.Row row) {
    // The channel alone, moved a little at rest: what goes with it, and which way this one goes.
    Setup moved = with(setup, channel.with(channel.subTrimMicroseconds() + 8, 100, 100));
    Setup still = with(setup, channel.with(channel.subTrimMicroseconds(), 100, 100));
    double up = travel(moved, surface) - travel(still, surface);
    TreeSet<String> along = new TreeSet<>();
    for (Surface other : setup.surfaces()) {
      if (Math.abs(travel(moved, other) - travel(still, other)) > 1e-6) {
        along.add(other.name());
      }
    }
    if (Math.abs(up) > 1e-3) {
      assertThat(row.highIsPlus()).as("%s %s", setup.name(), surface.id()).isEqualTo(up > 0);
      TreeSet<String> told = new TreeSet<>(row.shares());
      told.add(surface.name());
      assertThat(told).containsAll(along);
    }
    boolean high = row.highIsPlus();
    assertThat(row.plusEndpoint())
        .isEqualTo(high ? channel.endpointHighPercent() : channel.endpointLowPercent());
    assertThat(row.minusEndpoint())
        .isEqualTo(high ? channel.endpointLowPercent() : channel.endpointHighPercent());
    assertThat(row.plusLimit())
        .isEqualTo(high ? channel.limitHighPercent() : channel.limitLowPercent());
    assertThat(row.minusLimit())
        .isEqualTo(high ? channel.limitLowPercent() : channel.limitHighPercent());
    assertThat(row.channelSubTrim()).isEqualTo(channel.subTrimMicroseconds());
    assertThat(row.subTrimMicroseconds()).isEqualTo(Math.abs(channel.subTrimMicroseconds()));
    if (channel.subTrimMicroseconds() != 0) {
      assertThat(row.subTrimPlus()).isEqualTo(high == channel.subTrimMicroseconds() > 0);
    }
    typed(setup, surface, row);
  }

  /** What is typed for a side takes travel from that side alone. */
  private static void typed(Setup setup, Surface surface, OutputSheet.Row row) {
    double now = row.plusEndpoint();
    if (now < 2 * LESS) {
      return;
    }
    Setup less =
        OutputSheet.set(
            new OutputWish(setup, surface.id(), OutputFigure.ENDPOINT, true, now - LESS, false));
    assertThat(OutputSheet.of(less, surface.id()).rows().get(0).plusEndpoint())
        .isEqualTo(now - LESS);
    PlainModel before = new PlainModel(setup);
    PlainModel after = new PlainModel(less);
    SignalPath path = SignalPath.of(setup);
    for (int phase = 0; phase < setup.phases().size(); phase++) {
      Moment rest = path.rest(phase);
      for (Control control : Control.values()) {
        for (int stick : new int[] {-1, 1}) {
          Moment full = rest.with(control, stick);
          double goes = after.travel(surface, full, phase) - before.travel(surface, full, phase);
          assertThat(goes).as("%s, %s", setup.name(), surface.id()).isLessThan(1e-6);
        }
      }
    }
  }

  private static double travel(Setup setup, Surface surface) {
    Moment rest = SignalPath.of(setup).rest(0);
    return new PlainModel(setup).travel(surface, rest, 0);
  }

  private static Setup with(Setup setup, Channel changed) {
    return setup
        .change()
        .channels(
            setup.channels().stream()
                .map(one -> one.number() == changed.number() ? changed : one)
                .toList())
        .done();
  }
}
