package hightally.app.bench;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import hightally.core.audit.Finding;
import hightally.core.linkage.Pose;
import hightally.core.quantity.Absentable;
import hightally.core.quantity.Violation;
import hightally.core.signal.Positions;
import hightally.core.signal.SurfaceSheet;
import hightally.core.signal.Tally;
import hightally.core.simulator.BenchMoment;
import java.util.List;

/** What the bench answers. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
@JsonSubTypes({
  @JsonSubTypes.Type(value = BenchAnswer.Loaded.class, name = "loaded"),
  @JsonSubTypes.Type(value = BenchAnswer.Frame.class, name = "frame"),
  @JsonSubTypes.Type(value = BenchAnswer.SwitchedOn.class, name = "switched-on"),
  @JsonSubTypes.Type(value = BenchAnswer.Refused.class, name = "refused")
})
public sealed interface BenchAnswer {
  /** The setup is on the bench: one sheet a surface, and what the pilot should know. */
  record Loaded(long number, List<SurfaceSheet> sheets, List<Finding> findings)
      implements BenchAnswer {}

  /**
   * Where everything stands, the phase that is on, what goes on by itself on the simulated bench,
   * and the selected surface's tally (of the phase that is on, faded in) and linkage.
   */
  record Frame(
      long number,
      String phase,
      BenchMoment bench,
      Positions positions,
      Tally tally,
      LinkageView linkage)
      implements BenchAnswer {}

  /** The simulated transmitter was switched on again. */
  record SwitchedOn(long number) implements BenchAnswer {}

  /** The request broke its contract; the bench shows what it showed before. */
  record Refused(long number, List<Violation> violations) implements BenchAnswer {}

  /**
   * The selected surface's linkage at this moment.
   *
   * @param gain degrees of surface per degree of driver; absent at a lock
   */
  record LinkageView(
      Pose pose, double driverDegrees, double surfaceDegrees, @Absentable Double gain) {}

  /** A refusal. */
  static BenchAnswer refused(long number, List<Violation> violations) {
    return new Refused(number, violations);
  }
}
