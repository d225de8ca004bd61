package hightally.core.wiring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hightally.core.DemoModels;
import hightally.core.Rigs;
import hightally.core.airframe.DriverKind;
import hightally.core.airframe.LeverShare;
import hightally.core.airframe.Panel;
import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.channel.Lead;
import hightally.core.channel.Wiring;
import hightally.core.plain.PlainModel;
import hightally.core.quantity.Control;
import hightally.core.setup.Device;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

/** What could share a channel, what it costs and what then moves, worked out the plain way. */
class SharingTest {
  private static final double EXACT = 1e-4;

  @Property(tries = 30)
  void everyOfferIsWhatItSays(@ForAll long seed, @ForAll @IntRange(min = 1, max = 3) int missing) {
    offers(Rigs.random(seed), missing);
  }

  @Example
  void soItIsWithEveryModelThatShips() {
    assertThat(DemoModels.all().stream().mapToInt(one -> offers(one, 1)).sum()).isGreaterThan(20);
  }

  /** With so many sockets fewer than there are channels. */
  private static int offers(Setup from, int missing) {
    Setup setup = fewer(from, missing);
    assertThat(Sharing.missingSockets(setup)).isGreaterThanOrEqualTo(1);
    List<Sharing> offered = Sharing.options(setup);
    List<List<Integer>> alike = new ArrayList<>();
    for (Channel a : setup.channels()) {
      for (Channel b : setup.channels()) {
        if (a.number() < b.number() && alike(setup, a, b)) {
          alike.add(List.of(a.number(), b.number()));
        }
      }
    }
    assertThat(offered.stream().map(one -> List.of(one.keep(), one.drop())))
        .as(setup.name())
        .containsExactlyInAnyOrderElementsOf(alike);
    for (int i = 0; i < offered.size(); i++) {
      offer(setup, offered.get(i));
      if (i > 0) {
        Sharing before = offered.get(i - 1);
        int cheaper = Integer.compare(before.costs().size(), offered.get(i).costs().size());
        assertThat(cheaper).isLessThanOrEqualTo(0);
        if (cheaper == 0) {
          assertThat(before.apartMm()).isLessThanOrEqualTo(offered.get(i).apartMm());
        }
      }
    }
    return offered.size();
  }

  private static void offer(Setup setup, Sharing one) {
    Channel keep = setup.channel(one.keep()).orElseThrow();
    Channel drop = setup.channel(one.drop()).orElseThrow();
    assertThat(one.names()).containsExactly(keep.name(), drop.name());
    Setup shared = one.applied(setup);
    assertThat(shared.channel(one.drop())).isEmpty();
    assertThat(shared.channels()).hasSize(setup.channels().size() - 1);
    assertThat(shared.power().failsafe()).noneMatch(each -> each.channel() == one.drop());
    assertThat(Device.of(shared))
        .filteredOn(
            device -> on(setup, device.id(), one.drop()) || on(setup, device.id(), one.keep()))
        .isNotEmpty()
        .allSatisfy(
            device -> {
              assertThat(device.channel()).isEqualTo(one.keep());
              Lead lead = shared.wiring().lead(device.id()).orElseThrow();
              assertThat(lead.splitter()).isEqualTo("y-" + one.keep());
              Lead old = setup.wiring().lead(device.id()).orElse(null);
              boolean was = old != null && old.reverser();
              boolean dropped = on(setup, device.id(), one.drop());
              assertThat(lead.reverser()).isEqualTo(was != (dropped && one.reverser()));
            });
    if (keep.carriesThrottle()) {
      assertThat(one.costs()).hasSize(1);
      assertThat(one.apartMm()).isZero();
      return;
    }
    boolean rolls = setup.surface(keep.carries()).orElseThrow().shares().roll() != 0;
    assertThat(one.costs()).hasSize(rolls ? 4 : 2);
    assertThat(one.apartMm()).isCloseTo(apart(setup, shared), within(EXACT));
    assertThat(apart(setup, turned(shared, setup, one)))
        .isGreaterThanOrEqualTo(one.apartMm() - EXACT);
  }

  private static boolean on(Setup setup, String device, int channel) {
    return Device.of(setup).stream()
        .anyMatch(one -> one.id().equals(device) && one.channel() == channel);
  }

  /** The same with the other sense of the reverser. */
  private static Setup turned(Setup shared, Setup before, Sharing one) {
    List<Lead> leads =
        shared.wiring().leads().stream()
            .map(
                lead ->
                    on(before, lead.device(), one.drop())
                        ? lead.change().reverser(!lead.reverser()).done()
                        : lead)
            .toList();
    Wiring wiring = new Wiring(shared.wiring().receiver(), leads, shared.wiring().between());
    return shared.change().wiring(wiring).done();
  }

  /** The furthest a surface ends from where it does today, one stick or lever at its end. */
  private static double apart(Setup today, Setup then) {
    List<Moment> ends = new ArrayList<>();
    Moment rest = Moment.centred(today.trims());
    for (Control control : Control.values()) {
      Stream.of(-1, 0, 1).forEach(stick -> ends.add(rest.with(control, stick)));
    }
    int sticks = ends.size();
    for (int i = 0; i < today.transmitter().inputs().size(); i++) {
      ends.add(rest.withInput(i, 1));
    }
    PlainModel before = new PlainModel(today);
    PlainModel after = new PlainModel(then);
    double worst = 0;
    for (int i = 0; i < ends.size(); i++) {
      Moment end = ends.get(i);
      for (Surface surface : today.surfaces()) {
        if (i >= sticks || surface.rod().driver() == DriverKind.SERVO) {
          double was = before.travel(surface, end, before.phase(end));
          Surface now = then.surface(surface.id()).orElseThrow();
          worst = Math.max(worst, Math.abs(was - after.travel(now, end, after.phase(end))));
        }
      }
    }
    return worst;
  }

  /** Two surfaces that only ever do the same, or the opposite. */
  private static boolean alike(Setup setup, Channel keep, Channel drop) {
    Surface a = setup.surface(keep.carries()).orElse(null);
    Surface b = setup.surface(drop.carries()).orElse(null);
    if (a == null || b == null) {
      return keep.carriesThrottle() && drop.carriesThrottle();
    }
    boolean same = true;
    boolean opposite = true;
    for (Control control : Control.values()) {
      same &= a.shares().of(control) == b.shares().of(control);
      opposite &= a.shares().of(control) == -b.shares().of(control);
    }
    List<LeverShare> levers = a.shares().levers();
    boolean leversSame = levers.equals(b.shares().levers());
    return leversSame && (same || opposite && levers.isEmpty());
  }

  private static Setup fewer(Setup setup, int missing) {
    var receiver = setup.wiring().receiver();
    int left = Math.max(1, Math.min(receiver.sockets().size(), setup.channels().size() - missing));
    return setup
        .change()
        .wiring(
            new Wiring(
                receiver.change().sockets(receiver.sockets().subList(0, left)).done(),
                setup.wiring().leads().stream().filter(one -> one.socket() <= left).toList(),
                setup.wiring().between()))
        .done();
  }

  /** Bought in whole steps: long enough with the spare, and one step less is not. */
  @Example
  void anExtensionIsTheShortestThatReaches() {
    int some = 0;
    for (Setup setup : DemoModels.all()) {
      double receiver =
          setup.airframe().panels().stream().mapToDouble(one -> one.root().aftMm()).min().orElse(0);
      for (Surface surface : setup.surfaces()) {
        if (surface.rod().driver() != DriverKind.SERVO) {
          continue;
        }
        String servo = surface.rod().driverId();
        boolean first =
            setup.surfaces().stream()
                .filter(one -> one.rod().driver() == DriverKind.SERVO)
                .filter(one -> one.rod().driverId().equals(servo))
                .findFirst()
                .orElseThrow()
                .equals(surface);
        if (!first) {
          continue;
        }
        Panel panel =
            setup.airframe().panels().stream()
                .filter(one -> one.id().equals(surface.place().panel()))
                .findFirst()
                .orElseThrow();
        double half = (surface.place().from() + surface.place().to()) / 2;
        double across = (1 - half) * panel.root().rightMm() + half * panel.tip().rightMm();
        double trailing =
            (1 - half) * (panel.root().aftMm() + panel.root().chordMm())
                + half * (panel.tip().aftMm() + panel.tip().chordMm());
        double sits = trailing - surface.chordMm() - surface.rod().linkage().rodLengthMm();
        double way = Math.abs(across) + Math.abs(sits - receiver) + setup.house().leadSpareMm();
        double own = setup.servo(servo).orElseThrow().leadMm();
        double extension = LeadLengths.extensionMm(setup, servo);
        double step = setup.house().extensionStepMm();
        assertThat(extension % step).isZero();
        assertThat(own + extension).isGreaterThanOrEqualTo(way - 1e-9);
        if (extension > 0) {
          assertThat(own + extension - step).isLessThan(way);
          some++;
        }
      }
      setup
          .airframe()
          .motors()
          .forEach(one -> assertThat(LeadLengths.extensionMm(setup, one.id())).isZero());
    }
    assertThat(some).isGreaterThan(10);
  }
}
