/**
 * The calculation API: single computations of the core without a stored model. Nothing here is
 * stored, and no sentence is decided here.
 */
package hightally.app.calculation;
