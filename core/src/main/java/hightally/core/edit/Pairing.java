package hightally.core.edit;

import hightally.core.airframe.Panel;
import hightally.core.airframe.Surface;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import java.util.List;

/** Says which part mirrors another, on both of them. */
public final class Pairing {
  private Pairing() {}

  /**
   * The setup with a surface, or a panel, in a pair with another one; what they were in a pair with
   * before is in none.
   *
   * @param pair its new pair; empty for none
   */
  public static Setup of(Setup setup, String part, String pair) {
    Validation.check(setup);
    if (setup.surface(part).isPresent()) {
      List<Surface> surfaces =
          setup.surfaces().stream()
              .map(one -> one.inPairWith(pairOf(one.id(), one.pair(), part, pair)))
              .toList();
      return Validation.check(setup.withSurfaces(surfaces));
    }
    List<Panel> panels = setup.airframe().panels();
    if (panels.stream().noneMatch(one -> one.id().equals(part))) {
      throw InvalidInputException.of("part", part, Said.of("demand.surfaceOrPanel"));
    }
    List<Panel> paired =
        panels.stream()
            .map(one -> one.inPairWith(pairOf(one.id(), one.pair(), part, pair)))
            .toList();
    return Validation.check(setup.change().airframe(setup.airframe().withPanels(paired)).done());
  }

  private static String pairOf(String id, String before, String part, String pair) {
    if (id.equals(part)) {
      return pair;
    }
    if (id.equals(pair)) {
      return part;
    }
    return before.equals(part) || !pair.isEmpty() && before.equals(pair) ? "" : before;
  }
}
