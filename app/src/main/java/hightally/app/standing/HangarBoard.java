package hightally.app.standing;

import hightally.app.aircraft.Hangar;
import hightally.app.aircraft.Place;
import hightally.app.aircraft.Revision;
import hightally.app.flightlog.FlightLog;
import hightally.app.history.AircraftHistories;
import hightally.core.preflight.Clearance;
import hightally.core.setup.Setup;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Where every model stands, read in one view of the data. */
@Service
class HangarBoard {
  private final Hangar hangar;
  private final FlightLog flights;
  private final AircraftHistories stories;
  private final Clearances groundings;

  HangarBoard(Hangar hangar, FlightLog flights, AircraftHistories stories, Clearances groundings) {
    this.hangar = hangar;
    this.flights = flights;
    this.stories = stories;
    this.groundings = groundings;
  }

  /**
   * An aircraft with its newest revision and its place on the loop.
   *
   * @param trimsHoldSince number of the first revision whose trims still mean the same
   * @param place where it is
   * @param grounding what keeps it on the ground
   */
  record Standing(
      long id,
      Place place,
      Revision newest,
      int trimsHoldSince,
      long flightCount,
      StandingSummary loop,
      Clearance grounding) {}

  /** Its place in the hangar. */
  @Transactional(readOnly = true)
  public HangarEntry entry(long id) {
    Revision newest = hangar.newest(id);
    Setup setup = newest.setup();
    return new HangarEntry(
        id,
        setup.name(),
        setup.transmitter().name(),
        setup.airframe(),
        setup.surfaces(),
        newest.number(),
        newest.reason(),
        flights.count(id, 0),
        StandingSummary.of(stories.standing(id)),
        groundings.of(id, newest));
  }

  /** One of them. */
  @Transactional(readOnly = true)
  public Standing one(long id) {
    Revision newest = hangar.newest(id);
    return new Standing(
        id,
        hangar.place(id),
        newest,
        newest.trimsHoldSince(),
        flights.count(id, 0),
        StandingSummary.of(stories.standing(id)),
        groundings.of(id, newest));
  }
}
