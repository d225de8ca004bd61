/**
 * Trims into linkages: how far each clevis is turned which way, what becomes of every phase, and
 * the order of work. When the trims may be moved is said in {@code flightlog}.
 */
package hightally.core.adjustment;
