/**
 * Practice on the simulated model: hidden faults, flights, reports, kept apart from every log. The
 * flying model is the core's {@code simulator}.
 */
package hightally.app.school;
