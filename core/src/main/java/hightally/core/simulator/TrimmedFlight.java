package hightally.core.simulator;

import hightally.core.flightlog.PhaseReading;
import hightally.core.program.Phase;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.trimming.FlownState;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;

/**
 * A flight in which the simulated model is trimmed hands off in every phase: what its pilot reads
 * off the transmitter afterwards. It was rigged so that it flew level as designed.
 */
public final class TrimmedFlight {
  private static final int ONE_IN = 6;
  private static final int ROUNDS = 8;
  private static final double TRIED_DEGREES = 0.2;
  private static final double NEAR_CLICKS = 1e-3;

  /** No tail is rigged further than this: then it flies as it is drawn. */
  private static final double FURTHEST_DEGREES = 10;

  private final Setup design;
  private final FlightTraits traits;
  private final List<HiddenFault> real;
  private final String pack;

  /**
   * A model.
   *
   * @param design the setup it was built to, and its faults were hidden in
   * @param pack flown with
   * @param designCgMm balance point it was rigged for
   */
  public TrimmedFlight(Setup design, String pack, double designCgMm, List<HiddenFault> faults) {
    this.design = design;
    this.pack = pack;
    traits = FlightTraits.proposed(design);
    real = new ArrayList<>(rigged(designCgMm));
    real.addAll(HiddenFault.checked(design, faults));
  }

  /** The incidence of its tail with which it flies level as designed; none without a tail. */
  private List<HiddenFault> rigged(double designCgMm) {
    if (!traits.roles().containsValue(FlyingShape.Role.TAIL)) {
      return List.of();
    }
    double incidence = 0;
    for (int round = 0; round < ROUNDS; round++) {
      double now = pitchClicks(incidence, designCgMm);
      if (Math.abs(now) < NEAR_CLICKS) {
        break;
      }
      double per = (pitchClicks(incidence + TRIED_DEGREES, designCgMm) - now) / TRIED_DEGREES;
      incidence -= now / per;
      if (!(Math.abs(incidence) < FURTHEST_DEGREES)) {
        return List.of();
      }
    }
    return List.of(new HiddenFault(HiddenFault.Kind.TAIL_INCIDENCE, "", incidence));
  }

  private double pitchClicks(double incidence, double cgMm) {
    HiddenFault rig = new HiddenFault(HiddenFault.Kind.TAIL_INCIDENCE, "", incidence);
    FlownState built = new FlownState(design, pack, cgMm, Map.of());
    FlyingModel model = FlyingModel.of(built, design, traits, List.of(rig));
    return TestFlight.trimmed(model, design.basePhase())
        .map(one -> one.clicks()[Control.PITCH.ordinal()])
        .orElse(Double.NaN);
  }

  /**
   * The clicks with which it flies straight in every phase it can be trimmed in, the last one
   * first.
   *
   * @param now the setup as it is flown
   * @param cgMm where it balances
   * @param unsteady whether the pilot is a click off in one control of three
   * @param seed decides where
   */
  public List<PhaseReading> fly(Setup now, double cgMm, boolean unsteady, long seed) {
    FlyingModel model =
        FlyingModel.of(new FlownState(now, pack, cgMm, Map.of()), design, traits, real);
    Random random = new Random(seed);
    List<PhaseReading> found = new ArrayList<>();
    Trims base = Trims.ZERO;
    for (int i = now.phases().size() - 1; i >= 0; i--) {
      Phase flown = now.phases().get(i);
      Optional<TrimState> state = TestFlight.trimmed(model, flown);
      boolean first = i == now.phases().size() - 1;
      if (state.isEmpty() && first) {
        throw InvalidInputException.of("cgMm", cgMm, Said.of("air.noTrim"));
      }
      if (state.isEmpty()) {
        continue;
      }
      Trims needed = held(state.get().trims(), now.transmitter().trimRangeClicks());
      needed = first ? needed : flown.withTrims(needed).effective(base);
      base = first ? needed : base;
      Trims noted = unsteady ? unsteady(needed, random) : needed;
      found.add(new PhaseReading(flown.id(), noted, 100, PhaseReading.Sure.SURE, false));
    }
    return found;
  }

  private static Trims held(Trims clicks, int most) {
    Trims held = clicks;
    for (Control control : Control.values()) {
      held = held.with(control, Math.max(-most, Math.min(most, clicks.of(control))));
    }
    return held;
  }

  private static Trims unsteady(Trims trims, Random random) {
    Trims noted = trims;
    for (Control control : Control.values()) {
      int thrown = random.nextInt(ONE_IN);
      noted = noted.with(control, noted.of(control) + (thrown == 0 ? 1 : thrown == 1 ? -1 : 0));
    }
    return noted;
  }
}
