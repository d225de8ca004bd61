package hightally.core.airframe;

import hightally.core.quantity.Text;

/** A flat piece of wing or tail between two stations; drawn, and carrying surfaces. */
public record Panel(
    @Text(label = "Panel id", max = 40, pattern = Surface.ID_PATTERN) String id,
    @Text(label = "Panel name") String name,
    Station root,
    Station tip) {}
