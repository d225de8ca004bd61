import { afterEach, describe, expect, it, vi } from "vitest";
import type { Setup } from "./contract";
import { draftStorage, keepDraft, keptDraft, reduceDraft, type Draft } from "./draft";
import { forget, keep, kept, shaped } from "./storage";

const isText = (value: unknown): value is string => typeof value === "string";
const setup = { formatVersion: 4, name: "A", surfaces: [{ chordMm: 50 }] } as unknown as Setup;
const fresh: Draft = { basedOn: 3, present: setup, past: [], future: [] };
const edited = (value: number, from: Draft = fresh, gesture?: string) =>
  reduceDraft(from, { type: "edit", path: ["surfaces", 0, "chordMm"], value, gesture });

/** A store with room for so many characters, or none at all. */
function room(store: Storage, characters: number) {
  const set = Storage.prototype.setItem;
  vi.spyOn(Storage.prototype, "setItem").mockImplementation(function (
    this: Storage,
    key: string,
    text: string,
  ) {
    if (this === store && text.length > characters) {
      throw new DOMException("full", "QuotaExceededError");
    }
    set.call(this, key, text);
  });
}

function forbidden() {
  for (const method of ["setItem", "getItem", "removeItem"] as const) {
    vi.spyOn(Storage.prototype, method).mockImplementation(() => {
      throw new DOMException("no", "SecurityError");
    });
  }
}

afterEach(() => vi.restoreAllMocks());

describe("what the browser keeps", () => {
  it("is there again, and gone once it is forgotten", () => {
    expect(keep("a", "text")).toBe("kept");
    expect(kept("a", isText)).toEqual({ state: "kept", value: "text" });
    forget("a");
    expect(kept("a", isText)).toEqual({ state: "none" });
  });

  it("is said to be broken where it is not what it should be", () => {
    localStorage.setItem("a", "{half");
    expect(kept("a", isText)).toEqual({ state: "broken" });
    localStorage.setItem("a", "5");
    expect(kept("a", isText)).toEqual({ state: "broken" });
  });

  it("falls back to this tab when the store is full, and the newest counts", () => {
    keep("a", "old");
    room(localStorage, 0);
    expect(keep("a", "new")).toBe("in this tab");
    expect(kept("a", isText)).toEqual({ state: "kept", value: "new" });
    vi.restoreAllMocks();
    expect(keep("a", "newer")).toBe("kept");
    expect(sessionStorage.getItem("a")).toBeNull();
  });

  it("never throws where the store is forbidden", () => {
    forbidden();
    expect(keep("a", "text")).toBe("nothing");
    expect(kept("a", isText)).toEqual({ state: "none" });
    expect(() => forget("a")).not.toThrow();
  });

  it("is looked at field by field", () => {
    expect(shaped({ a: 1, b: [] }, { a: "number", b: "array" })).toBe(true);
    expect(shaped({ a: 1, b: {} }, { a: "number", b: "array" })).toBe(false);
    expect(shaped(null, {})).toBe(false);
  });
});

describe("a kept draft", () => {
  it("comes back with its steps, and is forgotten once there is nothing to save", () => {
    const draft = edited(60);
    expect(keepDraft(7, draft)).toBe("all");
    const found = keptDraft(7);
    expect(found.state === "kept" && found.value.past).toEqual([setup]);
    keepDraft(7, fresh);
    expect(keptDraft(7)).toEqual({ state: "none" });
  });

  it("gives up the steps before the edit", () => {
    let draft = edited(60);
    for (let i = 0; i < 30; i++) {
      draft = edited(61 + i, draft);
    }
    room(localStorage, 300);
    expect(keepDraft(7, draft)).toBe("without steps");
    expect(draftStorage.now()).toBe("without steps");
    const found = keptDraft(7);
    expect(found.state === "kept" && found.value.present).toEqual(draft.present);
    expect(found.state === "kept" && found.value.changed).toBe(true);
  });

  it("goes into this tab when the store is full to the brim, and says so", () => {
    room(localStorage, 0);
    const told = vi.fn();
    const stop = draftStorage.subscribe(told);
    expect(keepDraft(7, edited(60))).toBe("in this tab");
    expect(told).toHaveBeenCalled();
    stop();
    const found = keptDraft(7);
    expect(found.state === "kept" && found.value.present.surfaces[0]?.chordMm).toBe(60);
  });

  it("that is no draft is said to be broken", () => {
    localStorage.setItem("high-tally.draft.7", '{"basedOn":3,"present":{},"past":[],"future":[]}');
    expect(keptDraft(7)).toEqual({ state: "broken" });
  });
});

describe("one thing the pilot does", () => {
  it("is one step of undo, however many values it went through", () => {
    const typed = edited(450, edited(45, edited(4, fresh, "g1"), "g1"), "g1");
    expect(typed.past).toEqual([setup]);
    expect(reduceDraft(typed, { type: "undo" }).present).toBe(setup);
  });

  it("ends where another begins", () => {
    const two = edited(50, edited(45, fresh, "g1"), "g2");
    expect(two.past).toHaveLength(2);
    expect(edited(60, edited(45, fresh, "g1")).past).toHaveLength(2);
  });

  it("begins anew after an undo", () => {
    const undone = reduceDraft(edited(45, fresh, "g1"), { type: "undo" });
    expect(edited(46, undone, "g1").past).toEqual([setup]);
  });
});
