import { signal } from "./signal";
import type { Setup } from "./contract";
import { merged } from "./merge";
import { forget, keep, keepForGood, kept, keysOf, shaped, type Kept } from "./storage";
import { isThere, thisWindow } from "./window";

/** A setup being edited: what it was made from, and every step back and forward. */
export interface Draft {
  basedOn: number;
  present: Setup;
  past: Setup[];
  future: Setup[];
  /** What the pilot is in the middle of: a drag, a number being typed. All of it is one step. */
  gesture?: string | undefined;
  /** Whether there are changes although the steps back to them are not kept any more. */
  changed?: boolean | undefined;
}

export type DraftAction =
  | { type: "edit"; path: Path; value: unknown; gesture?: string | undefined }
  /** What was worked out from a setup; what was typed since then stays. */
  | { type: "replace"; from: Setup; setup: Setup }
  | { type: "settle" }
  | { type: "undo" }
  | { type: "redo" }
  | { type: "rebase"; basedOn: number }
  | { type: "restart"; basedOn: number; setup: Setup }
  /** What was sent to be saved is a revision; what was typed while it was on its way stays. */
  | { type: "saved"; sent: Setup; basedOn: number; setup: Setup };

/** Where a value stands in the document. */
export type Path = readonly (string | number)[];

const MOST_STEPS = 200;

/** The only way a draft changes. */
export function reduceDraft(draft: Draft, action: DraftAction): Draft {
  switch (action.type) {
    case "edit":
      return stepped(draft, replaced(draft.present, action.path, action.value), action.gesture);
    case "replace":
      return stepped(draft, merged(action.from, draft.present, action.setup));
    case "settle":
      return draft.gesture === undefined ? draft : { ...draft, gesture: undefined };
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
            future: [draft.present, ...draft.future].slice(0, MOST_STEPS),
            gesture: undefined,
          };
    }
    case "redo": {
      const [next, ...rest] = draft.future;
      return next === undefined
        ? draft
        : {
            ...draft,
            present: next,
            past: [...draft.past, draft.present],
            future: rest,
            gesture: undefined,
          };
    }
    case "restart":
      return { basedOn: action.basedOn, present: action.setup, past: [], future: [] };
    case "saved": {
      const { basedOn, setup } = action;
      const present = merged(action.sent, draft.present, setup) as Setup;
      return { basedOn, present, past: present === setup ? [] : [setup], future: [] };
    }
  }
}

/** One thing the pilot did; more of the same gesture belongs to the same step. */
function stepped(draft: Draft, document: unknown, gesture?: string): Draft {
  const present = document as Setup;
  const same = gesture !== undefined && gesture === draft.gesture && draft.past.length > 0;
  const past = same ? draft.past : [...draft.past, draft.present].slice(-MOST_STEPS);
  return { ...draft, present, past, future: [], gesture };
}

/** Whether there is something to save. */
export const isChanged = (draft: Draft) => draft.past.length > 0 || draft.changed === true;

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

/** Each window keeps its own: two of them never write over one another. */
const ownKey = (aircraftId: number) => `${storageKey(aircraftId)}@${thisWindow()}`;

/** So many steps back are kept over a reload, where there is room. */
const KEPT_STEPS = 20;

/** How much of a draft this browser has kept, and for how long. */
export type DraftKept = "all" | "without steps" | "in this tab" | "nothing";

/** How the last keeping went, for the page to say. */
export const draftStorage = signal<DraftKept>("all");
export const useDraftStorage = draftStorage.use;

/** Keeps a draft over a reload and lets the page know how much of it is kept. */
export function keepDraft(aircraftId: number, draft: Draft): DraftKept {
  const now = stored(aircraftId, draft);
  draftStorage.set(now);
  return now;
}

/**
 * Keeps a draft over a reload; one without changes is forgotten. Where the store is full the steps
 * back go first, never the edit itself.
 */
function stored(aircraftId: number, draft: Draft): DraftKept {
  const key = ownKey(aircraftId);
  if (!isChanged(draft)) {
    forget(key);
    return "all";
  }
  const { basedOn, present } = draft;
  const past = draft.past.slice(-KEPT_STEPS);
  const future = draft.future.slice(0, KEPT_STEPS);
  const whole = { basedOn, present, past, future, changed: true };
  if (keepForGood(key, whole)) {
    return "all";
  }
  if (keepForGood(key, { ...whole, past: [], future: [] })) {
    return "without steps";
  }
  const keeping = keep(key, whole);
  return keeping === "kept" ? "all" : keeping;
}

const isDraft = (value: unknown): value is Draft =>
  shaped(value, { basedOn: "number", present: "object", past: "array", future: "array" }) &&
  shaped((value as Draft).present, { formatVersion: "number", surfaces: "array" });

/**
 * The draft kept for an aircraft, if it can be read: this window's own, or one that a window has
 * left behind that is closed.
 */
export function keptDraft(aircraftId: number): Kept<Draft> {
  const own = kept(ownKey(aircraftId), isDraft);
  if (own.state !== "none") {
    return own;
  }
  const left = others(aircraftId).find((key) => !isThere(windowOf(key)));
  taken = left;
  return left === undefined ? own : kept(left, isDraft);
}

/** Where it lies what was taken up and is not kept by this window yet. */
let taken: string | undefined;

const windowOf = (key: string) => key.split("@")[1] ?? "";

const others = (aircraftId: number) =>
  [storageKey(aircraftId), ...keysOf(`${storageKey(aircraftId)}@`)].filter(
    (key) => key !== ownKey(aircraftId) && kept(key, isDraft).state !== "none",
  );

/** What another window left behind is this one's now that it is kept under its own name. */
export function adopted(): void {
  if (taken !== undefined) {
    forget(taken);
    taken = undefined;
  }
}
