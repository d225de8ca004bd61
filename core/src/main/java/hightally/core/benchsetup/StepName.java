package hightally.core.benchsetup;

/**
 * The stable name a step is kept under, taken apart.
 *
 * @param kind what is in front of the first stroke
 * @param about what stands behind it; empty for nothing
 */
record StepName(String kind, String about) {
  static StepName of(String step) {
    int stroke = step.indexOf('/');
    return stroke < 0
        ? new StepName(step, "")
        : new StepName(step.substring(0, stroke), step.substring(stroke + 1));
  }
}
