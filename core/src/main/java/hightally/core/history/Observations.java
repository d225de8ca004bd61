package hightally.core.history;

import hightally.core.adjustment.AdjustmentPlanner;
import hightally.core.adjustment.AdjustmentPlanner.Reckoned;
import hightally.core.adjustment.FlownTrims;
import hightally.core.adjustment.MarkSeen;
import hightally.core.adjustment.PlannedRod;
import hightally.core.benchsetup.BenchVerification;
import hightally.core.flightlog.Diagnosis.Observation;
import hightally.core.flightlog.Diagnosis.Seen;
import hightally.core.flightlog.LoggedFlight;
import hightally.core.flightlog.PhaseReading;
import hightally.core.flightlog.SeriesBreak;
import hightally.core.flightlog.Settling;
import hightally.core.flightlog.TrimSeries;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Everything that was ever seen of a model beside what its description says of it, each held
 * against the description as it is now: what has been corrected since no longer differs, and what
 * was seen of a linkage that has been changed since is left out.
 */
final class Observations {
  /** Two flights settled to a click, one before and one after. */
  private static final double FLIGHT_CLICKS = 1.4;

  /** With fewer clicks in the rods a pilot's click more or less says nothing. */
  private static final double TELLING_CLICKS = 4;

  private static final double TELLING_MM = 0.3;

  /** Beyond half and twice a reading is a misreading or another thing. */
  private static final double LEAST = 0.5;

  private static final double MOST = 2;

  private final History history;
  private final RestatedReadings described;
  private final List<SeriesBreak> breaks;
  private final List<Observation> found = new ArrayList<>();

  private Observations(History history) {
    this.history = history;
    described = new RestatedReadings(history);
    breaks = history.breaks();
  }

  static List<Observation> of(History history) {
    Observations all = new Observations(history);
    history.orders().forEach(all::order);
    history.readings().forEach(all::bench);
    return List.copyOf(all.found);
  }

  private void bench(BenchReading reading) {
    if (history.setup().surface(reading.surface()).isPresent()) {
      CalibrationModel then = new CalibrationModel(history.setups().apply(reading.revision()));
      Observation seen = then.observation(reading);
      boolean gone =
          described.voided(
              seen,
              each ->
                  each.parting().fromRevision() > reading.revision()
                      || each.parting().fromDay() != null
                          && each.parting().fromDay().isAfter(reading.day()));
      if (!gone) {
        add(seen, reading.revision());
      }
    }
  }

  private void order(History.Order order) {
    Setup setup = history.setups().apply(order.on());
    Reckoned reckoned = AdjustmentPlanner.reckon(setup, order.flown().withMade(order.marks()));
    for (PlannedRod rod : reckoned.rods().stream().filter(one -> !one.slave()).toList()) {
      gauge(order, rod, reckoned.madeMm().get(rod.surface()));
    }
    throwsSeen(order, reckoned.after());
    for (Control control : order.flown().controls()) {
      flight(order, setup, control, reckoned.leftClicks()[control.ordinal()]);
    }
  }

  /** The gauge between trim in and zeroed, and the turns it took to reach the mark. */
  private void gauge(History.Order order, PlannedRod rod, double madeMm) {
    Optional<Double> read =
        order.gauges().stream()
            .filter(one -> one.surface().equals(rod.surface()))
            .map(History.GaugeSeen::mm)
            .findFirst();
    Map<String, Double> weight = Map.of(rod.surface(), 1.0);
    read.ifPresent(
        mm ->
            add(
                new Observation(Seen.GAUGE, weight, rod.trimMm(), mm, CalibrationModel.GAUGE_MM),
                order.on()));
    Optional<MarkSeen> mark =
        order.marks().stream().filter(one -> one.surface().equals(rod.surface())).findFirst();
    if (mark.isPresent() && !seatedOver(order, rod.surface())) {
      // Without a gauge the way to the mark is known by clicks only: then click step and arm are in
      // it as they are in a flight.
      double way = read.orElse(rod.trimMm()) + mark.get().offMm();
      Seen kind = read.isPresent() ? Seen.TURNS : Seen.FLIGHT;
      double sd =
          read.isPresent() ? CalibrationModel.GAUGE_MM : Math.sqrt(2) * CalibrationModel.GAUGE_MM;
      add(new Observation(kind, weight, madeMm, way, sd), order);
    }
  }

  private static boolean seatedOver(History.Order order, String surface) {
    return order.flown().means().stream()
        .anyMatch(one -> one.surface().equals(surface) && one.teeth() != 0);
  }

  private void throwsSeen(History.Order order, Setup after) {
    for (BenchVerification.Expected one : BenchVerification.of(after, order.verified())) {
      if (one.measured() != null && one.measured().rightWay() && one.measured().measured()) {
        Map<String, Double> weight = Map.of(one.surface(), 1.0);
        add(
            new Observation(
                Seen.THROW,
                weight,
                one.plusMm(),
                one.measured().plusMm(),
                CalibrationModel.THROW_MM),
            order);
        add(
            new Observation(
                Seen.THROW,
                weight,
                one.minusMm(),
                one.measured().minusMm(),
                CalibrationModel.THROW_MM),
            order);
      }
    }
  }

  /** By how many clicks the rods changed a trim that had settled before and has settled since. */
  private void flight(History.Order order, Setup setup, Control control, double left) {
    FlownTrims flown = order.flown();
    String phase = flown.reference();
    if (history.setup().phase(phase).isEmpty()) {
      return;
    }
    int before =
        flown.phases().stream()
            .filter(one -> one.phase().equals(phase))
            .map(PhaseReading::trims)
            .findFirst()
            .orElse(Trims.ZERO)
            .of(control);
    double predicted = before - left;
    if (Math.abs(predicted) < TELLING_CLICKS || !settledBefore(order, setup, control, before)) {
      return;
    }
    settledAfter(order, phase, control)
        .ifPresent(
            after ->
                add(
                    new Observation(
                        Seen.FLIGHT,
                        new CalibrationModel(setup).weights(control),
                        predicted,
                        before - after,
                        FLIGHT_CLICKS),
                    order.on()));
  }

  private boolean settledBefore(History.Order order, Setup setup, Control control, int value) {
    List<LoggedFlight> flights =
        history.flights().stream().filter(one -> one.revision() < order.result()).toList();
    List<SeriesBreak> parted =
        breaks.stream().filter(one -> one.fromRevision() < order.result()).toList();
    TrimSeries series = Settling.of(setup, flights, parted, order.flown().reference(), control);
    return series.agreeing() >= setup.house().settledFlights() && series.clicks() == value;
  }

  /** The first value it settles at, as long as nothing else parts it. */
  private Optional<Integer> settledAfter(History.Order order, String phase, Control control) {
    List<LoggedFlight> flights =
        history.flights().stream()
            .filter(one -> one.revision() >= order.result())
            .filter(
                one -> breaks.stream().noneMatch(each -> parts(each, order, one, phase, control)))
            .sorted(
                Comparator.comparing((LoggedFlight one) -> one.report().flownOn())
                    .thenComparing(LoggedFlight::flight))
            .toList();
    for (int some = 1; some <= flights.size(); some++) {
      TrimSeries series =
          Settling.of(history.setup(), flights.subList(0, some), List.of(), phase, control);
      if (series.agreeing() >= history.setup().house().settledFlights()
          && series.state() != TrimSeries.State.DRIFTING) {
        return Optional.of(series.clicks());
      }
    }
    return Optional.empty();
  }

  private static boolean parts(
      SeriesBreak each, History.Order order, LoggedFlight flight, String phase, Control control) {
    return each.voids(phase, control) && each.after(order.result()) && !each.before(flight);
  }

  private void add(Observation one, History.Order order) {
    if (!described.voided(one, each -> each.parting().fromRevision() >= order.result())) {
      add(one, order.on());
    }
  }

  private void add(Observation one, int revision) {
    described
        .now(one, revision)
        .filter(
            now ->
                now.kind() == Seen.FLIGHT
                    ? Math.abs(now.predicted()) > TELLING_MM
                    : Math.abs(now.predicted()) >= TELLING_MM)
        .filter(
            now -> {
              double ratio = now.measured() / now.predicted();
              return ratio >= LEAST && ratio <= MOST;
            })
        .ifPresent(found::add);
  }
}
