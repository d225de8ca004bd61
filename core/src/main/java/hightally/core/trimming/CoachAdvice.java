package hightally.core.trimming;

import hightally.core.airframe.Balance;
import hightally.core.airframe.BalanceSheet;
import hightally.core.airframe.Pack;
import hightally.core.airframe.Panel;
import hightally.core.airframe.Side;
import hightally.core.balance.PackPlace;
import hightally.core.linkage.Linkage;
import hightally.core.quantity.Absentable;
import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;

/**
 * The one change a test asks for.
 *
 * @param lever what is moved; null where nothing can be computed and only words help
 * @param verdict what the flights say of it; null likewise
 * @param making where it is made
 * @param from where it stands, in its unit
 * @param to where it goes
 * @param words what to do
 * @param why the reason
 * @param sizes what that is in the model's own units: mm, grams, washers
 * @param watch what to look for in the next flight
 * @param schools where pilots differ
 */
public record CoachAdvice(
    @Absentable TrimLever lever,
    @Absentable TrimStep.Verdict verdict,
    Making making,
    double from,
    double to,
    Said words,
    Said why,
    List<Said> sizes,
    Said watch,
    List<Said> schools) {
  private static final double PERCENT = 100;
  private static final double NOTICEABLE_MM = 0.05;

  /** Where a change is made. */
  public enum Making {
    /** There is none to make. */
    NOTHING,
    /** In the draft of the setup. */
    DRAFT,
    /** At the bench, as a job. */
    BENCH
  }

  /** Left and right ask for opposite ways: another cause. */
  static CoachAdvice disagreeing(TrimLever lever) {
    return new CoachAdvice(
        null,
        null,
        Making.NOTHING,
        0,
        0,
        Said.of("coach.disagree"),
        Said.of("coach.disagreeWhy", "lever", lever),
        List.of(),
        Said.of("coach.flySameAgain"),
        List.of());
  }

  /** What is named and not computed. */
  static CoachAdvice named(TestResult result) {
    List<Said> sizes =
        result.seen().stream()
            .map(one -> Said.of("coach.named", "outcome", one.outcome()))
            .toList();
    return new CoachAdvice(
        null,
        null,
        Making.NOTHING,
        0,
        0,
        Said.of("coach.namedWords"),
        Said.of("coach.namedWhy"),
        sizes,
        Said.of("coach.flySameAgain"),
        List.of());
  }

  /** Its lever was tried, did not help, and went back: other causes are looked at. */
  static CoachAdvice elsewhere(double value, TrimLever lever) {
    return left(value, lever, "coach.elsewhere", "coach.elsewhereWhy");
  }

  /** Another test decides its lever. */
  static CoachAdvice decidedElsewhere(double value, TrimLever lever) {
    return left(value, lever, "coach.decided", "coach.decidedWhy");
  }

  private static CoachAdvice left(double value, TrimLever lever, String words, String why) {
    return new CoachAdvice(
        lever,
        TrimStep.Verdict.NOT_THE_CAUSE,
        Making.NOTHING,
        value,
        value,
        Said.of(words, "lever", lever),
        Said.of(why, "lever", lever),
        List.of(),
        Said.of("coach.watch", "verdict", TrimStep.Verdict.AT_LIMIT),
        List.of());
  }

  static CoachAdvice of(FlownState now, TestCase test, TrimLever lever, TrimStep step, int sign) {
    double from = now.value(lever, test);
    double to = stays(step) ? from : step.next();
    return new CoachAdvice(
        lever,
        step.verdict(),
        from == to ? Making.NOTHING : lever.inProgram() ? Making.DRAFT : Making.BENCH,
        from,
        to,
        words(lever, step, from, to),
        Said.of("coach.why", "lever", lever, "turned", sign < 0),
        sizes(now, test, lever, from, to),
        watch(step),
        schools(lever));
  }

  private static boolean stays(TrimStep step) {
    return step.verdict() == TrimStep.Verdict.AT_LIMIT
        || step.verdict() == TrimStep.Verdict.FINE_ENOUGH;
  }

  private static Said words(TrimLever lever, TrimStep step, double from, double to) {
    Said way =
        Said.of(
            "coach.move",
            "lever",
            lever,
            "size",
            amount(lever, Math.abs(to - from)),
            "more",
            to >= from,
            "to",
            lever == TrimLever.BALANCE || lever.inProgram() ? amount(lever, to) : "");
    return Said.of("coach.verdict", "verdict", step.verdict(), "way", way, "lever", lever);
  }

  private static Said watch(TrimStep step) {
    return Said.of("coach.watch", "verdict", step.verdict());
  }

  /** A size of a lever in its unit, as fine as it is moved. */
  public static Quantity amount(TrimLever lever, double size) {
    int decimals = lever.resolution() < 0.5 ? 2 : lever.resolution() < 1 ? 1 : 0;
    return switch (lever) {
      case DOWN_THRUST, RIGHT_THRUST -> Quantity.degrees(size, decimals);
      default -> Quantity.percent(size, decimals);
    };
  }

  private static List<Said> sizes(
      FlownState now, TestCase test, TrimLever lever, double from, double to) {
    if (from == to) {
      return List.of();
    }
    double change = to - from;
    Setup setup = now.setup();
    BalanceSheet sheet = setup.balance();
    return switch (lever) {
      case DOWN_THRUST, RIGHT_THRUST -> {
        double washer = Math.abs(Balance.washerMm(change, sheet.boltSpacingMm()));
        yield List.of(
            Said.of(
                "coach.washer",
                "mm",
                Quantity.mm(washer, 2),
                "where",
                Said.of("coach.bolts", "lever", lever, "more", change > 0),
                "spacing",
                Quantity.mm(sheet.boltSpacingMm(), 0)));
      }
      case BALANCE -> balance(now, change);
      case LATERAL -> {
        double grams = Math.abs(change) / PERCENT * totalGrams(now);
        yield List.of(
            Said.of(
                "coach.tipWeight",
                "grams",
                Quantity.grams(grams),
                "side",
                change > 0 ? Side.RIGHT : Side.LEFT,
                "arm",
                Quantity.mm(tip(setup), 0)));
      }
      default -> travels(setup, test, lever, to);
    };
  }

  private static double totalGrams(FlownState now) {
    BalanceSheet sheet = now.setup().balance();
    return sheet.emptyMassGrams() + pack(now).massGrams();
  }

  private static Pack pack(FlownState now) {
    List<Pack> packs = now.setup().balance().packs();
    return packs.stream()
        .filter(one -> one.name().equals(now.pack()))
        .findFirst()
        .orElse(packs.isEmpty() ? new Pack("", 0, now.cgMm(), now.cgMm()) : packs.get(0));
  }

  private static double tip(Setup setup) {
    return setup.airframe().panels().stream()
        .mapToDouble((Panel one) -> Math.abs(one.tip().rightMm()))
        .max()
        .orElse(0);
  }

  private static List<Said> balance(FlownState now, double percent) {
    Setup setup = now.setup();
    double chord = TrimLeverValues.chordMm(setup);
    double shift = percent * chord / PERCENT;
    List<Said> sizes = new ArrayList<>();
    sizes.add(
        Said.of(
            "coach.balanceMm",
            "mm",
            Quantity.mm(Math.abs(shift), 1),
            "aft",
            shift > 0,
            "to",
            Quantity.mm(now.cgMm() + shift, 1)));
    double wanted = now.cgMm() + shift;
    Balance balance = new Balance(totalGrams(now), now.cgMm(), wanted);
    Pack pack = pack(now);
    if (pack.massGrams() > 0) {
      double move = balance.batteryShiftMm(pack.massGrams());
      double there = pack.stationMm() + move;
      boolean fits = PackPlace.fits(setup, there);
      sizes.add(
          Said.of(
              "coach.packMove",
              "pack",
              pack.name(),
              "mm",
              Quantity.mm(Math.abs(move), 0),
              "aft",
              move > 0,
              "fits",
              fits));
    }
    double station = shift > 0 ? PackPlace.tail(setup) : PackPlace.nose(setup);
    double grams = station == wanted ? 0 : balance.ballastGrams(station);
    if (grams > 0) {
      sizes.add(Said.of("coach.ballast", "grams", Quantity.grams(grams), "aft", shift > 0));
    }
    return sizes;
  }

  /** What every surface a lever moves comes to, before and after, where the lever shows most. */
  private static List<Said> travels(Setup setup, TestCase test, TrimLever lever, double to) {
    Setup changed = TrimLeverValues.moved(lever, setup, test, to, (what, longest) -> lever.name());
    int phase = setup.phases().indexOf(test.phase(setup));
    Moment at = moment(setup, test, lever);
    double[] before = SignalPath.of(setup).evaluate(at, phase).travelMm();
    double[] after = SignalPath.of(changed).evaluate(at, phase).travelMm();
    List<Said> sizes = new ArrayList<>(leans(setup, changed));
    for (int i = 0; i < before.length; i++) {
      if (Math.abs(after[i] - before[i]) > NOTICEABLE_MM) {
        sizes.add(
            Said.of(
                "coach.travel",
                "surface",
                setup.surfaces().get(i).name(),
                "before",
                Quantity.mm(before[i]),
                "after",
                Quantity.mm(after[i]),
                "lever",
                lever));
      }
    }
    return sizes;
  }

  /** Arms that have to lean, where no program can do it. */
  private static List<Said> leans(Setup setup, Setup changed) {
    List<Said> leans = new ArrayList<>();
    for (int i = 0; i < setup.surfaces().size(); i++) {
      Linkage was = setup.surfaces().get(i).rod().linkage();
      Linkage is = changed.surfaces().get(i).rod().linkage();
      if (was.armLeanDegrees() != is.armLeanDegrees()) {
        leans.add(
            Said.of(
                "coach.lean",
                "surface",
                setup.surfaces().get(i).name(),
                "before",
                Quantity.degrees(was.armLeanDegrees(), 1),
                "after",
                Quantity.degrees(is.armLeanDegrees(), 1)));
      }
    }
    return leans;
  }

  private static Moment moment(Setup setup, TestCase test, TrimLever lever) {
    Moment rest = Moment.centred(setup.trims()).withThrottle(0.5, false);
    return switch (lever) {
      case DIFFERENTIAL, AILERON_TO_RUDDER -> rest.with(Control.ROLL, 1);
      case RUDDER_TO_ELEVATOR, RUDDER_TO_AILERON -> rest.with(Control.YAW, 1);
      case LOW_THROTTLE_TO_ELEVATOR -> rest.withThrottle(0, false);
      default -> {
        var brakes = Brakes.of(setup).orElseThrow();
        double place = Brakes.place(brakes, Integer.parseInt(test.part()) / PERCENT);
        int input = setup.transmitter().inputIndex(brakes.subject());
        yield input < 0
            ? rest.withThrottle((place + PERCENT) / (2 * PERCENT), false)
            : rest.withInput(input, place / PERCENT);
      }
    };
  }

  private static List<Said> schools(TrimLever lever) {
    return switch (lever) {
      case LATERAL, LOW_THROTTLE_TO_ELEVATOR, BRAKE_TO_ELEVATOR -> List.of();
      default -> List.of(Said.of("coach.school", "lever", lever));
    };
  }
}
