package hightally.core.signal;

import hightally.core.airframe.LeverShare;
import hightally.core.airframe.Motor;
import hightally.core.airframe.Surface;
import hightally.core.program.Mix;
import hightally.core.program.MixFunction;
import hightally.core.program.MixTarget;
import hightally.core.program.Phase;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Makes the terms of every surface and motor: the one place that knows what adds to a command. */
final class TermMaker {
  private final Setup setup;
  private final Signals signals;
  private final Map<String, Integer> places = new HashMap<>();
  private final Map<String, List<Term>> mixed = new HashMap<>();

  TermMaker(Setup setup) {
    this.setup = setup;
    for (Surface surface : setup.surfaces()) {
      places.put(surface.id(), places.size());
    }
    for (Motor motor : setup.airframe().motors()) {
      places.putIfAbsent(motor.id(), places.size());
    }
    signals = new Signals(setup, places::get);
    for (int i = 0; i < setup.mixes().size(); i++) {
      mix(setup.mixes().get(i), i);
    }
  }

  /** Surfaces first, motors behind them. */
  List<Target> targets() {
    List<Target> targets = new ArrayList<>();
    for (Surface surface : setup.surfaces()) {
      targets.add(
          new Target(setup.phases().stream().map(one -> ofSurface(surface, one)).toList(), false));
    }
    for (Motor motor : setup.airframe().motors()) {
      List<Term> terms = new ArrayList<>();
      terms.add(
          new Term(signals.motor(), null, 1, -1, Contribution.RESPONSE, Said.of("tally.throttle")));
      terms.addAll(mixed(motor.id()));
      targets.add(new Target(Collections.nCopies(setup.phases().size(), terms), true));
    }
    return targets;
  }

  Signals signals() {
    return signals;
  }

  private List<Term> mixed(String target) {
    return mixed.getOrDefault(target, List.of());
  }

  private List<Term> ofSurface(Surface surface, Phase phase) {
    List<Term> terms = new ArrayList<>();
    for (Control control : Control.values()) {
      double share = surface.shares().of(control);
      if (share != 0) {
        Signal stick = signals.response(control);
        terms.add(
            always(
                stick, share, Contribution.RESPONSE, Said.of("tally.stick", "control", control)));
        double differential = phase.differential(surface.id());
        if (control == Control.ROLL && differential != 0) {
          MixFunction less = lessOneSide(share > 0 == differential > 0, Math.abs(differential));
          terms.add(
              new Term(
                  stick,
                  less,
                  share,
                  -1,
                  Contribution.DIFFERENTIAL,
                  Said.of("tally.differential")));
        }
      }
    }
    for (LeverShare lever : surface.shares().levers()) {
      int index = setup.transmitter().inputIndex(lever.input());
      Said name = Said.text(setup.transmitter().inputs().get(index).name());
      terms.add(always(signals.input(lever.input()), lever.share(), Contribution.LEVER, name));
    }
    double preset = phase.presetPercent(surface.id());
    if (preset != 0) {
      terms.add(
          always(signals.always(), preset / 100, Contribution.PRESET, Said.of("tally.preset")));
    }
    terms.addAll(mixed(surface.id()));
    for (Control control : Control.values()) {
      double share = surface.shares().of(control);
      if (share != 0) {
        terms.add(
            always(
                signals.trim(control),
                share,
                Contribution.TRIM,
                Said.of("tally.trim", "control", control)));
      }
    }
    return terms;
  }

  /** What differential takes off one side of a roll response. */
  private static MixFunction lessOneSide(boolean minusSide, double part) {
    return MixFunction.ofSides(minusSide ? 0 : -part, minusSide ? -part : 0);
  }

  private static Term always(Signal signal, double factor, Contribution kind, Said label) {
    return new Term(signal, null, factor, -1, kind, label);
  }

  private void mix(Mix mix, int number) {
    Signal source = signals.of(mix);
    MixFunction bend = MixFunction.of(mix);
    Map<String, MixTarget> sums = new LinkedHashMap<>();
    mix.targets().forEach(one -> sums.merge(one.target(), one, MixTarget::and));
    for (MixTarget target : sums.values()) {
      MixFunction onSides = target.sided() ? MixFunction.of(mix, target) : bend;
      double factor = target.sided() ? 1 : target.factor();
      if (target.sided() || factor != 0) {
        mixed
            .computeIfAbsent(target.target(), key -> new ArrayList<>())
            .add(
                new Term(source, onSides, factor, number, Contribution.MIX, Said.text(mix.name())));
      }
    }
  }
}
