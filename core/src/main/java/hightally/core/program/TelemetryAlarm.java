package hightally.core.program;

import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Within;

/**
 * An alarm on a measured value.
 *
 * @param value {@code link} in percent or {@code voltage} in volts
 * @param limit below this
 * @param delaySeconds for longer than this
 */
public record TelemetryAlarm(
    @Text String name,
    @Text(max = 20, pattern = "link|voltage") String value,
    @Within(min = 0, max = 200) double limit,
    @Within(min = 0, max = 30, unit = Unit.SECONDS) double delaySeconds) {}
