package hightally.core.log;

import hightally.core.log.Settling.FlownOnce;
import hightally.core.phase.Phase;
import hightally.core.phase.Trims;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;

/**
 * The clicks that stand in the transmitter, and what one of them is worth.
 *
 * @param phases every phase of the setup, in its order
 * @param percentPerClick of command
 * @param microsecondsPerClick of pulse, endpoints at 100 %
 */
public record StandingTrims(
    List<PhaseTrims> phases, double percentPerClick, double microsecondsPerClick) {
  private static final double FULL_PERCENT = 100;

  /** The clicks of one phase. */
  public record PhaseTrims(String phase, Trims trims) {}

  /**
   * What stands: of the newest flight in a phase, else the setup's own or common trims.
   *
   * @param holding flights whose trims still hold, newest first
   */
  public static StandingTrims of(Setup setup, List<FlownOnce> holding) {
    String base = setup.basePhase().id();
    List<PhaseTrims> phases = new ArrayList<>();
    for (Phase phase : setup.phases()) {
      Trims flown =
          holding.stream()
              .flatMap(one -> one.report().readings(base).stream())
              .filter(one -> one.phase().equals(phase.id()))
              .map(PhaseReading::trims)
              .findFirst()
              .orElse(phase.effective(setup.trims()));
      phases.add(new PhaseTrims(phase.id(), flown));
    }
    double percent = setup.transmitter().clickStepPercent();
    double microseconds = percent * setup.transmitter().microsecondsPer100() / FULL_PERCENT;
    return new StandingTrims(phases, percent, microseconds);
  }
}
