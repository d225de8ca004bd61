package hightally.core.airframe;

import hightally.core.quantity.Text;
import hightally.core.quantity.Within;

/**
 * A flight pack and where the model balances with it.
 *
 * @param cgMm measured, ready to fly, mm aft of the datum
 * @param stationMm where the pack lies, mm aft of the datum
 */
public record Pack(
    @Text(label = "Pack") String name,
    @Within(min = 1, max = 20_000, unit = "g", label = "Mass of the pack") double massGrams,
    @Within(min = -2000, max = 5000, unit = "mm", label = "Balances at", hint = "aft of the datum")
        double cgMm,
    @Within(min = -2000, max = 5000, unit = "mm", label = "Lies at", hint = "aft of the datum")
        double stationMm) {}
