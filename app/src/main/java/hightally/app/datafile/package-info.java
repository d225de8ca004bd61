/**
 * The data file and what is kept beside it: a sum for each of its blocks, by which damage and an
 * older file in its place are seen before anything is written, copies, and the way back.
 */
package hightally.app.datafile;
