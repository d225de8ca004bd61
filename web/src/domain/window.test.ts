import { afterEach, beforeEach, describe, expect, it } from "vitest";
import type { Setup } from "./contract";
import { adopted, keepDraft, keptDraft, reduceDraft, type Draft } from "./draft";
import { becomeWindow } from "./window";

const setup = { formatVersion: 9, name: "A", surfaces: [{ chordMm: 50 }] } as unknown as Setup;
const fresh: Draft = { basedOn: 3, present: setup, past: [], future: [] };
const edited = (value: number) =>
  reduceDraft(fresh, { type: "edit", path: ["surfaces", 0, "chordMm"], value });
const chord = () => {
  const found = keptDraft(7);
  return found.state === "kept" ? found.value.present.surfaces[0]?.chordMm : found.state;
};

function closed() {
  window.dispatchEvent(new Event("pagehide"));
}

describe("two windows with changes of one model", () => {
  beforeEach(() => localStorage.clear());
  afterEach(() => becomeWindow(undefined));

  it("each keep their own over a reload, whichever was last", () => {
    becomeWindow("one");
    keepDraft(7, edited(60));
    becomeWindow("two");
    expect(chord()).toBe("none");
    keepDraft(7, edited(70));
    becomeWindow("one");
    expect(chord()).toBe(60);
    keepDraft(7, edited(61));
    becomeWindow("two");
    expect(chord()).toBe(70);
  });

  it("do not lose what the one typed when the other saves", () => {
    becomeWindow("one");
    keepDraft(7, edited(60));
    becomeWindow("two");
    keepDraft(7, edited(70));
    keepDraft(7, fresh);
    becomeWindow("one");
    expect(chord()).toBe(60);
  });

  it("leave behind what a new window takes up, once, all of it in the end", () => {
    becomeWindow("one");
    keepDraft(7, edited(60));
    becomeWindow("two");
    keepDraft(7, edited(70));
    closed();
    becomeWindow("three");
    const first = chord();
    expect([60, 70]).toContain(first);
    keepDraft(7, edited(Number(first)));
    adopted();
    becomeWindow("four");
    const second = chord();
    expect([60, 70]).toContain(second);
    expect(second).not.toBe(first);
  });

  it("take up what a High Tally kept that did not tell windows apart", () => {
    localStorage.setItem("high-tally.draft.7", JSON.stringify(edited(80)));
    becomeWindow("one");
    expect(chord()).toBe(80);
    keepDraft(7, edited(80));
    adopted();
    expect(localStorage.getItem("high-tally.draft.7")).toBeNull();
    expect(chord()).toBe(80);
  });
});
