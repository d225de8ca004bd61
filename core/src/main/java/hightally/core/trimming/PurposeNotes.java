package hightally.core.trimming;

import hightally.core.program.Phase;
import hightally.core.program.PhaseRole;
import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import hightally.core.trimming.Purpose.BalanceStation;
import hightally.core.trimming.Purpose.Pilot;
import hightally.core.trimming.Purpose.Regime;
import hightally.core.trimming.Purpose.Wish;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Where wishes begin, and what contradicts the model or its maker: said, never refused. */
public final class PurposeNotes {
  private static final double PERCENT = 100;
  private static final double NOTICEABLE_MM = 0.5;

  private final Setup setup;
  private final SignalPath path;

  private PurposeNotes(Setup setup) {
    this.setup = setup;
    path = SignalPath.of(setup);
  }

  /**
   * A starting point: the kinds of flying of a model, each with its phase, a part of the travel
   * there is, and a balance point a little ahead for who has flown little.
   */
  public static Purpose starting(Setup setup, Pilot pilot) {
    PurposeNotes notes = new PurposeNotes(setup);
    List<Wish> wishes = new ArrayList<>();
    for (Regime regime : regimes(setup, pilot)) {
      Optional<Phase> phase = notes.phase(regime);
      double part = part(regime, pilot);
      wishes.add(
          new Wish(
              regime,
              "",
              phase.map(Phase::id).orElse(""),
              notes.figure(Control.ROLL, phase, part),
              notes.figure(Control.PITCH, phase, part),
              notes.figure(Control.YAW, phase, part),
              "",
              "",
              false));
    }
    double balance =
        switch (pilot) {
          case BEGINNER -> 25;
          case INTERMEDIATE -> 50;
          case EXPERT -> 60;
        };
    double wind =
        switch (pilot) {
          case BEGINNER -> 3;
          case INTERMEDIATE -> 5;
          case EXPERT -> 8;
        };
    return new Purpose(pilot, balance, "", false, new Purpose.Limits(wind, ""), wishes, List.of());
  }

  private static List<Regime> regimes(Setup setup, Pilot pilot) {
    List<Regime> all = new ArrayList<>(List.of(Regime.FIRST_FLIGHTS));
    if (ModelKind.of(setup) == ModelKind.GLIDER) {
      all.addAll(List.of(Regime.THERMAL, Regime.CRUISE, Regime.SPEED));
    } else {
      all.add(Regime.PRECISION);
      if (pilot == Pilot.EXPERT && ModelKind.of(setup) == ModelKind.POWERED) {
        all.addAll(List.of(Regime.SNAP, Regime.HOVER));
      }
    }
    all.add(Regime.LANDING);
    return all;
  }

  /** How much of the travel there is; the rest is there to grow into. */
  private static double part(Regime regime, Pilot pilot) {
    double most =
        switch (pilot) {
          case BEGINNER -> 0.5;
          case INTERMEDIATE -> 0.75;
          case EXPERT -> 1;
        };
    return switch (regime) {
      case FIRST_FLIGHTS, CRUISE, SPEED -> 0.7 * most;
      default -> most;
    };
  }

  private Optional<Phase> phase(Regime regime) {
    PhaseRole role =
        switch (regime) {
          case THERMAL -> PhaseRole.THERMAL;
          case SPEED -> PhaseRole.SPEED;
          case LANDING -> PhaseRole.LANDING;
          case LAUNCH -> PhaseRole.LAUNCH;
          default -> PhaseRole.CRUISE;
        };
    return setup.phases().stream().filter(one -> one.role() == role).findFirst();
  }

  private double figure(Control control, Optional<Phase> phase, double part) {
    return Math.rint(part * most(control, phase.orElse(setup.basePhase())));
  }

  /** The most a surface of a control travels at full stick, mm. */
  private double most(Control control, Phase phase) {
    int index = setup.phases().indexOf(phase);
    Moment rest = path.rest(index).withTrims(setup.trims());
    double[] centred = path.evaluate(rest, index).travelMm();
    double most = 0;
    for (double stick : new double[] {-1, 1}) {
      double[] full = path.evaluate(rest.with(control, stick), index).travelMm();
      for (int i = 0; i < full.length; i++) {
        boolean moves = setup.surfaces().get(i).shares().of(control) != 0;
        most = moves ? Math.max(most, Math.abs(full[i] - centred[i])) : most;
      }
    }
    return most;
  }

  /** What contradicts the maker's range or what the model can do. */
  public static List<Said> of(Setup setup, Purpose wishes) {
    PurposeNotes notes = new PurposeNotes(setup);
    List<Said> found = new ArrayList<>();
    if (wishes.balancePercent() < 0 || wishes.balancePercent() > PERCENT) {
      found.add(
          Said.of(
              "wish.balanceOutside",
              "ahead",
              wishes.balancePercent() < 0,
              "from",
              Quantity.mm(setup.balance().foremostMm(), 0),
              "to",
              Quantity.mm(setup.balance().aftmostMm(), 0)));
    }
    for (Wish wish : wishes.regimes()) {
      notes.check(wish, found);
    }
    return found;
  }

  private void check(Wish wish, List<Said> found) {
    boolean set = setup.feelSets().stream().anyMatch(one -> one.id().equals(wish.where()));
    Optional<Phase> phase = setup.phase(wish.where());
    if (!wish.where().isEmpty() && !set && phase.isEmpty()) {
      found.add(Said.of("wish.goneWhere", "regime", wish.regime()));
    }
    double[] wanted = {wish.rollMm(), wish.pitchMm(), wish.yawMm()};
    for (Control control : Control.values()) {
      double most = most(control, phase.orElse(setup.basePhase()));
      if (wanted[control.ordinal()] > most + NOTICEABLE_MM) {
        found.add(
            Said.of(
                "wish.moreThanThere",
                "regime",
                wish.regime(),
                "control",
                control,
                "wanted",
                Quantity.mm(wanted[control.ordinal()], 0),
                "most",
                Quantity.mm(most, 0)));
      }
    }
  }

  /** What goes with a balance point, between the stations the pilot has found. */
  public static Optional<Said> between(Purpose wishes, double cgMm) {
    List<BalanceStation> stations =
        wishes.stations().stream()
            .sorted(Comparator.comparingDouble(BalanceStation::cgMm))
            .toList();
    if (stations.isEmpty()) {
      return Optional.empty();
    }
    BalanceStation low = stations.get(0);
    BalanceStation high = stations.get(stations.size() - 1);
    boolean inside = cgMm >= low.cgMm() && cgMm <= high.cgMm();
    double at = Math.max(low.cgMm(), Math.min(high.cgMm(), cgMm));
    for (BalanceStation one : stations) {
      low = one.cgMm() <= at ? one : low;
    }
    for (int i = stations.size() - 1; i >= 0; i--) {
      high = stations.get(i).cgMm() >= at ? stations.get(i) : high;
    }
    double span = high.cgMm() - low.cgMm();
    double part = span == 0 ? 0 : (at - low.cgMm()) / span;
    double expo = low.expoPercent() + part * (high.expoPercent() - low.expoPercent());
    double reflex = low.reflexMm() + part * (high.reflexMm() - low.reflexMm());
    return Optional.of(
        Said.of(
            "wish.between",
            "cg",
            Quantity.mm(cgMm, 0),
            "expo",
            Quantity.percent(expo, 0),
            "reflex",
            reflex == 0 ? Said.NOTHING : Said.of("wish.reflex", "mm", Quantity.mm(reflex)),
            "inside",
            inside));
  }

  /** The wanted balance point, mm aft of the datum. */
  public static double balanceMm(Setup setup, Purpose wishes) {
    double range = setup.balance().aftmostMm() - setup.balance().foremostMm();
    return setup.balance().foremostMm() + wishes.balancePercent() / PERCENT * range;
  }
}
