package hightally.core.setup;

import hightally.core.quantity.Text;

/** A finding or hazard the pilot has looked at and lives with. */
public record Acceptance(
    @Text(max = 40) String rule,
    @Text(min = 0, max = 90) String subject,
    @Text(min = 3, max = 300) String reason) {}
