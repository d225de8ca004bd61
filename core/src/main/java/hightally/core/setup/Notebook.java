package hightally.core.setup;

import hightally.core.quantity.Copyable;
import java.util.List;

/**
 * What the pilot wants to remember about the figures.
 *
 * @param goals throws wished for
 * @param sources where figures come from
 * @param accepted findings the pilot lives with
 * @param rolesFromNames whether the roles of panels, surfaces and phases were taken from names, or
 *     of a wheel from its place, when an older document was brought up, and nobody has looked yet
 * @param typed movements typed in millimetres or degrees
 */
@Copyable
public record Notebook(
    List<ThrowGoal> goals,
    List<FigureSource> sources,
    List<Acceptance> accepted,
    boolean rolesFromNames,
    List<TypedMovement> typed) {
  /** Nothing noted yet. */
  public static final Notebook EMPTY =
      new Notebook(List.of(), List.of(), List.of(), false, List.of());

  public Notebook {
    goals = goals == null ? null : List.copyOf(goals);
    sources = sources == null ? null : List.copyOf(sources);
    accepted = accepted == null ? null : List.copyOf(accepted);
    typed = typed == null ? null : List.copyOf(typed);
  }

  /** A copy to change, part by part. */
  public NotebookCopy change() {
    return NotebookCopy.from(this);
  }

  /** The same notes with other wishes. */
  public Notebook wishing(List<ThrowGoal> changed) {
    return change().goals(changed).done();
  }

  /** The same notes with other movements typed. */
  public Notebook typing(List<TypedMovement> changed) {
    return change().typed(changed).done();
  }
}
