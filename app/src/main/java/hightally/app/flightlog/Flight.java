package hightally.app.flightlog;

import hightally.core.flightlog.FlightObservations;
import hightally.core.flightlog.FlightReport;
import java.time.Instant;

/** A stored flight: on which revision, what was noted, and when. */
public record Flight(
    long id,
    long aircraftId,
    int revisionNumber,
    int version,
    FlightReport report,
    FlightObservations seen,
    FlightMarks marks,
    Instant notedAt) {}
