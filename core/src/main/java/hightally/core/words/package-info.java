/**
 * The catalogue of messages and how data becomes sentences, with the reader's numbers and units. It
 * is the only package that makes words, and nothing else in the core depends on it.
 */
package hightally.core.words;
