import { ApiError, type Violation } from "@/api/client";
import { Say, say } from "@/words/generated/ui";

/** A failed call: what happened, field by field, and what to do. */
export function Failure({ error }: { error: unknown }) {
  if (!(error instanceof Error)) {
    return null;
  }
  const violations = error instanceof ApiError ? error.violations : [];
  return (
    <div role="alert" className="border-l-4 border-grounded bg-inset px-4 py-3">
      {violations.length === 0 ? (
        <p>{error.message}</p>
      ) : (
        <>
          <p className="font-semibold">{say("message.notAccepted")}</p>
          <Violations of={violations} />
        </>
      )}
    </div>
  );
}

/** What is wrong with what was given, field by field. */
export function Violations({ of }: { of: readonly Violation[] }) {
  return (
    <ul className="list-disc pl-5">
      {of.map((one) => (
        <li key={one.field + one.requirement} className="break-words">
          <Say
            id="message.refused"
            values={{
              b: <strong>{one.field}</strong>,
              value: one.value,
              requirement: one.requirement,
            }}
          />
        </li>
      ))}
    </ul>
  );
}

/** A question to the program and what came of it. */
export interface Question {
  isError: boolean;
  error: unknown;
  data?: unknown;
}

/** The first of some questions that failed and has no earlier answer. */
export const failed = (of: readonly Question[]) =>
  of.find((one) => one.isError && one.data === undefined);

/** What is missing on a page because a question failed. */
export function Failed({ of }: { of: readonly Question[] }) {
  const one = failed(of);
  return one && <Failure error={one.error} />;
}

/** In place of a proposal that was worked out from what the setup no longer is. */
export function Outdated() {
  return (
    <p role="status" className="mt-2 text-soft">
      {say("message.outdated")}
    </p>
  );
}

/** Shown while an answer is on its way. */
export function Waiting({ what }: { what: string }) {
  return <p className="p-6 text-soft">{say("message.loading", { what })}</p>;
}
