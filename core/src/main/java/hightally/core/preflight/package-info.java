/**
 * The checks before a flight, step by step, and the one judgement that clears a model for flying.
 * Rules and search results come from {@code audit} and {@code hazard}.
 */
package hightally.core.preflight;
