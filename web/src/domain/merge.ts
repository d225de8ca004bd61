type Json = unknown;
type Fields = Record<string, Json>;

const isFields = (value: Json): value is Fields =>
  typeof value === "object" && value !== null && !Array.isArray(value);

/** What tells an entry of a list apart from the others; undefined where nothing does. */
const keyOf = (value: Json): string | undefined => {
  if (!isFields(value)) {
    return undefined;
  }
  const key = value.id ?? value.number ?? value.surface ?? value.device;
  return typeof key === "string" || typeof key === "number" ? String(key) : undefined;
};

const same = (one: Json, other: Json): boolean =>
  one === other || JSON.stringify(one) === JSON.stringify(other);

/**
 * Two changes of one document taken together: what was worked out elsewhere from `from`, and what
 * was typed meanwhile. Where both changed the same value, what was typed stays.
 */
export function merged(from: Json, typed: Json, worked: Json): Json {
  if (typed === from || same(typed, from)) {
    return worked;
  }
  if (same(worked, from)) {
    return typed;
  }
  if (Array.isArray(from) && Array.isArray(typed) && Array.isArray(worked)) {
    return mergedLists(from, typed, worked);
  }
  if (isFields(from) && isFields(typed) && isFields(worked)) {
    const all: Fields = {};
    for (const key of new Set([...Object.keys(worked), ...Object.keys(typed)])) {
      all[key] = merged(from[key], typed[key], worked[key]);
    }
    return all;
  }
  return typed;
}

function mergedLists(from: Json[], typed: Json[], worked: Json[]): Json[] {
  const find = (list: Json[], key: string) => list.find((one) => keyOf(one) === key);
  const keyed = [...from, ...typed, ...worked].every((one) => keyOf(one) !== undefined);
  if (!keyed) {
    const alike = from.length === typed.length && from.length === worked.length;
    return alike ? from.map((one, i) => merged(one, typed[i], worked[i])) : typed;
  }
  const kept = worked
    .filter((one) => {
      const key = keyOf(one) ?? "";
      return find(typed, key) !== undefined || find(from, key) === undefined;
    })
    .map((one) => {
      const key = keyOf(one) ?? "";
      const mine = find(typed, key);
      return mine === undefined ? one : merged(find(from, key), mine, one);
    });
  const added = typed.filter((one) => {
    const key = keyOf(one) ?? "";
    return find(from, key) === undefined && find(worked, key) === undefined;
  });
  return [...kept, ...added];
}
