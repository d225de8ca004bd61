import { useEffect, useState } from "react";
import { useForm, type Resolver } from "react-hook-form";
import type { Flight, FlightReport } from "@/api/queries";
import { forget, keep, kept, shaped } from "@/domain/storage";
import { isSeen, NOTHING_SEEN, type Seen } from "./SeenCards";

/** Whether what was kept is a report such as this form fills in. */
const isReport = (value: unknown): value is FlightReport =>
  shaped(value, { flownOn: "string", trims: "object", phases: "array" }) &&
  shaped((value as FlightReport).trims, { roll: "number", pitch: "number", yaw: "number" }) &&
  (value as FlightReport).phases.every(
    (one: unknown) =>
      shaped(one, { phase: "string", trims: "object" }) &&
      shaped((one as FlightReport["phases"][number]).trims, { roll: "number" }),
  );

/** The form of a flight, kept in this browser as it is filled in, until it is saved. */
export function useKeptEntry(
  key: string,
  corrected: Flight | undefined,
  blank: FlightReport,
  resolver: Resolver<FlightReport>,
) {
  const seenKey = `${key}.seen`;
  const [found] = useState(() => kept(key, isReport));
  const [noted, setNoted] = useState<Seen>(() => {
    const before = kept(seenKey, isSeen);
    return before.state === "kept" ? before.value : (corrected?.seen ?? NOTHING_SEEN);
  });
  const form = useForm<FlightReport>({
    resolver,
    defaultValues:
      found.state === "kept" ? { ...blank, ...found.value } : (corrected?.report ?? blank),
  });
  const { subscribe } = form;
  const [stored, setStored] = useState(true);
  useEffect(
    () =>
      subscribe({
        formState: { values: true },
        callback: ({ values }) => setStored(keep(key, values) === "kept"),
      }),
    [subscribe, key],
  );
  return {
    form,
    noted,
    see: (changed: Seen) => {
      setNoted(changed);
      setStored(keep(seenKey, changed) === "kept");
    },
    /** Whether this browser keeps what is filled in. */
    stored,
    /** Whether what was kept before could not be read. */
    broken: found.state === "broken",
    forget: () => {
      forget(key);
      forget(seenKey);
    },
    /** What is kept, to go with the flight until it has arrived. */
    forms: (filled: FlightReport, seen: Seen) => [
      { name: key, value: filled },
      { name: seenKey, value: seen },
    ],
  };
}
