/**
 * The core's data told in the reader's language, numbers and units as answers are written. The
 * catalogue itself is in the core's {@code words}.
 */
package hightally.app.words;
