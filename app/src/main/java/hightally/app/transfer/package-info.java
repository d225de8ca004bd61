/**
 * Setup documents read and written: JSON and YAML, their schema, and upgrades from older formats.
 * Whole archives are in {@code archive}.
 */
package hightally.app.transfer;
