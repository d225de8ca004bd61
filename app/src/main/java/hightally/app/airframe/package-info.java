/**
 * Kinds of models to begin with, throws and holes over HTTP. The parts themselves are the core's
 * {@code airframe}.
 */
package hightally.app.airframe;
