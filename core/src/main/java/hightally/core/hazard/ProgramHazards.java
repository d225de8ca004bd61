package hightally.core.hazard;

import hightally.core.condition.Condition;
import hightally.core.condition.ConditionKind;
import hightally.core.mix.Mix;
import hightally.core.phase.Phase;
import hightally.core.power.FlightTimer;
import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.response.FeelSet;
import hightally.core.setup.Setup;
import hightally.core.signal.Conditions;
import hightally.core.signal.SignalPath;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What the program says that cannot happen, or means two things. */
final class ProgramHazards {
  private static final double NOTICEABLE_PERCENT = 3;

  private final HazardSearch search;
  private final SignalPath path;
  private final Setup setup;
  private final Conditions conditions;
  private final boolean[] wasTrue;
  private long acting;
  private final Set<Integer> phasesSeen = new HashSet<>();

  ProgramHazards(HazardSearch search) {
    this.search = search;
    path = search.path();
    setup = search.setup();
    conditions = path.program().conditions();
    wasTrue = new boolean[conditions.count()];
  }

  /** What can be seen without moving anything. */
  void written() {
    switches();
    for (Control control : Control.values()) {
      commonTrim(control);
    }
  }

  private void switches() {
    Map<String, Set<Said>> meanings = new LinkedHashMap<>();
    for (Phase phase : setup.phases()) {
      uses(phase.when(), Said.of("hazard.flightPhases"), meanings);
    }
    for (FeelSet set : setup.feelSets()) {
      uses(set.when(), Said.of("hazard.ratesExpo"), meanings);
    }
    for (Mix mix : setup.mixes()) {
      uses(mix.when(), Said.of("hazard.mix", "mix", mix.name()), meanings);
    }
    uses(setup.power().cutWhen(), Said.of("hazard.throttleCut"), meanings);
    uses(setup.power().armWhen(), Said.of("hazard.arming"), meanings);
    meanings.forEach(
        (input, what) -> {
          if (what.size() > 1) {
            String name =
                setup.transmitter().inputs().get(setup.transmitter().inputIndex(input)).name();
            Said words =
                Said.of("hazard.means", "input", name, "what", Said.list(List.copyOf(what)));
            search.keep(HazardKind.SWITCH_TWICE, input, what.size(), words, List.of(), List.of());
          }
        });
  }

  private void uses(String condition, Said what, Map<String, Set<Said>> meanings) {
    if (condition.isEmpty()) {
      return;
    }
    Condition one = conditions.at(conditions.index(condition));
    if (one.kind() == ConditionKind.SWITCH_AT) {
      meanings.computeIfAbsent(one.subject(), key -> new LinkedHashSet<>()).add(what);
    }
    one.members().forEach(member -> uses(member, what, meanings));
  }

  private void commonTrim(Control control) {
    List<Phase> common = setup.phases().stream().filter(phase -> !phase.own(control)).toList();
    for (Phase one : common) {
      for (Phase other : common) {
        double differs = camber(one, control) - camber(other, control);
        if (differs > NOTICEABLE_PERCENT) {
          Said words =
              Said.of(
                  "hazard.shareOneTrimButTheir",
                  "one",
                  one.name(),
                  "another",
                  other.name(),
                  "control",
                  control,
                  "differs",
                  Quantity.percent(differs));
          search.keep(HazardKind.TRIM_COMMON, control.word(), differs, words, List.of(), List.of());
        }
      }
    }
  }

  /**
   * Camber both sides share pitches the model; a preset with another sign left and right rolls it.
   */
  private double camber(Phase phase, Control control) {
    return switch (control) {
      case PITCH ->
          setup.surfaces().stream()
              .filter(one -> !one.sideways())
              .mapToDouble(one -> phase.presetPercent(one.id()))
              .sum();
      case ROLL ->
          setup.surfaces().stream()
              .mapToDouble(one -> one.shares().roll() * phase.presetPercent(one.id()))
              .sum();
      case YAW -> 0;
    };
  }

  /** Notes what is true and what acts in a state. */
  void state(State state) {
    phasesSeen.add(state.phase());
    for (int i = 0; i < wasTrue.length; i++) {
      wasTrue[i] = wasTrue[i] || conditions.isTrue(i, state.moment(), state.phase());
    }
    acting |= state.decision().acting();
  }

  /** Whether nothing comes of a mix however it is moved. */
  private static boolean flat(Mix mix) {
    boolean level =
        mix.curve().isEmpty()
            ? mix.weightPlusPercent() == 0 && mix.weightMinusPercent() == 0
            : mix.curve().stream().allMatch(point -> point.y() == 0);
    return level
        || mix.targets().stream()
            .allMatch(target -> target.factor() == 0 && target.factorMinus() == 0);
  }

  /** What was never true and never acted. */
  void never() {
    for (int i = 0; i < wasTrue.length; i++) {
      if (!wasTrue[i]) {
        Condition one = conditions.at(i);
        Said words = Said.of("hazard.trueNoPositionSwitchesLevers", "one", one.name());
        search.keep(HazardKind.CONDITION_NEVER, one.id(), 1, words, List.of(), List.of());
      }
    }
    for (int i = 0; i < setup.phases().size(); i++) {
      if (!phasesSeen.contains(i)) {
        Phase phase = setup.phases().get(i);
        Said words = Said.of("hazard.noSwitchReachesPhase", "phase", phase.name());
        search.keep(HazardKind.CONDITION_NEVER, phase.id(), 1, words, List.of(), List.of());
      }
    }
    for (int i = 0; i < setup.mixes().size(); i++) {
      Mix mix = setup.mixes().get(i);
      if ((acting & 1L << i) == 0 || flat(mix)) {
        Said words = Said.of("hazard.actsNoPhasePositionWeights", "mix", mix.name());
        search.keep(HazardKind.MIX_NEVER, mix.id(), 1, words, List.of(), List.of());
      }
    }
    for (FlightTimer timer : setup.power().timers()) {
      int when = conditions.index(timer.when());
      if (when >= 0 && !wasTrue[when]) {
        Said words = Said.of("hazard.timerWaitsWhatNeverTrue", "timer", timer.name());
        search.keep(HazardKind.TIMER_NEVER, timer.id(), 1, words, List.of(), List.of());
      }
    }
  }
}
