/**
 * Flights in the database and over HTTP, brought in and taken out as CSV. Settling is computed in
 * the core's {@code flightlog}.
 */
package hightally.app.flightlog;
