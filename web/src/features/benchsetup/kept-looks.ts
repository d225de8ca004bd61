import { useState } from "react";
import type { LookAnswer } from "@/api/rig";
import type { Setup } from "@/api/queries";
import { forget, keep, kept, shaped } from "@/domain/storage";

interface Looks {
  /** The setup the looks were at: once it is another, they say nothing. */
  of: string;
  answers: LookAnswer[];
}

const isLooks = (value: unknown): value is Looks =>
  shaped(value, { of: "string", answers: "object" }) &&
  Array.isArray((value as Looks).answers) &&
  (value as Looks).answers.every((one: unknown) => shaped(one, { look: "string", seen: "object" }));

/** The looks at a model, kept in this browser until they begin again. */
export function useKeptLooks(aircraftId: number, setup: Setup) {
  const key = `high-tally.ways.${aircraftId}`;
  const of = JSON.stringify(setup);
  const [looks, setLooks] = useState<Looks>(() => {
    const found = kept(key, isLooks);
    return found.state === "kept" ? found.value : { of, answers: [] };
  });
  const changed = looks.of !== of && looks.answers.length > 0;
  const put = (answers: LookAnswer[], at: Setup) => {
    const next = { of: JSON.stringify(at), answers };
    setLooks(next);
    if (answers.length === 0) {
      forget(key);
    } else {
      keep(key, next);
    }
  };
  return { answers: changed ? [] : looks.answers, changed, put };
}
