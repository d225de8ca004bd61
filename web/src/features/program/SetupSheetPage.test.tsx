import { screen, waitFor, within } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { answers, program, show } from "@/test/page";
import { SetupSheetPage } from "./SetupSheetPage";

/** Two phases with mixes, every figure one that no other has. */
const [BASE] = answers.setup.phases;
const setup = {
  ...answers.setup,
  phases: [{ ...BASE, id: "other", name: "Other phase" }, BASE] as typeof answers.setup.phases,
};
const mms = (phase: number, surface: number) => 10 * phase + surface + 1.4;
const MOVEMENTS = {
  phases: setup.phases.map((phase, p) => ({
    phase: phase.id,
    surfaces: setup.surfaces.map((surface, s) => ({
      surface: surface.id,
      restMm: (s % 2 === 0 ? 1 : -1) * mms(p, s),
    })),
  })),
  mixes: setup.mixes.map((mix, m) => ({
    mix: mix.id,
    ends: [1, 2].map((end) => ({
      words: `End ${m} ${end}`,
      movements: [{ surface: setup.surfaces[m]?.id, addsMm: end === 1 ? 30 + m : -40 - m }],
    })),
  })),
  became: [],
};
const SWITCHES = [
  { input: "a", name: "first switch", position: 2, brings: "Brought", hangs: ["hung"] },
  { input: "b", name: "a lever", position: 0, brings: "", hangs: ["one thing", "another"] },
  { input: "c", name: "unused", position: 1, brings: "", hangs: [] },
];
const TRIMS = setup.phases.map((phase, p) => ({
  phase: phase.id,
  trims: { roll: p + 1, pitch: -(p + 2), yaw: p === 0 ? 0 : 4 },
}));
/** What the sticks move most: an elevator pitches, a rudder goes sideways. */
const MOST = { ROLL: "aileron-left", PITCH: "elevator", YAW: "rudder" } as const;
const LINES = { ROLL: [-21.1, 22.2], PITCH: [23.3, -24.4], YAW: [25.5, -26.6] } as const;

function sheet() {
  program({
    "POST /program/movements": MOVEMENTS,
    "POST /program/sheet": { ...(answers.program as object), switches: SWITCHES },
    "GET /standing-trims": { phases: TRIMS },
    "POST /feel/lines": ({ body }: { body: unknown }) => {
      const { control } = body as { control: keyof typeof LINES };
      const [plus, minus] = LINES[control];
      return {
        surface: setup.surfaces.find((one) => one.id.includes(MOST[control]))?.id,
        lines: [
          {
            set: "",
            phases: ["other"],
            here: true,
            plus: { mm: plus },
            minus: { mm: minus },
            mm: [],
          },
        ],
      };
    },
  });
  show(<SetupSheetPage />, { setup });
}

type Surface = (typeof setup.surfaces)[number];

const arrows = (mm: number, sideways: boolean) =>
  `${mm > 0 ? (sideways ? "▶" : "▲") : sideways ? "◀" : "▼"} ${Math.abs(mm).toFixed(1)} mm`;

describe("the setup sheet on the page", () => {
  it("has where each surface stands under its own phase, with its way", async () => {
    sheet();
    const table = screen.getByRole("table");
    await waitFor(() => expect(within(table).getAllByRole("cell").length).toBeGreaterThan(2));
    const [head, ...rows] = within(table).getAllByRole("row");
    const named = within(head as HTMLElement)
      .getAllByRole("columnheader")
      .slice(1)
      .map((one) => one.textContent);
    expect(named).toEqual(setup.phases.map((one) => one.name));
    const seen = new Set<string>();
    for (const row of rows) {
      const of = within(row).getByRole("rowheader").textContent ?? "";
      const names = of.toLowerCase().split(" and ");
      const surfaces = names.map(
        (name) => setup.surfaces.find((one) => one.name.toLowerCase() === name) as Surface,
      );
      within(row)
        .getAllByRole("cell")
        .forEach((cell, p) => {
          const told = (cell.textContent ?? "").split(" / ");
          const meant = surfaces.map((one) => {
            const stand = MOVEMENTS.phases[p]?.surfaces.find((each) => each.surface === one.id);
            return arrows(stand?.restMm ?? NaN, one.sideways);
          });
          expect(told).toEqual([...new Set(meant)]);
          expect(cell).toHaveAttribute("data-label", setup.phases[p]?.name);
        });
      surfaces.forEach((one) => seen.add(one.id));
    }
    expect(seen.size).toBe(setup.surfaces.length);
  });

  it("has the trims of every phase by their own controls", async () => {
    sheet();
    await waitFor(() => expect(document.body.textContent).toContain("Other phase: "));
    const text = document.body.textContent ?? "";
    expect(text).toContain("Other phase: 1 click right, 2 clicks nose down, 0 clicks");
    expect(text).toContain(
      `${BASE?.name}: 2 clicks right, 3 clicks nose down, 4 clicks nose right`,
    );
  });

  it("has the ends of each stick with the way of the surface it moves most", async () => {
    sheet();
    for (const [control, [plus, minus]] of Object.entries(LINES)) {
      const surface = setup.surfaces.find((one) =>
        one.id.includes(MOST[control as keyof typeof MOST]),
      );
      const sideways = surface?.sideways === true;
      await waitFor(() =>
        expect(document.body.textContent).toContain(
          `${arrows(plus, sideways)} / ${arrows(minus, sideways)}`,
        ),
      );
    }
  });

  it("has every switch with what it brings, and what each mix adds at either end", async () => {
    sheet();
    await waitFor(() => expect(document.body.textContent).toContain("Brought"));
    const text = document.body.textContent ?? "";
    expect(text).toMatch(/first switch.*2: Brought/);
    expect(text).toContain("a lever: one thing, another");
    expect(text).not.toContain("unused");
    setup.mixes.forEach((mix, m) => {
      const surface = setup.surfaces[m];
      const adds = (mm: number) => `${surface?.name} ${arrows(mm, surface?.sideways === true)}`;
      expect(text).toContain(
        `${mix.name} End ${m} 1: ${adds(30 + m)}; End ${m} 2: ${adds(-40 - m)}`,
      );
    });
  });
});
