package hightally.core.benchsetup;

import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.edit.Edit;
import hightally.core.edit.Figure;
import hightally.core.edit.Mend;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Makes one surface of a pair move as little as the other, by the endpoint of that side. */
final class EvenPair {
  private EvenPair() {}

  /** Endpoints that make the larger of a pair's computed throws as small as the other. */
  static List<Mend> mends(SignalPath path, int surface) {
    Optional<Surface> partner = path.setup().pairOf(path.setup().surfaces().get(surface));
    if (partner.isEmpty()) {
      return List.of();
    }
    int other = path.indexOf(partner.get().id());
    if (path.channelBehind(other) == path.channelBehind(surface)) {
      return List.of();
    }
    ThrowsFromRest here = ThrowsFromRest.of(path, surface);
    ThrowsFromRest there = ThrowsFromRest.of(path, other);
    double least = path.setup().house().rulerMm();
    List<Mend> mends = new ArrayList<>();
    for (boolean plus : new boolean[] {true, false}) {
      double mine = plus ? here.plusMm() : here.minusMm();
      double theirs = plus ? there.plusMm() : there.minusMm();
      if (Math.abs(mine - theirs) > least) {
        boolean larger = mine > theirs;
        double ratio = larger ? theirs / mine : mine / theirs;
        mends.add(smaller(path, larger ? surface : other, plus, ratio));
      }
    }
    return mends;
  }

  /**
   * The endpoint that makes one side's travel smaller.
   *
   * @param plus whether it is the travel up or right
   * @param ratio wanted travel over the present one, below 1
   */
  static Mend smaller(SignalPath path, int surface, boolean plus, double ratio) {
    ThrowsFromRest found = ThrowsFromRest.of(path, surface);
    int index = path.channelBehind(surface);
    Channel channel = path.setup().channels().get(index);
    double driver = plus ? found.plusDriverDegrees() : found.minusDriverDegrees();
    boolean high = driver * path.servoBehind(surface).slope() > 0;
    double endpoint = high ? channel.endpointHighPercent() : channel.endpointLowPercent();
    double wanted = Math.rint(endpoint * driverRatio(path, surface, plus, driver, ratio));
    Figure end = high ? Figure.ENDPOINT_HIGH : Figure.ENDPOINT_LOW;
    Said words =
        Said.of(
            "guide.endpointEven",
            "channel",
            channel.name(),
            "end",
            end,
            "endpoint",
            Quantity.percent(endpoint),
            "wanted",
            Quantity.percent(wanted));
    return new Mend(words, List.of(Edit.of(end, channel.number(), wanted)));
  }

  /** How much less the arm must turn: the pulse, and with it the endpoint, goes with the arm. */
  private static double driverRatio(
      SignalPath path, int surface, boolean plus, double driver, double ratio) {
    Surface part = path.setup().surfaces().get(surface);
    ThrowsFromRest.Place rest = ThrowsFromRest.at(path, surface, 0);
    ThrowsFromRest found = ThrowsFromRest.of(path, surface);
    double travel = plus ? found.plusMm() : -found.minusMm();
    double sine = (rest.travelMm() + travel * ratio) / part.chordMm();
    double arm = path.bar(surface).armFor(Math.toDegrees(Math.asin(sine)), driver);
    double whole = driver - rest.driverDegrees();
    return Double.isNaN(arm) || whole == 0 ? ratio : (arm - rest.driverDegrees()) / whole;
  }
}
