package hightally.core.setup;

import hightally.core.quantity.Text;

/** A finding the pilot has looked at and lives with. */
public record Acceptance(
    @Text(label = "Rule", max = 40) String rule,
    @Text(label = "Subject", max = 40) String subject,
    @Text(label = "Reason", min = 3, max = 300) String reason) {}
