package hightally.core.adjustment;

import hightally.core.quantity.Absentable;

/**
 * What a changed rod does to a surface's full travel, and the endpoints that restore it.
 *
 * @param plusBefore travel at +100 % command before, mm from neutral
 * @param plusAfter the same with the new rod
 * @param minusBefore travel at -100 %, mm
 * @param minusAfter the same with the new rod
 * @param channel number of its channel
 * @param endpointLow that would restore the old travels, percent; null where nothing the
 *     transmitter or the servo can do does
 * @param endpointHigh likewise
 */
public record ThrowChange(
    String surface,
    String name,
    double plusBefore,
    double plusAfter,
    double minusBefore,
    double minusAfter,
    int channel,
    @Absentable Double endpointLow,
    @Absentable Double endpointHigh) {}
