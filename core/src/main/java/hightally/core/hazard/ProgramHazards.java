package hightally.core.hazard;

import hightally.core.hazard.SwitchLogic.Known;
import hightally.core.hazard.SwitchLogic.Split;
import hightally.core.hazard.SwitchLogic.Watch;
import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.program.FeelSet;
import hightally.core.program.FlightTimer;
import hightally.core.program.Mix;
import hightally.core.program.Phase;
import hightally.core.program.SourceRoot;
import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.AxisBox;
import hightally.core.signal.AxisPlaces;
import hightally.core.signal.CommandSpans;
import hightally.core.signal.Conditions;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.Arrays;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.ToIntBiFunction;
import java.util.stream.LongStream;

/** What the program says that cannot happen, or means two things. */
final class ProgramHazards implements HazardFinder {
  private static final double NOTICEABLE_PERCENT = 3;

  /** A mix that adds no more than this to anything does not act. */
  private static final double NOTHING_PERCENT = 1e-9;

  private final HazardSearch search;
  private final SignalPath path;
  private final Setup setup;
  private final Conditions conditions;
  private final CommandSpans commands;

  ProgramHazards(HazardSearch search) {
    this.search = search;
    path = search.path();
    setup = search.setup();
    conditions = path.program().conditions();
    commands = new CommandSpans(path);
  }

  @Override
  public Set<HazardKind> kinds() {
    return Set.of(
        HazardKind.SWITCH_TWICE,
        HazardKind.TRIM_COMMON,
        HazardKind.CONDITION_NEVER,
        HazardKind.MIX_NEVER,
        HazardKind.TIMER_NEVER);
  }

  /** What can be seen without moving anything. */
  @Override
  public void written() {
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
                  "hazard.trimShared",
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

  /**
   * Whether there is a state in which something is so; told further apart while it may be.
   *
   * @param so whether it is, in all states that begin so
   * @param next the line to be told next where it may be
   */
  private boolean somewhere(
      long[] cells, ToIntBiFunction<long[], Known> so, BiFunction<long[], Known, Split> next) {
    search.work().spend(1);
    SwitchLogic logic = search.logic();
    Known known = logic.known(cells);
    int here = so.applyAsInt(cells, known);
    if (here != SwitchLogic.MAYBE) {
      return here == SwitchLogic.YES;
    }
    Split split = next.apply(cells, known);
    return LongStream.of(split.parts())
        .anyMatch(part -> somewhere(DecisionRegions.with(cells, split.line(), part), so, next));
  }

  private boolean everTrue(int condition) {
    return somewhere(
        search.regions().anywhere(),
        (cells, known) -> known.truths()[condition],
        (cells, known) -> search.logic().ofCondition(condition, cells, known));
  }

  private boolean everOn(int phase) {
    SwitchLogic logic = search.logic();
    Watch whole = new Watch(logic.eachPhase(), 0, 0, false, new BitSet());
    return somewhere(
        search.regions().anywhere(),
        (cells, known) ->
            (known.phases() & 1L << phase) == 0
                ? SwitchLogic.NO
                : known.onePhase() ? SwitchLogic.YES : SwitchLogic.MAYBE,
        (cells, known) -> logic.open(whole, cells, known));
  }

  /**
   * Whether anything comes of a mix somewhere: where it acts, what it is made from goes so far that
   * one of its targets gets something of it.
   */
  private boolean acts(int mix) {
    SwitchLogic logic = search.logic();
    int[] axes = path.program().axesOf(mix);
    BitSet lines =
        search.states().linesOn(axis -> Arrays.stream(axes).anyMatch(one -> one == axis));
    int feel = Arrays.stream(axes).filter(a -> a < AxisPlaces.THROTTLE).map(a -> 1 << a).sum();
    SourceRoot root = setup.mixes().get(mix).source().root();
    boolean power = root == SourceRoot.POWER;
    int[] phases = power || root == SourceRoot.SURFACE ? logic.eachPhase() : logic.oneKind();
    Watch watch = new Watch(phases, 1L << mix, feel, power, lines);
    return somewhere(
        search.regions().anywhere(),
        (cells, known) -> {
          int acts = logic.mix(mix, known);
          if (acts != SwitchLogic.NO && logic.open(watch, cells, known) != null) {
            return SwitchLogic.MAYBE;
          }
          boolean adds = acts == SwitchLogic.YES && adds(mix, cells, known);
          return adds ? SwitchLogic.YES : SwitchLogic.NO;
        },
        (cells, known) -> logic.open(watch, cells, known));
  }

  private boolean adds(int mix, long[] cells, Known known) {
    Moment moment = SwitchState.of(path, search.states(), cells).moment();
    AxisBox stretch = search.states().stretch(cells);
    long acting = search.logic().mixes(known, SwitchLogic.YES);
    long open = search.logic().mixes(known, SwitchLogic.MAYBE);
    return commands.most(mix, moment, stretch, acting, open) > NOTHING_PERCENT;
  }

  /** What was never true and never acted. */
  @Override
  public void afterwards() {
    for (int i = 0; i < conditions.count(); i++) {
      if (!everTrue(i)) {
        Condition one = conditions.at(i);
        Said words = Said.of("hazard.conditionUnmet", "one", one.name());
        search.keep(HazardKind.CONDITION_NEVER, one.id(), 1, words, List.of(), List.of());
      }
    }
    for (int i = 0; i < setup.phases().size(); i++) {
      if (!everOn(i)) {
        Phase phase = setup.phases().get(i);
        Said words = Said.of("hazard.phaseUnreached", "phase", phase.name());
        search.keep(HazardKind.CONDITION_NEVER, phase.id(), 1, words, List.of(), List.of());
      }
    }
    for (int i = 0; i < setup.mixes().size(); i++) {
      Mix mix = setup.mixes().get(i);
      if (!acts(i)) {
        Said words = Said.of("hazard.mixActsNowhere", "mix", mix.name());
        search.keep(HazardKind.MIX_NEVER, mix.id(), 1, words, List.of(), List.of());
      }
    }
    for (FlightTimer timer : setup.power().timers()) {
      int when = conditions.index(timer.when());
      if (when >= 0 && !everTrue(when)) {
        Said words = Said.of("hazard.timerNever", "timer", timer.name());
        search.keep(HazardKind.TIMER_NEVER, timer.id(), 1, words, List.of(), List.of());
      }
    }
  }
}
