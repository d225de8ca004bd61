package hightally.core.flightlog;

import hightally.core.program.Phase;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

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

  public StandingTrims {
    phases = List.copyOf(phases);
  }

  /** The clicks of one phase. */
  public record PhaseTrims(String phase, Trims trims) {}

  /**
   * What stands: of the newest flight that was flown in a phase since its trims were last set, else
   * as the setup has them. A trim that phases share is one entry: the newest flight in any of them
   * says what it is.
   *
   * @param flights in any order
   * @param setBy number of the last revision that set the trims
   */
  public static StandingTrims of(Setup setup, List<LoggedFlight> flights, int setBy) {
    List<LoggedFlight> newestFirst = new ArrayList<>(Settling.inOrder(flights));
    newestFirst.removeIf(
        one -> one.revision() < setBy || one.simulated() || !one.leftOut().isEmpty());
    Collections.reverse(newestFirst);
    List<PhaseTrims> phases = new ArrayList<>();
    for (Phase phase : setup.phases()) {
      Trims stands = phase.effective(setup.trims());
      for (Control control : Control.values()) {
        Optional<Trims> flown =
            phase.own(control)
                ? newestFirst.stream().flatMap(one -> in(setup, one, phase)).findFirst()
                : newestFirst.stream().flatMap(one -> shared(setup, one, control)).findFirst();
        stands = stands.with(control, flown.orElse(stands).of(control));
      }
      phases.add(new PhaseTrims(phase.id(), stands));
    }
    double percent = setup.transmitter().clickStepPercent();
    double microseconds = percent * setup.transmitter().microsecondsPer100() / FULL_PERCENT;
    return new StandingTrims(phases, percent, microseconds);
  }

  private static Stream<Trims> in(Setup setup, LoggedFlight one, Phase phase) {
    return one.reading(phase.id(), setup.basePhase().id()).map(PhaseReading::trims).stream();
  }

  private static Stream<Trims> shared(Setup setup, LoggedFlight one, Control control) {
    List<Phase> baseFirst = new ArrayList<>(setup.phases());
    Collections.reverse(baseFirst);
    return baseFirst.stream()
        .filter(phase -> !phase.own(control))
        .flatMap(phase -> in(setup, one, phase));
  }

  /** The clicks that stand in a phase. */
  public Trims of(String phase) {
    return phases.stream()
        .filter(one -> one.phase().equals(phase))
        .map(PhaseTrims::trims)
        .findFirst()
        .orElse(Trims.ZERO);
  }
}
