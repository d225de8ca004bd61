/**
 * The demo models and their history, put in through the same doors as a pilot's own. It is only run
 * by {@code ./high-tally demo}.
 */
package hightally.app.demo;
