import { screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it } from "vitest";
import { answers, program, show } from "@/test/page";
import { like, words } from "@/test/words";
import { PhaseTable } from "./PhaseTable";
import { SwitchesPage } from "./SwitchesPage";

const [BASE] = answers.setup.phases;
const setup = {
  ...answers.setup,
  phases: [{ ...BASE, id: "other", name: "Other phase" }, BASE] as typeof answers.setup.phases,
};
type Surface = (typeof setup.surfaces)[number];

/** Every figure one that no other has: phase, surface and what it is. */
const figure = (p: number, s: number, kind: number) => 20 * p + 2 * s + kind / 10 + 1;
const FULL = ["ROLL", "PITCH", "YAW"] as const;
const MOVEMENTS = {
  phases: setup.phases.map((phase, p) => ({
    phase: phase.id,
    reached: true,
    here: p === 1,
    moved: [`moved ${p}`],
    moment: answers.moment.frame.phase,
    surfaces: setup.surfaces.map((surface, s) => ({
      surface: surface.id,
      restMm: figure(p, s, 1),
      presetMm: -figure(p, s, 2),
      presetDegrees: -figure(p, s, 3),
      presetAsPair: true,
      differentialAsPair: true,
      rollUp: { mm: figure(p, s, 4), degrees: 0 },
      rollDown: { mm: -figure(p, s, 5), degrees: 0 },
      full: FULL.map((control, c) => ({
        control,
        plusMm: figure(p, s, 6 + c),
        minusMm: -figure(p, s, 6 + c),
      })),
    })),
  })),
  mixes: [],
  became: [],
};
const SHEET = {
  ...(answers.program as object),
  phases: setup.phases.map((phase) => ({ phase: phase.id, when: `when ${phase.id}` })),
  switches: [
    { input: "a", name: "first switch", position: 1, brings: "", hangs: [] },
    { input: "a", name: "first switch", position: 2, brings: "Brought", hangs: ["one", "two"] },
    { input: "b", name: "a lever", position: 0, brings: "", hangs: ["three"] },
  ],
  conditions: setup.conditions.map((one, i) => ({
    condition: one.id,
    sentence: `sentence ${i}`,
    finished: true,
    subjects: [],
    least: 0,
    most: 1,
    unit: "PERCENT",
  })),
};

const arrow = (mm: number, { sideways }: Surface) =>
  `${mm > 0 ? (sideways ? "▶" : "▲") : sideways ? "◀" : "▼"} ${Math.abs(mm).toFixed(1)} mm`;

async function shown(tab?: string) {
  program({ "POST /program/movements": MOVEMENTS, "POST /program/sheet": SHEET });
  show(<PhaseTable />, { setup });
  if (tab !== undefined) {
    await userEvent.click(screen.getByRole("tab", { name: tab }));
  }
  await waitFor(() => expect(document.querySelector("[data-moment*='{']")).toBeNull());
  await waitFor(() => expect(document.querySelectorAll("[data-cell]").length).toBeGreaterThan(3));
}

const cell = (p: number, surface: string) =>
  document.querySelector<HTMLElement>(`[data-cell="${setup.phases[p]?.id}/${surface}"]`);

/** Of each cell there is: its phase, its surface, and that one's place in the setup. */
const each = (look: (found: HTMLElement, p: number, surface: Surface, s: number) => void) => {
  let seen = 0;
  setup.phases.forEach((_, p) =>
    setup.surfaces.forEach((surface, s) => {
      const found = cell(p, surface.id);
      if (found !== null) {
        look(found, p, surface, s);
        seen++;
      }
    }),
  );
  return seen;
};

describe("surfaces by flight phase", () => {
  it("has a row of its own for each of a pair that is taken apart, and one again for both", async () => {
    const chains = (key: string) =>
      screen.queryAllByRole("button", { name: like(`program.phaseTable.${key}`) });
    await shown();
    const pairs = chains("editSeparately").length;
    expect(pairs).toBeGreaterThan(1);
    for (const at of [0, pairs - 1]) {
      await userEvent.click(chains("editSeparately")[at] as HTMLElement);
      expect(chains("editTogether")).toHaveLength(1);
      expect(chains("editSeparately")).toHaveLength(pairs - 1);
      await userEvent.click(chains("editTogether")[0] as HTMLElement);
      expect(chains("editTogether")).toHaveLength(0);
      expect(chains("editSeparately")).toHaveLength(pairs);
    }
  });

  it("has each phase under its own name and condition", async () => {
    await shown();
    setup.phases.forEach((phase) => {
      const head = document.querySelector(`[data-phase-of="${phase.id}"]`);
      expect(head).toHaveTextContent(phase.name);
      expect(head).toHaveTextContent(`when ${phase.id}`);
    });
  });

  it("has what a preset adds, by size and way, and where the surface and its pair are", async () => {
    await shown();
    await waitFor(() =>
      expect(document.body.textContent).toContain(
        words("program.mixTargets.total", { travel: "▲" }),
      ),
    );
    const seen = each((found, p, surface, s) => {
      const typed = within(found).getByRole("textbox");
      expect(typed).toHaveValue(figure(p, s, 2).toFixed(1));
      expect(found).toHaveTextContent(surface.sideways ? "left" : "down");
      expect(found).toHaveTextContent(`total ${arrow(figure(p, s, 1), surface)}`);
      const pair = setup.surfaces.findIndex((one) => one.id === surface.pair);
      if (pair >= 0) {
        expect(found).toHaveTextContent(arrow(figure(p, pair, 1), surface));
      }
    });
    expect(seen).toBeGreaterThan(4);
  });

  it("has both ends of every stick with their way", async () => {
    await shown("Full sticks");
    await waitFor(() => expect(document.querySelector("[data-full]")).not.toBeNull());
    each((found, p, surface, s) =>
      FULL.forEach((control, c) => {
        const mm = figure(p, s, 6 + c);
        expect(found.querySelector(`[data-full=${control}]`)).toHaveTextContent(
          `${control.toLowerCase()} ${arrow(mm, surface)} / ${arrow(-mm, surface)}`,
        );
      }),
    );
  });

  it("has the down-going side under differential, of what rolls alone", async () => {
    await shown("Differential");
    const seen = each((found, p, surface, s) => {
      expect(surface.shares.roll).not.toBe(0);
      expect(within(found).getByRole("textbox")).toHaveValue(figure(p, s, 5).toFixed(1));
    });
    expect(seen).toBe(2 * setup.phases.length);
  });
});

describe("the switch plan", () => {
  it("has name, position, what it brings and what hangs on it, and each condition's sentence", async () => {
    program({ "POST /program/movements": MOVEMENTS, "POST /program/sheet": SHEET });
    show(<SwitchesPage />, { setup });
    const [plan] = await screen.findAllByRole("table");
    await waitFor(() =>
      expect(within(plan as HTMLElement).getAllByRole("row")).toHaveLength(SHEET.switches.length),
    );
    const rows = within(plan as HTMLElement).getAllByRole("row");
    SHEET.switches.forEach((one, i) => {
      const row = rows[i] as HTMLElement;
      expect(within(row).getByRole("rowheader")).toHaveTextContent(one.name);
      expect(
        within(row)
          .getAllByRole("cell")
          .map((each) => each.textContent),
      ).toEqual([
        one.position === 0 ? "" : String(one.position),
        one.brings,
        one.hangs.length === 0 ? "nothing" : one.hangs.join(" · "),
      ]);
    });
    setup.conditions.forEach((one, i) => {
      const mark = document.querySelector(`[data-truth="${one.id}"]`);
      expect(mark?.parentElement).toHaveTextContent(`${one.name} sentence ${i}`);
    });
  });
});
