package hightally.app.school;

import hightally.core.simulator.HiddenFault;
import hightally.core.simulator.Practice;
import hightally.core.trimming.TrimLever;
import hightally.core.trimming.TrimLeverValues;
import java.util.List;

/** Whether hidden faults were found: the lever of each took out at least half of it. */
final class FaultsFound {
  private static final double PERCENT = 100;
  private static final double HALF = 2;

  private FaultsFound() {}

  /** Every fault that has a lever of its own; false where none has. */
  static boolean all(SchoolBrief brief, Practice practice) {
    List<HiddenFault> own = own(brief, practice);
    return !own.isEmpty() && own.stream().allMatch(one -> half(one, brief, practice));
  }

  /** Whether any fault has a lever of its own. */
  static boolean hasLevers(SchoolBrief brief, Practice practice) {
    return !own(brief, practice).isEmpty();
  }

  private static List<HiddenFault> own(SchoolBrief brief, Practice practice) {
    return brief.faults().stream()
        .filter(one -> Double.isFinite(moved(one, brief, practice)))
        .toList();
  }

  private static boolean half(HiddenFault one, SchoolBrief brief, Practice practice) {
    return Math.abs(one.size() + moved(one, brief, practice)) <= Math.abs(one.size()) / HALF;
  }

  /** How far its lever was moved, in the fault's unit; not a number where it has none. */
  private static double moved(HiddenFault one, SchoolBrief brief, Practice practice) {
    return switch (one.kind()) {
      case DOWN_THRUST -> atModel(practice, TrimLever.DOWN_THRUST);
      case RIGHT_THRUST -> atModel(practice, TrimLever.RIGHT_THRUST);
      case TIP_MASS -> atModel(practice, TrimLever.LATERAL);
      case BALANCE ->
          PERCENT
              * (practice.now().cgMm() - brief.cgMm())
              / TrimLeverValues.chordMm(practice.now().setup());
      default -> Double.NaN;
    };
  }

  private static double atModel(Practice practice, TrimLever lever) {
    return practice.now().atModel().getOrDefault(lever, 0.0);
  }
}
