/**
 * All that has become of a model, gathered from the database for the core's {@code history}, and
 * the pilot's own statements of it. It is the one place that other areas ask.
 */
package hightally.app.history;
