package hightally.core.program;

import hightally.core.channel.TransmitterInput;
import hightally.core.condition.Condition;
import hightally.core.setup.Setup;
import java.util.List;
import java.util.Locale;

/** A condition as a plain sentence. */
public final class ConditionWords {
  private static final int DEEPEST = 6;

  private ConditionWords() {}

  /** The sentence of a condition; "always" for an empty id. */
  public static String of(Setup setup, String id) {
    return id.isEmpty() ? "always" : sentence(setup, id, 0);
  }

  private static String sentence(Setup setup, String id, int depth) {
    Condition one =
        setup.conditions().stream().filter(each -> each.id().equals(id)).findFirst().orElseThrow();
    String words = depth > DEEPEST ? one.name() : plain(setup, one, depth);
    return one.heldSeconds() > 0
        ? words + String.format(Locale.ROOT, " for more than %.1f s", one.heldSeconds())
        : words;
  }

  private static String plain(Setup setup, Condition one, int depth) {
    String subject = subject(setup, one.subject());
    return switch (one.kind()) {
      case SWITCH_AT -> String.format(Locale.ROOT, "%s at position %.0f", subject, one.limit());
      case ABOVE -> subject + " above " + place(one);
      case BELOW -> subject + " below " + place(one);
      case PHASE ->
          "in phase " + setup.phase(one.subject()).map(phase -> phase.name()).orElse(one.subject());
      case TELEMETRY_ABOVE -> one.subject() + " above " + number(one.limit());
      case TELEMETRY_BELOW -> one.subject() + " below " + number(one.limit());
      case TIMER_ABOVE -> "timer " + one.subject() + " beyond " + number(one.limit()) + " s";
      case AND -> joined(setup, one.members(), " and ", depth);
      case OR -> joined(setup, one.members(), " or ", depth);
      case NOT -> "not (" + sentence(setup, one.members().get(0), depth + 1) + ")";
    };
  }

  private static String joined(Setup setup, List<String> members, String word, int depth) {
    String text =
        String.join(
            word, members.stream().map(member -> sentence(setup, member, depth + 1)).toList());
    return depth == 0 ? text : "(" + text + ")";
  }

  private static String subject(Setup setup, String id) {
    return setup.transmitter().inputs().stream()
        .filter(input -> input.id().equals(id))
        .map(TransmitterInput::name)
        .findFirst()
        .orElse(id + " stick");
  }

  private static String place(Condition one) {
    return String.format(Locale.ROOT, "%.0f %%", 100 * one.limit());
  }

  private static String number(double value) {
    return String.format(Locale.ROOT, "%.1f", value);
  }
}
