package hightally.app.demo;

import hightally.app.adjustment.Adjustments;
import hightally.app.adjustment.Adjustments.Wish;
import hightally.app.adjustment.Consent;
import hightally.app.aircraft.Hangar;
import hightally.app.flightlog.FlightLog;
import hightally.app.history.AircraftHistories;
import hightally.core.flightlog.FlightReport;
import hightally.core.flightlog.PhaseReading;
import hightally.core.history.Calibration;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.simulator.HiddenFault;
import hightally.core.simulator.TrimmedFlight;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Component;

/**
 * The glider's season: its click step was typed by guess. The simulated model, which knows the real
 * one, says what every flight was trimmed to and what the gauge showed; the program finds the step.
 */
@Component
class DemoGlider {
  private static final double GUESSED_PERCENT = 0.6;
  private static final double CG_MM = 405;
  static final String PACK = "3S 1300, pack A";
  private static final LocalDate FIRST = LocalDate.of(2026, 8, 2);

  private final Hangar hangar;
  private final FlightLog flights;
  private final Adjustments adjustments;
  private final AircraftHistories stories;
  private final DemoAircraft aircraft;
  private TrimmedFlight model;
  private double real;

  DemoGlider(
      Hangar hangar,
      FlightLog flights,
      Adjustments adjustments,
      AircraftHistories stories,
      DemoAircraft aircraft) {
    this.hangar = hangar;
    this.flights = flights;
    this.adjustments = adjustments;
    this.stories = stories;
    this.aircraft = aircraft;
  }

  /** Ten flights, an order after three, the click step corrected after six. */
  long fly() {
    Setup built = aircraft.read("larkmere.json");
    real = built.transmitter().clickStepPercent();
    model =
        new TrimmedFlight(
            built,
            PACK,
            CG_MM,
            List.of(
                new HiddenFault(HiddenFault.Kind.WARP, "outer-wing-left", 2.0),
                new HiddenFault(HiddenFault.Kind.TAIL_INCIDENCE, "", -0.3)));
    long id = hangar.add(withClick(built, GUESSED_PERCENT), "Rig built from the drawing");
    flight(id, 1, "Thermal day, trimmed in every phase.");
    flight(id, 2, "Evening, hardly a breath of wind.");
    long third = flight(id, 3, "The same in every phase: it has settled.");
    Wish wish = new Wish("", false, List.of(Control.values()));
    DemoOrder.closed(adjustments, id, third, wish, reality(id));
    flight(id, 4, "After the rods: little is left.");
    flight(id, 5, "Long flight, no need to touch a trim.");
    flight(id, 6, "Calm. Settled again.");
    corrected(id);
    flight(id, 7, "Goal: circling. Nothing to trim.");
    flight(id, 8, "Speed phase a click lower.");
    flight(id, 9, "Light lift over the meadow.");
    flight(id, 10, "Hands off in all five phases.");
    return id;
  }

  private void corrected(long id) {
    Calibration.Named named = stories.standing(id).learned().named();
    if (named != null) {
      int newest = hangar.newestHeader(id).number();
      adjustments.correct(id, new Consent(newest, named.cause(), named.subject()));
    }
  }

  private static Setup withClick(Setup setup, double percent) {
    return setup.change().transmitter(setup.transmitter().withClickStep(percent)).done();
  }

  private Setup reality(long id) {
    return withClick(hangar.newest(id).setup(), real);
  }

  private long flight(long id, int number, String remarks) {
    List<PhaseReading> read = model.fly(reality(id), CG_MM, true, number);
    FlightReport report = DemoData.report(FIRST.plusDays(3L * number), PACK, CG_MM, remarks, read);
    return flights.add(id, hangar.newestHeader(id).number(), report).id();
  }
}
