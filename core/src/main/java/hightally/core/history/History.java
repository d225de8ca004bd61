package hightally.core.history;

import hightally.core.adjustment.FlownTrims;
import hightally.core.adjustment.MarkSeen;
import hightally.core.benchsetup.BenchVerification.Verified;
import hightally.core.flightlog.LoggedFlight;
import hightally.core.flightlog.MarkedSettled;
import hightally.core.flightlog.SeriesBreak;
import hightally.core.flightlog.TrimsStillValid.Parted;
import hightally.core.preflight.Clearance;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.IntFunction;

/**
 * All that has become of a model: what its standing is worked out from, and nothing else.
 *
 * @param setup as it is now
 * @param revisions oldest first; the last one is the newest
 * @param flights in any order
 * @param said what the pilot says has settled
 * @param orders closed work orders, oldest first
 * @param open the work order that is begun and not closed
 * @param changes parts that were changed and changes at the model
 * @param readings what was measured on the bench
 * @param grounding what keeps it on the ground
 * @param setups the setup of a revision by its number
 */
public record History(
    Setup setup,
    List<Step> revisions,
    List<LoggedFlight> flights,
    List<MarkedSettled> said,
    List<Order> orders,
    Optional<OpenOrder> open,
    List<Change> changes,
    List<BenchReading> readings,
    Clearance grounding,
    IntFunction<Setup> setups) {
  public History {
    revisions = List.copyOf(revisions);
    flights = List.copyOf(flights);
    said = List.copyOf(said);
    orders = List.copyOf(orders);
    changes = List.copyOf(changes);
    readings = List.copyOf(readings);
  }

  /** Where a revision comes from. */
  public enum Origin {
    /** The pilot changed something. */
    EDITED,
    /** A work order turned rods. */
    ADJUSTED,
    /** The description was corrected; the model is as it was. */
    CORRECTED,
    /** An earlier state was gone back to. */
    RESTORED
  }

  /**
   * A revision.
   *
   * @param parted whose trims it parts
   * @param setsTrims whether the trims of the transmitter are set by it
   * @param flewWell whether it is marked so
   */
  public record Step(
      int number,
      LocalDate day,
      Origin origin,
      List<Parted> parted,
      boolean setsTrims,
      boolean flewWell) {
    public Step {
      parted = List.copyOf(parted);
    }
  }

  /**
   * A gauge reading of a work order that was not called a misreading.
   *
   * @param mm trim in less trim zeroed, plus is up or right
   */
  public record GaugeSeen(String surface, double mm) {}

  /**
   * A work order that is closed.
   *
   * @param on the revision it was planned on
   * @param result the revision it made
   * @param flown what it was planned from
   */
  public record Order(
      long id,
      int on,
      int result,
      FlownTrims flown,
      List<GaugeSeen> gauges,
      List<MarkSeen> marks,
      List<Verified> verified) {
    public Order {
      gauges = List.copyOf(gauges);
      marks = List.copyOf(marks);
      verified = List.copyOf(verified);
    }
  }

  /**
   * A work order that is begun.
   *
   * @param disagreeing names of the surfaces where a reading waits to be settled
   */
  public record OpenOrder(long id, List<String> disagreeing) {}

  /**
   * Something that was changed and that no revision shows.
   *
   * @param parting whose trims it parts, and since when
   * @param due what has still to be done again after it
   * @param surface id of the surface whose linkage it changed; empty for none or for all
   * @param linkage whether it changed linkages
   */
  public record Change(SeriesBreak parting, List<Said> due, String surface, boolean linkage) {
    public Change {
      due = List.copyOf(due);
    }
  }

  /** Number of the last revision that set the trims; 0 for none. */
  public int setBy() {
    return revisions.stream().filter(Step::setsTrims).mapToInt(Step::number).max().orElse(0);
  }

  /** Everything that parts trims, revisions and changes. */
  public List<SeriesBreak> breaks() {
    return SeriesBreaks.of(this);
  }
}
