import { screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it } from "vitest";
import type { OpenSetUp } from "@/api/rig";
import type { Draft } from "@/domain/draft";
import { program, show, type Asked } from "@/test/page";
import { like, words } from "@/test/words";
import { GuidedStep } from "./GuidedStep";
import { SetUpPage } from "./SetUpPage";

const step = (id: string, part: Partial<OpenSetUp["steps"][number]> = {}) => ({
  id,
  surface: "elevator",
  title: `Step ${id}`,
  instruction: "Look from behind.",
  caution: "",
  choices: [],
  figures: [],
  kind: "TRAVEL" as const,
  command: "",
  ...part,
});

const SETUP: OpenSetUp = {
  school: "ROD_FIRST",
  startedAt: "2026-09-05T10:00:00Z",
  step: 1,
  version: 4,
  steps: [
    step("harmless", {
      surface: "",
      caution: "A motor can start at any moment.",
      choices: [{ id: "propeller-off", words: "Propeller taken off" }],
    }),
    step("travel/elevator", {
      figures: [
        { label: "Full up", unit: "MILLIMETRES" as const, expected: 12, known: true },
        { label: "Full down", unit: "MILLIMETRES" as const, expected: 12, known: true },
      ],
    }),
    step("direction/rudder/yaw", {
      choices: [
        { id: "right", words: "Went right" },
        { id: "wrong", words: "Went left" },
      ],
    }),
  ],
  answers: [],
  verdicts: [],
  barred: [],
  again: [],
};

const at = (index: number, part: Partial<OpenSetUp> = {}): OpenSetUp => ({
  ...SETUP,
  step: index,
  ...part,
});

const moved = ({ body }: Asked) => {
  const { step: to } = body as { step: string };
  return at(
    SETUP.steps.findIndex((one) => one.id === to),
    { version: 5 },
  );
};

describe("a step of the bench set-up", () => {
  it("shows what can hurt where it can, and keeps the choice that was picked", async () => {
    const asked = program({ "PUT /bench-set-up": moved });
    show(<GuidedStep open={at(0)} />);
    expect(screen.getByRole("note")).toHaveTextContent("A motor can start at any moment.");
    await userEvent.click(screen.getByRole("button", { name: "Propeller taken off" }));
    await waitFor(() => expect(asked).toHaveLength(1));
    expect(asked[0]?.body).toEqual({
      version: 4,
      step: "harmless",
      answers: [{ step: "harmless", choice: "propeller-off", values: [] }],
    });
  });

  it("takes figures with a comma or a point and sends them only when all are there", async () => {
    const asked = program({ "PUT /bench-set-up": moved });
    show(<GuidedStep open={at(1)} />);
    expect(screen.getByText("Full up, expected 12.0 mm")).toBeInTheDocument();
    const judge = screen.getByRole("button", { name: words("benchsetup.guidedStep.compare") });
    await userEvent.type(screen.getByLabelText(/Full up/), "11,5");
    expect(judge).toBeDisabled();
    await userEvent.type(screen.getByLabelText(/Full down/), "12.25");
    await userEvent.click(judge);
    await waitFor(() => expect(asked).toHaveLength(1));
    expect(asked[0]?.body).toEqual({
      version: 4,
      step: "travel/elevator",
      answers: [{ step: "travel/elevator", choice: "", values: [11.5, 12.25] }],
    });
  });

  it("refuses what is no number and goes nowhere with it", async () => {
    const asked = program({ "PUT /bench-set-up": moved });
    show(<GuidedStep open={at(1)} />);
    await userEvent.type(screen.getByLabelText(/Full up/), "twelve");
    expect(screen.getByRole("alert")).toHaveTextContent(words("benchsetup.guidedStep.numbersOnly"));
    expect(
      screen.getByRole("button", { name: words("benchsetup.guidedStep.next") }),
    ).toBeDisabled();
    await userEvent.tab();
    expect(asked).toHaveLength(0);
  });

  it("keeps what was typed when the step is answered elsewhere meanwhile", async () => {
    program({ "PUT /bench-set-up": [409, { detail: "This set-up has moved on." }] });
    show(<GuidedStep open={at(1)} />);
    await userEvent.type(screen.getByLabelText(/Full up/), "11.5");
    await userEvent.type(screen.getByLabelText(/Full down/), "12");
    await userEvent.click(
      screen.getByRole("button", { name: words("benchsetup.guidedStep.compare") }),
    );
    expect(await screen.findByText("This set-up has moved on.")).toBeInTheDocument();
    expect(screen.getByLabelText(/Full up/)).toHaveValue("11.5");
  });

  it("says that another page moved it on, shows where it stands, and has what was typed", async () => {
    let moves = 0;
    program({
      "GET /bench-set-up": () => (moves === 0 ? at(1) : at(moves === 1 ? 2 : 1, { version: 6 })),
      "PUT /bench-set-up": () => {
        moves += 1;
        return moves === 1 ? [409, { detail: "Moved on." }] : at(1, { version: 6 });
      },
      "GET /measurements": [],
    });
    show(<SetUpPage />);
    await userEvent.type(await screen.findByLabelText(/Full up/), "11.5");
    await userEvent.type(screen.getByLabelText(/Full down/), "12");
    await userEvent.click(
      screen.getByRole("button", { name: words("benchsetup.guidedStep.compare") }),
    );
    expect(
      await screen.findByRole("heading", { name: "Step direction/rudder/yaw" }),
    ).toBeInTheDocument();
    expect(screen.getByRole("status")).toHaveTextContent(
      "what you typed at “Step travel/elevator” is still there",
    );
    await userEvent.click(
      screen.getByRole("button", { name: words("benchsetup.guidedStep.back") }),
    );
    expect(await screen.findByLabelText(/Full up/)).toHaveValue("11.5");
  });

  it("goes no further than what is barred, and past what is left out", async () => {
    const asked = program({ "PUT /bench-set-up": moved });
    const why = "First say how you made the motor safe.";
    const all = ["travel/elevator", "direction/rudder/yaw"].map((one) => ({ step: one, why }));
    const { unmount } = show(<GuidedStep open={at(0, { barred: all })} />);
    expect(
      screen.getByRole("button", { name: words("benchsetup.guidedStep.next") }),
    ).toBeDisabled();
    expect(screen.getAllByRole("note").at(-1)).toHaveTextContent(why);
    unmount();
    show(<GuidedStep open={at(0, { barred: all.slice(0, 1) })} />);
    await userEvent.click(
      screen.getByRole("button", { name: words("benchsetup.guidedStep.next") }),
    );
    await waitFor(() => expect(asked).toHaveLength(1));
    expect(asked[0]?.body).toMatchObject({ step: "direction/rudder/yaw" });
  });

  it("goes where it was sent while an answer was being saved, once that is saved", async () => {
    let saved = () => {};
    let now = at(2);
    const asked = program({
      "GET /bench-set-up": () => now,
      "GET /measurements": [],
      "PUT /bench-set-up": async ({ body }: Asked) => {
        const { step: to } = body as { step: string };
        if (now.version === 4) {
          await new Promise<void>((done) => (saved = done));
        }
        now = at(
          SETUP.steps.findIndex((one) => one.id === to),
          { version: now.version + 1 },
        );
        return now;
      },
    });
    show(<SetUpPage />);
    await userEvent.click(await screen.findByRole("button", { name: "Went right" }));
    await userEvent.click(screen.getByText(words("benchsetup.guidedStep.allSteps")));
    await userEvent.click(screen.getByRole("button", { name: /Step harmless/ }));
    const moves = () => asked.filter((one) => one.method === "PUT");
    expect(moves()).toHaveLength(1);
    saved();
    expect(await screen.findByRole("heading", { name: "Step harmless" })).toBeInTheDocument();
    expect(moves().map((one) => one.body)).toMatchObject([
      { version: 4, step: "direction/rudder/yaw", answers: [{ choice: "right" }] },
      { version: 5, step: "harmless", answers: [] },
    ]);
  });

  it("says when it asks again", () => {
    show(<GuidedStep open={at(2, { again: ["direction/rudder/yaw"] })} />);
    expect(screen.getByRole("note")).toHaveTextContent("Asked again");
  });

  it("says what an answer means and makes its mend in the draft", async () => {
    const drafts: Draft[] = [];
    const edits = [
      { figure: "REVERSED" as const, subject: "5", value: 1 },
      { figure: "PULLS_ON_INCREASE" as const, subject: "servo-rudder", value: 1 },
    ];
    const verdict = {
      step: "direction/rudder/yaw",
      agrees: false,
      asks: false,
      words: "Wrong in every command: reverse this servo.",
      mends: [],
      seats: [],
    };
    const moves = [
      { surface: "Rudder", phase: "Normal", where: "stick right", beforeMm: -20, afterMm: 20 },
    ];
    let wished: unknown;
    program({
      "GET /bench-set-up/mends": [
        { words: "Channel 5: reversed", edits, moves, brings: [], hand: "" },
        {
          words: "Endpoint to 60 %",
          edits,
          moves,
          brings: ["Flaps uneven"],
          hand: "Move the horn instead.",
        },
      ],
      "POST /api/edits/mend": ({ body }: Asked) => {
        wished = body;
        const { setup } = body as { setup: object };
        return { setup: { ...setup, name: "Mended" }, changed: [], notes: [] };
      },
    });
    show(<GuidedStep open={at(2, { verdicts: [verdict] })} />, {
      onDraft: (draft) => drafts.push(draft),
    });
    expect(screen.getByRole("status")).toHaveTextContent("reverse this servo");
    const button = await screen.findByRole("button", { name: "Channel 5: reversed" });
    await userEvent.click(
      screen.getByRole("button", { name: like("model.triedMend.movesDifferently") }),
    );
    expect(screen.getByRole("cell", { name: "Rudder" }), "what moves is told").toBeInTheDocument();
    expect(screen.queryByRole("button", { name: /60 %/ }), "held back").toBeNull();
    expect(screen.getByText("Flaps uneven")).toBeInTheDocument();
    expect(screen.getByText("Move the horn instead.")).toBeInTheDocument();
    await userEvent.click(button);
    await waitFor(() => expect(drafts.at(-1)?.present.name).toBe("Mended"));
    expect(wished).toMatchObject({ edits });
    expect(drafts.at(-1)?.past, "one change, taken back by one undo").toHaveLength(1);
  });

  it("begins by the school that was chosen and puts the focus on its first step", async () => {
    let begun: unknown;
    program({
      "GET /bench-set-up": () => (begun === undefined ? [204, null] : at(0)),
      "POST /bench-set-up": ({ body }: Asked) => {
        begun = body;
        return [201, at(0)];
      },
      "GET /measurements": [],
    });
    show(<SetUpPage />);
    await userEvent.click(
      await screen.findByLabelText(words("benchsetup.setUpPage.centringAsked")),
    );
    await userEvent.click(
      screen.getByRole("option", { name: like("benchsetup.setUpPage.subTrimFirst") }),
    );
    await userEvent.click(
      screen.getByRole("button", { name: words("benchsetup.setUpPage.begin") }),
    );
    const title = await screen.findByRole("heading", { name: "Step harmless" });
    await waitFor(() => expect(title).toHaveFocus());
    expect(begun).toEqual({ school: "SUB_TRIM_FIRST" });
  });
});
