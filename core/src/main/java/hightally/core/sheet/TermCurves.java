package hightally.core.sheet;

import hightally.core.airframe.Surface;
import hightally.core.channel.Channel;
import hightally.core.channel.Output;
import hightally.core.channel.Transmitter;
import hightally.core.program.Differential;
import hightally.core.program.Mix;
import hightally.core.program.MixFunction;
import hightally.core.program.MixSource;
import hightally.core.program.Phase;
import hightally.core.program.Response;
import hightally.core.program.ResponseCurve;
import hightally.core.quantity.Control;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;

/** What rates, expo, sub-trims and the like do, drawn from a model's own values. */
public final class TermCurves {
  private static final int PLACES = 20;
  private static final double FULL = 100;
  private static final double EXAMPLE_START = 20;
  private static final double EXAMPLE_DIFFERENTIAL = 50;

  private TermCurves() {}

  /**
   * What is asked.
   *
   * @param channel index of the channel whose sub-trim and endpoints are drawn
   */
  public record TermsAsked(Setup setup, int channel) {}

  /**
   * One term's drawing, places and values from -1 to 1, 1 being full.
   *
   * @param term its name
   * @param places where along the stick or source
   * @param plain without it
   * @param now with it
   * @param caption its value in words
   */
  public record TermCurve(
      String term, List<Double> places, List<Double> plain, List<Double> now, Said caption) {}

  /** All drawings. */
  public static List<TermCurve> of(TermsAsked asked) {
    Setup setup = Validation.check(asked.setup());
    int last = setup.channels().size() - 1;
    if (asked.channel() < 0 || asked.channel() > last) {
      throw InvalidInputException.of(
          "channel", asked.channel(), Said.of("demand.zeroToLast", "last", last));
    }
    Response roll = setup.feel().roll();
    Response rate = roll.change().expoPositivePercent(0).expoNegativePercent(0).done();
    Response expo = roll.change().ratePositivePercent(FULL).rateNegativePercent(FULL).done();
    List<TermCurve> all = new ArrayList<>();
    all.add(
        curve(
            "rate",
            s -> s,
            ResponseCurve.of(rate)::value,
            roll.ratePositivePercent(),
            Said.of("program.end")));
    all.add(
        curve(
            "expo",
            s -> s,
            ResponseCurve.of(expo)::value,
            roll.expoPositivePercent(),
            Said.of("program.expoWord")));
    outputs(setup, setup.channels().get(asked.channel()), all);
    all.add(startPoint(setup));
    all.add(differential(setup));
    return all;
  }

  private static TermCurve curve(
      String term, DoubleUnaryOperator plain, DoubleUnaryOperator now, double value, Said words) {
    Said caption =
        Said.of("program.valueWithWords", "value", Quantity.percent(value), "words", words);
    return curve(term, plain, now, caption);
  }

  private static TermCurve curve(
      String term, DoubleUnaryOperator plain, DoubleUnaryOperator now, Said caption) {
    List<Double> places = new ArrayList<>();
    List<Double> without = new ArrayList<>();
    List<Double> with = new ArrayList<>();
    for (int i = -PLACES; i <= PLACES; i++) {
      double place = (double) i / PLACES;
      places.add(place);
      without.add(plain.applyAsDouble(place));
      with.add(now.applyAsDouble(place));
    }
    return new TermCurve(term, places, without, with, caption);
  }

  private static void outputs(Setup setup, Channel channel, List<TermCurve> all) {
    Transmitter transmitter = setup.transmitter();
    double subTrim = channel.subTrimMicroseconds();
    Channel plain = with(channel, 0, FULL, FULL);
    Channel shifted = with(channel, subTrim, FULL, FULL);
    Channel ended = with(channel, 0, channel.endpointLowPercent(), channel.endpointHighPercent());
    all.add(
        curve(
            "sub-trim",
            full(transmitter, plain),
            full(transmitter, shifted),
            Said.of("program.here", "subTrim", Quantity.microseconds(subTrim))));
    all.add(
        curve(
            "endpoint",
            full(transmitter, plain),
            full(transmitter, ended),
            Said.of(
                "program.and",
                "endpointLowPercent",
                Quantity.percent(channel.endpointLowPercent()),
                "endpointHighPercent",
                Quantity.percent(channel.endpointHighPercent()))));
  }

  private static Channel with(Channel one, double subTrim, double low, double high) {
    return new Channel(one.number(), one.name(), one.carries(), false, subTrim, low, high, 0);
  }

  private static DoubleUnaryOperator full(Transmitter transmitter, Channel channel) {
    Output output = Output.of(transmitter, channel);
    return s ->
        (output.pulse(FULL * s) - transmitter.centreMicroseconds())
            / transmitter.microsecondsPer100();
  }

  /** The first mix that has a start point, else an example. */
  private static TermCurve startPoint(Setup setup) {
    Mix mix =
        setup.mixes().stream()
            .filter(one -> one.startPercent() > 0 && one.curve().isEmpty())
            .findFirst()
            .orElse(mix(EXAMPLE_START, FULL));
    MixFunction plain = MixFunction.of(mix(0, mix.weightPlusPercent()));
    MixFunction now = MixFunction.of(mix);
    return curve(
        "start-point",
        x -> plain.value(FULL * x) / FULL,
        x -> now.value(FULL * x) / FULL,
        Said.of("program.nothingWithin", "startPercent", Quantity.percent(mix.startPercent())));
  }

  private static Mix mix(double start, double weight) {
    return new Mix(
        "one",
        "one",
        "",
        MixSource.CONSTANT,
        "",
        weight,
        weight,
        start,
        List.of(),
        List.of(),
        "",
        List.of(),
        0);
  }

  /** Of the surface that has one, else of the first that rolls, as an example. */
  private static TermCurve differential(Setup setup) {
    Differential some =
        setup.phases().stream()
            .flatMap(phase -> phase.differential().stream())
            .findFirst()
            .or(
                () ->
                    setup.surfaces().stream()
                        .filter(one -> one.shares().roll() > 0)
                        .findFirst()
                        .map(one -> new Differential(one.id(), EXAMPLE_DIFFERENTIAL)))
            .orElse(null);
    Surface surface = some == null ? null : setup.surface(some.surface()).orElse(null);
    if (surface == null) {
      return curve("differential", s -> s, s -> s, Said.of("program.noSurfaceRolls"));
    }
    double sign = Math.signum(surface.shares().roll());
    DoubleUnaryOperator plain = rolling(setup, surface, List.of());
    DoubleUnaryOperator now = rolling(setup, surface, List.of(some));
    return curve(
        "differential",
        s -> plain.applyAsDouble(sign * s),
        s -> now.applyAsDouble(sign * s),
        FULL - some.percent(),
        Said.of("program.leftOneSide"));
  }

  /** A surface's command over the roll stick, full where it goes furthest without differential. */
  private static DoubleUnaryOperator rolling(Setup setup, Surface surface, List<Differential> by) {
    List<Phase> phases = new ArrayList<>(setup.phases());
    int last = phases.size() - 1;
    phases.set(last, phases.get(last).withDifferential(by));
    SignalPath path = SignalPath.of(setup.change().phases(phases).mixes(List.of()).done());
    int channel = path.channelBehind(path.indexOf(surface.id()));
    Moment rest = path.rest(last);
    double centre = path.evaluate(rest, last).commandPercent()[channel];
    return s ->
        (path.evaluate(rest.with(Control.ROLL, s), last).commandPercent()[channel] - centre) / FULL;
  }
}
