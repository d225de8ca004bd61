package hightally.core.history;

import hightally.core.airframe.Rod;
import hightally.core.airframe.Surface;
import hightally.core.flightlog.Diagnosis.Cause;
import hightally.core.flightlog.Diagnosis.Observation;
import hightally.core.history.History.Origin;
import hightally.core.setup.Setup;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;

/** Takes what an old description predicted to what the present one does. */
final class RestatedReadings {
  private final History history;

  RestatedReadings(History history) {
    this.history = history;
  }

  /** An observation made on a revision as it is seen now; empty where a linkage is another. */
  Optional<Observation> now(Observation one, int revision) {
    double factor = 1;
    for (History.Step step : history.revisions()) {
      boolean matters = step.origin() == Origin.CORRECTED || !step.parted().isEmpty();
      if (step.number() > revision && matters && step.origin() != Origin.ADJUSTED) {
        Setup before = history.setups().apply(step.number() - 1);
        Setup after = history.setups().apply(step.number());
        Optional<Double> by = factor(one, before, after);
        if (by.isEmpty() || step.origin() != Origin.CORRECTED && Math.abs(by.get() - 1) > 1e-9) {
          return Optional.empty();
        }
        factor *= by.get();
      }
    }
    return Optional.of(one.change().predicted(one.predicted() * factor).done());
  }

  /** Whether a linkage it was seen at was changed by a part since. */
  boolean voided(Observation one, Predicate<History.Change> since) {
    return history.changes().stream()
        .filter(History.Change::linkage)
        .filter(each -> each.surface().isEmpty() || one.surfaces().containsKey(each.surface()))
        .anyMatch(since);
  }

  /** By what a change of the description multiplies a prediction; empty where parts are gone. */
  private static Optional<Double> factor(Observation one, Setup before, Setup after) {
    double logarithm =
        one.kind().column(Cause.CLICK_STEP)
            * Math.log(
                after.transmitter().clickStepPercent() / before.transmitter().clickStepPercent());
    for (Map.Entry<String, Double> each : one.surfaces().entrySet()) {
      Optional<Surface> then = before.surface(each.getKey());
      Optional<Surface> now = after.surface(each.getKey());
      if (then.isEmpty() || now.isEmpty()) {
        return Optional.empty();
      }
      Rod old = then.get().rod();
      Rod rod = now.get().rod();
      if (old.end().kind() != rod.end().kind()
          || old.driver() != rod.driver()
          || then.get().chordMm() != now.get().chordMm()) {
        return Optional.empty();
      }
      logarithm +=
          each.getValue()
              * (one.kind().column(Cause.THREAD) * ratio(rod.end().pitchMm(), old.end().pitchMm())
                  + one.kind().column(Cause.ARM)
                      * ratio(rod.linkage().armRadiusMm(), old.linkage().armRadiusMm())
                  + one.kind().column(Cause.HORN)
                      * ratio(rod.linkage().hornRadiusMm(), old.linkage().hornRadiusMm()));
    }
    return Optional.of(Math.exp(logarithm));
  }

  private static double ratio(double now, double then) {
    return Math.log(now / then);
  }
}
