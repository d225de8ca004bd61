package hightally.core.trimming;

import hightally.core.quantity.Copyable;
import hightally.core.setup.Setup;
import java.util.EnumMap;
import java.util.Map;

/**
 * How a model was when something was flown: all that the trim tests move.
 *
 * @param setup the revision
 * @param pack the pack's name; empty where none was noted
 * @param cgMm balance point, aft of the datum
 * @param atModel what has been done to the thrust line and across since it was built, by lever
 */
@Copyable
public record FlownState(Setup setup, String pack, double cgMm, Map<TrimLever, Double> atModel) {
  public FlownState {
    atModel = Map.copyOf(atModel);
  }

  /** A copy to change, part by part. */
  public FlownStateCopy change() {
    return FlownStateCopy.from(this);
  }

  /**
   * Where a lever stands, in its unit: the balance on the mean chord, others since it was built.
   */
  public double value(TrimLever lever, TestCase test) {
    if (lever.inProgram()) {
      return TrimLeverValues.value(lever, setup, test);
    }
    return lever == TrimLever.BALANCE
        ? TrimLeverValues.chordPercent(setup, cgMm).orElse(cgMm)
        : atModel.getOrDefault(lever, 0.0);
  }

  /** The same model with a lever at the model elsewhere. */
  public FlownState withAtModel(TrimLever lever, double value) {
    Map<TrimLever, Double> changed = new EnumMap<>(TrimLever.class);
    changed.putAll(atModel);
    changed.put(lever, value);
    return change().atModel(changed).done();
  }
}
