package hightally.core.sheet;

import hightally.core.channel.TransmitterInput;
import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.program.FlightTimer;
import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.util.Arrays;
import java.util.List;

/** A condition as a plain sentence. */
public final class ConditionWords {
  private static final int DEEPEST = 40;

  private ConditionWords() {}

  /** The sentence of a condition; "always" for an empty id. */
  public static Said of(Setup setup, String id) {
    return id.isEmpty() ? Said.of("condition.always") : sentence(setup, id, 0, false);
  }

  /**
   * @param not whether its opposite is told: that of "this and that" is "not this or not that"
   */
  private static Said sentence(Setup setup, String id, int depth, boolean not) {
    Condition one =
        setup.conditions().stream().filter(each -> each.id().equals(id)).findFirst().orElseThrow();
    boolean held = one.heldSeconds() > 0;
    Said words =
        depth > DEEPEST ? named(one, not && !held) : plain(setup, one, depth, not && !held);
    return held
        ? Said.of(
            not ? "condition.notHeld" : "condition.held",
            "words",
            words,
            "held",
            Quantity.seconds(one.heldSeconds(), 1))
        : words;
  }

  private static Said named(Condition one, boolean not) {
    Said name = Said.text(one.name());
    return not ? Said.of("condition.not", "sentence", name) : name;
  }

  private static Said plain(Setup setup, Condition one, int depth, boolean not) {
    if (!one.finished()) {
      return Said.of("condition.unfinished", "kind", one.kind());
    }
    return switch (one.kind()) {
      case SWITCH_AT ->
          Said.of(
              not ? "condition.notSwitchAt" : "condition.switchAt",
              "subject",
              subject(setup, one.subject()),
              "position",
              Math.round(one.limit()));
      case ABOVE, BELOW ->
          Said.of(
              not ? "condition.notBeyond" : "condition.beyond",
              "subject",
              subject(setup, one.subject()),
              "kind",
              one.kind(),
              "limit",
              Quantity.percent(one.limit()));
      case PHASE ->
          Said.of(
              not ? "condition.notPhase" : "condition.phase",
              "phase",
              setup.phase(one.subject()).map(phase -> phase.name()).orElse(one.subject()));
      case TELEMETRY_ABOVE, TELEMETRY_BELOW ->
          Said.of(
              not ? "condition.notTelemetry" : "condition.telemetry",
              "subject",
              one.subject(),
              "kind",
              one.kind(),
              "limit",
              Quantity.plain(one.limit(), 1));
      case TIMER_ABOVE ->
          Said.of(
              not ? "condition.notTimer" : "condition.timer",
              "timer",
              timer(setup, one.subject()),
              "limit",
              Quantity.seconds(one.limit(), 1));
      case AND, OR ->
          Said.of(
              "condition.members",
              "kind",
              (one.kind() == ConditionKind.AND) == not ? ConditionKind.OR : ConditionKind.AND,
              "members",
              members(setup, one.members(), depth, not),
              "inside",
              depth > 0);
      case NOT -> sentence(setup, one.members().get(0), depth, !not);
    };
  }

  private static List<Said> members(Setup setup, List<String> members, int depth, boolean not) {
    return members.stream().map(member -> sentence(setup, member, depth + 1, not)).toList();
  }

  /** What a condition of a kind looks at, by its name. */
  static Said looked(Setup setup, ConditionKind kind, String id) {
    return switch (kind) {
      case PHASE -> Said.text(setup.phase(id).map(phase -> phase.name()).orElse(id));
      case TELEMETRY_ABOVE, TELEMETRY_BELOW -> Said.of("condition.measured", "subject", id);
      case TIMER_ABOVE -> Said.text(timer(setup, id));
      default -> subject(setup, id);
    };
  }

  /** A lever or switch by its name; else the stick of a control, or the throttle's. */
  static Said subject(Setup setup, String id) {
    return setup.transmitter().inputs().stream()
        .filter(input -> input.id().equals(id))
        .map(TransmitterInput::name)
        .map(Said::text)
        .findFirst()
        .orElseGet(() -> stick(id));
  }

  private static Said stick(String id) {
    return Arrays.stream(Control.values())
        .filter(control -> control.word().equals(id))
        .map(control -> Said.of("condition.stick", "control", control))
        .findFirst()
        .orElse(Said.of("condition.throttle"));
  }

  private static String timer(Setup setup, String id) {
    return setup.power().timers().stream()
        .filter(timer -> timer.id().equals(id))
        .map(FlightTimer::name)
        .findFirst()
        .orElse(id);
  }
}
