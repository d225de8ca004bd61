import { screen, within } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import type { Flight } from "@/api/queries";
import { CONTROL_KEYS, CONTROL_WORDS, clickWords, dayAndFlight } from "@/domain/words";
import { answers, program, show, told } from "@/test/page";
import { words } from "@/test/words";
import { FlightsPage } from "./FlightsPage";

const first = answers.setup.phases[0] as (typeof answers.setup.phases)[number];
const setup = {
  ...answers.setup,
  phases: [
    { ...first, id: "thermal", name: "Thermal" },
    { ...first, id: "flight", name: "Flight" },
  ],
};
const trims = (from: number) => ({ roll: from, pitch: -from - 1, yaw: from + 2 });

const flight = (id: number, report: Partial<Flight["report"]> = {}): Flight => ({
  id,
  aircraftId: 1,
  revisionNumber: id + 40,
  version: 0,
  report: {
    flownOn: `2026-09-0${id}`,
    wind: "CALM",
    air: "SMOOTH",
    field: "",
    battery: "",
    cgMm: null,
    remarks: "",
    goal: "",
    trims: trims(10 * id),
    throttlePercent: 50,
    sure: "SURE",
    turnsDiffer: false,
    phases: [],
    ...report,
  },
  seen: { results: [], despite: "" } as unknown as Flight["seen"],
  marks: { leftOut: "", simulated: false } as unknown as Flight["marks"],
  notedAt: "2026-09-05T10:00:00Z",
});

const reading = (phase: string, from: number) => ({
  phase,
  trims: trims(from),
  throttlePercent: 0,
  sure: "SURE" as const,
  turnsDiffer: false,
});

const flights = [
  flight(3, { goal: "Goal three", remarks: "Remark three", cgMm: 113.5, battery: "Pack three" }),
  {
    ...flight(2, { phases: [reading("thermal", 70), reading("gone", 80)], field: "Field two" }),
    seen: {
      results: [
        {
          test: "ROLL_AXIS",
          part: "",
          seen: [{ outcome: "AWAY_FROM_THE_ROLL", strength: 2, turn: "LEFT" }],
        },
        { test: "DIVE", part: "", seen: [] },
      ],
      despite: "Despite two",
    } as unknown as Flight["seen"],
  },
  {
    ...flight(1, { wind: "FRESH", air: "ROUGH" }),
    marks: { leftOut: "Left out one", simulated: true } as unknown as Flight["marks"],
  },
];

const point = (of: number, part: object = {}) => ({
  flight: of,
  flownOn: `2026-09-0${of}`,
  ofDay: of === 3 ? 2 : 0,
  clicks: 10 * of,
  counts: of !== 1,
  agrees: of !== 1,
  why: of === 1 ? "Why one" : "",
  ...part,
});
const series = (control: string, state: string, agreeing: number, clicks: number) => ({
  phase: "flight",
  control,
  state,
  clicks,
  agreeing,
  words: `Words of ${control}.`,
  notes: [`Note of ${control}.`],
  asked: 0,
  because: "",
  points: [point(1), point(2), point(3)],
});
const story = {
  turn: [],
  waiting: "",
  series: [
    series("ROLL", "SETTLED", 3, 21),
    series("PITCH", "DRIFTING", 0, 33),
    { ...series("YAW", "NOT_YET", 0, 0), points: [] },
  ],
};
const coach = {
  plan: { kind: "POWERED", tests: [], next: -1, goal: "" },
  jobs: [],
  goal: "",
  cards: [
    { test: { test: "DIVE", part: "" }, name: "Name of the dive", outcomes: [] },
    {
      test: { test: "ROLL_AXIS", part: "" },
      name: "Name of rolls",
      outcomes: [{ outcome: "AWAY_FROM_THE_ROLL", words: "Walks away" }],
    },
  ],
};
const revisions = flights.map((one) => ({
  number: one.revisionNumber,
  reason: `Reason of ${one.revisionNumber}`,
}));

const shown = async () => {
  program({
    "GET /flights": { items: flights, total: 3 },
    "GET /revisions": { items: revisions, total: 3 },
    "GET /standing": story,
    "GET /coach": coach,
    "GET /api/fields": answers.fields,
  });
  show(<FlightsPage />, { setup });
  await screen.findByText("Words of ROLL.");
  await screen.findByText(/Name of rolls/);
  return flights.map((one) => document.querySelector(`[data-flight="${one.id}"]`) as HTMLElement);
};

describe("the flight log", () => {
  it("has of each flight its own day, revision, trims under their control, and what changed", async () => {
    const cards = await shown();
    flights.forEach(({ id, revisionNumber, report }, i) => {
      const card = cards[i] as HTMLElement;
      expect(told(card.querySelector("h2"))).toBe(dayAndFlight(report.flownOn, id === 3 ? 2 : 0));
      expect(told(card)).toContain(
        words("flightlog.flightsPage.revision", { revisionNumber, counts: String(id !== 1) }),
      );
      expect([...card.querySelectorAll("dd")].map(told)).toEqual(
        CONTROL_KEYS.map((key) => clickWords(key, report.trims[key])),
      );
      expect([...card.querySelectorAll("dt")].map((one) => told(one).toLowerCase())).toEqual(
        CONTROL_KEYS.map((key) => CONTROL_WORDS[key]),
      );
      const changed = `Reason of ${revisionNumber}`;
      expect(told(card)).toContain(words("flightlog.flightsPage.changedBefore", { changed }));
    });
  });

  it("has what else was noted with the flight it was noted of, and with no other", async () => {
    const cards = (await shown()).map(told);
    const own = [
      [
        words("flightlog.flightsPage.goal", { goal: "Goal three" }),
        "Remark three",
        "113.5 mm",
        "Pack three",
      ],
      [
        "Field two",
        words("flightlog.flightsPage.uncleared", { despite: "Despite two" }),
        `Thermal: ${CONTROL_KEYS.map((key) => `${CONTROL_WORDS[key]} ${clickWords(key, trims(70)[key])}`).join(", ")}`,
        words("flightlog.flightsPage.goneFromSetup", { id: "gone" }),
        `Name of rolls: Walks away (${words("flightlog.flightsPage.clear")})`,
        `Name of the dive: ${words("flightlog.flightsPage.asItShouldBe")}`,
      ],
      [
        words("flightlog.flightsPage.leftOut", { leftOut: "Left out one" }),
        words("flightlog.flightsPage.simulated"),
      ],
    ];
    own.forEach((lines, i) =>
      lines.forEach((line) =>
        expect(cards.map((card) => card.includes(line))).toEqual([0, 1, 2].map((one) => one === i)),
      ),
    );
  });

  it("has of each series its state, clicks where flights agree, words, and every point", async () => {
    await shown();
    const lines = [...document.querySelectorAll("[data-series]")] as HTMLElement[];
    expect(lines.map((one) => one.dataset.series)).toEqual(["flight ROLL", "flight PITCH"]);
    const [roll, pitch] = lines as [HTMLElement, HTMLElement];
    expect(told(roll)).toContain(`Flight, ${CONTROL_WORDS.roll}`);
    expect(told(roll.querySelector("[data-state=SETTLED]"))).toBe(
      words("flightlog.settlingCard.settled"),
    );
    expect(told(roll)).toContain(clickWords("roll", 21));
    expect(told(pitch.querySelector("[data-state=DRIFTING]"))).toBe(
      words("flightlog.settlingCard.drifting"),
    );
    expect(told(pitch)).not.toContain(clickWords("pitch", 33));
    for (const [line, control] of [[roll, "ROLL"] as const, [pitch, "PITCH"] as const]) {
      expect(told(line)).toContain(`Words of ${control}.`);
      expect(told(line)).toContain(`Note of ${control}.`);
      const said = [1, 2, 3].map(
        (of) =>
          `${dayAndFlight(`2026-09-0${of}`, of === 3 ? 2 : 0)}: +${10 * of}${of === 1 ? ", Why one" : ""}`,
      );
      expect(within(line).getByRole("img").getAttribute("aria-label")).toBe(said.join("; "));
    }
  });
});
