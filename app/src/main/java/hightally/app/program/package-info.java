/**
 * Entry sheet ticks, typed changes, hazard searches and the program's sheets over HTTP. What the
 * program does is in the core's {@code signal} and {@code sheet}.
 */
package hightally.app.program;
