/**
 * Stand-ins that say they are: the live bench in time, the radio link, and the model in flight with
 * its scripted pilot. What flies here never counts as a flight.
 */
package hightally.core.simulator;
