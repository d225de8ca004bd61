import type { Setup } from "@/api/queries";

/** A setup being edited: what it was made from, and every step back and forward. */
export interface Draft {
  basedOn: number;
  present: Setup;
  past: Setup[];
  future: Setup[];
}

export type DraftAction =
  | { type: "edit"; path: Path; value: unknown }
  | { type: "mend"; edits: { path: string[]; value: unknown }[] }
  | { type: "replace"; setup: Setup }
  | { type: "undo" }
  | { type: "redo" }
  | { type: "rebase"; basedOn: number }
  | { type: "restart"; basedOn: number; setup: Setup };

/** Where a value stands in the document. */
export type Path = readonly (string | number)[];

const MOST_STEPS = 200;

/** The only way a draft changes. */
export function reduceDraft(draft: Draft, action: DraftAction): Draft {
  switch (action.type) {
    case "edit": {
      const present = replaced(draft.present, action.path, action.value) as Setup;
      const past = [...draft.past, draft.present].slice(-MOST_STEPS);
      return { ...draft, present, past, future: [] };
    }
    case "mend": {
      const present = action.edits.reduce<unknown>(
        (document, { path, value }) => replaced(document, path.map(position), value),
        draft.present,
      ) as Setup;
      return { ...draft, present, past: [...draft.past, draft.present], future: [] };
    }
    case "replace":
      return {
        ...draft,
        present: action.setup,
        past: [...draft.past, draft.present].slice(-MOST_STEPS),
        future: [],
      };
    case "rebase":
      return { ...draft, basedOn: action.basedOn };
    case "undo": {
      const previous = draft.past.at(-1);
      return previous === undefined
        ? draft
        : {
            ...draft,
            present: previous,
            past: draft.past.slice(0, -1),
            future: [draft.present, ...draft.future],
          };
    }
    case "redo": {
      const [next, ...rest] = draft.future;
      return next === undefined
        ? draft
        : { ...draft, present: next, past: [...draft.past, draft.present], future: rest };
    }
    case "restart":
      return { basedOn: action.basedOn, present: action.setup, past: [], future: [] };
  }
}

/** List positions travel as text. */
const position = (step: string) => (/^\d+$/.test(step) ? Number(step) : step);

/** The same document with one value replaced; everything off the path is shared. */
export function replaced(document: unknown, path: Path, value: unknown): unknown {
  const [key, ...rest] = path;
  if (key === undefined) {
    return value;
  }
  if (Array.isArray(document)) {
    return document.map((item, i) => (i === key ? replaced(item, rest, value) : item));
  }
  const object = document as Record<string, unknown>;
  return { ...object, [key]: replaced(object[key as string], rest, value) };
}

/** The value at a path. */
export const valueAt = (document: unknown, path: Path): unknown =>
  path.reduce<unknown>((value, key) => (value as Record<string | number, unknown>)[key], document);

/** The path as the field catalogue writes it: `setup.surfaces[].chordMm`. */
export const cataloguePath = (path: Path): string =>
  path.reduce<string>(
    (text, key) => (typeof key === "number" ? `${text}[]` : `${text}.${key}`),
    "setup",
  );

const storageKey = (aircraftId: number) => `high-tally.draft.${aircraftId}`;

/** Keeps a draft over a reload; one without changes is forgotten. */
export function keepDraft(aircraftId: number, draft: Draft): void {
  if (draft.past.length === 0) {
    localStorage.removeItem(storageKey(aircraftId));
  } else {
    localStorage.setItem(storageKey(aircraftId), JSON.stringify(draft));
  }
}

/** The draft kept for an aircraft, if it can be read. */
export function keptDraft(aircraftId: number): Draft | undefined {
  try {
    const text = localStorage.getItem(storageKey(aircraftId));
    return text === null ? undefined : (JSON.parse(text) as Draft);
  } catch {
    return undefined;
  }
}
