package hightally.core.flightlog;

import hightally.core.quantity.Control;
import hightally.core.quantity.Text;

/**
 * A pilot's word that a trim has settled, whatever the flights say; it holds until a later flight
 * that counts is trimmed otherwise.
 *
 * @param flight the newest flight when he said so
 * @param because his reason
 */
public record MarkedSettled(
    @Text(max = 40) String phase,
    Control control,
    long flight,
    @Text(min = 3, max = 300) String because) {}
