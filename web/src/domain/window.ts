/**
 * This window among others of the same browser: a name of its own that it keeps over a reload, and
 * a sign that it is there, so that what belongs to it is not taken for something left behind.
 */
const NAME = "high-tally.window";
const SIGN_MS = 5_000;

/** In the background a browser lets a window act once a minute. */
const GONE_MS = 150_000;

const signOf = (name: string) => `${NAME}.${name}`;

function reloaded(): boolean {
  const [how] = performance.getEntriesByType("navigation");
  return (how as PerformanceNavigationTiming | undefined)?.type === "reload";
}

function named(): string {
  try {
    const before = reloaded() ? sessionStorage.getItem(NAME) : null;
    const name = before ?? crypto.getRandomValues(new Uint32Array(2)).join("-");
    sessionStorage.setItem(NAME, name);
    return name;
  } catch {
    return "only";
  }
}

let name: string | undefined;

/** Its name. */
export const thisWindow = () => (name ??= begun(named()));

function sign(own: string): void {
  try {
    localStorage.setItem(signOf(own), String(Date.now()));
  } catch {
    // Where nothing can be kept there is nothing to be told apart either.
  }
}

function begun(own: string): string {
  sign(own);
  setInterval(() => sign(own), SIGN_MS);
  window.addEventListener("pagehide", () => {
    try {
      localStorage.removeItem(signOf(own));
    } catch {
      // It was never there.
    }
  });
  return own;
}

/** Whether a window of that name has shown itself lately. */
export function isThere(other: string): boolean {
  try {
    const seen = Number(localStorage.getItem(signOf(other)) ?? 0);
    return new Date(seen).setMilliseconds(GONE_MS) > Date.now();
  } catch {
    return false;
  }
}

/** For tests: this page stands for another window from now on. */
export function becomeWindow(other: string | undefined): void {
  name = other === undefined ? undefined : begun(other);
}
