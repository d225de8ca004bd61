import { screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useState } from "react";
import { describe, expect, it } from "vitest";
import type { TestCard, TestResult } from "@/api/fly";
import { TEST_STATES } from "@/domain/test-states";
import { program, show, told, type Asked } from "@/test/page";
import { like, words } from "@/test/words";
import { say } from "@/words/generated/trimming";
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
    expect(screen.getByText(like("trimming.coachPage.earlierOpen"))).toBeInTheDocument();
    expect(
      screen.getByText(words("trimming.coachPage.nextIs", { word: TEST_STATES.OPEN })),
    ).toBeInTheDocument();
    expect(screen.queryByText(words("trimming.adviceCard.title"))).not.toBeInTheDocument();
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
    await userEvent.click(
      await screen.findByRole("button", { name: words("trimming.adviceCard.putDraft") }),
    );
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
    expect(
      await screen.findByRole("button", { name: words("trimming.adviceCard.doBench") }),
    ).toBeDisabled();
    await userEvent.click(
      screen.getByRole("button", { name: words("trimming.adviceCard.packMoved") }),
    );
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
    const leave = await screen.findByRole("button", { name: words("trimming.coachPage.leaveOut") });
    expect(leave).toBeDisabled();
    await userEvent.type(screen.getByLabelText(words("trimming.coachPage.reason")), "no room here");
    await userEvent.click(leave);
    await waitFor(() => expect(asked.some((one) => one.method === "POST")).toBe(true));
    expect(asked.find((one) => one.method === "POST")?.body).toEqual({
      test: CARD.test,
      because: "no room here",
    });
  });
});

describe("the list of trim tests", () => {
  const STATES = ["STANDS", "CHANGE", "OPEN", "VOID", "SKIPPED"] as const;
  const TESTS = ["LEVEL_TRIM", "ROLL_AXIS", "KNIFE_EDGE", "DIVE", "STALL"] as const;
  const cards = TESTS.map((test) => ({
    ...CARD,
    test: { test, part: "" },
    name: `Name of ${test}`,
    tells: `Tells of ${test}.`,
    flown: [`First of ${test}.`, `Then of ${test}.`],
    watch: `Watch of ${test}.`,
    caution: `Caution of ${test}.`,
    outcomes: CARD.outcomes.map((one) => ({ ...one, words: `${one.outcome} of ${test}` })),
  }));
  const tests = TESTS.map((test, i) => ({
    test: { test, part: "" },
    state: STATES[i],
    words: `Words of ${test}.`,
    flight: i,
    advice: test === "ROLL_AXIS" ? ADVICE : null,
    openBefore: test === "DIVE",
  }));
  const whole = {
    plan: { kind: "POWERED", next: 2, tests },
    cards,
    job: null,
    jobs: [],
    goal: "G",
  };

  it("has each test's own name, state and words, and the next one as the next", async () => {
    program({ "GET /coach": whole });
    show(<CoachPage />);
    await screen.findByText("Words of DIVE.");
    const lines = [...document.querySelectorAll("[data-test]")].map(told);
    expect(lines).toEqual(
      TESTS.map((test, i) => {
        const word = TEST_STATES[STATES[i] as (typeof STATES)[number]];
        const state = i === whole.plan.next ? say("coachPage.nextIs", { word }) : word;
        return `Name of ${test}${state}Words of ${test}.`;
      }),
    );
  });

  it("shows of the chosen one how it is flown, what to watch, each outcome and its own advice", async () => {
    program({ "GET /coach": whole });
    show(<CoachPage />);
    for (const one of [TESTS[2], TESTS[1], TESTS[3]]) {
      const line = await screen.findByText(`Words of ${one}.`);
      await userEvent.click(line);
      const title = await screen.findByRole("heading", { name: `Name of ${one}` });
      const card = title.closest("section");
      expect([...(card?.querySelectorAll("ol li") ?? [])].map(told)).toEqual([
        `First of ${one}.`,
        `Then of ${one}.`,
      ]);
      expect([...(card?.querySelectorAll("ul li") ?? [])].map(told)).toEqual(
        CARD.outcomes.map(({ outcome }) => `${outcome} of ${one}`),
      );
      for (const words of [`Watch of ${one}.`, `Tells of ${one}.`, `Caution of ${one}.`]) {
        expect(told(card)).toContain(words);
      }
      expect(told(card).includes(say("coachPage.earlierOpen"))).toBe(one === "DIVE");
      expect(document.querySelector("[data-advice]") !== null).toBe(one === "ROLL_AXIS");
    }
  });

  it("has with an advice its words, each size, why, what to watch and other opinions", async () => {
    program({ "GET /coach": { ...whole, plan: { ...whole.plan, next: 1 } } });
    show(<CoachPage />);
    const advice = (await screen.findByText(ADVICE.words)).closest("section");
    expect([...(advice?.querySelectorAll("li") ?? [])].map(told)).toEqual(ADVICE.sizes);
    for (const words of [ADVICE.why, `${say("adviceCard.nextFlight")} ${ADVICE.watch}`]) {
      expect(told(advice)).toContain(words);
    }
    await userEvent.click(screen.getByText(say("adviceCard.differing")));
    expect(told(advice)).toContain(ADVICE.schools[0]);
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
    await userEvent.click(
      screen.getByRole("button", { name: words("trimming.outcomePicker.strong") }),
    );
    await userEvent.click(right);
    expect(seen.at(-1)?.seen).toEqual([
      { outcome: "AWAY_FROM_THE_ROLL", strength: 3, turn: "LEFT" },
      { outcome: "AWAY_FROM_THE_ROLL", strength: 1, turn: "RIGHT" },
    ]);
    await userEvent.click(left);
    expect(seen.at(-1)?.seen).toHaveLength(1);
    await userEvent.click(
      screen.getByRole("button", { name: words("trimming.outcomePicker.asItShouldBe") }),
    );
    expect(seen.at(-1)).toEqual({ test: "ROLL_AXIS", part: "", seen: [] });
    await userEvent.click(
      screen.getByRole("button", { name: words("trimming.outcomePicker.notFlown") }),
    );
    expect(seen.at(-1)).toBeUndefined();
  });
});
