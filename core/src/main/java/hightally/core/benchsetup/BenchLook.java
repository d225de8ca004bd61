package hightally.core.benchsetup;

import hightally.core.setup.Setup;
import java.time.Instant;

/**
 * An answer of a bench set-up, as it was given.
 *
 * @param then the setup that was on the bench
 */
public record BenchLook(StepAnswer answer, Setup then, Instant at) {}
