import { screen, within } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { answers, program, show } from "@/test/page";
import { WorkSheetPage } from "./WorkSheetPage";
import { PhasesAfter } from "./PhasesAfter";

const { order, setup } = answers;
const CLICK_WAYS = {
  roll: ["right", "left"],
  pitch: ["nose up", "nose down"],
  yaw: ["nose right", "nose left"],
} as const;
type Key = keyof typeof CLICK_WAYS;
const KEYS = Object.keys(CLICK_WAYS) as Key[];

const sideways = (id: string) => setup.surfaces.find((one) => one.id === id)?.sideways === true;
const way = (id: string, mm: number) =>
  sideways(id) ? (mm > 0 ? "right" : "left") : mm > 0 ? "up" : "down";
const moved = (id: string, mm: number) =>
  Math.abs(mm) < 0.05 ? "neutral" : `${Math.abs(mm).toFixed(1)} mm ${way(id, mm)}`;
const clicks = (key: Key, count: number) =>
  count === 0
    ? "0 clicks"
    : `${Math.abs(count)} click${Math.abs(count) === 1 ? "" : "s"} ${CLICK_WAYS[key][count > 0 ? 0 : 1]}`;

const cells = (row: HTMLElement) =>
  within(row)
    .getAllByRole("cell")
    .map((one) => one.textContent?.replace(/\s+/g, " ").trim() ?? "");

async function tables() {
  program({ "GET /adjustment": order });
  show(<WorkSheetPage />);
  return screen.findAllByRole("table");
}

describe("the work sheet on paper", () => {
  it("has each pushrod's turn and where its edge goes at zero trim", async () => {
    const [rods] = await tables();
    const [, ...rows] = within(rods as HTMLElement).getAllByRole("row");
    const turned = order.plan.rods.filter((one) => one.steps !== 0);
    expect(rows).toHaveLength(turned.length);
    turned.forEach((rod, i) => {
      const [name, turn, zero] = cells(rows[i] as HTMLElement);
      expect(name).toBe(rod.surfaceName);
      expect(turn).toContain(rod.turn);
      expect(zero).toBe(moved(rod.surface, rod.zeroingMm));
    });
  });

  it("has the clicks of every phase before and after under their own control", async () => {
    const [, phases] = await tables();
    const [, ...rows] = within(phases as HTMLElement).getAllByRole("row");
    order.plan.phases.forEach((phase, i) =>
      expect(cells(rows[i] as HTMLElement)).toEqual([
        phase.name,
        ...KEYS.map(
          (key) => `${clicks(key, phase.before[key])} → ${clicks(key, phase.after[key])}`,
        ),
      ]),
    );
  });

  it("has what each surface is to do at full stick, which way first and how far", async () => {
    const [, , throws] = await tables();
    const [, ...rows] = within(throws as HTMLElement).getAllByRole("row");
    expect(rows).toHaveLength(order.verification.length);
    order.verification.forEach((one, i) => {
      const [what, first, far] = cells(rows[i] as HTMLElement);
      expect(what?.toLowerCase()).toBe(`${one.name}: ${one.how}`.toLowerCase());
      expect(first).toBe(one.first.toLowerCase());
      expect(far).toBe(`${one.plusMm.toFixed(1)} / ${one.minusMm.toFixed(1)}`);
    });
  });
});

describe("every phase after the work", () => {
  it("has clicks, what each surface is off by, and the throws with their channel", async () => {
    program({});
    show(<PhasesAfter plan={order.plan} />);
    const [phases, throws] = await screen.findAllByRole("table");
    const [, ...rows] = within(phases as HTMLElement).getAllByRole("row");
    order.plan.phases.forEach((phase, i) => {
      const [name, ...rest] = cells(rows[i] as HTMLElement);
      expect(name).toContain(phase.name);
      KEYS.forEach((key, k) => expect(rest[k]).toContain(clicks(key, phase.after[key])));
      const off = phase.errors
        .filter((one) => Math.abs(one.mm) >= 0.05)
        .map((one) => `${one.name} ${moved(one.surface, one.mm)}`.toLowerCase());
      expect(rest[3]?.toLowerCase()).toBe(off.length === 0 ? "nothing" : off.join(", "));
    });
    const [, ...lines] = within(throws as HTMLElement).getAllByRole("row");
    expect(lines).toHaveLength(order.plan.throwChanges.length);
    order.plan.throwChanges.forEach((one, i) => {
      const told = cells(lines[i] as HTMLElement);
      const go = (from: number, to: number) =>
        `${moved(one.surface, from)} → ${moved(one.surface, to)}`;
      expect(told.slice(0, 3)).toEqual([
        one.name,
        go(one.plusBefore, one.plusAfter),
        go(one.minusBefore, one.minusAfter),
      ]);
      const ends = [one.endpointLow, one.endpointHigh].map((each) => each?.toFixed(1) ?? "cannot");
      expect(told[3]).toBe(`channel ${one.channel}: ${ends.join(" / ")} %`);
    });
  });
});
