import { screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it } from "vitest";
import { useForm } from "react-hook-form";
import type { FlightReport } from "@/api/queries";
import { CONTROL_KEYS, clickWords, controlName } from "@/domain/words";
import { answers, program, rowsOf, show, told, type Asked } from "@/test/page";
import { say } from "@/words/generated/flightlog";
import { CardTable } from "./CardTable";
import { dayFields, dayLabel } from "./day-fields";
import { FieldCardPage } from "./FieldCardPage";

const { standing } = answers;
const first = answers.setup.phases[0] as (typeof answers.setup.phases)[number];
const phase = (id: string) => ({ ...first, id, name: `Phase ${id}`, goal: `Goal of ${id}` });
const setup = { ...answers.setup, phases: [phase("a"), phase("b"), phase("c")] };
const glider = { ...setup, airframe: { ...setup.airframe, motors: [] } };
const NAMES = setup.phases.map((one) => one.id);

const stands = {
  phases: NAMES.map((id, i) => ({
    phase: id,
    trims: { roll: 10 * i + 1, pitch: -10 * i - 2, yaw: 10 * i + 3 },
  })),
  percentPerClick: 0.5,
  microsecondsPerClick: 2,
};

const series = (id: string, control: string, state: string) => ({ phase: id, control, state });
const SETTLED = [["b", "PITCH"] as const, ["c", "ROLL"] as const];
const settling = {
  reference: "",
  ready: false,
  series: [
    ...SETTLED.map(([id, control]) => series(id, control, "SETTLED")),
    series("a", "ROLL", "NOT_YET"),
    series("b", "YAW", "DRIFTING"),
  ],
};

const card = (name: string) => ({
  test: { test: "ROLL_AXIS", part: "" },
  name,
  tells: "",
  flown: [`First of ${name}.`, `Then of ${name}.`],
  watch: `Watched in ${name}.`,
  caution: "",
  turns: ["LEFT", "RIGHT"],
  outcomes: [
    { outcome: "AWAY_FROM_THE_ROLL", excludes: "TOWARDS_THE_ROLL", words: `Away in ${name}` },
    { outcome: "TOWARDS_THE_ROLL", excludes: "AWAY_FROM_THE_ROLL", words: `Into it in ${name}` },
  ],
});

const replies = {
  "GET /settling": settling,
  "GET /standing-trims": stands,
  "GET /api/fields": answers.fields,
  "GET /coach": {
    plan: { kind: "POWERED", tests: [], next: 1, goal: "" },
    cards: [card("the first"), card("the next")],
    jobs: [],
    goal: "What this flight is for",
  },
};

const settled = (id: string, key: string) =>
  SETTLED.some(([one, control]) => one === id && control === key.toUpperCase())
    ? say("fieldCardPage.settled")
    : "";

const shown = async (of: typeof setup) => {
  program(replies);
  show(<FieldCardPage />, { setup: of });
  await screen.findByText(say("fieldCardPage.watch"));
  await screen.findByText(dayLabel(dayFields(answers.fields)[0] as never));
  return rowsOf(screen.getByRole("table"));
};

describe("the field card", () => {
  it("has a row for every phase, base last, with what stands under its own control", async () => {
    const [head, ...rows] = await shown(setup);
    expect(head).toEqual([
      say("fieldCardPage.phase"),
      ...CONTROL_KEYS.map((key) =>
        say("fieldCardPage.clicksAsked", { controlName: controlName(key) }),
      ),
      say("fieldCardPage.throttle"),
      say("fieldCardPage.sure"),
    ]);
    const bottomUp = [...setup.phases].reverse();
    expect(rows).toEqual(
      bottomUp.map(({ id, name, goal }) => [
        name + goal,
        ...CONTROL_KEYS.map((key) => {
          const clicks = stands.phases.find((one) => one.phase === id)?.trims[key] ?? 0;
          return clickWords(key, clicks) + settled(id, key);
        }),
        "",
        "",
      ]),
    );
  });

  it("asks a model without a motor for no throttle", async () => {
    const rows = await shown(glider);
    rows.forEach((row) => expect(row).toHaveLength(5));
    expect(rows[0]).not.toContain(say("fieldCardPage.throttle"));
  });

  it("has the next test, each way round, and a box for everything asked of the day", async () => {
    await shown(setup);
    const box = document.querySelector("[data-card-test]");
    const next = card("the next");
    expect([...(box?.querySelectorAll("ol li") ?? [])].map(told)).toEqual(next.flown);
    expect(told(box)).toContain(`${say("fieldCardPage.watch")} ${next.watch}`);
    expect(told(box)).not.toContain("the first");
    const ways = [...(box?.querySelectorAll("ul") ?? [])];
    expect(ways).toHaveLength(next.turns.length);
    ways.forEach((way) =>
      expect([...way.children].slice(1).map(told)).toEqual([
        say("fieldCardPage.asItShouldBe"),
        ...next.outcomes.map(({ words }) => say("fieldCardPage.strengths", { words })),
      ]),
    );
    const page = told(document.querySelector("[data-field-card]"));
    expect(page).toContain(replies["GET /coach"].goal);
    const short = dayFields(answers.fields).filter((one) => one.max <= 80 || one.kind === "NUMBER");
    expect(short.length).toBeGreaterThan(4);
    short.forEach((one) => expect(page).toContain(dayLabel(one)));
  });
});

describe("the field card's trims typed in", () => {
  /** A click is half a percent, and two microseconds. */
  const SHARE = { CLICKS: 1, PERCENT: 0.5, MICROSECONDS: 2 } as const;
  type Unit = keyof typeof SHARE;
  const typed: { now?: FlightReport } = {};
  const report: FlightReport = {
    flownOn: "2026-09-05",
    wind: "CALM",
    air: "SMOOTH",
    field: "",
    battery: "",
    cgMm: null,
    remarks: "",
    goal: "",
    trims: { roll: 4, pitch: 6, yaw: -8 },
    throttlePercent: 55,
    sure: "NOT",
    turnsDiffer: false,
    phases: [
      {
        phase: "a",
        trims: { roll: 12, pitch: -14, yaw: 16 },
        throttlePercent: 20,
        sure: "SURE",
        turnsDiffer: true,
      },
    ],
  };
  function Typed() {
    const form = useForm<FlightReport>({ defaultValues: report });
    form.subscribe({
      formState: { values: true },
      callback: ({ values }) => {
        typed.now = structuredClone(values);
      },
    });
    return <CardTable form={form} stands={stands} />;
  }
  const of = ({ body }: Asked) => body as { unit: Unit; clicks: number[]; shown: number };
  const begin = () => {
    program({
      "POST /api/trims/shown": (asked: Asked) => [
        200,
        of(asked).clicks.map((one) => one * SHARE[of(asked).unit]),
      ],
      "POST /api/trims/clicks": (asked: Asked) => ({
        clicks: Math.round(of(asked).shown / SHARE[of(asked).unit]),
      }),
    });
    show(<Typed />, { standing: { ...standing, newest: { ...standing.newest, setup } } });
  };
  const pick = async (unit: Unit) => {
    await userEvent.click(
      screen.getByRole("combobox", { name: say("cardTable.transmitterShows") }),
    );
    await userEvent.click(document.querySelector(`[data-option=${unit}]`) as HTMLElement);
  };
  const fields = () => screen.getAllByRole("textbox").map((one) => (one as HTMLInputElement).value);

  it("has each phase's own trims, base last, in the unit the transmitter shows", async () => {
    begin();
    const known = [report.trims, undefined, report.phases[0]?.trims];
    for (const unit of ["CLICKS", "PERCENT", "MICROSECONDS"] as const) {
      await pick(unit);
      const expected = known.flatMap((trims) =>
        CONTROL_KEYS.map((key) => (trims === undefined ? "" : String(trims[key] * SHARE[unit]))),
      );
      await screen.findByDisplayValue(String(12 * SHARE[unit]));
      expect(fields()).toEqual(expected);
    }
    const sure = screen.getAllByRole("checkbox").map((one) => one.getAttribute("aria-checked"));
    expect(sure).toEqual(["false", "false", "true"]);
  });

  it("keeps what is typed under its phase and control, as clicks, and nothing else changes", async () => {
    begin();
    await pick("PERCENT");
    await screen.findByDisplayValue("6");
    const boxes = screen.getAllByRole("textbox");
    // Phase b, yaw: the second row's third.
    await userEvent.type(boxes[5] as HTMLElement, "−4,5");
    await screen.findByDisplayValue("−4,5");
    expect(typed.now?.phases.find((one) => one.phase === "b")?.trims).toEqual({
      roll: 0,
      pitch: 0,
      yaw: -9,
    });
    expect(typed.now?.phases.find((one) => one.phase === "a")).toEqual(report.phases[0]);
    expect(typed.now?.trims).toEqual(report.trims);
    // The base, pitch: the first row's second.
    await userEvent.clear(boxes[1] as HTMLElement);
    await userEvent.type(boxes[1] as HTMLElement, "+1");
    expect(typed.now?.trims).toEqual({ ...report.trims, pitch: 2 });
  });
});
