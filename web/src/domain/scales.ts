/** How a stored percent is shown and typed. */
export interface Scale {
  show: (stored: number) => number;
  store: (shown: number) => number;
  /** Which way, where a number alone does not say. */
  word: (stored: number) => string;
  /** Where it is nothing: the base line of a curve. */
  base: number;
}

const none = () => "";

/** As it is stored: a command, up or down. */
export const COMMAND: Scale = { show: (v) => v, store: (v) => v, word: none, base: 0 };

/** A throttle: stored from -100 to 100, known as 0 at the back to 100 at full. */
export const THROTTLE: Scale = {
  show: (v) => Math.round((v + 100) * 50) / 100,
  store: (v) => 2 * v - 100,
  word: none,
  base: -100,
};

/** The power of a controller that runs both ways: how much, and which way. */
export const BOTH_WAYS: Scale = {
  show: (v) => v,
  store: (v) => v,
  word: (v) => (v > 0 ? "forwards" : v < 0 ? "backwards" : "stop"),
  base: 0,
};

export const powerScale = (twoWay: boolean) => (twoWay ? BOTH_WAYS : THROTTLE);

/** Minutes and seconds as they are typed, `5:30`; a figure alone is seconds. Nothing for what is none. */
export function secondsOf(text: string): number | undefined {
  const [first = "", second, ...more] = text.trim().split(":");
  const whole = (part: string) => (/^\d+$/.test(part) ? Number(part) : NaN);
  const seconds = second === undefined ? whole(first) : 60 * whole(first) + whole(second);
  return more.length > 0 || Number.isNaN(seconds) ? undefined : seconds;
}
