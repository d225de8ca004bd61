package hightally.core.setup;

import hightally.core.airframe.Surface;
import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.program.FeelSet;
import hightally.core.program.FlightTimer;
import hightally.core.program.Mix;
import hightally.core.program.MixSource;
import hightally.core.program.MixTarget;
import hightally.core.program.Phase;
import hightally.core.program.Power;
import hightally.core.program.SourceOf;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.quantity.Violation;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/** Checks that conditions, phases, mixes, feel and power refer to what is there, without loops. */
final class ProgramReferences {
  /** More than any transmitter holds, and what the exhaustive check can tell apart. */
  private static final int MOST_MIXES = 64;

  private final Setup setup;
  private final String path;
  private final Consumer<Violation> found;
  private final Set<String> conditionIds;
  private final Set<String> phaseIds;

  ProgramReferences(Setup setup, String path, Consumer<Violation> found) {
    this.setup = setup;
    this.path = path;
    this.found = found;
    conditionIds = ids(setup.conditions(), Condition::id);
    phaseIds = ids(setup.phases(), Phase::id);
  }

  private static <T> Set<String> ids(List<T> list, Function<T, String> id) {
    return list.stream().map(id).collect(Collectors.toSet());
  }

  void check() {
    unique("conditions", setup.conditions(), Condition::id);
    unique("phases", setup.phases(), Phase::id);
    unique("mixes", setup.mixes(), Mix::id);
    if (setup.mixes().size() > MOST_MIXES) {
      report(
          "mixes",
          Said.of("given.mixes", "count", setup.mixes().size()),
          Said.of("demand.most", "most", MOST_MIXES));
    }
    unique("feelSets", setup.feelSets(), FeelSet::id);
    unique("power.timers", setup.power().timers(), FlightTimer::id);
    conditions();
    phases();
    mixes();
    for (int i = 0; i < setup.feelSets().size(); i++) {
      FeelSet set = setup.feelSets().get(i);
      when("feelSets[" + i + "].when", set.when());
      phaseList("feelSets[" + i + "].phases", set.phases());
    }
    power();
  }

  private <T> void unique(String list, List<T> items, Function<T, String> id) {
    Set<String> seen = new HashSet<>();
    for (int i = 0; i < items.size(); i++) {
      if (!seen.add(id.apply(items.get(i)))) {
        report(
            list + "[" + i + "].id", id.apply(items.get(i)), Said.of("demand.differentFromOthers"));
      }
    }
  }

  private void when(String field, String condition) {
    if (!condition.isEmpty() && !conditionIds.contains(condition)) {
      report(field, condition, Said.of("demand.conditionsIdEmpty"));
    }
  }

  private void phaseList(String field, List<String> phases) {
    for (int i = 0; i < phases.size(); i++) {
      if (!phaseIds.contains(phases.get(i))) {
        report(field + "[" + i + "]", phases.get(i), Said.of("demand.phasesId"));
      }
    }
  }

  private void conditions() {
    for (int i = 0; i < setup.conditions().size(); i++) {
      Condition condition = setup.conditions().get(i);
      String at = "conditions[" + i + "]";
      if (!condition.combines() && !subjectKnown(condition)) {
        report(at + ".subject", condition.subject(), subjectWanted(condition.kind()));
      } else {
        limit(at, condition);
      }
      for (int j = 0; j < condition.members().size(); j++) {
        if (!conditionIds.contains(condition.members().get(j))) {
          report(
              at + ".members[" + j + "]",
              condition.members().get(j),
              Said.of("demand.conditionsId"));
        }
      }
      List<String> loop = loop(condition.id(), this::membersOf);
      if (!loop.isEmpty()) {
        report(at + ".members", round(loop, this::conditionName), Said.of("demand.noCircle"));
      }
    }
  }

  private void limit(String at, Condition one) {
    ConditionLimits.Range range = ConditionLimits.of(setup, one.kind(), one.subject());
    if (!range.holds(one.limit())) {
      report(
          at + ".limit", one.limit(), Validation.range(range.least(), range.most(), range.unit()));
    }
  }

  private boolean subjectKnown(Condition condition) {
    String subject = condition.subject();
    return condition.kind() == ConditionKind.SWITCH_AT
        ? setup.transmitter().inputIndex(subject) >= 0
        : ConditionLimits.subjects(setup, condition.kind()).contains(subject);
  }

  /** A way round by the names of its members. */
  private static Said round(List<String> ids, UnaryOperator<String> name) {
    return Said.of("given.round", "members", ids.stream().map(name).map(Said::text).toList());
  }

  private String conditionName(String id) {
    return setup.conditions().stream()
        .filter(one -> one.id().equals(id))
        .map(Condition::name)
        .findFirst()
        .orElse(id);
  }

  private String surfaceName(String id) {
    return setup.surface(id).map(Surface::name).orElse(id);
  }

  private static Said subjectWanted(ConditionKind kind) {
    return switch (kind) {
      case SWITCH_AT -> Said.of("setup.idSwitch");
      case PHASE -> Said.of("setup.phasesId");
      case TELEMETRY_ABOVE, TELEMETRY_BELOW -> Said.of("setup.linkVoltage");
      case TIMER_ABOVE -> Said.of("setup.timersId");
      default -> Said.of("setup.rollPitchYawOrLever");
    };
  }

  private List<String> membersOf(String id) {
    return setup.conditions().stream()
        .filter(one -> one.id().equals(id))
        .findFirst()
        .map(Condition::members)
        .orElse(List.of());
  }

  private void phases() {
    if (setup.phases().isEmpty()) {
      report("phases", Said.of("given.none"), Said.of("demand.leastOne"));
      return;
    }
    int last = setup.phases().size() - 1;
    for (int i = 0; i <= last; i++) {
      Phase phase = setup.phases().get(i);
      String at = "phases[" + i + "]";
      when(at + ".when", phase.when());
      if (phase.when().isEmpty() && i < last) {
        report(at + ".when", Said.of("given.empty"), Said.of("demand.conditionPerPhase"));
      }
      if (!phase.when().isEmpty() && i == last) {
        report(at + ".when", phase.when(), Said.of("demand.lastPhaseEmpty"));
      }
      if (onPhase(phase.when(), new HashSet<>())) {
        report(at + ".when", phase.when(), Said.of("demand.noPhaseCondition"));
      }
      surfaces(at + ".presets", phase.presets(), one -> one.surface());
      surfaces(at + ".differential", phase.differential(), one -> one.surface());
      clicks(at, phase);
    }
  }

  private boolean onPhase(String id, Set<String> seen) {
    return seen.add(id)
        && setup.conditions().stream()
            .filter(one -> one.id().equals(id))
            .anyMatch(
                one ->
                    one.kind() == ConditionKind.PHASE
                        || one.members().stream().anyMatch(member -> onPhase(member, seen)));
  }

  private <T> void surfaces(String list, List<T> items, Function<T, String> surface) {
    for (int i = 0; i < items.size(); i++) {
      String id = surface.apply(items.get(i));
      if (setup.surface(id).isEmpty()) {
        report(list + "[" + i + "].surface", id, Said.of("demand.surfacesId"));
      }
    }
  }

  private void clicks(String at, Phase phase) {
    int range = setup.transmitter().trimRangeClicks();
    for (Control control : Control.values()) {
      int clicks = phase.trims().of(control);
      if (Math.abs(clicks) > range) {
        String field = at + ".trims." + control.word();
        report(field, clicks, Said.of("demand.clicksInRange", "range", -range, "range2", range));
      }
    }
  }

  private void mixes() {
    for (int i = 0; i < setup.mixes().size(); i++) {
      Mix mix = setup.mixes().get(i);
      String at = "mixes[" + i + "]";
      if (!sourceKnown(mix)) {
        report(at + ".subject", mix.subject(), sourceWanted(mix.source()));
      }
      for (int j = 0; j < mix.targets().size(); j++) {
        String target = mix.targets().get(j).target();
        boolean known =
            setup.surface(target).isPresent()
                || setup.airframe().motors().stream().anyMatch(one -> one.id().equals(target));
        if (!known) {
          report(at + ".targets[" + j + "].target", target, Said.of("demand.idSurfaceMotor"));
        }
      }
      when(at + ".when", mix.when());
      phaseList(at + ".phases", mix.phases());
    }
    for (String surface : ids(setup.surfaces(), one -> one.id())) {
      List<String> loop = loop(surface, this::fedBy);
      if (!loop.isEmpty()) {
        report("mixes", round(loop, this::surfaceName), Said.of("demand.noFeedback"));
        return;
      }
    }
  }

  private boolean sourceKnown(Mix mix) {
    SourceOf of = mix.source().of();
    return of == SourceOf.NOTHING || SourceSubjects.of(setup, of).contains(mix.subject());
  }

  private static Said sourceWanted(MixSource source) {
    return switch (source.of()) {
      case STICK -> Said.of("setup.rollPitchYaw");
      case INPUT -> Said.of("setup.idLeverSwitch");
      case SURFACE, NOTHING -> Said.of("setup.surfacesId");
    };
  }

  /** Surfaces a surface's command flows into through mixes. */
  private List<String> fedBy(String surface) {
    return setup.mixes().stream()
        .filter(mix -> mix.source().of() == SourceOf.SURFACE && mix.subject().equals(surface))
        .flatMap(mix -> mix.targets().stream())
        .map(MixTarget::target)
        .toList();
  }

  /** The way from a member back to itself, or nothing. */
  private static List<String> loop(String start, Function<String, List<String>> next) {
    return walk(start, start, next, new ArrayList<>(List.of(start)));
  }

  private static List<String> walk(
      String start, String at, Function<String, List<String>> next, List<String> way) {
    for (String one : next.apply(at)) {
      if (one.equals(start)) {
        way.add(one);
        return way;
      }
      if (!way.contains(one)) {
        way.add(one);
        List<String> found = walk(start, one, next, way);
        if (!found.isEmpty()) {
          return found;
        }
        way.remove(way.size() - 1);
      }
    }
    return List.of();
  }

  private void power() {
    Power power = setup.power();
    if (!power.throttleInput().isEmpty()
        && setup.transmitter().inputIndex(power.throttleInput()) < 0) {
      report("power.throttleInput", power.throttleInput(), Said.of("demand.idLeverEmpty"));
    }
    when("power.cutWhen", power.cutWhen());
    when("power.armWhen", power.armWhen());
    for (int i = 0; i < power.curves().size(); i++) {
      phaseList("power.curves[" + i + "].phases", power.curves().get(i).phases());
    }
    if (power.curves().stream().noneMatch(curve -> curve.phases().isEmpty())) {
      report(
          "power.curves",
          Said.of("given.curves", "count", power.curves().size()),
          Said.of("demand.oneForOthers"));
    }
    for (int i = 0; i < power.failsafe().size(); i++) {
      int channel = power.failsafe().get(i).channel();
      if (setup.channel(channel).isEmpty()) {
        report("power.failsafe[" + i + "].channel", channel, Said.of("demand.channelsNumber"));
      }
    }
    for (int i = 0; i < power.startPositions().size(); i++) {
      String input = power.startPositions().get(i).input();
      if (setup.transmitter().inputIndex(input) < 0) {
        report("power.startPositions[" + i + "].input", input, Said.of("demand.idSwitch"));
      }
    }
    for (int i = 0; i < power.timers().size(); i++) {
      when("power.timers[" + i + "].when", power.timers().get(i).when());
      when("power.timers[" + i + "].resetWhen", power.timers().get(i).resetWhen());
    }
  }

  private void report(String field, Object value, Said requirement) {
    found.accept(Violation.of(path + field, value, requirement));
  }
}
