import { screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it } from "vitest";
import { answers, program, show } from "@/test/page";
import { words } from "@/test/words";
import { AdjustPage } from "./AdjustPage";

const series = {
  phase: "flight",
  control: "PITCH",
  state: "SETTLED",
  clicks: -8,
  agreeing: 3,
  words: "Settled: 3 flights alike.",
  notes: [],
  asked: 0,
  because: "",
  points: [{ flight: 1, flownOn: "2026-10-01", clicks: -8, counts: true, agrees: true, why: "" }],
};
const learned = { observations: 0, explanations: [], named: null, next: null };
const story = {
  waiting: "Fly 2 more calm flights to confirm the trims.",
  reference: "flight",
  series: [series],
  turn: ["PITCH"],
  worth: [],
  confirmation: [],
  learned,
  due: [],
};
const worth = {
  control: "PITCH",
  clicks: -8,
  leftClicks: -0.4,
  stepClicks: 3.8,
  worth: true,
  words: "Pitch: 8 clicks nose down go into the pushrods.",
};
const PLAN = {
  reference: "flight",
  worth: [worth],
  controls: ["PITCH"],
  plan: answers.order.plan,
  flight: 3,
};

describe("the adjustment", () => {
  it("shows what is worth turning and begins it once", async () => {
    const asked = program({
      "GET /adjustment": [204, undefined],
      "GET /standing": story,
      "POST /adjustment/plan": PLAN,
      "POST /adjustment/planned": [201, answers.order],
    });
    show(<AdjustPage />);
    expect(await screen.findByText(worth.words)).toBeInTheDocument();
    const start = screen.getByRole("button", { name: words("adjustment.planView.startAtBench") });
    await userEvent.dblClick(start);
    await waitFor(() =>
      expect(asked.filter((one) => one.path.endsWith("/planned"))).toHaveLength(1),
    );
    expect(asked.find((one) => one.path.endsWith("/planned"))?.body).toEqual({
      flightId: 3,
      wish: { reference: "", presetsTakeUp: false, leave: [], means: [] },
    });
  });

  it("begins nothing where nothing is worth turning, and says why", async () => {
    const stays = { ...worth, worth: false, words: "This end cannot do better than ±2.3." };
    program({
      "GET /adjustment": [204, undefined],
      "GET /standing": { ...story, turn: [] },
      "POST /adjustment/plan": { ...PLAN, worth: [stays], controls: [], plan: null },
    });
    show(<AdjustPage />);
    expect(await screen.findByText(stays.words)).toBeInTheDocument();
    expect(screen.getByRole("heading", { name: story.waiting })).toBeInTheDocument();
    expect(
      screen.queryByRole("button", { name: words("adjustment.planView.startAtBench") }),
    ).toBeNull();
  });

  it("takes a correction only with consent, and a measurement in millimetres", async () => {
    const named = {
      cause: "CLICK_STEP",
      subject: "",
      factor: 1.4,
      was: 0.5,
      becomes: 0.7,
      words: "The click step: 0.7 % and not 0.5 % explains what was measured.",
    };
    const next = {
      surface: "elevator",
      kind: "GAUGE",
      control: "PITCH",
      amount: 40,
      expectedMm: 4.4,
      words: "Put in 40 clicks.",
    };
    const asked = program({
      "GET /adjustment": [204, undefined],
      "GET /standing": { ...story, learned: { ...learned, named, next } },
      "POST /adjustment/plan": PLAN,
      "POST /learned": [201, answers.standing.newest],
      "POST /bench-readings": [201, {}],
    });
    show(<AdjustPage />);
    expect(await screen.findByText(named.words)).toBeInTheDocument();
    expect(asked.some((one) => one.path.endsWith("/learned"))).toBe(false);
    await userEvent.click(
      screen.getByRole("button", {
        name: words("adjustment.calibrationCard.correctTheDescription"),
      }),
    );
    await waitFor(() =>
      expect(asked.find((one) => one.path.endsWith("/learned"))?.body).toEqual({
        basedOn: answers.standing.newest.number,
        cause: "CLICK_STEP",
        subject: "",
      }),
    );
    await userEvent.type(
      screen.getByLabelText(words("adjustment.calibrationCard.edgeWent", { lengthSign: "mm" })),
      "6,1",
    );
    await userEvent.click(
      screen.getByRole("button", { name: words("adjustment.calibrationCard.noteIt") }),
    );
    await waitFor(() =>
      expect(asked.find((one) => one.path.endsWith("/bench-readings"))?.body).toEqual({
        surface: "elevator",
        kind: "GAUGE",
        control: "PITCH",
        amount: 40,
        mm: 6.1,
      }),
    );
  });
});
