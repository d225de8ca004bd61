/**
 * What was flown: reports of flights, the trims of every phase, when they have settled, and what
 * explains measurements. What is done about settled trims is in {@code adjustment}.
 */
package hightally.core.flightlog;
