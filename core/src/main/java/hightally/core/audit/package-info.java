/**
 * The rules every setup is held against, with findings and the edit that mends them. What takes a
 * search through switch positions is in {@code hazard}.
 */
package hightally.core.audit;
