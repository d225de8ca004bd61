package hightally.core.wiring;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.DemoModels;
import hightally.core.English;
import hightally.core.Rigs;
import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Motor;
import hightally.core.airframe.Servo;
import hightally.core.airframe.Side;
import hightally.core.airframe.Surface;
import hightally.core.channel.Between;
import hightally.core.channel.BetweenKind;
import hightally.core.channel.Channel;
import hightally.core.channel.Failsafe;
import hightally.core.channel.Lead;
import hightally.core.channel.Receiver;
import hightally.core.channel.Wiring;
import hightally.core.setup.Setup;
import hightally.core.wiring.WiringSheet.PartToBuy;
import hightally.core.wiring.WiringSheet.WiringRow;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/** Every cell of the wiring sheet against the document it tells of. */
class WiringSheetTest {
  /** A model that ships or a random one, its leads as they come: labels, Y-leads, reversers. */
  private static Setup model(long seed) {
    Random random = new Random(seed);
    List<Setup> shipped = DemoModels.all();
    Setup setup =
        random.nextInt(3) == 0 ? Rigs.random(seed) : shipped.get(random.nextInt(shipped.size()));
    List<Lead> leads = new ArrayList<>();
    for (String device : devices(setup).keySet()) {
      if (random.nextInt(8) > 0) {
        leads.add(
            new Lead(
                device,
                random.nextInt(12),
                random.nextBoolean() ? "" : "y-" + random.nextInt(3),
                100 * random.nextInt(4),
                random.nextInt(3) == 0,
                random.nextBoolean() ? "" : "label " + random.nextInt(100)));
      }
    }
    List<Between> between = new ArrayList<>();
    for (int i = 0; i < random.nextInt(3); i++) {
      List<Integer> through =
          setup.channels().stream()
              .map(Channel::number)
              .filter(one -> random.nextBoolean())
              .toList();
      between.add(
          new Between(
              "board " + i, BetweenKind.CONTROLLER, through, 120, true, random.nextInt(3) == 0));
    }
    return setup.change().wiring(new Wiring(setup.wiring().receiver(), leads, between)).done();
  }

  /** Everything with a plug, by its id, with the channel it listens to. */
  private static Map<String, Integer> devices(Setup setup) {
    Map<String, Integer> devices = new TreeMap<>();
    setup.servos().forEach(one -> devices.put(one.id(), one.channel()));
    setup.airframe().motors().forEach(one -> devices.put(one.id(), one.channel()));
    setup.channels().stream()
        .filter(
            one ->
                setup.transmitter().inputs().stream().anyMatch(in -> in.id().equals(one.carries())))
        .forEach(one -> devices.put(one.carries(), one.number()));
    return devices;
  }

  private static String called(Setup setup, String device) {
    return Stream.of(
            setup.servos().stream().filter(one -> one.id().equals(device)).map(Servo::name),
            setup.airframe().motors().stream()
                .filter(one -> one.id().equals(device))
                .map(Motor::name),
            setup.channels().stream()
                .filter(one -> one.carries().equals(device))
                .map(Channel::name))
        .flatMap(names -> names)
        .findFirst()
        .orElseThrow();
  }

  @Property(tries = 50)
  void everyRowSaysWhatItsLeadIs(@ForAll long seed) {
    Setup setup = model(seed);
    WiringSheet sheet = WiringSheet.of(setup);
    Map<String, Integer> devices = devices(setup);
    assertThat(sheet.rows()).hasSameSizeAs(devices.keySet());
    assertThat(sheet.rows()).isSortedAccordingTo(Comparator.comparingInt(WiringRow::socket));
    List<WiringRow> left = new ArrayList<>(sheet.rows());
    for (String device : devices.keySet()) {
      WiringRow row = expected(setup, devices, device);
      WiringRow found =
          left.stream().filter(one -> plain(one).equals(plain(row))).findFirst().orElse(null);
      assertThat(found).as(row + " among " + left).isNotNull();
      assertThat(English.say(found.device())).contains(called(setup, device));
      for (String other : devices.keySet()) {
        boolean shares = !other.equals(device) && devices.get(other).equals(devices.get(device));
        if (shares) {
          assertThat(English.say(found.otherNames())).contains(called(setup, other));
        }
      }
      left.remove(found);
    }
    assertThat(left).isEmpty();
    assertThat(sheet.channelCount()).isEqualTo(setup.channels().size());
  }

  /** What is compared letter by letter: all but what is said. */
  private static List<Object> plain(WiringRow row) {
    return List.of(
        row.socket(),
        row.channel(),
        row.channelName(),
        row.moves(),
        row.side(),
        row.splitter(),
        row.extensionMm(),
        row.reverser(),
        row.through(),
        row.label());
  }

  private static WiringRow expected(Setup setup, Map<String, Integer> devices, String device) {
    int number = devices.get(device);
    Channel channel =
        setup.channels().stream().filter(one -> one.number() == number).findFirst().orElseThrow();
    Lead lead =
        setup.wiring().leads().stream()
            .filter(one -> one.device().equals(device))
            .findFirst()
            .orElse(null);
    List<Surface> moved =
        setup.surfaces().stream()
            .filter(one -> one.rod().driver() == DriverKind.SERVO)
            .filter(one -> one.rod().driverId().equals(device))
            .toList();
    List<String> through =
        setup.wiring().between().stream()
            .filter(one -> !one.bypassed() && one.channels().contains(number))
            .map(Between::name)
            .toList();
    return new WiringRow(
        lead == null ? -1 : lead.socket(),
        number,
        channel.name(),
        null,
        null,
        String.join(", ", moved.stream().map(Surface::name).toList()),
        moved.isEmpty() ? Side.CENTRE : moved.get(0).side(),
        lead == null ? "" : lead.splitter(),
        lead == null ? 0 : lead.extensionMm(),
        lead != null && lead.reverser(),
        String.join(", ", through),
        lead == null ? "" : lead.label());
  }

  @Property(tries = 50)
  void whatIsToBuyIsWhatTheLeadsNeed(@ForAll long seed) {
    Setup setup = model(seed);
    List<Lead> leads = setup.wiring().leads();
    List<Integer> counts = new ArrayList<>();
    int splitters =
        new TreeSet<>(leads.stream().map(Lead::splitter).filter(one -> !one.isEmpty()).toList())
            .size();
    if (splitters > 0) {
      counts.add(splitters);
    }
    Map<Double, Integer> lengths = new TreeMap<>();
    int extended = 0;
    int reversers = 0;
    for (Lead one : leads) {
      if (one.extensionMm() > 0) {
        lengths.merge(one.extensionMm(), 1, Integer::sum);
        extended++;
      }
      reversers += one.reverser() ? 1 : 0;
    }
    counts.addAll(lengths.values());
    if (reversers > 0) {
      counts.add(reversers);
    }
    if (extended > 0) {
      counts.add(extended);
    }
    List<PartToBuy> parts = WiringSheet.of(setup).parts();
    assertThat(parts).extracting(PartToBuy::count).containsExactlyElementsOf(counts);
    int at = splitters > 0 ? 1 : 0;
    for (double length : lengths.keySet()) {
      assertThat(English.say(parts.get(at++).what()))
          .contains(Long.toString((long) length) + " mm");
    }
  }

  @Example
  void aDeviceWithoutALeadStandsFirstAndAChannelWithoutASocketIsCounted() {
    Setup plain = Rigs.plain();
    Setup bare =
        plain
            .change()
            .wiring(
                new Wiring(
                    new Receiver("bare", List.of(), false, Failsafe.NONE, 0), List.of(), List.of()))
            .done();
    WiringSheet sheet = WiringSheet.of(bare);
    assertThat(sheet.rows()).allMatch(one -> one.socket() == -1);
    assertThat(sheet.missingSockets()).isEqualTo(plain.channels().size());
    assertThat(sheet.parts()).isEmpty();
  }
}
