package hightally.core.trimming;

import hightally.core.program.Mix;
import hightally.core.program.Phase;
import hightally.core.program.SourceRoot;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * What a flight's entry asks in every phase: no trim twice, none that nothing takes, and no
 * throttle where the stick is no throttle.
 *
 * @param phase its id
 * @param asked controls whose trim is asked here
 * @param common controls whose trim is that of the phase that is on when no other is
 * @param throttleAsked whether the throttle is a throttle here
 * @param throttlePercent what is reckoned with where it is not
 * @param reckoned that in words; empty where it is asked
 */
public record FlightForm(
    String phase,
    List<Control> asked,
    List<Control> common,
    boolean throttleAsked,
    double throttlePercent,
    Said reckoned) {
  private static final double PERCENT = 100;

  /** One entry a phase, in the setup's order. */
  public static List<FlightForm> of(Setup setup) {
    return setup.phases().stream().map(phase -> of(setup, phase)).toList();
  }

  private static FlightForm of(Setup setup, Phase phase) {
    boolean base = phase.equals(setup.basePhase());
    List<Control> taken =
        Arrays.stream(Control.values())
            .filter(
                control -> setup.surfaces().stream().anyMatch(one -> one.shares().of(control) != 0))
            .toList();
    List<Control> asked = taken.stream().filter(one -> base || phase.own(one)).toList();
    List<Control> common = taken.stream().filter(one -> !asked.contains(one)).toList();
    Optional<Mix> brakes =
        Brakes.of(setup)
            .filter(one -> one.source().root() == SourceRoot.THROTTLE)
            .filter(one -> one.phases().isEmpty() || one.phases().contains(phase.id()));
    if (brakes.isPresent()) {
      double place = Brakes.place(brakes.get(), 0);
      double rest = (place + PERCENT) / 2;
      return new FlightForm(
          phase.id(),
          asked,
          common,
          false,
          rest,
          Said.of("flight.brakesIn", "mix", brakes.get().name()));
    }
    boolean motor = !setup.airframe().motors().isEmpty();
    return new FlightForm(phase.id(), asked, common, motor, 0, Said.NOTHING);
  }
}
