/**
 * What this browser keeps for the page. A store that is full, broken or forbidden never costs the
 * page: whoever keeps something is told whether it is kept.
 */

/** Whether it is kept now. */
export function keep(key: string, value: unknown): boolean {
  try {
    localStorage.setItem(key, JSON.stringify(value));
    return true;
  } catch {
    return false;
  }
}

export type Kept<T> = { state: "none" } | { state: "broken" } | { state: "kept"; value: T };

/** What was kept, if it still is what it should be. */
export function kept<T>(key: string, is: (value: unknown) => value is T): Kept<T> {
  let text: string | null;
  try {
    text = localStorage.getItem(key);
  } catch {
    return { state: "none" };
  }
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

/** Forgets it. */
export function forget(key: string): void {
  try {
    localStorage.removeItem(key);
  } catch {
    // What cannot be reached keeps nothing either.
  }
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
