/**
 * Checks before a flight in the database and over HTTP. Their steps are made in the core's {@code
 * preflight}.
 */
package hightally.app.preflight;
