import { ApiError } from "@/api/client";

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
          <p className="font-semibold">Not accepted, nothing was changed:</p>
          <ul className="list-disc pl-5">
            {violations.map((one) => (
              <li key={one.field + one.requirement}>
                <strong>{one.field}</strong> is {one.value}; it must be {one.requirement}.
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

/** In place of a proposal that was worked out from what the setup no longer is. */
export function Outdated() {
  return (
    <p role="status" className="mt-2 text-soft">
      The setup has changed since this was calculated: ask again.
    </p>
  );
}

/** Shown while an answer is on its way. */
export function Waiting({ what }: { what: string }) {
  return <p className="p-6 text-soft">Loading {what} …</p>;
}
