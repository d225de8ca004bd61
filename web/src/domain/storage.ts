/**
 * What this browser keeps for the page. A store that is full, broken or forbidden never costs the
 * page: whoever keeps something is told whether it is kept.
 */

/**
 * How something is kept: for good, or only as long as this tab is open, since the browser's own
 * store is full; or not at all.
 */
export type Keeping = "kept" | "in this tab" | "nothing";

const stores = {
  forGood: () => localStorage,
  thisTab: () => sessionStorage,
} as const;

type Store = keyof typeof stores;

function written(store: Store, key: string, text: string): boolean {
  try {
    stores[store]().setItem(key, text);
    return true;
  } catch {
    return false;
  }
}

function read(store: Store, key: string): string | null {
  try {
    return stores[store]().getItem(key);
  } catch {
    return null;
  }
}

function removed(store: Store, key: string): void {
  try {
    stores[store]().removeItem(key);
  } catch {
    // What cannot be reached keeps nothing either.
  }
}

/** Whether it is kept for good now; where not, nothing older is left in its place. */
export function keepForGood(key: string, value: unknown): boolean {
  if (!written("forGood", key, JSON.stringify(value))) {
    removed("forGood", key);
    return false;
  }
  removed("thisTab", key);
  return true;
}

/** Keeps it for good or, where there is no room, over a reload of this tab. */
export function keep(key: string, value: unknown): Keeping {
  if (keepForGood(key, value)) {
    return "kept";
  }
  return written("thisTab", key, JSON.stringify(value)) ? "in this tab" : "nothing";
}

export type Kept<T> = { state: "none" } | { state: "broken" } | { state: "kept"; value: T };

/** What was kept, if it still is what it should be. */
export function kept<T>(key: string, is: (value: unknown) => value is T): Kept<T> {
  const text = read("thisTab", key) ?? read("forGood", key);
  if (text === null) {
    return { state: "none" };
  }
  try {
    const value: unknown = JSON.parse(text);
    return is(value) ? { state: "kept", value } : { state: "broken" };
  } catch {
    return { state: "broken" };
  }
}

/** Keys that begin so, of what is kept for good or in this tab. */
export function keysOf(beginning: string): string[] {
  const found = new Set<string>();
  for (const store of ["forGood", "thisTab"] as const) {
    try {
      Object.keys(stores[store]())
        .filter((key) => key.startsWith(beginning))
        .forEach((key) => found.add(key));
    } catch {
      // What cannot be reached keeps nothing.
    }
  }
  return [...found];
}

/** Forgets it. */
export function forget(key: string): void {
  removed("forGood", key);
  removed("thisTab", key);
}

/** Whether a value is an object with these fields, each of its type. */
export function shaped(value: unknown, fields: Record<string, string>): boolean {
  if (typeof value !== "object" || value === null) {
    return false;
  }
  const object = value as Record<string, unknown>;
  return Object.entries(fields).every(([name, type]) =>
    type === "array" ? Array.isArray(object[name]) : typeof object[name] === type,
  );
}
