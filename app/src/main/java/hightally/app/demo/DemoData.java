package hightally.app.demo;

import hightally.app.adjustment.Adjustments;
import hightally.app.adjustment.Adjustments.Wish;
import hightally.app.aircraft.Hangar;
import hightally.app.benchsetup.NotedPartChange;
import hightally.app.benchsetup.PartChanges;
import hightally.app.flightlog.FlightLog;
import hightally.core.airframe.PartChange;
import hightally.core.airframe.PartChange.PartKind;
import hightally.core.flightlog.FlightReport;
import hightally.core.flightlog.FlightReport.Wind;
import hightally.core.flightlog.PhaseReading;
import hightally.core.program.Feel;
import hightally.core.program.Response;
import hightally.core.program.Trims;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Fills an empty database with invented aircraft, when asked to: a biplane whose trims have settled
 * and wait, a V-tail glider with a season behind it, a flying wing between two rounds, and a twin
 * that has not flown. All history goes through the same use cases as a pilot's.
 */
@Component
class DemoData {
  private static final String FIELD = "Fernhollow meadow";

  private final Hangar hangar;
  private final FlightLog flights;
  private final Adjustments adjustments;
  private final PartChanges parts;
  private final DemoAircraft aircraft;
  private final DemoGlider glider;
  private final DemoChecks checks;

  DemoData(
      Hangar hangar,
      FlightLog flights,
      Adjustments adjustments,
      PartChanges parts,
      DemoAircraft aircraft,
      DemoGlider glider,
      DemoChecks checks) {
    this.hangar = hangar;
    this.flights = flights;
    this.adjustments = adjustments;
    this.parts = parts;
    this.aircraft = aircraft;
    this.glider = glider;
    this.checks = checks;
  }

  /** Fills the hangar if there is nothing in it. */
  @Transactional
  public void fill() {
    if (hangar.isEmpty()) {
      checks.done(biplane(), "4S 3300, pack B");
      checks.done(glider.fly(), DemoGlider.PACK);
      checks.done(wing(), "4-cell receiver pack");
      hangar.add(aircraft.read("brindle.json"), "Rig and program planned from the drawing");
    }
  }

  /**
   * Trimmed and adjusted once; then a repair, more expo and another place for the battery, and
   * three flights that agree.
   */
  private long biplane() {
    long id = hangar.add(aircraft.read("quillon.json"), "First rig, throws from the plan");
    flight(id, 1, 4, new Trims(3, 9, 0), 118, "Maiden. Climbs at half power, rolls left a little.");
    flight(id, 1, 5, new Trims(7, 12, -5), 118, "Hands off at half power.");
    flight(id, 1, 6, new Trims(7, 12, -5), 118, "The same again.");
    adjust(id, flight(id, 1, 8, new Trims(7, 11, -5), 118, "Calm morning, all trims settled."));
    flight(id, 2, 12, new Trims(0, -1, 0), 118, "Confirms the adjustment. Pitch too lively.");
    repaired(id);
    Setup softer = softer(hangar.newest(id).setup());
    hangar.revise(id, 2, softer, "More expo on pitch, a little on yaw; battery 5 mm forward");
    flight(id, 3, 19, new Trims(-8, 13, 5), 113, "After the repair: rolls right, nose down.");
    flight(id, 3, 22, new Trims(-9, 14, 6), 113, "Hands off at half power.");
    flight(id, 3, 26, new Trims(-9, 14, 6), 113, "Same again, calm evening, trims settled.");
    return id;
  }

  private void repaired(long id) {
    PartChange repair =
        new PartChange(
            PartKind.REPAIR,
            "Left wings",
            "Nosed over in long grass; struts and both panels mended");
    NotedPartChange noted = parts.note(id, repair, LocalDate.of(2026, 9, 15), null);
    for (int check = 0; check < noted.checks().size(); check++) {
      parts.mark(id, noted.id(), check, true);
    }
  }

  private static Setup softer(Setup setup) {
    Feel feel = setup.feel();
    Feel changed = new Feel(feel.roll(), Response.even(75, 45), Response.even(90, 35));
    return setup.change().feel(changed).done();
  }

  /** One round done, and the second one waiting for its third flight. */
  private long wing() {
    long id = hangar.add(aircraft.read("skerrow.json"), "As bought, measured on the table");
    slope(id, 1, 2, new Trims(-9, 15, 0), "First throws off the ridge, much up elevator.");
    slope(id, 1, 3, new Trims(-9, 16, 0), "Steady breeze, flies itself.");
    adjust(id, slope(id, 1, 9, new Trims(-8, 15, 0), "The same again."));
    Trims left = hangar.newest(id).setup().trims();
    slope(id, 2, 10, left, "Goes straight with what the rods left.");
    slope(id, 2, 17, left.with(Control.PITCH, left.pitch() + 1), "A click more up.");
    return id;
  }

  private long slope(long id, int revision, int day, Trims trims, String remarks) {
    return noted(id, revision, day, trims, 224, "4-cell receiver pack", 0, remarks);
  }

  private long flight(long id, int revision, int day, Trims trims, double cg, String remarks) {
    return noted(id, revision, day, trims, cg, "4S 3300, pack B", 50, remarks);
  }

  private long noted(
      long id,
      int revision,
      int day,
      Trims trims,
      double cg,
      String pack,
      double throttle,
      String remarks) {
    Wind wind = day == 26 ? Wind.CALM : Wind.LIGHT;
    FlightReport report =
        FlightReport.on(LocalDate.of(2026, 9, day))
            .change()
            .wind(wind)
            .field(FIELD)
            .battery(pack)
            .cgMm(cg)
            .remarks(remarks)
            .trims(trims)
            .throttlePercent(throttle)
            .done();
    return flights.add(id, revision, report).id();
  }

  private void adjust(long id, long flight) {
    Wish wish = new Wish("", false, List.of(Control.values()));
    DemoOrder.closed(adjustments, id, flight, wish, hangar.newest(id).setup());
  }

  /** What a flight in every phase was trimmed to. */
  static FlightReport report(
      LocalDate day, String pack, double cg, String remarks, List<PhaseReading> readings) {
    List<PhaseReading> others = new ArrayList<>(readings);
    PhaseReading base = others.remove(0);
    return FlightReport.on(day)
        .change()
        .field(FIELD)
        .battery(pack)
        .cgMm(cg)
        .remarks(remarks)
        .trims(base.trims())
        .throttlePercent(base.throttlePercent())
        .phases(others)
        .done();
  }
}
