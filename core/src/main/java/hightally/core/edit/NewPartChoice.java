package hightally.core.edit;

import hightally.core.edit.PartWish.NewPartKind;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.util.List;
import java.util.stream.Stream;

/**
 * A sort of part that can be added to a model, and what is asked for it.
 *
 * @param words what it is called
 * @param sided whether it lies left, right or in the middle, or comes as a mirrored pair
 * @param surface whether it is asked what it is for, as a surface
 * @param panel whether it is asked what it is, as a panel
 * @param fitted what it is to the place it goes to; nothing where it stands alone
 * @param places where it can go in this model
 */
public record NewPartChoice(
    NewPartKind kind,
    Said words,
    boolean sided,
    boolean surface,
    boolean panel,
    Said fitted,
    List<PlaceChoice> places) {

  /** Something of the model a part can go to. */
  public record PlaceChoice(String id, String name) {}

  /** Every sort of part, with what this model has for it. */
  public static List<NewPartChoice> of(Setup setup) {
    return Stream.of(NewPartKind.values())
        .map(
            kind ->
                new NewPartChoice(
                    kind,
                    Said.of("edit.newPart", "kind", kind),
                    kind.sided(),
                    kind.surface(),
                    kind.panel(),
                    kind.place().asked()
                        ? Said.of("edit.newPartGoesTo", "place", kind.place())
                        : Said.NOTHING,
                    kind.place().in(setup)))
        .toList();
  }
}
