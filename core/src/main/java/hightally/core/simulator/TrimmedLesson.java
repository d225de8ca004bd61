package hightally.core.simulator;

import hightally.core.airframe.BalanceSheet;
import hightally.core.airframe.Pack;
import hightally.core.quantity.Naming;
import hightally.core.setup.Setup;
import hightally.core.trimming.FlownState;
import hightally.core.trimming.TestCase;
import hightally.core.trimming.TrimLever;
import hightally.core.trimming.TrimLeverValues;
import hightally.core.trimming.TrimTest;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A described model made right before faults are hidden in it: balanced where the balance test is
 * right, then trimmed by the coach. What remains is named by the coach as a limit.
 *
 * @param start as it begins
 * @param built thrust line and weight across it was trimmed to
 * @param limits tests that cannot be made right on it: what a pilot of it has long known
 */
public record TrimmedLesson(
    FlownState start, List<HiddenFault> built, List<CoachFollowed.Limit> limits) {
  private static final double FURTHEST_PERCENT = 40;
  private static final double RANGE_PERCENT = 12;
  private static final double PERCENT = 100;
  private static final int MOST_FLIGHTS = 40;

  public TrimmedLesson {
    built = List.copyOf(built);
    limits = List.copyOf(limits);
  }

  /** A lesson's model from a description. */
  public static TrimmedLesson of(
      Setup setup, FlightTraits traits, TestFlight.Wish wish, Naming naming) {
    FlownState balanced = balanced(FlyingModel.asBuilt(setup), traits, wish);
    Practice practice =
        new Practice(new Practice.Set(balanced, traits, List.of(), List.of(), wish, 0, 0));
    CoachFollowed.Followed trimmed = CoachFollowed.of(practice, MOST_FLIGHTS, naming);
    FlownState now = practice.now();
    List<HiddenFault> built = new ArrayList<>();
    atModel(now, TrimLever.DOWN_THRUST, HiddenFault.Kind.DOWN_THRUST, built);
    atModel(now, TrimLever.RIGHT_THRUST, HiddenFault.Kind.RIGHT_THRUST, built);
    atModel(now, TrimLever.LATERAL, HiddenFault.Kind.TIP_MASS, built);
    return new TrimmedLesson(at(now, now.cgMm()), built, trimmed.limits());
  }

  private static void atModel(
      FlownState now, TrimLever lever, HiddenFault.Kind kind, List<HiddenFault> built) {
    double size = now.atModel().getOrDefault(lever, 0.0);
    if (size != 0) {
      built.add(new HiddenFault(kind, "", size));
    }
  }

  /** The balance point at which its balance test is nearest to right, a percent at a time. */
  private static FlownState balanced(FlownState as, FlightTraits traits, TestFlight.Wish wish) {
    Optional<TestCase> test =
        TestCase.of(as.setup()).stream()
            .filter(one -> one.test() == TrimTest.INVERTED_45 || one.test() == TrimTest.DIVE)
            .findFirst();
    double percent = TrimLeverValues.chordMm(as.setup()) / PERCENT;
    FlownState best = as;
    double least = Double.POSITIVE_INFINITY;
    for (double k = -FURTHEST_PERCENT / 2; test.isPresent() && k <= FURTHEST_PERCENT; k++) {
      FlownState tried = at(as, as.cgMm() + k * percent);
      double off = off(tried, traits, test.get(), wish);
      best = off < least ? tried : best;
      least = Math.min(off, least);
    }
    return best;
  }

  private static double off(
      FlownState tried, FlightTraits traits, TestCase test, TestFlight.Wish wish) {
    FlyingModel model = FlyingModel.of(tried, tried.setup(), traits, List.of());
    return TestFlight.trimmed(model, test.phase(tried.setup()))
        .map(trim -> TestFlight.fly(model, test, trim, Gusts.calm(), wish))
        .filter(flown -> !flown.broken())
        .map(flown -> Math.abs(flown.measured().get(0).value()))
        .orElse(Double.POSITIVE_INFINITY);
  }

  /** The same model balanced elsewhere, with a range to both sides that may be flown. */
  private static FlownState at(FlownState as, double cgMm) {
    BalanceSheet sheet = as.setup().balance();
    double range = RANGE_PERCENT * TrimLeverValues.chordMm(as.setup()) / PERCENT;
    List<Pack> packs =
        sheet.packs().stream()
            .map(one -> one.name().equals(as.pack()) ? one.change().cgMm(cgMm).done() : one)
            .toList();
    BalanceSheet moved =
        new BalanceSheet(
            sheet.datum(),
            sheet.datumAftMm(),
            cgMm,
            cgMm - range,
            cgMm + range,
            sheet.emptyMassGrams(),
            packs,
            sheet.boltSpacingMm());
    return new FlownState(as.setup().change().balance(moved).done(), as.pack(), cgMm, Map.of());
  }
}
