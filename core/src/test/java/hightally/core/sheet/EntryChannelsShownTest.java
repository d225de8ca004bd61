package hightally.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.DemoModels;
import hightally.core.Rigs;
import hightally.core.airframe.Motor;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.plain.PlainModel;
import hightally.core.plain.RandomPrograms;
import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Way;
import hightally.core.setup.Setup;
import hightally.core.sheet.EntrySheet.Entry;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.assertj.core.data.Offset;

/** The channels' lines of the entry sheet: number, name, side, way and value of each. */
class EntryChannelsShownTest {
  /** By so much less an endpoint is found to be this side's, percent. */
  private static final double LESS = 30;

  /** A figure is told with the digits a transmitter takes. */
  private static final Offset<Double> TOLD = within(0.01);

  @Property(tries = 40)
  void everyLineIsOfItsChannel(@ForAll long seed, @ForAll @IntRange(max = 1) int kind) {
    checked(kind == 0 ? RandomPrograms.of(seed) : Rigs.random(seed));
  }

  @Example
  void soItIsWithEveryModelThatShips() {
    DemoModels.all().forEach(EntryChannelsShownTest::checked);
  }

  private static void checked(Setup setup) {
    Map<String, Entry> lines =
        EntrySheet.of(setup).stream()
            .filter(one -> one.key().startsWith("channel-"))
            .collect(Collectors.toMap(Entry::key, Function.identity()));
    for (Channel channel : setup.channels()) {
      String key = "channel-" + channel.number() + "/";
      Map<String, Entry> own = new TreeMap<>();
      lines.forEach(
          (name, line) -> {
            if (name.startsWith(key)) {
              own.put(name.substring(key.length()), line);
            }
          });
      own.values()
          .forEach(
              one ->
                  assertThat(one.place().with())
                      .containsEntry("number", channel.number())
                      .containsEntry("channel", channel.name()));
      assertThat(own.get("reversed").value().with()).containsEntry("reversed", channel.reversed());
      assertThat(figure(own.get("sub-trim"))).isCloseTo(channel.subTrimMicroseconds(), TOLD);
      assertThat(figure(own.get("low"))).isCloseTo(channel.endpointLowPercent(), TOLD);
      assertThat(figure(own.get("high"))).isCloseTo(channel.endpointHighPercent(), TOLD);
      limit(own.get("limit-low"), channel.limitLowPercent());
      limit(own.get("limit-high"), channel.limitHighPercent());
      limit(own.get("slowed"), channel.slowedSeconds());
      assertThat(own.containsKey("steady")).isEqualTo(channel.steady());
      turns(setup, channel, own);
      carries(setup, channel, own.get("carries"));
      ways(setup, channel, own);
    }
    assertThat(lines.values().stream().map(one -> one.place().with().get("number")).distinct())
        .hasSameSizeAs(setup.channels());
  }

  private static double figure(Entry entry) {
    return entry.value().with().values().stream()
        .filter(Quantity.class::isInstance)
        .map(Quantity.class::cast)
        .findFirst()
        .map(Quantity::value)
        .orElseThrow(() -> new AssertionError(entry));
  }

  private static void limit(Entry entry, double value) {
    assertThat(entry != null).isEqualTo(value != 0);
    if (entry != null) {
      assertThat(figure(entry)).isCloseTo(value, TOLD);
    }
  }

  /** A motor is named where its second wire is, and nowhere else. */
  private static void turns(Setup setup, Channel channel, Map<String, Entry> own) {
    for (Motor motor : setup.airframe().motors()) {
      Entry line = own.get("turns-" + motor.id());
      assertThat(line != null).isEqualTo(motor.reverserChannel() == channel.number());
      if (line != null) {
        assertThat(line.value()).isEqualTo(Said.text(motor.name()));
      }
    }
  }

  private static void carries(Setup setup, Channel channel, Entry line) {
    Surface surface = setup.surface(channel.carries()).orElse(null);
    assertThat(line != null).isEqualTo(surface != null);
    if (surface == null) {
      return;
    }
    assertThat(line.value().with()).containsEntry("surface", surface.name());
    List<Double> parts = new ArrayList<>();
    for (Control control : Control.values()) {
      if (surface.shares().of(control) != 0) {
        parts.add(100 * surface.shares().of(control));
      }
    }
    surface.shares().levers().forEach(one -> parts.add(100 * one.share()));
    List<Double> shown =
        ((List<?>) line.value().with().get("shares"))
            .stream()
                .map(Said.class::cast)
                .map(one -> (Said) one.with().get("part"))
                .map(one -> ((Quantity) one.with().values().iterator().next()).value())
                .toList();
    assertThat(shown).hasSameSizeAs(parts);
    for (int i = 0; i < parts.size(); i++) {
      assertThat(shown.get(i)).isCloseTo(parts.get(i), TOLD);
    }
  }

  /** A side's endpoint is that of the way in which the surface goes less far when it is less. */
  private static void ways(Setup setup, Channel channel, Map<String, Entry> own) {
    Surface surface = setup.surface(channel.carries()).orElse(null);
    if (surface == null) {
      assertThat(own.get("high").what().with().get("way")).isEqualTo(Said.NOTHING);
      return;
    }
    for (boolean high : new boolean[] {true, false}) {
      Setup less = less(setup, channel, high);
      TreeSet<Way> went = new TreeSet<>();
      SignalPath path = SignalPath.of(setup);
      PlainModel plain = new PlainModel(setup);
      PlainModel plainLess = new PlainModel(less);
      for (int phase = 0; phase < setup.phases().size(); phase++) {
        Moment rest = path.rest(phase);
        for (Control control : Control.values()) {
          for (int stick : new int[] {-1, 1}) {
            Moment full = rest.with(control, stick);
            double goes = plain.travel(surface, full, phase);
            double now = plainLess.travel(surface, full, phase);
            if (Math.abs(goes - now) > 1) {
              // Away from where it goes less far.
              went.add(surface.way(goes - now > 0 ? 1 : -1));
            }
          }
        }
      }
      if (went.size() == 1) {
        Said side = (Said) own.get(high ? "high" : "low").what().with().get("way");
        Object way = side.with().get("way");
        boolean end = way instanceof Said;
        assertThat(end).as("told with the end of a wheel").isEqualTo(surface.role().wheel());
        assertThat(end ? ((Said) way).with().get("way") : way)
            .as("%s %s, channel %s", setup.name(), high ? "high" : "low", channel.number())
            .isEqualTo(went.first());
      }
    }
  }

  private static Setup less(Setup setup, Channel channel, boolean high) {
    double highest = channel.endpointHighPercent() - (high ? LESS : 0);
    double lowest = channel.endpointLowPercent() - (high ? 0 : LESS);
    List<Channel> channels =
        setup.channels().stream()
            .map(
                one ->
                    one.number() == channel.number() ? one.withLow(lowest).withHigh(highest) : one)
            .toList();
    return setup.change().channels(channels).done();
  }
}
