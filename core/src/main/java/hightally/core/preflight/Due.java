package hightally.core.preflight;

import hightally.core.airframe.PartChange.PartKind;
import hightally.core.quantity.Said;
import java.util.ArrayList;
import java.util.List;

/**
 * A check that is due besides the one before every flight.
 *
 * @param kind which
 * @param why what made it due
 */
public record Due(CheckKind kind, Said why) {
  /**
   * What is due.
   *
   * @param fullAfter parts changed since the last full check; null where there never was one
   * @param rangeAfter likewise since the last range check
   */
  public static List<Due> of(List<PartKind> fullAfter, List<PartKind> rangeAfter) {
    List<Due> due = new ArrayList<>();
    add(CheckKind.FULL, fullAfter, due);
    add(CheckKind.RANGE, rangeAfter, due);
    return due;
  }

  private static void add(CheckKind kind, List<PartKind> changed, List<Due> due) {
    if (changed == null) {
      due.add(new Due(kind, Said.of("check.neverDone", "kind", kind)));
      return;
    }
    List<PartKind> void_ = changed.stream().filter(part -> voids(part, kind)).distinct().toList();
    if (!void_.isEmpty()) {
      due.add(new Due(kind, Said.of("check.dueAfter", "kind", kind, "parts", void_)));
    }
  }

  private static boolean voids(PartKind part, CheckKind kind) {
    return switch (part) {
      case RECEIVER, TRANSMITTER, REPAIR, STABILISER -> true;
      case MOTOR -> true;
      case SERVO, ARM, ROD, HORN, LEAD, PROPELLER, PACK -> kind == CheckKind.FULL;
    };
  }
}
