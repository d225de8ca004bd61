package hightally.core.history;

import hightally.core.airframe.Surface;
import hightally.core.flightlog.Diagnosis;
import hightally.core.flightlog.Diagnosis.Cause;
import hightally.core.flightlog.Diagnosis.Observation;
import hightally.core.flightlog.Diagnosis.Priors;
import hightally.core.flightlog.Diagnosis.Seen;
import hightally.core.flightlog.Diagnosis.Suspect;
import hightally.core.linkage.RodEnd;
import hightally.core.linkage.RodEndKind;
import hightally.core.linkage.RodThread;
import hightally.core.quantity.Absentable;
import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;

/**
 * What everything that was seen of a model says of its description.
 *
 * @param observations how many there are
 * @param explanations the likeliest first
 * @param named the one that is sure enough to be taken into the description; absent for none
 * @param next the measurement that would tell the two likeliest apart; absent where none is needed
 */
public record Calibration(
    int observations,
    List<Suspect> explanations,
    @Absentable Named named,
    @Absentable Proposal next) {
  /** From this probability on it is named. */
  public static final double SURE = 0.8;

  /** A factor nearer to one than this changes nothing worth typing. */
  public static final double LEAST_OFF = 0.05;

  /** One reading may be a misreading: so many must speak for it. */
  private static final int LEAST_SEEN = 2;

  /** An explanation after which a reading is still this many deviations off explains too little. */
  private static final double MOST_LEFT = 4;

  /** After so many measurements that told nothing, flying goes on. */
  private static final int MOST_ASKED = 3;

  /** From so much evidence on a cause that is in every figure is looked at. */
  private static final double LEAST_DOUBT = 1;

  /** The same for a single lever arm. */
  private static final double LEAST_LEVER_DOUBT = 6;

  /** A measurement that tells two explanations apart by less says nothing. */
  private static final double TELLING_DEVIATIONS = 1;

  private static final int TRIED_CLICKS = 40;

  /** A gauge reading of at least this tells what a click moves. */
  private static final double ONCE_MM = 1;

  private static final double TRIED_TURNS = 3;

  /**
   * Whether nothing being wrong is likelier than any cause: a measurement can wait for a flight.
   */
  boolean lightly() {
    return explanations.isEmpty() || explanations.get(0).cause() == Cause.NOTHING;
  }

  /**
   * What would be corrected.
   *
   * @param was as it is described
   * @param becomes as it would be
   * @param words all of it, with the other surfaces it touches
   */
  public record Named(
      Cause cause, String subject, double factor, double was, double becomes, Said words) {}

  /**
   * A measurement to make.
   *
   * @param amount clicks or turns to put in; 1 for a full stick
   * @param expectedMm what the description expects
   * @param words how to make it and what for
   */
  public record Proposal(
      String surface, Seen kind, Control control, double amount, double expectedMm, Said words) {}

  /**
   * Weighs all observations of a model.
   *
   * @param stuck controls that are said to be better left, by the click step
   * @param close controls that are only just worth turning, by the thread
   */
  static Calibration of(History history, List<Control> stuck, List<Control> close) {
    Setup setup = history.setup();
    List<Observation> seen = Observations.of(history);
    List<Suspect> all =
        seen.isEmpty()
            ? List.of()
            : Diagnosis.of(
                CalibrationModel.surfaces(setup),
                CalibrationModel.ends(setup),
                Priors.STANDARD,
                seen);
    Named named = all.isEmpty() ? null : named(setup, all.get(0), seen);
    boolean ask = named == null && all.size() > 1 && sinceLastOrder(history) < MOST_ASKED;
    Proposal next = ask ? next(setup, all, seen) : null;
    if (named == null && next == null) {
      next = once(setup, stuck, Seen.GAUGE, seen);
      next = next == null ? once(setup, close, Seen.TURNS, seen) : next;
    }
    return new Calibration(seen.size(), all, named, next);
  }

  /** What some clicks or turns move, asked once before a verdict rests on a typed figure. */
  private static Proposal once(
      Setup setup, List<Control> controls, Seen kind, List<Observation> seen) {
    CalibrationModel weighing = new CalibrationModel(setup);
    for (Control control : controls) {
      for (String surface : weighing.weights(control).keySet()) {
        double amount =
            kind == Seen.TURNS
                ? TRIED_TURNS
                : Math.min(TRIED_CLICKS, setup.transmitter().trimRangeClicks());
        double expected = weighing.predictedMm(surface, kind, control, amount);
        RodEndKind end = setup.surface(surface).orElseThrow().rod().end().kind();
        boolean turns = kind != Seen.TURNS || end != RodEndKind.SLIDE;
        if (expected >= ONCE_MM && turns && !measured(setup, surface, kind, seen)) {
          return new Proposal(
              surface,
              kind,
              control,
              amount,
              expected,
              Said.of(
                  "story.measureOnce",
                  "kind",
                  kind,
                  "surface",
                  setup.surface(surface).orElseThrow().name(),
                  "amount",
                  Quantity.plain(amount, 0),
                  "control",
                  control,
                  "expected",
                  Quantity.mm(expected)));
        }
      }
    }
    return null;
  }

  /** A click is the same everywhere; a thread that of all ends typed alike. */
  private static boolean measured(Setup setup, String surface, Seen kind, List<Observation> seen) {
    List<String> alike =
        kind == Seen.GAUGE
            ? CalibrationModel.surfaces(setup)
            : Correction.threaded(
                setup, CalibrationModel.name(setup.surface(surface).orElseThrow().rod().end()));
    return seen.stream()
        .filter(one -> one.kind() == kind && Math.abs(one.predicted()) >= ONCE_MM)
        .anyMatch(one -> alike.stream().anyMatch(one.surfaces()::containsKey));
  }

  private static long sinceLastOrder(History history) {
    int last = history.orders().stream().mapToInt(History.Order::result).max().orElse(0);
    return history.readings().stream().filter(one -> one.revision() >= last).count();
  }

  /** How many times as likely an explanation is, seen what was seen, as it was before. */
  private static double speaks(Setup setup, List<Suspect> all, Suspect one) {
    double nothing =
        all.stream()
            .filter(each -> each.cause() == Cause.NOTHING)
            .mapToDouble(Suspect::probability)
            .sum();
    int unknowns = 1 + CalibrationModel.ends(setup).size() + 2 * setup.surfaces().size();
    double before = (1 - Priors.STANDARD.nothing()) / unknowns / Priors.STANDARD.nothing();
    return nothing == 0 ? Double.MAX_VALUE : one.probability() / nothing / before;
  }

  private static boolean doubted(Setup setup, List<Suspect> all, Suspect one) {
    boolean everywhere = one.cause() == Cause.CLICK_STEP || one.cause() == Cause.THREAD;
    return one.cause() != Cause.NOTHING
        && speaks(setup, all, one) >= (everywhere ? LEAST_DOUBT : LEAST_LEVER_DOUBT);
  }

  private static Named named(Setup setup, Suspect first, List<Observation> seen) {
    boolean sure =
        first.cause() != Cause.NOTHING
            && first.probability() > SURE
            && Math.abs(first.factor() - 1) > LEAST_OFF;
    long touched = seen.stream().filter(one -> column(setup, first, one) != 0).count();
    boolean explains =
        seen.stream()
            .allMatch(
                one -> {
                  double left =
                      Math.log(one.measured() / one.predicted())
                          - column(setup, first, one) * Math.log(first.factor());
                  return Math.abs(left * one.predicted() / one.sd()) <= MOST_LEFT;
                });
    return sure && touched >= LEAST_SEEN && explains ? Correction.of(setup, first) : null;
  }

  /** What an explanation weighs in an observation. */
  private static double column(Setup setup, Suspect cause, Observation one) {
    List<String> surfaces =
        switch (cause.cause()) {
          case NOTHING -> List.<String>of();
          case CLICK_STEP -> CalibrationModel.surfaces(setup);
          case THREAD -> Correction.threaded(setup, cause.subject());
          case ARM, HORN -> List.of(cause.subject());
        };
    double weight = surfaces.stream().mapToDouble(id -> one.surfaces().getOrDefault(id, 0.0)).sum();
    return one.kind().column(cause.cause()) * weight;
  }

  /** The measurement for which the two likeliest predict readings furthest apart for its error. */
  private static Proposal next(Setup setup, List<Suspect> all, List<Observation> seen) {
    Suspect first = all.get(0);
    if (first.cause() == Cause.NOTHING && !doubted(setup, all, all.get(1))) {
      return null;
    }
    CalibrationModel weighing = new CalibrationModel(setup);
    Proposal best = null;
    double most = TELLING_DEVIATIONS;
    for (Surface surface : setup.surfaces()) {
      Control control = weighing.mainControl(surface.id());
      for (BenchReading one :
          control == null ? List.<BenchReading>of() : tries(setup, surface, control)) {
        Observation would = weighing.observation(one);
        double apart =
            Math.abs(reading(setup, first, would) - reading(setup, all.get(1), would)) / would.sd();
        if (apart > most && !known(seen, would)) {
          most = apart;
          best = proposal(setup, surface, one, would.predicted(), first, all.get(1));
        }
      }
    }
    return best;
  }

  private static boolean known(List<Observation> seen, Observation would) {
    return seen.stream()
            .filter(one -> one.kind() == would.kind() && one.surfaces().equals(would.surfaces()))
            .filter(one -> Math.abs(one.predicted()) >= Math.abs(would.predicted()) * SURE)
            .count()
        >= LEAST_SEEN;
  }

  private static List<BenchReading> tries(Setup setup, Surface surface, Control control) {
    List<BenchReading> tries = new ArrayList<>();
    int clicks = Math.min(TRIED_CLICKS, setup.transmitter().trimRangeClicks());
    tries.add(new BenchReading(surface.id(), Seen.GAUGE, control, clicks, 0, 0, null));
    if (surface.rod().end().kind() != RodEndKind.SLIDE) {
      tries.add(new BenchReading(surface.id(), Seen.TURNS, control, TRIED_TURNS, 0, 0, null));
    }
    tries.add(new BenchReading(surface.id(), Seen.THROW, control, 1, 0, 0, null));
    return tries;
  }

  private static double reading(Setup setup, Suspect cause, Observation would) {
    return would.predicted() * Math.exp(column(setup, cause, would) * Math.log(cause.factor()));
  }

  private static Proposal proposal(
      Setup setup,
      Surface surface,
      BenchReading one,
      double expected,
      Suspect first,
      Suspect second) {
    Said words =
        Said.of(
            "story.measureNext",
            "kind",
            one.kind(),
            "surface",
            surface.name(),
            "amount",
            Quantity.plain(one.amount(), 0),
            "control",
            one.control(),
            "expected",
            Quantity.mm(expected),
            "first",
            Correction.told(setup, first),
            "second",
            Correction.told(setup, second));
    return new Proposal(surface.id(), one.kind(), one.control(), one.amount(), expected, words);
  }

  /** By which a factor is told: rod ends come in threads that have names. */
  static RodEnd threaded(RodEnd end, double factor) {
    double pitch = end.pitchMm() * factor;
    return new RodEnd(end.kind(), end.kind() == RodEndKind.SLIDE ? pitch : RodThread.near(pitch));
  }
}
