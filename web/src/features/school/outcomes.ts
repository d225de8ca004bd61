import type { TestResult } from "@/api/fly";
import type { SchoolSheet } from "@/api/school";

/** An outcome as the card of its test calls it. */
export const outcomeWords = (
  sheet: SchoolSheet,
  of: TestResult,
  outcome: TestResult["seen"][number]["outcome"],
) =>
  sheet.tests
    .find((one) => one.test.test === of.test && one.test.part === of.part)
    ?.card.outcomes.find((one) => one.outcome === outcome)?.words ?? outcome;
