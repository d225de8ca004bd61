package hightally.core.trimming;

import hightally.core.airframe.Balance;
import hightally.core.airframe.BalanceSheet;
import hightally.core.airframe.Pack;
import hightally.core.balance.BalanceEstimate;
import hightally.core.balance.PackPlace;
import hightally.core.edit.PartNames;
import hightally.core.program.Curve;
import hightally.core.program.CurvePoint;
import hightally.core.program.Differential;
import hightally.core.program.Mix;
import hightally.core.program.MixSource;
import hightally.core.program.MixTarget;
import hightally.core.program.Phase;
import hightally.core.program.Response;
import hightally.core.quantity.Control;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Naming;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Predicate;
import java.util.stream.Stream;

/** Where a lever of the trim tests stands in a setup, and the setup with it elsewhere. */
public final class TrimLeverValues {
  private static final double PERCENT = 100;
  private static final double IDLE = -100;
  private static final double LAST_CLICKS = -80;
  private static final double SAME = 1e-9;
  private static final double TENTHS = 10;

  private TrimLeverValues() {}

  /** Where the balance point lies on the wing's mean chord, percent; empty without a wing. */
  static OptionalDouble chordPercent(Setup setup, double cgMm) {
    return BalanceEstimate.of(setup).stream()
        .mapToDouble(one -> PERCENT * (cgMm - one.leadingEdgeMm()) / one.meanChordMm())
        .findFirst();
  }

  /**
   * The wing's mean chord, mm; 100 where no wing is described, so that a percent is a millimetre.
   */
  public static double chordMm(Setup setup) {
    return BalanceEstimate.of(setup).map(BalanceEstimate::meanChordMm).orElse(PERCENT);
  }

  /** What a lever in the program stands at, in its unit. */
  public static double value(TrimLever lever, Setup setup, TestCase test) {
    return switch (lever) {
      case DIFFERENTIAL ->
          SharedAilerons.of(setup)
              ? Math.rint(SharedAilerons.differential(setup))
              : differential(setup, test.phase(setup));
      case LOW_THROTTLE_TO_ELEVATOR, BRAKE_TO_ELEVATOR ->
          mix(lever, setup, test)
              .map(one -> Curve.of(one.curve()).value(place(lever, setup, test)))
              .orElse(0.0);
      case RUDDER_TO_ELEVATOR, RUDDER_TO_AILERON, AILERON_TO_RUDDER ->
          mix(lever, setup, test)
              .map(one -> one.weightPlusPercent() * full(one, setup) / PERCENT)
              .orElse(0.0);
      case DOWN_THRUST, RIGHT_THRUST, BALANCE, LATERAL ->
          throw new IllegalArgumentException(lever.name());
    };
  }

  /** Whether a setup has what a lever of a test needs. */
  static boolean known(TrimLever lever, Setup setup, TestCase test) {
    boolean brakes = lever != TrimLever.BRAKE_TO_ELEVATOR || Brakes.of(setup).isPresent();
    boolean phase =
        test.test() == TrimTest.BRAKES
            || test.part().isEmpty()
            || setup.phase(test.part()).isPresent();
    return brakes && phase;
  }

  private static double differential(Setup setup, Phase phase) {
    return ailerons(setup)
        .map(one -> PERCENT * phase.differential(one.surface()))
        .findFirst()
        .orElse(0.0);
  }

  private static Stream<Differential> ailerons(Setup setup) {
    return setup.surfaces().stream()
        .filter(one -> one.role().rolls() && one.shares().roll() != 0)
        .map(one -> new Differential(one.id(), 0));
  }

  /** What a full stick comes to beyond where the mix starts, percent; a raw stick is all of it. */
  private static double full(Mix mix, Setup setup) {
    double full = PERCENT;
    if (mix.source() == MixSource.RESPONSE) {
      Response response = setup.feel().of(Control.named(mix.subject()));
      full = Math.max(response.ratePositivePercent(), response.rateNegativePercent());
    }
    return Math.max(1, full - mix.startPercent());
  }

  /** The mix a lever is in a setup, by what it does. */
  static Optional<Mix> mix(TrimLever lever, Setup setup, TestCase test) {
    Phase phase = test.phase(setup);
    return setup.mixes().stream()
        .filter(one -> one.phases().isEmpty() || one.phases().contains(phase.id()))
        .filter(one -> is(lever, one, setup))
        .findFirst();
  }

  private static boolean is(TrimLever lever, Mix mix, Setup setup) {
    double product = mix.weightPlusPercent() * mix.weightMinusPercent();
    return switch (lever) {
      case RUDDER_TO_ELEVATOR ->
          stick(mix, Control.YAW) && product <= 0 && onto(mix, setup, Control.PITCH);
      case RUDDER_TO_AILERON ->
          stick(mix, Control.YAW) && product >= 0 && onto(mix, setup, Control.ROLL);
      case AILERON_TO_RUDDER ->
          stick(mix, Control.ROLL) && product >= 0 && onto(mix, setup, Control.YAW);
      case LOW_THROTTLE_TO_ELEVATOR ->
          mix.source() == MixSource.THROTTLE
              && onto(mix, setup, Control.PITCH)
              && Brakes.of(setup).filter(one -> Brakes.alike(one, mix)).isEmpty()
              && lastClicks(mix);
      case BRAKE_TO_ELEVATOR ->
          !mix.curve().isEmpty()
              && onto(mix, setup, Control.PITCH)
              && Brakes.of(setup).filter(one -> Brakes.alike(one, mix)).isPresent();
      default -> false;
    };
  }

  /** Only where the throttle is nearly closed it does anything. */
  private static boolean lastClicks(Mix mix) {
    return !mix.curve().isEmpty()
        && Stream.of(LAST_CLICKS + 1, 0.0, PERCENT)
            .allMatch(x -> Math.abs(Curve.of(mix.curve()).value(x)) < SAME);
  }

  private static boolean stick(Mix mix, Control control) {
    boolean stick = mix.source() == MixSource.RESPONSE || mix.source() == MixSource.STICK;
    return stick && mix.curve().isEmpty() && mix.subject().equals(control.word());
  }

  private static boolean onto(Mix mix, Setup setup, Control control) {
    return mix.targets().stream()
        .allMatch(
            target ->
                setup
                    .surface(target.target())
                    .filter(one -> !target.sided())
                    .filter(one -> one.shares().of(control) * target.factor() > 0)
                    .isPresent());
  }

  private static double place(TrimLever lever, Setup setup, TestCase test) {
    return lever == TrimLever.LOW_THROTTLE_TO_ELEVATOR
        ? IDLE
        : Brakes.place(Brakes.of(setup).orElseThrow(), Integer.parseInt(test.part()) / PERCENT);
  }

  /**
   * The setup with a lever of the program elsewhere; a mix that is not there yet is built.
   *
   * @param value in the lever's unit
   */
  public static Setup moved(
      TrimLever lever, Setup setup, TestCase test, double value, Naming naming) {
    Validation.check(setup);
    if (!lever.inProgram() || !test.test().levers().contains(lever)) {
      throw InvalidInputException.of("lever", lever.name(), Said.of("demand.leverInProgram"));
    }
    List<TestCase> tests = TestCase.of(setup);
    if (!tests.contains(test)) {
      throw InvalidInputException.of(
          "test", test.told(), Said.of("demand.testOfModel", "known", TestCase.told(tests)));
    }
    Setup changed =
        lever != TrimLever.DIFFERENTIAL
            ? mixed(lever, setup, test, value, naming)
            : SharedAilerons.of(setup)
                ? SharedAilerons.leaning(setup, value)
                : differential(setup, test.phase(setup), value);
    return Validation.check(changed);
  }

  private static Setup differential(Setup setup, Phase phase, double percent) {
    List<Differential> all = new ArrayList<>(phase.differential());
    List<String> ids = ailerons(setup).map(Differential::surface).toList();
    all.removeIf(one -> ids.contains(one.surface()));
    ids.forEach(id -> all.add(new Differential(id, percent)));
    Phase changed = phase.withDifferential(all);
    return setup
        .change()
        .phases(
            setup.phases().stream()
                .map(one -> one.id().equals(phase.id()) ? changed : one)
                .toList())
        .done();
  }

  private static Setup mixed(
      TrimLever lever, Setup setup, TestCase test, double value, Naming naming) {
    Optional<Mix> there = mix(lever, setup, test);
    Mix changed =
        valued(lever, there.orElseGet(() -> fresh(lever, setup, test, naming)), setup, test, value);
    List<Mix> mixes = new ArrayList<>(setup.mixes());
    if (there.isPresent()) {
      mixes.replaceAll(one -> one.id().equals(changed.id()) ? changed : one);
    } else {
      mixes.add(changed);
    }
    return setup.change().mixes(mixes).done();
  }

  private static Mix valued(TrimLever lever, Mix mix, Setup setup, TestCase test, double value) {
    return switch (lever) {
      case LOW_THROTTLE_TO_ELEVATOR, BRAKE_TO_ELEVATOR ->
          mix.weighing(0, 0, pointed(mix.curve(), place(lever, setup, test), value));
      default -> {
        double weight = Math.rint(TENTHS * PERCENT * value / full(mix, setup)) / TENTHS;
        boolean even = lever == TrimLever.RUDDER_TO_ELEVATOR;
        yield mix.weighing(weight, even ? -weight : weight, List.of());
      }
    };
  }

  /** How a change at the model was done. */
  public enum BalanceBy {
    AS_ADVISED,
    PACK,
    BALLAST
  }

  /**
   * The setup with its balance point elsewhere.
   *
   * @param pack its name; the first where there is none of it
   * @param shiftMm plus aft
   */
  public static Setup balanced(Setup setup, String pack, double shiftMm, BalanceBy by) {
    BalanceSheet sheet = setup.balance();
    Pack flown =
        sheet.packs().stream()
            .filter(one -> one.name().equals(pack))
            .findFirst()
            .orElse(sheet.packs().isEmpty() ? null : sheet.packs().get(0));
    if (flown == null) {
      throw InvalidInputException.of("pack", pack, Said.of("demand.packDescribed"));
    }
    boolean moved = by == BalanceBy.PACK;
    double total = sheet.emptyMassGrams() + flown.massGrams();
    double station = shiftMm > 0 ? PackPlace.tail(setup) : PackPlace.nose(setup);
    double wanted = flown.cgMm() + shiftMm;
    Balance balance = new Balance(total, flown.cgMm(), wanted);
    double grams = moved ? 0 : balance.ballastGrams(station);
    if (!moved && !(grams >= 0)) {
      throw InvalidInputException.of("by", by.name(), Said.of("demand.ballastReaches"));
    }
    List<Pack> packs = new ArrayList<>();
    for (Pack one : sheet.packs()) {
      boolean goes = !moved || one.equals(flown);
      double further = moved && goes ? balance.batteryShiftMm(one.massGrams()) : 0;
      packs.add(
          one.change()
              .cgMm(tenth(one.cgMm() + (goes ? shiftMm : 0)))
              .stationMm(tenth(one.stationMm() + further))
              .done());
    }
    BalanceSheet changed =
        sheet
            .change()
            .emptyMassGrams(Math.rint(sheet.emptyMassGrams() + grams))
            .packs(packs)
            .done();
    return Validation.check(setup.change().balance(changed).done());
  }

  private static double tenth(double mm) {
    return Math.rint(TENTHS * mm) / TENTHS;
  }

  /** The curve with one point elsewhere, or one more. */
  private static List<CurvePoint> pointed(List<CurvePoint> curve, double x, double y) {
    List<CurvePoint> points = new ArrayList<>(curve);
    points.removeIf(one -> Math.abs(one.x() - x) < 1);
    int at = 0;
    while (at < points.size() && points.get(at).x() < x) {
      at++;
    }
    points.add(at, new CurvePoint(x, y));
    return points;
  }

  private static Mix fresh(TrimLever lever, Setup setup, TestCase test, Naming naming) {
    Said name = Said.of("coach.mix", "lever", lever);
    Said reason = Said.of("coach.mixReason", "test", test.test());
    String id = PartNames.among(setup.mixes().stream().map(Mix::id).toList(), lever.name());
    Mix brakes = Brakes.of(setup).orElse(null);
    MixSource source =
        switch (lever) {
          case LOW_THROTTLE_TO_ELEVATOR -> MixSource.THROTTLE;
          case BRAKE_TO_ELEVATOR -> brakes.source();
          default -> MixSource.RESPONSE;
        };
    String subject =
        switch (lever) {
          case RUDDER_TO_ELEVATOR, RUDDER_TO_AILERON -> Control.YAW.word();
          case AILERON_TO_RUDDER -> Control.ROLL.word();
          case BRAKE_TO_ELEVATOR -> brakes.subject();
          default -> "";
        };
    Control onto =
        switch (lever) {
          case RUDDER_TO_AILERON -> Control.ROLL;
          case AILERON_TO_RUDDER -> Control.YAW;
          default -> Control.PITCH;
        };
    List<CurvePoint> curve =
        switch (lever) {
          case LOW_THROTTLE_TO_ELEVATOR ->
              List.of(
                  new CurvePoint(IDLE, 0),
                  new CurvePoint(LAST_CLICKS, 0),
                  new CurvePoint(PERCENT, 0));
          case BRAKE_TO_ELEVATOR ->
              List.of(new CurvePoint(brakes.source().least(), 0), new CurvePoint(PERCENT, 0));
          default -> List.of();
        };
    List<String> phases =
        switch (lever) {
          case BRAKE_TO_ELEVATOR -> brakes.phases();
          case AILERON_TO_RUDDER ->
              setup.phases().size() > 1 ? List.of(test.part()) : List.<String>of();
          default -> List.<String>of();
        };
    return new Mix(
        id,
        naming.of(name, 80),
        naming.of(reason, 300),
        source,
        subject,
        0,
        0,
        0,
        curve,
        targets(setup, onto),
        lever == TrimLever.BRAKE_TO_ELEVATOR ? brakes.when() : "",
        phases,
        0);
  }

  private static List<MixTarget> targets(Setup setup, Control control) {
    Predicate<hightally.core.airframe.Surface> meant =
        one -> one.shares().of(control) != 0 && (control != Control.ROLL || one.role().rolls());
    List<MixTarget> targets =
        setup.surfaces().stream()
            .filter(meant)
            .map(one -> MixTarget.even(one.id(), one.shares().of(control)))
            .toList();
    if (targets.isEmpty()) {
      throw InvalidInputException.of("lever", control.word(), Said.of("demand.kindItHas"));
    }
    return targets;
  }
}
