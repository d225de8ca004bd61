package hightally.core.adjustment;

import hightally.core.log.TrimSeries;
import hightally.core.log.TrimSeries.State;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import java.util.Arrays;
import java.util.List;

/**
 * Which phase's trims should become metal, and which controls: those that have settled there, else
 * all.
 *
 * @param reference id of the phase
 * @param controls whose trims
 * @param settled how many of them have settled
 * @param known how many the phase has
 */
public record RodsProposal(String reference, List<Control> controls, int settled, int known) {
  /**
   * The proposal for a flight.
   *
   * @param flown ids of the phases it was flown in, the one that is on when no other is first
   * @param most id of the phase flown most; empty where nothing says so
   * @param wanted id of the phase the pilot picked; empty where he picked none
   */
  public static RodsProposal of(
      Setup setup, List<TrimSeries> series, List<String> flown, String most, String wanted) {
    String usual = flown.contains(most) ? most : setup.basePhase().id();
    String reference = flown.contains(wanted) ? wanted : usual;
    List<TrimSeries> here = series.stream().filter(one -> one.phase().equals(reference)).toList();
    List<Control> settled =
        here.stream().filter(one -> one.state() == State.SETTLED).map(TrimSeries::control).toList();
    List<Control> all = Arrays.asList(Control.values());
    return new RodsProposal(
        reference, settled.isEmpty() ? all : settled, settled.size(), here.size());
  }
}
