package hightally.app.demo;

import hightally.app.adjustment.Adjustments;
import hightally.app.adjustment.Adjustments.Wish;
import hightally.app.adjustment.OpenAdjustment;
import hightally.app.aircraft.Hangar;
import hightally.app.flight.Flight;
import hightally.app.flight.FlightLog;
import hightally.app.platform.HighTallyProperties;
import hightally.core.log.FlightReport;
import hightally.core.log.FlightReport.Air;
import hightally.core.log.FlightReport.Wind;
import hightally.core.log.PhaseReading.Sure;
import hightally.core.phase.Trims;
import hightally.core.quantity.Control;
import hightally.core.response.Feel;
import hightally.core.response.Response;
import hightally.core.setup.Setup;
import java.time.LocalDate;
import java.util.List;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Fills an empty database with invented aircraft, when asked to: a biplane with its history, a
 * V-tail glider, a flying wing and a twin on their rigs. The history goes through the same use
 * cases as a pilot's, so its second revision is a real adjustment.
 */
@Component
class DemoData implements ApplicationRunner {
  private static final String FIELD = "Fernhollow meadow";
  private static final String PACK = "4S 3300, pack B";

  private final HighTallyProperties properties;
  private final Hangar hangar;
  private final FlightLog flights;
  private final Adjustments adjustments;
  private final DemoAircraft aircraft;

  DemoData(
      HighTallyProperties properties,
      Hangar hangar,
      FlightLog flights,
      Adjustments adjustments,
      DemoAircraft aircraft) {
    this.properties = properties;
    this.hangar = hangar;
    this.flights = flights;
    this.adjustments = adjustments;
    this.aircraft = aircraft;
  }

  @Override
  @Transactional
  public void run(ApplicationArguments arguments) {
    if (properties.demo() && hangar.isEmpty()) {
      biplane();
      hangar.add(aircraft.read("larkmere.json"), "Rig planned from the drawing, not flown yet");
      hangar.add(aircraft.read("skerrow.json"), "As bought, measured on the table");
      hangar.add(aircraft.read("brindle.json"), "Rig and program planned from the drawing");
    }
  }

  private void biplane() {
    long id = hangar.add(aircraft.read("quillon.json"), "First rig, throws from the plan");
    flight(id, 1, 5, new Trims(3, 9, 0), 118, "Maiden. Climbs at half power, rolls left a little.");
    Flight second = flight(id, 1, 5, new Trims(7, 12, -5), 118, "Hands off at half power.");
    adjust(id, second);
    flight(id, 2, 12, new Trims(1, -1, 0), 118, "Confirms the adjustment. Pitch too lively.");
    Setup softer = softer(hangar.newest(id).setup());
    hangar.revise(id, 2, softer, "More expo on pitch, a little on yaw; battery 5 mm forward");
    flight(id, 3, 19, new Trims(-8, 13, 5), 113, "Wants up elevator after the battery moved.");
    flight(id, 3, 26, new Trims(-9, 14, 6), 113, "Same again, calm evening, trims settled.");
  }

  private static Setup softer(Setup setup) {
    Feel feel = setup.feel();
    Feel changed = new Feel(feel.roll(), Response.even(75, 45), Response.even(90, 35));
    return setup.change().feel(changed).done();
  }

  private void adjust(long id, Flight flight) {
    OpenAdjustment open =
        adjustments.begin(id, flight.id(), new Wish("", false, List.of(Control.values())));
    int last = open.plan().steps().size() - 1;
    OpenAdjustment done = adjustments.moveTo(id, last, open.version());
    adjustments.close(id, done.version());
  }

  private Flight flight(long id, int revision, int day, Trims trims, double cg, String remarks) {
    LocalDate date = LocalDate.of(2026, 9, day);
    Wind wind = day == 26 ? Wind.CALM : Wind.LIGHT;
    FlightReport report =
        new FlightReport(
            date,
            wind,
            Air.SMOOTH,
            FIELD,
            PACK,
            cg,
            remarks,
            "",
            trims,
            50,
            Sure.SURE,
            false,
            List.of());
    return flights.add(id, revision, report);
  }
}
