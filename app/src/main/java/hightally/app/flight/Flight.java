package hightally.app.flight;

import hightally.core.log.FlightReport;
import hightally.core.log.FlightSeen;
import java.time.Instant;

/** A stored flight: on which revision, what was noted, and when. */
public record Flight(
    long id,
    long aircraftId,
    int revisionNumber,
    int version,
    FlightReport report,
    FlightSeen seen,
    FlightMarks marks,
    Instant notedAt) {}
