package hightally.core.guide;

import java.util.List;

/**
 * One step of setting a model up on the bench.
 *
 * @param id stable name: what is done, and for which part
 * @param surface id of the surface it is about; empty for none
 * @param title what is done, in a few words
 * @param instruction what to do
 * @param caution what can hurt; empty for nothing
 * @param choices one to pick; empty where figures are asked or nothing is
 * @param figures what to measure
 */
public record GuideStep(
    String id,
    String surface,
    String title,
    String instruction,
    String caution,
    List<Choice> choices,
    List<Figure> figures) {
  /** One of a few answers. */
  public record Choice(String id, String words) {}

  /**
   * A figure to read off.
   *
   * @param label what
   * @param unit mm or °
   * @param expected what the program says it is; 0 where it cannot know
   * @param known whether the program can know
   */
  public record Figure(String label, String unit, double expected, boolean known) {}

  static GuideStep tell(String id, String surface, String title, String words, String caution) {
    return new GuideStep(id, surface, title, words, caution, List.of(), List.of());
  }

  static GuideStep choose(
      String id, String surface, String title, String words, String caution, Choice... choices) {
    return new GuideStep(id, surface, title, words, caution, List.of(choices), List.of());
  }

  static GuideStep measure(
      String id, String surface, String title, String words, Figure... figures) {
    return new GuideStep(id, surface, title, words, "", List.of(), List.of(figures));
  }
}
