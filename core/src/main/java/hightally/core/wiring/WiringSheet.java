package hightally.core.wiring;

import hightally.core.airframe.DriverKind;
import hightally.core.airframe.Side;
import hightally.core.airframe.Surface;
import hightally.core.channel.Between;
import hightally.core.channel.Channel;
import hightally.core.channel.Lead;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Device;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.TreeMap;

/**
 * What a pilot wires the model from, and buys for it.
 *
 * @param rows one a lead, by socket
 * @param parts what to buy
 * @param channelCount channels in use
 * @param missingSockets channels for which the receiver has no socket
 */
public record WiringSheet(
    List<WiringRow> rows, List<PartToBuy> parts, int channelCount, long missingSockets) {

  /**
   * One lead.
   *
   * @param socket number on the receiver; -1 where the device has no lead
   * @param channel as the transmitter numbers it
   * @param channelName as this program names it
   * @param otherNames what else hangs on the channel
   * @param device the servo or controller
   * @param moves the surfaces it moves, in words
   * @param side which half of the aircraft
   * @param splitter the Y-lead, empty for none
   * @param extensionMm extension, 0 for none
   * @param reverser whether a reverser goes in
   * @param through what it runs through, empty for none
   * @param label what to write on the lead; empty while there is none
   */
  public record WiringRow(
      int socket,
      int channel,
      String channelName,
      Said otherNames,
      Said device,
      String moves,
      Side side,
      String splitter,
      double extensionMm,
      boolean reverser,
      String through,
      String label) {}

  /** A thing and how many. */
  public record PartToBuy(int count, Said what) {}

  /** The sheet of a setup. */
  public static WiringSheet of(Setup setup) {
    List<WiringRow> rows = new ArrayList<>();
    Device.of(setup).stream()
        .sorted(Comparator.comparing(Device::own))
        .forEach(device -> rows.add(row(setup, device)));
    rows.sort(Comparator.comparingInt(WiringRow::socket));
    long missing = Sharing.missingSockets(setup);
    return new WiringSheet(rows, parts(setup), setup.channels().size(), missing);
  }

  private static WiringRow row(Setup setup, Device device) {
    Channel channel = setup.channel(device.channel()).orElseThrow();
    Lead lead =
        setup.wiring().lead(device.id()).orElse(new Lead(device.id(), -1, "", 0, false, ""));
    List<Surface> moved = moved(setup, device);
    Said others =
        Said.list(
            Device.of(setup).stream()
                .filter(one -> one.channel() == device.channel() && !one.id().equals(device.id()))
                .map(Device::name)
                .toList());
    String through =
        String.join(
            ", ",
            setup.wiring().between().stream()
                .filter(one -> one.carries(device.channel()))
                .map(Between::name)
                .toList());
    return new WiringRow(
        lead.socket(),
        channel.number(),
        channel.name(),
        others,
        device.name(),
        String.join(", ", moved.stream().map(Surface::name).toList()),
        moved.isEmpty() ? Side.CENTRE : moved.get(0).side(),
        lead.splitter(),
        lead.extensionMm(),
        lead.reverser(),
        through,
        lead.label());
  }

  private static List<Surface> moved(Setup setup, Device device) {
    return setup.surfaces().stream()
        .filter(surface -> surface.rod().driver() == DriverKind.SERVO)
        .filter(surface -> surface.rod().driverId().equals(device.id()))
        .toList();
  }

  private static List<PartToBuy> parts(Setup setup) {
    List<PartToBuy> parts = new ArrayList<>();
    List<Lead> leads = setup.wiring().leads();
    int splitters =
        (int) leads.stream().map(Lead::splitter).filter(name -> !name.isEmpty()).distinct().count();
    add(parts, splitters, "wiring.splitters", 0);
    TreeMap<Integer, Integer> extensions = new TreeMap<>();
    leads.stream()
        .filter(lead -> lead.extensionMm() > 0)
        .forEach(lead -> extensions.merge((int) lead.extensionMm(), 1, Integer::sum));
    extensions.forEach((mm, count) -> add(parts, count, "wiring.extensions", mm));
    int reversers = (int) leads.stream().filter(Lead::reverser).count();
    add(parts, reversers, "wiring.reversers", 0);
    int clips = (int) leads.stream().filter(lead -> lead.extensionMm() > 0).count();
    add(parts, clips, "wiring.plugLocks", 0);
    return parts;
  }

  private static void add(List<PartToBuy> parts, int count, String what, double mm) {
    if (count > 0) {
      Said told = Said.of(what, "count", count, "length", Quantity.mm(mm, 0));
      parts.add(new PartToBuy(count, told));
    }
  }
}
