import { screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useState } from "react";
import { describe, expect, it } from "vitest";
import type { TestCard, TestResult } from "@/api/fly";
import { program, show, type Asked } from "@/test/page";
import { CoachPage } from "./CoachPage";
import { OutcomePicker } from "./OutcomePicker";

const CARD: TestCard = {
  test: { test: "ROLL_AXIS", part: "" },
  name: "Rolls on their axis",
  tells: "Whether the ailerons pull the nose off the line.",
  flown: ["Into wind, a 45° climb.", "Roll left."],
  watch: "The nose.",
  caution: "High enough.",
  turns: ["LEFT", "RIGHT"],
  outcomes: [
    {
      outcome: "AWAY_FROM_THE_ROLL",
      excludes: "TOWARDS_THE_ROLL",
      words: "Nose walks away",
      computed: true,
    },
    {
      outcome: "TOWARDS_THE_ROLL",
      excludes: "AWAY_FROM_THE_ROLL",
      words: "Nose walks into it",
      computed: true,
    },
  ],
};

const ADVICE = {
  lever: "DIFFERENTIAL",
  verdict: "TRY",
  making: "DRAFT",
  from: 0,
  to: 10,
  words: "First step: 10 % more differential, so 10 %.",
  why: "The down-going aileron drags more.",
  sizes: ["Left aileron: −23.1 mm becomes −20.9 mm"],
  watch: "Fly the same test again.",
  schools: ["Some take the other sign."],
};

const sheet = (state: string, advice: unknown, job: unknown = null) => ({
  plan: {
    kind: "POWERED",
    next: 0,
    goal: "Rolls on their axis: fly it",
    tests: [
      { test: CARD.test, state, words: "How it stands.", flight: 1, advice, openBefore: true },
    ],
  },
  cards: [CARD],
  job,
  jobs: [],
  goal: "Rolls on their axis: fly it",
});

describe("the coach's page", () => {
  it("shows what comes next, how it is flown, and that one before it is open", async () => {
    program({ "GET /coach": sheet("OPEN", null) });
    show(<CoachPage />);
    expect(await screen.findByText("Rolls on their axis: fly it")).toBeInTheDocument();
    expect(screen.getByText("Into wind, a 45° climb.")).toBeInTheDocument();
    expect(screen.getByText(/An earlier test is not done yet/)).toBeInTheDocument();
    expect(screen.getByText(/next: open/)).toBeInTheDocument();
    expect(screen.queryByText("The one change")).not.toBeInTheDocument();
  });

  it("makes a change of the program in the draft and asks where it is to stand", async () => {
    const asked = program({
      "GET /coach": sheet("CHANGE", ADVICE),
      "POST /api/edits/levers": ({ body }: Asked) => ({
        setup: (body as { setup: unknown }).setup,
        changed: [],
        notes: [],
      }),
    });
    show(<CoachPage />);
    await userEvent.click(await screen.findByRole("button", { name: "Put it in the draft" }));
    await waitFor(() => expect(asked.some((one) => one.method === "POST")).toBe(true));
    expect(asked.find((one) => one.method === "POST")?.body).toMatchObject({
      lever: "DIFFERENTIAL",
      test: CARD.test,
      value: 10,
    });
  });

  it("takes metal to the bench and enters it as done", async () => {
    const metal = { ...ADVICE, lever: "BALANCE", making: "BENCH", from: 55, to: 53 };
    const job = { id: 4, version: 0, test: CARD.test, lever: "BALANCE", from: 55, to: 53 };
    const asked = program({
      "GET /coach": sheet("CHANGE", metal, job),
      "PUT /coach/jobs/4": job,
    });
    show(<CoachPage />);
    expect(await screen.findByRole("button", { name: "Do it at the bench" })).toBeDisabled();
    await userEvent.click(screen.getByRole("button", { name: "Done: pack moved" }));
    await waitFor(() => expect(asked.some((one) => one.method === "PUT")).toBe(true));
    expect(asked.find((one) => one.method === "PUT")?.body).toEqual({
      version: 0,
      done: true,
      by: "PACK",
    });
  });

  it("leaves a test out only with a reason", async () => {
    const asked = program({
      "GET /coach": sheet("OPEN", null),
      "POST /coach/skipped": sheet("SKIPPED", null),
    });
    show(<CoachPage />);
    const leave = await screen.findByRole("button", { name: "Leave it out" });
    expect(leave).toBeDisabled();
    await userEvent.type(screen.getByLabelText("Reason for leaving it out"), "no room here");
    await userEvent.click(leave);
    await waitFor(() => expect(asked.some((one) => one.method === "POST")).toBe(true));
    expect(asked.find((one) => one.method === "POST")?.body).toEqual({
      test: CARD.test,
      because: "no room here",
    });
  });
});

describe("picking an outcome", () => {
  const seen: (TestResult | undefined)[] = [];
  function Picked() {
    const [result, setResult] = useState<TestResult>();
    seen.push(result);
    return <OutcomePicker card={CARD} result={result} onResult={setResult} />;
  }

  it("picks what was seen each way round and how strongly", async () => {
    show(<Picked />);
    const [left, right] = await screen.findAllByRole("button", { name: /Nose walks away/ });
    if (left === undefined || right === undefined) {
      throw new Error("both ways round are asked");
    }
    await userEvent.click(left);
    await userEvent.click(screen.getByRole("button", { name: "strong" }));
    await userEvent.click(right);
    expect(seen.at(-1)?.seen).toEqual([
      { outcome: "AWAY_FROM_THE_ROLL", strength: 3, turn: "LEFT" },
      { outcome: "AWAY_FROM_THE_ROLL", strength: 1, turn: "RIGHT" },
    ]);
    await userEvent.click(left);
    expect(seen.at(-1)?.seen).toHaveLength(1);
    await userEvent.click(screen.getByRole("button", { name: "As it should be" }));
    expect(seen.at(-1)).toEqual({ test: "ROLL_AXIS", part: "", seen: [] });
    await userEvent.click(screen.getByRole("button", { name: "Not flown" }));
    expect(seen.at(-1)).toBeUndefined();
  });
});
