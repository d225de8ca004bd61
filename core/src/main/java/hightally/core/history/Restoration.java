package hightally.core.history;

import hightally.core.adjustment.RodWords;
import hightally.core.airframe.Rod;
import hightally.core.airframe.Surface;
import hightally.core.flightlog.LoggedFlight;
import hightally.core.flightlog.PhaseReading;
import hightally.core.history.History.Origin;
import hightally.core.program.Phase;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.sheet.EntrySheet;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * The way back to a state that flew well: its description with everything that was learned of the
 * model since, the trims it was flown with, and the rods that were turned since turned back.
 *
 * @param revision the one gone back to
 * @param setup what would be described then
 * @param rods those to turn back
 * @param parts surfaces whose linkage is another one now: no turn of a rod brings that back
 * @param entries what changes on the transmitter
 */
public record Restoration(
    int revision,
    Setup setup,
    List<RodBack> rods,
    List<String> parts,
    List<EntrySheet.Entry> entries) {
  /**
   * A rod to turn back.
   *
   * @param steps whole steps of its end, plus longer
   * @param turn that in words
   * @param rotation which way the end turns
   */
  public record RodBack(String surface, String name, long steps, Said turn, Said rotation) {}

  /**
   * Works it out.
   *
   * @param flight number of the flight that flew well; 0 for the newest one on that revision
   */
  public static Restoration of(History history, int revision, long flight) {
    int newest = history.revisions().size();
    if (revision < 1 || revision >= newest) {
      throw InvalidInputException.of(
          "revision",
          revision,
          Said.of(
              "demand.range",
              "min",
              Quantity.plain(1, 0),
              "max",
              Quantity.plain(Math.max(1, newest - 1), 0)));
    }
    Setup then = trimmed(history, corrected(history, revision), revision, flight);
    Setup now = history.setup();
    List<RodBack> rods = new ArrayList<>();
    List<String> parts = new ArrayList<>();
    for (Surface surface : then.surfaces()) {
      Optional<Surface> there = now.surface(surface.id());
      if (there.isEmpty() || !sameParts(there.get().rod(), surface.rod())) {
        parts.add(surface.name());
      } else {
        double back = surface.rod().adjustedMm() - there.get().rod().adjustedMm();
        long steps = surface.rod().end().steps(back);
        if (steps != 0) {
          rods.add(
              new RodBack(
                  surface.id(),
                  surface.name(),
                  steps,
                  RodWords.turn(surface.rod().end(), steps),
                  RodWords.rotation(surface.rod().end(), steps)));
        }
      }
    }
    return new Restoration(
        revision, then, List.copyOf(rods), List.copyOf(parts), EntrySheet.changes(now, then));
  }

  private static boolean sameParts(Rod one, Rod other) {
    return one.linkage().equals(other.linkage()) && one.end().equals(other.end());
  }

  /** The old description with what has been corrected since: the model was like that then, too. */
  static Setup corrected(History history, int revision) {
    Setup then = history.setups().apply(revision);
    for (History.Step step : history.revisions()) {
      if (step.number() > revision && step.origin() == Origin.CORRECTED) {
        Setup before = history.setups().apply(step.number() - 1);
        Setup after = history.setups().apply(step.number());
        then = corrected(then, before, after);
      }
    }
    return then;
  }

  private static Setup corrected(Setup then, Setup before, Setup after) {
    double click = after.transmitter().clickStepPercent() / before.transmitter().clickStepPercent();
    Setup now =
        then.change()
            .transmitter(
                then.transmitter().withClickStep(then.transmitter().clickStepPercent() * click))
            .done();
    for (Surface surface : then.surfaces()) {
      Optional<Surface> was = before.surface(surface.id());
      Optional<Surface> is = after.surface(surface.id());
      if (was.isPresent() && is.isPresent() && sameParts(was.get().rod(), surface.rod())) {
        Rod old = surface.rod();
        Rod rod = is.get().rod();
        double turned = old.adjustedMm() * rod.end().pitchMm() / old.end().pitchMm();
        now =
            now.withSurface(
                surface.withRod(
                    old.with(rod.linkage()).onEnd(rod.end()).changedBy(turned - old.adjustedMm())));
      }
    }
    return now;
  }

  /** With the trims it was flown with. */
  private static Setup trimmed(History history, Setup then, int revision, long flight) {
    String base = then.basePhase().id();
    Optional<LoggedFlight> flown =
        history.flights().stream()
            .filter(one -> flight == 0 ? one.revision() == revision : one.flight() == flight)
            .filter(one -> one.leftOut().isEmpty() && !one.simulated())
            .max(
                Comparator.comparing((LoggedFlight one) -> one.report().flownOn())
                    .thenComparing(LoggedFlight::flight));
    if (flown.isEmpty()) {
      return then;
    }
    Trims common = then.trims();
    List<Phase> phases = new ArrayList<>();
    for (Phase phase : then.phases()) {
      Optional<Trims> read = flown.get().reading(phase.id(), base).map(PhaseReading::trims);
      Trims own = phase.trims();
      for (Control control : Control.values()) {
        if (read.isPresent() && phase.own(control)) {
          own = own.with(control, read.get().of(control));
        } else if (read.isPresent()) {
          common = common.with(control, read.get().of(control));
        }
      }
      phases.add(phase.withTrims(own));
    }
    return then.change().phases(phases).trims(common).done();
  }
}
