package hightally.app.adjustment;

import hightally.core.flightlog.Diagnosis.Cause;
import hightally.core.quantity.Text;

/**
 * The pilot's consent to a correction of the description.
 *
 * @param basedOn the revision the pilot saw
 * @param cause what is corrected
 * @param subject of which part
 */
public record Consent(int basedOn, Cause cause, @Text(min = 0, max = 80) String subject) {}
