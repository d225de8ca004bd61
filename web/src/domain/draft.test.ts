import { describe, expect, it } from "vitest";
import type { Setup } from "./contract";
import { cataloguePath, reduceDraft, replaced, type Draft } from "./draft";

const setup = { name: "A", surfaces: [{ chordMm: 50 }, { chordMm: 60 }] } as unknown as Setup;
const fresh: Draft = { basedOn: 3, present: setup, past: [], future: [] };
const edit = (value: number) =>
  ({ type: "edit", path: ["surfaces", 1, "chordMm"], value }) as const;

describe("a draft", () => {
  it("replaces one value and shares everything off its path", () => {
    const changed = replaced(setup, ["surfaces", 1, "chordMm"], 70) as Setup;
    expect(changed.surfaces[1]?.chordMm).toBe(70);
    expect(changed.surfaces[0]).toBe(setup.surfaces[0]);
    expect(setup.surfaces[1]?.chordMm).toBe(60);
  });

  it("comes back through undo and goes forward through redo", () => {
    const twice = reduceDraft(reduceDraft(fresh, edit(70)), edit(80));
    const undone = reduceDraft(reduceDraft(twice, { type: "undo" }), { type: "undo" });
    expect(undone.present).toBe(setup);
    const redone = reduceDraft(reduceDraft(undone, { type: "redo" }), { type: "redo" });
    expect(redone.present).toEqual(twice.present);
    expect(reduceDraft(undone, edit(90)).future).toEqual([]);
  });

  it("starts again from a saved revision without changes", () => {
    const saved = reduceDraft(reduceDraft(fresh, edit(70)), { type: "restart", basedOn: 4, setup });
    expect(saved).toEqual({ basedOn: 4, present: setup, past: [], future: [] });
  });

  it("is without changes once it is saved, unless something was typed meanwhile", () => {
    const sent = reduceDraft(fresh, edit(70));
    const saved = { type: "saved", sent: sent.present, basedOn: 4, setup: { ...sent.present } };
    const done = saved as Parameters<typeof reduceDraft>[1];
    expect(reduceDraft(sent, done)).toEqual({
      basedOn: 4,
      present: sent.present,
      past: [],
      future: [],
    });
    const meanwhile = reduceDraft(reduceDraft(sent, edit(80)), done);
    expect(meanwhile.present.surfaces[1]?.chordMm).toBe(80);
    expect(reduceDraft(meanwhile, { type: "undo" }).present).toEqual(sent.present);
    const undone = reduceDraft(reduceDraft(sent, { type: "undo" }), done);
    expect(undone.present.surfaces[1]?.chordMm).toBe(60);
    expect(undone.past).toHaveLength(1);
  });

  it("names a field as the catalogue does", () => {
    expect(cataloguePath(["surfaces", 1, "rod", "end", "pitchMm"])).toBe(
      "setup.surfaces[].rod.end.pitchMm",
    );
  });
});
