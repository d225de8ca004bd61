/**
 * Models and their revisions, drafts, copies and comparisons, in the database and over HTTP. Where
 * a model stands is in {@code standing}.
 */
package hightally.app.aircraft;
