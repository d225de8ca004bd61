package hightally.core.setup;

import java.util.List;

/** What the pilot wants to remember about the figures: wishes, sources, findings he lives with. */
public record Notebook(
    List<ThrowGoal> goals, List<FigureSource> sources, List<Acceptance> accepted) {
  /** Nothing noted yet. */
  public static final Notebook EMPTY = new Notebook(List.of(), List.of(), List.of());

  public Notebook {
    goals = goals == null ? null : List.copyOf(goals);
    sources = sources == null ? null : List.copyOf(sources);
    accepted = accepted == null ? null : List.copyOf(accepted);
  }
}
