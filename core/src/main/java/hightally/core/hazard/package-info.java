/**
 * The search through all switch positions and changes between them for what a pilot would only find
 * in the air. It proves by bounds and says where it could not; rules that need no search are in
 * {@code audit}.
 */
package hightally.core.hazard;
