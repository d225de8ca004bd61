package hightally.core.benchsetup;

import hightally.core.quantity.Said;
import hightally.core.quantity.Unit;
import java.util.List;
import java.util.function.Predicate;

/**
 * One step of setting a model up on the bench.
 *
 * @param id stable name under which its answer is kept
 * @param kind what is done
 * @param command id of the stick's control or of the lever it is about; empty for none
 * @param surface id of the surface it is about; empty for none
 * @param title what is done, in a few words
 * @param instruction what to do
 * @param caution what can hurt; empty for nothing
 * @param choices one to pick; empty where figures are asked or nothing is
 * @param figures what to measure
 */
public record BenchStep(
    String id,
    StepKind kind,
    String surface,
    String command,
    Said title,
    Said instruction,
    Said caution,
    List<Choice> choices,
    List<Figure> figures) {
  /** One of a few answers. */
  public record Choice(String id, Said words) {}

  /**
   * A figure to read off.
   *
   * @param label what
   * @param unit mm or °
   * @param expected what the program says it is; 0 where it cannot know
   * @param known whether the program can know
   */
  public record Figure(Said label, Unit unit, double expected, boolean known) {}

  /** Whether a step asks the same of another surface. */
  Predicate<BenchStep> sameOf(String other) {
    return one -> one.kind == kind && one.surface.equals(other) && one.command.equals(command);
  }

  static BenchStep tell(StepKind kind, Said title, Said words, Said caution) {
    return new BenchStep(
        kind.step("", ""), kind, "", "", title, words, caution, List.of(), List.of());
  }

  static BenchStep choose(
      StepKind kind,
      String surface,
      String command,
      Said title,
      Said words,
      Said caution,
      Choice... choices) {
    return new BenchStep(
        kind.step(surface, command),
        kind,
        surface,
        command,
        title,
        words,
        caution,
        List.of(choices),
        List.of());
  }

  static BenchStep measure(
      StepKind kind, String surface, Said title, Said words, Figure... figures) {
    return new BenchStep(
        kind.step(surface, ""),
        kind,
        surface,
        "",
        title,
        words,
        Said.NOTHING,
        List.of(),
        List.of(figures));
  }
}
