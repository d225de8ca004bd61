package hightally.core.movement;

import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.quantity.Text;
import hightally.core.quantity.Validation;
import hightally.core.quantity.Within;
import hightally.core.setup.Setup;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The output stage of a surface's channel as a pilot thinks of it: up and down, or left and right,
 * with what the transmitter calls either side beside; a pair together.
 *
 * @param rows the surface, then its pair where that has a channel of its own
 * @param alike whether a pair has the same endpoints and limits either way
 */
public record OutputSheet(List<Row> rows, boolean alike) {
  /**
   * One surface.
   *
   * @param channel number of its channel
   * @param plusEndpoint of the side that moves it up, or right, percent
   * @param plusLimit how far that side goes at most, percent; 0 without a limit of its own
   * @param subTrimMicroseconds how far its centre is moved
   * @param subTrimPlus whether that is up, or right
   * @param channelSubTrim the same as the transmitter has it, µs
   * @param highIsPlus whether the transmitter's high side is the plus side
   * @param shares what else moves with it, on the same channel
   */
  public record Row(
      String surface,
      String name,
      int channel,
      double plusEndpoint,
      double minusEndpoint,
      double plusLimit,
      double minusLimit,
      double subTrimMicroseconds,
      boolean subTrimPlus,
      double channelSubTrim,
      boolean highIsPlus,
      List<String> shares) {
    private boolean like(Row other) {
      return plusEndpoint == other.plusEndpoint
          && minusEndpoint == other.minusEndpoint
          && plusLimit == other.plusLimit
          && minusLimit == other.minusLimit;
    }
  }

  /** What is set. */
  public enum OutputFigure {
    /** Percent of full travel at a full command. */
    ENDPOINT,
    /** Percent of full travel the pulse never passes; 0 for no limit of its own. */
    LIMIT,
    /** µs the centre is moved, as a size to one side. */
    SUB_TRIM
  }

  /**
   * What is asked.
   *
   * @param plus whether it is about the side that moves the surface up, or right
   * @param value its size
   * @param pair whether its pair gets the same on the same side
   */
  public record OutputWish(
      Setup setup,
      @Text(max = 40) String surface,
      OutputFigure figure,
      boolean plus,
      @Within(min = 0, max = 300) double value,
      boolean pair) {}

  /** The sheet of a surface. */
  public static OutputSheet of(Setup setup, String surface) {
    SignalPath path = SignalPath.of(setup);
    List<Row> rows = new ArrayList<>(List.of(row(path, path.indexOf(surface))));
    pairIndex(path, surface).ifPresent(pair -> rows.add(row(path, pair)));
    return new OutputSheet(rows, rows.size() > 1 && rows.get(0).like(rows.get(1)));
  }

  /** Its pair, where that hangs on another channel. */
  private static Optional<Integer> pairIndex(SignalPath path, String surface) {
    int own = path.channelBehind(path.indexOf(surface));
    return path.setup()
        .surface(surface)
        .flatMap(path.setup()::pairOf)
        .map(pair -> path.indexOf(pair.id()))
        .filter(pair -> path.channelBehind(pair) != own);
  }

  private static Row row(SignalPath path, int index) {
    Setup setup = path.setup();
    int at = path.channelBehind(index);
    Channel channel = setup.channels().get(at);
    Surface surface = setup.surfaces().get(index);
    boolean high = path.highIsPlus(index);
    List<String> shares = new ArrayList<>();
    for (int i = 0; i < setup.surfaces().size(); i++) {
      if (i != index && path.channelBehind(i) == at) {
        shares.add(setup.surfaces().get(i).name());
      }
    }
    double subTrim = channel.subTrimMicroseconds();
    return new Row(
        surface.id(),
        surface.name(),
        channel.number(),
        high ? channel.endpointHighPercent() : channel.endpointLowPercent(),
        high ? channel.endpointLowPercent() : channel.endpointHighPercent(),
        high ? channel.limitHighPercent() : channel.limitLowPercent(),
        high ? channel.limitLowPercent() : channel.limitHighPercent(),
        Math.abs(subTrim),
        high == subTrim > 0,
        subTrim,
        high,
        shares);
  }

  /** The setup with it set. */
  public static Setup set(OutputWish wish) {
    Validation.check(wish);
    SignalPath path = SignalPath.of(wish.setup());
    List<Channel> channels = new ArrayList<>(wish.setup().channels());
    set(path, path.indexOf(wish.surface()), wish, channels);
    if (wish.pair()) {
      pairIndex(path, wish.surface()).ifPresent(pair -> set(path, pair, wish, channels));
    }
    return Validation.check(wish.setup().change().channels(channels).done());
  }

  private static void set(SignalPath path, int index, OutputWish wish, List<Channel> channels) {
    int at = path.channelBehind(index);
    Channel now = channels.get(at);
    boolean high = path.highIsPlus(index) == wish.plus();
    double value = wish.value();
    channels.set(
        at,
        switch (wish.figure()) {
          case ENDPOINT -> high ? now.withHigh(value) : now.withLow(value);
          case LIMIT ->
              high
                  ? now.limited(now.limitLowPercent(), value)
                  : now.limited(value, now.limitHighPercent());
          case SUB_TRIM ->
              now.with(
                  high || value == 0 ? value : -value,
                  now.endpointLowPercent(),
                  now.endpointHighPercent());
        });
  }
}
