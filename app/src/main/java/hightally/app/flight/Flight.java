package hightally.app.flight;

import hightally.core.log.FlightReport;

/** A stored flight: on which revision, and what was noted. */
public record Flight(
    long id, long aircraftId, int revisionNumber, int version, FlightReport report) {}
